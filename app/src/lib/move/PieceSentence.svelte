<script lang="ts">
  import { LAYERS, PIECE_KINDS, type Opening, type Piece, type PieceLayer } from '@gentle-arc/core/model/piece';
  import type { Walk, WalkPoint } from '@gentle-arc/core/model/shot';
  import { MOST_MB } from '@gentle-arc/core/formats/any-file';
  import { saySpeed } from '@gentle-arc/core/model/units';
  import { preferences } from '$lib/store/preferences.svelte';
  import Choice from '$lib/parts/Choice.svelte';
  import TextField from '$lib/parts/TextField.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';

  /** One piece, said as sentences, with what can be done to it. */
  interface Props {
    piece: Piece;
    walk: Walk | null;
    isSubject: boolean;
    drawingWalk: boolean;
    onchange: (edit: (piece: Piece) => Piece, join: string | null) => void;
    onwalk: (points: WalkPoint[], join: string | null) => void;
    ondrawwalk: () => void;
    onimportwalk: (file: File) => Promise<string | null>;
    /** Puts it somewhere else; a walker with its whole walk. */
    onplace: (xM: number, yM: number, join: string) => void;
    onsubject: () => void;
    onduplicate: () => void;
    ondelete: () => void;
    onclose: () => void;
    onsettle: () => void;
  }
  let {
    piece,
    walk,
    isSubject,
    drawingWalk,
    onchange,
    onwalk,
    ondrawwalk,
    onimportwalk,
    onplace,
    onsubject,
    onduplicate,
    ondelete,
    onclose,
    onsettle,
  }: Props = $props();

  let files: HTMLInputElement | undefined = $state();
  let problem: string | null = $state(null);
  const MOST_TIMES = 12;
  const LAYER_NAMES: Record<PieceLayer, string> = {
    auto: 'its distance says',
    near: 'near, always',
    subject: 'with the subject',
    far: 'far, always',
  };
  const LAYER_ITEMS = LAYERS.map((value) => ({ value, name: LAYER_NAMES[value] }));

  /** In a shot in which it walks, its walk says where it is. */
  const start = $derived(walk?.points[0] ?? null);

  const set = (key: 'xM' | 'yM' | 'zM' | 'headingDeg' | 'lengthM' | 'depthM' | 'heightM', value: number) =>
    onchange(
      (row) =>
        PIECE_KINDS[row.kind].round && (key === 'lengthM' || key === 'depthM')
          ? { ...row, lengthM: value, depthM: value }
          : { ...row, [key]: value },
      `piece.${key}`,
    );
  const setOpening = (key: keyof Opening, value: number) =>
    onchange(
      (row) => (row.kind === 'wall' ? { ...row, opening: { ...row.opening, [key]: value } } : row),
      `opening.${key}`,
    );

  function setTime(index: number, tS: number) {
    if (!walk) return;
    const before = walk.points[index - 1]?.tS ?? -Infinity;
    const after = walk.points[index + 1]?.tS ?? Infinity;
    if (tS <= before || tS >= after) {
      problem = `Time of point ${index + 1} must lie between its neighbours (${before === -Infinity ? 'any' : `${before} s`} and ${after === Infinity ? 'any' : `${after} s`}); it stays as it was.`;
      return;
    }
    problem = null;
    onwalk(
      walk.points.map((point, i) => (i === index ? { ...point, tS } : point)),
      `walk.${index}`,
    );
  }

  async function open(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    if (file) problem = await onimportwalk(file);
    input.value = '';
  }
</script>

<section aria-label="Piece">
  <div class="flex items-center gap-2">
    <TextField
      class="piece-name min-w-0 flex-1 font-display text-xl"
      label="Name of the piece"
      most={80}
      value={piece.name}
      onchange={(name) => onchange((row) => ({ ...row, name }), null)}
    />
    <button class="quiet-button" onclick={onclose}>Done</button>
  </div>
  <p class="leading-8">
    {PIECE_KINDS[piece.kind].label},
    {#if PIECE_KINDS[piece.kind].round}
      <NumberField
        label="Width"
        value={piece.depthM}
        unit="m"
        min={0.02}
        max={2000}
        step={0.1}
        onchange={(v) => set('depthM', v)}
        {onsettle}
      /> across,
    {:else}
      <NumberField
        label="Length"
        value={piece.lengthM}
        unit="m"
        min={0.02}
        max={2000}
        step={0.1}
        onchange={(v) => set('lengthM', v)}
        {onsettle}
      /> long,
      <NumberField
        label="Depth"
        value={piece.depthM}
        unit="m"
        min={0.02}
        max={2000}
        step={0.1}
        onchange={(v) => set('depthM', v)}
        {onsettle}
      /> deep,
    {/if}
    <NumberField
      label="Height"
      value={piece.heightM}
      unit="m"
      min={0.02}
      max={500}
      step={0.1}
      onchange={(v) => set('heightM', v)}
      {onsettle}
    /> high, {start ? 'walking from' : 'at'}
    <NumberField
      label="East"
      value={start?.xM ?? piece.xM}
      unit="m"
      min={-5000}
      max={5000}
      step={0.1}
      onchange={(v) => (start ? onplace(v, start.yM, 'place.x') : set('xM', v))}
      {onsettle}
    /> east,
    <NumberField
      label="North"
      value={start?.yM ?? piece.yM}
      unit="m"
      min={-5000}
      max={5000}
      step={0.1}
      onchange={(v) => (start ? onplace(start.xM, v, 'place.y') : set('yM', v))}
      {onsettle}
    />
    north, {#if start}where and how high the walk says{:else}<NumberField
        label="Base height"
        value={piece.zM}
        unit="m"
        min={-500}
        max={500}
        step={0.1}
        onchange={(v) => set('zM', v)}
        {onsettle}
      /> up{/if}, heading
    <NumberField
      label="Heading"
      value={piece.headingDeg}
      unit="deg"
      min={-360}
      max={360}
      step={5}
      onchange={(v) => set('headingDeg', v)}
      {onsettle}
    />.
    {#if piece.kind === 'wall'}
      Opening <NumberField
        label="Opening width"
        value={piece.opening.widthM}
        unit="m"
        min={0}
        max={1000}
        step={0.1}
        onchange={(v) => setOpening('widthM', v)}
        {onsettle}
      /> wide from
      <NumberField
        label="Opening sill"
        value={piece.opening.sillM}
        unit="m"
        min={0}
        max={500}
        step={0.1}
        onchange={(v) => setOpening('sillM', v)}
        {onsettle}
      /> to
      <NumberField
        label="Opening head"
        value={piece.opening.heightM}
        unit="m"
        min={0}
        max={500}
        step={0.1}
        onchange={(v) => setOpening('heightM', v)}
        {onsettle}
      /> up,
      <NumberField
        label="Opening offset"
        value={piece.opening.offsetM}
        unit="m"
        min={-1000}
        max={1000}
        step={0.1}
        onchange={(v) => setOpening('offsetM', v)}
        {onsettle}
      /> from the middle.
    {/if}
    {#if !isSubject}In the reading it counts as <Choice
        label="Layer"
        value={piece.layer}
        items={LAYER_ITEMS}
        onchange={(layer) => onchange((row) => ({ ...row, layer: layer as PieceLayer }), null)}
      />.{/if}
  </p>
  {#if walk && walk.points.length > 1}
    <p class="leading-8">
      Walks through {walk.points.length} points{#if walk.points.length <= MOST_TIMES}, there at
        {#each walk.points as point, i (i)}{i > 0 ? ', ' : ' '}<NumberField
            label="Time of point {i + 1}"
            value={point.tS}
            unit="s"
            min={-36000}
            max={36000}
            step={0.5}
            onchange={(v) => setTime(i, v)}
            {onsettle}
          />{/each}{/if}.
    </p>
  {/if}
  {#if problem}<p role="alert" class="border-l-4 border-near bg-raised px-3 py-2 text-sm">{problem}</p>{/if}
  <div class="mt-1 flex flex-wrap gap-1 text-sm">
    {#if !isSubject}<button class="quiet-button font-semibold" onclick={onsubject}>Make it the subject</button>{/if}
    <button class="quiet-button" aria-pressed={drawingWalk} onclick={ondrawwalk}
      >{drawingWalk ? 'Walk is done' : 'Draw a walk'}</button
    >
    <button
      class="quiet-button"
      onclick={() => files?.click()}
      title="CSV with the header t,x,y,z, or GPX 1.1, up to {MOST_MB.walk} MB">Walk from a file…</button
    >
    <input
      bind:this={files}
      class="sr-only"
      type="file"
      accept=".csv,.gpx,text/csv,application/gpx+xml"
      aria-label="Walk file"
      tabindex="-1"
      onchange={open}
    />
    {#if walk}<button class="quiet-button" onclick={() => onwalk([], null)}>Stand still</button>{/if}
    <button class="quiet-button" onclick={onduplicate}>Duplicate</button>
    <button class="quiet-button" onclick={ondelete}>Delete</button>
  </div>
  {#if drawingWalk}<p class="mt-1 text-sm text-soft" role="status">
      Press on the plan where {piece.name} goes next; each point is reached at walking pace ({saySpeed(
        1.2,
        preferences.units,
      )}), then drag points or type their times.
    </p>{/if}
</section>

<style>
  section :global(.piece-name) {
    border: 0;
    padding: 0.1rem 0.3rem;
    background: transparent;
    border-radius: 6px;
  }
  section :global(.piece-name:hover) {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
  }
</style>
