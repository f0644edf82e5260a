import type { MoveOf } from '../../model';
import { eased } from '../../scene';
import { clamp, PLAIN, type Recipe } from './recipe';
import { fromTo, radial } from './shapes/radial';

export const backAwayReveal: Recipe<MoveOf<'backAwayReveal'>> = {
  ...PLAIN,
  ...radial<MoveOf<'backAwayReveal'>>({
    stands: 'to',
    from: ({ beyondM }) => -beyondM,
    to: ({ toDistanceM }) => toDistanceM,
    put: (move, end, distanceM) =>
      end === 'from'
        ? { ...move, beyondM: clamp(-distanceM, 0.1, 2000) }
        : { ...move, toDistanceM: clamp(distanceM, 0.1, 2000) },
  }),
  kind: 'backAwayReveal',
  title: 'Back away over a ridge',
  purpose: 'Fly backwards over an edge, looking one way: somebody stands there and comes into the frame from below.',
  effect: 'show',
  joins: 'from',
  subjectIn: () => 'end',
  aim: () => ({ base: 'locked', at: 1 }),
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'backAwayReveal',
    ...pivot,
    heightM: Math.max(heightM, 3),
    beyondM: Math.min(2000, distanceM * 1.5),
    toDistanceM: distanceM,
    bearingDeg,
  }),
};

export const tiltToHorizon: Recipe<MoveOf<'tiltToHorizon'>> = {
  ...PLAIN,
  ...radial(fromTo<MoveOf<'tiltToHorizon'>>()),
  kind: 'tiltToHorizon',
  title: 'Tilt to the horizon',
  purpose: 'Leave the subject back and up, and end by tilting up to the horizon: how large the place is.',
  effect: 'show',
  joins: 'from',
  subjectIn: () => 'start',
  turn: (move, s, look) => {
    look.tiltDeg += (0 - look.tiltDeg) * eased((s - (1 - move.tiltShare)) / move.tiltShare);
  },
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'tiltToHorizon',
    ...pivot,
    heightM,
    fromDistanceM: distanceM,
    toDistanceM: Math.min(2000, distanceM * 1.6),
    bearingDeg,
    toHeightM: Math.min(500, heightM + distanceM * 0.8),
    tiltShare: 0.4,
  }),
};

/** Distance from the subject's middle to a lens so far off its surface. */
const offSurface = (gapM: number, subjectHalfM: number) => subjectHalfM + gapM;

export const darkStart: Recipe<MoveOf<'darkStart'>> = {
  ...PLAIN,
  ...radial<MoveOf<'darkStart'>>({
    stands: 'to',
    from: ({ gapM }, { subjectHalfM }) => offSurface(gapM, subjectHalfM),
    to: ({ toDistanceM }) => toDistanceM,
    put: (move, end, distanceM, { subjectHalfM }) =>
      end === 'from'
        ? { ...move, gapM: clamp(distanceM - subjectHalfM, 0.02, 1) }
        : { ...move, toDistanceM: clamp(distanceM, 0.1, 2000) },
  }),
  kind: 'darkStart',
  title: 'Out of the dark',
  goesDark: true,
  purpose: 'Start with the lens covered by somebody’s back and draw away: joins to a shot that went dark.',
  effect: 'show',
  joins: 'from',
  subjectIn: () => 'end',
  aim: () => ({ base: 'locked', at: 1 }),
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'darkStart',
    ...pivot,
    heightM: Math.min(heightM, 1.2),
    gapM: 0.05,
    toDistanceM: distanceM,
    bearingDeg,
  }),
};

export const darkEnd: Recipe<MoveOf<'darkEnd'>> = {
  ...PLAIN,
  ...radial<MoveOf<'darkEnd'>>({
    from: ({ fromDistanceM }) => fromDistanceM,
    to: ({ gapM }, { subjectHalfM }) => offSurface(gapM, subjectHalfM),
    put: (move, end, distanceM, { subjectHalfM }) =>
      end === 'to'
        ? { ...move, gapM: clamp(distanceM - subjectHalfM, 0.02, 1) }
        : { ...move, fromDistanceM: clamp(distanceM, 0.1, 2000) },
  }),
  kind: 'darkEnd',
  title: 'Into the dark',
  goesDark: true,
  purpose: 'Close in until something covers the lens: the next shot can begin in the dark.',
  effect: 'show',
  joins: 'on',
  subjectIn: () => 'start',
  aim: () => ({ base: 'locked', at: 0 }),
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'darkEnd',
    ...pivot,
    heightM: Math.min(heightM, 1.2),
    gapM: 0.05,
    fromDistanceM: distanceM,
    bearingDeg,
  }),
};
