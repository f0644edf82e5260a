<script lang="ts">
  import { onDestroy } from 'svelte';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { severity } from '@gentle-arc/core/findings';
  import { sceneOf } from '@gentle-arc/core/scene';
  import { bothWays } from '@gentle-arc/core/edit';
  import { sampleShot } from '@gentle-arc/core/motion';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { LiveReading } from '$lib/workers/live-reading.svelte';
  import Picture from '$lib/views/picture/Picture.svelte';
  import Strip from '../../views/strip/Strip.svelte';
  import { readingVerdict } from '@gentle-arc/core/reading';

  /** Both ways to make a shot: pictures, strips and readings beside each other under one playhead. */
  let { ontake }: { ontake: (letter: 'A' | 'B') => void } = $props();

  const session = shotSession();
  const { playhead } = session;
  const { shoot, shot } = $derived(session);
  const readings = { A: new LiveReading(false), B: new LiveReading(false) };
  const sides = $derived(
    bothWays(shot).map((way, i) => {
      const scene = sceneOf(shoot, way);
      return { letter: i === 0 ? ('A' as const) : ('B' as const), way, scene, samples: sampleShot(scene) };
    }),
  );
  const longest = $derived(
    sides.reduce(
      (most, side) =>
        side.samples.screenS[side.samples.count - 1] > most.samples.screenS[most.samples.count - 1] ? side : most,
      sides[0],
    ),
  );

  // The playhead runs through the longer of the two; the other waits at its end.
  $effect(() => playhead.fit(longest.samples.count, longest.samples.frameRateHz));
  $effect(() => {
    for (const { letter, way } of sides)
      readings[letter].ask(
        { ...shoot, shots: shoot.shots.map((row) => (row.id === way.id ? way : row)) },
        way.id,
        preferences.units,
      );
  });
  onDestroy(() => {
    readings.A.close();
    readings.B.close();
  });

  const tS = $derived(longest.samples.screenS[Math.min(playhead.row, longest.samples.count - 1)]);
</script>

<div class="sides">
  {#each sides as { letter, scene, samples } (letter)}
    {@const row = Math.min(samples.count - 1, Math.round(tS * samples.frameRateHz))}
    {@const live = readings[letter]}
    {@const verdict = readingVerdict(live.reading?.findings ?? [])}
    <section aria-label="Way {letter}">
      <Picture {scene} {samples} {row} playing={playhead.playing} />
      <h2 class="flex items-center gap-2 py-1 font-display text-lg">
        <span class="letter">{letter}</span>
        {#if live.reading}<GradeMark grade={verdict.grade} /><span class="min-w-0 flex-1">{verdict.text}</span
          >{:else}<span class="flex-1 text-soft">Reading…</span>{/if}
        <button class="quiet-button font-sans text-sm" onclick={() => ontake(letter)}>Take {letter}</button>
      </h2>
      <div class="strip">
        <span class="letter small" aria-hidden="true">{letter}</span><Strip
          {samples}
          reading={live.reading}
          {playhead}
          {row}
        />
      </div>
      <ul>
        {#each (live.reading?.findings ?? []).filter((finding) => severity(finding) > 0) as finding (finding.id)}
          <li class="flex gap-2 py-1 leading-snug">
            <span class="shrink-0 pt-0.5"><GradeMark grade={finding.grade} /></span>{finding.sentence}
          </li>
        {/each}
      </ul>
    </section>
  {/each}
</div>

<style>
  .sides {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 1.2rem;
    min-height: 0;
    flex: 1;
    overflow-y: auto;
  }
  .letter {
    display: grid;
    place-content: center;
    width: 1.7rem;
    height: 1.7rem;
    border-radius: 999px;
    background: var(--subject);
    color: var(--paper);
    font-size: 1rem;
  }
  .letter.small {
    display: none;
    width: 1.3rem;
    height: 1.3rem;
    font-size: 0.8rem;
  }
  .strip {
    overflow: hidden;
  }
  @media (max-width: 799px) {
    .sides {
      display: flex;
      flex-direction: column;
      gap: 0.3rem;
      overflow: visible;
    }
    /* Both pictures first, then what is measured of them. */
    section {
      display: contents;
    }
    .letter.small {
      display: grid;
    }
    .strip,
    ul {
      order: 1;
    }
  }
</style>
