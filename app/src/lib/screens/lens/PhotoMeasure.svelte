<script lang="ts">
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { drag } from '$lib/ui/drag';
  import { editing } from '$lib/ui/editing';
  import { onDestroy } from 'svelte';
  import { type Bench, sayLength, trim } from '@gentle-arc/core/model';
  import { distanceFromShareM, photographHeightMm } from '@gentle-arc/core/optics';
  import { takeDropped } from '$lib/session/files/takers.svelte';
  import { storageTrouble } from '$lib/session/store/trouble';
  import type { SetBench } from '$lib/session/shot-session.svelte';
  import { loadPhoto, savePhoto } from '$lib/session/store/database';
  import { preferences } from '$lib/ui/preferences.svelte';

  /**
   * How far a thing in a photograph is: a line on its top and one on its foot. The photograph stays in this browser.
   */
  interface Props {
    bench: Bench;
    onbench: SetBench;
    shootId: string;
    knownM: number;
    focalLengthMm: number;
    /** Of the sensor that took it. */
    sensor: { widthMm: number; heightMm: number };
    /** It is put on the plan, so far away. */
    onput: (awayM: number) => void;
  }
  let { bench, onbench, shootId, knownM, focalLengthMm, sensor, onput }: Props = $props();

  const { settle } = editing();

  let url: string | null = $state(null);
  let problem: string | null = $state(null);
  let naturalWidth = $state(3);
  let naturalHeight = $state(2);
  const aspect = $derived(naturalWidth > 0 && naturalHeight > 0 ? naturalWidth / naturalHeight : 1.5);
  /** From the top, as shares of the photograph's height. */
  const lines = $derived({ top: bench.photoTop, foot: bench.photoFoot });
  const setLine = (line: 'top' | 'foot', at: number) =>
    onbench(line === 'top' ? { photoTop: within(at) } : { photoFoot: within(at) }, `bench.photo.${line}`);
  let frame: HTMLElement | undefined = $state();

  const share = $derived(Math.abs(lines.foot - lines.top));
  const heightMm = $derived(photographHeightMm(sensor, aspect));
  const awayM = $derived(share > 0.002 ? distanceFromShareM(knownM, share, focalLengthMm, heightMm) : null);

  function show(photo: Blob) {
    if (url) URL.revokeObjectURL(url);
    url = URL.createObjectURL(photo);
  }
  $effect(() => {
    loadPhoto(shootId).then(
      (photo) => photo && show(photo),
      (error: Error) => (problem = `The photograph kept here cannot be shown. ${storageTrouble(error)}`),
    );
  });
  onDestroy(() => url && URL.revokeObjectURL(url));

  takeDropped(() => ({ photo: (file) => void take(file) }));

  async function take(file: File) {
    problem = null;
    try {
      (await createImageBitmap(file)).close();
    } catch {
      problem = `“${file.name.slice(0, 60)}” is not a photograph that this browser can show; choose a JPEG, PNG or WebP file.`;
      return;
    }
    show(file);
    try {
      await savePhoto(shootId, file);
    } catch (error) {
      problem = `It is shown, but could not be kept for later. ${storageTrouble(error)}`;
    }
  }

  const within = (value: number) => Math.min(1, Math.max(0, value));
  function move(event: PointerEvent, line: 'top' | 'foot') {
    if (!frame) return;
    const box = frame.getBoundingClientRect();
    setLine(line, (event.clientY - box.top) / box.height);
  }
  function keys(event: KeyboardEvent, line: 'top' | 'foot') {
    const step = event.shiftKey ? 0.05 : 0.005;
    if (event.key === 'ArrowUp') setLine(line, lines[line] - step);
    else if (event.key === 'ArrowDown') setLine(line, lines[line] + step);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<p>
  <FilePicker label="Photograph to measure in" accept="image/*" onfile={take}
    >{url ? 'Another photograph' : 'Measure it in a photograph'}</FilePicker
  >
  {#if problem}<span role="alert" class="problem">{problem}</span>{/if}
</p>
{#if url}
  <figure bind:this={frame}>
    <img src={url} alt="To measure in" draggable="false" bind:naturalWidth bind:naturalHeight />
    {#each ['top', 'foot'] as const as line (line)}
      <div
        class="line"
        role="slider"
        tabindex="0"
        aria-label={line === 'top' ? 'Its top' : 'Its foot'}
        aria-valuemin="0"
        aria-valuemax="100"
        aria-valuenow={Math.round(lines[line] * 100)}
        style="top: {lines[line] * 100}%"
        onkeydown={(event) => keys(event, line)}
        use:drag={{ move: (event) => move(event, line), drop: settle }}
      >
        <span>{line}</span>
      </div>
    {/each}
  </figure>
  <p class="said" role="status">
    {#if awayM === null}Drag the two lines apart: one to its top, one to its foot.{:else}Between the lines is {trim(
        share * 100,
        1,
      )}% of the height: it is
      <b>{sayLength(awayM, preferences.units)}</b>
      away, if it was taken at {trim(focalLengthMm, 0)} mm with this camera.
      <button class="link" onclick={() => onput(awayM)}>Put it on the plan</button>, before the camera where it is now.{/if}
  </p>
{/if}

<style>
  figure {
    position: relative;
    margin: 0.4rem 0;
    overflow: hidden;
    border-radius: 10px;
    touch-action: none;
  }
  img {
    display: block;
    width: 100%;
    user-select: none;
  }
  .line {
    position: absolute;
    left: 0;
    right: 0;
    height: 2.2rem;
    margin-top: -1.1rem;
    cursor: ns-resize;
  }
  .line::before {
    content: '';
    position: absolute;
    left: 0;
    right: 0;
    top: calc(50% - 1.5px);
    height: 3px;
    background: var(--near);
    box-shadow: 0 0 0 1px #fffdf8;
  }
  .line span {
    position: absolute;
    right: 0.4rem;
    top: 0.15rem;
    padding: 0 0.4rem;
    border-radius: 6px;
    background: #fffdf8;
    color: #1e2a2c;
    font-size: 0.8rem;
  }
  .problem {
    display: block;
    color: var(--near);
  }
</style>
