<script lang="ts">
  import { onDestroy } from 'svelte';
  import { page } from '$app/state';
  import { replaceState } from '$app/navigation';
  import { tallyOf } from '@gentle-arc/core/take';
  import { takesHref } from '$lib/session/links';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import ShotGone from '$lib/ui/ShotGone.svelte';
  import WordsBeside from '$lib/ui/WordsBeside.svelte';
  import { LiveClip } from '$lib/workers/live-clip.svelte';
  import { LiveTake } from '$lib/workers/live-take.svelte';
  import FootageStage from './FootageStage.svelte';
  import FootageWords from './FootageWords.svelte';
  import { Footage } from './footage.svelte';
  import HandsChart from './HandsChart.svelte';
  import HandsOfMine from './HandsOfMine.svelte';
  import LogStage from './LogStage.svelte';
  import MotionStage from './MotionStage.svelte';
  import MotionWords from './MotionWords.svelte';
  import { Recordings } from './recordings.svelte';
  import ReportStage from './ReportStage.svelte';
  import ReportWords from './ReportWords.svelte';
  import ShotChooser from './ShotChooser.svelte';
  import ShotsTried from './ShotsTried.svelte';

  /** What was tried, what really moved, and what the footage shows against the plan. */
  type Word = 'log' | 'motion' | 'footage' | 'hands' | 'report';
  let { store }: { store: ShootStore } = $props();

  const { shoot } = $derived(store);
  const live = new LiveTake();
  const liveClip = new LiveClip();
  const footage = new Footage(liveClip);
  const recordings = new Recordings(
    () => store,
    live,
    (id) => (chosenTake = id),
  );
  let open = $state<Word>('log');
  let folded = $state(true);
  let chosenTake: string | null = $state(null);
  let day: string | null = $state(null);

  const WORDS: { word: Word; name: string }[] = [
    { word: 'log', name: 'Log' },
    { word: 'motion', name: 'Motion' },
    { word: 'footage', name: 'Footage' },
    { word: 'hands', name: 'My hands' },
    { word: 'report', name: 'Report' },
  ];
  const tally = $derived(tallyOf(shoot));
  const wished = $derived(page.url.searchParams.get('shot'));
  let chosenShot: string | null = $state(null);
  const row = $derived(
    tally.find(({ shotId }) => shotId === (chosenShot ?? wished)) ??
      tally.findLast(({ takes }) => takes.length > 0) ??
      tally.at(0) ??
      null,
  );
  const strayed = $derived(
    wished !== null && chosenShot === null && row !== null && tally.every(({ shotId }) => shotId !== wished),
  );
  /** The take that is looked at: the chosen one, else the latest. */
  const take = $derived(row ? (row.takes.find(({ id }) => id === chosenTake) ?? row.takes.at(-1) ?? null) : null);
  const shot = $derived(shoot.shots.find(({ id }) => id === row?.shotId) ?? null);

  onDestroy(() => {
    recordings.close();
    live.close();
    liveClip.close();
  });

  function choose(shotId: string) {
    chosenShot = shotId;
    chosenTake = null;
    replaceState(takesHref(shoot.id, shotId), {});
  }
  function turnTo(word: Word) {
    // On a phone the log is counted on its stage; all else begins with what lies under its word.
    folded = word === open ? !folded : word === 'log';
    open = word;
  }
  function look(id: string, word: Word) {
    chosenTake = id;
    open = word;
    folded = true;
  }
</script>

<WordsBeside label="More of these takes" words={WORDS} {open} {folded} onopen={turnTo} scrolls={open === 'report'}>
  {#snippet large()}
    {#if open !== 'hands' && open !== 'report'}
      <ShotChooser {tally} chosen={row} onchoose={choose} />
    {/if}
    {#if strayed && row}<ShotGone onstay={() => choose(row.shotId)} />{/if}
    {#if row === null}
      <p class="said">There is no shot yet: plan one on Shots, and its takes are counted here.</p>
    {:else if open === 'log'}
      <LogStage {store} {row} {shot} {take} onchoose={(id) => (chosenTake = id)} onlook={look} />
    {:else if open === 'motion'}
      {#key take?.id}<MotionStage {store} {shot} {take} {live} name={row.name} />{/key}
    {:else if open === 'footage'}
      <FootageStage {store} {shot} {row} {take} {liveClip} {footage} />
    {:else if open === 'hands'}
      <HandsChart {store} {live} />
    {:else}
      <ReportStage {store} {day} />
    {/if}
  {/snippet}
  {#snippet beside()}
    {#if open === 'log'}<ShotsTried {store} {tally} chosen={row} onchoose={choose} />
    {:else if open === 'motion'}<MotionWords {store} {shot} {take} {recordings} />
    {:else if open === 'footage'}<FootageWords
        {store}
        {shot}
        {take}
        {liveClip}
        {footage}
        onmade={(id) => (chosenTake = id)}
      />
    {:else if open === 'hands'}<HandsOfMine {store} {live} />
    {:else}<ReportWords {store} {day} onday={(value) => (day = value)} />{/if}
  {/snippet}
</WordsBeside>
