import type { SupportCase } from '../definition';
import { type Part, sayExactMm, sayInertia, sayMass, sayMm, saySpeed, type Sled, trim, type Units } from '../../model';
import type { Lump } from '../masses';
import { sledBalance } from './statics';
import { coach } from './coach';
import { sayAdded, solveSled, type SledSolution } from './solver';
import { sayWind } from '../wind';
import { fact, type Fact, type Told } from '../fact';

/** A lean that does not show, and one that does: common practice, no published source. */
const LEAN_DEG = { workable: 1, shows: 3 };
const NEAR_WISH_S = 0.2;
/** Drops that people use: common practice, no published source. */
const USUAL_S = { least: 1.5, most: 3.5 };
/** What an arm holds for minutes, kg: common practice, no published source. */
const ARM_KG = { light: 2.5, heavy: 4.5 };

const degrees = (deg: number) => `${trim(deg, Math.abs(deg) < 10 ? 1 : 0)}°`;

export function sledFacts(sled: Sled, placed: readonly Lump[], units: Units): Fact[] {
  const found = sledBalance(sled, placed);
  const topHeavy =
    'The centre of mass is above the pivot: it turns over. Raise the pivot, lengthen the post or add weight below.';
  const lean = (key: string, label: string, deg: number | null, ahead: string, behind: string, wishDeg = 0): Fact => {
    if (deg === null) return fact(key, label, 'turns over', null, 'cannot', topHeavy);
    const way = (by: number) => `${degrees(Math.abs(by))} ${by > 0 ? ahead : behind}`;
    const wish = wishDeg === 0 ? '' : `; ${way(wishDeg)} is wished`;
    const offDeg = Math.abs(deg - wishDeg);
    return fact(
      key,
      label,
      (Math.abs(deg) < 0.05 ? 'level' : way(deg)) + wish,
      deg,
      offDeg <= LEAN_DEG.workable ? 'fits' : offDeg <= LEAN_DEG.shows ? 'tight' : 'cannot',
      Math.abs(deg - wishDeg) <= LEAN_DEG.workable ? '' : `Move the stage ${deg > wishDeg ? behind : ahead}.`,
    );
  };
  const { dropS } = found;
  const off = dropS === null ? null : dropS - sled.wishS;
  const unusual =
    sled.wishS > USUAL_S.most
      ? `${trim(sled.wishS, 1)} s is a slow wish: so near to its pivot every breath of wind and touch turns it. ` +
        'Two to three seconds are usual.'
      : sled.wishS < USUAL_S.least
        ? `${trim(sled.wishS, 1)} s is a quick wish: it swings on at every start and stop. Two to three ` +
          'seconds are usual.'
        : '';
  return [
    lean('leanForeDeg', 'Leans at rest', found.leanForeDeg, 'forward', 'back', -sled.wishLeanDeg),
    lean('leanSideDeg', 'and', found.leanSideDeg, 'to the right', 'to the left'),
    fact(
      'dropS',
      'Drop from level',
      dropS === null ? 'does not come upright' : `${trim(dropS, 2)} s, wished ${trim(sled.wishS, 1)} s`,
      dropS,
      dropS === null || dropS > 8 ? 'cannot' : Math.abs(off ?? 0) <= NEAR_WISH_S && !unusual ? 'fits' : 'tight',
      off === null
        ? topHeavy
        : Math.abs(off) <= NEAR_WISH_S
          ? unusual
          : off > NEAR_WISH_S
            ? 'Twitchy: raise the pivot.'
            : off < -NEAR_WISH_S
              ? 'Bottom-heavy: it swings on when you stop. Lower the pivot.'
              : '',
    ),
    fact(
      'dropMm',
      'Centre of mass',
      found.dropMm > 0
        ? `${sayMm(found.dropMm, units)} below the pivot`
        : `${sayMm(-found.dropMm, units)} above the pivot`,
      found.dropMm,
    ),
    fact(
      'degPerMm',
      'One millimetre of stage',
      found.degPerMm === null ? 'turns it over' : `leans it ${degrees(found.degPerMm)}`,
      found.degPerMm,
    ),
    fact('inertiaKgM2', 'Moment of inertia', sayInertia(found.inertiaKgM2, units), found.inertiaKgM2),
    fact(
      'stopSwingDeg',
      `Stopped at once from ${saySpeed(sled.walkMps, units)}`,
      found.stopSwingDeg === null
        ? 'goes over'
        : found.stopSwingDeg >= 180
          ? 'goes over'
          : `swings ${degrees(found.stopSwingDeg)}`,
      found.stopSwingDeg,
    ),
    fact(
      'windLeanDeg',
      `In a side wind of ${sayWind(sled.windMps)}`,
      found.windLeanDeg === null ? 'goes over' : `leans ${degrees(found.windLeanDeg)}`,
      found.windLeanDeg,
      found.windLeanDeg === null
        ? null
        : found.windLeanDeg <= LEAN_DEG.workable
          ? 'fits'
          : found.windLeanDeg < 5
            ? 'tight'
            : 'cannot',
      (found.windLeanDeg ?? 0) > LEAN_DEG.workable ? 'Shield it, wait, or take a rig with motors.' : '',
    ),
    ...(sled.deckRollDeg === 0
      ? []
      : [
          fact(
            'deckLeanDeg',
            `On a deck that rolls ${degrees(sled.deckRollDeg)} to each side in ${trim(sled.deckPeriodS, 1)} s`,
            found.deckLeanDeg === null ? 'goes over' : `leans ${degrees(found.deckLeanDeg)}`,
            found.deckLeanDeg,
            found.deckLeanDeg === null
              ? 'cannot'
              : found.deckLeanDeg <= LEAN_DEG.workable
                ? 'fits'
                : found.deckLeanDeg <= LEAN_DEG.shows
                  ? 'tight'
                  : 'cannot',
            (found.deckLeanDeg ?? 0) <= LEAN_DEG.workable
              ? ''
              : 'It swings with the deck: a slower or quicker drop than the deck’s own time, a hand on the post, ' +
                  'or stand nearer to its axis.',
          ),
        ]),
    fact(
      'massKg',
      'On the arm',
      `${sayMass(found.massKg, units)}, ${trim(found.loadN, 0)} N`,
      found.massKg,
      found.massKg <= ARM_KG.light ? 'fits' : found.massKg <= ARM_KG.heavy ? 'tight' : 'cannot',
      found.massKg <= ARM_KG.light
        ? ''
        : found.massKg <= ARM_KG.heavy
          ? 'An arm holds this for a take, not for a day: rest between takes.'
          : 'Too much for one arm: use a vest with an arm.',
    ),
  ];
}

/** The weights of the kit that can be stacked at the bottom, each mass once. */
export function stackWeights(parts: readonly Part[]): Lump[] {
  const masses = new Set<number>();
  return parts
    .filter((part) => part.kind === 'weight' && !masses.has(part.massG) && masses.add(part.massG))
    .map((part) => ({
      name: part.name,
      partId: part.id,
      on: 'bottom',
      massKg: part.massG / 1000,
      xM: part.centreForeMm / 1000,
      yM: part.centreSideMm / 1000,
      zM: (part.heightMm / 2 + part.centreUpMm) / 1000,
      lengthM: part.lengthMm / 1000,
      widthM: part.widthMm / 1000,
      heightM: part.heightMm / 1000,
    }));
}

export const solutionFor = (sled: Sled, placed: readonly Lump[], parts: readonly Part[], units: Units) =>
  solveSled(sled, placed, stackWeights(parts), units);

/**
 * What to do at a sled that has been looked at: the coach's next adjustment and nothing beside it, so that no two
 * sentences pull two ways.
 */
export function coachedSteps(sled: Sled, placed: readonly Lump[], units: Units): string[] {
  const advice = coach(sled, placed, sled.log, units);
  if (advice.workable || !advice.next) return [advice.said];
  const { what, toMm } = advice.next;
  if (Math.abs(sled[what] - toMm) <= 1e-9)
    return ['It is set as the coach said. Let it rest and drop, and tell the coach what it does now.'];
  return [advice.said, 'Let it rest and drop again, and tell the coach what it does.'];
}

/**
 * The procedure from how it is set to the solution, in the order people do it; every number is what is set, to the last
 * digit.
 */
export function sledSteps(sled: Sled, { sled: to, added }: SledSolution, units: Units): string[] {
  const mm = (value: number) => sayExactMm(Math.abs(value), units);
  const moved = (byMm: number, more: string, less: string) => `${mm(byMm)} ${byMm > 0 ? more : less}`;
  const steps = [
    'Put everything on as it will shoot: battery in, card in, strap, filter on, cap off, quick-release locked, ' +
      'zoom set and taped. Any of it changed later, balance again.',
  ];
  if (Math.abs(to.postMm - sled.postMm) > 1e-6)
    steps.push(`Set the post to ${mm(to.postMm)} (${moved(to.postMm - sled.postMm, 'longer', 'shorter')}).`);
  if (added.length > 0) steps.push(`Add ${sayAdded(added)} at the bottom.`);
  const stage = (toMm: number, byMm: number, more: string, less: string) => {
    if (Math.abs(byMm) < 0.005) return;
    const place = Math.abs(toMm) < 0.005 ? 'to its middle' : `to ${mm(toMm)} ${toMm > 0 ? more : less} of its middle`;
    steps.push(`Move the stage ${moved(byMm, more, less)}, ${place}.`);
  };
  stage(to.stageForeMm, to.stageForeMm - sled.stageForeMm, 'forward', 'back');
  stage(to.stageSideMm, to.stageSideMm - sled.stageSideMm, 'to the right', 'to the left');
  if (Math.abs(to.gimbalMm - sled.gimbalMm) > 0.005)
    steps.push(
      `Set the pivot ${mm(to.gimbalMm)} below the plate (${moved(to.gimbalMm - sled.gimbalMm, 'lower', 'higher')}).`,
    );
  const rests =
    sled.wishLeanDeg === 0
      ? 'rests level'
      : `rests looking ${degrees(Math.abs(sled.wishLeanDeg))} ${sled.wishLeanDeg > 0 ? 'up' : 'down'}`;
  steps.push(
    `Hold it level and let it drop: ${trim(sled.wishS, 1)} s to upright. Then check that it ${rests}, and ` +
      'lock everything.',
  );
  return steps;
}

/** A sled as it stands: from the table of parts, or from what was seen at the real one once something was. */
export function sledTold({ support, placed, kit, units }: SupportCase<Sled>): Told {
  const facts = sledFacts(support, placed, units);
  if (support.log.length > 0) return { facts, steps: coachedSteps(support, placed, units) };
  const solution = solutionFor(support, placed, kit.parts, units);
  return { facts, steps: 'cannot' in solution ? [solution.cannot] : sledSteps(support, solution, units) };
}
