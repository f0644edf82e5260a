<script lang="ts">
  import { onDestroy, tick } from 'svelte';
  import { Dropdown, DropdownItem } from 'flowbite-svelte';
  import { PlusOutline } from 'flowbite-svelte-icons';
  import { PIECE_KINDS, type PieceKind } from '@gentle-arc/core/model/piece';
  import { setupOf, type Shoot } from '@gentle-arc/core/model/shoot';
  import type { Shot, WalkPoint } from '@gentle-arc/core/model/shot';
  import { motionOf, sampleShot } from '@gentle-arc/core/motion/sample';
  import { asKind, recipeOf } from '@gentle-arc/core/motion/moves/index';
  import type { Cure } from '@gentle-arc/core/search/cures';
  import { preferences } from '$lib/store/preferences.svelte';
  import { newId } from '$lib/store/new-id';
  import type { ShootStore } from '$lib/store/shoot-store.svelte';
  import { LiveReading } from '$lib/workers/live-reading.svelte';
  import { addPiece, addWalkPoint, changePiece, changeWalk, groundAt, movePiece, moveWalkPoint, removePiece, spotFor } from './edits';
  import MoveChooser from './MoveChooser.svelte';
  import MoveSentence from './MoveSentence.svelte';
  import Picture from './Picture.svelte';
  import PieceSentence from './PieceSentence.svelte';
  import Plan from './Plan.svelte';
  import { Playhead } from './playhead.svelte';
  import ReadingList from './ReadingList.svelte';
  import Strip from './Strip.svelte';
  import Transport from './Transport.svelte';
  import { readWalkFile } from './walk-file';

  let { store, shotId }: { store: ShootStore; shotId: string } = $props();

  const playhead = new Playhead();
  const live = new LiveReading();
  let selectedId: string | null = $state(null);
  let drawingWalk = $state(false);
  let adding = $state(false);
  let plan: ReturnType<typeof Plan> | undefined = $state();

  const shoot = $derived(store.shoot);
  const shot = $derived(shoot.shots.find((row) => row.id === shotId) ?? shoot.shots[0]);
  const setup = $derived(setupOf(shoot, shot));
  const motion = $derived(motionOf(setup));
  const samples = $derived(sampleShot(setup, motion));
  const selected = $derived(shoot.site.pieces.find((piece) => piece.id === selectedId) ?? null);
  const walkOfSelected = $derived(shot.walks.find((walk) => walk.pieceId === selectedId) ?? null);

  $effect(() => playhead.fit(samples.count, samples.frameRateHz));
  $effect(() => live.ask(shoot, shot.id, preferences.units));
  onDestroy(() => {
    playhead.pause();
    live.close();
  });

  const cm = (m: number) => Math.round(m * 100) / 100;
  const rounded = (value: unknown) => (typeof value === 'number' ? cm(value) : value);
  const change = (next: Shoot, join: string | null) => store.change(next, join);
  const changeShot = (edit: (row: Shot) => Shot, join: string | null) => store.changeShot(shot.id, edit, join);

  function moveHandle(id: string, xM: number, yM: number) {
    const move = recipeOf(shot.move).drag(shot.move, id, xM, yM, motion.pivot);
    const tidy = Object.fromEntries(Object.entries(move).map(([key, value]) => [key, rounded(value)])) as unknown as Shot['move'];
    changeShot((row) => ({ ...row, move: tidy }), `handle.${id}`);
  }

  function movePivot(xM: number, yM: number) {
    changeShot((row) => {
      const { pivotEastM, pivotNorthM } = row.move;
      const limited = (m: number) => Math.min(2000, Math.max(-2000, cm(m)));
      return { ...row, move: { ...row.move, pivotEastM: limited(pivotEastM + xM - motion.pivot.xM), pivotNorthM: limited(pivotNorthM + yM - motion.pivot.yM) } };
    }, 'pivot');
  }

  async function add(kind: PieceKind) {
    adding = false;
    const id = newId('piece');
    const middle = Math.floor(samples.count / 2);
    const { xM, yM } = spotFor(kind, { xM: samples.xM[middle], yM: samples.yM[middle] }, motion.pivot, shoot.site.pieces);
    const next = addPiece(shoot, kind, id, xM, yM);
    const firstSubject = kind === 'figure' && shot.subjectId === null;
    change(firstSubject ? { ...next, shots: next.shots.map((row) => (row.id === shot.id ? { ...row, subjectId: id } : row)) } : next, null);
    selectedId = id;
    drawingWalk = false;
    await tick();
    plan?.fit();
  }

  function duplicate() {
    if (!selected) return;
    const id = newId('piece');
    const xM = selected.xM + selected.depthM + 0.5;
    const zM = selected.zM + groundAt(shoot.site.pieces, xM, selected.yM) - groundAt(shoot.site.pieces, selected.xM, selected.yM, selected.id);
    const copy = { ...selected, id, name: `${selected.name} again`.slice(0, 80), xM: cm(xM), zM: selected.kind === 'slab' || selected.kind === 'ridge' ? selected.zM : cm(zM) };
    change({ ...shoot, site: { ...shoot.site, pieces: [...shoot.site.pieces, copy] } }, null);
    selectedId = id;
  }

  function remove() {
    if (!selected) return;
    const { id } = selected;
    selectedId = null;
    drawingWalk = false;
    change(removePiece(shoot, id), null);
  }

  async function importWalk(file: File): Promise<string | null> {
    if (!selected) return null;
    const points = await readWalkFile(file, selected);
    if (typeof points === 'string') return points;
    change(changeWalk(shoot, shot.id, selected.id, points), null);
    return null;
  }

  function apply(cure: Cure) {
    store.changeShot(cure.shot.id, () => cure.shot);
  }

  function keys(event: KeyboardEvent) {
    if (event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement || event.target instanceof HTMLTextAreaElement || event.ctrlKey || event.metaKey)
      return;
    if (event.key === ' ' && !(event.target instanceof HTMLButtonElement)) playhead.toggle();
    else if (event.key === 'ArrowLeft') playhead.step(-1);
    else if (event.key === 'ArrowRight') playhead.step(1);
    else if (event.key === 'Home') playhead.toRow(0);
    else if (event.key === 'End') playhead.toRow(samples.count - 1);
    else if ((event.key === 'Delete' || event.key === 'Backspace') && selected) remove();
    else if (event.key === 'Escape') {
      selectedId = null;
      drawingWalk = false;
    } else return;
    event.preventDefault();
  }

  const row = $derived(Math.min(playhead.row, samples.count - 1));
  const empty = $derived(shoot.site.pieces.length === 0);
</script>

<svelte:window onkeydown={keys} />

<main class="screen">
  <div class="left">
    <div class="picture">
      <Picture {setup} {samples} {row} />
      <div class="flex flex-wrap items-center justify-between gap-x-3 py-1.5">
        <Transport {playhead} {samples} />
      </div>
    </div>

    <div class="strip"><Strip {samples} reading={live.reading} {playhead} /></div>
  </div>

  <div class="right">
    <div class="plan">
      <Plan
        bind:this={plan}
        {setup}
        {motion}
        {samples}
        {row}
        {selectedId}
        {drawingWalk}
        onselect={(id) => {
          selectedId = id;
          drawingWalk = false;
        }}
        onplace={(xM, yM) => selected && change(addWalkPoint(shoot, shot.id, selected, xM, yM), null)}
        onmovehandle={moveHandle}
        onmovepivot={movePivot}
        onmovepiece={(id, xM, yM) => change(movePiece(shoot, shot.id, id, xM, yM), `piece.${id}`)}
        onturnpiece={(id, headingDeg) =>
          change(
            changePiece(shoot, id, (piece) => ({ ...piece, headingDeg })),
            `turn.${id}`,
          )}
        onresizepiece={(id, lengthM, depthM) =>
          change(
            changePiece(shoot, id, (piece) => (PIECE_KINDS[piece.kind].round ? { ...piece, lengthM: depthM, depthM } : { ...piece, lengthM, depthM })),
            `size.${id}`,
          )}
        onmovewalkpoint={(pieceId, index, xM, yM) => change(moveWalkPoint(shoot, shot.id, pieceId, index, xM, yM), `walkpoint.${index}`)}
        onsettle={() => store.settle()}
      />
      <div class="add">
        <button class="quiet-button" id="add-piece"><PlusOutline class="h-4 w-4" />Add a piece</button>
        <Dropdown simple triggeredBy="#add-piece" bind:isOpen={adding} class="z-40 w-56 bg-raised text-ink shadow-lg">
          {#each Object.entries(PIECE_KINDS) as [kind, facts] (kind)}
            <DropdownItem onclick={() => add(kind as PieceKind)}>{facts.label}</DropdownItem>
          {/each}
        </Dropdown>
      </div>
    </div>

    <MoveChooser kind={shot.move.kind} onchoose={(kind) => changeShot((given) => ({ ...given, move: asKind(given.move, kind) }), null)} />

    <div class="words">
      {#if empty}
        <p class="mb-2 border-l-4 border-subject px-3 py-1 leading-snug">
          Empty ground. <b>Add a figure</b> on the plan: it becomes the subject. Then add something near the camera’s path, a post or a hedge row, so that the move shows depth.
        </p>
      {/if}
      {#if selected}
        <PieceSentence
          piece={selected}
          walk={walkOfSelected}
          isSubject={shot.subjectId === selected.id}
          {drawingWalk}
          onchange={(edit, join) => change(changePiece(shoot, selected.id, edit), join && `${join}.${selected.id}`)}
          onwalk={(points: WalkPoint[], join) => change(changeWalk(shoot, shot.id, selected.id, points), join)}
          ondrawwalk={() => (drawingWalk = !drawingWalk)}
          onimportwalk={importWalk}
          onsubject={() => changeShot((given) => ({ ...given, subjectId: selected.id }), null)}
          onduplicate={duplicate}
          ondelete={remove}
          onclose={() => {
            selectedId = null;
            drawingWalk = false;
          }}
          onsettle={() => store.settle()}
        />
        <hr class="my-3 border-hairline" />
      {/if}
      <ReadingList
        {live}
        onseek={(tS) => {
          playhead.pause();
          playhead.toTime(tS);
        }}
        oncure={apply}
      />
      <hr class="my-3 border-hairline" />
      <MoveSentence {setup} kit={shoot.kit} onchange={changeShot} ondeliver={(delivery) => change({ ...shoot, delivery }, null)} onsettle={() => store.settle()} />
    </div>
  </div>
</main>

<style>
  .screen {
    display: flex;
    gap: 1.1rem;
    height: calc(100dvh - 3rem);
    padding: 0 1rem 0.5rem;
  }
  .left {
    flex: 1.72;
    min-width: 0;
    display: flex;
    flex-direction: column;
  }
  .right {
    flex: 1;
    min-width: 20rem;
    display: flex;
    flex-direction: column;
    gap: 0.6rem;
  }
  .strip {
    flex: 1;
    min-height: 0;
    overflow: hidden auto;
  }
  .plan {
    position: relative;
    height: 35%;
    min-height: 12rem;
  }
  .words {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    padding-right: 0.3rem;
  }
  .add {
    position: absolute;
    top: 6px;
    left: 6px;
    border-radius: 999px;
    background: color-mix(in srgb, var(--raised) 86%, transparent);
    font-size: 0.9rem;
  }
  @media (max-width: 799px) {
    .screen {
      flex-direction: column;
      gap: 0.5rem;
      height: auto;
      padding: 0 0.75rem 2rem;
    }
    .left,
    .right {
      display: contents;
    }
    .picture {
      position: sticky;
      top: 0;
      z-index: 20;
      background: var(--paper);
    }
    .plan {
      height: 19rem;
    }
    .words,
    .strip {
      overflow: visible;
    }
    .strip {
      order: 4;
    }
  }
</style>
