<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Build, Kit, Lens, Part, Shoot } from '@gentle-arc/core/model';
  import { balanceOf, SUPPORT_GROUPS, supportOf, worstOf } from '@gentle-arc/core/supports';
  import Choice from '$lib/ui/Choice.svelte';
  import GradeMark from '$lib/ui/GradeMark.svelte';

  /** What is put together, by what carries it: a list at a desk, a choice on a phone. */
  let { shoot, here, href }: { shoot: Shoot; here: string; href: (id: string) => string } = $props();

  const GROUP_NAMES: Record<(typeof SUPPORT_GROUPS)[number], string> = {
    carried: 'Carried',
    standing: 'Standing',
    moving: 'Rolling, hanging, flying',
    'home-made': 'Home-made',
  };
  /** Known for a build as it was; only what changed is balanced again. */
  const known = new WeakMap<
    Build,
    { parts: readonly Part[]; lenses: readonly Lens[]; grade: ReturnType<typeof worstOf> }
  >();
  function gradeOf(build: Build, kit: Kit) {
    const before = known.get(build);
    if (before && before.parts === kit.parts && before.lenses === kit.lenses) return before.grade;
    const grade = worstOf(balanceOf(build, kit, 'metric'));
    known.set(build, { parts: kit.parts, lenses: kit.lenses, grade });
    return grade;
  }
  const rows = $derived(shoot.kit.builds.map((build) => ({ build, grade: gradeOf(build, shoot.kit) })));
</script>

<nav class="list" aria-label="Builds">
  {#each SUPPORT_GROUPS as group (group)}
    {@const own = rows.filter(({ build }) => supportOf(build.support.kind).group === group)}
    {#if own.length > 0}
      <h2>{GROUP_NAMES[group]}</h2>
      <ul>
        {#each own as { build, grade } (build.id)}
          <li>
            <a href={href(build.id)} data-sveltekit-noscroll aria-current={build.id === here ? 'page' : undefined}
              ><span class="w-7 shrink-0"
                >{#if grade}<GradeMark {grade} />{/if}</span
              ><span class="truncate">{build.name}</span></a
            >
          </li>
        {/each}
      </ul>
    {/if}
  {/each}
</nav>
<p class="choose said">
  <Choice
    label="Build"
    value={here}
    items={rows.map(({ build }) => ({ value: build.id, name: build.name }))}
    onchange={(id) => void goto(href(id), { noScroll: true })}
  />
</p>

<style>
  .list {
    grid-area: list;
    position: sticky;
    top: 0;
    max-height: 100dvh;
    overflow-y: auto;
    padding-bottom: 1rem;
  }
  .choose {
    grid-area: list;
    display: none;
    font-size: 1.15rem;
  }
  h2 {
    padding: 0.6rem 0 0.1rem;
    font-size: 0.85rem;
    color: var(--soft);
  }
  a {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    padding: 0.2rem 0.4rem;
    border-radius: 8px;
  }
  a:hover {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
  }
  a[aria-current] {
    background: color-mix(in srgb, var(--subject) 16%, transparent);
    font-weight: 600;
  }
  @media (max-width: 899px) {
    .list {
      display: none;
    }
    .choose {
      display: block;
    }
  }
</style>
