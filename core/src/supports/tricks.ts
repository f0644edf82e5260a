import { type Rig, sayLength, saySpeed, trim, type Units } from '../model';
import { GRAVITY } from './elliptic';
import { fact, type Told } from './fact';
import { ropeSwing } from './rope/statics';

/** What a rig of the odd kind is asked to do in a shot. */
export interface TrickCase {
  rig: Rig;
  /** From the first place to the last: how far down (negative: up), and how far in all; m. */
  sinkM: number;
  goneM: number;
  /** It travels for so long, s. */
  movingS: number;
  /** From the camera to its subject at the start, m; null without one. */
  subjectM: number | null;
  captureRateHz: number;
  frameRateHz: number;
  /** What hangs, falls or floats; null where nothing is put together for the rig. */
  massKg: number | null;
  units: Units;
}

/** A usual plate, m across, and the camera's middle above it: common practice, no published source. */
const PLATE_M = 0.3;
const ABOVE_M = 0.05;
const WATER = 1000;
/** Tries to expect: common practice, no published source. */
const tries = (count: number) => fact('tries', 'Tries to expect', `about ${count}`, count);

/** A fall from rest: t = √(2h/g), v = √(2gh). */
export const fallS = (heightM: number): number => Math.sqrt((2 * heightM) / GRAVITY);

/** Simple home-made ways that need no more than a hand's pace: common practice, no published source. */
const SIMPLE: Partial<Record<Rig['way'], { tries: number; steps: string[] }>> = {
  pipes: {
    tries: 4,
    steps: [
      'Lay both pipes level and side by side, packed up at each end and in the middle; tape the joints.',
      'Wipe the pipes; run it once over its whole length and feel for bumps.',
      'Tape a stop before each end.',
    ],
  },
  towel: {
    tries: 5,
    steps: [
      'Two legs on the towel, the third light in the hand; pull from low down and in one line.',
      'Sweep the floor: a grain is a bump. Tape the start and the stop on it.',
    ],
  },
  board: {
    tries: 6,
    steps: [
      'A low stand, knees bent, somebody else pushes; tape the way on the floor.',
      'Sweep the way; no push at the start mark itself.',
    ],
  },
  bicycle: {
    tries: 4,
    steps: [
      'Camera strapped to frame or bar and a second line; let some air out of the tyres.',
      'One holds the saddle and pushes, one watches the picture; nobody rides it.',
    ],
  },
  oneLeg: {
    tries: 3,
    steps: [
      'The leg planted, the hands high on it: it leans slowly and does not travel.',
      'Tape the foot’s place on the floor.',
    ],
  },
  shoulder: {
    tries: 3,
    steps: [
      'Legs folded back over the shoulder as a counterweight; the head’s locks tight.',
      'Walk from the hips, the free hand under the lens.',
    ],
  },
  waist: {
    tries: 4,
    steps: [
      'Two legs hooked at the belt, the third folded; tape two legs to the belt.',
      'Breathe out for the take: the legs go with the breath.',
    ],
  },
  legs: {
    tries: 3,
    steps: ['Legs half spread below the hand: their mass slows the wrist.', 'Locks tight, nothing that swings.'],
  },
};

/** How fast it is drawn or pushed, where it goes anywhere. */
const pace = ({ goneM, movingS, units }: TrickCase) =>
  movingS > 0 && goneM > 0.05
    ? [
        fact(
          'meanMps',
          `${sayLength(goneM, units)} in ${trim(movingS, 1)} s, at a mean of`,
          saySpeed(goneM / movingS, units),
          goneM / movingS,
        ),
      ]
    : [];

/** The numbers of a trick, and what is taped and minded for it; null for a rig that needs none. */
export function trickOf(given: TrickCase): Told | null {
  if (given.rig.way === 'springTape') return springTape(given);
  const simple = SIMPLE[given.rig.way];
  if (simple) return { facts: [...pace(given), tries(simple.tries)], steps: simple.steps };
  switch (given.rig.kind) {
    case 'drop':
      return drop(given);
    case 'hoist':
      return hoist(given);
    case 'rope':
      return swing(given);
    case 'float':
      return float(given);
    default:
      return null;
  }
}

function drop({ sinkM, subjectM, captureRateHz, frameRateHz, units }: TrickCase): Told {
  const heightM = Math.max(0, sinkM);
  const lastsS = fallS(heightM);
  const frames = Math.floor(lastsS * captureRateHz);
  return {
    facts: [
      fact('fallS', `Falls ${sayLength(heightM, units)} in`, `${trim(lastsS, 2)} s`, lastsS),
      fact(
        'frames',
        'Recorded on the way',
        `${frames} frames, ${trim(frames / frameRateHz, 1)} s of film`,
        frames,
        frames >= frameRateHz ? 'fits' : 'tight',
        frames >= frameRateHz
          ? ''
          : 'Less than a second is hard to cut with: record more frames a second, or fall farther.',
      ),
      fact(
        'catchMps',
        'Comes into the catch at',
        saySpeed(Math.sqrt(2 * GRAVITY * heightM), units),
        Math.sqrt(2 * GRAVITY * heightM),
      ),
      ...(subjectM === null
        ? []
        : [
            fact(
              'imageM',
              'What a glass there mirrors',
              `stands as far behind it as before it: the camera itself ${sayLength(2 * subjectM, units)} away`,
              2 * subjectM,
            ),
          ]),
      tries(10),
    ],
    steps: [
      'Set the focus to what the mirror shows, not to its glass; exposure locked.',
      'Fall upright, along two taut strings: lengthwise it turns over.',
      'Line the mirror’s edge in black: the dark frame is where the two films join.',
      'Try net or cushion with something of the same weight first; tape camera, card door and lens ring.',
    ],
  };
}

function hoist({ sinkM, goneM, movingS, massKg, units }: TrickCase): Told {
  const riseM = Math.abs(sinkM);
  return {
    facts: [
      fact('ropeM', 'Rope to walk away with', sayLength(goneM, units), goneM),
      ...(movingS > 0 ? [fact('walkMps', 'At a mean of', saySpeed(goneM / movingS, units), goneM / movingS)] : []),
      ...(massKg === null
        ? []
        : [
            fact(
              'pullN',
              'Pull over one pulley',
              `${trim(massKg * GRAVITY, 0)} N; twice that hangs on its hook`,
              massKg * GRAVITY,
            ),
          ]),
      ...(riseM < 0.05 && goneM > 0.1
        ? [fact('level', 'Only up and down', 'a hoist cannot carry it sideways', null, 'cannot' as const)]
        : []),
      tries(4),
    ],
    steps: [
      'Two lines or a bar to the camera: on one it turns.',
      'A second line to a point of its own; hook, pulley and points judged by a qualified rigger.',
      'Tape a mark on the rope where it starts and where it stops; walk it away, do not pull hand over hand.',
    ],
  };
}

function swing({ rig, goneM, massKg, units }: TrickCase): Told {
  const lengthM = rig.armM;
  const swingDeg = Math.min(90, ((goneM / 2 / Math.max(0.1, lengthM)) * 180) / Math.PI);
  const found = ropeSwing(
    { kind: 'rope', lengthMm: lengthM * 1000, swingDeg, lines: 'two', secondLine: true },
    massKg ?? 1,
  );
  return {
    facts: [
      fact('swingDeg', 'Let go at', `${trim(swingDeg, 0)}° from hanging still`, swingDeg),
      fact('halfS', 'From side to side in', `${trim(found.periodS / 2, 2)} s`, found.periodS / 2),
      fact('speedMaxMps', 'Fastest, at the bottom', saySpeed(found.speedMaxMps, units), found.speedMaxMps),
      ...(massKg === null
        ? []
        : [fact('lowestN', 'Pull on the rope at the bottom', `${trim(found.lowestN, 0)} N`, found.lowestN)]),
      tries(6),
    ],
    steps: [
      'Two ropes and a bar, pan follow off; a second line to a point of its own.',
      'Let it go from the mark without a push; the first swing is the shot, later ones are shorter.',
    ],
  };
}

function float({ massKg, movingS, goneM, units }: TrickCase): Told {
  const areaM2 = (Math.PI * PLATE_M ** 2) / 4;
  const volumeM3 = (massKg ?? 0) / WATER;
  const draughtM = volumeM3 / areaM2;
  // Metacentre above the centre of mass: I/V + half the draught, less how high the weight lies.
  const heightM = (Math.PI * (PLATE_M / 2) ** 4) / 4 / volumeM3 + draughtM / 2 - ABOVE_M - draughtM;
  return {
    facts: [
      ...(massKg === null
        ? []
        : [
            fact(
              'draughtM',
              `On a plate of ${sayLength(PLATE_M, units)} it sinks in by`,
              sayLength(draughtM, units),
              draughtM,
              draughtM < 0.03 ? 'fits' : draughtM < 0.06 ? 'tight' : 'cannot',
              draughtM < 0.03 ? '' : 'A wider plate or a lighter camera.',
            ),
            fact(
              'uprightM',
              'Rights itself',
              heightM > 0.05 ? 'yes, slowly' : heightM > 0 ? 'hardly' : 'no: it turns over',
              heightM,
              heightM > 0.05 ? 'fits' : heightM > 0 ? 'tight' : 'cannot',
            ),
          ]),
      ...(movingS > 0
        ? [fact('meanMps', 'Pulled by its thread at', saySpeed(goneM / movingS, units), goneM / movingS)]
        : []),
      tries(8),
    ],
    steps: [
      'Camera in a bag, a line to the plate and one to the camera; try it with the same weight first.',
      'Pull by a thread from ahead, slower than a ripple runs; wait until the water is still.',
      'Draughts turn it: a second thread astern.',
    ],
  };
}

function springTape({ goneM, movingS, units }: TrickCase): Told {
  // An even pull from rest: s = a t²/2, so that it ends at twice its mean.
  const endMps = movingS > 0 ? (2 * goneM) / movingS : 0;
  return {
    facts: [
      fact('endMps', 'Let go at once it arrives at', saySpeed(endMps, units), endMps),
      fact(
        'halfShare',
        'Half of the way takes',
        `${trim(100 / Math.SQRT2, 0)}% of the time: it gains all the way`,
        0.7,
      ),
      fact('stopM', 'Stops', `at the tape’s end, ${sayLength(goneM, units)} on, with a knock`, goneM),
      tries(6),
    ],
    steps: [
      'Focus and exposure locked where it will stop.',
      'Hold it back with a finger, let it go slowly; cut before the knock, or put a soft stop there.',
      'Tape hook, camera and lens ring.',
    ],
  };
}
