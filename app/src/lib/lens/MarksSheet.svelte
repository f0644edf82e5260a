<script lang="ts">
  import { setupOf, type Shoot } from '@gentle-arc/core/model/shoot';
  import type { Shot } from '@gentle-arc/core/model/shot';
  import { sayLength } from '@gentle-arc/core/model/units';
  import { focusPlan } from '@gentle-arc/core/reading/focus-plan';
  import NumberField from '$lib/parts/NumberField.svelte';
  import { preferences } from '$lib/store/preferences.svelte';

  /** Marks for whoever pulls focus: a strip to cut out and lay round the ring, and a list to count by. Made for paper. */
  let { shoot, shot }: { shoot: Shoot; shot: Shot } = $props();

  const setup = $derived(setupOf(shoot, shot));
  const plan = $derived(focusPlan(shoot, shot));
  const length = (m: number) => sayLength(m, preferences.units);
  /** A ring this far across carries the strip; typed by whoever prints it. */
  let acrossMm = $state(75);
  const mmPerDeg = $derived((Math.PI * acrossMm) / 360);
  const from = $derived(Math.min(...plan.marks.map(({ ringDeg }) => ringDeg)));
  const to = $derived(Math.max(...plan.marks.map(({ ringDeg }) => ringDeg)));
  const stripMm = $derived(Math.max(24, (to - from) * mmPerDeg + 24));
  const at = (ringDeg: number) => 12 + (ringDeg - from) * mmPerDeg;
  /** Marks at the same place of the ring are written once, with all their numbers. */
  const places = $derived.by(() => {
    const found: { ringDeg: number; numbers: number[] }[] = [];
    plan.marks.forEach(({ ringDeg }, i) => {
      const same = found.find((row) => Math.abs(row.ringDeg - ringDeg) * mmPerDeg < 1.5);
      if (same) same.numbers.push(i + 1);
      else found.push({ ringDeg, numbers: [i + 1] });
    });
    return found;
  });
</script>

<main>
  <header>
    <h1 class="font-display text-2xl">Focus marks: {shot.name}</h1>
    <p>{setup.lens.name} at {shot.focalLengthMm} mm, f/{shot.fNumber}. {shoot.name}.</p>
  </header>
  <div class="no-print tools">
    <button class="link font-semibold" onclick={() => window.print()}>Print</button>
    <span class="said">The ring is <NumberField label="Ring diameter" value={acrossMm} unit="mm" min={20} max={200} step={1} onchange={(mm) => (acrossMm = mm)} /> across</span>
  </div>
  <svg width="{stripMm}mm" height="22mm" viewBox="0 0 {stripMm} 22" role="img" aria-label="Strip for the focus ring, {stripMm.toFixed(0)} millimetres long">
    <rect x="0.2" y="0.2" width={stripMm - 0.4} height="21.6" />
    {#each places as place (place.ringDeg)}
      <line x1={at(place.ringDeg)} x2={at(place.ringDeg)} y1="0" y2="9" />
      <text x={at(place.ringDeg)} y="15" text-anchor="middle">{place.numbers.join(' ')}</text>
    {/each}
  </svg>
  <p class="small">Cut along the edge and lay it round the ring: it goes by a ring of {setup.lens.ringDeg}° that turns evenly. Check each mark against the lens before the take.</p>
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
          <td>{Math.round(mark.actionS)}</td>
          <td>{Math.round(mark.ringDeg)}°</td>
        </tr>
      {/each}
    </tbody>
  </table>
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
