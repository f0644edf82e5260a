<script lang="ts">
  import { limitsHref } from '$lib/links';
  import { onDestroy, tick } from 'svelte';
  import type { Finding } from '@gentle-arc/core/findings/all';
  import { flicked, withoutVariant, withVariant } from '@gentle-arc/core/model/variants';
  import { type MoveKind } from '@gentle-arc/core/model/move';
  import type { Shoot } from '@gentle-arc/core/model/shoot';
  import { sceneOf } from '@gentle-arc/core/scene/scene';
  import { legsOf, shotDurationS, withLeg, type Leg, type Shot, type WalkPoint } from '@gentle-arc/core/model/shot';
  import { playingOf } from '@gentle-arc/core/motion/playback';
  import { motionOf } from '@gentle-arc/core/motion/legs';
  import { sampleShot } from '@gentle-arc/core/motion/shown';
  import { withBody } from '@gentle-arc/core/motion/sample';
  import { asKind, RECIPES, withKind } from '@gentle-arc/core/motion/moves/index';
  import { pieceAtPoint } from '@gentle-arc/core/image/pick';
  import type { Cure } from '@gentle-arc/core/search/cures';
  import { preferences } from '$lib/store/preferences.svelte';
  import { newId } from '$lib/store/new-id';
  import type { ShootStore } from '$lib/store/shoot-store.svelte';
  import { LiveReading } from '$lib/workers/live-reading.svelte';
  import { addLeg, changePiece, changeWalk, duplicatePiece, movePiece, removeLeg, removePiece } from './edits';
  import LegBar from './LegBar.svelte';
  import MoveChooser from './MoveChooser.svelte';
  import Picture from '$lib/picture/Picture.svelte';
  import PieceSentence from './PieceSentence.svelte';
  import PlanPane from './PlanPane.svelte';
  import { Playhead } from './playhead.svelte';
  import ReadingList from './ReadingList.svelte';
  import ShotWords from './ShotWords.svelte';
  import TextField from '$lib/parts/TextField.svelte';
  import SideBySide from './SideBySide.svelte';
  import Strip from './Strip.svelte';
  import Transport from './Transport.svelte';
  import Variants from './Variants.svelte';
  import { readFile } from '$lib/workers/read-file';
  import { takeDropped } from '$lib/files/takers.svelte';

  let { store, shotId }: { store: ShootStore; shotId: string } = $props();

  let screen: HTMLElement | undefined = $state();
  const playhead = new Playhead();
  const live = new LiveReading();
  let selectedId: string | null = $state(null);
  /** What a press on the plan adds a point to. */
  let drawing: 'walk' | 'path' | null = $state(null);
  let choosing = $state(false);
  /** Which move of the shot is being shaped. */
  let chosenLeg = $state(0);
  /** The finding that is pointed at in the picture. */
  let chosenId: string | null = $state(null);
  /** Both ways to make the shot are shown beside each other. */
  let beside = $state(false);

  const shoot = $derived(store.shoot);
  const shot = $derived(shoot.shots.find((row) => row.id === shotId) ?? shoot.shots[0]);
  const scene = $derived(sceneOf(shoot, shot));
  const motion = $derived(motionOf(scene));
  const samples = $derived(sampleShot(scene, motion));
  const bodied = $derived(
    [samples.body.bobM, samples.body.panDeg].some((column) => column.some((value) => value !== 0)),
  );
  const shown = $derived(preferences.body && bodied ? withBody(samples) : samples);
  const active = $derived(Math.min(chosenLeg, motion.legs.length - 1));
  const leg = $derived(legsOf(shot)[active]);
  const led = $derived(motion.legs.every(({ recipe, move }) => recipe.aim(move).base !== 'asked'));
  const selected = $derived(shoot.site.pieces.find((piece) => piece.id === selectedId) ?? null);
  const walkOfSelected = $derived(shot.walks.find((walk) => walk.pieceId === selectedId) ?? null);

  $effect(() => {
    if (!beside) playhead.fit(samples.count, samples.frameRateHz);
  });
  $effect(() => live.ask(shoot, shot.id, preferences.units));
  onDestroy(() => {
    playhead.pause();
    live.close();
  });

  const change = (next: Shoot, join: string | null) => store.change(next, join);
  const changeShot = (edit: (row: Shot) => Shot, join: string | null) => store.changeShot(shot.id, edit, join);

  const changeActive = (edit: (row: Leg) => Leg, join: string | null) =>
    changeShot((row) => withLeg(row, active, edit), join && `${join}.${active}`);

  function chooseKind(kind: MoveKind) {
    drawing = null;
    if (active === 0) changeShot((given) => withKind(given, kind), null);
    else
      changeActive(
        (row) => ({
          ...row,
          move: asKind(row.move, kind),
          timing: RECIPES[kind].usualTiming?.(row.timing) ?? row.timing,
        }),
        null,
      );
  }

  function addMove() {
    if (!changeShot(addLeg, null)) return;
    chosenLeg = motion.legs.length;
    choosing = true;
  }

  function duplicate() {
    if (!selected) return;
    const id = newId('piece');
    if (change(duplicatePiece(shoot, selected.id, id), null)) selectedId = id;
  }

  function remove() {
    if (!selected) return;
    const { id } = selected;
    if (!change(removePiece(shoot, id), null)) return;
    selectedId = null;
    drawing = null;
  }

  async function importWalk(file: File): Promise<string | null> {
    if (!selected) return null;
    const { id } = selected;
    const contents = await readFile(file, 'walk', selected);
    if (typeof contents === 'string') return contents;
    if (contents.kind === 'walk') change(changeWalk(store.shoot, shot.id, id, contents.points), null);
    return null;
  }
  takeDropped(() => {
    const piece = selected;
    return {
      walk: piece && {
        landing: { xM: piece.xM, yM: piece.yM, zM: piece.zM },
        take: (points) => void change(changeWalk(store.shoot, shot.id, piece.id, points), null),
      },
    };
  });

  function apply(cure: Cure) {
    const shots = shoot.shots.map((row) => (row.id === cure.shot.id ? cure.shot : row));
    change({ ...shoot, shots, site: cure.pieces ? { ...shoot.site, pieces: cure.pieces } : shoot.site }, null);
  }

  const chosen = $derived(live.reading?.findings.find((finding) => finding.id === chosenId) ?? null);

  function seek(screenS: number) {
    playhead.pause();
    playhead.toTime(screenS);
  }

  function choose(finding: Finding) {
    seek(finding.screenS);
    chosenId = chosenId === finding.id ? null : finding.id;
  }

  function take(letter: 'A' | 'B') {
    if (shot.variant !== letter) changeShot(flicked, null);
    beside = false;
  }

  /** The focus goes back to what led here, so that the keyboard goes on from there. */
  async function focusOn(selector: string) {
    await tick();
    screen?.querySelector<HTMLElement>(selector)?.focus();
  }
  function closeChooser() {
    choosing = false;
    void focusOn('.leg[aria-pressed="true"], .leg');
  }
  function unselect() {
    const id = selectedId;
    selectedId = null;
    drawing = null;
    if (id !== null) void focusOn(`[data-piece="${CSS.escape(id)}"]`);
  }
  function pick(across: number, down: number) {
    selectedId = pieceAtPoint(scene, samples, row, across, down);
    drawing = null;
  }

  function keys(event: KeyboardEvent) {
    const { target } = event;
    if (
      target instanceof HTMLInputElement ||
      target instanceof HTMLSelectElement ||
      target instanceof HTMLTextAreaElement ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey
    )
      return;
    // Keys that do something to the plan are for whoever is on it, not for a button that happens to have the focus.
    const onPlan =
      target === document.body || (target instanceof Element && target.closest('[role=application]') !== null);
    if (event.key === ' ' && !(event.target instanceof HTMLButtonElement)) playhead.toggle();
    else if (event.key === 'ArrowLeft') playhead.step(-1);
    else if (event.key === 'ArrowRight') playhead.step(1);
    else if (event.key.toLowerCase() === 'v' && shot.other) changeShot(flicked, null);
    else if (event.key === 'Home') playhead.toRow(0);
    else if (event.key === 'End') playhead.toRow(samples.count - 1);
    else if ((event.key === 'Delete' || event.key === 'Backspace') && selected && onPlan) remove();
    else if (event.key === 'Escape') {
      if (beside) beside = false;
      else if (choosing) closeChooser();
      else unselect();
      chosenId = null;
    } else return;
    event.preventDefault();
  }

  const row = $derived(Math.min(playhead.row, samples.count - 1));
  const empty = $derived(shoot.site.pieces.length === 0);
</script>

<svelte:window onkeydown={keys} />

{#if beside && shot.other}
  <main class="screen beside">
    <h1 class="sr-only">{shot.name}, two ways side by side</h1>
    <div class="flex flex-wrap items-center justify-between gap-x-3">
      <Transport {playhead} {samples} bodied={false} />
      {@render variants()}
    </div>
    <SideBySide {shoot} {shot} {playhead} ontake={take} />
  </main>
{:else}
  {@render one()}
{/if}

{#snippet variants()}
  <Variants
    {shot}
    {beside}
    onkeep={() => changeShot(withVariant, null)}
    onflick={() => changeShot(flicked, null)}
    onbeside={() => (beside = !beside)}
    ondrop={() => changeShot(withoutVariant, null)}
  />
{/snippet}

{#snippet one()}
  <main class="screen" bind:this={screen}>
    <h1 class="sr-only">Move: {shot.name}</h1>
    <div class="left">
      <div class="picture">
        <Picture {scene} samples={shown} {row} about={chosen?.about ?? null} playing={playhead.playing} onpick={pick} />
        <div class="flex flex-wrap items-center justify-between gap-x-3 py-1.5">
          <Transport {playhead} {samples} {bodied} />
          <span class="hidden sm:block">{@render variants()}</span>
        </div>
      </div>

      <div class="strip">
        <Strip
          {samples}
          reading={live.reading}
          {playhead}
          {chosenId}
          joinsS={motion.legs.slice(1).map(({ fromS }) => playingOf(shot, motion.durationS).screenAt(fromS))}
        />
      </div>
    </div>

    <div class="right">
      <PlanPane
        {shoot}
        {scene}
        {motion}
        {samples}
        {row}
        {active}
        findings={live.reading?.findings ?? []}
        {selected}
        {drawing}
        onselect={(id) => {
          selectedId = id;
          drawing = null;
        }}
        onseek={seek}
        onchange={change}
        onleg={changeActive}
        onsettle={() => store.settle()}
      />

      {#if choosing}
        <MoveChooser kind={leg.move.kind} onchoose={chooseKind} onclose={closeChooser} />
      {:else}
        <LegBar
          legs={motion.legs}
          {active}
          onselect={(index) => (chosenLeg = index)}
          onchange={() => (choosing = true)}
          onadd={addMove}
          onremove={(index) => {
            changeShot((row) => removeLeg(row, index), null);
            chosenLeg = Math.max(0, index - 1);
          }}
        />

        <div class="words">
          <span class="sm:hidden">{@render variants()}</span>
          <TextField
            class="note"
            label="Note for this shot"
            placeholder="A note for this shot"
            most={2000}
            blank
            value={shot.note}
            onchange={(note) => changeShot((row) => ({ ...row, note }), null)}
          />
          {#if empty}
            <p class="mb-2 border-l-4 border-subject px-3 py-1 leading-snug">
              Empty ground. <b>Add a figure</b> on the plan: it becomes the subject. Then add something near the camera’s
              path, a post or a hedge row, so that the move shows depth.
            </p>
          {/if}
          {#if selected}
            <PieceSentence
              piece={selected}
              walk={walkOfSelected}
              isSubject={shot.subjectId === selected.id}
              drawingWalk={drawing === 'walk'}
              onchange={(edit, join) => change(changePiece(shoot, selected.id, edit), join && `${join}.${selected.id}`)}
              onwalk={(points: WalkPoint[], join) =>
                change(changeWalk(shoot, shot.id, selected.id, points), join && `${join}.${selected.id}`)}
              ondrawwalk={() => (drawing = drawing === 'walk' ? null : 'walk')}
              onimportwalk={importWalk}
              onsubject={() => changeShot((given) => ({ ...given, subjectId: selected.id }), null)}
              onduplicate={duplicate}
              ondelete={remove}
              onplace={(xM, yM, join) =>
                change(movePiece(shoot, shot.id, selected.id, xM, yM), `${join}.${selected.id}`)}
              onclose={unselect}
              onsettle={() => store.settle()}
            />
            <hr class="my-3 border-hairline" />
          {/if}
          <ReadingList
            {live}
            {chosenId}
            limitsHref={limitsHref(shoot.id)}
            onseek={seek}
            onchoose={choose}
            oncure={apply}
          />
          <hr class="my-3 border-hairline" />
          <ShotWords
            {scene}
            shootId={shoot.id}
            subjectDistanceM={samples.subjectDistanceM[samples.count - 1]}
            kit={shoot.kit}
            {leg}
            isFirst={active === 0}
            mostOverlapS={Math.min(60, shotDurationS({ ...shot, then: shot.then.slice(0, Math.max(0, active - 1)) }))}
            {led}
            drifts={live.reading?.drifts ?? null}
            drawing={drawing === 'path'}
            ondraw={() => (drawing = drawing === 'path' ? null : 'path')}
            onleg={changeActive}
            onchange={changeShot}
            onkit={(kit, join) => change({ ...shoot, kit }, join)}
            ondeliver={(delivery) => change({ ...shoot, delivery }, null)}
            onsettle={() => store.settle()}
          />
        </div>
      {/if}
    </div>
  </main>
{/snippet}

<style>
  .screen {
    display: flex;
    gap: 1.1rem;
    height: calc(100dvh - 3rem);
    padding: 0 1rem 0.5rem;
  }
  .beside {
    flex-direction: column;
    gap: 0.4rem;
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
  .words {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    padding-right: 0.3rem;
  }
  .words :global(.note) {
    width: 100%;
    margin-bottom: 0.3rem;
    padding: 0.1rem 0.2rem;
    border: 0;
    border-radius: 6px;
    background: transparent;
    color: var(--soft);
    font-size: 0.95rem;
    text-overflow: ellipsis;
  }
  .words :global(.note:hover),
  .words :global(.note:focus) {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
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
    .words,
    .strip {
      overflow: visible;
    }
    .strip {
      order: 4;
    }
  }
</style>
