import { type Leg, numbersOf, type Move } from '../model';
import { clamp } from '../motion';
import { nearestTurn } from '../site';

type Numbers = Record<string, number>;

/** A move with each of its numbers changed, and kept within what it may be. */
export function withNumbers(
  move: Move,
  edit: (value: number, facts: { key: string; unit: string; mirror?: 'side' | 'site' }) => number,
): Move {
  const numbers = move as unknown as Numbers;
  const next: Numbers = {};
  for (const facts of numbersOf(move.kind))
    next[facts.key] = clamp(edit(numbers[facts.key], facts), facts.min, facts.max);
  return { ...move, ...next } as Move;
}

/** What a keyed look may say, degrees: further round is the same look some turns before. */
const MOST_PAN_DEG = 720;
const panWithin = (deg: number) =>
  Math.abs(deg) <= MOST_PAN_DEG ? deg : deg - 360 * Math.sign(deg) * Math.ceil((Math.abs(deg) - MOST_PAN_DEG) / 360);

/** The same move to the other side: left for right, clockwise for anticlockwise. Where it is seen from stays. */
export function mirrored(move: Move): Move {
  if (move.kind === 'free') {
    // Over the line from the pivot to the first point.
    const [first] = move.points;
    // A first point on the pivot has no bearing; adding 0 makes -0 one of north.
    const twice = 2 * Math.atan2(first.eastM + 0, first.northM + 0);
    const [cos, sin] = [Math.cos(twice), Math.sin(twice)];
    const axisDeg = (twice * 180) / Math.PI;
    return {
      ...move,
      points: move.points.map((point) => ({
        ...point,
        eastM: -point.eastM * cos + point.northM * sin,
        northM: point.eastM * sin + point.northM * cos,
        look: point.look && {
          ...point.look,
          panDeg: panWithin(nearestTurn(axisDeg - point.look.panDeg, point.look.panDeg)),
          rollDeg: -point.look.rollDeg,
        },
      })),
    };
  }
  return withNumbers(move, (value, { mirror }) => (mirror === 'side' ? -value : value));
}

/** A move with its look to the other side: what rolled one way rolls the other. */
export const toTheOtherSide = (leg: Leg): Leg => ({
  ...leg,
  move: mirrored(leg.move),
  look: { ...leg.look, fromRollDeg: 0 - leg.look.fromRollDeg, toRollDeg: 0 - leg.look.toRollDeg },
});

/** The move with every length k times as long. */
export function scaled(move: Move, k: number): Move {
  if (move.kind === 'free')
    return {
      ...move,
      pivotEastM: move.pivotEastM * k,
      pivotNorthM: move.pivotNorthM * k,
      points: move.points.map((point) => ({
        ...point,
        eastM: point.eastM * k,
        northM: point.northM * k,
        heightM: point.heightM * k,
      })),
    };
  return withNumbers(move, (value, { unit }) => (unit === 'm' ? value * k : value));
}

const HEIGHTS = new Set(['heightM', 'toHeightM']);

/** The move with the camera higher by so much all the way; metres. */
export function raised(move: Move, byM: number): Move {
  if (move.kind === 'free')
    return {
      ...move,
      points: move.points.map((point) => ({ ...point, heightM: clamp(point.heightM + byM, -50, 500) })),
    };
  return withNumbers(move, (value, { key }) => (HEIGHTS.has(key) ? value + byM : value));
}

/** The move turned about its pivot, degrees clockwise. What goes with a walking subject has no bearing and stays. */
export function turned(move: Move, byDeg: number): Move {
  if (move.kind === 'free') {
    const [cos, sin] = [Math.cos((byDeg * Math.PI) / 180), Math.sin((byDeg * Math.PI) / 180)];
    return {
      ...move,
      points: move.points.map((point) => ({
        ...point,
        eastM: point.eastM * cos + point.northM * sin,
        northM: point.northM * cos - point.eastM * sin,
        look: point.look && { ...point.look, panDeg: panWithin(point.look.panDeg + byDeg) },
      })),
    };
  }
  const within = (deg: number) => (deg > 360 ? deg - 360 : deg < -360 ? deg + 360 : deg);
  return withNumbers(move, (value, { key, mirror }) =>
    mirror === 'site' && key !== 'pivotEastM' ? within(value + byDeg) : value,
  );
}
