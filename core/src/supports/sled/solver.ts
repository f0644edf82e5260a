import { asPrintedMm, sayMm, type Sled, type Units } from '../../model';
import { GRAVITY, K_FROM_LEVEL } from '../elliptic';
import { heapOf, pitchInertia, sledLumps, type Lump } from '../masses';
import { hiddenOf } from './learning';

/**
 * How far the pivot has to be above the centre of mass for a drop time, m: the nearer of the two distances that give
 * it. Null when even the quickest drop of this mass takes longer.
 */
export function pivotAboveM(inertiaAboutCentreKgM2: number, massKg: number, dropS: number): number | null {
  const b = (GRAVITY * dropS ** 2) / K_FROM_LEVEL ** 2;
  const c = inertiaAboutCentreKgM2 / massKg;
  const root = b * b - 4 * c;
  return root < 0 ? null : (2 * c) / (b + Math.sqrt(root));
}

/** So many of one weight of the kit. */
export interface Added {
  weight: Lump;
  count: number;
}

/**
 * A setting of the sled that balances it, as it is printed, and the weights that go to the bottom besides what is
 * there.
 */
export interface SledSolution {
  sled: Sled;
  added: Added[];
}

/** How many of each weight fit on a post, and how many in all. */
const MOST_OF_EACH = 12;
const MOST_IN_ALL = 16;
/** The pivot cannot be nearer to the bottom than this. */
export const BELOW_GIMBAL_MM = 50;

/**
 * The lightest weights, then the shortest post, that let the pivot be set for the wished drop time and the wished lean.
 * `weights`: those of the kit that can be added to the bottom, any number of times. What is set is what is printed
 * (`printedSled`). Gives a sentence when nothing within the sled's travel does it.
 */
export function solveSled(
  sled: Sled,
  placed: readonly Lump[],
  weights: readonly Lump[],
  units: Units = 'metric',
): SledSolution | { cannot: string } {
  if (!placed.some((row) => row.on === 'top'))
    return { cannot: 'Put a camera on the plate first: nothing is there to be balanced.' };
  // Whole millimetres, which hands set; a post that has none between its ends has one length.
  const longestMm =
    Math.floor(sled.postMaxMm + 1e-9) >= sled.postMinMm ? Math.floor(sled.postMaxMm + 1e-9) : sled.postMaxMm;
  const shortestMm = Math.min(longestMm, Math.ceil(sled.postMinMm - 1e-9));
  let why: string | null = null;
  let heaviest: Added[] = [];
  for (const added of stacksOf(weights)) {
    const all = [...placed, ...stackOf(added)];
    const at = (postMm: number) => levelled({ ...sled, postMm }, all, units);
    // The longest post leaves most room on both sides of the pivot: what it cannot do no shorter one can.
    const longest = at(longestMm);
    if (typeof longest === 'string') {
      // A long post only falls too slowly for a quick wish; a shorter one may do.
      for (let postMm = shortestMm; longest === tooQuick(sled) && postMm < longestMm; postMm += 10) {
        const set = at(postMm);
        if (typeof set !== 'string') return { sled: set, added };
      }
      // With more weight at the bottom another trouble may come: the first one, of the fewest weights, is what there is
      // to mend, unless weights mend it.
      if (why === null || longest.startsWith(TOP_HEAVY)) [why, heaviest] = [longest, added];
      continue;
    }
    let [fails, does] = [shortestMm - 1, longestMm];
    let best = longest;
    while (does - fails > 1) {
      const postMm = Math.floor((fails + does) / 2);
      const set = at(postMm);
      if (typeof set === 'string') fails = postMm;
      else [does, best] = [postMm, set];
    }
    return { sled: best, added };
  }
  const even =
    heaviest.length > 0 && why?.startsWith(TOP_HEAVY)
      ? ` That is with ${sayAdded(heaviest)} and the longest post.`
      : '';
  return { cannot: `${why ?? ''}${even}` };
}

/** Weights in words: `3 × Disc 200 g and 1 × Disc 50 g`. */
export const sayAdded = (added: readonly Added[]): string =>
  added.map(({ weight, count }) => `${count} × ${weight.name}`).join(' and ');

/** Every stack that can be made of some weights, lightest first, and of equal ones the one of fewer pieces. */
function stacksOf(weights: readonly Lump[]): Added[][] {
  let stacks: Added[][] = [[]];
  for (const weight of [...weights].sort((a, b) => b.massKg - a.massKg).slice(0, 4))
    stacks = stacks.flatMap((stack) =>
      Array.from({ length: MOST_OF_EACH + 1 }, (_, count) =>
        count === 0 ? stack : [...stack, { weight, count }],
      ).filter((row) => piecesOf(row) <= MOST_IN_ALL),
    );
  return stacks
    .map((stack) => ({ stack, kg: kgOf(stack), pieces: piecesOf(stack) }))
    .sort((a, b) => a.kg - b.kg || a.pieces - b.pieces)
    .map(({ stack }) => stack);
}

const piecesOf = (added: readonly Added[]) => added.reduce((sum, { count }) => sum + count, 0);
const kgOf = (added: readonly Added[]) =>
  Math.round(added.reduce((sum, { weight, count }) => sum + count * weight.massKg, 0) * 1e6) / 1e6;

/** Weights on each other, the heaviest lowest, as they are put on. */
export function stackOf(added: readonly Added[]): Lump[] {
  let upM = 0;
  return added.flatMap(({ weight, count }) =>
    Array.from({ length: count }, () => {
      const lump = { ...weight, zM: weight.zM + upM };
      upM += weight.heightM;
      return lump;
    }),
  );
}

const TOP_HEAVY = 'It stays top-heavy';
const tooQuick = ({ wishS }: Sled) => `A drop of ${wishS} s is quicker than this sled can fall: wish for a slower one.`;

/**
 * The stage put over the post (or off it, for a wished lean) and the pivot over the centre of mass, both as printed; or
 * why that does not go.
 */
function levelled(sled: Sled, placed: readonly Lump[], units: Units): Sled | string {
  const hidden = hiddenOf(sled, placed);
  const mm = (value: number) => sayMm(value, units);
  const top = heapOf(placed.filter((row) => row.on === 'top'));
  const all = heapOf(sledLumps({ ...sled, stageForeMm: 0, stageSideMm: 0 }, placed, hidden));
  const perMm = top.massKg / all.massKg;
  const stageSideMm = -(all.yM * 1000) / perMm;
  // The centre of mass hangs below the pivot: forward of it in the sled, the camera looks down.
  const lean = -sled.wishLeanDeg * RAD;
  let set = { ...sled, stageForeMm: -(all.xM * 1000) / perMm, stageSideMm };
  let away = 0;
  for (let round = 0; round < (lean === 0 ? 1 : 4); round += 1) {
    const lumps = sledLumps(set, placed, hidden);
    const centre = heapOf(lumps);
    const found = pivotAboveM(pitchInertia(lumps, centre.xM, centre.zM), centre.massKg, sled.wishS);
    if (found === null) return tooQuick(sled);
    away = found;
    set = { ...set, stageForeMm: (away * Math.sin(lean) * 1000 - all.xM * 1000) / perMm };
  }
  const most = Math.max(Math.abs(set.stageForeMm), Math.abs(stageSideMm));
  if (most > sled.stageTravelMm)
    return (
      `The stage would have to go ${mm(most)} and goes ${mm(sled.stageTravelMm)} either way: move the camera on ` +
      'its plate, or the battery, the other way.'
    );
  const { zM } = heapOf(sledLumps(set, placed, hidden));
  const gimbalMm = sled.gimbalMm - (zM + away * Math.cos(lean)) * 1000;
  if (gimbalMm < sled.gimbalMinMm)
    return (
      `${TOP_HEAVY}: the pivot would have to be ${mm(gimbalMm)} below the plate and goes no higher than ` +
      `${mm(sled.gimbalMinMm)}. Add weight at the bottom or lengthen the post.`
    );
  if (gimbalMm > sled.postMm - BELOW_GIMBAL_MM)
    return 'The bottom is too heavy for this post: take weight from the bottom.';
  return printedSled({ ...set, gimbalMm }, perMm / (away * Math.cos(lean) * 1000), units);
}

const RAD = Math.PI / 180;
/** A step of the stage may lean it by this much at most, degrees. */
const STEP_LEAN_DEG = 0.5;

/**
 * The steps in which the stage is set, mm: tenths, or hundredths where a tenth leans it too far; inches to the
 * thousandth. `leanPerMm` in radians.
 */
const stageStepMm = (leanPerMm: number): number => ((0.1 * leanPerMm) / RAD > STEP_LEAN_DEG ? 0.02 : 0.1);

/** A sled as hands set it from the printed numbers. */
function printedSled(sled: Sled, leanPerMm: number, units: Units): Sled {
  const step = stageStepMm(leanPerMm);
  const stage = (mm: number) => asPrintedMm(units === 'metric' ? Math.round(mm / step) * step : mm, units);
  const gimbalMm = asPrintedMm(units === 'metric' ? Math.round(sled.gimbalMm * 10) / 10 : sled.gimbalMm, units);
  const within = (mm: number) => Math.min(sled.stageTravelMm, Math.max(-sled.stageTravelMm, mm));
  return {
    ...sled,
    stageForeMm: within(stage(sled.stageForeMm)),
    stageSideMm: within(stage(sled.stageSideMm)),
    gimbalMm: Math.max(sled.gimbalMinMm, gimbalMm),
  };
}
