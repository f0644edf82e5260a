<script lang="ts">
  import { FIELDS, trim } from '@gentle-arc/core/model';
  import { exposureTimeS, spinning } from '@gentle-arc/core/optics';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import Hole from '$lib/ui/Hole.svelte';

  /** Wheels, rotors and strings against frame rate, shutter and read-out: how they will turn and bend on screen. */
  const session = shotSession();
  const { shot, scene, samples } = $derived(session);
  const bench = $derived(shot.bench);
  const seen = $derived(
    spinning(
      { turnsPerS: bench.spinPerS, repeats: bench.spinRepeats, heightShare: bench.spinPercent / 100 },
      shot.captureRateHz,
      exposureTimeS(shot.shutterDeg, shot.captureRateHz),
      scene.camera.readOutMs / 1000,
    ),
  );
  /** The wheels that turn in this shot, as they turn half-way through it. */
  const wheels = $derived(
    scene.things.flatMap(({ piece, goingAt, turn }) => {
      if (!turn || !goingAt) return [];
      const at = samples.tS[samples.count >> 1];
      const perS = Math.abs(goingAt(at + 0.5).turned - goingAt(at - 0.5).turned);
      return perS > 0.05 ? [{ name: piece.name, perS: Math.round(perS * 100) / 100 }] : [];
    }),
  );
  const turns = $derived(Math.abs(seen.seenTurnsPerS));
  const BENT_DEG = 8;
</script>

<section aria-label="What turns">
  <h2 class="font-display text-xl">What turns or swings</h2>
  <p class="said">
    <Hole
      fact={FIELDS.bench.spinPerS}
      value={bench.spinPerS}
      onchange={(spinPerS: number) => session.changeBench({ spinPerS }, 'bench.spin')}
    /> turns or swings a second, with <Hole
      fact={FIELDS.bench.spinRepeats}
      value={bench.spinRepeats}
      onchange={(spinRepeats: number) => session.changeBench({ spinRepeats }, 'bench.spokes')}
    /> spokes or blades alike (a string: 1), over <Hole
      fact={FIELDS.bench.spinPercent}
      value={bench.spinPercent}
      onchange={(spinPercent: number) => session.changeBench({ spinPercent }, 'bench.spinHeight')}
    /> of the frame’s height.
    {#each wheels as { name, perS } (name)}
      <button class="link" onclick={() => session.changeBench({ spinPerS: perS })}
        >As the wheels of {name} ({trim(perS, 1)} a second)</button
      >
    {/each}
  </p>
  <p class="graded-line">
    <GradeMark
      grade={seen.smearShare >= 0.5 ? 'calm' : turns < 0.05 || seen.seenTurnsPerS < 0 ? 'jolt' : 'calm'}
    /><span>
      {#if seen.smearShare >= 0.5}
        It smears into a veil: {trim(seen.smearShare * 100, 0)}% of the way to the next spoke goes by while the shutter
        is open.
      {:else if turns < 0.05}
        It seems to stand still: each frame catches a spoke where the one before it was.
      {:else}
        It seems to turn {seen.seenTurnsPerS < 0 ? 'backwards' : 'forwards'}, {trim(turns, 2)} times a second.
      {/if}
      {#if seen.standsStillAtHz.length > 0}It would stand still at {seen.standsStillAtHz
          .map((hz) => trim(hz, 2))
          .join(' or ')} frames a second.{/if}
    </span>
  </p>
  <p class="graded-line">
    <GradeMark grade={seen.bendDeg > BENT_DEG ? 'ripple' : 'calm'} /><span>
      {#if scene.camera.readOutMs === 0}All lines are read at once: nothing bends.
      {:else}
        While {scene.camera.name} reads its lines it goes on by {trim(seen.bendDeg, 1)}°{seen.bendDeg > BENT_DEG
          ? ': blades and strings bend. Fill less of the height with it, or take a camera that reads faster.'
          : ': hardly bent.'}
      {/if}
    </span>
  </p>
</section>
