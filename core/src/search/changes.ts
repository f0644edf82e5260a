import type { Finding } from '../model/finding';
import type { Kit } from '../model/kit';
import type { Setup } from '../model/shoot';
import { legAt, legsOf, shotDurationS, withLeg, type Shot } from '../model/shot';
import type { Units } from '../model/units';
import { playingOf } from '../motion/playback';
import { sampleShot } from '../motion/shown';
import * as aim from './aim-levers';
import { aside, foreground } from './foreground';
import * as lever from './levers';
import type { Change, Rung } from './levers';

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
const each = (change: Change): Change[] => change.map((rung) => [rung]);

const tooFast = ({ setup, units }: Trouble): Change[] => [
  lever.longer(setup),
  lever.travel(setup, SHORTER, units),
  lever.distance(setup, FARTHER, units),
  lever.wider(setup),
  lever.higher(setup, units),
  lever.fasterFrames(setup),
  lever.slowMotion(setup),
];
const tooHard =
  (end: 'featherInS' | 'featherOutS') =>
  ({ setup, units }: Trouble): Change[] => [
    lever.softer(setup, end),
    lever.longer(setup).slice(0, 6),
    lever.softerBoth(setup),
    lever.travel(setup, SHORTER.slice(0, 6), units),
    lever.wider(setup),
    lever.slowMotion(setup),
  ];
const inTheWay = ({ setup, kit, units }: Trouble): Change[] => [
  lever.travel(setup, SHORTER, units),
  lever.distance(setup, [...NEARER.slice(0, 2), ...FARTHER.slice(0, 3)], units),
  lever.otherWay(setup),
  aside(setup, units),
  ...each(lever.otherRig(setup, kit)),
];
const tooQuickForTheRig = ({ setup, kit, units }: Trouble): Change[] => [
  lever.longer(setup),
  lever.stick(setup),
  lever.travel(setup, SHORTER, units),
  ...each(lever.otherRig(setup, kit)),
];
const otherRig = ({ setup, kit }: Trouble): Change[] => [...each(lever.otherRig(setup, kit))];

const faceOut = ({ setup, units }: Trouble): Change[] => [
  aim.placeUp(setup, -1),
  lever.distance(setup, FARTHER, units),
  lever.travel(setup, SHORTER, units),
  lever.wider(setup),
  aim.placeUp(setup, 1),
  aim.modes(setup, ['subject']),
];
const inFront = ({ setup, units }: Trouble): Change[] => [
  aside(setup, units),
  lever.higher(setup, units),
  lever.otherWay(setup),
  lever.travel(setup, [...SHORTER.slice(0, 5), ...FURTHER_ALONG.slice(0, 3)], units),
  foreground(setup, 'farther', units),
  lever.lower(setup, units),
  lever.distance(setup, NEARER, units),
];

/** What could cure each kind of finding, most natural first. */
const CURES: Record<string, (trouble: Trouble) => Change[]> = {
  'speed.near': (trouble) => [...tooFast(trouble), foreground(trouble.setup, 'farther', trouble.units)],
  'speed.subject': (trouble) => [aim.modes(trouble.setup, ['subject']), ...tooFast(trouble)],
  'speed.far': tooFast,
  'blur.subject': ({ setup, units }) => [
    lever.longer(setup),
    lever.shutter(setup, [150, 120, 90]),
    lever.travel(setup, SHORTER, units),
    lever.wider(setup),
    aim.modes(setup, ['subject']),
  ],
  'blur.shutter': ({ setup, units }) => [
    lever.shutter(setup, [90, 120, 180]),
    lever.longer(setup),
    lever.travel(setup, SHORTER, units),
  ],
  parallax: ({ setup, units }) => [
    lever.lower(setup, units),
    foreground(setup, 'nearer', units),
    lever.travel(setup, FURTHER_ALONG, units),
    lever.sameFraming(setup, NEARER, units),
    lever.distance(setup, NEARER, units),
  ],
  size: ({ setup, kit, units }) => [
    lever.longer(setup),
    lever.travel(setup, SHORTER, units),
    lever.distance(setup, FARTHER, units),
    ...each(lever.otherLens(setup, kit.lenses)),
  ],
  place: ({ setup, units }) => [
    aim.modes(setup, ['subject']),
    aim.tighterHead(setup),
    lever.longer(setup),
    lever.travel(setup, SHORTER, units),
  ],
  cutoff: ({ setup, units }) => [
    ...each(aim.turnedToSubject(setup)),
    aim.modes(setup, ['subject']),
    lever.distance(setup, FARTHER, units),
    lever.wider(setup),
    aim.placeUp(setup, -1),
    aim.placeInMiddle(setup),
    lever.travel(setup, SHORTER, units),
  ],
  'opening.face': faceOut,
  'closing.face': faceOut,
  'opening.covered': inFront,
  'closing.covered': inFront,
  covered: ({ setup, units }) => [
    lever.higher(setup, units),
    lever.otherWay(setup),
    lever.travel(setup, FURTHER_ALONG, units),
    aside(setup, units),
    foreground(setup, 'farther', units),
    lever.lower(setup, units),
    lever.distance(setup, NEARER, units),
  ],
  reveal: ({ setup, units }) => [
    ...each(lever.fromElsewhere(setup)),
    lever.travel(setup, FURTHER_ALONG, units),
    lever.softer(setup, 'featherInS').slice(0, 3),
    lever.quicker(setup),
    lever.otherWay(setup),
    foreground(setup, 'nearer', units),
    lever.lower(setup, units),
  ],
  empty: ({ setup }) => [...each(aim.turnedToSubject(setup)), aim.modes(setup, ['subject'])],
  start: tooHard('featherInS'),
  join: tooHard('featherInS'),
  stop: tooHard('featherOutS'),
  'even.picture': ({ setup, units }) => [
    aim.tighterHead(setup),
    lever.softerBoth(setup),
    lever.longer(setup),
    lever.distance(setup, FARTHER, units),
  ],
  'even.rig': ({ setup }) => [lever.softerBoth(setup), lever.longer(setup)],
  'turn.even': ({ setup, units }) => [lever.centred(setup), lever.distance(setup, FARTHER, units)],
  'turn.centre': ({ setup, units }) => [lever.centred(setup), lever.distance(setup, FARTHER, units)],
  wobble: ({ setup, kit, units }) => [
    lever.gentlerGait(setup, kit.gaits),
    ...each(lever.otherRig(setup, kit)),
    lever.slowMotion(setup),
    lever.distance(setup, FARTHER, units),
    lever.wider(setup),
  ],
  lean: ({ setup, kit, units }) => [
    lever.longer(setup),
    lever.travel(setup, SHORTER, units),
    lever.wider(setup),
    ...each(lever.otherCamera(setup, kit.cameras)),
  ],
  headRoom: ({ setup, finding, units }) => {
    const sign = finding.limit === setup.limits.headRoomLeast ? -1 : 1;
    return [
      aim.placeUp(setup, sign),
      sign < 0 ? lever.distance(setup, FARTHER, units) : lever.distance(setup, NEARER, units),
      sign < 0 ? lever.wider(setup) : lever.longerLens(setup),
    ];
  },
  lookRoom: ({ setup }) => [
    aim.placeInMiddle(setup),
    aim.placeAcross(setup, 1),
    aim.placeAcross(setup, -1),
    lever.wider(setup),
  ],
  joints: ({ setup, units }) => [
    ...each(lever.distance(setup, A_LITTLE, units)),
    lever.longerLens(setup),
    lever.wider(setup),
    aim.placeUp(setup, 1),
    aim.placeUp(setup, -1),
  ],
  alsoShape: ({ setup, units }) => [
    aim.placeInMiddle(setup),
    aim.placeAcross(setup, 1),
    aim.placeAcross(setup, -1),
    lever.wider(setup),
    lever.distance(setup, FARTHER, units),
    aim.modes(setup, ['subject']),
  ],
  horizon: ({ setup, kit }) => [
    ...each(aim.modes(setup, ['panTiltFollow', 'subject'])),
    lever.gentlerGait(setup, kit.gaits),
    ...each(lever.otherRig(setup, kit)),
  ],
  'focus.sharp': ({ setup, units }) => [
    aim.focusFollows(setup),
    aim.stopDown(setup),
    ...focusOnTheWay(setup, units),
    lever.wider(setup),
  ],
  'focus.rack': ({ setup }) => [
    aim.longerRacks(setup),
    lever.longer(setup),
    lever.softerBoth(setup),
    aim.otherPuller(setup),
  ],
  'focus.pull': ({ setup, units }) => [
    aim.oneFocus(setup, ...subjectFromTo(setup), units),
    lever.longer(setup),
    lever.softerBoth(setup),
    lever.distance(setup, FARTHER, units),
    aim.otherPuller(setup),
  ],
  'zoom.range': ({ setup, kit, units }) => [
    lever.travel(setup, SHORTER, units),
    ...each(lever.otherLens(setup, kit.lenses)),
    ...each(lever.distance(setup, [...NEARER, ...FARTHER], units)),
  ],
  'zoom.rate': ({ setup, units }) => [
    lever.longer(setup),
    lever.travel(setup, SHORTER, units),
    lever.softerBoth(setup),
  ],
  'zoom.background': ({ setup, units }) => [lever.travel(setup, FURTHER_ALONG, units)],
  'rig.travel': ({ setup, finding, kit, units }) => [
    finding.limit > 0
      ? lever.travel(setup, [(finding.limit / finding.value) * setup.limits.tightShare * 0.99], units)
      : [],
    ...each(lever.otherRig(setup, kit)),
  ],
  'rig.height': ({ setup, finding, kit, units }) => [
    lever.atHeight(
      setup,
      (finding.grade === 'tight' ? setup.limits.tightShare * 0.98 : 1) * finding.limit - finding.value,
      units,
    ),
    ...each(lever.otherRig(setup, kit)),
  ],
  'rig.held': ({ setup, finding, kit, units }) => [
    lever.atHeight(setup, finding.limit - finding.value, units),
    ...each(lever.otherRig(setup, kit)),
  ],
  'rig.speed': tooQuickForTheRig,
  'rig.pan': tooQuickForTheRig,
  'rig.climb': tooQuickForTheRig,
  'rig.tiltRate': tooQuickForTheRig,
  'rig.acceleration': ({ setup, kit }) => [
    lever.softer(setup, 'featherInS'),
    lever.softer(setup, 'featherOutS'),
    lever.longer(setup),
    ...each(lever.otherRig(setup, kit)),
  ],
  'rig.bank': ({ setup, units }) => [lever.longer(setup), lever.distance(setup, FARTHER, units)],
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
    lever.walkIt(setup, kit.gaits),
    lever.travel(setup, SHORTER, units),
    ...each(lever.otherRig(setup, kit)),
  ],
  'rig.tilt': otherRig,
  stagger: ({ setup }) => [lever.slowMotion(setup), lever.noSlower(setup), lever.evenSteps(setup)],
  ramp: ({ setup }) => [lever.gentlerRamp(setup)],
  'rig.frames': ({ setup, kit }) => [lever.fewerFrames(setup), ...each(lever.anyCamera(setup, kit.cameras))],
  'rig.buffer': ({ setup }) => [lever.shorter(setup), lever.fewerFrames(setup)],
  'rig.lens': ({ setup, kit }) => [lever.insideLens(setup), ...each(lever.otherLens(setup, kit.lenses))],
  'rig.focus': ({ setup, kit, units }) => [
    lever.distance(setup, FARTHER, units),
    ...each(lever.otherLens(setup, kit.lenses)),
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

function focusOnTheWay(setup: Setup, units: Units): Change[] {
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
export function changesFor(finding: Finding, setup: Setup, kit: Kit, units: Units): Change[] {
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
