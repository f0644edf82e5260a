<script lang="ts">
  import { FIELDS, sayLength } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import { focusPlan } from '@gentle-arc/core/reading';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { stripOf } from './ring-strip';
  import { preferences } from '$lib/ui/preferences.svelte';

  /**
   * Marks for whoever pulls focus: a strip to cut out and lay round the ring, and a list to count by. Made for paper.
   */
  const session = shotSession();
  const { shoot, shot, scene } = $derived(session);
  const plan = $derived(focusPlan(session.film));
  const length = (m: number) => sayLength(m, preferences.units);
  /** A ring this far across carries the strip; typed by whoever prints it. */
  const acrossMm = $derived(shot.bench.ringAcrossMm);
  /** Whole seconds to count by; where two marks would fall on one count, tenths. */
  const counts = $derived.by(() => {
    const whole = plan.marks.map(({ actionS }) => `${Math.round(actionS)}`);
    return new Set(whole).size === whole.length ? whole : plan.marks.map(({ actionS }) => actionS.toFixed(1));
  });
  const strip = $derived(
    stripOf(
      plan.marks.map(({ ringDeg }) => ringDeg),
      (Math.PI * acrossMm) / 360,
    ),
  );
  const ROW_MM = 5;
  const heightMm = $derived(17 + strip.rows * ROW_MM);
</script>

<main>
  <header>
    <h1 class="font-display text-2xl">Focus marks: {shot.name}</h1>
    <p>{scene.lens.name} at {shot.focalLengthMm} mm, f/{shot.fNumber}. {shoot.name}.</p>
  </header>
  <div class="no-print tools">
    <button class="link font-semibold" onclick={() => window.print()}>Print</button>
    <span class="said"
      >The ring is <Hole
        fact={FIELDS.bench.ringAcrossMm}
        value={acrossMm}
        onchange={(ringAcrossMm: number) => session.changeBench({ ringAcrossMm }, 'bench.ring')}
      /> across</span
    >
  </div>
  <svg
    width="{strip.lengthMm}mm"
    height="{heightMm}mm"
    viewBox="0 0 {strip.lengthMm} {heightMm}"
    role="img"
    aria-label="Strip for the focus ring, {strip.lengthMm.toFixed(0)} millimetres long"
  >
    <rect x="0.2" y="0.2" width={strip.lengthMm - 0.4} height={heightMm - 0.4} />
    {#each strip.places as { atMm, text, row } (atMm)}
      <line x1={atMm} x2={atMm} y1="0" y2={9 + row * ROW_MM} />
      <text x={atMm} y={15 + row * ROW_MM} text-anchor="middle">{text}</text>
    {/each}
  </svg>
  <p class="small">
    Cut along the edge and lay it round the ring: it goes by a ring of {scene.lens.ringDeg}° that turns evenly. Check
    each mark against the lens before the take.
  </p>
  <table>
    <thead>
      <tr><th>Mark</th><th>Distance</th><th>At</th><th>Count</th><th>Ring</th></tr>
    </thead>
    <tbody>
      {#each plan.marks as mark, i (i)}
        <tr>
          <td>{i + 1}{i === 0 ? ' start' : i === plan.marks.length - 1 ? ' end' : ''}</td>
          <td><b>{length(mark.distanceM)}</b></td>
          <td>{mark.actionS.toFixed(1)} s</td>
          <td>{counts[i]}</td>
          <td>{Math.round(mark.ringDeg)}°</td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if plan.marksSharpShare < 0.995}<p class="small">
      Pulled evenly from mark to mark, {Math.round(plan.marksSharpShare * 100)}% of the shot stays sharp: more marks
      nobody keeps in mind. A deeper stop or a slower action helps.
    </p>{/if}
  <p class="small">Times and counts run from the first recorded frame, in the time of the action.</p>
</main>

<style>
  main {
    max-width: 46rem;
    padding: 1rem;
  }
  .tools {
    display: flex;
    gap: 1.2rem;
    padding: 0.6rem 0;
  }
  svg {
    max-width: 100%;
    margin-top: 0.6rem;
  }
  rect {
    fill: none;
    stroke: var(--soft);
    stroke-width: 0.3;
    stroke-dasharray: 1.5 1;
  }
  line {
    stroke: var(--ink);
    stroke-width: 0.6;
  }
  text {
    font-size: 4.4px;
    font-weight: 650;
    fill: var(--ink);
  }
  table {
    width: 100%;
    margin-top: 1rem;
    font-size: 1.05rem;
  }
  th {
    padding: 0.3rem 0.6rem 0.3rem 0;
    text-align: left;
    font-weight: 500;
    color: var(--soft);
  }
  td {
    padding: 0.45rem 0.6rem 0.45rem 0;
    border-top: 1px solid var(--hairline);
  }
  .small {
    margin-top: 0.4rem;
    font-size: 0.9rem;
    color: var(--soft);
  }
  @media print {
    .no-print {
      display: none;
    }
  }
</style>
