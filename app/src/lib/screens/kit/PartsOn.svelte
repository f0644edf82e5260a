<script lang="ts">
  import { type Build, FIELDS, type Kit, type Placed, sayMass } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import { placeFor } from '@gentle-arc/core/supports';
  import Choice from '$lib/ui/Choice.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** What is on a build, and where each part sits. */
  let { build, kit, onchange }: { build: Build; kit: Kit; onchange: (build: Build, join: string | null) => void } =
    $props();

  const partOf = (id: string) => kit.parts.find((part) => part.id === id);
  const put = (i: number, placed: Placed, join: string | null) =>
    onchange({ ...build, parts: build.parts.map((row, k) => (k === i ? placed : row)) }, join);
  const OFFSETS = [
    { key: 'foreMm', said: 'forward' },
    { key: 'sideMm', said: 'right' },
    { key: 'upMm', said: 'up' },
  ] as const;
  const total = $derived(build.parts.reduce((sum, row) => sum + (partOf(row.partId)?.massG ?? 0), 0) / 1000);
  const ends = $derived(build.support.kind === 'sled');
  const lensed = $derived(build.parts.some(({ partId }) => partOf(partId)?.kind === 'lens'));
</script>

<section aria-label="On it">
  <h2 class="font-display text-xl">On it, {sayMass(total, preferences.units)}</h2>
  <ul class="divide-y divide-hairline">
    {#each build.parts as placed, i (i)}
      {@const part = partOf(placed.partId)}
      <li class="py-1">
        <div class="flex items-baseline gap-2">
          <b class="flex-1">{part?.name ?? placed.partId}</b>
          <span class="text-soft">{sayMass((part?.massG ?? 0) / 1000, preferences.units)}</span>
          <button
            class="away"
            aria-label="Take {part?.name} off"
            title="Take it off"
            onclick={() => onchange({ ...build, parts: build.parts.filter((_, k) => k !== i) }, null)}>×</button
          >
        </div>
        <p class="text-sm">
          {#each OFFSETS as { key, said }, k (key)}{k > 0 ? ', ' : ''}<Hole
              fact={FIELDS.placed[key]}
              value={placed[key]}
              label="{part?.name} {said}"
              onchange={(value: number) => put(i, { ...placed, [key]: value }, `kit.part.${i}.${key}`)}
            />
            {said}{/each}{#if ends}, <Choice
              label="End for {part?.name}"
              value={placed.on}
              items={[
                { value: 'top', name: 'at the camera' },
                { value: 'bottom', name: 'at the bottom' },
              ]}
              onchange={(on) => put(i, { ...placed, on: on as Placed['on'] }, null)}
            />{/if}
        </p>
      </li>
    {/each}
  </ul>
  <p class="said">
    Put on <Choice
      label="Put a part on"
      value=""
      items={[
        { value: '', name: 'a part of the kit…' },
        ...kit.parts.map((part) => ({ value: part.id, name: part.name })),
      ]}
      onchange={(partId) => {
        const part = partOf(partId);
        if (part) onchange({ ...build, parts: [...build.parts, placeFor(build, kit, part)] }, null);
      }}
    />{#if lensed}. Its zoom is set and taped at <Hole
        fact={FIELDS.build.focalLengthMm}
        value={build.focalLengthMm}
        onchange={(focalLengthMm: number) => onchange({ ...build, focalLengthMm }, 'kit.zoom')}
      />.{/if}
  </p>
</section>
