<script lang="ts">
  import { percent, speedWords, trimmedSeconds } from '@gentle-arc/core/findings';
  import { trim } from '@gentle-arc/core/model';
  import type { Figures } from '@gentle-arc/core/reading';

  /** The numbers behind the sentences: layers, limits of speed, evenness, and what stands at the edges of the frame. */
  let { figures }: { figures: Figures } = $props();

  const NAMES = { near: 'Near', subject: 'Subject', far: 'Far' } as const;
  const window = $derived(figures.speedLimits.window);
  const plain = $derived(trimmedSeconds(1 / figures.speedLimits.plain));
  const held = $derived(trimmedSeconds(1 / figures.speedLimits.held));
</script>

<div class="wide">
  <table>
    <thead>
      <tr><th></th><th>crosses in</th><th>blur</th><th>against subject</th><th>slides</th><th>grows</th></tr>
    </thead>
    <tbody>
      {#each figures.layers as layer (layer.layer)}
        <tr>
          <th class={layer.layer}>{NAMES[layer.layer]}</th>
          <td>{Number.isFinite(layer.crossingS) ? trimmedSeconds(layer.crossingS) : 'still'}</td>
          <td>{Math.round(layer.blurPx)} px<br /><small>{percent(layer.blurShare)}</small></td>
          <td>{layer.layer === 'subject' ? '–' : speedWords(layer.parallax)}</td>
          <td>{percent(layer.slide)}</td>
          <td>{layer.growth === null ? '–' : `× ${trim(layer.growth, 2)}`}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
<p>
  Crossing-time rule (camera handbooks): {plain} or slower reads smoothly at this frame rate{figures.speedLimits.isHeld
    ? `, and ${held} for near and far while the eye rests on the held subject`
    : ''}. Window of visibility (Watson, Ahumada &amp; Farrell 1986): {window === 0
    ? 'a sharp eye can see steps at any speed'
    : Number.isFinite(window)
      ? `a sharp eye can see steps from ${speedWords(window)} on`
      : 'the blur hides every step'}.
</p>
{#if figures.evenness.picture}
  <p>
    Evenness in the picture {trim(figures.evenness.picture.spectral, 2)}{figures.evenness.rig
      ? `, in the rig ${trim(figures.evenness.rig.spectral, 2)}`
      : ''} (spectral arc length, −1.41 at best){figures.evenness.picture.jerk === null
      ? ''
      : `; log dimensionless jerk ${trim(figures.evenness.picture.jerk, 1)} (−5.3 at best)`}.
  </p>
{/if}
{#if figures.marks.length > 0}
  {#each ['start', 'end'] as const as when (when)}
    {@const marks = figures.marks.filter((mark) => mark.when === when)}
    {#if marks.length > 0}
      <p>
        <b>At the {when}:</b>
        {#each marks as mark, i (i)}<span class="mark"
            >{mark.sentence}{#if mark.trailing}
              <b>You can see it coming.</b>{/if}</span
          >{/each}
      </p>
    {/if}
  {/each}
{/if}

<style>
  .wide {
    overflow-x: auto;
  }
  table {
    width: 100%;
    margin: 0.3rem 0;
    border-collapse: collapse;
    font-size: 0.875rem;
  }
  th,
  td {
    padding: 0.15rem 0.4rem 0.15rem 0;
    text-align: right;
    vertical-align: top;
    border-bottom: 1px solid var(--hairline);
    line-height: 1.2;
  }
  thead th {
    font-weight: 400;
    color: var(--soft);
    white-space: nowrap;
  }
  th:first-child {
    text-align: left;
  }
  .near {
    color: var(--near);
  }
  .subject {
    color: var(--subject);
  }
  .far {
    color: var(--far-ink);
  }
  .mark + .mark,
  .mark b {
    margin-left: 0.35em;
  }
  small {
    color: var(--soft);
  }
  p {
    margin: 0.35rem 0;
    font-size: 0.875rem;
    line-height: 1.35;
  }
</style>
