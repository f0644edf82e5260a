import type { Move, MoveKind, MoveOf } from '../../model';
import type { MoveFrame } from '../move-frame';
import { line, type Track } from '../track';
import { fromPivot } from '../../site';
import { PLAIN, type Effect, type Recipe, type Stand } from './recipe';
import { standing } from './shapes/standing';

type Lift = Move & { distanceM: number; bearingDeg: number; heightM: number; toHeightM: number };

const upright = (move: Lift, { pivot }: MoveFrame): Track =>
  line(
    fromPivot(pivot, move.distanceM, move.bearingDeg, move.heightM),
    fromPivot(pivot, move.distanceM, move.bearingDeg, move.toHeightM),
  );

/** What every straight rise and drop shares. */
function lift<K extends MoveKind>(
  kind: K,
  title: string,
  purpose: string,
  startingFrom: (stand: Stand, pivot: { pivotEastM: number; pivotNorthM: number }) => MoveOf<K>,
  effect: Effect = 'lift',
) {
  return { ...PLAIN, goes: 'usually' as const, kind, title, purpose, effect, startingFrom };
}

const within = (heightM: number) => Math.min(500, Math.max(-50, Math.round(heightM * 100) / 100));

/** The look of a lift that does not follow: locked on the subject at one end. */
const lockedAt = (at: number) => ({ aim: () => ({ base: 'locked' as const, at }) });

export const rise: Recipe<MoveOf<'rise'>> = {
  ...lift(
    'rise',
    'Rise',
    'Go up and look on: the frame climbs past the subject to what is behind it.',
    (stand, pivot) => ({
      kind: 'rise',
      ...pivot,
      ...stand,
      toHeightM: within(stand.heightM + 1),
    }),
  ),
  ...standing<MoveOf<'rise'>>(upright),
  ...lockedAt(0),
  joins: 'by',
  subjectIn: () => 'start',
};

export const drop: Recipe<MoveOf<'drop'>> = {
  ...lift('drop', 'Drop', 'Come down onto the subject’s own height: from the place to the person.', (stand, pivot) => ({
    kind: 'drop',
    ...pivot,
    ...stand,
    heightM: within(stand.heightM + 1),
    toHeightM: stand.heightM,
  })),
  ...standing<MoveOf<'drop'>>(upright),
  ...lockedAt(1),
  joins: 'to',
  subjectIn: () => 'end',
};

export const dropTiltUp: Recipe<MoveOf<'dropTiltUp'>> = {
  ...lift(
    'dropTiltUp',
    'Drop, tilting up',
    'Sink while the camera tilts up and keeps the subject centred: it grows taller than us.',
    (stand, pivot) => ({
      kind: 'dropTiltUp',
      ...pivot,
      ...stand,
      toHeightM: Math.min(0.3, within(stand.heightM - 0.5)),
    }),
  ),
  ...standing<MoveOf<'dropTiltUp'>>(upright),
  joins: 'before',
};

export const riseTiltDown: Recipe<MoveOf<'riseTiltDown'>> = {
  ...lift(
    'riseTiltDown',
    'Rise, tilting down',
    'Go up while the camera tilts down and keeps the subject centred: it grows small and alone.',
    (stand, pivot) => ({
      kind: 'riseTiltDown',
      ...pivot,
      ...stand,
      toHeightM: within(stand.heightM + 2),
    }),
  ),
  ...standing<MoveOf<'riseTiltDown'>>(upright),
  joins: 'above',
};

/**
 * Arms swing out as they pass the shoulders: half a sine across the rise, towards the pivot. Even in height, so that a
 * small rise does not double back at full speed.
 */
export const crane: Recipe<MoveOf<'crane'>> = {
  ...lift(
    'crane',
    'Crane by hand',
    'From a squat to arms overhead: a small crane that needs no crane.',
    (stand, pivot) => ({
      kind: 'crane',
      ...pivot,
      ...stand,
      heightM: 0.4,
      toHeightM: 2.1,
      leanM: 0.3,
    }),
  ),
  ...standing<MoveOf<'crane'>>((move, { pivot }) => ({
    write(s, _tS, out, offset = 0) {
      const at = fromPivot(
        pivot,
        move.distanceM - move.leanM * Math.sin(Math.PI * s),
        move.bearingDeg,
        move.heightM + (move.toHeightM - move.heightM) * s,
      );
      out[offset] = at.xM;
      out[offset + 1] = at.yM;
      out[offset + 2] = at.zM;
    },
  })),
  joins: 'before',
};

export const riseOverReveal: Recipe<MoveOf<'riseOverReveal'>> = {
  ...lift(
    'riseOverReveal',
    'Rise from behind',
    'Start hidden behind something near and rise until the subject shows over it.',
    (stand, pivot) => ({
      kind: 'riseOverReveal',
      ...pivot,
      ...stand,
      heightM: 0.4,
      toHeightM: within(Math.max(stand.heightM, 1.4) + 0.6),
    }),
    'show',
  ),
  goes: 'ifAsked',
  ...standing<MoveOf<'riseOverReveal'>>(upright),
  joins: 'to show',
  reveals: true,
  subjectIn: () => 'end',
};

const RAD = Math.PI / 180;

/**
 * Where the far end of an arm is: its pivot stands so that the camera is at its distance and height when the arm is
 * level.
 */
function armEnd(move: MoveOf<'jib'>, moveFrame: MoveFrame, angleDeg: number) {
  const { armM } = move;
  return fromPivot(
    moveFrame.pivot,
    move.distanceM + armM * (1 - Math.cos(angleDeg * RAD)),
    move.bearingDeg,
    move.heightM + armM * Math.sin(angleDeg * RAD),
  );
}

export const jib: Recipe<MoveOf<'jib'>> = {
  ...PLAIN,
  ...standing<MoveOf<'jib'>>((move, moveFrame) => ({
    write(s, _tS, out, offset = 0) {
      const at = armEnd(move, moveFrame, move.fromDeg + (move.toDeg - move.fromDeg) * s);
      out[offset] = at.xM;
      out[offset + 1] = at.yM;
      out[offset + 2] = at.zM;
    },
  })),
  kind: 'jib',
  title: 'Jib',
  purpose: 'An arm lifts or lowers the camera on its own arc: a metre or two is plenty to show what was hidden.',
  effect: 'lift',
  joins: 'before',
  subjectIn: ({ head }) => (head === 'aimed' ? 'always' : 'end'),
  aim: ({ head }) => (head === 'aimed' ? { base: 'asked' } : { base: 'locked', at: 1 }),
  turn: (move, s, look) => {
    if (move.head === 'arm') look.tiltDeg += (move.toDeg - move.fromDeg) * (s - 1);
  },
  armStand: (move, { pivot }) => fromPivot(pivot, move.distanceM + move.armM, move.bearingDeg, move.heightM),
  scaleTravel: (move, share) => ({
    ...move,
    toDeg: Math.min(85, Math.max(-80, Math.round(move.fromDeg + (move.toDeg - move.fromDeg) * share))),
  }),
  travelWords: (move) =>
    `lift the arm from ${Math.round(move.fromDeg)}° to ${Math.round(move.toDeg)}°`.replaceAll('-', '−'),
  continueFrom: (move, from, { pivot }) => {
    const start = armEnd(move, { pivot: { xM: 0, yM: 0, zM: 0 } } as MoveFrame, move.fromDeg);
    const outM = Math.hypot(start.xM, start.yM) - move.distanceM;
    const away = Math.hypot(from.xM - pivot.xM, from.yM - pivot.yM);
    const bearingDeg =
      away < 1e-9 ? move.bearingDeg : (Math.atan2(from.xM - pivot.xM, from.yM - pivot.yM) * 180) / Math.PI;
    return {
      ...move,
      bearingDeg,
      distanceM: Math.max(0.1, away - outM),
      heightM: within(from.zM - pivot.zM - move.armM * Math.sin(move.fromDeg * RAD)),
    };
  },
  startingFrom: (stand, pivot) => ({
    kind: 'jib',
    ...pivot,
    ...stand,
    armM: 2.2,
    fromDeg: -20,
    toDeg: 25,
    head: 'aimed',
  }),
};
