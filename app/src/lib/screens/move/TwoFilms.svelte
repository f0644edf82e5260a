<script lang="ts">
  import { FIELDS, sayLength, trim } from '@gentle-arc/core/model';
  import { twoFilmsOf } from '@gentle-arc/core/reading';
  import { subjectWords } from '@gentle-arc/core/scene';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Hole from '$lib/ui/Hole.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** A dolly zoom put together from two films, where the real move cannot be made. */
  const session = shotSession();
  const { scene } = $derived(session);
  const length = (m: number) => sayLength(m, preferences.units);
  const depthM = $derived(session.shot.bench.backgroundM);
  const name = $derived(scene.subject?.name ?? '');
  const after = $derived(subjectWords(scene));
  const films = $derived(twoFilmsOf(session.film, depthM));
</script>

{#if films}
  {@const { person, background } = films}
  <details class="text-sm">
    <summary>From two films instead</summary>
    <ol class="list-decimal pl-5 leading-relaxed">
      <li>
        {name} before an even ground that can be keyed, the camera still: {length(person.distanceM)} away at {trim(
          person.focalLengthMm,
          1,
        )} mm, the lens {length(person.lensHeightM)} above the feet, tilted {trim(person.tiltDeg, 1)}°, so that {after} fills
        {trim(person.heightShare * 100, 0)}% of the height.
      </li>
      <li>
        The background from one place, the lens as high and tilted the same: zoomed from {trim(background.fromMm, 1)} to
        {trim(background.toMm, 1)} mm over {trim(background.overS, 1)} s, evenly in per cent (or enlarged {trim(
          Math.max(background.times, 1 / background.times),
          2,
        )} times afterwards). That is right for what stands <Hole
          fact={FIELDS.bench.backgroundM}
          value={depthM}
          onchange={(backgroundM: number) => session.changeBench({ backgroundM }, 'bench.background')}
        /> behind; nearer things would move otherwise.
      </li>
      <li>Light from the same side and as high, the same shutter and stop; no shadow of {name} on the even ground.</li>
    </ol>
  </details>
{/if}
