import { mean } from './mean';
import { DEG, writeAttitude } from '../recorded/attitude';
import { inBand } from '../recorded/spectrum';
import { BOB_BAND_HZ, SWAY_BAND_HZ, type TakenColumn } from '../recorded/taken';
import type { Turned } from '../recorded/turned';

/** What the plan itself does where steps, sway and trembling are looked for: it is not the hands’. */

type Columns = Record<TakenColumn, Float64Array | null>;

/** Change of the change a second, unit a second squared. */
function push(column: Float64Array, rateHz: number): Float64Array {
  const last = column.length - 1;
  return column.map((v, i) => (i === 0 || i === last ? 0 : (column[i + 1] - 2 * v + column[i - 1]) * rateHz * rateHz));
}

/**
 * How far the plan’s own way goes up and down, and to the camera’s right, at the beat of steps, m at each row: sensors
 * feel it together with the steps. `stretch`: how many times as long the take lasted.
 */
export function planAtBeat(
  plan: Columns,
  rateHz: number,
  stretch: number,
): { bobM: Float64Array; swayM: Float64Array } {
  const { xM, yM, zM, panDeg } = plan;
  const none = new Float64Array(zM?.length ?? 0);
  if (!xM || !yM || !zM) return { bobM: none, swayM: none };
  const most = rateHz / 2.5;
  const [east, north] = [push(xM, rateHz), push(yM, rateHz)];
  const right = east.map((v, i) => {
    const heading = (panDeg?.[i] ?? 0) / DEG;
    return v * Math.cos(heading) - north[i] * Math.sin(heading);
  });
  const within = ([from, to]: readonly [number, number]) => [from * stretch, Math.min(most, to * stretch)] as const;
  return {
    bobM: inBand(push(zM, rateHz), rateHz, ...within(BOB_BAND_HZ), 2),
    swayM: inBand(right, rateHz, ...within(SWAY_BAND_HZ), 2),
  };
}

export const turnedIn = ({ panDeg, tiltDeg, rollDeg }: Columns): Turned | null =>
  panDeg && tiltDeg && rollDeg ? { panDeg, tiltDeg, rollDeg } : null;

/** Calls with the axes of the plan’s camera and the take’s at each row: right, up, backwards, three numbers each. */
function eachPair(plan: Turned, take: Turned, tell: (i: number, a: Float64Array, b: Float64Array) => void): void {
  const [a, b] = [new Float64Array(9), new Float64Array(9)];
  for (let i = 0; i < plan.panDeg.length; i += 1) {
    writeAttitude(a, 0, plan.panDeg[i], plan.tiltDeg[i], plan.rollDeg[i]);
    writeAttitude(b, 0, take.panDeg[i], take.tiltDeg[i], take.rollDeg[i]);
    tell(i, a, b);
  }
}

/**
 * How far the camera of a take is turned from its plan’s, degrees about its own right, up and backward axes, anticlockwise
 * as each is looked at from its end: bearing and roll alone say little where it looks steeply down. For small turns.
 */
export function turnedFromPlan(plan: Turned, take: Turned): [Float64Array, Float64Array, Float64Array] {
  const column = () => new Float64Array(plan.panDeg.length);
  const [about, aboutUp, aboutBack] = [column(), column(), column()];
  eachPair(plan, take, (i, a, b) => {
    const dot = (from: number, to: number) => a[from] * b[to] + a[from + 1] * b[to + 1] + a[from + 2] * b[to + 2];
    // The antisymmetric half of the product of two attitudes is the turn between them, where it is small.
    about[i] = ((dot(6, 3) - dot(3, 6)) / 2) * DEG;
    aboutUp[i] = ((dot(0, 6) - dot(6, 0)) / 2) * DEG;
    aboutBack[i] = ((dot(3, 0) - dot(0, 3)) / 2) * DEG;
  });
  return [about, aboutUp, aboutBack];
}

/** What has to be added to each bearing of a take to turn it about the vertical onto its plan, degrees within ±180. */
function bearingsApart(plan: Turned, take: Turned): Float64Array {
  const apart = new Float64Array(plan.panDeg.length);
  eachPair(plan, take, (i, a, b) => {
    let [along, across] = [0, 0];
    for (const k of [0, 3, 6]) {
      along += a[k] * b[k] + a[k + 1] * b[k + 1];
      across += b[k + 1] * a[k] - b[k] * a[k + 1];
    }
    apart[i] = Math.atan2(across, along) * DEG;
  });
  return apart;
}

/** Steeper than this, degrees, a small turn about a level line is a large one in bearing and roll. */
const STEEP_DEG = 50;

/**
 * Lays the bearings of a take on its plan’s, in place: as a whole where they count from anywhere, and row by row where it
 * looks steeply up or down. There what it is turned by about the vertical counts as bearing, and what it leans by about
 * the level line ahead as roll. A take that looks steeply all the way and is turned all the way leans.
 */
export function layBearings(plan: Turned, take: Turned, northKnown: boolean): void {
  const { panDeg, rollDeg } = take;
  if (!northKnown) {
    const all = bearingsApart(plan, take);
    const [sin, cos] = [Math.sin, Math.cos].map((part) => all.reduce((sum, deg) => sum + part(deg / DEG), 0));
    const about = Math.atan2(sin, cos) * DEG;
    const off = all.map((deg) => deg - about - 360 * Math.round((deg - about) / 360)).sort();
    const turn = about + off[off.length >> 1];
    const whole = 360 * Math.round((plan.panDeg[0] - panDeg[0] - turn) / 360);
    for (let i = 0; i < panDeg.length; i += 1) panDeg[i] += turn + whole;
  }
  const steep = plan.tiltDeg.map((deg) => (Math.abs(deg) > STEEP_DEG ? 1 : 0));
  if (!steep.includes(1)) return;
  const left = bearingsApart(plan, take);
  const turned = northKnown && !steep.includes(0) ? -mean(left) : 0;
  const onPlan = { ...take, panDeg: panDeg.map((deg, i) => deg + left[i]) };
  const [about, aboutUp, aboutBack] = turnedFromPlan(plan, onPlan);
  eachPair(plan, onPlan, (i, axes) => {
    if (steep[i] === 0) return;
    const ahead = plan.panDeg[i] / DEG;
    const lean = (k: number) => axes[k] * Math.sin(ahead) + axes[k + 1] * Math.cos(ahead);
    panDeg[i] = plan.panDeg[i] - left[i] - turned;
    rollDeg[i] =
      plan.rollDeg[i] +
      about[i] * lean(0) +
      aboutUp[i] * lean(3) +
      aboutBack[i] * lean(6) -
      Math.sign(plan.tiltDeg[i]) * turned;
  });
}
