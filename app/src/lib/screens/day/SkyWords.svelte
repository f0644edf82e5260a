<script lang="ts">
  import { changeDay } from '@gentle-arc/core/edit';
  import { FIELDS, saySpeed, type WeatherHour } from '@gentle-arc/core/model';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import type { ShownDay } from '$lib/workers/day-messages';

  /** The weather that the day reckons with: the forecast, or what was typed; and what it does to rigs. */
  let { store, day, said }: { store: ShootStore; day: ShownDay | null; said: string | null } = $props();

  const { shoot } = $derived(store);
  const typed = $derived(shoot.day.weather);
  const hours = $derived(typed ?? day?.weather ?? null);
  let hour = $state(12);
  const row = $derived(hours?.[hour] ?? null);
  const calm: WeatherHour[] = Array.from({ length: 24 }, (_, at) => ({
    hour: at,
    windMps: 2,
    gustMps: 3,
    rainMmph: 0,
    cloudShare: 0.2,
  }));
  const set = (weather: WeatherHour[] | null, join: string | null = null) =>
    store.change(changeDay(shoot, { weather }), join && `weather.${join}`);
  function change(key: string, value: number | string, join: string | null) {
    if (!typed) return;
    const next = typed.map((at) => (at.hour === hour ? { ...at, [key]: Number(value) } : at));
    // Gusts are never below the wind.
    const fixed = next.map((at) =>
      key === 'windMps'
        ? { ...at, gustMps: Math.max(at.gustMps, at.windMps) }
        : { ...at, windMps: Math.min(at.windMps, at.gustMps) },
    );
    set(fixed, join && `${hour}.${join}`);
  }
  const limits = $derived(
    day
      ? [
          ...new Map(
            day.plan.entries.flatMap(({ work, shotId }) =>
              shotId in day.gustMaxMps ? [[work.rigName, day.gustMaxMps[shotId]] as const] : [],
            ),
          ).entries(),
        ]
      : [],
  );
  const speed = (mps: number) => saySpeed(mps, preferences.units);
  const shownHours = $derived(
    (hours ?? []).filter(
      ({ hour: at }) => at >= Math.floor(shoot.day.callMin / 60) && at <= Math.ceil(shoot.day.wrapMin / 60),
    ),
  );
</script>

<section aria-label="Weather" class="words word-pane">
  {#if !hours}
    <p>Nobody has said which day: there is no forecast. Say the date under Hours, or type the weather.</p>
    <p><button class="link" onclick={() => set(calm)}>Type the weather</button></p>
  {:else}
    {#if typed}<p>
        Typed here, hour by hour. <button class="link" onclick={() => set(null)}>Take the forecast again</button>
      </p>
    {:else}<p class="text-soft">{said ?? ''}</p>
      <p>
        <button class="link" onclick={() => set(hours.map((at) => ({ ...at })))}>Type what you know better</button>
      </p>{/if}
    {#if typed && row}
      <p class="said">
        At <Choice
          label="Hour"
          value={String(hour)}
          items={typed.map(({ hour: at }) => ({ value: String(at), name: `${at}:00` }))}
          onchange={(value) => (hour = Number(value))}
        />:
        <Sentence
          text={'wind {windMps}, gusts {gustMps}, rain {rainMmph} mm an hour, sky {cloudShare} covered.'}
          facts={FIELDS.weather}
          values={row}
          onchange={change}
        />
      </p>
    {/if}
    <table>
      <thead><tr><th>Hour</th><th>Wind</th><th>Gusts</th><th>Rain</th><th>Sky covered</th></tr></thead>
      <tbody>
        {#each shownHours as at (at.hour)}
          <tr>
            <th scope="row">{at.hour}:00</th>
            <td>{speed(at.windMps)}</td>
            <td>{speed(at.gustMps)}</td>
            <td>{at.rainMmph > 0 ? `${at.rainMmph} mm` : '—'}</td>
            <td>{Math.round(at.cloudShare * 100)}%</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <h2>What it does</h2>
    <ul>
      {#each limits as [name, mps] (name)}<li>{name} is used in gusts up to {speed(mps)} at the camera.</li>{/each}
      <li>
        Nothing flies in rain. Other rigs: a cover on the camera, a cloth for the lens; tied, so that no sound flaps.
      </li>
      <li>A closed sky takes about two stops and all hard light; what wants the sun is best shot first.</li>
    </ul>
    <p class="text-sm text-soft">
      Limits are common practice, or the drone’s own thrust. Measure where the camera is. Local rules and whoever is
      qualified decide.
    </p>
  {/if}
</section>

<style>
  th,
  td {
    padding: 0.1rem 0.4rem 0.1rem 0;
    text-align: left;
    font-weight: 400;
  }
  thead th {
    color: var(--soft);
  }
  tbody tr {
    border-top: 1px solid var(--hairline);
  }
</style>
