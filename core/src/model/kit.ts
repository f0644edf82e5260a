import * as z from 'zod';
import { BuildSchema, PartSchema } from './build';
import { idText, nameText } from './text';

const named = { id: idText, name: nameText(80) };

/** A camera: the sensor area it records from, the picture it writes, and the frame rates it offers. */
export const CameraSchema = z
  .strictObject({
    ...named,
    sensorWidthMm: z.number().min(1).max(120),
    sensorHeightMm: z.number().min(1).max(120),
    pictureWidthPx: z.number().int().min(160).max(20000),
    pictureHeightPx: z.number().int().min(120).max(20000),
    frameRatesHz: z.array(z.number().min(1).max(2000)).min(1).max(100),
    /** Pictures of another size that it writes from a frame rate on, slowest first. */
    picturesFrom: z
      .array(
        z.strictObject({
          fromHz: z.number().min(1).max(2000),
          widthPx: z.number().int().min(160).max(20000),
          heightPx: z.number().int().min(120).max(20000),
        }),
      )
      .max(8),
    /**
     * From the first line of the recorded picture to the last: upright things lean by it when the camera turns. 0: all
     * at once.
     */
    readOutMs: z.number().min(0).max(200),
    /** What it writes to its card at its first frame rate; more frames write more. */
    dataRateMbps: z.number().min(1).max(20000),
    /** Above this rate it records only into a buffer. */
    bufferAboveHz: z.number().min(1).max(2000),
    /** How long the buffer lasts, s of action. */
    bufferS: z.number().min(0.1).max(3600),
  })
  .superRefine(({ picturesFrom }, context) => {
    picturesFrom.forEach(({ fromHz }, i) => {
      if (i > 0 && fromHz <= picturesFrom[i - 1].fromHz)
        context.addIssue({
          code: 'custom',
          path: ['picturesFrom', i, 'fromHz'],
          message: `must be above the rate before it (${picturesFrom[i - 1].fromHz}); put them in order of rate`,
        });
    });
  });

/** A lens. A prime has equal shortest and longest focal lengths. */
export const LensSchema = z
  .strictObject({
    ...named,
    focalLengthMinMm: z.number().min(1).max(3000),
    focalLengthMaxMm: z.number().min(1).max(3000),
    closestFocusM: z.number().min(0).max(50),
    /** Widest opening. */
    fNumberMin: z.number().min(0.5).max(45),
    /** How far the focus ring turns from its closest distance to infinity. */
    ringDeg: z.number().min(10).max(720),
  })
  .refine((lens) => lens.focalLengthMaxMm >= lens.focalLengthMinMm, {
    path: ['focalLengthMaxMm'],
    error: 'must not be below focalLengthMinMm; swap the two',
  });

export const RIG_KINDS = [
  'tripod',
  'slider',
  'jib',
  'tableTopArm',
  'gimbal',
  'sled',
  'hand',
  'bodyMount',
  'drone',
  'wheels',
  'vehicle',
  'turntable',
  'rollLever',
  'rope',
] as const;

/**
 * What carries the camera, and how far, high and fast it goes. Heights are of the lens above the ground it stands on.
 */
export const RigSchema = z
  .strictObject({
    ...named,
    kind: z.enum(RIG_KINDS),
    /** Longest travel in one go. 0: it stays where it stands. */
    travelM: z.number().min(0).max(5000),
    heightMinM: z.number().min(0).max(500),
    heightMaxM: z.number().min(0).max(500),
    speedMaxMps: z.number().min(0).max(60),
    climbMaxMps: z.number().min(0).max(30),
    accelerationMaxMps2: z.number().min(0.05).max(50),
    /** Of the head, the motors or the hand. A turntable turns at just this rate. */
    panRateMaxDegps: z.number().min(1).max(1000),
    tiltRateMaxDegps: z.number().min(1).max(1000),
    tiltMinDeg: z.number().min(-90).max(90),
    tiltMaxDeg: z.number().min(-90).max(90),
    /** Farthest roll to either side. 0: the frame stays level. */
    rollMaxDeg: z.number().min(0).max(360),
    /** Farthest lean in a turn. 0: it does not bank. */
    bankMaxDeg: z.number().min(0).max(80),
    /** Arm, pole or rope between its stand and the camera. 0: none. */
    armM: z.number().min(0).max(50),
    /** Room it needs about the lens: rotor disc, cage, hands. */
    clearM: z.number().min(0).max(10),
    /** Slow and normal stick or joystick speed as shares of the limits above. */
    slowShare: z.number().min(0.01).max(1),
    normalShare: z.number().min(0.01).max(1),
    /** How long it runs on one battery, or how long arms hold it. 0: does not matter. */
    runMin: z.number().min(0).max(1000),
    /** Shares of the body's up and down, and of its shaking, that reach the camera. */
    bobShare: z.number().min(0).max(2),
    shakeShare: z.number().min(0).max(2),
  })
  .refine((rig) => rig.heightMaxM >= rig.heightMinM, {
    path: ['heightMaxM'],
    error: 'must not be below heightMinM; swap the two',
  })
  .refine((rig) => rig.tiltMaxDeg >= rig.tiltMinDeg, {
    path: ['tiltMaxDeg'],
    error: 'must not be below tiltMinDeg; swap the two',
  });

/**
 * How the body or the wheels under the camera go. Figures are peak to peak at the usual speed; they grow with speed and
 * vanish at rest.
 */
export const GaitSchema = z.strictObject({
  ...named,
  /** Steps a second, or the beat of the wheels. */
  stepRateHz: z.number().min(0.1).max(60),
  bobMm: z.number().min(0).max(500),
  /** Side to side, at half the step rate. */
  swayMm: z.number().min(0).max(500),
  /** Lean from side to side, at half the step rate. */
  leanDeg: z.number().min(0).max(45),
  /** The speed these figures belong to. 0: they do not depend on speed. */
  usualMps: z.number().min(0).max(30),
  /** Tremor of the hands, root mean square, at rest too. */
  shakeDeg: z.number().min(0).max(20),
});

export const FILTER_KINDS = ['nd', 'variableNd', 'polariser'] as const;

/** A filter and the stops of light it takes; a variable one takes from the least to the most. */
export const FilterSchema = z
  .strictObject({
    ...named,
    kind: z.enum(FILTER_KINDS),
    stopsMin: z.number().min(0).max(24),
    stopsMax: z.number().min(0).max(24),
  })
  .refine((filter) => filter.stopsMax >= filter.stopsMin, {
    path: ['stopsMax'],
    error: 'must not be below stopsMin; swap the two',
  });

export const MOST_PARTS = 300;

export const KitSchema = z.strictObject({
  cameras: z.array(CameraSchema).min(1).max(300),
  lenses: z.array(LensSchema).min(1).max(300),
  rigs: z.array(RigSchema).min(1).max(300),
  gaits: z.array(GaitSchema).min(1).max(300),
  filters: z.array(FilterSchema).max(300),
  /** What is put on rigs, with its mass and size; and what was put together of it. */
  parts: z.array(PartSchema).max(MOST_PARTS),
  builds: z.array(BuildSchema).max(100),
});

export type Camera = z.infer<typeof CameraSchema>;
export type Lens = z.infer<typeof LensSchema>;
export type Rig = z.infer<typeof RigSchema>;
export type RigKind = Rig['kind'];
export type Filter = z.infer<typeof FilterSchema>;
export type Gait = z.infer<typeof GaitSchema>;
export type Kit = z.infer<typeof KitSchema>;

/** The camera as it records at a frame rate: with the picture it writes then. */
export function cameraAt(camera: Camera, captureRateHz: number): Camera {
  const other = camera.picturesFrom.findLast(({ fromHz }) => fromHz <= captureRateHz);
  return other ? { ...camera, pictureWidthPx: other.widthPx, pictureHeightPx: other.heightPx } : camera;
}
