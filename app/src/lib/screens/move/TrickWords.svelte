<script lang="ts">
  import { asFall } from '@gentle-arc/core/edit';
  import { DECIDES, sayMass, trim } from '@gentle-arc/core/model';
  import { armsIn, fallOf, trickIn } from '@gentle-arc/core/reading';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import FactList from '$lib/views/rig/FactList.svelte';

  /** What the odd rigs ask for: their numbers, tries and tape; and how long arms hold what they carry. */
  const session = shotSession();
  const { shoot } = $derived(session);
  const trick = $derived(trickIn(session.film, shoot.kit, preferences.units));
  const sinkM = $derived(fallOf(session.film, session.active));
  /** More tries than anybody makes without a rest. */
  const MANY = 12;
  const arms = $derived(armsIn(session.film, shoot.kit));
</script>

{#if trick}
  <section aria-label="What this rig asks for" class="text-sm">
    <FactList facts={trick.facts} />
    {#if sinkM !== null}
      <button class="link" onclick={() => session.changeShot((row) => asFall(row, session.active, sinkM))}
        >Time the move as the fall that it is</button
      >
    {/if}
    <ul class="list-disc pl-5 leading-relaxed" aria-label="To tape and to mind">
      {#each trick.steps as step (step)}<li>{step}</li>{/each}
    </ul>
    <p class="text-soft">{DECIDES}</p>
  </section>
{/if}
{#if arms}
  <p class="text-sm">
    {#if arms.minutes === Infinity}
      {sayMass(arms.massKg, preferences.units)} so held tire nobody soon.
    {:else if arms.minutes === 0}
      {sayMass(arms.massKg, preferences.units)} cannot be held so: lean it on something, or take a vest or a strap.
    {:else}
      Arms hold {sayMass(arms.massKg, preferences.units)} so for about
      <b>{trim(arms.minutes, arms.minutes < 3 ? 1 : 0)} minutes</b>
      before they shake{arms.tries > MANY
        ? ''
        : `: ${arms.tries < 1 ? 'not one try' : arms.tries === 1 ? 'one try' : `${arms.tries} tries`} in a row`}, and
      rest as long.
    {/if}
    <span class="text-soft">By how long muscles hold (Rohmert 1960); people differ by half.</span>
  </p>
{/if}
