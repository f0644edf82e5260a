<script lang="ts">
  import { OWN_CHECK, type Build } from '@gentle-arc/core/model';
  import type { Check } from '@gentle-arc/core/supports';
  import { newId } from '$lib/session/store/new-id';

  /** What to check before it shoots, in the order of hands; ticked with a thumb. */
  let {
    build,
    checks,
    onchange,
  }: { build: Build; checks: readonly Check[]; onchange: (build: Build, join: string | null) => boolean } = $props();

  let own = $state('');
  const done = $derived(checks.filter(({ key }) => build.ticked.includes(key)).length);
  const tick = (key: string) =>
    onchange(
      {
        ...build,
        ticked: build.ticked.includes(key) ? build.ticked.filter((row) => row !== key) : [...build.ticked, key],
      },
      null,
    );

  function add(event: SubmitEvent) {
    event.preventDefault();
    const text = own.trim();
    if (text === '') return;
    if (onchange({ ...build, ownChecks: [...build.ownChecks, { id: newId('check'), text: text.slice(0, 120) }] }, null))
      own = '';
  }
</script>

<section aria-label="Checklist" id="checklist">
  <div class="flex items-baseline justify-between gap-2">
    <h2 class="font-display text-xl">Before it shoots</h2>
    <span class="text-soft">{done} of {checks.length}</span>
  </div>
  <ol>
    {#each checks as { key, said, own: mine } (key)}
      <li class="flex items-center">
        <label class="flex flex-1 items-center gap-3 py-1"
          ><input type="checkbox" checked={build.ticked.includes(key)} onchange={() => tick(key)} /><span>{said}</span
          ></label
        >
        {#if mine}<button
            class="away"
            aria-label="Take away: {said}"
            onclick={() =>
              onchange(
                {
                  ...build,
                  ticked: build.ticked.filter((row) => row !== key),
                  ownChecks: build.ownChecks.filter(({ id }) => `${OWN_CHECK}${id}` !== key),
                },
                null,
              )}>×</button
          >{/if}
      </li>
    {/each}
  </ol>
  <form class="flex gap-2 pt-1" onsubmit={add}>
    <input
      class="own flex-1"
      aria-label="Own item"
      placeholder="Something of your own"
      maxlength="120"
      bind:value={own}
    />
    <button class="quiet-button font-semibold">Add</button>
  </form>
  {#if done > 0}<button class="link pt-2 text-sm" onclick={() => onchange({ ...build, ticked: [] }, null)}
      >Untick all</button
    >{/if}
</section>

<style>
  input[type='checkbox'] {
    width: 1.35rem;
    height: 1.35rem;
    border-radius: 6px;
    border-color: var(--soft);
    background-color: var(--raised);
  }
  input[type='checkbox']:checked {
    background-color: var(--subject);
    border-color: var(--subject);
  }
  label {
    cursor: pointer;
    line-height: 1.3;
  }
  @media (pointer: coarse) {
    label {
      min-height: 3rem;
    }
    input[type='checkbox'] {
      width: 1.7rem;
      height: 1.7rem;
    }
  }
  .own {
    min-width: 0;
    border: 0;
    border-bottom: 1.5px dotted var(--soft);
    background: transparent;
    padding: 0.3rem 0.2rem;
    color: inherit;
  }
</style>
