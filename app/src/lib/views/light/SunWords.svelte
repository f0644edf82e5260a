<script lang="ts">
  import { clockAt, evOfDaylight, lightAt, momentOf, windowsOf } from '@gentle-arc/core/light';
  import { FIELDS, type Shot, type SitePlace, trim } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import DayStrip from './DayStrip.svelte';
  import LitWhen from './LitWhen.svelte';

  /** Where and when a shot is filmed, and what the sun makes of it. */
  const session = shotSession();
  const { shoot, shot, scene, samples } = $derived(session);
  const place = $derived(shoot.site.place);
  const at = $derived(shot.light.at === null ? null : new Date(shot.light.at));
  const clock = $derived(place && at && clockAt(place, at));
  const day = $derived(place && clock && windowsOf(place, clock.day));
  const sun = $derived(scene.sunAt?.(samples.tS[samples.count >> 1]) ?? null);
  let trouble: string | null = $state(null);

  const setPlace = (next: SitePlace | null, join: string | null = null) =>
    session.change({ ...shoot, site: { ...shoot.site, place: next } }, join && `place.${join}`);
  const setLight = (edit: Partial<Shot['light']>, join: string | null = null) =>
    session.changeShot((row) => ({ ...row, light: { ...row.light, ...edit } }), join);
  const setMoment = (forDay: string, time: string, join: string | null = null) => {
    if (!place || forDay === '' || time === '') return;
    const moment = momentOf(place, forDay, time);
    if (!Number.isNaN(moment.getTime())) setLight({ at: moment.toISOString().replace('.000Z', 'Z') }, join);
  };
  const round = (deg: number) => Math.round(deg * 1e4) / 1e4;
  const here = () => -new Date().getTimezoneOffset() / 60;
  const startPlace = () => setPlace({ latitudeDeg: 0, longitudeDeg: 0, utcOffsetH: here() });
  const startMoment = () => place && setMoment(clockAt(place, new Date()).day, '09:00');

  /** Where this device is, asked of whoever holds it when it is pressed. */
  function locate() {
    trouble = null;
    const failed = (why: string) =>
      (trouble = `This device did not say where it is (${why}). Type latitude and longitude instead.`);
    if (!('geolocation' in navigator)) {
      failed('it cannot tell');
      return;
    }
    navigator.geolocation.getCurrentPosition(
      ({ coords }) =>
        setPlace({ latitudeDeg: round(coords.latitude), longitudeDeg: round(coords.longitude), utcOffsetH: here() }),
      ({ code }) => failed(code === 1 ? 'it was not allowed to' : code === 3 ? 'it took too long' : 'it does not know'),
      { timeout: 15_000, maximumAge: 600_000 },
    );
  }

  const WINDS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];
  const windOf = (azimuthDeg: number) => WINDS[Math.round(azimuthDeg / 45) % 8];
  const ev = $derived(
    sun && sun.altitudeDeg > 0 ? Math.round(evOfDaylight(sun.altitudeDeg, shot.bench.sky) * 2) / 2 : null,
  );
</script>

{#if trouble}<Trouble class="mb-2">{trouble}</Trouble>{/if}
{#if place}
  <p class="said">
    <Sentence
      text={'The site lies at {latitudeDeg}° north, {longitudeDeg}° east; the clock there is {utcOffsetH} h ahead of UTC.'}
      facts={FIELDS.place}
      values={place}
      onchange={(key, value, join) => setPlace({ ...place, [key]: Number(value) }, join)}
    />
    <span class="whitespace-nowrap"
      ><button class="link" onclick={locate}>Where this device is</button>
      <button class="link ml-2" onclick={() => setPlace(null)}>Leave it away</button></span
    >
  </p>
{:else}
  <p>
    Nobody has said where on earth this is: the light comes from one lamp high up. Said once, it holds for the whole
    shoot; north on the plan is north there.
  </p>
  <p class="flex flex-wrap gap-x-3">
    <button class="link" onclick={startPlace}>Type where it is</button>
    <button class="link" onclick={locate}>Where this device is</button>
  </p>
{/if}
{#if place && at && clock && day && sun}
  <p class="said">
    Filmed on <input
      type="date"
      aria-label="Filmed on"
      value={clock.day}
      onchange={({ currentTarget }) => setMoment(currentTarget.value, clock.time)}
    />
    at
    <input
      type="time"
      aria-label="Filmed at"
      value={clock.time}
      onchange={({ currentTarget }) => setMoment(clock.day, currentTarget.value)}
    />: {lightAt(sun.altitudeDeg)}, the sun {trim(Math.abs(sun.altitudeDeg), 0)}°
    {sun.altitudeDeg < 0 ? 'below the horizon' : 'high'} in the {windOf(sun.azimuthDeg)} ({trim(sun.azimuthDeg, 0)}°).
    <button class="link" onclick={() => setLight({ at: null })}>Leave the time open</button>
  </p>
  <DayStrip {place} {day} {at} onpick={(time) => setMoment(clock.day, time, 'filmedAt')} />
  {#if ev !== null && ev !== shot.light.ev100}
    <p class="text-sm">
      Open ground is at about EV {trim(ev, 1)} then; the shot reckons with {trim(shot.light.ev100, 1)}.
      <button class="link" onclick={() => setLight({ ev100: ev })}>Reckon with EV {trim(ev, 1)}</button>
    </p>
  {/if}
  {#if scene.subject}<LitWhen {place} day={clock.day} onpick={(time) => setMoment(clock.day, time)} />{/if}
{:else if place}
  <p>
    <button class="link" onclick={startMoment}>Say when it is filmed</button>: then the sun stands where it will, with
    its shadows in the picture and on the plan.
  </p>
{/if}

<style>
  input {
    border: 0;
    border-bottom: 1.5px dotted var(--soft);
    background: transparent;
    color: var(--subject);
    font: inherit;
    font-weight: 650;
    min-height: 1.5rem;
    width: auto;
    padding: 0.05rem 0.2rem;
    field-sizing: content;
  }
</style>
