import * as z from 'zod';
import { idText, nameText } from './text';

const named = { id: idText, name: nameText(80) };
const offsetMm = z.number().min(-3000).max(3000);

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
  massG: z.number().min(0.1).max(100_000),
  lengthMm: z.number().min(1).max(3000),
  widthMm: z.number().min(1).max(3000),
  heightMm: z.number().min(1).max(3000),
  centreForeMm: offsetMm,
  centreSideMm: offsetMm,
  centreUpMm: offsetMm,
  /** How far its centre of mass goes forward from its shortest to its longest focal length. */
  zoomShiftMm: z.number().min(-500).max(500),
});

/**
 * A part where it sits: its middle from the middle of the camera's plate (top) or of the other end (bottom); forward,
 * to the right and up.
 */
export const PlacedSchema = z.strictObject({
  partId: z.string().min(1),
  on: z.enum(['top', 'bottom']),
  foreMm: offsetMm,
  sideMm: offsetMm,
  upMm: offsetMm,
});

/** What was seen at one round of balancing a sled, and how it was set then. */
export const SledRoundSchema = z.strictObject({
  stageForeMm: z.number(),
  stageSideMm: z.number(),
  gimbalMm: z.number(),
  /** Lean at rest, positive forward and to the right; null: not looked at. */
  leanForeDeg: z.number().min(-180).max(180).nullable(),
  leanSideDeg: z.number().min(-180).max(180).nullable(),
  dropS: z.number().min(0.05).max(30).nullable(),
});

export const SledSchema = z
  .strictObject({
    kind: z.literal('sled'),
    postMm: z.number().min(100).max(2000),
    postMinMm: z.number().min(100).max(2000),
    postMaxMm: z.number().min(100).max(2000),
    postMassG: z.number().min(1).max(20_000),
    /** The pivot below the camera's plate, and how near to it the pivot can be set. */
    gimbalMm: z.number().min(5).max(1500),
    gimbalMinMm: z.number().min(5).max(1500),
    stageForeMm: z.number().min(-100).max(100),
    stageSideMm: z.number().min(-100).max(100),
    stageTravelMm: z.number().min(1).max(100),
    wishS: z.number().min(1).max(5),
    /** The camera is to look up (positive) or down by this at rest; 0: level. */
    wishLeanDeg: z.number().min(-30).max(30),
    /**
     * A deck that rolls slowly under the operator: to each side, there and back in, and how high above its axis. 0:
     * firm ground.
     */
    deckRollDeg: z.number().min(0).max(30),
    deckPeriodS: z.number().min(1).max(60),
    deckHeightM: z.number().min(0).max(30),
    walkMps: z.number().min(0).max(5),
    windMps: z.number().min(0).max(40),
    log: z.array(SledRoundSchema).max(100),
  })
  .refine((sled) => sled.postMaxMm >= sled.postMinMm, {
    path: ['postMaxMm'],
    error: 'must not be below postMinMm; swap the two',
  });

export const MotorGimbalSchema = z.strictObject({
  kind: z.literal('motorGimbal'),
  /** Middle of the camera's plate from the tilt axis. */
  plateForeMm: z.number().min(-200).max(200),
  plateUpMm: z.number().min(-200).max(200),
  /** The tilt cage with its plate from the roll axis, and the roll arm from the pan axis. */
  cageSideMm: z.number().min(-200).max(200),
  armForeMm: z.number().min(-200).max(200),
  cageMassG: z.number().min(1).max(20_000),
  armMassG: z.number().min(1).max(20_000),
  payloadMaxG: z.number().min(50).max(50_000),
  torqueMaxNm: z.number().min(0.01).max(50),
  runMin: z.number().min(1).max(1000),
});

export const JibSchema = z.strictObject({
  kind: z.literal('jib'),
  frontMm: z.number().min(100).max(12_000),
  rearMm: z.number().min(100).max(6000),
  beamMassG: z.number().min(1).max(100_000),
  pivotMm: z.number().min(100).max(5000),
  angleDeg: z.number().min(-60).max(70),
  counterG: z.number().min(0).max(200_000),
  parallel: z.boolean(),
  /** Round aluminium tube: outer diameter and wall. */
  tubeMm: z.number().min(5).max(300),
  wallMm: z.number().min(0.5).max(50),
  footMm: z.number().min(100).max(3000),
});

export const SliderSchema = z.strictObject({
  kind: z.literal('slider'),
  railMm: z.number().min(100).max(6000),
  railMassG: z.number().min(1).max(50_000),
  /** Bending stiffness of the rail, N m². */
  stiffnessNm2: z.number().min(1).max(1_000_000),
  carriageMassG: z.number().min(1).max(20_000),
  stands: z.enum(['one', 'two']),
  /** Of each stand or tripod: height, mass, and how far its feet are from its middle. */
  heightMm: z.number().min(20).max(3000),
  standMassG: z.number().min(1).max(50_000),
  footMm: z.number().min(50).max(2000),
  tiltDeg: z.number().min(-60).max(60),
  friction: z.number().min(0).max(2),
  bagG: z.number().min(0).max(100_000),
});

export const ArmSchema = z.strictObject({
  kind: z.literal('arm'),
  /** From the middle of the stand to the camera; 0: the camera is on the head. */
  reachMm: z.number().min(0).max(3000),
  armMassG: z.number().min(0).max(20_000),
  /** Where the arm points, clockwise from the front leg. */
  armDeg: z.number().min(-360).max(360),
  legMm: z.number().min(100).max(3000),
  spreadDeg: z.number().min(5).max(85),
  columnMm: z.number().min(0).max(1500),
  legsMassG: z.number().min(1).max(50_000),
  bagG: z.number().min(0).max(100_000),
  marginMm: z.number().min(0).max(500),
  /** How hard head and legs hold against a turn. */
  stiffnessNmPerDeg: z.number().min(0.1).max(10_000),
  windMps: z.number().min(0).max(40),
});

export const RopeSchema = z.strictObject({
  kind: z.literal('rope'),
  lengthMm: z.number().min(100).max(50_000),
  swingDeg: z.number().min(0).max(90),
  lines: z.enum(['one', 'strap', 'two']),
  secondLine: z.boolean(),
});

export const DroneSchema = z.strictObject({
  kind: z.literal('drone'),
  bodyMassG: z.number().min(50).max(50_000),
  bodyMaxG: z.number().min(50).max(60_000),
  thrustMaxN: z.number().min(1).max(2000),
  batteryWh: z.number().min(1).max(5000),
  /** What it draws hovering at its own mass in still air. */
  hoverW: z.number().min(1).max(20_000),
  speedMaxMps: z.number().min(1).max(60),
  heightM: z.number().min(0).max(500),
  windMps: z.number().min(0).max(40),
  reserveShare: z.number().min(0).max(0.9),
});

export const WHEEL_GROUNDS = ['hard', 'loose', 'sand', 'wet'] as const;
export const WheelsSchema = z.strictObject({
  kind: z.literal('wheels'),
  ground: z.enum(WHEEL_GROUNDS),
  /** Slope that it rolls down at the steepest. */
  downhillDeg: z.number().min(0).max(45),
  speedMps: z.number().min(0).max(30),
  reactionS: z.number().min(0).max(5),
  grip: z.number().min(0.05).max(1.5),
  massKg: z.number().min(1).max(5000),
  wheelMm: z.number().min(10).max(1500),
  /** Somebody other than the operator drives. */
  driver: z.boolean(),
});

export const IMPROVISED = ['turntable', 'floatingPlate', 'towel', 'bookOnWheels', 'hingedPole', 'beltTripod'] as const;
export const ImprovisedSchema = z.strictObject({
  kind: z.literal('improvised'),
  what: z.enum(IMPROVISED),
  /** Radius, pole or spring tape, as it applies. */
  lengthMm: z.number().min(10).max(5000),
  /** Turns a minute of a turntable; half a turn of a pole in this many seconds. */
  turnsPerMin: z.number().min(0.1).max(200),
  overS: z.number().min(0.1).max(60),
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
  focalLengthMm: z.number().min(1).max(3000),
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
