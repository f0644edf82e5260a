<script lang="ts">
  import { FIELDS, type Lens, type Puller, trim } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import type { FocusPlan } from '@gentle-arc/core/reading';
  import GradeMark from '$lib/ui/GradeMark.svelte';

  /**
   * Who can pull this focus: what the quickest moment asks, against what hands, motors and autofocus usually manage.
   */
  interface Props {
    plan: FocusPlan;
    puller: Puller;
    lens: Lens;
    limitsHref: string;
    onpuller: (puller: Puller) => void;
    onring: (ringDeg: number) => void;
  }
  let { plan, puller, lens, limitsHref, onpuller, onring }: Props = $props();

  const NAMES: Record<Puller, string> = { hand: 'A hand', motor: 'A motor', autofocus: 'Autofocus' };
  const UNIT: Record<string, string> = { 'deg/s': '° a second', 'dioptres/s': ' dioptres a second' };
  const digits = (unit: string) => (unit === 'deg/s' ? 0 : 2);
</script>

{#if plan.pull}
  <p class="said">
    At the quickest, {plan.pull.atS.toFixed(1)} s in, the focus goes {trim(plan.pull.dioptresPerS, 2)} dioptres a second:
    {trim(plan.pull.ringDegps, 0)}° of a ring that turns
    <Hole fact={FIELDS.lens.ringDeg} value={lens.ringDeg} onchange={onring} /> from {lens.name}’s closest to infinity.
  </p>
{:else}
  <p class="said">The focus never stirs: nobody has to pull it.</p>
{/if}
<div role="radiogroup" aria-label="Who pulls the focus">
  {#each plan.pullers as row (row.puller)}
    <button role="radio" aria-checked={row.puller === puller} onclick={() => onpuller(row.puller)}>
      <GradeMark grade={row.grade} />
      <b>{NAMES[row.puller]}</b>
      <span
        >{plan.pull ? `${trim(row.value, digits(row.unit))} of ` : 'up to '}{trim(row.limit, digits(row.unit))}{UNIT[
          row.unit
        ]}</span
      >
    </button>
  {/each}
</div>
<p class="text-sm text-soft">
  What each usually manages is common practice, no published source. <a class="link" href={limitsHref}>Set your own</a>
</p>

<style>
  button {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    width: 100%;
    padding: 0.3rem 0.5rem;
    border-radius: 10px;
    text-align: left;
    cursor: pointer;
  }
  button[aria-checked='true'] {
    box-shadow: inset 0 0 0 2px var(--subject);
  }
  b {
    min-width: 5.2rem;
  }
  @media (pointer: coarse) {
    button {
      min-height: 2.75rem;
    }
  }
</style>
