import type { MoveOf } from '../../model';
import { line } from '../track';
import { fromPivot } from '../../site';
import { PLAIN, type Recipe, type Stand } from './recipe';
import { sideways } from './shapes/sideways';
import { standing } from './shapes/standing';

/** Straight down from above the subject; the bearing is the side at the bottom of the frame. */
const DOWN = {
  ...PLAIN,
  effect: 'down' as const,
  aim: ({ bearingDeg }: { bearingDeg: number }) => ({ base: 'down' as const, bottomDeg: bearingDeg }),
};
const above = ({ bearingDeg, heightM }: Stand) => ({ bearingDeg, distanceM: 0.1, heightM: Math.max(heightM, 4) });

export const overheadStill: Recipe<MoveOf<'overheadStill'>> = {
  ...DOWN,
  ...standing(),
  kind: 'overheadStill',
  goes: 'usually',
  title: 'Overhead, still',
  purpose: 'Look straight down and stay: hands, patterns, somebody small in a large place.',
  joins: 'over',
  travels: false,
  startingFrom: (stand, pivot) => ({ kind: 'overheadStill', ...pivot, ...above(stand) }),
};

export const overheadSlide: Recipe<MoveOf<'overheadSlide'>> = {
  ...DOWN,
  ...sideways(),
  kind: 'overheadSlide',
  goes: 'usually',
  title: 'Overhead slide',
  purpose: 'Straight down and sliding: rows, tables and roofs pass like a map.',
  joins: 'over',
  subjectIn: () => 'sometime',
  startingFrom: (stand, pivot) => ({ kind: 'overheadSlide', ...pivot, ...above(stand), travelM: 2, skewDeg: 0 }),
};

export const overheadSpin: Recipe<MoveOf<'overheadSpin'>> = {
  ...DOWN,
  ...standing<MoveOf<'overheadSpin'>>((move, { pivot }) =>
    line(
      fromPivot(pivot, move.distanceM, move.bearingDeg, move.heightM),
      fromPivot(pivot, move.distanceM, move.bearingDeg, move.heightM + move.riseM),
    ),
  ),
  kind: 'overheadSpin',
  goes: 'usually',
  title: 'Overhead spin',
  purpose: 'Straight down, turning like a slow top, perhaps rising: one spin can be cut onto another.',
  joins: 'over',
  travels: false,
  turn: (move, s, look) => {
    look.panDeg += move.spinDeg * s;
  },
  startingFrom: (stand, pivot) => ({ kind: 'overheadSpin', ...pivot, ...above(stand), spinDeg: 90, riseM: 0 }),
};
