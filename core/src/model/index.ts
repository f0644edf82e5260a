/**
 * The nouns of a shoot: what it is made of, what of it may be, and what a person is told of each field.
 *
 * @example
 * const checked = ShootSchema.safeParse(JSON.parse(text)); // the same schema checks files, the database and messages
 * factsOf(TimingSchema).durationS; // { type: 'number', label: 'Duration', unit: 's', min: 0.2, max: 600, step: 0.5 }
 */
export { type Bench, MOST_FOCALS } from './bench';
export { BODIES, type BodyMeasures, hipsOf, posedSize } from './body';
export {
  type Arm,
  type Build,
  BuildSchema,
  type Drone,
  type Improvised,
  type Jib,
  type MotorGimbal,
  OWN_CHECK,
  type Part,
  PART_KINDS,
  type PartKind,
  PartSchema,
  type Placed,
  type Rope,
  type Sled,
  type SledRound,
  type Slider,
  type Support,
  type SupportKind,
  SupportSchema,
  type Wheels,
  WheelsSchema,
} from './build';
export { DECIDES } from './caution';
export {
  type Battery,
  type Break,
  type Day,
  DAY_AIMS,
  type DayAim,
  DaySchema,
  type Hours,
  type Person,
  sayClock,
  sayMinutes,
  type Skill,
  SKILLS,
  USUAL_DAY,
  usualWish,
  type WeatherHour,
  WeatherHourSchema,
  type Wish,
  wishOf,
} from './day';
export { DEFAULT_BUILDS, DEFAULT_PARTS } from './default-builds';
export { DEFAULT_GAITS, USUAL_GAIT } from './default-gaits';
export { DEFAULT_RIGS } from './default-rigs';
export { usualRig } from './usual-rig';
export { DEFAULT_AIM, DEFAULT_KIT, newShoot, newShot } from './defaults';
export { STARTER_KIT } from './starter-kit';
export { differencesOf, sayDifferences } from './differences';
export { type Fact, factsOf, numberFact, optionWords, QUANTITIES, type Quantity } from './facts';
export { FIELDS } from './fields';
export { problemsIn, saidOf } from './in-order';
export { shootText } from './shoot-text';
export { lettersIn, MOST_SHOOT_LETTERS, tooLarge } from './weight';
export {
  type Camera,
  CameraSchema,
  type Filter,
  FilterSchema,
  type Gait,
  GaitSchema,
  type Kit,
  KitSchema,
  type Lens,
  LensSchema,
  MOST_PARTS,
  type Rig,
  type RigKind,
  RigSchema,
} from './kit';
export {
  type Limit,
  LIMIT_NAMES,
  type LimitGroup,
  type LimitName,
  limitRange,
  LIMITS,
  type Limits,
  limitsOf,
  type OwnLimits,
  shownLimit,
  smoothSpeed,
} from './limits';
export { type Mesh, MOST_CORNERS, MOST_TRIANGLES, packed, type Surface, unpacked } from './mesh';
export { migrated } from './migrations';
export {
  type Move,
  type MoveKind,
  type MoveOf,
  MoveSchema,
  type NumberParameter,
  numbersOf,
  parametersOf,
} from './move';
export { type FreePoint, LEAST_APART_M, MOST_PATH_POINTS } from './moves/free';
export {
  type Body,
  type Figure,
  type Lamp,
  type ModelPiece,
  MOST_GRID,
  newPiece,
  PieceSchema,
  type OwnPart,
  type Piece,
  PIECE_GROUPS,
  PIECE_KINDS,
  type PieceGroup,
  type PieceKind,
  type PieceLayer,
  type Opening,
  type Pose,
  type Size,
  type Terrain,
  type Wall,
  WallSchema,
} from './piece';
export {
  type Clip,
  ClipSchema,
  type Log,
  LogSchema,
  MOST_PHOTO_LETTERS,
  MOST_RECORDED_ROWS,
  MOST_TAKES,
  NO_LOG,
  type Ready,
  type Recorded,
  RECORDED_BY,
  type RecordedBy,
  RecordedSchema,
  type Take,
  TAKE_REASONS,
  TAKE_VERDICTS,
  type TakeReason,
  TakeSchema,
  type TakeVerdict,
} from './log';
export { type SitePlace, SitePlaceSchema } from './place';
export {
  type Exercise,
  EXERCISES,
  type Flown,
  FlownSchema,
  HELD_RIGS,
  type HeldRig,
  MOST_TRIES_KEPT,
  type Practice,
  PracticeSchema,
  type StickLayout,
  type Try,
  TRY_PARTS,
  type TryPart,
  TrySchema,
  USUAL_PRACTICE,
} from './practice';
export { pathText, type Problem, problemsOf } from './problems';
export { holesOf, partsOfSentence } from './sentence';
export {
  type Around,
  aroundOf,
  type Delivery,
  DeliverySchema,
  type Raster,
  sameAround,
  type Setup,
  setupOf,
  type Shoot,
  SHOOT_FORMAT,
  SHOOT_VERSION,
  ShootSchema,
} from './shoot';
export { legAt, legsOf, type LegTime, legTimes, type Moves, shotDurationS, withLeg } from './legs-of-shot';
export {
  type Aim,
  drawnWalk,
  AIM_MODES,
  type AimMode,
  AimSchema,
  FEATHER_SHAPES,
  type FeatherShape,
  type Focus,
  FocusSchema,
  type FocusTarget,
  type Goes,
  type Jump,
  type Leg,
  LegSchema,
  type LookOver,
  MOST_FRAMES,
  MOST_WALK_POINTS,
  PLAIN_LOOK,
  type Place,
  PlaceSchema,
  type Puller,
  PULLERS,
  type Rack,
  type RampPoint,
  type SetUp,
  SetUpSchema,
  type Shot,
  type Staged,
  ShotSchema,
  STICK_SPEEDS,
  type StickSpeed,
  type Timing,
  USUAL_SET_UP,
  TimingSchema,
  type Walk,
  type WalkPoint,
  WalkPointSchema,
  WalkSchema,
  type Way,
  WaySchema,
  WHOLE,
} from './shot';
export { AS_ON_SITE, stagedIn, stagedPieces } from './staging';
export {
  type Cut,
  CutSchema,
  type Join,
  JOIN_KINDS,
  type JoinKind,
  JoinSchema,
  NO_STORY,
  type Pattern,
  PATTERN_MOVES,
  PatternSchema,
  type PatternShot,
  PLAIN_JOIN,
  type Purpose,
  PurposeField,
  type Story,
  StorySchema,
  UNTOLD,
} from './story';
export { clipped, idText, nameText } from './text';
export { MOST_UNDERLAY_LETTERS, MOST_UNDERLAY_PIXELS, type Underlay, UnderlaySchema } from './underlay';
export {
  asPrintedMm,
  handMm,
  M_PER_FOOT,
  parseLength,
  parseMass,
  parseMm,
  parseSpeed,
  sayCount,
  sayExactLength,
  sayExactMass,
  sayExactMm,
  sayInertia,
  sayLength,
  sayMass,
  sayMm,
  saySpeed,
  trim,
  type Units,
} from './units';
