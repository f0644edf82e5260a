import type { Finding } from '../findings/finding';
import type { Kit } from '../model/kit';
import type { Setup } from '../model/shoot';
import { legAt, legsOf, shotDurationS, withLeg, type Shot } from '../model/shot';
import type { Units } from '../model/units';
import { playingOf } from '../motion/playback';
import { sampleShot } from '../motion/shown';
import * as aim from './adjustments/aim-and-focus';
import { aside, foreground } from './adjustments/foreground';
import * as moves from './adjustments/moves';
import type { Adjustment, Rung } from './adjustments/moves';

const SHORTER = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2];
const FARTHER = [1.1, 1.25, 1.4, 1.6, 1.8, 2.2, 2.6, 3];
const NEARER = [0.85, 0.7, 0.6, 0.5, 0.4, 0.3];
const A_LITTLE = [1.1, 0.9, 1.2, 0.8, 1.35, 0.7];
const FURTHER_ALONG = [1.25, 1.5, 2, 2.5, 3, 4];

interface Trouble {
  finding: Finding;
  /** The move in which the trouble lies, as if it were the whole shot. */
  setup: Setup;
  kit: Kit;
  units: Units;
}

/** Alternatives rather than steps of one ladder: each is tried. */
const each = (change: Adjustment): Adjustment[] => change.map((rung) => [rung]);

const tooFast = ({ setup, units }: Trouble): Adjustment[] => [
  moves.longer(setup),
  moves.travel(setup, SHORTER, units),
  moves.distance(setup, FARTHER, units),
  moves.wider(setup),
  moves.higher(setup, units),
  moves.fasterFrames(setup),
  moves.slowMotion(setup),
];
const tooHard =
  (end: 'featherInS' | 'featherOutS') =>
  ({ setup, units }: Trouble): Adjustment[] => [
    moves.softer(setup, end),
    moves.longer(setup).slice(0, 6),
    moves.softerBoth(setup),
    moves.travel(setup, SHORTER.slice(0, 6), units),
    moves.wider(setup),
    moves.slowMotion(setup),
  ];
const inTheWay = ({ setup, kit, units }: Trouble): Adjustment[] => [
  moves.travel(setup, SHORTER, units),
  moves.distance(setup, [...NEARER.slice(0, 2), ...FARTHER.slice(0, 3)], units),
  moves.otherWay(setup),
  aside(setup, units),
  ...each(moves.otherRig(setup, kit)),
];
const tooQuickForTheRig = ({ setup, kit, units }: Trouble): Adjustment[] => [
  moves.longer(setup),
  moves.stick(setup),
  moves.travel(setup, SHORTER, units),
  ...each(moves.otherRig(setup, kit)),
];
const otherRig = ({ setup, kit }: Trouble): Adjustment[] => [...each(moves.otherRig(setup, kit))];

const faceOut = ({ setup, units }: Trouble): Adjustment[] => [
  aim.placeUp(setup, -1),
  moves.distance(setup, FARTHER, units),
  moves.travel(setup, SHORTER, units),
  moves.wider(setup),
  aim.placeUp(setup, 1),
  aim.modes(setup, ['subject']),
];
const inFront = ({ setup, units }: Trouble): Adjustment[] => [
  aside(setup, units),
  moves.higher(setup, units),
  moves.otherWay(setup),
  moves.travel(setup, [...SHORTER.slice(0, 5), ...FURTHER_ALONG.slice(0, 3)], units),
  foreground(setup, 'farther', units),
  moves.lower(setup, units),
  moves.distance(setup, NEARER, units),
];

/** What could cure each kind of finding, most natural first. */
const CURES: Record<string, (trouble: Trouble) => Adjustment[]> = {
  'speed.near': (trouble) => [...tooFast(trouble), foreground(trouble.setup, 'farther', trouble.units)],
  'speed.subject': (trouble) => [aim.modes(trouble.setup, ['subject']), ...tooFast(trouble)],
  'speed.far': tooFast,
  'blur.subject': ({ setup, units }) => [
    moves.longer(setup),
    moves.shutter(setup, [150, 120, 90]),
    moves.travel(setup, SHORTER, units),
    moves.wider(setup),
    aim.modes(setup, ['subject']),
  ],
  'blur.shutter': ({ setup, units }) => [
    moves.shutter(setup, [90, 120, 180]),
    moves.longer(setup),
    moves.travel(setup, SHORTER, units),
  ],
  parallax: ({ setup, units }) => [
    moves.lower(setup, units),
    foreground(setup, 'nearer', units),
    moves.travel(setup, FURTHER_ALONG, units),
    moves.sameFraming(setup, NEARER, units),
    moves.distance(setup, NEARER, units),
  ],
  size: ({ setup, kit, units }) => [
    moves.longer(setup),
    moves.travel(setup, SHORTER, units),
    moves.distance(setup, FARTHER, units),
    ...each(moves.otherLens(setup, kit.lenses)),
  ],
  place: ({ setup, units }) => [
    aim.modes(setup, ['subject']),
    aim.tighterHead(setup),
    moves.longer(setup),
    moves.travel(setup, SHORTER, units),
  ],
  cutoff: ({ setup, units }) => [
    ...each(aim.turnedToSubject(setup)),
    aim.modes(setup, ['subject']),
    moves.distance(setup, FARTHER, units),
    moves.wider(setup),
    aim.placeUp(setup, -1),
    aim.placeInMiddle(setup),
    moves.travel(setup, SHORTER, units),
  ],
  'opening.face': faceOut,
  'closing.face': faceOut,
  'opening.covered': inFront,
  'closing.covered': inFront,
  covered: ({ setup, units }) => [
    moves.higher(setup, units),
    moves.otherWay(setup),
    moves.travel(setup, FURTHER_ALONG, units),
    aside(setup, units),
    foreground(setup, 'farther', units),
    moves.lower(setup, units),
    moves.distance(setup, NEARER, units),
  ],
  reveal: ({ setup, units }) => [
    ...each(moves.fromElsewhere(setup)),
    moves.travel(setup, FURTHER_ALONG, units),
    moves.softer(setup, 'featherInS').slice(0, 3),
    moves.quicker(setup),
    moves.otherWay(setup),
    foreground(setup, 'nearer', units),
    moves.lower(setup, units),
  ],
  empty: ({ setup }) => [...each(aim.turnedToSubject(setup)), aim.modes(setup, ['subject'])],
  start: tooHard('featherInS'),
  join: tooHard('featherInS'),
  stop: tooHard('featherOutS'),
  'even.picture': ({ setup, units }) => [
    aim.tighterHead(setup),
    moves.softerBoth(setup),
    moves.longer(setup),
    moves.distance(setup, FARTHER, units),
  ],
  'even.rig': ({ setup }) => [moves.softerBoth(setup), moves.longer(setup)],
  'turn.even': ({ setup, units }) => [moves.centred(setup), moves.distance(setup, FARTHER, units)],
  'turn.centre': ({ setup, units }) => [moves.centred(setup), moves.distance(setup, FARTHER, units)],
  shake: ({ setup, kit, units }) => [
    moves.gentlerGait(setup, kit.gaits),
    ...each(moves.otherRig(setup, kit)),
    moves.slowMotion(setup),
    moves.distance(setup, FARTHER, units),
    moves.wider(setup),
  ],
  skew: ({ setup, kit, units }) => [
    moves.longer(setup),
    moves.travel(setup, SHORTER, units),
    moves.wider(setup),
    ...each(moves.otherCamera(setup, kit.cameras)),
  ],
  headRoom: ({ setup, finding, units }) => {
    const sign = finding.limit === setup.limits.headRoomLeast ? -1 : 1;
    return [
      aim.placeUp(setup, sign),
      sign < 0 ? moves.distance(setup, FARTHER, units) : moves.distance(setup, NEARER, units),
      sign < 0 ? moves.wider(setup) : moves.longerLens(setup),
    ];
  },
  lookRoom: ({ setup }) => [
    aim.placeInMiddle(setup),
    aim.placeAcross(setup, 1),
    aim.placeAcross(setup, -1),
    moves.wider(setup),
  ],
  joints: ({ setup, units }) => [
    ...each(moves.distance(setup, A_LITTLE, units)),
    moves.longerLens(setup),
    moves.wider(setup),
    aim.placeUp(setup, 1),
    aim.placeUp(setup, -1),
  ],
  alsoShape: ({ setup, units }) => [
    aim.placeInMiddle(setup),
    aim.placeAcross(setup, 1),
    aim.placeAcross(setup, -1),
    moves.wider(setup),
    moves.distance(setup, FARTHER, units),
    aim.modes(setup, ['subject']),
  ],
  horizon: ({ setup, kit }) => [
    ...each(aim.modes(setup, ['panTiltFollow', 'subject'])),
    moves.gentlerGait(setup, kit.gaits),
    ...each(moves.otherRig(setup, kit)),
  ],
  'focus.sharp': ({ setup, units }) => [
    aim.focusFollows(setup),
    aim.stopDown(setup),
    ...focusOnTheWay(setup, units),
    moves.wider(setup),
  ],
  'focus.rack': ({ setup }) => [
    aim.longerRacks(setup),
    moves.longer(setup),
    moves.softerBoth(setup),
    aim.otherPuller(setup),
  ],
  'focus.pull': ({ setup, units }) => [
    aim.oneFocus(setup, ...subjectFromTo(setup), units),
    moves.longer(setup),
    moves.softerBoth(setup),
    moves.distance(setup, FARTHER, units),
    aim.otherPuller(setup),
  ],
  'zoom.range': ({ setup, kit, units }) => [
    moves.travel(setup, SHORTER, units),
    ...each(moves.otherLens(setup, kit.lenses)),
    ...each(moves.distance(setup, [...NEARER, ...FARTHER], units)),
  ],
  'zoom.rate': ({ setup, units }) => [
    moves.longer(setup),
    moves.travel(setup, SHORTER, units),
    moves.softerBoth(setup),
  ],
  'zoom.background': ({ setup, units }) => [moves.travel(setup, FURTHER_ALONG, units)],
  'rig.travel': ({ setup, finding, kit, units }) => [
    finding.limit > 0
      ? moves.travel(setup, [(finding.limit / finding.value) * setup.limits.tightShare * 0.99], units)
      : [],
    ...each(moves.otherRig(setup, kit)),
  ],
  'rig.height': ({ setup, finding, kit, units }) => [
    moves.atHeight(
      setup,
      (finding.grade === 'tight' ? setup.limits.tightShare * 0.98 : 1) * finding.limit - finding.value,
      units,
    ),
    ...each(moves.otherRig(setup, kit)),
  ],
  'rig.held': ({ setup, finding, kit, units }) => [
    moves.atHeight(setup, finding.limit - finding.value, units),
    ...each(moves.otherRig(setup, kit)),
  ],
  'rig.speed': tooQuickForTheRig,
  'rig.pan': tooQuickForTheRig,
  'rig.climb': tooQuickForTheRig,
  'rig.tiltRate': tooQuickForTheRig,
  'rig.acceleration': ({ setup, kit }) => [
    moves.softer(setup, 'featherInS'),
    moves.softer(setup, 'featherOutS'),
    moves.longer(setup),
    ...each(moves.otherRig(setup, kit)),
  ],
  'rig.bank': ({ setup, units }) => [moves.longer(setup), moves.distance(setup, FARTHER, units)],
  'rig.subject': inTheWay,
  'rig.clear': inTheWay,
  'rig.way': inTheWay,
  'rig.armClear': inTheWay,
  'rig.step': inTheWay,
  'rig.slope': inTheWay,
  'rig.arm': otherRig,
  'rig.turntable': otherRig,
  'rig.rope': otherRig,
  'rig.roll': otherRig,
  'rig.reach': ({ setup, kit, units }) => [
    moves.walkIt(setup, kit.gaits),
    moves.travel(setup, SHORTER, units),
    ...each(moves.otherRig(setup, kit)),
  ],
  'rig.tilt': otherRig,
  stagger: ({ setup }) => [moves.slowMotion(setup), moves.noSlower(setup), moves.evenSteps(setup)],
  ramp: ({ setup }) => [moves.gentlerRamp(setup)],
  'rig.frames': ({ setup, kit }) => [moves.fewerFrames(setup), ...each(moves.anyCamera(setup, kit.cameras))],
  'rig.buffer': ({ setup }) => [moves.shorter(setup), moves.fewerFrames(setup)],
  'rig.lens': ({ setup, kit }) => [moves.insideLens(setup), ...each(moves.otherLens(setup, kit.lenses))],
  'rig.focus': ({ setup, kit, units }) => [
    moves.distance(setup, FARTHER, units),
    ...each(moves.otherLens(setup, kit.lenses)),
  ],
};

/** Nearest and farthest that the subject comes, m. */
function subjectFromTo(setup: Setup): [number, number] {
  const { subjectDistanceM } = sampleShot(setup);
  return [
    subjectDistanceM.reduce((a, b) => Math.min(a, b), Infinity),
    subjectDistanceM.reduce((a, b) => Math.max(a, b), 0),
  ];
}

function focusOnTheWay(setup: Setup, units: Units): Adjustment[] {
  const between = aim.focusBetween(setup, ...subjectFromTo(setup), units);
  // Where the middle alone is not enough, with a deeper stop as well.
  const deeper = between.flatMap((rung) =>
    aim.stopDown({ ...setup, shot: rung.shot }).map((next) => ({
      ...next,
      instruction: `${rung.instruction} and ${next.instruction.charAt(0).toLowerCase()}${next.instruction.slice(1)}`,
    })),
  );
  return [between, deeper];
}

/**
 * What could cure a finding, most natural first; of a chain, the move is changed in which the trouble lies. Empty when
 * nothing but another idea helps.
 */
export function adjustmentsFor(finding: Finding, setup: Setup, kit: Kit, units: Units): Adjustment[] {
  const { shot } = setup;
  const index =
    finding.id === 'start'
      ? 0
      : finding.id === 'stop'
        ? shot.then.length
        : legAt(shot, playingOf(shot, shotDurationS(shot)).actionAt(finding.screenS));
  const { move, timing } = legsOf(shot)[index];
  const changes =
    CURES[finding.id]?.({ finding, setup: { ...setup, shot: { ...shot, move, timing } }, kit, units }) ?? [];
  const back = (changed: Shot): Shot =>
    withLeg({ ...changed, move: shot.move, timing: shot.timing }, index, (leg) => ({
      ...leg,
      move: changed.move,
      timing: changed.timing,
    }));
  // Of a chain it is said which move is meant, where it is one.
  const said = ({ shot: changed, instruction }: Rung) =>
    shot.then.length === 0 || (changed.move === move && changed.timing === timing)
      ? instruction
      : `In move ${index + 1}: ${instruction.charAt(0).toLowerCase()}${instruction.slice(1)}`;
  return changes
    .filter((change) => change.length > 0)
    .map((change) => change.map((rung) => ({ ...rung, instruction: said(rung), shot: back(rung.shot) })));
}
