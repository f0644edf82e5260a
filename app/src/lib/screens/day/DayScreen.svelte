<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { WeatherForecast } from '@gentle-arc/core/light';
  import { clockAt } from '@gentle-arc/core/light';
  import { sayClock, sayMinutes } from '@gentle-arc/core/model';
  import { weatherOf } from '$lib/session/forecast';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import WordsBeside from '$lib/ui/WordsBeside.svelte';
  import DayRibbon from '$lib/views/day/DayRibbon.svelte';
  import { LiveDay } from '$lib/workers/live-day.svelte';
  import DayList from './DayList.svelte';
  import DayPapers from './DayPapers.svelte';
  import HoursWords from './HoursWords.svelte';
  import NowBar from './NowBar.svelte';
  import OrderWords from './OrderWords.svelte';
  import PackWords from './PackWords.svelte';
  import PowerWords from './PowerWords.svelte';
  import SkyWords from './SkyWords.svelte';
  import WishWords from './WishWords.svelte';

  /** The day of shooting: what is shot when and why, what does not fit, and where it stands. */
  type Word = 'order' | 'hours' | 'sky' | 'power' | 'pack' | 'papers' | 'shot';
  let { store }: { store: ShootStore } = $props();

  const { shoot } = $derived(store);
  const live = new LiveDay();
  let open = $state<Word>('order');
  let folded = $state(true);
  let chosenId: string | null = $state(null);
  let forecast = $state.raw<WeatherForecast | null>(null);
  let forecastSaid: string | null = $state(null);
  let fitAsked = $state(0);
  let nowMin: number | null = $state(null);

  const day = $derived(live.day.answer);
  const chosen = $derived(shoot.shots.find(({ id }) => id === chosenId) ?? null);
  const shown: Word = $derived(open === 'shot' && !chosen ? 'order' : open);
  const WORDS = $derived([
    { word: 'order' as const, name: 'Order' },
    { word: 'hours' as const, name: 'Hours' },
    { word: 'sky' as const, name: 'Weather' },
    { word: 'power' as const, name: 'Power' },
    { word: 'pack' as const, name: 'Pack' },
    { word: 'papers' as const, name: 'Papers' },
    ...(chosen ? [{ word: 'shot' as const, name: `Shot ${shoot.shots.indexOf(chosen) + 1}` }] : []),
  ]);
  const asked = $derived({ shoot, forecast, lateMin: 0, units: preferences.units });

  $effect(() => void live.day.ask(asked));
  $effect(() => {
    const { date } = shoot.day;
    const place = shoot.name;
    forecast = null;
    forecastSaid = null;
    if (date === null) return;
    void weatherOf(place, date).then((answer) => {
      if (shoot.day.date !== date || shoot.name !== place) return;
      if (typeof answer === 'string') forecastSaid = answer;
      else {
        ({ forecast } = answer);
        forecastSaid =
          answer.forecast.source + (answer.kept ? ' There is no network: this is the copy kept here.' : '');
      }
    });
  });
  /** The clock of the place, while it is that day there. */
  $effect(() => {
    const { date } = shoot.day;
    const zone = shoot.site.place ?? { utcOffsetH: -new Date().getTimezoneOffset() / 60 };
    const look = () => {
      const clock = clockAt(zone, new Date());
      const [hour, minute] = clock.time.split(':').map(Number);
      nowMin = clock.day === date ? hour * 60 + minute : null;
    };
    look();
    const timer = setInterval(look, 10_000);
    return () => clearInterval(timer);
  });
  onDestroy(() => live.close());

  function choose(id: string) {
    chosenId = id;
    open = 'shot';
    folded = false;
  }
  function fit() {
    open = 'order';
    folded = false;
    fitAsked += 1;
  }
  function turnTo(word: Word) {
    folded = word === shown && !folded;
    open = word;
  }
</script>

<WordsBeside label="More of this day" words={WORDS} open={shown} {folded} onopen={turnTo}>
  {#snippet large()}
    <div class="head">
      <h1 class="font-display text-3xl">Day</h1>
      {#if day}
        <p class="text-soft">
          {day.plan.entries.length}
          {day.plan.entries.length === 1 ? 'shot' : 'shots'}{day.plan.entries.length > 0
            ? `, ${sayClock(day.plan.startS / 60)} to ${sayClock(day.plan.endS / 60)}`
            : ''}{day.plan.waitS > 600 ? `, ${sayMinutes(day.plan.waitS)} of it waiting` : ''}{day.sunSaid
            ? `; ${day.sunSaid}`
            : ''}
        </p>
      {:else if !live.day.problem}<p class="text-soft" role="status">Looking at the shots…</p>{/if}
    </div>
    {#if live.day.problem}<Trouble>{live.day.problem}</Trouble>{/if}
    {#if live.problem}<Trouble>{live.problem}</Trouble>{/if}
    {#if day}
      <NowBar {store} {live} {asked} {day} {nowMin} onchoose={choose} />
      {#if day.plan.entries.length > 0}
        <DayRibbon
          {day}
          callMin={shoot.day.callMin}
          wrapMin={shoot.day.wrapMin}
          {nowMin}
          {chosenId}
          onchoose={choose}
        />
      {/if}
      <DayList {store} {day} fresh={live.day.question?.shoot === shoot} {chosenId} onchoose={choose} onfit={fit} />
    {/if}
  {/snippet}
  {#snippet beside()}
    {#if shown === 'order'}<OrderWords {store} {live} {asked} {day} {fitAsked} />
    {:else if shown === 'hours'}<HoursWords {store} {day} />
    {:else if shown === 'sky'}<SkyWords {store} {day} said={forecastSaid} />
    {:else if shown === 'power'}<PowerWords {store} {day} />
    {:else if shown === 'pack'}<PackWords {store} {day} />
    {:else if shown === 'papers'}<DayPapers {store} {live} {asked} {day} />
    {:else if chosen}<WishWords {store} shot={chosen} {day} />{/if}
  {/snippet}
</WordsBeside>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0.2rem 1rem;
    padding: 0.3rem 0;
  }
</style>
