import { sayLength, trim } from '../../model';
import { smoothed } from '../../motion';
import { MOVED, wentBy } from './matched';
import { type Judged, ramp, type Tried, usualDistanceM } from './tried';

/** Of place as shares of the distance to the subject, of look as shares of the frame. Common practice. */
const PLACE_SHARE = { free: 0.01, lost: 0.15, leastM: 0.02 };
const LOOK_SHARE = { free: 0.015, lost: 0.25 };
const REST_S = 0.4;
const BUMP_S = 0.3;
const SEEN_PER_S = 0.02;
const BUMP = { free: 1.6, lost: 6 };

/**
 * Whether it set off from its mark, came to its mark, went past it, and rested there without a bump; null where nothing
 * moves.
 */
export function endsOf(tried: Tried): Judged | null {
  const { match, film, units } = tried;
  const { moves, plan, flown, endS, startS } = match;
  if (moves === null || moves === 'ring') return null;
  const { frameWidthMm, focalLengthMm } = film.filmed;
  const keys = MOVED[moves];
  const [freeOff, lostOff] =
    moves === 'place'
      ? [
          Math.max(PLACE_SHARE.leastM, PLACE_SHARE.free * usualDistanceM(tried)),
          Math.max(0.3, PLACE_SHARE.lost * usualDistanceM(tried)),
        ]
      : [LOOK_SHARE.free, LOOK_SHARE.lost].map(
          (share) => (share * frameWidthMm * 180) / Math.PI / focalLengthMm[film.filmed.count - 1],
        );
  const say = (value: number) => (moves === 'place' ? sayLength(value, units) : `${trim(value, 1)}°`);
  const [planLast, flownLast] = [plan.count - 1, flown.count - 1];
  const rowOf = (tS: number) => Math.min(planLast, Math.max(0, Math.round(tS * plan.rateHz)));
  const lengthS = endS - startS;
  const arrives = rowOf(endS - lengthS * 0.15);
  const setsOff = rowOf(startS + lengthS * 0.15);
  const way = (from: number, to: number) => {
    const side = keys.map((key) => plan.slow[key][to] - plan.slow[key][from]);
    const size = Math.hypot(...side);
    return side.map((v) => (size > 1e-9 ? v / size : 0));
  };
  const [stopWay, startWay] = [way(arrives, planLast), way(0, setsOff)];
  const beyond = (j: number) =>
    keys.reduce((sum, key, k) => sum + (flown.slow[key][j] - plan.slow[key][planLast]) * stopWay[k], 0);
  // Where it begins or ends on the move a mean over half a second is not the place: the kinder of both counts.
  const off = (row: number, planRow: number, along: readonly number[]) => {
    const [slowly, just] = (['slow', 'raw'] as const).map((kind) =>
      keys.reduce((sum, key, k) => sum + (flown[kind][key][row] - plan[kind][key][planRow]) * along[k], 0),
    );
    return Math.abs(slowly) < Math.abs(just) ? slowly : just;
  };
  const startOff = off(0, 0, startWay);
  const stopOff = off(flownLast, planLast, stopWay);
  // Trembling is not going past: it is evened out once more.
  const past = smoothed(
    Float64Array.from({ length: flown.count }, (_, j) => beyond(j)),
    REST_S * flown.rateHz,
  ).reduce((most, offM, j) => (match.planS[j] >= endS - lengthS * 0.1 ? Math.max(most, offM) : most), 0);
  const speed = (side: typeof plan, j: number) => wentBy(side.slow, j, moves) * side.rateHz;
  const lately = (side: typeof plan) => {
    const from = Math.max(0, side.count - 1 - Math.round(REST_S * side.rateHz));
    const gone = keys.map((key) => side.slow[key][side.count - 1] - side.slow[key][from]);
    return (Math.hypot(...gone) / Math.max(1, side.count - 1 - from)) * side.rateHz;
  };
  // What is slower than this on screen, frame widths a second, nobody sees come to rest.
  const perWidth = frameWidthMm / focalLengthMm[film.filmed.count - 1];
  let fastest = SEEN_PER_S * perWidth * (moves === 'place' ? usualDistanceM(tried) : 180 / Math.PI);
  for (let j = 1; j < plan.count; j += 1) fastest = Math.max(fastest, speed(plan, j));
  const still = Math.max(0, lately(flown) - lately(plan)) / fastest;
  // The bump: how hard it slows at its end, against how hard the plan does.
  const brake = (side: typeof plan, from: number) => {
    // Trembling is no bump: speeds are evened out as long as a stop is felt.
    const speeds = smoothed(
      Float64Array.from({ length: side.count }, (_, j) => (j === 0 ? 0 : speed(side, j))),
      BUMP_S * side.rateHz,
    );
    let most = 0;
    const apart = Math.max(1, Math.round(0.12 * side.rateHz));
    for (let j = Math.max(1, from); j + apart < side.count; j += 1)
      most = Math.max(most, ((speeds[j] - speeds[j + apart]) * side.rateHz) / apart);
    return most;
  };
  const flownArrives = Math.max(
    1,
    match.planS.findIndex((s) => s >= endS - lengthS * 0.3),
  );
  const bump = brake(flown, flownArrives) / Math.max(fastest / 2, brake(plan, rowOf(endS - lengthS * 0.3)));
  const short = Math.max(0, -stopOff);
  const rows = [
    {
      score: ramp(Math.abs(startOff), freeOff, lostOff),
      said: `it set off ${say(Math.abs(startOff))} ${startOff > 0 ? 'past' : 'before'} its mark`,
      mend: `You set off ${say(Math.abs(startOff))} from the first mark: go all the way back to one.`,
    },
    {
      score: ramp(short, freeOff, lostOff),
      said: `it stopped ${say(short)} short`,
      mend: `You stopped ${say(short)} short: look for the mark that warns, and let the ease carry you onto the last one.`,
    },
    {
      score: ramp(past, freeOff, lostOff),
      said: `it went ${say(past)} past its mark`,
      mend: `You went ${say(past)} past the mark: begin to ease earlier, on the mark that warns of the end.`,
    },
    {
      score: ramp(still, 0.08, 0.8),
      said: 'it had not come to rest at the end',
      mend: 'It had not come to rest when it ended: hold still, and count two before anybody says cut.',
    },
    {
      score: ramp(bump, BUMP.free, BUMP.lost),
      said: 'it stopped with a bump',
      mend: 'The stop was a bump: ease out longer and softer, the last third of the way is for slowing down.',
    },
  ];
  const worst = rows.reduce((a, b) => (b.score < a.score ? b : a));
  return {
    score: worst.score,
    measured: Math.abs(stopOff) > past ? stopOff : past,
    sentence:
      worst.score >= 99.5
        ? `It set off and stopped on its marks, within ${say(Math.max(Math.abs(startOff), Math.abs(stopOff), past))}.`
        : `At its ends ${worst.said}.`,
    mend: worst.mend,
  };
}
