import { type FreePoint, type MoveOf, sayLength } from '../../model';
import { eased } from '../../scene';
import { naturalSpline } from '../spline';
import type { MoveFrame } from '../move-frame';
import { evenly } from '../track';
import { fromPivot } from '../../site';
import { clamp, PLAIN, settable, type Look, type Recipe } from './recipe';

type Free = MoveOf<'free'>;

const place = ({ eastM, northM, heightM }: FreePoint) => [eastM, northM, heightM];
const moved = (move: Free, edit: (point: FreePoint, i: number) => FreePoint): Free => ({
  ...move,
  points: move.points.map(edit),
});
const metres = (m: number) => clamp(m, -5000, 5000);

/** How far each point is along a drawn path, as shares of its length. */
export function sharesOf(points: readonly FreePoint[]): number[] {
  const spline = naturalSpline(points.map(place), 3);
  const steps = 40 * points.length;
  const at = new Float64Array(6);
  spline.at(0, at, 0);
  let lengthM = 0;
  const shares = points.map(() => 0);
  let next = 1;
  for (let i = 1; i <= steps; i += 1) {
    spline.at(i / steps, at, 3);
    lengthM += Math.hypot(at[3] - at[0], at[4] - at[1], at[5] - at[2]);
    at.copyWithin(0, 3, 6);
    while (next < points.length && spline.knots[next] <= i / steps + 1e-12) {
      shares[next] = lengthM;
      next += 1;
    }
  }
  return shares.map((m, i) => (i === points.length - 1 ? 1 : lengthM > 0 ? m / lengthM : i / (points.length - 1)));
}

interface Keys {
  shares: number[];
  looks: (FreePoint['look'] | null)[];
}
const known = new WeakMap<readonly FreePoint[], Keys>();

/**
 * The keyed look at share s: between two keyed points eased from one to the other, next to an unkeyed one eased from or
 * to what the shot's aim asks.
 */
function keyedLook(points: readonly FreePoint[], s: number, look: Look): void {
  let keys = known.get(points);
  if (!keys) {
    keys = { shares: sharesOf(points), looks: points.map((point) => point.look) };
    known.set(points, keys);
  }
  const { shares, looks } = keys;
  let i = 0;
  while (i < shares.length - 2 && s > shares[i + 1]) i += 1;
  const [a, b] = [looks[i], looks[i + 1]];
  if (!a && !b) return;
  const gap = shares[i + 1] - shares[i];
  const w = eased(gap > 0 ? (s - shares[i]) / gap : 1);
  const asked = { ...look };
  const near = (deg: number) => deg + 360 * Math.round((asked.panDeg - deg) / 360);
  const from = a ? { ...a, panDeg: near(a.panDeg) } : asked;
  const to = b ? { ...b, panDeg: near(b.panDeg) } : asked;
  look.panDeg = from.panDeg + (to.panDeg - from.panDeg) * w;
  look.tiltDeg = from.tiltDeg + (to.tiltDeg - from.tiltDeg) * w;
  look.rollDeg = from.rollDeg + (to.rollDeg - from.rollDeg) * w;
}

export const free: Recipe<Free> = {
  ...PLAIN,
  kind: 'free',
  title: 'Drawn path',
  purpose: 'Draw the way the camera goes, point by point, and say where it looks at each.',
  effect: 'own',
  joins: 'about',
  subjectIn: () => 'sometime',
  ends: 'both',
  grips: ({ points }, { pivot }) =>
    points.map((point, i) => ({
      id: `point-${i}`,
      label: i === 0 ? 'start' : i === points.length - 1 ? 'end' : `${i + 1}`,
      xM: pivot.xM + point.eastM,
      yM: pivot.yM + point.northM,
    })),
  stand: ({ points }) => {
    const { eastM, northM, heightM } = points[0];
    return {
      distanceM: Math.max(0.1, Math.hypot(eastM, northM)),
      bearingDeg: (Math.atan2(eastM, northM) * 180) / Math.PI,
      heightM,
    };
  },
  track: ({ points }, { pivot }) => {
    const spline = naturalSpline(points.map(place), 3);
    return evenly((u, out, offset) => {
      spline.at(u, out, offset);
      out[offset] += pivot.xM;
      out[offset + 1] += pivot.yM;
      out[offset + 2] += pivot.zM;
    });
  },
  turn: ({ points }, s, look) => keyedLook(points, s, look),
  drag: (move, handleId, xM, yM, { pivot }) => {
    const index = Number(/^point-(\d+)$/.exec(handleId)?.[1] ?? NaN);
    return moved(move, (point, i) =>
      i === index ? { ...point, eastM: metres(xM - pivot.xM), northM: metres(yM - pivot.yM) } : point,
    );
  },
  continueFrom: (move, from, { pivot }: MoveFrame) => {
    const [first] = move.points;
    const [dx, dy, dz] = [
      from.xM - pivot.xM - first.eastM,
      from.yM - pivot.yM - first.northM,
      from.zM - pivot.zM - first.heightM,
    ];
    return moved(move, (point) => ({
      ...point,
      eastM: metres(point.eastM + dx),
      northM: metres(point.northM + dy),
      heightM: clamp(point.heightM + dz, -50, 500),
    }));
  },
  scaleTravel: (move, share) => {
    const [first] = move.points;
    const to = (from: number, at: number) => settable(from + (at - from) * share);
    const scaled = moved(move, (point, i) =>
      i === 0
        ? point
        : {
            ...point,
            eastM: metres(to(first.eastM, point.eastM)),
            northM: metres(to(first.northM, point.northM)),
            heightM: clamp(to(first.heightM, point.heightM), -50, 500),
          },
    );
    return apart(scaled) ? scaled : move;
  },
  scaleDistance: (move, share) => {
    const scaled = moved(move, (point) => ({
      ...point,
      eastM: metres(settable(point.eastM * share)),
      northM: metres(settable(point.northM * share)),
    }));
    return apart(scaled) ? scaled : move;
  },
  travelWords: () => 'shorten the drawn path towards its start',
  distanceWords: (move, units) =>
    `begin ${sayLength(Math.hypot(move.points[0].eastM, move.points[0].northM), units)} away`,
  startingFrom: (stand, pivot) => {
    const at = (distanceM: number, turnDeg: number, heightM: number): FreePoint => {
      const { xM, yM } = fromPivot({ xM: 0, yM: 0, zM: 0 }, distanceM, stand.bearingDeg + turnDeg, 0);
      return { eastM: Math.round(xM * 100) / 100, northM: Math.round(yM * 100) / 100, heightM, look: null };
    };
    return {
      kind: 'free',
      ...pivot,
      points: [
        at(stand.distanceM, 0, stand.heightM),
        at(stand.distanceM * 0.8, 20, stand.heightM),
        at(stand.distanceM * 0.9, 45, stand.heightM),
      ],
    };
  },
};

const apart = ({ points }: Free) =>
  points.every(
    (point, i) =>
      i === 0 ||
      Math.hypot(
        point.eastM - points[i - 1].eastM,
        point.northM - points[i - 1].northM,
        point.heightM - points[i - 1].heightM,
      ) >= 0.01,
  );
