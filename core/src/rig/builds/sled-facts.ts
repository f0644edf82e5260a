import type { Part, Sled } from '../../model/build';
import { sayInertia, sayMass, sayMm, saySpeed, trim, type Units } from '../../model/units';
import type { Lump } from '../balance/masses';
import { sledBalance } from '../balance/sled';
import { coach } from '../balance/sled-coach';
import { solveSled, type SledSolution } from '../balance/sled-solver';
import { sayWind } from '../balance/wind';
import { fact, type Fact } from './fact';

/** A lean that does not show, and one that does: common practice, no published source. */
const LEAN_DEG = { workable: 1, shows: 3 };
const NEAR_WISH_S = 0.2;
/** What an arm holds for minutes, kg: common practice, no published source. */
const ARM_KG = { light: 2.5, heavy: 4.5 };

const degrees = (deg: number) => `${trim(deg, Math.abs(deg) < 10 ? 1 : 0)}°`;

export function sledFacts(sled: Sled, placed: readonly Lump[], units: Units): Fact[] {
  const found = sledBalance(sled, placed);
  const topHeavy = 'The centre of mass is above the pivot: it turns over. Raise the pivot, lengthen the post or add weight below.';
  const lean = (key: string, label: string, deg: number | null, ahead: string, behind: string): Fact =>
    deg === null
      ? fact(key, label, 'turns over', null, 'cannot', topHeavy)
      : fact(
          key,
          label,
          Math.abs(deg) < 0.05 ? 'level' : `${degrees(Math.abs(deg))} ${deg > 0 ? ahead : behind}`,
          deg,
          Math.abs(deg) <= LEAN_DEG.workable ? 'fits' : Math.abs(deg) <= LEAN_DEG.shows ? 'tight' : 'cannot',
          Math.abs(deg) <= LEAN_DEG.workable ? '' : 'Move the stage the other way.',
        );
  const { dropS } = found;
  const off = dropS === null ? null : dropS - sled.wishS;
  return [
    lean('leanForeDeg', 'Leans at rest', found.leanForeDeg, 'forward', 'back'),
    lean('leanSideDeg', 'and', found.leanSideDeg, 'to the right', 'to the left'),
    fact(
      'dropS', 'Drop from level', dropS === null ? 'does not come upright' : `${trim(dropS, 2)} s, wished ${trim(sled.wishS, 1)} s`, dropS,
      dropS === null || dropS > 8 ? 'cannot' : Math.abs(off ?? 0) <= NEAR_WISH_S ? 'fits' : 'tight',
      off === null ? topHeavy : off > NEAR_WISH_S ? 'Twitchy: raise the pivot.' : off < -NEAR_WISH_S ? 'Bottom-heavy: it swings on when you stop. Lower the pivot.' : '',
    ),
    fact('dropMm', 'Centre of mass', found.dropMm > 0 ? `${sayMm(found.dropMm, units)} below the pivot` : `${sayMm(-found.dropMm, units)} above the pivot`, found.dropMm),
    fact('degPerMm', 'One millimetre of stage', found.degPerMm === null ? 'turns it over' : `leans it ${degrees(found.degPerMm)}`, found.degPerMm),
    fact('inertiaKgM2', 'Moment of inertia', sayInertia(found.inertiaKgM2, units), found.inertiaKgM2),
    fact('stopSwingDeg', `Stopped at once from ${saySpeed(sled.walkMps, units)}`, found.stopSwingDeg === null ? 'goes over' : found.stopSwingDeg >= 180 ? 'goes over' : `swings ${degrees(found.stopSwingDeg)}`, found.stopSwingDeg),
    fact('windLeanDeg', `In a side wind of ${sayWind(sled.windMps)}`, found.windLeanDeg === null ? 'goes over' : `leans ${degrees(found.windLeanDeg)}`, found.windLeanDeg, found.windLeanDeg === null ? null : found.windLeanDeg <= LEAN_DEG.workable ? 'fits' : found.windLeanDeg < 5 ? 'tight' : 'cannot', (found.windLeanDeg ?? 0) > LEAN_DEG.workable ? 'Shield it, wait, or take a rig with motors.' : ''),
    fact('massKg', 'On the arm', `${sayMass(found.massKg, units)}, ${trim(found.loadN, 0)} N`, found.massKg, found.massKg <= ARM_KG.light ? 'fits' : found.massKg <= ARM_KG.heavy ? 'tight' : 'cannot', found.massKg <= ARM_KG.light ? '' : found.massKg <= ARM_KG.heavy ? 'An arm holds this for a take, not for a day: rest between takes.' : 'Too much for one arm: use a vest with an arm.'),
  ]; // prettier-ignore
}

/** The weight of the kit that can be stacked at the bottom: its lightest. */
export function stackWeight(parts: readonly Part[]): Lump | null {
  const lightest = parts.filter((part) => part.kind === 'weight').sort((a, b) => a.massG - b.massG)[0];
  if (!lightest) return null;
  const size = { lengthM: lightest.lengthMm / 1000, widthM: lightest.widthMm / 1000, heightM: lightest.heightMm / 1000 };
  return { name: lightest.name, partId: lightest.id, on: 'bottom', massKg: lightest.massG / 1000, xM: 0, yM: 0, zM: size.heightM / 2, ...size };
}

export const solutionFor = (sled: Sled, placed: readonly Lump[], parts: readonly Part[], units: Units = 'metric') => solveSled(sled, placed, stackWeight(parts), units);

/** What to do at a sled that has been looked at: the coach's next adjustment and nothing beside it, so that no two sentences pull two ways. */
export function coachedSteps(sled: Sled, placed: readonly Lump[], units: Units): string[] {
  const advice = coach(sled, placed, sled.log, units);
  if (advice.workable || !advice.next) return [advice.said];
  const { what, toMm } = advice.next;
  if (Math.abs(sled[what] - toMm) <= 1e-9) return ['It is set as the coach said. Let it rest and drop, and tell the coach what it does now.'];
  return [advice.said, 'Let it rest and drop again, and tell the coach what it does.'];
}

/** The procedure from how it is set to the solution, in the order people do it. */
export function sledSteps(sled: Sled, solution: SledSolution, units: Units): string[] {
  const to = solution.sled;
  const moved = (byMm: number, more: string, less: string) => `${sayMm(Math.abs(byMm), units)} ${byMm > 0 ? more : less}`;
  const steps = ['Put everything on as it will shoot: battery, card, strap, filter on, cap off, zoom set and taped.'];
  if (Math.abs(to.postMm - sled.postMm) >= 1) steps.push(`Set the post to ${sayMm(to.postMm, units)} (${moved(to.postMm - sled.postMm, 'longer', 'shorter')}).`);
  if (solution.weights > 0) steps.push(`Add ${solution.weights} × ${solution.weight?.name ?? 'weight'} at the bottom.`);
  if (Math.abs(to.stageForeMm - sled.stageForeMm) >= 0.05)
    steps.push(`Move the stage ${moved(to.stageForeMm - sled.stageForeMm, 'forward', 'back')}: to ${sayMm(to.stageForeMm, units)}.`);
  if (Math.abs(to.stageSideMm - sled.stageSideMm) >= 0.05)
    steps.push(`Move the stage ${moved(to.stageSideMm - sled.stageSideMm, 'to the right', 'to the left')}: to ${sayMm(to.stageSideMm, units)}.`);
  if (Math.abs(to.gimbalMm - sled.gimbalMm) >= 0.1)
    steps.push(`Set the pivot ${sayMm(to.gimbalMm, units)} below the plate (${moved(to.gimbalMm - sled.gimbalMm, 'lower', 'higher')}).`);
  steps.push(`Hold it level and let it drop: ${trim(sled.wishS, 1)} s to upright. Then check that it rests level, and lock everything.`);
  return steps;
}
