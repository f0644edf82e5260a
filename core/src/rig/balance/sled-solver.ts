import type { Sled } from '../../model/build';
import { GRAVITY, K_FROM_LEVEL } from './elliptic';
import { sayMm, type Units } from '../../model/units';
import { heapOf, pitchInertia, sledLumps, type Lump } from './masses';
import { hiddenOf } from './sled-learning';

/** How far the pivot has to be above the centre of mass for a drop time, m: the nearer of the two distances that give it. Null when even the quickest drop of this mass takes longer. */
export function pivotAboveM(inertiaAboutCentreKgM2: number, massKg: number, dropS: number): number | null {
  const b = (GRAVITY * dropS ** 2) / K_FROM_LEVEL ** 2;
  const c = inertiaAboutCentreKgM2 / massKg;
  const root = b * b - 4 * c;
  return root < 0 ? null : (2 * c) / (b + Math.sqrt(root));
}

/** A setting of the sled that balances it, and the weights it takes. */
export interface SledSolution {
  sled: Sled;
  /** How many of the weight go to the bottom besides what is there. */
  weights: number;
  weight: Lump | null;
}

const POST_STEP_MM = 10;
const WEIGHTS_MAX = 12;
/** The pivot cannot be nearer to the bottom than this. */
export const BELOW_GIMBAL_MM = 50;

/**
 * The lightest weights, then the shortest post, that let the pivot be set for the wished drop time with no lean. `weight`: the weight of the kit that can be added to the bottom, any
 * number of times; null: none. Gives a sentence when nothing within the sled's travel does it.
 */
export function solveSled(sled: Sled, placed: readonly Lump[], weight: Lump | null, units: Units = 'metric'): SledSolution | { cannot: string } {
  let why = 'Put a camera on the plate first: nothing is there to be balanced.';
  if (!placed.some((row) => row.on === 'top')) return { cannot: why };
  for (let weights = 0; weights <= (weight ? WEIGHTS_MAX : 0); weights += 1) {
    const all = weight ? [...placed, ...stackOf(weight, weights)] : placed;
    for (let postMm = sled.postMinMm; postMm <= sled.postMaxMm + 1e-9; postMm += POST_STEP_MM) {
      const set = levelled({ ...sled, postMm }, all, units);
      if (typeof set === 'string') {
        why = set;
        continue;
      }
      return { sled: set, weights, weight };
    }
  }
  return { cannot: why };
}

/** So many of a weight on each other, as they are put on. */
export const stackOf = (weight: Lump, count: number): Lump[] => Array.from({ length: count }, (_, k) => ({ ...weight, zM: weight.zM + k * weight.heightM }));

/** The stage put over the post and the pivot over the centre of mass; or why that does not go. */
function levelled(sled: Sled, placed: readonly Lump[], units: Units): Sled | string {
  const hidden = hiddenOf(sled, placed);
  const mm = (value: number) => sayMm(value, units);
  const top = heapOf(placed.filter((row) => row.on === 'top'));
  const middled = { ...sled, stageForeMm: 0, stageSideMm: 0 };
  const all = heapOf(sledLumps(middled, placed, hidden));
  const stageForeMm = ((-all.xM * all.massKg) / top.massKg) * 1000;
  const stageSideMm = ((-all.yM * all.massKg) / top.massKg) * 1000;
  const most = Math.max(Math.abs(stageForeMm), Math.abs(stageSideMm));
  if (most > sled.stageTravelMm)
    return `The stage would have to go ${mm(most)} and goes ${mm(sled.stageTravelMm)} either way: move the camera on its plate, or the battery, the other way.`;
  const set = { ...sled, stageForeMm, stageSideMm };
  const lumps = sledLumps(set, placed, hidden);
  const centre = heapOf(lumps);
  const above = pivotAboveM(pitchInertia(lumps, centre.xM, centre.zM), centre.massKg, sled.wishS);
  if (above === null) return `A drop of ${sled.wishS} s is quicker than this sled can fall: wish for a slower one.`;
  const gimbalMm = sled.gimbalMm - (centre.zM + above) * 1000;
  if (gimbalMm < sled.gimbalMinMm)
    return `It stays top-heavy: the pivot would have to be ${mm(gimbalMm)} below the plate and goes no higher than ${mm(sled.gimbalMinMm)}. Add weight at the bottom or lengthen the post.`;
  if (gimbalMm > sled.postMm - BELOW_GIMBAL_MM) return 'The bottom is too heavy for this post: take weight from the bottom.';
  return { ...set, gimbalMm };
}
