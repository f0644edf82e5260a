import type { Finding } from '../findings/finding';
import type { Kit } from '../model/kit';
import { sceneFrom, type Scene } from '../scene/scene';
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
  scene: Scene;
  kit: Kit;
  units: Units;
}

/** Alternatives rather than steps of one ladder: each is tried. */
const each = (change: Adjustment): Adjustment[] => change.map((rung) => [rung]);

const tooFast = ({ scene, units }: Trouble): Adjustment[] => [
  moves.longer(scene),
  moves.travel(scene, SHORTER, units),
  moves.distance(scene, FARTHER, units),
  moves.wider(scene),
  moves.higher(scene, units),
  moves.fasterFrames(scene),
  moves.slowMotion(scene),
];
const tooHard =
  (end: 'featherInS' | 'featherOutS') =>
  ({ scene, units }: Trouble): Adjustment[] => [
    moves.softer(scene, end),
    moves.longer(scene).slice(0, 6),
    moves.softerBoth(scene),
    moves.travel(scene, SHORTER.slice(0, 6), units),
    moves.wider(scene),
    moves.slowMotion(scene),
  ];
const inTheWay = ({ scene, kit, units }: Trouble): Adjustment[] => [
  moves.travel(scene, SHORTER, units),
  moves.distance(scene, [...NEARER.slice(0, 2), ...FARTHER.slice(0, 3)], units),
  moves.otherWay(scene),
  aside(scene, units),
  ...each(moves.otherRig(scene, kit)),
];
const tooQuickForTheRig = ({ scene, kit, units }: Trouble): Adjustment[] => [
  moves.longer(scene),
  moves.stick(scene),
  moves.travel(scene, SHORTER, units),
  ...each(moves.otherRig(scene, kit)),
];
const otherRig = ({ scene, kit }: Trouble): Adjustment[] => [...each(moves.otherRig(scene, kit))];

const faceOut = ({ scene, units }: Trouble): Adjustment[] => [
  aim.placeUp(scene, -1),
  moves.distance(scene, FARTHER, units),
  moves.travel(scene, SHORTER, units),
  moves.wider(scene),
  aim.placeUp(scene, 1),
  aim.modes(scene, ['subject']),
];
const inFront = ({ scene, units }: Trouble): Adjustment[] => [
  aside(scene, units),
  moves.higher(scene, units),
  moves.otherWay(scene),
  moves.travel(scene, [...SHORTER.slice(0, 5), ...FURTHER_ALONG.slice(0, 3)], units),
  foreground(scene, 'farther', units),
  moves.lower(scene, units),
  moves.distance(scene, NEARER, units),
];

/** What could cure each kind of finding, most natural first. */
const CURES: Record<string, (trouble: Trouble) => Adjustment[]> = {
  'speed.near': (trouble) => [...tooFast(trouble), foreground(trouble.scene, 'farther', trouble.units)],
  'speed.subject': (trouble) => [aim.modes(trouble.scene, ['subject']), ...tooFast(trouble)],
  'speed.far': tooFast,
  'blur.subject': ({ scene, units }) => [
    moves.longer(scene),
    moves.shutter(scene, [150, 120, 90]),
    moves.travel(scene, SHORTER, units),
    moves.wider(scene),
    aim.modes(scene, ['subject']),
  ],
  'blur.shutter': ({ scene, units }) => [
    moves.shutter(scene, [90, 120, 180]),
    moves.longer(scene),
    moves.travel(scene, SHORTER, units),
  ],
  parallax: ({ scene, units }) => [
    moves.lower(scene, units),
    foreground(scene, 'nearer', units),
    moves.travel(scene, FURTHER_ALONG, units),
    moves.sameFraming(scene, NEARER, units),
    moves.distance(scene, NEARER, units),
  ],
  size: ({ scene, kit, units }) => [
    moves.longer(scene),
    moves.travel(scene, SHORTER, units),
    moves.distance(scene, FARTHER, units),
    ...each(moves.otherLens(scene, kit.lenses)),
  ],
  place: ({ scene, units }) => [
    aim.modes(scene, ['subject']),
    aim.tighterHead(scene),
    moves.longer(scene),
    moves.travel(scene, SHORTER, units),
  ],
  cutoff: ({ scene, units }) => [
    ...each(aim.turnedToSubject(scene)),
    aim.modes(scene, ['subject']),
    moves.distance(scene, FARTHER, units),
    moves.wider(scene),
    aim.placeUp(scene, -1),
    aim.placeInMiddle(scene),
    moves.travel(scene, SHORTER, units),
  ],
  'opening.face': faceOut,
  'closing.face': faceOut,
  'opening.covered': inFront,
  'closing.covered': inFront,
  covered: ({ scene, units }) => [
    moves.higher(scene, units),
    moves.otherWay(scene),
    moves.travel(scene, FURTHER_ALONG, units),
    aside(scene, units),
    foreground(scene, 'farther', units),
    moves.lower(scene, units),
    moves.distance(scene, NEARER, units),
  ],
  reveal: ({ scene, units }) => [
    ...each(moves.fromElsewhere(scene)),
    moves.travel(scene, FURTHER_ALONG, units),
    moves.softer(scene, 'featherInS').slice(0, 3),
    moves.quicker(scene),
    moves.otherWay(scene),
    foreground(scene, 'nearer', units),
    moves.lower(scene, units),
  ],
  empty: ({ scene }) => [...each(aim.turnedToSubject(scene)), aim.modes(scene, ['subject'])],
  start: tooHard('featherInS'),
  join: tooHard('featherInS'),
  stop: tooHard('featherOutS'),
  'even.picture': ({ scene, units }) => [
    aim.tighterHead(scene),
    moves.softerBoth(scene),
    moves.longer(scene),
    moves.distance(scene, FARTHER, units),
  ],
  'even.rig': ({ scene }) => [moves.softerBoth(scene), moves.longer(scene)],
  'turn.even': ({ scene, units }) => [moves.centred(scene), moves.distance(scene, FARTHER, units)],
  'turn.centre': ({ scene, units }) => [moves.centred(scene), moves.distance(scene, FARTHER, units)],
  shake: ({ scene, kit, units }) => [
    moves.gentlerGait(scene, kit.gaits),
    ...each(moves.otherRig(scene, kit)),
    moves.slowMotion(scene),
    moves.distance(scene, FARTHER, units),
    moves.wider(scene),
  ],
  skew: ({ scene, kit, units }) => [
    moves.longer(scene),
    moves.travel(scene, SHORTER, units),
    moves.wider(scene),
    ...each(moves.otherCamera(scene, kit.cameras)),
  ],
  headRoom: ({ scene, finding, units }) => {
    const sign = finding.limit === scene.limits.headRoomLeast ? -1 : 1;
    return [
      aim.placeUp(scene, sign),
      sign < 0 ? moves.distance(scene, FARTHER, units) : moves.distance(scene, NEARER, units),
      sign < 0 ? moves.wider(scene) : moves.longerLens(scene),
    ];
  },
  lookRoom: ({ scene }) => [
    aim.placeInMiddle(scene),
    aim.placeAcross(scene, 1),
    aim.placeAcross(scene, -1),
    moves.wider(scene),
  ],
  joints: ({ scene, units }) => [
    ...each(moves.distance(scene, A_LITTLE, units)),
    moves.longerLens(scene),
    moves.wider(scene),
    aim.placeUp(scene, 1),
    aim.placeUp(scene, -1),
  ],
  alsoShape: ({ scene, units }) => [
    aim.placeInMiddle(scene),
    aim.placeAcross(scene, 1),
    aim.placeAcross(scene, -1),
    moves.wider(scene),
    moves.distance(scene, FARTHER, units),
    aim.modes(scene, ['subject']),
  ],
  horizon: ({ scene, kit }) => [
    ...each(aim.modes(scene, ['panTiltFollow', 'subject'])),
    moves.gentlerGait(scene, kit.gaits),
    ...each(moves.otherRig(scene, kit)),
  ],
  'focus.sharp': ({ scene, units }) => [
    aim.focusFollows(scene),
    aim.stopDown(scene),
    ...focusOnTheWay(scene, units),
    moves.wider(scene),
  ],
  'focus.rack': ({ scene }) => [
    aim.longerRacks(scene),
    moves.longer(scene),
    moves.softerBoth(scene),
    aim.otherPuller(scene),
  ],
  'focus.pull': ({ scene, units }) => [
    aim.oneFocus(scene, ...subjectFromTo(scene), units),
    moves.longer(scene),
    moves.softerBoth(scene),
    moves.distance(scene, FARTHER, units),
    aim.otherPuller(scene),
  ],
  'zoom.range': ({ scene, kit, units }) => [
    moves.travel(scene, SHORTER, units),
    ...each(moves.otherLens(scene, kit.lenses)),
    ...each(moves.distance(scene, [...NEARER, ...FARTHER], units)),
  ],
  'zoom.rate': ({ scene, units }) => [
    moves.longer(scene),
    moves.travel(scene, SHORTER, units),
    moves.softerBoth(scene),
  ],
  'zoom.background': ({ scene, units }) => [moves.travel(scene, FURTHER_ALONG, units)],
  'rig.travel': ({ scene, finding, kit, units }) => [
    finding.limit > 0
      ? moves.travel(scene, [(finding.limit / finding.value) * scene.limits.tightShare * 0.99], units)
      : [],
    ...each(moves.otherRig(scene, kit)),
  ],
  'rig.height': ({ scene, finding, kit, units }) => [
    moves.atHeight(
      scene,
      (finding.grade === 'tight' ? scene.limits.tightShare * 0.98 : 1) * finding.limit - finding.value,
      units,
    ),
    ...each(moves.otherRig(scene, kit)),
  ],
  'rig.held': ({ scene, finding, kit, units }) => [
    moves.atHeight(scene, finding.limit - finding.value, units),
    ...each(moves.otherRig(scene, kit)),
  ],
  'rig.speed': tooQuickForTheRig,
  'rig.pan': tooQuickForTheRig,
  'rig.climb': tooQuickForTheRig,
  'rig.tiltRate': tooQuickForTheRig,
  'rig.acceleration': ({ scene, kit }) => [
    moves.softer(scene, 'featherInS'),
    moves.softer(scene, 'featherOutS'),
    moves.longer(scene),
    ...each(moves.otherRig(scene, kit)),
  ],
  'rig.bank': ({ scene, units }) => [moves.longer(scene), moves.distance(scene, FARTHER, units)],
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
  'rig.reach': ({ scene, kit, units }) => [
    moves.walkIt(scene, kit.gaits),
    moves.travel(scene, SHORTER, units),
    ...each(moves.otherRig(scene, kit)),
  ],
  'rig.tilt': otherRig,
  stagger: ({ scene }) => [moves.slowMotion(scene), moves.noSlower(scene), moves.evenSteps(scene)],
  ramp: ({ scene }) => [moves.gentlerRamp(scene)],
  'rig.frames': ({ scene, kit }) => [moves.fewerFrames(scene), ...each(moves.anyCamera(scene, kit.cameras))],
  'rig.buffer': ({ scene }) => [moves.shorter(scene), moves.fewerFrames(scene)],
  'rig.lens': ({ scene, kit }) => [moves.insideLens(scene), ...each(moves.otherLens(scene, kit.lenses))],
  'rig.focus': ({ scene, kit, units }) => [
    moves.distance(scene, FARTHER, units),
    ...each(moves.otherLens(scene, kit.lenses)),
  ],
};

/** Nearest and farthest that the subject comes, m. */
function subjectFromTo(scene: Scene): [number, number] {
  const { subjectDistanceM } = sampleShot(scene);
  return [
    subjectDistanceM.reduce((a, b) => Math.min(a, b), Infinity),
    subjectDistanceM.reduce((a, b) => Math.max(a, b), 0),
  ];
}

function focusOnTheWay(scene: Scene, units: Units): Adjustment[] {
  const between = aim.focusBetween(scene, ...subjectFromTo(scene), units);
  // Where the middle alone is not enough, with a deeper stop as well.
  const deeper = between.flatMap((rung) =>
    aim.stopDown(sceneFrom({ ...scene, shot: rung.shot })).map((next) => ({
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
export function adjustmentsFor(finding: Finding, scene: Scene, kit: Kit, units: Units): Adjustment[] {
  const { shot } = scene;
  const index =
    finding.id === 'start'
      ? 0
      : finding.id === 'stop'
        ? shot.then.length
        : legAt(shot, playingOf(shot, shotDurationS(shot)).actionAt(finding.screenS));
  const { move, timing } = legsOf(shot)[index];
  const changes =
    CURES[finding.id]?.({ finding, scene: sceneFrom({ ...scene, shot: { ...shot, move, timing } }), kit, units }) ?? [];
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
