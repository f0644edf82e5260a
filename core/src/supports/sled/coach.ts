import { sayExactMm, type Sled, type SledRound, trim, type Units } from '../../model';
import type { Lump } from '../masses';
import { dropOf, learnOffsets, stateOf, type HiddenOffsets } from './learning';
import { BELOW_GIMBAL_MM, pivotAboveM } from './solver';

const DEG = 180 / Math.PI;

export interface Advice {
  hidden: HiddenOffsets;
  /** The next single adjustment; null when it is workable, or when nothing that can be set does it. */
  next: { what: 'stageForeMm' | 'stageSideMm' | 'gimbalMm'; toMm: number; byMm: number } | null;
  /** What to do, and why. */
  said: string;
  workable: boolean;
}

/** Workable: what is left does not show. */
export const WORKABLE = { leanDeg: 1, dropS: 0.2 };
/** What hands can set. */
const STEP_MM = { stage: 0.02, gimbal: 0.1 };

/**
 * The pivot is kept this many standard deviations above the centre of mass; leans below the second are levelled later.
 */
const SURE_OF_BELOW = 2.0;
const NEARLY_LEVEL_DEG = 12;
/** It is called workable within this share of what is. */
const SURE_SHARE = { lean: 0.5, drop: 0.75 };
/** A lean from here on says that it does not hang. */
const TURNS_OVER_DEG = 60;

/** How a lean is told in words: the middle of what each word means, degrees. */
export const LEAN_WORDS = [
  { word: 'level', deg: 0.3 },
  { word: 'a little', deg: 4 },
  { word: 'clearly', deg: 15 },
  { word: 'hard', deg: 45 },
  { word: 'turns over', deg: 120 },
] as const;

const rounded = (value: number, step: number) => Math.round(Math.round(value / step) * step * 1000) / 1000;
const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/**
 * The next single adjustment from all that was seen so far, within what the sled can be set to, with its reason; the
 * last round is how it is set now.
 */
export function coach(
  sled: Sled,
  placed: readonly Lump[],
  rounds: readonly SledRound[],
  units: Units = 'metric',
): Advice {
  const hidden = learnOffsets(sled, placed, rounds);
  const last = rounds.at(-1);
  const say = (said: string, workable = false): Advice => ({ hidden, next: null, workable, said });
  if (!placed.some((row) => row.on === 'top'))
    return say('Put the camera on the plate first: nothing is there to be balanced.');
  if (!last)
    return say(
      'Hold it level by its grip, let it find its own rest, and say which way it leans; then let it drop from ' +
        'level and tap twice.',
    );
  const state = stateOf({ ...sled, ...last }, placed);
  const mm = (value: number) => sayExactMm(Math.abs(value), units);
  const belowMm = state.downMm + hidden.downMm;
  // What was seen just now, and what all looks together say: each alone errs.
  const dropWrong =
    last.dropS === null
      ? Infinity
      : (Math.abs(last.dropS - sled.wishS) + Math.abs(dropOf(state, belowMm) - sled.wishS)) / 2;
  // Forward of its pivot hangs a camera that looks down.
  const wishForeDeg = -sled.wishLeanDeg;
  const guessed = [
    Math.atan2(state.foreMm + hidden.foreMm, belowMm) * DEG - wishForeDeg,
    Math.atan2(state.sideMm + hidden.sideMm, belowMm) * DEG,
  ];
  const seen = [last.leanForeDeg === null ? null : last.leanForeDeg - wishForeDeg, last.leanSideDeg];
  const missing = ['forward or back', 'right or left'].filter((_, i) => seen[i] === null);
  const leanWrong = Math.max(...guessed.map((deg, i) => (Math.abs(seen[i] ?? 180) + Math.abs(deg)) / 2));
  if (dropWrong <= WORKABLE.dropS * SURE_SHARE.drop && leanWrong <= WORKABLE.leanDeg * SURE_SHARE.lean)
    return say('Workable. Tape the zoom, lock everything, and leave it: workable beats perfect.', true);
  if (missing.length > 0 && Math.abs(seen[0] ?? seen[1] ?? 0) < TURNS_OVER_DEG)
    return say(
      `Let it find its own rest and say whether it leans ${missing.join(', and ')}, then look again: without ` +
        'that the next step would be a guess.',
    );

  const wantMm = (pivotAboveM(state.inertiaAboutCentre, state.massKg, sled.wishS) ?? 0.02) * 1000;
  const perMm = state.topKg / state.massKg;
  const foreMm = (Math.tan(wishForeDeg / DEG) * Math.max(belowMm, wantMm) - state.foreMm - hidden.foreMm) / perMm;
  const sideMm = -(state.sideMm + hidden.sideMm) / perMm;
  // Nearer than it is known where the centre of mass lies, it could turn over.
  const sureMm = SURE_OF_BELOW * hidden.downSdMm;
  const goalMm = Math.max(wantMm, sureMm);
  const [highestMm, lowestMm] = [sled.gimbalMinMm, sled.postMm - BELOW_GIMBAL_MM];
  const wishedMm = last.gimbalMm + rounded(belowMm - goalMm, STEP_MM.gimbal);
  const pivotMm = rounded(within(wishedMm, highestMm, Math.max(highestMm, lowestMm)), STEP_MM.gimbal);
  const byMm = rounded(pivotMm - last.gimbalMm, STEP_MM.gimbal);
  const leanOf = (off: number) => Math.abs(Math.atan2(off * perMm, goalMm)) * DEG;
  const topHeavy = belowMm < Math.max(1, 1.5 * hidden.downSdMm);
  const hangs = seen.every((deg) => deg !== null && Math.abs(deg) < NEARLY_LEVEL_DEG);
  if (last.dropS === null && hangs)
    return say(
      'Hold it level, let it drop and tap twice, then look again: without a drop time nothing says how far the ' +
        'pivot is from right.',
    );
  const worstLean = Math.max(leanOf(foreMm), leanOf(sideMm));

  // First make it hang, then level it, then bring the pivot near, and level it again at the end.
  if (
    Math.abs(byMm) > 0.1 * goalMm &&
    dropWrong > WORKABLE.dropS * SURE_SHARE.drop &&
    (topHeavy || worstLean < NEARLY_LEVEL_DEG)
  ) {
    const dropS = dropOf(state, belowMm);
    const why =
      byMm < 0
        ? topHeavy
          ? 'its weight lies above the pivot, or nearly, and it would turn over'
          : sureMm > wantMm
            ? 'where its weight lies is not known well enough yet, and hung lower it cannot turn over'
            : `it takes about ${trim(dropS, 1)} s to drop, and ${trim(sled.wishS, 1)} s are wished`
        : `it is heavy at the bottom: it drops in about ${trim(dropS, 1)} s, and ${trim(sled.wishS, 1)} s are wished`;
    const instruction = byMm < 0 ? 'Raise the pivot towards the camera' : 'Lower the pivot away from the camera';
    return {
      hidden,
      workable: false,
      next: { what: 'gimbalMm', byMm, toMm: pivotMm },
      said: `${instruction} by ${mm(byMm)}, to ${mm(pivotMm)} below the plate: ${why}.`,
    };
  }
  if (topHeavy && wishedMm < highestMm)
    return say(
      `The pivot is as high as it goes (${mm(highestMm)} below the plate) and it stays top-heavy: add weight at ` +
        'the bottom or lengthen the post, then look again.',
    );
  if (worstLean < NEARLY_LEVEL_DEG && wishedMm > lowestMm + 0.1 * goalMm)
    return say(
      'The pivot is as low as it goes and it stays heavy at the bottom: take weight from the bottom or lengthen ' +
        'the post, then look again.',
    );

  const fore = Math.abs(foreMm) >= Math.abs(sideMm);
  const [what, off, ways, leans] = fore
    ? (['stageForeMm', foreMm, ['forward', 'back'], ['back', 'forward']] as const)
    : (['stageSideMm', sideMm, ['to the right', 'to the left'], ['to the left', 'to the right']] as const);
  const way = off > 0 ? ways[0] : ways[1];
  const wantedMm = last[what] + off;
  if (Math.abs(wantedMm) > sled.stageTravelMm + STEP_MM.stage)
    return say(
      `The stage would have to go ${mm(wantedMm)} ${wantedMm > 0 ? ways[0] : ways[1]} and goes ` +
        `${mm(sled.stageTravelMm)} either way: put it back in its middle, move the camera on its plate ` +
        `${wantedMm > 0 ? ways[0] : ways[1]} by about ${mm(wantedMm)}, and look again.`,
    );
  const toMm = rounded(within(wantedMm, -sled.stageTravelMm, sled.stageTravelMm), STEP_MM.stage);
  const stageMm = rounded(toMm - last[what], STEP_MM.stage);
  if (Math.abs(stageMm) < STEP_MM.stage / 2)
    return say(
      'By all that was seen so far nothing is left to move that a hand could set: let it rest and drop once ' +
        'more, say it as exactly as you can, and look again.',
    );
  const place =
    Math.abs(toMm) < STEP_MM.stage / 2
      ? 'to its middle'
      : `to ${mm(toMm)} ${toMm > 0 ? ways[0] : ways[1]} of its middle`;
  return {
    hidden,
    workable: false,
    next: { what, byMm: stageMm, toMm },
    said: `Move the stage ${way} by ${mm(stageMm)}, ${place}: it leans ${off > 0 ? leans[0] : leans[1]}.`,
  };
}
