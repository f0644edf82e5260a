<script lang="ts">
  import { onDestroy } from 'svelte';
  import { writeCutCsv, writeCutOtio, writeShotsCsv } from '@gentle-arc/core/formats';
  import { takeShotRows, type ShotRow } from '@gentle-arc/core/edit';
  import { filmRateHz, framesAt } from '@gentle-arc/core/sequence';
  import { opening } from '$lib/session/files/opening.svelte';
  import { takeDropped } from '$lib/session/files/takers.svelte';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import { download, downloadBlob, fileName } from '$lib/ui/download';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import type { ShotFrames } from '$lib/views/frames/shot-frames.svelte';
  import type { Story } from '$lib/workers/board-messages';
  import { printBoard } from './print-board';

  /** The film, its frames, its cut and its shot list as files; the board on paper; a shot list taken in. */
  interface Props {
    store: ShootStore;
    story: Story | null;
    frames: ShotFrames;
  }
  let { store, story, frames }: Props = $props();

  const { shoot } = $derived(store);
  const SIZES = [640, 1280, 1920];
  const MOST_FRAMES = 200_000;
  let widthPx = $state(1280);
  let format = $state<'webm' | 'mp4'>('mp4');
  /** Which shot; null: the whole cut. */
  let shotId: string | null = $state(null);
  let guides = $state(false);
  let words = $state(false);
  let progress: { what: string; done: number; of: number } | null = $state.raw(null);
  let said: string | null = $state(null);

  onDestroy(() => {
    if (progress) frames.callOff();
  });

  const only = $derived(shotId === null ? -1 : shoot.shots.findIndex(({ id }) => id === shotId));
  const whole = $derived(story?.whole === true && shoot.shots.length > 0);

  /** Every frame of what is taken away, at the film's rate, with the words that may be burnt in. */
  function filmFrames(film: Story['film']) {
    const rateHz = filmRateHz(shoot);
    const frames = framesAt(film, rateHz, only < 0 ? null : only).map(({ index, row, atS }) => {
      const shot = index === null ? null : shoot.shots[index];
      const name = shot && index !== null ? `${index + 1} ${shot.name}` : 'black';
      return { shotId: shot?.id ?? null, row, words: `${name}   ${atS.toFixed(1)} s` };
    });
    return { rateHz, frames };
  }

  async function work(
    what: string,
    name: string,
    make: (tell: (done: number, of: number) => void) => Promise<Blob | string | null>,
  ) {
    said = null;
    progress = { what, done: 0, of: 1 };
    try {
      const made = await make((done, of) => (progress = { what, done, of }));
      if (typeof made === 'string') said = made;
      else if (made) downloadBlob(name, made);
      else said = `${what} was called off.`;
    } catch (error) {
      said = `${what} could not be made. ${(error as Error).message}`;
    }
    progress = null;
  }
  const stem = $derived(`${fileName(shoot.name)}${only < 0 ? '' : `-${fileName(shoot.shots[only].name)}`}`);
  function video() {
    if (!story) return;
    const asked = filmFrames(story.film);
    if (asked.frames.length > MOST_FRAMES) {
      said = `The cut has ${asked.frames.length} frames; a video holds ${MOST_FRAMES} at most. Take it shot by shot.`;
      return;
    }
    void work('The video', `${stem}.${format}`, (tell) =>
      frames.video(shoot, { format, widthPx, guides, words, spoilt: null, ...asked }, tell),
    );
  }
  function stills() {
    if (!story) return;
    const rows = story.board.filter((_, i) => only < 0 || i === only);
    const stemOf = (number: number) =>
      `${String(number).padStart(3, '0')}-${fileName(shoot.shots[number - 1].name).slice(0, 60)}`;
    const NAMES = ['start', 'middle', 'end'];
    void work('The zip of frames', `${stem}-frames.zip`, (tell) =>
      frames.stills(
        shoot,
        {
          widthPx,
          stills: rows.flatMap(({ shotId: id, number, rows: at }) =>
            at.map((row, i) => ({
              shotId: id,
              row,
              name: `${stemOf(number)}-${i + 1}-${NAMES[i]}.png`,
            })),
          ),
        },
        tell,
      ),
    );
  }

  function takeList(rows: ShotRow[]) {
    const { shoot: next, added, left } = takeShotRows(shoot, rows, () => newId('shot'));
    if (!store.change(next)) return;
    said = [
      `${rows.length} ${rows.length === 1 ? 'row was' : 'rows were'} taken in.`,
      ...(added.length > 0 ? [`New: ${added.slice(0, 5).join(', ')}${added.length > 5 ? '…' : ''}.`] : []),
      ...(left.length > 0 ? [`${left.length} not in the list stay behind it.`] : []),
    ].join(' ');
  }
  takeDropped(() => ({ shots: takeList }));
</script>

<section aria-label="Take away" class="words word-pane">
  <h2>Video and frames</h2>
  <p>
    <Choice
      label="What is taken away"
      value={shotId ?? ''}
      items={[
        { value: '', name: 'The whole cut' },
        ...shoot.shots.map(({ id, name }, i) => ({ value: id, name: `${i + 1} ${name}` })),
      ]}
      onchange={(id) => (shotId = id === '' ? null : id)}
    />, <Choice
      label="How large"
      value={String(widthPx)}
      items={SIZES.map((px) => ({ value: String(px), name: `${px} pixels wide` }))}
      onchange={(px) => (widthPx = Number(px))}
    />
  </p>
  <p class="ticks">
    <label><input type="checkbox" bind:checked={guides} /> with thirds</label>
    <label><input type="checkbox" bind:checked={words} /> with name and seconds</label>
  </p>
  {#if progress}
    <p role="status">
      {progress.what}: <progress value={progress.done} max={progress.of}></progress>
      {Math.floor((100 * progress.done) / Math.max(1, progress.of))}%
      <button class="quiet-button" onclick={() => frames.callOff()}>Call it off</button>
    </p>
  {:else}
    <p class="acts">
      <button class="quiet-button" disabled={!whole} onclick={video}>Video as</button>
      <Choice
        label="Kind of video"
        value={format}
        items={[
          { value: 'mp4', name: 'MP4' },
          { value: 'webm', name: 'WebM' },
        ]}
        onchange={(value) => (format = value as 'webm' | 'mp4')}
      />
      <button class="quiet-button" disabled={!whole} onclick={stills}>Frames as PNG in a zip</button>
    </p>
  {/if}
  {#if said}<p role="status" class="said">{said}</p>{/if}
  <h2>On paper</h2>
  <p class="acts">
    {#each [6, 12] as count (count)}
      <button
        class="quiet-button"
        disabled={!whole}
        onclick={() => story && void printBoard(shoot, story, frames, count)}>Print {count} to a page</button
      >
    {/each}
  </p>
  <h2>The cut and the shot list</h2>
  <p class="acts">
    <button
      class="quiet-button"
      disabled={shoot.shots.length === 0}
      onclick={() => download(`${fileName(shoot.name)}.otio`, 'application/json', writeCutOtio(shoot))}
      >Cut as OpenTimelineIO</button
    >
    <button
      class="quiet-button"
      disabled={shoot.shots.length === 0}
      onclick={() => download(`${fileName(shoot.name)}-cut.csv`, 'text/csv', writeCutCsv(shoot))}>Cut as CSV</button
    >
    <button
      class="quiet-button"
      disabled={shoot.shots.length === 0}
      onclick={() => download(`${fileName(shoot.name)}-shots.csv`, 'text/csv', writeShotsCsv(shoot))}
      >Shot list as CSV</button
    >
    <FilePicker
      class="quiet-button"
      label="Shot list to take in"
      accept=".csv,text/csv"
      onfile={(file) => opening.take(file, 'shots')}>Take a shot list in…</FilePicker
    >
  </p>
</section>

<style>
  .acts,
  .ticks {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.2rem 0.6rem;
  }
  .ticks label {
    display: inline-flex;
    align-items: center;
    gap: 0.4rem;
    min-height: 1.75rem;
  }
  .said {
    border-left: 4px solid var(--subject);
    padding-left: 0.6rem;
  }
  @media (pointer: coarse) {
    .ticks label {
      min-height: 2.75rem;
    }
  }
  .words :global(.quiet-button) {
    box-shadow: inset 0 0 0 1px var(--hairline);
  }
</style>
