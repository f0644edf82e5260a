<script lang="ts">
  import { onDestroy, tick } from 'svelte';
  import type { Finding } from '@gentle-arc/core/findings';
  import {
    addLeg,
    addPartAt,
    changePiece,
    chooseMove,
    flicked,
    removeLeg,
    takeCure,
    withoutVariant,
    withVariant,
  } from '@gentle-arc/core/edit';
  import { pieceAtPoint, pointOnPiece } from '@gentle-arc/core/image';
  import { playingOf } from '@gentle-arc/core/motion';
  import { limitsHref } from '$lib/session/links';
  import { newId } from '$lib/session/store/new-id';
  import { playKeys } from '$lib/session/play-keys';
  import { preferences } from '$lib/ui/preferences.svelte';
  import InTurns from '$lib/session/InTurns.svelte';
  import { shotSession, WORKED_OUT_MS } from '$lib/session/shot-session.svelte';
  import { shortcuts } from '$lib/ui/shortcuts.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Picture from '$lib/views/picture/Picture.svelte';
  import Transport from '$lib/views/picture/Transport.svelte';
  import Strip from '$lib/views/strip/Strip.svelte';
  import LegBar from './LegBar.svelte';
  import MoveChooser from './MoveChooser.svelte';
  import MoveWords from './MoveWords.svelte';
  import PlanPane from '$lib/views/plan/PlanPane.svelte';
  import ReadingList from './ReadingList.svelte';
  import ShotSentence from './ShotSentence.svelte';
  import SideBySide from './SideBySide.svelte';
  import TimingWords from './TimingWords.svelte';
  import Variants from './Variants.svelte';
  import Verdict from './Verdict.svelte';
  import WordBar from '$lib/ui/WordBar.svelte';
  import { type Word, wordsFor } from './words';

  /**
   * One shot at a glance: its picture, its plan, the verdict and the shot in one sentence stay in sight; everything else
   * is one press away under a word.
   */
  const session = shotSession();
  const { playhead, live, changeShot } = session;
  const { shoot, shot, scene, samples, motion, row } = $derived(session);

  let screen: HTMLElement | undefined = $state();
  let open = $state<Word>('reading');
  let choosing = $state(false);
  /** The plan is the large one. */
  let swapped = $state(false);
  let selectedId: string | null = $state(null);
  /** What a press on the plan adds a point to. */
  let drawing: 'walk' | 'path' | null = $state(null);
  /** The finding that is pointed at in the picture. */
  let chosenId: string | null = $state(null);
  /** Both ways to make the shot are shown beside each other. */
  let beside = $state(false);

  /** What is read in its turn while something is dragged. */
  const strip = session.calmly('strip');
  const words = session.calmly('words');
  const asked = session.calmly('reading', WORKED_OUT_MS);
  // The same reading is not drawn anew because a rush begins or ends.
  const drawn = $derived(strip.live.reading);
  const joinsS = $derived.by(() => {
    const { screenAt } = playingOf(strip.shot, strip.motion.durationS);
    return strip.motion.legs.slice(1).map(({ fromS }) => screenAt(fromS));
  });

  const selected = $derived(shoot.site.pieces.find(({ id }) => id === selectedId) ?? null);
  const described = $derived(words.shoot.site.pieces.find(({ id }) => id === selectedId) ?? null);
  const chosen = $derived(live.reading?.findings.find(({ id }) => id === chosenId) ?? null);
  const shownWord: Word = $derived(open === 'piece' && !selected ? 'reading' : open);

  $effect(() => {
    if (!beside) session.fit();
  });
  // A rush that begins or ends asks nothing by itself.
  const askedShoot = $derived(asked.shoot);
  const askedId = $derived(asked.shot.id);
  $effect(() => live.ask(askedShoot, askedId, preferences.units));
  onDestroy(() => playhead.pause());

  function show(word: Word) {
    open = word;
    choosing = false;
    if (word !== 'piece' && drawing === 'walk') drawing = null;
  }
  function choose(finding: Finding) {
    session.seek(finding.screenS);
    chosenId = chosenId === finding.id ? null : finding.id;
  }
  function chooseMoves() {
    open = 'move';
    choosing = true;
  }
  function addMove() {
    if (!changeShot(addLeg)) return;
    session.chosenLeg = motion.legs.length;
    choosing = true;
  }
  function select(id: string | null) {
    selectedId = id;
    drawing = null;
    if (id !== null) open = 'piece';
  }

  /** A press in the picture chooses what stands there, or makes a part where it asks for one. */
  function pick(across: number, down: number) {
    const { partingId } = session;
    if (partingId === null) {
      select(pieceAtPoint(scene, samples, row, across, down));
      return;
    }
    const point = pointOnPiece(scene, samples, row, across, down, partingId);
    if (point && session.change(changePiece(shoot, partingId, (piece) => addPartAt(piece, newId('part'), point))))
      session.partingId = null;
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
    select(null);
    if (id !== null) void focusOn(`[data-piece="${CSS.escape(id)}"]`);
  }

  playKeys(session);
  shortcuts(() => [
    { key: 'x', does: 'Plan and picture change places', press: () => (swapped = !swapped) },
    { key: 'v', does: 'The other way to make it', when: () => shot.other !== null, press: () => changeShot(flicked) },
    {
      key: 'Escape',
      does: 'Back to the whole shot',
      press: () => {
        if (beside) beside = false;
        else if (session.partingId !== null) session.partingId = null;
        else if (choosing) closeChooser();
        else unselect();
        chosenId = null;
      },
    },
  ]);
</script>

{#snippet variants()}
  <Variants
    {shot}
    {beside}
    onkeep={() => changeShot(withVariant)}
    onflick={() => changeShot(flicked)}
    onbeside={() => (beside = !beside)}
    ondrop={() => changeShot(withoutVariant)}
  />
{/snippet}

{#snippet plan(tall: boolean)}
  <PlanPane {selected} {drawing} {tall} onselect={select} onswap={() => (swapped = !swapped)} />
{/snippet}
{#snippet picture()}
  <div class="picture">
    <Picture
      {scene}
      samples={session.shown}
      {row}
      about={chosen?.about ?? null}
      playing={playhead.playing}
      held={session.store.rushing}
      onpick={pick}
    />
    <div class="flex flex-wrap items-center justify-between gap-x-3 py-1">
      <Transport {playhead} {samples} bodied={session.bodied} />
      <span class="hidden sm:block">{@render variants()}</span>
    </div>
  </div>
{/snippet}

{#if beside && shot.other}
  <main class="screen beside">
    <h1 class="sr-only">{shot.name}, two ways side by side</h1>
    <div class="flex flex-wrap items-center justify-between gap-x-3">
      <Transport {playhead} {samples} bodied={false} />
      {@render variants()}
    </div>
    <SideBySide
      ontake={(letter) => {
        if (shot.variant !== letter) changeShot(flicked);
        beside = false;
      }}
    />
  </main>
{:else}
  <main class="screen" bind:this={screen}>
    <h1 class="sr-only">Move: {shot.name}</h1>
    <div class="left">
      {#if swapped}{@render plan(true)}{:else}{@render picture()}{/if}
      <div class="sentence"><InTurns part="sentence"><ShotSentence onmove={chooseMoves} /></InTurns></div>
      <div class="strip">
        <Strip samples={strip.samples} reading={drawn} {playhead} {chosenId} cut={strip.shot.cut} {joinsS} />
      </div>
    </div>

    <div class="right">
      {#if swapped}{@render picture()}{:else}{@render plan(false)}{/if}
      <div class="verdict"><InTurns part="verdict"><Verdict onmore={() => show('reading')} /></InTurns></div>
      <WordBar label="More of this shot" open={shownWord} words={wordsFor(selected !== null)} onopen={show} />
      <div class="words">
        <InTurns part="words">
          {#if shownWord === 'reading'}
            {#if words.scene.pieces.length === 0}
              <p class="mb-2 border-l-4 border-subject px-3 py-1 leading-snug">
                Empty ground. <b>Add a figure</b> on the plan: it becomes the subject. Then add something near the camera’s
                path, a post or a hedge row, so that the move shows depth.
              </p>
            {/if}
            <ReadingList
              {chosenId}
              limitsHref={limitsHref(words.shoot.id)}
              onchoose={choose}
              oncure={(cure) => session.change(takeCure(shoot, cure))}
            />
          {:else if shownWord === 'move'}
            {#if choosing}
              <MoveChooser
                kind={words.leg.move.kind}
                onchoose={(kind) => {
                  drawing = null;
                  changeShot((given) => chooseMove(given, session.active, kind, scene.subject));
                }}
                onclose={closeChooser}
              />
            {:else}
              <LegBar
                legs={words.motion.legs}
                active={words.active}
                onselect={(index) => (session.chosenLeg = index)}
                onchange={() => (choosing = true)}
                onadd={addMove}
                onremove={(index) => {
                  changeShot((given) => removeLeg(given, index));
                  session.chosenLeg = Math.max(0, index - 1);
                }}
              />
              <MoveWords drawing={drawing === 'path'} ondraw={() => (drawing = drawing === 'path' ? null : 'path')} />
            {/if}
          {:else if shownWord === 'time'}<TimingWords />
          {:else if shownWord === 'aim'}{#await import('./AimWords.svelte') then { default: AimWords }}<AimWords
              />{/await}
          {:else if shownWord === 'camera'}{#await import('./CameraWords.svelte') then { default: CameraWords }}<CameraWords
              />{/await}
          {:else if shownWord === 'light'}<InTurns part="light" everyMs={WORKED_OUT_MS}
              >{#await import('$lib/views/light/SunWords.svelte') then { default: SunWords }}<SunWords
                />{/await}</InTurns
            >
          {:else if shownWord === 'rig'}{#await import('./HandWords.svelte') then { default: HandWords }}<HandWords
              />{/await}
          {:else if shownWord === 'note'}
            <TextField
              class="note"
              label="Note for this shot"
              placeholder="A note for this shot"
              most={2000}
              blank
              value={shot.note}
              onchange={(note) => changeShot((given) => ({ ...given, note }))}
            />
            <span class="sm:hidden">{@render variants()}</span>
          {:else if described}
            {#await import('$lib/views/piece/PieceSentence.svelte') then { default: PieceSentence }}
              <PieceSentence
                piece={described}
                drawingWalk={drawing === 'walk'}
                ondrawwalk={() => (drawing = drawing === 'walk' ? null : 'walk')}
                onselect={select}
                onclose={unselect}
              />
            {/await}
          {/if}
        </InTurns>
      </div>
    </div>
  </main>
{/if}

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
    gap: 0.4rem;
  }
  /* Each is painted by itself: what is dragged on the plan asks only for what is there to be painted. */
  .picture {
    z-index: 2;
  }
  .strip,
  .words {
    isolation: isolate;
  }
  .sentence {
    z-index: 1;
    padding: 0.2rem 0 0.4rem;
    font-size: 1.1rem;
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
    padding: 0.3rem 0.5rem;
    border: 1px solid var(--hairline);
    border-radius: 6px;
    background: transparent;
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
    .verdict {
      order: 1;
    }
    .sentence {
      order: 2;
    }
    .right :global(.plan) {
      order: 3;
    }
    .right :global(.bar-of-words) {
      order: 4;
    }
    .words,
    .strip {
      order: 5;
      overflow: visible;
    }
    .strip {
      order: 6;
    }
  }
</style>
