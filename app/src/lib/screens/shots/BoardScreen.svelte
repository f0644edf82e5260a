<script lang="ts">
  import { onDestroy, tick, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { PlaySolid } from 'flowbite-svelte-icons';
  import { addShot } from '@gentle-arc/core/edit';
  import { type Shoot, type Shot, trim } from '@gentle-arc/core/model';
  import { filmSeconds } from '@gentle-arc/core/sequence';
  import { moveHref } from '$lib/session/links';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import WordsBeside from '$lib/ui/WordsBeside.svelte';
  import { ShotFrames } from '$lib/views/frames/shot-frames.svelte';
  import { LiveBoard } from '$lib/workers/live-board.svelte';
  import BoardList from './BoardList.svelte';
  import ChosenShots from './ChosenShots.svelte';
  import { FilmHead } from './film-head.svelte';
  import FilmPlayer from './FilmPlayer.svelte';
  import FilmWords from './FilmWords.svelte';
  import JoinWords from './JoinWords.svelte';
  import PatternWords from './PatternWords.svelte';
  import TakeAway from './TakeAway.svelte';

  /** The shots as a story: each with its frames, how they meet, the film that they make. */
  type Word = 'film' | 'lay' | 'away' | 'shots' | 'join';
  let { store }: { store: ShootStore } = $props();

  const { shoot } = $derived(store);
  const frames = new ShotFrames();
  const live = new LiveBoard(() => frames.busy);
  const head = new FilmHead();
  // One shot is no film yet: what could follow is asked first.
  let open = $state<Word>(untrack(() => (store.shoot.shots.length < 2 ? 'lay' : 'film')));
  let chosenIds: string[] = $state.raw([]);
  /** The first of the two shots that meet where the join is looked at. */
  let joinId: string | null = $state(null);
  let playing = $state(false);
  /** On a phone the words beside the board lie folded at its foot. */
  let folded = $state(true);
  let coverOf: string | null = $state(null);
  /** The shoot as it was when the join was opened. */
  let before: Shoot | null = $state.raw(null);
  let showsBefore = $state(false);

  const rows = $derived(shoot.shots);
  const { story } = $derived(live);
  const joins = $derived(new Map((story?.joins ?? []).map((row) => [`${row.fromId} ${row.toId}`, row])));
  const there = $derived(chosenIds.filter((id) => shoot.shots.some((shot) => shot.id === id)));
  const joinAt = $derived(shoot.shots.findIndex(({ id }) => id === joinId));
  const joinOpen = $derived(joinAt >= 0 && joinAt + 1 < shoot.shots.length);
  const shown: Word = $derived(
    (open === 'shots' && there.length === 0) || (open === 'join' && !joinOpen) ? 'film' : open,
  );
  const WORDS = $derived([
    { word: 'film' as const, name: 'Film' },
    { word: 'lay' as const, name: 'Lay out' },
    { word: 'away' as const, name: 'Take away' },
    ...(there.length > 0
      ? [{ word: 'shots' as const, name: there.length > 1 ? `${there.length} shots` : 'Shot' }]
      : []),
    ...(joinOpen ? [{ word: 'join' as const, name: 'Join' }] : []),
  ]);

  void untrack(() => frames.getReady(shoot));
  $effect(() => void live.ask(shoot, coverOf));
  onDestroy(() => {
    live.close();
    frames.close();
    head.close();
  });

  /** What is played: the film as it is, or as it was when the join was opened. */
  const earlier = new LiveBoard();
  onDestroy(() => earlier.close());
  $effect(() => {
    if (showsBefore && before) void earlier.ask(before, null);
  });
  // A film that is not all there yet would take the head back to its end.
  const showing = $derived(
    showsBefore && before && earlier.story?.whole ? { shoot: before, story: earlier.story } : null,
  );
  const playedShoot = $derived(showing?.shoot ?? shoot);
  const playedFilm = $derived((showing?.story ?? story)?.film ?? []);
  const hasBefore = $derived(before !== null && before !== shoot && open === 'join');

  function choose(id: string, also: boolean) {
    const had = there.includes(id);
    if (also || there.length > 1) chosenIds = had ? there.filter((row) => row !== id) : [...there, id];
    else chosenIds = had ? [] : [id];
    open = 'shots';
    folded = false;
  }
  function openJoin(shot: Shot) {
    if (joinId !== shot.id || before === null) before = shoot;
    showsBefore = false;
    joinId = shot.id;
    open = 'join';
    folded = false;
  }
  function turnTo(word: Word) {
    folded = word === shown && !folded;
    open = word;
  }
  function play() {
    playing = true;
    head.loop = null;
    head.fit(story?.film ?? []);
    head.play();
  }
  const AROUND_S = 1.5;
  function playJoin() {
    const stretch = story?.film.findLast(({ index }) => index === joinAt);
    if (!story || !stretch) return;
    playing = true;
    const next = story.film.find(({ index }) => index === joinAt + 1);
    const end = filmSeconds(story.film);
    head.fit(story.film);
    head.loop = {
      fromS: Math.max(0, stretch.fromS, stretch.toS - AROUND_S),
      toS: Math.min(end, (next?.fromS ?? stretch.toS) + AROUND_S),
    };
    head.to(head.loop.fromS);
    head.play();
  }
  function stop() {
    head.pause();
    head.loop = null;
    showsBefore = false;
    playing = false;
  }

  function add() {
    const id = newId('shot');
    if (store.change(addShot(shoot, id))) void goto(moveHref(shoot.id, id));
  }
  async function show(number: number) {
    stop();
    await tick();
    document.querySelector(`[data-number="${number}"]`)?.scrollIntoView({ block: 'center' });
    const shot = shoot.shots[number - 1];
    if (shot) chosenIds = [shot.id];
  }
</script>

<WordsBeside label="More of this film" words={WORDS} open={shown} {folded} onopen={turnTo}>
  {#snippet large()}
    <div class="head">
      <h1 class="font-display text-3xl">Shots</h1>
      <p class="text-soft">
        {rows.length}
        {rows.length === 1 ? 'shot' : 'shots'}{story ? `, ${trim(filmSeconds(story.film), 0)} s in the cut` : ''}
      </p>
      <span class="flex-1"></span>
      {#if !playing && rows.length > 0}<button class="main-button" disabled={!story} onclick={play}
          ><PlaySolid class="h-4 w-4" /> Play the film</button
        >{/if}
    </div>
    {#if live.problem}<Trouble>{live.problem}</Trouble>{/if}
    {#if frames.problem}<Trouble>{frames.problem}</Trouble>{/if}
    {#if playing}
      <FilmPlayer
        shoot={playedShoot}
        film={playedFilm}
        {head}
        looking={live.problem === null}
        was={hasBefore ? showsBefore : null}
        onwas={(was) => (showsBefore = was)}
        onclose={stop}
      />
    {:else}
      <BoardList
        {store}
        {live}
        {frames}
        chosenIds={there}
        joinId={shown === 'join' ? joinId : null}
        onchoose={choose}
        onjoin={openJoin}
        onlay={() => turnTo('lay')}
      />
      <button class="main-button mt-4 mb-6" onclick={add}>Add a shot</button>
    {/if}
  {/snippet}
  {#snippet beside()}
    {#if shown === 'film'}<FilmWords
        {store}
        {story}
        looking={live.problem === null && !story?.whole}
        {coverOf}
        oncover={(id) => (coverOf = id)}
        onshow={(number) => void show(number)}
      />
    {:else if shown === 'lay'}<PatternWords {store} onlaid={(ids) => (chosenIds = ids)} />
    {:else if shown === 'away'}<TakeAway {store} {story} {frames} />
    {:else if shown === 'shots'}<ChosenShots {store} ids={there} onchosen={(ids) => (chosenIds = ids)} />
    {:else if joinOpen}
      <JoinWords
        {store}
        index={joinAt}
        join={joins.get(`${shoot.shots[joinAt].id} ${shoot.shots[joinAt + 1].id}`) ?? null}
        {live}
        {frames}
        onplay={playJoin}
      />
    {/if}
  {/snippet}
</WordsBeside>

<style>
  .head {
    position: sticky;
    top: 0;
    z-index: 2;
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0.2rem 1rem;
    padding: 0.3rem 0;
    background: var(--paper);
  }
</style>
