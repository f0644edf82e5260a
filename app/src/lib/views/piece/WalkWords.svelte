<script lang="ts">
  import { atHeight, atSpeed, changeWalk, changeWalkWay, walkStretches } from '@gentle-arc/core/edit';
  import { MOST_MB } from '@gentle-arc/core/formats';
  import {
    FIELDS,
    type Jump,
    type Piece,
    sayLength,
    saySpeed,
    trim,
    type Walk,
    type WalkPoint,
  } from '@gentle-arc/core/model';
  import { airtimeS, DRIVING } from '@gentle-arc/core/scene';
  import { takeDropped } from '$lib/session/files/takers.svelte';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import Hole from '$lib/ui/Hole.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { readFile } from '$lib/workers/read-file';
  import WalkHeights from './WalkHeights.svelte';

  /** Where a piece goes in this shot: its metres, seconds and speeds from point to point, its heights and its jumps. */
  interface Props {
    piece: Piece;
    walk: Walk | null;
    drawingWalk: boolean;
    ondrawwalk: () => void;
  }
  let { piece, walk, drawingWalk, ondrawwalk }: Props = $props();

  const session = shotSession();
  const { shot } = $derived(session);
  const { units } = $derived(preferences);
  const MOST_TOLD = 12;
  const MOST_JUMPS = 40;

  let problem: string | null = $state(null);
  const stretches = $derived(walk ? walkStretches(walk) : []);
  const totalM = $derived(stretches.reduce((sum, { lengthM }) => sum + lengthM, 0));
  const totalS = $derived(stretches.reduce((sum, { durationS }) => sum + durationS, 0));
  const goes = $derived(walk !== null && walk.points.length > 1);
  const verb = $derived(DRIVING[piece.kind] ? 'Goes' : 'Walks');
  const speedFact = { type: 'number', label: 'Speed', unit: 'mps', min: 0.05, max: 120, step: 0.1 } as const;

  const setPoints = (points: WalkPoint[], join: string | null) =>
    session.change(changeWalk(session.shoot, shot.id, piece.id, points), join && `${join}.${piece.id}`);
  const setWay = (change: Partial<Pick<Walk, 'footing' | 'jumps'>>, join: string | null = null) =>
    session.change(changeWalkWay(session.shoot, shot.id, piece.id, change), join && `${join}.${piece.id}`);

  function setTime(index: number, tS: number) {
    if (!walk) return;
    const before = walk.points[index - 1]?.tS ?? -Infinity;
    const after = walk.points[index + 1]?.tS ?? Infinity;
    if (tS <= before || tS >= after) {
      problem =
        `Time of point ${index + 1} must lie between its neighbours ` +
        `(${before === -Infinity ? 'any' : `${before} s`} and ${after === Infinity ? 'any' : `${after} s`}); ` +
        'it stays as it was.';
      return;
    }
    problem = null;
    setPoints(
      walk.points.map((point, i) => (i === index ? { ...point, tS } : point)),
      `walk.${index}`,
    );
  }

  const jumps = $derived(walk?.jumps ?? []);
  function setJump(index: number, change: Partial<Jump>, join: string) {
    const next = jumps.map((jump, i) => (i === index ? { ...jump, ...change } : jump));
    const late = next.findIndex((jump, i) => i > 0 && jump.atS < next[i - 1].atS + airtimeS(next[i - 1].heightM));
    problem = late > 0 ? `Jump ${late + 1} begins before the one before it has landed; it stays as it was.` : null;
    if (problem === null) setWay({ jumps: next }, join);
  }
  function addJump() {
    const last = jumps.at(-1);
    const atS = last ? Math.ceil((last.atS + airtimeS(last.heightM) + 0.5) * 10) / 10 : 1;
    setWay({ jumps: [...jumps, { atS, heightM: 0.4 }] });
  }

  async function open(file: File) {
    const contents = await readFile(file, 'walk', piece);
    problem = typeof contents === 'string' ? contents : null;
    if (typeof contents !== 'string' && contents.kind === 'walk') take(contents.points);
  }
  /** Heights of a file are those of the file. */
  function take(points: WalkPoint[]) {
    const next = changeWalk(session.shoot, shot.id, piece.id, points);
    session.change(changeWalkWay(next, shot.id, piece.id, { footing: 'drawn' }));
  }
  takeDropped(() => ({ walk: { landing: { xM: piece.xM, yM: piece.yM, zM: piece.zM }, take } }));
</script>

{#if walk && goes}
  <p class="leading-8">
    {verb} through {walk.points.length} points,
    {sayLength(totalM, units)} in {trim(totalS, 1)} s, {saySpeed(totalM / totalS, units)} on average{#if walk.points.length <= MOST_TOLD}:
      from <Hole
        fact={FIELDS.walkPoint.tS}
        value={walk.points[0].tS}
        label="Time of point 1"
        onchange={(v: number) => setTime(0, v)}
      />{#each stretches as stretch, i (i)}, {sayLength(stretch.lengthM, units)} at
        <Hole
          fact={speedFact}
          value={Math.round(stretch.speedMps * 100) / 100}
          label="Speed to point {i + 2}"
          onchange={(v: number) => walk && setPoints(atSpeed(walk.points, i, v), `speed.${i}`)}
        />
        until <Hole
          fact={FIELDS.walkPoint.tS}
          value={walk.points[i + 1].tS}
          label="Time of point {i + 2}"
          onchange={(v: number) => setTime(i + 1, v)}
        />{/each}{/if}.
    <Sentence
      text={'Its heights are {footing}.'}
      facts={FIELDS.walk}
      values={walk}
      onchange={(_key, value) => setWay({ footing: value as Walk['footing'] })}
    />
    {#each jumps as jump, i (i)}
      <Sentence
        text={'It jumps {heightM} high at {atS}'}
        facts={FIELDS.jump}
        values={jump}
        label={(_key, fact) => `${fact.label}, jump ${i + 1}`}
        onchange={(key, value) => setJump(i, { [key]: Number(value) }, `jump.${i}.${key}`)}
      />, {trim(airtimeS(jump.heightM), 2)} s in the air
      <button class="link" onclick={() => setWay({ jumps: jumps.filter((_, k) => k !== i) })}>no jump {i + 1}</button>.
    {/each}
  </p>
  <WalkHeights
    {piece}
    {walk}
    onheight={(index, zM) => walk && setPoints(atHeight(walk.points, index, zM), `height.${index}`)}
  />
{/if}
{#if problem}<Trouble class="text-sm">{problem}</Trouble>{/if}
<div class="mt-1 flex flex-wrap gap-1 text-sm">
  <button class="quiet-button" aria-pressed={drawingWalk} onclick={ondrawwalk}
    >{drawingWalk ? 'Walk is done' : 'Draw a walk'}</button
  >
  <FilePicker
    class="quiet-button"
    label="Walk file"
    accept=".csv,.gpx,text/csv,application/gpx+xml"
    title="CSV with the header t,x,y,z, or GPX 1.1, up to {MOST_MB.walk} MB"
    onfile={open}>Walk from a file…</FilePicker
  >
  {#if walk}<button class="quiet-button" onclick={() => setPoints([], null)}>Stand still</button>{/if}
  {#if goes && jumps.length < MOST_JUMPS}<button class="quiet-button" onclick={addJump}>Add a jump</button>{/if}
</div>
{#if drawingWalk}<p class="mt-1 text-sm text-soft" role="status">
    Press on the plan where {piece.name} goes next; each point is reached at walking pace ({saySpeed(1.2, units)}), then
    drag points or type times and speeds.
  </p>{/if}
