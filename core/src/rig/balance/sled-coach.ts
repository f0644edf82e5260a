import type { Sled, SledRound } from '../../model/build';
import { trim } from '../../model/units';
import { GRAVITY, K_FROM_LEVEL } from './elliptic';
import { heapOf, pitchInertia, sledLumps, type Lump } from './masses';
import { pivotAboveM } from './sled-solver';

const DEG = 180 / Math.PI;

/** What is not known of a sled: how far its centre of mass lies from where the parts say, mm, and how sure that is (standard deviations). */
export interface HiddenOffsets {
  foreMm: number;
  sideMm: number;
  downMm: number;
  foreSdMm: number;
  sideSdMm: number;
  downSdMm: number;
}

export interface Advice {
  hidden: HiddenOffsets;
  /** The next single adjustment; null when it is workable. */
  next: { what: 'stageForeMm' | 'stageSideMm' | 'gimbalMm'; toMm: number; byMm: number } | null;
  said: string;
  workable: boolean;
}

/** What is expected before anything is seen: parts are rarely where their papers say. Common practice, no published source. */
const PRIOR = { acrossMm: 12, downMm: 20 };
/** How well an eye with a level, and a tapping finger, see. */
const SEEN = { leanDeg: 0.4, leanShare: 0.1, dropShare: 0.035, dropS: 0.05 };
/** Workable: what is left does not show. */
export const WORKABLE = { leanDeg: 1, dropS: 0.2 };
/** What hands can set. */
const STEP_MM = { stage: 0.02, gimbal: 0.1 };

/** The pivot is kept this many standard deviations above the centre of mass; leans below the second are levelled later. */
const SURE_OF_BELOW = 3.2;
const NEARLY_LEVEL_DEG = 12;
/** It is called workable within this share of what is. */
const SURE_SHARE = 0.4;

/** How a lean is told in words: the middle of what each word means, degrees. */
export const LEAN_WORDS = [
  { word: 'level', deg: 0.3 },
  { word: 'a little', deg: 4 },
  { word: 'clearly', deg: 15 },
  { word: 'hard', deg: 45 },
  { word: 'turns over', deg: 120 },
] as const;

interface State {
  massKg: number;
  topKg: number;
  foreMm: number;
  sideMm: number;
  downMm: number;
  inertiaAboutCentre: number;
}

function stateOf(sled: Sled, placed: readonly Lump[]): State {
  const lumps = sledLumps(sled, placed);
  const { massKg, xM, yM, zM } = heapOf(lumps);
  const topKg = placed.filter((row) => row.on === 'top').reduce((sum, row) => sum + row.massKg, 0);
  return { massKg, topKg, foreMm: xM * 1000, sideMm: yM * 1000, downMm: -zM * 1000, inertiaAboutCentre: pitchInertia(lumps, xM, zM) };
}

const dropOf = ({ massKg, inertiaAboutCentre }: State, downMm: number): number => {
  const h = Math.max(0.0002, downMm / 1000);
  return K_FROM_LEVEL * Math.sqrt((inertiaAboutCentre / massKg + h * h) / (GRAVITY * h));
};

/** Solves a symmetric 3 by 3 system and gives the inverse as well. */
function solve3(a: number[][], b: number[]): { x: number[]; inverse: number[][] } {
  const rows = a.map((row, i) => [...row, b[i], ...[0, 1, 2].map((j) => (i === j ? 1 : 0))]);
  for (let i = 0; i < 3; i += 1) {
    const p = rows[i][i];
    for (let k = i; k < 7; k += 1) rows[i][k] /= p;
    for (let j = 0; j < 3; j += 1) {
      if (j === i) continue;
      const times = rows[j][i];
      for (let k = i; k < 7; k += 1) rows[j][k] -= times * rows[i][k];
    }
  }
  return { x: rows.map((row) => row[3]), inverse: rows.map((row) => row.slice(4)) };
}

/** The offsets that explain what was seen best: least squares (Gauss and Newton, damped after Levenberg and Marquardt) with what is expected beforehand as the first observation; the uncertainty is from the curvature there. */
export function learnOffsets(sled: Sled, placed: readonly Lump[], rounds: readonly SledRound[]): HiddenOffsets {
  const states = rounds.map((round) => stateOf({ ...sled, stageForeMm: round.stageForeMm, stageSideMm: round.stageSideMm, gimbalMm: round.gimbalMm }, placed));
  const sees = (p: number[]) =>
    rounds.flatMap((round, i) => {
      const state = states[i];
      const down = state.downMm + p[2];
      const lean = (seen: number | null, at: number) => {
        if (seen === null) return [];
        const sd = SEEN.leanDeg + SEEN.leanShare * Math.abs(seen);
        return [(seen - Math.atan2(at, down) * DEG) / sd];
      };
      const drop = round.dropS === null ? [] : [(round.dropS - dropOf(state, down)) / (SEEN.dropS + SEEN.dropShare * round.dropS)];
      return [...lean(round.leanForeDeg, state.foreMm + p[0]), ...lean(round.leanSideDeg, state.sideMm + p[1]), ...drop];
    });
  const all = (p: number[]) => [p[0] / PRIOR.acrossMm, p[1] / PRIOR.acrossMm, p[2] / PRIOR.downMm, ...sees(p)];
  const cost = (p: number[]) => all(p).reduce((sum, r) => sum + r * r, 0);
  const normal = (p: number[]) => {
    const r = all(p);
    const steps = [0, 1, 2].map((k) => {
      const moved = [...p];
      moved[k] += 1e-4;
      return all(moved).map((value, i) => (value - r[i]) / 1e-4);
    });
    return {
      a: steps.map((row) => steps.map((other) => row.reduce((sum, value, i) => sum + value * other[i], 0))),
      b: steps.map((row) => -row.reduce((sum, value, i) => sum + value * r[i], 0)),
    };
  };
  let best = [0, 0, 0];
  // Leans saturate: more than one start, so that a lean of 80° does not hide a centre of mass above the pivot.
  for (const start of [0, 15, -15, 30].map((down) => [0, 0, down])) {
    let p = start;
    let damp = 1e-3;
    for (let i = 0; i < 60; i += 1) {
      const { a, b } = normal(p);
      const damped = a.map((row, k) => row.map((value, j) => (k === j ? value * (1 + damp) : value)));
      const step = solve3(damped, b).x;
      const moved = p.map((value, k) => value + step[k]);
      if (cost(moved) < cost(p)) {
        p = moved;
        damp = Math.max(1e-9, damp / 5);
        if (Math.hypot(...step) < 1e-6) break;
      } else damp *= 6;
    }
    if (cost(p) < cost(best)) best = p;
  }
  const { inverse } = solve3(normal(best).a, [0, 0, 0]);
  const [foreSdMm, sideSdMm, downSdMm] = [0, 1, 2].map((k) => Math.sqrt(Math.max(0, inverse[k][k])));
  return { foreMm: best[0], sideMm: best[1], downMm: best[2], foreSdMm, sideSdMm, downSdMm };
}

const rounded = (value: number, step: number) => Math.round(value / step) * step;

/** The next single adjustment from all that was seen so far; the last round is how it is set now. */
export function coach(sled: Sled, placed: readonly Lump[], rounds: readonly SledRound[]): Advice {
  const hidden = learnOffsets(sled, placed, rounds);
  const last = rounds.at(-1);
  if (!last)
    return {
      hidden,
      next: null,
      workable: false,
      said: 'Hold it level by its grip, let it find its own rest, and say which way it leans; then let it drop from level and tap twice.',
    };
  const state = stateOf({ ...sled, ...last }, placed);
  const dropWrong = last.dropS === null ? Infinity : Math.abs(last.dropS - sled.wishS);
  const belowMm = state.downMm + hidden.downMm;
  const guessDeg = Math.max(...[state.foreMm + hidden.foreMm, state.sideMm + hidden.sideMm].map((mm) => Math.abs(Math.atan2(mm, belowMm)) * DEG));
  // What was seen just now, and what all rounds together say: each alone errs by half a degree.
  const leanWrong = (Math.max(Math.abs(last.leanForeDeg ?? 180), Math.abs(last.leanSideDeg ?? 180)) + guessDeg) / 2;
  if (dropWrong <= WORKABLE.dropS * 0.75 && leanWrong <= WORKABLE.leanDeg * SURE_SHARE)
    return { hidden, next: null, workable: true, said: 'Workable. Tape the zoom, lock everything, and leave it: workable beats perfect.' };
  // Nearer than it is known where the centre of mass lies, it could turn over.
  const wantMm = (pivotAboveM(state.inertiaAboutCentre, state.massKg, sled.wishS) ?? 0.02) * 1000;
  const perMm = state.topKg / state.massKg;
  const foreMm = -(state.foreMm + hidden.foreMm) / perMm;
  const sideMm = -(state.sideMm + hidden.sideMm) / perMm;
  const goalMm = Math.max(wantMm, SURE_OF_BELOW * hidden.downSdMm);
  const byMm = rounded(belowMm - goalMm, STEP_MM.gimbal);
  const leanOf = (mm: number) => Math.abs(Math.atan2(mm * perMm, goalMm)) * DEG;
  const adjust = (what: 'stageForeMm' | 'stageSideMm' | 'gimbalMm', by: number, said: string): Advice => ({
    hidden,
    workable: false,
    said,
    next: { what, byMm: by, toMm: last[what] + by },
  });
  const mm = (value: number) => `${trim(Math.abs(value), Math.abs(value) < 1 ? 2 : 1)} mm`;
  const topHeavy = belowMm < Math.max(1, 1.5 * hidden.downSdMm);
  const worstLean = Math.max(leanOf(foreMm), leanOf(sideMm));
  // First make it hang, then level it, then bring the pivot near, and level it again at the end.
  if (Math.abs(byMm) > 0.1 * goalMm && (topHeavy || worstLean < NEARLY_LEVEL_DEG))
    return adjust('gimbalMm', byMm, `${byMm < 0 ? 'Raise the pivot towards the camera' : 'Lower the pivot away from the camera'} by ${mm(byMm)}.`);
  if (Math.abs(foreMm) >= Math.abs(sideMm)) return adjust('stageForeMm', rounded(foreMm, STEP_MM.stage), `Move the stage ${foreMm > 0 ? 'forward' : 'back'} by ${mm(foreMm)}.`);
  return adjust('stageSideMm', rounded(sideMm, STEP_MM.stage), `Move the stage to the ${sideMm > 0 ? 'right' : 'left'} by ${mm(sideMm)}.`);
}
