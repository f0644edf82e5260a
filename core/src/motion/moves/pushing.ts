import type { MoveOf } from '../../model';
import { eased } from '../../scene';
import { PLAIN, type Recipe } from './recipe';
import { fromTo, radial } from './shapes/radial';

const round = (m: number) => Math.max(0.1, Math.round(m * 100) / 100);

export const push: Recipe<MoveOf<'push'>> = {
  ...PLAIN,
  ...radial(fromTo()),
  kind: 'push',
  goes: 'usually',
  title: 'Push in',
  purpose: 'Go straight in to make the subject matter more.',
  effect: 'closer',
  joins: 'to',
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'push',
    ...pivot,
    heightM,
    fromDistanceM: distanceM,
    toDistanceM: round(distanceM * 0.55),
    bearingDeg,
  }),
};

export const pull: Recipe<MoveOf<'pull'>> = {
  ...PLAIN,
  ...radial(fromTo()),
  kind: 'pull',
  goes: 'usually',
  title: 'Pull out',
  purpose: 'Go straight out to show where the subject is, or to leave it.',
  effect: 'closer',
  joins: 'from',
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'pull',
    ...pivot,
    heightM,
    fromDistanceM: distanceM,
    toDistanceM: round(distanceM * 1.8),
    bearingDeg,
  }),
};

export const pushRise: Recipe<MoveOf<'pushRise'>> = {
  ...PLAIN,
  ...radial(fromTo()),
  kind: 'pushRise',
  goes: 'usually',
  title: 'Push with a rise',
  purpose: 'Run in low and leave the ground on the way, as a plane takes off.',
  effect: 'closer',
  joins: 'to',
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'pushRise',
    ...pivot,
    heightM,
    fromDistanceM: distanceM,
    toDistanceM: round(distanceM * 0.55),
    bearingDeg,
    toHeightM: Math.min(500, heightM + 1),
  }),
};

export const scoop: Recipe<MoveOf<'scoop'>> = {
  ...PLAIN,
  ...radial(fromTo(), () => ({ scooped: true })),
  kind: 'scoop',
  goes: 'usually',
  title: 'Scoop',
  purpose: 'Start low, lean in, and come up at the end: arms and knees alone can do it.',
  effect: 'closer',
  joins: 'to',
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'scoop',
    ...pivot,
    heightM,
    fromDistanceM: distanceM,
    toDistanceM: round(distanceM * 0.75),
    bearingDeg,
    toHeightM: Math.min(500, heightM + 0.6),
  }),
};

export const pushRoll: Recipe<MoveOf<'pushRoll'>> = {
  ...PLAIN,
  ...radial(fromTo()),
  kind: 'pushRoll',
  goes: 'usually',
  title: 'Push with a roll',
  purpose: 'Close in while the frame leans over (or comes level): unrest that grows.',
  effect: 'turn',
  joins: 'to',
  turn: (move, s, look) => {
    look.rollDeg += move.fromRollDeg + (move.toRollDeg - move.fromRollDeg) * s;
  },
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'pushRoll',
    ...pivot,
    heightM,
    fromDistanceM: distanceM,
    toDistanceM: round(distanceM * 0.6),
    bearingDeg,
    fromRollDeg: 25,
    toRollDeg: 0,
  }),
};

export const approachTiltDown: Recipe<MoveOf<'approachTiltDown'>> = {
  ...PLAIN,
  ...radial(fromTo()),
  kind: 'approachTiltDown',
  title: 'Approach, tilting down',
  purpose: 'Fly in looking at the horizon and let the tilt find the subject below.',
  effect: 'show',
  joins: 'onto',
  subjectIn: () => 'end',
  turn: (move, s, look) => {
    look.tiltDeg += (move.fromTiltDeg - look.tiltDeg) * (1 - eased(s));
  },
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'approachTiltDown',
    ...pivot,
    heightM: Math.max(heightM, 4),
    fromDistanceM: distanceM,
    toDistanceM: round(distanceM * 0.4),
    bearingDeg,
    fromTiltDeg: 0,
  }),
};
