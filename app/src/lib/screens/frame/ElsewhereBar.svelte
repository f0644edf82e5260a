<script lang="ts">
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { sayDifferences } from '@gentle-arc/core/model';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';

  /** Another tab changed or deleted what is open here: nothing is lost, and the person chooses. */
  let { store }: { store: ShootStore } = $props();

  const elsewhere = $derived(store.elsewhere);
</script>

{#if elsewhere}
  <section
    role="alert"
    aria-label="Another tab"
    class="mx-4 my-1 border-l-4 border-near bg-raised px-4 py-2 print:hidden"
  >
    {#if elsewhere.what === 'changed'}
      <p class="leading-snug">
        <b>Another tab changed “{store.shoot.name}” as well.</b> Both are kept; what you made here also lies in “{elsewhere
          .keptAs.name}”. {sayDifferences(elsewhere.differences, 3)}
      </p>
      <p class="mt-1 flex flex-wrap gap-2">
        <button class="quiet-button font-semibold" onclick={() => store.choose('mine')}>Go on with mine</button>
        <button class="quiet-button" onclick={() => store.choose('theirs')}>Take the other tab’s</button>
        <button class="quiet-button" onclick={() => store.choose('both')}>Keep both</button>
      </p>
    {:else}
      <p class="leading-snug">
        <b>Another tab deleted “{store.shoot.name}”.</b> It is still here as you see it, but not kept any more.
      </p>
      <p class="mt-1 flex flex-wrap gap-2">
        <button class="quiet-button font-semibold" onclick={() => store.putBack()}>Put it back</button>
        <button class="quiet-button" onclick={() => goto(resolve('/'))}>Let it go</button>
      </p>
    {/if}
  </section>
{/if}
