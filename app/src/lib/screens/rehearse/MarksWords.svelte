<script lang="ts">
  import { changePractice } from '@gentle-arc/core/edit';
  import { FIELDS } from '@gentle-arc/core/model';
  import type { Count, Marks } from '@gentle-arc/core/rehearse';
  import { marksHref } from '$lib/session/links';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import { printMarks } from './print-marks';

  /** How the marks are read, and the sheet to print. */
  let { marks, count }: { marks: Marks; count: Count } = $props();

  const session = shotSession();
  const { shoot, shot } = $derived(session);
</script>

<section aria-label="Marks" class="word-pane">
  <p>
    <button class="solid-button" onclick={() => void printMarks(shot.name, marks, count, preferences.units)}
      >Print the sheet</button
    >
  </p>
  {#if marks.rail.length > 0}
    <h2>Where the helper stands</h2>
    <p class="said">
      <Sentence
        text={'The pointer stands {pointerOffMm} off its scale; the eye is {eyeAlongM} along the rail from its start ' +
          'and {eyeOffM} away from the scale.'}
        facts={FIELDS.practice}
        values={shoot.practice}
        onchange={(key, value, join) =>
          session.change(changePractice(shoot, { [key]: value }), join && `practice.${join}`)}
      />
    </p>
    <p class="text-sm text-soft">
      A pointer before its scale is seen beside where it stands: the eye, the pointer’s tip and the scale make two
      similar triangles. Write the marks from where the helper will stand.
    </p>
  {/if}
  {#if marks.floor.length > 0}
    <p class="text-sm text-soft">
      Step on each tape with the foot that is named, and the last one comes out right. Where the subject pauses, so do
      you.
    </p>
  {/if}
  {#if marks.ring.length > 0}
    <p class="text-sm">
      A strip for the ring itself: <a class="link" href={marksHref(shoot.id, shot.id)}>focus marks to cut out</a>.
    </p>
  {/if}
  <p class="text-sm text-soft">
    At the edges of the frame: what leaves the picture at the end can be seen coming, which is the better mark of the
    two.
  </p>
</section>
