import * as z from 'zod';
import { choice, number, yesNo } from './facts';
import { idText, nameText } from './text';

const named = { id: idText, name: nameText(80) };
const offsetMm = (label: string) => number(label, 'size', -3000, 3000, 1);

export const PART_KINDS = [
  'camera',
  'lens',
  'filter',
  'battery',
  'plate',
  'monitor',
  'microphone',
  'head',
  'weight',
  'bag',
  'other',
] as const;

/**
 * A thing that is put on a rig. Its box is measured along the lens (length), across (width) and up (height); its centre
 * of mass from the middle of that box.
 */
export const PartSchema = z.strictObject({
  ...named,
  kind: z.enum(PART_KINDS),
  /** The camera, lens or filter of the kit that it is, or null. */
  of: z.string().nullable(),
  massG: number('Mass', 'g', 0.1, 100_000, 10),
  lengthMm: number('Long', 'size', 1, 3000, 1),
  widthMm: number('Wide', 'size', 1, 3000, 1),
  heightMm: number('High', 'size', 1, 3000, 1),
  centreForeMm: offsetMm('Weight forward'),
  centreSideMm: offsetMm('Weight to the right'),
  centreUpMm: offsetMm('Weight up'),
  /** The most that its maker lets it carry: heads, plates, stands. 0: not said. */
  carriesG: number('Carries up to (0: not said)', 'g', 0, 200_000, 100),
  /** How far its centre of mass goes forward from its shortest to its longest focal length. */
  zoomShiftMm: number('Zoom shift', 'size', -500, 500, 1),
});

/**
 * A part where it sits: its middle from the middle of the camera's plate (top) or of the other end (bottom); forward,
 * to the right and up.
 */
export const PlacedSchema = z.strictObject({
  partId: z.string().min(1),
  on: z.enum(['top', 'bottom']),
  foreMm: offsetMm('Forward'),
  sideMm: offsetMm('To the right'),
  upMm: offsetMm('Up'),
});

/** What was seen at one round of balancing a sled, and how it was set then. */
export const SledRoundSchema = z.strictObject({
  stageForeMm: z.number(),
  stageSideMm: z.number(),
  gimbalMm: z.number(),
  /** Lean at rest, positive forward and to the right; null: not looked at. */
  leanForeDeg: number('Lean forward, degrees', 'tenth', -180, 180, 0.5).nullable(),
  leanSideDeg: number('Lean to the right, degrees', 'tenth', -180, 180, 0.5).nullable(),
  dropS: number('Drop took', 's', 0.05, 30, 0.05).nullable(),
});

export const SledSchema = z
  .strictObject({
    kind: z.literal('sled'),
    postMm: number('Post', 'size', 100, 2000, 10),
    postMinMm: number('Shortest post', 'size', 100, 2000, 10),
    postMaxMm: number('Longest post', 'size', 100, 2000, 10),
    postMassG: number('Mass of post and base', 'g', 1, 20_000, 50),
    /** The pivot below the camera's plate, and how near to it the pivot can be set. */
    gimbalMm: number('Pivot below the plate', 'size', 5, 1500, 0.5),
    gimbalMinMm: number('Highest pivot', 'size', 5, 1500, 1),
    stageForeMm: number('Stage forward', 'size', -100, 100, 0.1),
    stageSideMm: number('Stage to the right', 'size', -100, 100, 0.1),
    stageTravelMm: number('Stage travel', 'size', 1, 100, 1),
    wishS: number('Wished drop time', 's', 1, 5, 0.1),
    /** The camera is to look up (positive) or down by this at rest; 0: level. */
    wishLeanDeg: number('Wished look up or down', 'tenth', -30, 30, 0.5),
    /**
     * A deck that rolls slowly under the operator: to each side, there and back in, and how high above its axis. 0:
     * firm ground.
     */
    deckRollDeg: number('Roll of the deck', 'tenth', 0, 30, 0.5),
    deckPeriodS: number('Time of the deck’s roll', 's', 1, 60, 0.5),
    deckHeightM: number('Height above the deck’s axis', 'm', 0, 30, 0.5),
    walkMps: number('Walking speed', 'mps', 0, 5, 0.1),
    windMps: number('Wind', 'mps', 0, 40, 0.5),
    log: z.array(SledRoundSchema).max(100),
  })
  .refine((sled) => sled.postMaxMm >= sled.postMinMm, {
    path: ['postMaxMm'],
    error: 'must not be below postMinMm; swap the two',
  });

export const MotorGimbalSchema = z.strictObject({
  kind: z.literal('motorGimbal'),
  /** Middle of the camera's plate from the tilt axis. */
  plateForeMm: number('Plate forward', 'size', -200, 200, 0.5),
  plateUpMm: number('Plate up', 'size', -200, 200, 0.5),
  /** The tilt cage with its plate from the roll axis, and the roll arm from the pan axis. */
  cageSideMm: number('Cage to the right', 'size', -200, 200, 0.5),
  armForeMm: number('Roll arm forward', 'size', -200, 200, 0.5),
  cageMassG: number('Mass of the cage', 'g', 1, 20_000, 50),
  armMassG: number('Mass of the roll arm', 'g', 1, 20_000, 50),
  payloadMaxG: number('Greatest payload', 'g', 50, 50_000, 50),
  torqueMaxNm: number('Greatest torque', 'plain', 0.01, 50, 0.1),
  runMin: number('Run time', 'plain', 1, 1000, 10),
});

export const JibSchema = z.strictObject({
  kind: z.literal('jib'),
  frontMm: number('Front arm', 'size', 100, 12_000, 50),
  rearMm: number('Rear arm', 'size', 100, 6000, 10),
  beamMassG: number('Mass of the beam', 'g', 1, 100_000, 50),
  pivotMm: number('Height of the pivot', 'size', 100, 5000, 50),
  angleDeg: number('Angle of the arm', 'deg', -60, 70, 1),
  counterG: number('Counterweight', 'g', 0, 200_000, 50),
  parallel: yesNo('Camera’s level', 'A parallelogram keeps it level', 'The camera tilts along'),
  /** Round aluminium tube: outer diameter and wall. */
  tubeMm: number('Tube', 'size', 5, 300, 1),
  wallMm: number('Wall', 'size', 0.5, 50, 0.5),
  footMm: number('Feet from the middle', 'size', 100, 3000, 10),
});

export const SliderSchema = z.strictObject({
  kind: z.literal('slider'),
  railMm: number('Rail', 'size', 100, 6000, 50),
  railMassG: number('Mass of the rail', 'g', 1, 50_000, 50),
  /** Bending stiffness of the rail, N m². */
  stiffnessNm2: number('Stiffness of the rail', 'plain', 1, 1_000_000, 100),
  carriageMassG: number('Mass of the carriage', 'g', 1, 20_000, 50),
  stands: choice('Stands', { one: 'one tripod', two: 'two stands' }),
  /** Of each stand or tripod: height, mass, and how far its feet are from its middle. */
  heightMm: number('Height of the stand', 'size', 20, 3000, 50),
  standMassG: number('Mass of a stand', 'g', 1, 50_000, 50),
  footMm: number('Feet from the middle', 'size', 50, 2000, 10),
  tiltDeg: number('Tilt of the rail', 'deg', -60, 60, 1),
  friction: number('Friction', 'plain', 0, 2, 0.01),
  bagG: number('Bag', 'g', 0, 100_000, 50),
});

export const ArmSchema = z.strictObject({
  kind: z.literal('arm'),
  /** From the middle of the stand to the camera; 0: the camera is on the head. */
  reachMm: number('Reach of the arm', 'size', 0, 3000, 50),
  armMassG: number('Mass of the arm', 'g', 0, 20_000, 50),
  /** Where the arm points, clockwise from the front leg. */
  armDeg: number('Where the arm points', 'deg', -360, 360, 5),
  legMm: number('Legs', 'size', 100, 3000, 50),
  spreadDeg: number('Spread of the legs', 'deg', 5, 85, 1),
  columnMm: number('Column', 'size', 0, 1500, 10),
  legsMassG: number('Mass of the legs', 'g', 1, 50_000, 50),
  bagG: number('Bag', 'g', 0, 100_000, 50),
  marginMm: number('Wished margin', 'size', 0, 500, 5),
  /** How hard head and legs hold against a turn. */
  stiffnessNmPerDeg: number('Stiffness', 'plain', 0.1, 10_000, 1),
  windMps: number('Wind', 'mps', 0, 40, 0.5),
});

export const RopeSchema = z.strictObject({
  kind: z.literal('rope'),
  lengthMm: number('Rope', 'size', 100, 50_000, 100),
  swingDeg: number('Swing', 'deg', 0, 90, 1),
  lines: choice('Lines', { one: 'One rope', strap: 'A flat strap', two: 'Two ropes and a bar' }),
  secondLine: yesNo('Second line', 'on', 'missing'),
});

export const DroneSchema = z.strictObject({
  kind: z.literal('drone'),
  bodyMassG: number('Mass of the body', 'g', 50, 50_000, 50),
  bodyMaxG: number('Greatest take-off mass', 'g', 50, 60_000, 50),
  thrustMaxN: number('Greatest thrust', 'newton', 1, 2000, 0.5),
  batteryWh: number('Battery', 'plain', 1, 5000, 1),
  /** What it draws hovering at its own mass in still air. */
  hoverW: number('Power to hover', 'plain', 1, 20_000, 1),
  speedMaxMps: number('Greatest speed', 'mps', 1, 60, 0.5),
  heightM: number('Flying height', 'm', 0, 500, 5),
  windMps: number('Wind', 'mps', 0, 40, 0.5),
  reserveShare: number('Reserve', 'plain', 0, 0.9, 0.05),
});

export const WheelsSchema = z.strictObject({
  kind: z.literal('wheels'),
  ground: choice('Ground', { hard: 'hard and dry', loose: 'gravel or grass', sand: 'sand', wet: 'wet' }),
  /** Slope that it rolls down at the steepest. */
  downhillDeg: number('Downhill', 'deg', 0, 45, 1),
  speedMps: number('Speed', 'mps', 0, 30, 0.5),
  reactionS: number('Reaction', 's', 0, 5, 0.1),
  grip: number('Grip', 'plain', 0.05, 1.5, 0.05),
  massKg: number('Mass with rider', 'plain', 1, 5000, 5),
  wheelMm: number('Wheels', 'size', 10, 1500, 10),
  /** Somebody other than the operator drives. */
  driver: yesNo('Who drives', 'Somebody else drives', 'The operator drives as well'),
});

export const ImprovisedSchema = z.strictObject({
  kind: z.literal('improvised'),
  what: choice('What it is', {
    turntable: 'Turntable',
    floatingPlate: 'Plate on water',
    towel: 'Towel on a hard floor',
    bookOnWheels: 'Book on wheels with a spring tape',
    hingedPole: 'Hinged pole',
    beltTripod: 'Tripod on the belt',
    drop: 'Drop past a mirror',
    hoist: 'Hoist over a pulley',
  }),
  /** Radius, pole, spring tape, fall or lift, as it applies. */
  lengthMm: number('Length', 'size', 10, 5000, 10),
  /** Turns a minute of a turntable; half a turn of a pole in this many seconds. */
  turnsPerMin: number('Turns a minute', 'plain', 0.1, 200, 1),
  overS: number('Time', 's', 0.1, 60, 0.5),
});

export const SupportSchema = z.discriminatedUnion('kind', [
  SledSchema,
  MotorGimbalSchema,
  JibSchema,
  SliderSchema,
  ArmSchema,
  RopeSchema,
  DroneSchema,
  WheelsSchema,
  ImprovisedSchema,
]);

/** What the key of an own item of a checklist begins with among those that are ticked. */
export const OWN_CHECK = 'own.';

/** Parts put together as they will shoot, on one rig. */
export const BuildSchema = z.strictObject({
  ...named,
  /** The rig of the kit that it is for. */
  rigId: z.string().min(1),
  /** Where its zoom is set and taped. */
  focalLengthMm: number('Zoom of the build', 'mm', 1, 3000, 1),
  parts: z.array(PlacedSchema).max(40),
  support: SupportSchema,
  /** Items of the checklist that are done, by their keys, and own items. */
  ticked: z.array(z.string().min(1)).max(200),
  ownChecks: z.array(z.strictObject({ id: idText, text: nameText(120) })).max(60),
});

export type Part = z.infer<typeof PartSchema>;
export type PartKind = Part['kind'];
export type Placed = z.infer<typeof PlacedSchema>;
export type SledRound = z.infer<typeof SledRoundSchema>;
export type Sled = z.infer<typeof SledSchema>;
export type MotorGimbal = z.infer<typeof MotorGimbalSchema>;
export type Jib = z.infer<typeof JibSchema>;
export type Slider = z.infer<typeof SliderSchema>;
export type Arm = z.infer<typeof ArmSchema>;
export type Rope = z.infer<typeof RopeSchema>;
export type Drone = z.infer<typeof DroneSchema>;
export type Wheels = z.infer<typeof WheelsSchema>;
export type Improvised = z.infer<typeof ImprovisedSchema>;
export type Support = z.infer<typeof SupportSchema>;
export type SupportKind = Support['kind'];
export type Build = z.infer<typeof BuildSchema>;
