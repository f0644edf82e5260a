<script lang="ts">
  import { goto } from '$app/navigation';
  import { tick } from 'svelte';
  import { duplicatePiece, takeInPieces, withGroups } from '@gentle-arc/core/edit';
  import { pieceAtPoint } from '@gentle-arc/core/image';
  import { scoutHref } from '$lib/session/links';
  import { playKeys } from '$lib/session/play-keys';
  import InTurns from '$lib/session/InTurns.svelte';
  import { shotSession, WORKED_OUT_MS } from '$lib/session/shot-session.svelte';
  import { takeDropped } from '$lib/session/files/takers.svelte';
  import { newId } from '$lib/session/store/new-id';
  import Choice from '$lib/ui/Choice.svelte';
  import ShotGone from '$lib/ui/ShotGone.svelte';
  import { shortcuts } from '$lib/ui/shortcuts.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import WordBar from '$lib/ui/WordBar.svelte';
  import SunWords from '$lib/views/light/SunWords.svelte';
  import Picture from '$lib/views/picture/Picture.svelte';
  import Transport from '$lib/views/picture/Transport.svelte';
  import PlanPane from '$lib/views/plan/PlanPane.svelte';
  import SideView from '$lib/views/plan/SideView.svelte';
  import Tape from '$lib/views/plan/Tape.svelte';
  import ChosenWords from './ChosenWords.svelte';
  import { clip, copyPieces } from './clip.svelte';
  import FromHere from './FromHere.svelte';
  import GroundWords from './GroundWords.svelte';
  import TapeWords from './TapeWords.svelte';
  import { smallPicture } from '$lib/ui/small-picture';
  import { Measuring } from './measuring.svelte';
  import { layUnderlay } from './lay-underlay';

  /** The place: its ground fills the screen, and the picture through a camera stands beside it. */
  interface Props {
    /** The address names a shot that is not there. */
    strayed: boolean;
  }
  let { strayed }: Props = $props();

  type Word = 'here' | 'ground' | 'light' | 'piece';
  const session = shotSession();
  const { playhead } = session;
  const { shoot, shot, scene, samples, row } = $derived(session);

  let open = $state<Word>('here');
  /** What is chosen; the last of it is the one whose words are shown. */
  let chosenIds: string[] = $state.raw([]);
  /** A press chooses beside what is chosen already. */
  let several = $state(false);
  /** The picture is the large one. */
  let swapped = $state(false);
  let side = $state(false);
  let drawingWalk = $state(false);
  let trouble: string | null = $state(null);
  let notes: string[] = $state.raw([]);
  const measuring = new Measuring();

  const there = $derived(chosenIds.filter((id) => shoot.site.pieces.some((piece) => piece.id === id)));
  const selected = $derived(shoot.site.pieces.find(({ id }) => id === there.at(-1)) ?? null);
  const words = session.calmly('words');
  const described = $derived(words.shoot.site.pieces.find(({ id }) => id === there.at(-1)) ?? null);
  const shown: Word = $derived(open === 'piece' && !selected ? 'here' : open);
  const drawing = $derived(measuring.asks ? 'spot' : drawingWalk && selected ? 'walk' : null);
  const WORDS = $derived([
    { word: 'here' as const, name: 'From here' },
    { word: 'ground' as const, name: 'Ground' },
    { word: 'light' as const, name: 'Light' },
    ...(selected ? [{ word: 'piece' as const, name: there.length > 1 ? `${there.length} pieces` : 'Piece' }] : []),
  ]);

  $effect(() => session.fit());

  /** The place is seen through the camera of another shot. */
  function through(id: string) {
    void goto(scoutHref(shoot.id, id), { keepFocus: true, noScroll: true });
  }
  function select(id: string | null, also = false) {
    drawingWalk = false;
    if (id === null) {
      chosenIds = [];
      return;
    }
    const group = withGroups(shoot, [id]);
    if (!also && !several) chosenIds = [...group.filter((other) => other !== id), id];
    else if (there.includes(id)) chosenIds = there.filter((other) => !group.includes(other));
    else chosenIds = [...there.filter((other) => !group.includes(other)), ...group];
    open = 'piece';
  }

  const swap = () => (swapped = !swapped);

  function take(site: { pieces: typeof shoot.site.pieces; place: typeof shoot.site.place; notes: string[] }) {
    if (!session.change(takeInPieces(shoot, site, () => newId('piece')))) return;
    const terrain = site.pieces.some(({ kind }) => kind === 'terrain');
    notes = [
      `${site.pieces.length} ${site.pieces.length === 1 ? 'piece' : 'pieces'} came in.`,
      ...site.notes,
      ...(terrain ? ['What stands or walks there, and the pivots of the moves, rose with the ground.'] : []),
    ];
    open = 'ground';
  }
  async function lay(file: File) {
    const picture = await smallPicture(file);
    if (typeof picture === 'string') trouble = picture;
    else {
      const id = newId('underlay');
      if (session.change(layUnderlay(shoot, id, file.name, picture, scene.subject ?? session.motion.pivot))) {
        open = 'ground';
        measuring.begin(id);
      }
    }
  }
  takeDropped(() => ({ photo: (file) => void lay(file), site: { place: shoot.site.place, take } }));

  async function paste() {
    const pieces = clip.pieces();
    if (typeof pieces === 'string') {
      trouble = pieces;
      return;
    }
    const before = shoot.site.pieces.length;
    const next = takeInPieces(shoot, { pieces }, () => newId('piece'));
    if (!session.change(next)) return;
    chosenIds = next.site.pieces.slice(before).map(({ id }) => id);
    open = 'piece';
    await tick();
  }
  function copy() {
    copyPieces(shoot.site.pieces.filter(({ id }) => there.includes(id)));
  }
  function duplicate() {
    if (!selected) return;
    const id = newId('piece');
    if (session.change(duplicatePiece(shoot, selected.id, id))) select(id);
  }

  playKeys(session);
  shortcuts(() => [
    { key: 'c', ctrl: true, does: 'Copy what is chosen', when: () => selected !== null, press: copy },
    { key: 'v', ctrl: true, does: 'Put what was copied', when: () => clip.has, press: () => void paste() },
    { key: 'd', does: 'One more of what is chosen', when: () => there.length === 1, press: duplicate },
    { key: 's', does: 'Seen from the side', press: () => (side = !side) },
    { key: 'x', does: 'Plan and picture change places', press: swap },
    {
      key: 'Escape',
      does: 'Choose nothing, measure nothing',
      press: () => {
        if (measuring.asks) measuring.end();
        else select(null);
        several = false;
      },
    },
  ]);
</script>

{#snippet ground(tall: boolean)}
  {#if side}
    <SideView {tall} chosenIds={there} onselect={select} onswap={swap} />
  {:else}
    <PlanPane
      {selected}
      chosenIds={there}
      {drawing}
      {tall}
      onselect={select}
      onspot={(xM, yM) => measuring.put(xM, yM)}
      onswap={swap}
    >
      {#snippet over(view)}<Tape
          spots={measuring.spots}
          {view}
          onmove={(index, spot) => measuring.move(index, spot)}
        />{/snippet}
    </PlanPane>
  {/if}
{/snippet}
{#snippet picture()}
  <div class="picture">
    <Picture
      {scene}
      samples={session.shown}
      {row}
      playing={playhead.playing}
      held={session.store.rushing}
      onpick={(across, down) => select(pieceAtPoint(scene, samples, row, across, down), several)}
    />
    {#if shoot.shots.length > 0}<Transport {playhead} {samples} bodied={session.bodied} />{/if}
  </div>
{/snippet}

<main class="screen">
  <h1 class="sr-only">Scout: {shoot.name}</h1>
  <div class="large">
    {#if swapped}{@render picture()}{:else}{@render ground(true)}{/if}
    <div class="tools" role="group" aria-label="On the ground">
      <button class="quiet-button" aria-pressed={side} onclick={() => (side = !side)} title="Heights (S)"
        >From the side</button
      >
      <button
        class="quiet-button"
        aria-pressed={measuring.asks && measuring.underlayId === null}
        disabled={side}
        onclick={() => (measuring.asks || measuring.spots.length > 0 ? measuring.end() : measuring.begin(null))}
        >Tape</button
      >
      <button class="quiet-button" aria-pressed={several} onclick={() => (several = !several)} title="Or with Shift"
        >Choose several</button
      >
      {#if clip.has}<button class="quiet-button" onclick={() => void paste()}>Put what was copied</button>{/if}
    </div>
  </div>
  <div class="right">
    {#if swapped}<div class="small">{@render ground(false)}</div>{:else}{@render picture()}{/if}
    {#if shoot.shots.length > 0}
      <p class="through">
        Through the camera of <Choice
          label="Shot"
          value={shot.id}
          items={shoot.shots.map(({ id, name }, i) => ({ value: id, name: `${i + 1} ${name}` }))}
          onchange={through}
        />
      </p>
      {#if strayed}
        <ShotGone onstay={() => through(shot.id)} />
      {/if}
    {/if}
    <WordBar label="More of this place" words={WORDS} open={shown} onopen={(word) => (open = word)} />
    <div class="words">
      {#if measuring.asks || measuring.spots.length > 0}<TapeWords {measuring} />{/if}
      {#if shown === 'here'}<InTurns part="here" everyMs={WORKED_OUT_MS}
          ><FromHere onchoose={(ids) => (chosenIds = ids)} onput={(id) => select(id)} /></InTurns
        >
      {:else if shown === 'ground'}<GroundWords
          {notes}
          {chosenIds}
          {measuring}
          onlay={lay}
          onsite={take}
          ontrouble={(said) => (trouble = said)}
          onselect={select}
        />
      {:else if shown === 'light'}<InTurns part="light" everyMs={WORKED_OUT_MS}><SunWords /></InTurns>
      {:else if described}<InTurns part="words"
          ><ChosenWords
            selected={described}
            chosenIds={there}
            {drawingWalk}
            ondrawwalk={() => (drawingWalk = !drawingWalk)}
            oncopy={copy}
            onselect={select}
            onchosen={(ids) => (chosenIds = ids)}
          /></InTurns
        >
      {/if}
    </div>
  </div>
  {#if trouble}<Trouble onclose={() => (trouble = null)}>{trouble}</Trouble>{/if}
</main>

<style>
  .screen {
    display: flex;
    gap: 1.1rem;
    height: calc(100dvh - 3rem);
    padding: 0 1rem 0.75rem;
  }
  .large {
    position: relative;
    flex: 2.1;
    min-width: 0;
    display: flex;
    flex-direction: column;
  }
  .large .picture {
    flex: 1;
  }
  .right {
    flex: 1;
    min-width: 20rem;
    max-width: 27rem;
    display: flex;
    flex-direction: column;
    gap: 0.35rem;
  }
  .small {
    height: 16rem;
    display: flex;
    flex-direction: column;
  }
  .small :global(.plan) {
    height: 100%;
  }
  .tools {
    position: absolute;
    left: 6px;
    bottom: 34px;
    display: flex;
    flex-wrap: wrap;
    max-width: calc(100% - 12px);
    border-radius: 999px;
    background: color-mix(in srgb, var(--raised) 90%, transparent);
    font-size: 0.9rem;
  }
  .through {
    font-size: 0.95rem;
  }
  .words {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    padding-right: 0.3rem;
    /* Painted by themselves, not with what is dragged. */
    isolation: isolate;
  }
  @media (max-width: 799px) {
    .screen {
      flex-direction: column;
      gap: 0.5rem;
      height: auto;
      padding: 0 0.75rem 2rem;
    }
    .right {
      min-width: 0;
      max-width: none;
    }
    .words {
      overflow: visible;
    }
    .tools {
      border-radius: 14px;
    }
  }
</style>
