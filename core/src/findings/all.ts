import type { Picture } from '../image';
import type { FindingKind, Numbered } from './definition';
import type { FindingOf } from './finding';
import { alsoShape } from './picture/also-shape';
import { blur } from './picture/blur';
import { composition } from './picture/composition';
import { cutOff } from './picture/cut-off';
import { empty } from './picture/empty';
import { ends } from './picture/ends';
import { evenness } from './picture/evenness';
import { feather } from './picture/feather';
import { flare } from './picture/flare';
import { focus } from './picture/focus';
import { handles } from './picture/handles';
import { headRoom } from './picture/head-room';
import { horizon } from './picture/horizon';
import { joints } from './picture/joints';
import { lamplight } from './picture/lamplight';
import { lookRoom } from './picture/look-room';
import { parallax } from './picture/parallax';
import { passing } from './picture/passing';
import { place } from './picture/place';
import { rollingShutterSkew } from './picture/rolling-shutter-skew';
import { shake } from './picture/shake';
import { sight } from './picture/sight';
import { size } from './picture/size';
import { indoors } from './picture/indoors';
import { reflections } from './picture/reflections';
import { ownShadow } from './picture/own-shadow';
import { sunlight } from './picture/sunlight';
import { speed } from './picture/speed';
import { stagger } from './picture/stagger';
import { turning } from './picture/turning';
import { zoom } from './picture/zoom';
import { angle } from './rig/angles';
import { clearance } from './rig/clearance';
import { carried } from './rig/carried';
import { goesNowhere } from './rig/goes-nowhere';
import { ground } from './rig/ground';
import { height } from './rig/height';
import { lensReach } from './rig/lens';
import { rate } from './rig/rates';
import { ownPace } from './rig/own-pace';
import { reach } from './rig/reach';
import { recording } from './rig/recording';
import type { RigCase } from './rig/rig-case';
import { travel } from './rig/travel';
import { wayTurn } from './rig/turns';

/** What the audience will see, in the order in which equals are told. */
const OF_THE_PICTURE = [
  // What the shot is, before how it reads: the first thing told of one that is calm.
  composition,
  empty,
  ends,
  cutOff,
  speed,
  blur,
  parallax,
  place,
  sight,
  size,
  feather,
  evenness,
  turning,
  shake,
  rollingShutterSkew,
  stagger,
  headRoom,
  lookRoom,
  joints,
  alsoShape,
  horizon,
  focus,
  flare,
  sunlight,
  lamplight,
  ownShadow,
  reflections,
  indoors,
  passing,
  handles,
  zoom,
] as const;
/** Whether rig and lens can make the move, and whether anything is in the way. */
const OF_THE_RIG = [
  goesNowhere,
  carried,
  wayTurn,
  travel,
  reach,
  height,
  rate,
  angle,
  ownPace,
  clearance,
  ground,
  lensReach,
  recording,
] as const;

type KindsOf<Definitions extends readonly { kinds: object }[]> = Definitions[number] extends infer Each
  ? Each extends { kinds: infer Kinds }
    ? keyof Kinds & string
    : never
  : never;
export type FindingKindId = KindsOf<typeof OF_THE_PICTURE> | KindsOf<typeof OF_THE_RIG>;
/** What a finding is about, unchanged from one reading to the next: `speed.near`, `stop`, `rig.travel`, `travel.2`. */
export type FindingId = Numbered<FindingKindId>;

/** One sentence of a reading. */
export type Finding = FindingOf<FindingId>;

/** Every kind of finding by its id. */
export const FINDING_KINDS = Object.assign(
  {},
  ...[...OF_THE_PICTURE, ...OF_THE_RIG].map(({ kinds }) => kinds),
) as Record<FindingKindId, FindingKind>;

/** The kind of a finding, whichever of several moves it speaks of. */
export const kindOf = (id: FindingId): FindingKind => FINDING_KINDS[id.replace(/\.\d+$/, '') as FindingKindId];

/** Everything the audience will see in a picture. */
export const pictureFindings = (picture: Picture): Finding[] =>
  OF_THE_PICTURE.flatMap(({ find }): Finding[] => find(picture));

/** Everything that rig, lens, camera and ground make of a way. */
export const rigFindings = (measured: RigCase): Finding[] =>
  OF_THE_RIG.flatMap(({ find }): Finding[] => find(measured));
