<script lang="ts">
  import { goto } from '$app/navigation';
  import type { SupportKind } from '@gentle-arc/core/model/build';
  import type { Shoot } from '@gentle-arc/core/model/shoot';
  import { balanceOf } from '@gentle-arc/core/rig/build/balance';
  import Choice from '$lib/parts/Choice.svelte';
  import GradeMark from '$lib/parts/GradeMark.svelte';
  import { worstOf } from './verdict';

  /** What is put together, by what carries it: a list at a desk, a choice on a phone. */
  let { shoot, here, href }: { shoot: Shoot; here: string; href: (id: string) => string } = $props();

  const GROUPS: [string, SupportKind[]][] = [
    ['Carried', ['sled', 'motorGimbal']],
    ['Standing', ['arm', 'slider', 'jib']],
    ['Rolling, hanging, flying', ['wheels', 'rope', 'drone']],
    ['Home-made', ['improvised']],
  ];
  const rows = $derived(shoot.kit.builds.map((build) => ({ build, grade: worstOf(balanceOf(build, shoot.kit, 'metric')) })));
</script>

<nav class="list" aria-label="Builds">
  {#each GROUPS as [name, kinds] (name)}
    {@const own = rows.filter(({ build }) => kinds.includes(build.support.kind))}
    {#if own.length > 0}
      <h2>{name}</h2>
      <ul>
        {#each own as { build, grade } (build.id)}
          <li>
            <a href={href(build.id)} data-sveltekit-noscroll aria-current={build.id === here ? 'page' : undefined}
              ><span class="shrink-0"><GradeMark {grade} /></span><span class="truncate">{build.name}</span></a
            >
          </li>
        {/each}
      </ul>
    {/if}
  {/each}
</nav>
<p class="choose said">
  <Choice label="Build" value={here} items={rows.map(({ build }) => ({ value: build.id, name: build.name }))} onchange={(id) => void goto(href(id), { noScroll: true })} />
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
