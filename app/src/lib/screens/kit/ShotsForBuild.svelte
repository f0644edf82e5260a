<script lang="ts">
  import type { Build, Shoot } from '@gentle-arc/core/model';
  import type { shotsOf } from '@gentle-arc/core/supports';
  import { disturbedAxes, needOf } from '@gentle-arc/core/supports';
  import { moveHref } from '$lib/session/links';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** Which shots take a build, and what must be balanced again for each. */
  let { shoot, build, shots }: { shoot: Shoot; build: Build; shots: ReturnType<typeof shotsOf> } = $props();

  const kit = $derived(shoot.kit);
  const without = $derived(shoot.shots.filter((shot) => needOf(kit, shot).build === null).length);
</script>

<section aria-label="Shots for it">
  <h2 class="font-display text-xl">Its shots</h2>
  {#if shots.length === 0}<p class="text-soft">No shot of this shoot takes it.</p>{/if}
  <ul>
    {#each shots as { shot, number, need } (shot.id)}
      <li class="py-1">
        <a class="link" href={moveHref(shoot.id, shot.id)}>{number} {shot.name}</a>
        {#if need.changes.length === 0}<span class="text-soft">as it is</span>{:else}
          {#each need.changes as change, i (i)}<span class="block text-sm"
              >{change.said}: again {change.redo}, about {change.minutes} min</span
            >{/each}
          {#each disturbedAxes(build, kit, shot, preferences.units) as slide, i (i)}<span
              class="block text-sm text-soft">{slide}</span
            >{/each}{/if}
      </li>
    {/each}
  </ul>
  {#if without > 0}<p class="text-soft">
      {without}
      {without === 1 ? 'shot has' : 'shots have'} a rig that nothing is put together for.
    </p>{/if}
</section>
