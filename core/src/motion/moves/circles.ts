import type { MoveOf } from '../../model';
import { PLAIN, type Recipe } from './recipe';
import { circling } from './shapes/circling';

export const arc: Recipe<MoveOf<'arc'>> = {
  ...PLAIN,
  ...circling(),
  kind: 'arc',
  goes: 'usually',
  title: 'Arc',
  purpose: 'Go part of the way round: the subject turns on the spot while the world behind sweeps past.',
  effect: 'round',
  joins: 'round',
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'arc',
    ...pivot,
    heightM,
    radiusM: distanceM,
    startBearingDeg: bearingDeg - 45,
    sweepDeg: 90,
  }),
};

export const orbit: Recipe<MoveOf<'orbit'>> = {
  ...PLAIN,
  ...circling(),
  kind: 'orbit',
  goes: 'usually',
  title: 'Full orbit',
  purpose: 'Once all the way round, back to where it began: needs a full clear circle.',
  effect: 'round',
  joins: 'round',
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'orbit',
    ...pivot,
    heightM,
    radiusM: distanceM,
    startBearingDeg: bearingDeg - 180,
    sweepDeg: 360,
  }),
};

export const lowOrbit: Recipe<MoveOf<'lowOrbit'>> = {
  ...PLAIN,
  ...circling(),
  kind: 'lowOrbit',
  goes: 'usually',
  title: 'Low orbit, looking up',
  purpose: 'Round the subject from below: it stands tall and powerful against the sky.',
  effect: 'round',
  joins: 'round',
  startingFrom: ({ distanceM, bearingDeg }, pivot) => ({
    kind: 'lowOrbit',
    ...pivot,
    heightM: 0.3,
    radiusM: distanceM,
    startBearingDeg: bearingDeg - 60,
    sweepDeg: 120,
  }),
};

export const tableTopArm: Recipe<MoveOf<'tableTopArm'>> = {
  ...PLAIN,
  ...circling(),
  kind: 'tableTopArm',
  title: 'Table-top arm',
  purpose: 'An arm turns about a fixed point under the thing it looks at: food, cups, hands.',
  effect: 'round',
  joins: 'about',
  armStand: (move, { pivot }) => ({ ...pivot, zM: pivot.zM + move.heightM }),
  aim: ({ aimHeightM }) => ({ base: 'pivot', heightM: aimHeightM }),
  startingFrom: ({ bearingDeg, heightM, distanceM }, pivot) => ({
    kind: 'tableTopArm',
    ...pivot,
    heightM,
    radiusM: Math.min(distanceM, 0.6),
    startBearingDeg: bearingDeg - 60,
    sweepDeg: 120,
    aimHeightM: Math.max(-50, heightM - 0.35),
  }),
};

export const driftingOrbit: Recipe<MoveOf<'driftingOrbit'>> = {
  ...PLAIN,
  ...circling(),
  kind: 'driftingOrbit',
  title: 'Drifting half-orbit',
  purpose: 'Travel and pan together so that the picture centres on nothing: the place itself is the subject.',
  effect: 'round',
  joins: 'by',
  subjectIn: () => 'sometime',
  aim: () => ({ base: 'locked', at: 0.5 }),
  turn: (move, s, look) => {
    look.panDeg += move.sweepDeg * (s - 0.5);
  },
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'driftingOrbit',
    ...pivot,
    heightM,
    radiusM: distanceM,
    startBearingDeg: bearingDeg - 45,
    sweepDeg: 90,
    driftM: -Math.min(500, distanceM * 0.6),
  }),
};

export const spiralOverhead: Recipe<MoveOf<'spiralOverhead'>> = {
  ...PLAIN,
  ...circling(),
  kind: 'spiralOverhead',
  goes: 'usually',
  title: 'Spiral to overhead',
  purpose: 'Round, up and in until the camera looks straight down: from beside somebody to a bird’s view.',
  effect: 'down',
  joins: 'over',
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'spiralOverhead',
    ...pivot,
    heightM,
    radiusM: distanceM,
    startBearingDeg: bearingDeg - 90,
    sweepDeg: 180,
    toRadiusM: 0.3,
    toHeightM: Math.min(500, heightM + distanceM * 1.5),
  }),
};

export const helix: Recipe<MoveOf<'helix'>> = {
  ...PLAIN,
  ...circling(),
  kind: 'helix',
  goes: 'usually',
  title: 'Helix',
  purpose: 'Round while backing off and rising: a goodbye that shows the whole place.',
  effect: 'round',
  joins: 'round',
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'helix',
    ...pivot,
    heightM,
    radiusM: distanceM,
    startBearingDeg: bearingDeg - 120,
    sweepDeg: 240,
    toRadiusM: Math.min(2000, distanceM * 1.8),
    toHeightM: Math.min(500, heightM + distanceM),
  }),
};
