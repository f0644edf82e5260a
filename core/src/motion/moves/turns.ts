import type { MoveOf, Timing } from '../../model';
import { fromPivot } from '../../site';
import { PLAIN, type Look, type Recipe } from './recipe';
import { standing } from './shapes/standing';

/** Moves of the camera on the spot. */
const SPOT = { ...PLAIN, travels: false };
const mix = (from: number, to: number, s: number) => from + (to - from) * s;
/** The look that has the subject at its place when the move ends. */
const endsOnSubject = () => ({ base: 'locked' as const, at: 1 });

export const still: Recipe<MoveOf<'still'>> = {
  ...SPOT,
  ...standing(),
  kind: 'still',
  title: 'Still',
  purpose: 'Lock it off: a frame at rest lets a face and a place work, and ends a busy run of cuts.',
  effect: 'rest',
  joins: 'on',
  aim: () => ({ base: 'locked', at: 0.5 }),
  startingFrom: (stand, pivot) => ({ kind: 'still', ...pivot, ...stand }),
};

const panned = (move: { fromDeg: number; toDeg: number }, s: number, look: Look) => {
  look.panDeg += mix(move.fromDeg, move.toDeg, s);
};

export const pan: Recipe<MoveOf<'pan'>> = {
  ...SPOT,
  ...standing(),
  kind: 'pan',
  title: 'Pan',
  purpose: 'Turn on the spot from one thing to another: 0° is on the subject.',
  effect: 'turn',
  joins: 'to',
  subjectIn: () => 'sometime',
  aim: endsOnSubject,
  turn: panned,
  startingFrom: (stand, pivot) => ({ kind: 'pan', ...pivot, ...stand, fromDeg: -30, toDeg: 0 }),
};

const WHIP_S = 0.4;

export const whipPan: Recipe<MoveOf<'whipPan'>> = {
  ...SPOT,
  ...standing(),
  kind: 'whipPan',
  title: 'Whip pan',
  purpose: 'Turn so fast that the picture smears: a cut can hide in the blur.',
  effect: 'turn',
  joins: 'to',
  subjectIn: () => 'sometime',
  aim: endsOnSubject,
  turn: panned,
  meantToBlur: true,
  startingFrom: (stand, pivot) => ({ kind: 'whipPan', ...pivot, ...stand, fromDeg: -60, toDeg: 0 }),
  usualTiming: (timing) => whipTiming(timing),
};

/** The whip itself takes four tenths of a second in the middle; the rest is rest. */
function whipTiming(timing: Timing): Timing {
  const holdS = Math.max(0, Math.floor(((timing.durationS - WHIP_S) / 2) * 100) / 100);
  return { ...timing, holdStartS: holdS, holdEndS: holdS, featherInS: 0.15, featherOutS: 0.2 };
}

export const tilt: Recipe<MoveOf<'tilt'>> = {
  ...SPOT,
  ...standing(),
  kind: 'tilt',
  title: 'Tilt',
  purpose: 'Look up or down on the spot, from feet to face or from roof to door: 0° is on the subject.',
  effect: 'turn',
  joins: 'to',
  subjectIn: () => 'sometime',
  aim: endsOnSubject,
  turn: (move, s, look) => {
    look.tiltDeg = Math.min(90, Math.max(-90, look.tiltDeg + mix(move.fromDeg, move.toDeg, s)));
  },
  startingFrom: (stand, pivot) => ({ kind: 'tilt', ...pivot, ...stand, fromDeg: 20, toDeg: 0 }),
};

export const roll: Recipe<MoveOf<'roll'>> = {
  ...SPOT,
  ...standing(),
  kind: 'roll',
  title: 'Roll',
  purpose: 'Lean the frame over, or bring a leaning one level: energy, or balance found again.',
  effect: 'turn',
  joins: 'on',
  turn: (move, s, look) => {
    look.rollDeg += mix(move.fromDeg, move.toDeg, s);
  },
  startingFrom: (stand, pivot) => ({ kind: 'roll', ...pivot, ...stand, fromDeg: 0, toDeg: 30 }),
};

const RAD = Math.PI / 180;

export const tumble: Recipe<MoveOf<'tumble'>> = {
  ...SPOT,
  ...standing<MoveOf<'tumble'>>((move, { pivot }) => {
    const hinge = fromPivot(pivot, move.distanceM, move.bearingDeg, move.heightM);
    const right = (move.bearingDeg - 90) * RAD;
    return {
      write(s, _tS, out, offset = 0) {
        // The pole swings as far as the frame rolls, over the top: from one side of the hinge to the other for half a
        // turn.
        const angle = move.rollDeg * (s - 0.5) * RAD;
        const asideM = move.armM * Math.sin(angle);
        out[offset] = hinge.xM + asideM * Math.sin(right);
        out[offset + 1] = hinge.yM + asideM * Math.cos(right);
        out[offset + 2] = hinge.zM + move.armM * Math.cos(angle);
      },
    };
  }),
  armStand: (move, { pivot }) => fromPivot(pivot, move.distanceM, move.bearingDeg, move.heightM),
  kind: 'tumble',
  title: 'Tumble',
  purpose: 'A hinged pole swings the camera over: the world turns upside down. Cut at the top of the roll.',
  effect: 'turn',
  joins: 'before',
  turn: (move, s, look) => {
    look.rollDeg += move.rollDeg * s;
  },
  continueFrom: (move) => move,
  startingFrom: (stand, pivot) => ({ kind: 'tumble', ...pivot, ...stand, armM: 0.6, rollDeg: 180 }),
};

export const groundStart: Recipe<MoveOf<'groundStart'>> = {
  ...SPOT,
  ...standing(),
  kind: 'groundStart',
  title: 'Up from the floor',
  purpose: 'Start on bare ground (or on the sky) and tilt onto the subject: joins to a shot that ended on the floor.',
  effect: 'show',
  joins: 'onto',
  subjectIn: () => 'end',
  turn: (move, s, look) => {
    look.tiltDeg += (move.fromTiltDeg - look.tiltDeg) * (1 - s);
  },
  startingFrom: (stand, pivot) => ({ kind: 'groundStart', ...pivot, ...stand, fromTiltDeg: -75 }),
};

export const skyEnd: Recipe<MoveOf<'skyEnd'>> = {
  ...SPOT,
  ...standing(),
  kind: 'skyEnd',
  title: 'Away to the sky or floor',
  purpose: 'End by tilting off the subject to the sky (or the floor): the next shot can begin there.',
  effect: 'show',
  joins: 'from',
  subjectIn: () => 'start',
  turn: (move, s, look) => {
    look.tiltDeg += (move.toTiltDeg - look.tiltDeg) * s;
  },
  startingFrom: (stand, pivot) => ({ kind: 'skyEnd', ...pivot, ...stand, toTiltDeg: 60 }),
};
