import type { CureIdea, Finding } from '../../findings';
import type { Kit, Units } from '../../model';
import { sampleShot } from '../../motion';
import { sceneFrom, type Scene } from '../../scene';
import type { Adjustment } from './adjustment';
import * as aim from './aim-and-focus';
import { aside, foreground } from './foreground';
import * as kit from './kit';
import * as time from './time';
import * as way from './way';

/** What a cure is looked for against: the finding, and the move in which it lies as if it were the whole shot. */
export interface Trouble {
  finding: Finding;
  scene: Scene;
  kit: Kit;
  units: Units;
}

const SHORTER = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2];
const FARTHER = [1.1, 1.25, 1.4, 1.6, 1.8, 2.2, 2.6, 3];
const NEARER = [0.85, 0.7, 0.6, 0.5, 0.4, 0.3];
const A_LITTLE = [1.1, 0.9, 1.2, 0.8, 1.35, 0.7];
const FURTHER_ALONG = [1.25, 1.5, 2, 2.5, 3, 4];

/** Alternatives rather than steps of one ladder: each is tried. */
const each = (adjustment: Adjustment): Adjustment[] => adjustment.map((rung) => [rung]);

/** Head room is short at its least and too much at its most: which way to mend it. */
const tooLittleAir = ({ finding, scene }: Trouble) => finding.limit === scene.limits.headRoomLeast;

/** What each idea of a cure tries: ladders of changed shots, gentlest first. */
export const ADJUSTMENTS: Record<CureIdea, (trouble: Trouble) => Adjustment[]> = {
  takeLonger: ({ scene }) => [time.longer(scene)],
  takeALittleLonger: ({ scene }) => [time.longer(scene).slice(0, 6)],
  takeLess: ({ scene }) => [time.shorter(scene)],
  goQuicker: ({ scene }) => [time.quicker(scene)],
  softerStart: ({ scene }) => [time.softer(scene, 'featherInS')],
  slightlySofterStart: ({ scene }) => [time.softer(scene, 'featherInS').slice(0, 3)],
  softerStop: ({ scene }) => [time.softer(scene, 'featherOutS')],
  softerBoth: ({ scene }) => [time.softerBoth(scene)],
  fasterFrames: ({ scene }) => [time.fasterFrames(scene)],
  fewerFrames: ({ scene }) => [time.fewerFrames(scene)],
  slowMotion: ({ scene }) => [time.slowMotion(scene)],
  noSlower: ({ scene }) => [time.noSlower(scene)],
  evenSteps: ({ scene }) => [time.evenSteps(scene)],
  gentlerRamp: ({ scene }) => [time.gentlerRamp(scene)],

  travelLess: ({ scene, units }) => [way.travel(scene, SHORTER, units)],
  travelSomewhatLess: ({ scene, units }) => [way.travel(scene, SHORTER.slice(0, 6), units)],
  travelMore: ({ scene, units }) => [way.travel(scene, FURTHER_ALONG, units)],
  travelLessOrMore: ({ scene, units }) => [
    way.travel(scene, [...SHORTER.slice(0, 5), ...FURTHER_ALONG.slice(0, 3)], units),
  ],
  travelAsFarAsItReaches: ({ scene, finding: { value, limit }, units }) => [
    limit > 0 ? way.travel(scene, [(limit / value) * scene.limits.tightShare * 0.99], units) : [],
  ],
  standFarther: ({ scene, units }) => [way.distance(scene, FARTHER, units)],
  standNearer: ({ scene, units }) => [way.distance(scene, NEARER, units)],
  standNearerOrFarther: ({ scene, units }) => [
    way.distance(scene, [...NEARER.slice(0, 2), ...FARTHER.slice(0, 3)], units),
  ],
  standALittleOff: ({ scene, units }) => each(way.distance(scene, A_LITTLE, units)),
  standAnywhere: ({ scene, units }) => each(way.distance(scene, [...NEARER, ...FARTHER], units)),
  nearerInTheSameFraming: ({ scene, units }) => [way.sameFraming(scene, NEARER, units)],
  distanceForHeadRoom: (trouble) => [
    way.distance(trouble.scene, tooLittleAir(trouble) ? FARTHER : NEARER, trouble.units),
  ],
  higher: ({ scene, units }) => [way.higher(scene, units)],
  lower: ({ scene, units }) => [way.lower(scene, units)],
  asHighAsItReaches: ({ scene, finding: { grade, value, limit }, units }) => [
    way.atHeight(scene, (grade === 'tight' ? scene.limits.tightShare * 0.98 : 1) * limit - value, units),
  ],
  heldUpright: ({ scene, finding: { value, limit }, units }) => [way.atHeight(scene, limit - value, units)],
  otherWayRound: ({ scene }) => [way.otherWay(scene)],
  fromElsewhere: ({ scene }) => each(way.fromElsewhere(scene)),
  aboutItsCentre: ({ scene }) => [way.centred(scene)],

  walkIt: ({ scene, kit: { gaits } }) => [kit.walkIt(scene, gaits)],
  gentlerGait: ({ scene, kit: { gaits } }) => [kit.gentlerGait(scene, gaits)],
  otherRig: ({ scene, kit: own }) => each(kit.otherRig(scene, own)),
  otherStick: ({ scene }) => [kit.stick(scene)],
  wider: ({ scene }) => [kit.wider(scene)],
  longerLens: ({ scene }) => [kit.longerLens(scene)],
  lensForHeadRoom: (trouble) => [tooLittleAir(trouble) ? kit.wider(trouble.scene) : kit.longerLens(trouble.scene)],
  insideTheLens: ({ scene }) => [kit.insideLens(scene)],
  otherLens: ({ scene, kit: { lenses } }) => each(kit.otherLens(scene, lenses)),
  otherCamera: ({ scene, kit: { cameras } }) => each(kit.otherCamera(scene, cameras)),
  anyCamera: ({ scene, kit: { cameras } }) => each(kit.anyCamera(scene, cameras)),
  shorterShutter: ({ scene }) => [kit.shutter(scene, [150, 120, 90])],
  longerShutter: ({ scene }) => [kit.shutter(scene, [90, 120, 180])],

  aimAtSubject: ({ scene }) => [aim.modes(scene, ['subject'])],
  steadierAim: ({ scene }) => each(aim.modes(scene, ['panTiltFollow', 'subject'])),
  turnToSubject: ({ scene }) => each(aim.turnedToSubject(scene)),
  tighterHead: ({ scene }) => [aim.tighterHead(scene)],
  placeHigher: ({ scene }) => [aim.placeUp(scene, 1)],
  placeLower: ({ scene }) => [aim.placeUp(scene, -1)],
  placeForHeadRoom: (trouble) => [aim.placeUp(trouble.scene, tooLittleAir(trouble) ? -1 : 1)],
  placeInTheMiddle: ({ scene }) => [aim.placeInMiddle(scene)],
  placeRight: ({ scene }) => [aim.placeAcross(scene, 1)],
  placeLeft: ({ scene }) => [aim.placeAcross(scene, -1)],
  focusFollows: ({ scene }) => [aim.focusFollows(scene)],
  stopDown: ({ scene }) => [aim.stopDown(scene)],
  focusOnTheWay,
  oneFocus: ({ scene, units }) => [aim.oneFocus(scene, ...subjectFromTo(scene), units)],
  longerRacks: ({ scene }) => [aim.longerRacks(scene)],
  otherPuller: ({ scene }) => [aim.otherPuller(scene)],

  stepAside: ({ scene, units }) => [aside(scene, units)],
  foregroundFarther: ({ scene, units }) => [foreground(scene, 'farther', units)],
  foregroundNearer: ({ scene, units }) => [foreground(scene, 'nearer', units)],
};

/** Nearest and farthest that the subject comes, m. */
function subjectFromTo(scene: Scene): [number, number] {
  const { subjectDistanceM } = sampleShot(scene);
  return [
    subjectDistanceM.reduce((a, b) => Math.min(a, b), Infinity),
    subjectDistanceM.reduce((a, b) => Math.max(a, b), 0),
  ];
}

/** The focus left somewhere on the subject's way; where that alone is not enough, with a deeper stop as well. */
function focusOnTheWay({ scene, units }: Trouble): Adjustment[] {
  const between = aim.focusBetween(scene, ...subjectFromTo(scene), units);
  const deeper = between.flatMap((rung) =>
    aim.stopDown(sceneFrom({ ...scene, shot: rung.shot })).map((next) => ({
      ...next,
      instruction: `${rung.instruction} and ${next.instruction.charAt(0).toLowerCase()}${next.instruction.slice(1)}`,
    })),
  );
  return [between, deeper];
}
