<script lang="ts">
  import type { WeatherForecast } from '@gentle-arc/core/light';
  import { sayWind } from '@gentle-arc/core/supports';
  import Choice from '$lib/ui/Choice.svelte';
  import { weatherOf } from '$lib/session/forecast';

  /** Wind from the forecast of a day: asked for, kept in the browser, and put on the rig with one press. */
  let { place, onwind }: { place: string; onwind: (windMps: number) => void } = $props();

  let day = $state(new Date().toISOString().slice(0, 10));
  let hour = $state('14');
  let answer = $state.raw<{ forecast: WeatherForecast; kept: boolean } | string | null>(null);
  const row = $derived(answer !== null && typeof answer !== 'string' ? answer.forecast.hours[Number(hour)] : null);
</script>

<p class="said">
  Wind forecast for <input
    class="typed-word"
    type="date"
    aria-label="Day of the forecast"
    bind:value={day}
    onchange={() => (answer = null)}
  />
  at <Choice
    label="Hour"
    value={hour}
    items={Array.from({ length: 24 }, (_, i) => ({ value: String(i), name: `${i}:00` }))}
    onchange={(value) => (hour = value)}
  />:
  {#if row}<b>{sayWind(row.windMps)}, gusts {sayWind(row.gustMps)}</b>.
    <button class="link" onclick={() => onwind(row.gustMps)}>Reckon with the gusts</button>{:else}<button
      class="link"
      onclick={async () => (answer = await weatherOf(place, day))}>ask for it</button
    >{/if}
</p>
{#if typeof answer === 'string'}<p role="alert" class="text-sm text-near">{answer}</p>
{:else if answer}<p class="text-sm text-soft">
    {answer.forecast.source}{answer.kept ? ' There is no network: this is the copy kept here.' : ''}
  </p>{/if}
