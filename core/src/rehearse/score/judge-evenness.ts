import { smoothed } from '../../motion';
import { trim } from '../../model';
import { type EvenWay, progress, valueAt, wentBy } from './matched';
import { type Judged, ramp, type Tried, usualDistanceM } from './tried';

/** Trembling in frame widths, pace as a share of what is planned. Common practice, no published source. */
const TREMBLES = { free: 0.002, lost: 0.02 };
const PACE = { free: 0.1, lost: 0.7 };
const PACE_S = 0.4;
const RAD = Math.PI / 180;

/** Trembling of a way on screen in each row, frame widths: what is quicker than half a second, of place and look. */
function trembling(way: EvenWay, perRad: number, distanceM: number): Float64Array {
  const out = new Float64Array(way.count);
  for (let j = 0; j < way.count; j += 1) {
    const off = (key: keyof EvenWay['raw']) => way.raw[key][j] - way.slow[key][j];
    const look =
      Math.hypot(off('panDeg') * Math.cos(way.slow.tiltDeg[j] * RAD), off('tiltDeg'), off('rollDeg') / 2) * RAD;
    const place = Math.hypot(off('xM'), off('yM'), off('zM')) / distanceM;
    out[j] = Math.hypot(look, place) * perRad;
  }
  return out;
}

/** How even the camera went, from where it sets off to where it begins to stop: trembling, and its pace. */
export function evennessOf(tried: Tried): Judged {
  const { match, film } = tried;
  const { plan, flown, planS, moves, startS, endS } = match;
  const { timeline } = film.scene;
  const easesFromS = timeline[timeline.length - 1].pace.cruiseToS;
  const untilS = moves === null ? endS : Math.max(startS + (endS - startS) * 0.4, Math.min(easesFromS, endS - 0.1));
  const middle = Math.floor(film.filmed.count / 2);
  const perRad = film.filmed.focalLengthMm[middle] / film.filmed.frameWidthMm;
  const distanceM = usualDistanceM(tried);
  const [own, planned] = [flown, plan].map((way) => trembling(way, perRad, distanceM));
  let [square, count] = [0, 0];
  const [first, last] = goingRows(tried);
  const edge = Math.round(EDGE_S * flown.rateHz);
  for (let j = edge; j < flown.count - edge; j += 1) {
    // How it sets off and how it stops is charged at its ends.
    if (moves !== null && (Math.abs(j - first) < 2 * edge || Math.abs(j - last) < 2 * edge)) continue;
    square += Math.max(0, own[j] ** 2 - mostAbout(planned, plan.rateHz, planS[j]) ** 2);
    count += 1;
  }
  const trembles = Math.sqrt(square / Math.max(1, count));
  const tremblesScore = ramp(trembles, TREMBLES.free, TREMBLES.lost);
  const { uneven, atS, faster } = moves === null ? { uneven: 0, atS: 0, faster: false } : paceOf(tried, untilS);
  const paceScore = ramp(uneven, PACE.free, PACE.lost);
  const widths = `${trim(trembles * 100, 1)}% of the width`;
  return tremblesScore <= paceScore
    ? {
        score: tremblesScore,
        measured: trembles,
        sentence: `It trembled by ${widths}.`,
        mend: `The picture trembled by ${widths}: elbows in, knees soft, breathe out, or a wider lens.`,
      }
    : {
        score: paceScore,
        measured: uneven,
        sentence: `Its pace was off by ${trim(uneven * 100, 0)}%.`,
        mend:
          `It ${faster ? 'ran ahead' : 'dragged'} at ${trim(atS, 1)} s: ` +
          'look where you will be in two seconds, and keep one pace.',
      };
}

/** What a mean over half a second needs on either side, s. */
const EDGE_S = 0.3;

/** The rows of a try in which it sets off and comes to rest. */
function goingRows({ match }: Tried): [first: number, last: number] {
  const { flown, moves } = match;
  if (moves === null) return [0, flown.count - 1];
  const sums = progress(flown, moves);
  const whole = sums[flown.count - 1];
  const first = sums.findIndex((sum) => sum > whole * 0.005);
  const last = sums.findIndex((sum) => sum >= whole * 0.995);
  return [Math.max(0, first), last < 0 ? flown.count - 1 : last];
}

/** The most of a column about a moment: a quick move is not taken for trembling where it sets off and stops. */
function mostAbout(column: Float64Array, rateHz: number, tS: number): number {
  const [a, b] = [
    Math.max(0, Math.floor((tS - 0.2) * rateHz)),
    Math.min(column.length - 1, Math.ceil((tS + 0.2) * rateHz)),
  ];
  let most = 0;
  for (let i = a; i <= b; i += 1) most = Math.max(most, column[i]);
  return most;
}

/** How far the speed strays from what is planned there, on the whole, once both go equally fast. */
function paceOf(tried: Tried, untilS: number): { uneven: number; atS: number; faster: boolean } {
  const { plan, flown, planS, moves, startS } = tried.match;
  const speeds = (way: EvenWay) => {
    const rows = new Float64Array(way.count);
    for (let j = 1; j < way.count; j += 1) rows[j] = wentBy(way.slow, j, moves ?? 'look') * way.rateHz;
    return smoothed(rows, PACE_S * way.rateHz);
  };
  const [own, planned] = [speeds(flown), speeds(plan)];
  const fastest = planned.reduce((a, v) => Math.max(a, v), 1e-9);
  const ratios: { tS: number; ratio: number }[] = [];
  const [first, last] = goingRows(tried);
  const edge = Math.round(EDGE_S * flown.rateHz);
  for (let j = first + edge; j <= last - edge; j += 1) {
    if (planS[j] < startS + 0.2 || planS[j] > untilS) continue;
    const wanted = valueAt(planned, plan.rateHz, planS[j]);
    // Where it hardly moves yet nothing is told by a share.
    if (wanted > fastest * 0.4) ratios.push({ tS: planS[j], ratio: own[j] / wanted });
  }
  if (ratios.length < 5) return { uneven: 0, atS: 0, faster: false };
  const sorted = ratios.map(({ ratio }) => ratio).sort((a, b) => a - b);
  const usual = Math.max(1e-6, sorted[Math.floor(sorted.length / 2)]);
  let square = 0;
  let worst = ratios[0];
  for (const row of ratios) {
    const off = row.ratio / usual - 1;
    square += off * off;
    if (Math.abs(off) > Math.abs(worst.ratio / usual - 1)) worst = row;
  }
  return { uneven: Math.sqrt(square / ratios.length), atS: worst.tS, faster: worst.ratio > usual };
}
