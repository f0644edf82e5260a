import type { Sled, SledRound } from '../../model';
import { GRAVITY, K_FROM_LEVEL } from '../elliptic';
import { heapOf, pitchInertia, sledLumps, type Hidden, type Lump } from '../masses';

const DEG = 180 / Math.PI;

/** What is not known of a sled, and how sure what was learnt of it is (standard deviations, mm). */
export interface HiddenOffsets extends Hidden {
  foreSdMm: number;
  sideSdMm: number;
  downSdMm: number;
}

/**
 * What is expected before anything is seen: parts are rarely where their papers say. Common practice, no published
 * source.
 */
const PRIOR = { acrossMm: 12, downMm: 20 };
/** How well an eye with a level, and a tapping finger, see. */
const SEEN = { leanDeg: 0.4, leanShare: 0.1, dropShare: 0.035, dropS: 0.05 };
/**
 * Papers are wrong about masses by this share: what an older look says of the stage as it is set now is that much less
 * sure. Common practice, no published source.
 */
const MASS_ERROR = 0.03;
/**
 * A sled as its parts say: masses in kg, where its centre of mass lies from the pivot in mm, and the moment of inertia
 * about that centre.
 */
export interface SledState {
  massKg: number;
  topKg: number;
  foreMm: number;
  sideMm: number;
  downMm: number;
  inertiaAboutCentre: number;
}

export function stateOf(sled: Sled, placed: readonly Lump[]): SledState {
  const lumps = sledLumps(sled, placed);
  const { massKg, xM, yM, zM } = heapOf(lumps);
  const topKg = placed.filter((row) => row.on === 'top').reduce((sum, row) => sum + row.massKg, 0);
  return {
    massKg,
    topKg,
    foreMm: xM * 1000,
    sideMm: yM * 1000,
    downMm: -zM * 1000,
    inertiaAboutCentre: pitchInertia(lumps, xM, zM),
  };
}

export const dropOf = ({ massKg, inertiaAboutCentre }: SledState, downMm: number): number => {
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

/**
 * The offsets that explain what was seen best: least squares (Gauss and Newton, damped after Levenberg and Marquardt)
 * with what is expected beforehand as the first observation; the uncertainty is from the curvature there.
 */
export function learnOffsets(sled: Sled, placed: readonly Lump[], rounds: readonly SledRound[]): HiddenOffsets {
  const states = rounds.map((round) =>
    stateOf(
      { ...sled, stageForeMm: round.stageForeMm, stageSideMm: round.stageSideMm, gimbalMm: round.gimbalMm },
      placed,
    ),
  );
  const last = rounds[rounds.length - 1];
  const sees = (p: number[]) =>
    rounds.flatMap((round, i) => {
      const state = states[i];
      const down = state.downMm + p[2];
      const lean = (seen: number | null, at: number, movedMm: number) => {
        if (seen === null) return [];
        const stageMm = (MASS_ERROR * Math.abs(movedMm) * state.topKg) / state.massKg;
        const sd = Math.hypot(
          SEEN.leanDeg + SEEN.leanShare * Math.abs(seen),
          Math.atan(stageMm / Math.max(1, state.downMm)) * DEG,
        );
        return [(seen - Math.atan2(at, down) * DEG) / sd];
      };
      const drop =
        round.dropS === null ? [] : [(round.dropS - dropOf(state, down)) / (SEEN.dropS + SEEN.dropShare * round.dropS)];
      return [
        ...lean(round.leanForeDeg, state.foreMm + p[0], round.stageForeMm - last.stageForeMm),
        ...lean(round.leanSideDeg, state.sideMm + p[1], round.stageSideMm - last.stageSideMm),
        ...drop,
      ];
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

const NOTHING_LEARNT: Hidden = { foreMm: 0, sideMm: 0, downMm: 0 };
/** A log is never changed in place: what follows from it is worked out once for as long as the parts stay. */
const learnt = new WeakMap<readonly SledRound[], { parts: string; hidden: HiddenOffsets }>();

/** What the looks in a sled's own log tell of it; nothing hidden where nobody has looked. */
export function hiddenOf(sled: Sled, placed: readonly Lump[]): Hidden {
  if (sled.log.length === 0) return NOTHING_LEARNT;
  const { postMm, postMassG } = sled;
  const parts = JSON.stringify([postMm, postMassG, placed]);
  const known = learnt.get(sled.log);
  if (known?.parts === parts) return known.hidden;
  const hidden = learnOffsets(sled, placed, sled.log);
  learnt.set(sled.log, { parts, hidden });
  return hidden;
}
