<script lang="ts">
  import { FIELDS } from '@gentle-arc/core/model';
  import { setUpNote } from '@gentle-arc/core/reading';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';

  /** What is set in the camera for this shot, as a note to take along; what does not suit the shot is said first. */
  const session = shotSession();
  const { shot } = $derived(session);
  const lines = $derived(setUpNote(session.film).sort((a, b) => Number(a.suits) - Number(b.suits)));
  const amiss = $derived(lines.filter(({ suits }) => !suits).length);
</script>

<details open={amiss > 0}>
  <summary
    >Set in the camera{amiss > 0
      ? `: ${amiss} ${amiss === 1 ? 'thing does' : 'things do'} not suit the shot`
      : ''}</summary
  >
  <p class="said">
    <Sentence
      text={'Exposure {exposure}, white balance {whiteBalance}; the picture {profile}, sharpness and contrast {sharpness}; stabilisers {stabiliser}.'}
      facts={FIELDS.setUp}
      values={shot.setUp}
      onchange={(key, value) => session.changeShot((row) => ({ ...row, setUp: { ...row.setUp, [key]: value } }))}
    />
  </p>
  <ul aria-label="Set in the camera">
    {#each lines as { key, suits, said } (key)}
      <li class="graded-line"><GradeMark grade={suits ? 'fits' : 'tight'} /><span>{said}</span></li>
    {/each}
  </ul>
</details>

<style>
  summary {
    cursor: pointer;
    color: var(--soft);
  }
  li {
    font-size: 0.92rem;
  }
</style>
