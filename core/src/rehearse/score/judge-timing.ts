import { trim } from '../../model';
import { progress } from './matched';
import { type Judged, ramp, type Tried } from './tried';

/** Shares of the way at which somebody has to be somewhere in time. */
const SHARES = [0.05, 0.25, 0.5, 0.75, 0.95];
const WHERE = ['at the start', 'a quarter of the way on', 'halfway', 'three quarters of the way on', 'at the end'];
const TIMING_S = { free: 0.12, lost: 1.6 };

/**
 * How late or early the camera was where it had to be; null where nothing moves. A way that is too short or too long is
 * charged at its ends, not here: places are compared, or shares of the way that was gone, whichever is kinder.
 */
export function timingOf({ match, film }: Tried): Judged | null {
  const { moves, plan, flown, planS, startS, endS } = match;
  if (moves === null) return null;
  const sums = progress(plan, moves);
  const whole = sums[plan.count - 1];
  const dueS = SHARES.map((share) => sums.findIndex((sum) => sum >= share * whole) / plan.rateHz);
  const byPlace = dueS.map((s) => {
    const j = planS.findIndex((at) => at >= s - 1e-6);
    return j < 0 || (j === 0 && s > startS + 0.2) ? null : j / flown.rateHz - s;
  });
  const own = progress(flown, moves);
  const ownWhole = own[flown.count - 1];
  const byShare =
    ownWhole > whole * 0.3
      ? SHARES.map((share, k) => {
          const j = own.findIndex((sum) => sum >= share * ownWhole);
          return j < 0 ? null : j / flown.rateHz - dueS[k];
        })
      : byPlace;
  const wrong = (late: (number | null)[]) => {
    const known = late.filter((s) => s !== null);
    return known.length === 0 ? Infinity : Math.sqrt(known.reduce((sum, s) => sum + s * s, 0) / known.length);
  };
  const late = wrong(byShare) < wrong(byPlace) ? byShare : byPlace;
  const offS = wrong(late);
  if (!Number.isFinite(offS))
    return {
      score: 0,
      measured: film.scene.durationS,
      sentence: 'It never came to where it has to be on the way.',
      mend: `It never set off: go on the word that is called at ${trim(startS, 1)} s.`,
    };
  const known = late.filter((s) => s !== null);
  const meanS = known.reduce((sum, s) => sum + s, 0) / known.length;
  const spread = Math.max(...known) - Math.min(...known);
  const worst = late.reduce<number>((at, s, k) => (Math.abs(s ?? 0) > Math.abs(late[at] ?? 0) ? k : at), 0);
  const worstS = late[worst] ?? 0;
  const word = meanS > 0 ? 'late' : 'early';
  return {
    score: ramp(offS, Math.max(TIMING_S.free, 1.5 / plan.rateHz), Math.max(TIMING_S.lost, 12 / plan.rateHz)),
    measured: offS,
    sentence: `${trim(offS, 2)} s from the moments it has to be somewhere, ${word} on the whole.`,
    mend:
      spread < Math.abs(meanS)
        ? `You were ${trim(Math.abs(meanS), 1)} s ${word} all the way: ` +
          `set off ${meanS > 0 ? 'on the word, not after it' : 'with the word, not before it'}.`
        : `You were ${trim(Math.abs(worstS), 1)} s ${worstS > 0 ? 'late' : 'early'} ${WHERE[worst]} of ` +
          `${trim(endS - startS, 1)} s: count aloud, and keep one pace.`,
  };
}
