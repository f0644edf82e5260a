import type { WalkPoint } from '../model';
import { GRAVITY } from './jump';
import { secondIntegral } from './walk';

/** How a thing that drives goes: how tightly it turns, how hard it brakes, and whether it leans into a turn. */
export interface Driving {
  turnRadiusM: number;
  brakeMps2: number;
  leans: boolean;
}

/** A drive worked out: how far along its way at a moment, and what the way is like there. */
export interface Drive {
  /** Metres along the way. */
  goneM(tS: number): number;
  /** Writes x, y, z, metres. */
  at(tS: number, out: Float64Array, offset?: number): void;
  /** Which way it points, degrees clockwise from north, without jumps at full turns. */
  headingDeg(tS: number): number;
  /** How far it leans to the right, degrees. */
  leanDeg(tS: number): number;
  /** How far its nose points up, degrees. */
  pitchDeg(tS: number): number;
  /** The tightest turn, m; Infinity on a straight way. */
  tightestM: number;
}

/** Nobody changes speed or lean quicker than over this long, s: common practice, no published source. */
const LEAST_CHANGE_S = 0.5;

interface Stretch {
  fromM: number;
  lengthM: number;
  x: number;
  y: number;
  headingRad: number;
  /** 1/m, clockwise positive; 0: straight. */
  curve: number;
}

/**
 * A way through timed points for a thing that drives: straight between them, round each corner on an arc as wide as is
 * easy at its speed and never tighter than it turns, as far as the points leave room. Speed is even between the points and changes no quicker than it brakes. At a
 * point's moment it is at the middle of that corner's arc. Needs two points that are apart.
 */
export function driveOf(points: readonly WalkPoint[], { turnRadiusM, brakeMps2, leans }: Driving): Drive {
  const { stretches, atM, lengthM, tightestM } = layOut(points, turnRadiusM);
  const times = points.map(({ tS }) => tS);
  const speeds = times.slice(1).map((tS, i) => (atM[i + 1] - atM[i]) / (tS - times[i]));
  const change = [0, ...speeds, 0].reduce(
    (most, mps, i, all) => (i > 0 ? Math.max(most, Math.abs(mps - all[i - 1])) : 0),
    0,
  );
  const overS = Math.max(LEAST_CHANGE_S, change / brakeMps2);
  const gone = secondIntegral(times, atM);
  const heights = secondIntegral(
    times,
    points.map(({ zM }) => zM),
  );
  const averaged = (integral: (tS: number) => number, tS: number) =>
    (integral(tS + overS) - 2 * integral(tS) + integral(tS - overS)) / (overS * overS);
  const goneM = (tS: number) => Math.min(lengthM, Math.max(0, averaged(gone, tS)));
  let last = 0;
  const stretchAt = (m: number): Stretch => {
    if (stretches[last].fromM > m) last = 0;
    while (last + 1 < stretches.length && stretches[last + 1].fromM <= m) last += 1;
    return stretches[last];
  };
  const headingRad = (m: number) => {
    const { fromM, headingRad: began, curve } = stretchAt(m);
    return began + curve * (m - fromM);
  };
  const leanAt = (tS: number) => {
    const step = 0.05;
    const mps = (goneM(tS + step) - goneM(tS - step)) / (2 * step);
    return Math.atan((mps * mps * stretchAt(goneM(tS)).curve) / GRAVITY);
  };
  const heightAt = (tS: number) => averaged(heights, tS);
  return {
    goneM,
    at: (tS, out, offset = 0) => {
      const m = goneM(tS);
      const { fromM, x, y, headingRad: began, curve } = stretchAt(m);
      const along = m - fromM;
      const turned = curve * along;
      // The chord of the arc, or the straight itself.
      const chord = curve === 0 ? along : (2 * Math.sin(turned / 2)) / curve;
      out[offset] = x + chord * Math.sin(began + turned / 2);
      out[offset + 1] = y + chord * Math.cos(began + turned / 2);
      out[offset + 2] = heightAt(tS);
    },
    // Nobody turns a wheel in no time: the nose comes round a little before the arc and after it.
    headingDeg: (tS) => (about(tS, (at) => headingRad(goneM(at))) * 180) / Math.PI,
    leanDeg: (tS) => {
      if (!leans) return 0;
      return (about(tS, leanAt) * 180) / Math.PI;
    },
    pitchDeg: (tS) => {
      const stepS = 0.1;
      const wayM = goneM(tS + stepS) - goneM(tS - stepS);
      return wayM < 1e-3 ? 0 : (Math.atan((heightAt(tS + stepS) - heightAt(tS - stepS)) / wayM) * 180) / Math.PI;
    },
    tightestM,
  };
}

/** A value softened over half a second to either side. */
function about(tS: number, value: (tS: number) => number): number {
  const [reach, weight] = [6, 49];
  let sum = 0;
  for (let k = -reach; k <= reach; k += 1) sum += value(tS + (k * LEAST_CHANGE_S) / reach) * (reach + 1 - Math.abs(k));
  return sum / weight;
}

/** Straights and arcs through the points, and how far along the way each point's moment is. */
function layOut(points: readonly WalkPoint[], turnRadiusM: number) {
  const stretches: Stretch[] = [];
  const atM = [0];
  let lengthM = 0;
  let [x, y] = [points[0].xM, points[0].yM];
  let heading = NaN;
  let tightestM = Infinity;
  const put = (long: number, headingRad: number, curve: number) => {
    if (long < 1e-9) return;
    stretches.push({ fromM: lengthM, lengthM: long, x, y, headingRad, curve });
    const turned = curve * long;
    const chord = curve === 0 ? long : (2 * Math.sin(turned / 2)) / curve;
    x += chord * Math.sin(headingRad + turned / 2);
    y += chord * Math.cos(headingRad + turned / 2);
    lengthM += long;
  };
  const way = (i: number) => Math.hypot(points[i + 1].xM - points[i].xM, points[i + 1].yM - points[i].yM);
  const speed = (i: number) => way(i) / (points[i + 1].tS - points[i].tS);
  const towards = (i: number) => Math.atan2(points[i + 1].xM - points[i].xM, points[i + 1].yM - points[i].yM);
  let usedM = 0;
  for (let i = 0; i + 1 < points.length; i += 1) {
    const longM = way(i);
    if (longM < 1e-6) {
      // It waits where it came to.
      atM.push(atM[i]);
      continue;
    }
    const raw = towards(i);
    heading = Number.isNaN(heading) ? raw : raw - 2 * Math.PI * Math.round((raw - heading) / (2 * Math.PI));
    let next = i + 1;
    while (next + 1 < points.length && way(next) < 1e-6) next += 1;
    const turn = next + 1 < points.length ? wrapped(towards(next) - raw) : 0;
    // A turn right round has no arc that touches both ways: it turns on the spot.
    const about = Math.abs(turn) > MOST_TURN_RAD;
    const tan = about ? 0 : Math.tan(Math.abs(turn) / 2);
    const mps = Math.max(longM / (points[i + 1].tS - points[i].tS), next + 1 < points.length ? speed(next) : 0);
    const wishedM = Math.max(turnRadiusM, (mps * mps) / EASY_TURN_MPS2);
    const tangentM = tan > 0 ? Math.min(wishedM * tan, longM / 2, way(next) / 2) : 0;
    if (about) tightestM = 0;
    put(longM - usedM - tangentM, heading, 0);
    if (tangentM > 1e-9 && tan > 1e-9) {
      const radiusM = tangentM / tan;
      const arcM = Math.abs(turn) * radiusM;
      tightestM = Math.min(tightestM, radiusM);
      atM.push(lengthM + arcM / 2);
      put(arcM, heading, Math.sign(turn) / radiusM);
      heading += turn;
    } else atM.push(lengthM);
    usedM = tangentM;
  }
  if (stretches.length === 0) put(1e-6, 0, 0);
  return { stretches, atM, lengthM, tightestM };
}

/** Whoever drives turns so widely that it presses no harder than this: common practice, no published source. */
const EASY_TURN_MPS2 = 2.5;
/** From here on a turn is one right about, rad. */
const MOST_TURN_RAD = 3;

const wrapped = (rad: number) => rad - 2 * Math.PI * Math.round(rad / (2 * Math.PI));
