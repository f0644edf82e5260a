import { sayLength, trim } from '../../model';
import { valueAt } from './matched';
import { type Judged, ramp, type Tried, usualDistanceM } from './tried';

/** Free: so much, or this share of the distance to the subject. Lost: ten times. Common practice, no published source. */
const FREE_M = 0.03;
const FREE_SHARE = 0.01;
const LOST_TIMES = 12;
const LEVEL_DEG = { free: 0.3, lost: 4 };

/** How far beside the planned way the camera went, whenever it was there; beyond either end only what is beside counts. */
export function pathOf(tried: Tried): Judged {
  const { match, units } = tried;
  const { plan, flown, planS } = match;
  const last = plan.count - 1;
  const tangent = (from: number, to: number) => {
    const side = (['xM', 'yM', 'zM'] as const).map((key) => plan.slow[key][to] - plan.slow[key][from]);
    const size = Math.hypot(...side);
    return size > 1e-6 ? side.map((v) => v / size) : null;
  };
  // Where the way sets off and where it arrives, a tenth of it long.
  const rowOf = (tS: number) => Math.min(last, Math.max(0, Math.round(tS * plan.rateHz)));
  const lengthS = match.endS - match.startS;
  const ends =
    match.moves === 'place'
      ? {
          start: tangent(rowOf(match.startS), rowOf(match.startS + lengthS * 0.15)),
          stop: tangent(rowOf(match.endS - lengthS * 0.15), rowOf(match.endS)),
        }
      : { start: null, stop: null };
  let square = 0;
  let [mostM, mostRow] = [0, 0];
  for (let j = 0; j < flown.count; j += 1) {
    const off = (['xM', 'yM', 'zM'] as const).map(
      (key) => flown.slow[key][j] - valueAt(plan.slow[key], plan.rateHz, planS[j]),
    );
    const end = planS[j] <= match.startS + 0.05 ? ends.start : planS[j] >= match.endS - 0.05 ? ends.stop : null;
    if (end) {
      const along = off[0] * end[0] + off[1] * end[1] + off[2] * end[2];
      off.forEach((v, k) => (off[k] = v - along * end[k]));
    }
    const offM = Math.hypot(...off);
    square += offM * offM;
    if (offM > mostM) [mostM, mostRow] = [offM, j];
  }
  const meanM = Math.sqrt(square / flown.count);
  const freeM = Math.max(FREE_M, FREE_SHARE * usualDistanceM(tried));
  const score = ramp(meanM, freeM, freeM * LOST_TIMES);
  const where = sideOf(tried, mostRow);
  const atS = trim(planS[mostRow], 1);
  return {
    score,
    measured: meanM,
    sentence: `On the whole ${sayLength(meanM, units)} beside the way, ${sayLength(mostM, units)} at most, at ${atS} s.`,
    mend:
      `About ${atS} s into the move you were ${sayLength(mostM, units)} ${where}: ` +
      'watch that place on the plan, and go through it slowly once.',
  };
}

/** Which way the camera was off in a row: too high, to the left, … */
function sideOf({ match: { plan, flown, planS } }: Tried, row: number): string {
  const [dx, dy, dz] = (['xM', 'yM', 'zM'] as const).map(
    (key) => flown.slow[key][row] - valueAt(plan.slow[key], plan.rateHz, planS[row]),
  );
  if (Math.abs(dz) > Math.hypot(dx, dy)) return dz > 0 ? 'too high' : 'too low';
  const pan = (valueAt(plan.slow.panDeg, plan.rateHz, planS[row]) * Math.PI) / 180;
  const right = dx * Math.cos(pan) - dy * Math.sin(pan);
  const ahead = dx * Math.sin(pan) + dy * Math.cos(pan);
  if (Math.abs(ahead) > Math.abs(right)) return ahead > 0 ? 'too far forward' : 'too far back';
  return right > 0 ? 'too far to the right' : 'too far to the left';
}

/** How far the horizon was from where it was planned. */
export function levelOf({ match: { plan, flown, planS } }: Tried): Judged {
  let square = 0;
  let [mostDeg, mostRow] = [0, 0];
  for (let j = 0; j < flown.count; j += 1) {
    const off = flown.slow.rollDeg[j] - valueAt(plan.slow.rollDeg, plan.rateHz, planS[j]);
    square += off * off;
    if (Math.abs(off) > Math.abs(mostDeg)) [mostDeg, mostRow] = [off, j];
  }
  const meanDeg = Math.sqrt(square / flown.count);
  return {
    score: ramp(meanDeg, LEVEL_DEG.free, LEVEL_DEG.lost),
    measured: meanDeg,
    sentence: `The horizon was ${trim(meanDeg, 1)}° off on the whole.`,
    mend:
      `The frame leaned ${trim(Math.abs(mostDeg), 1)}° to the ${mostDeg > 0 ? 'right' : 'left'} at ` +
      `${trim(planS[mostRow], 1)} s: level it before you set off, and keep the wrists still.`,
  };
}
