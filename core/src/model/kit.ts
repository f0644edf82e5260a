import * as z from 'zod';
import { number, whole } from './facts';
import { BuildSchema, PartSchema } from './build';
import { idText, nameText } from './text';

const named = { id: idText, name: nameText(80) };

/** A camera: the sensor area it records from, the picture it writes, and the frame rates it offers. */
export const CameraSchema = z
  .strictObject({
    ...named,
    sensorWidthMm: number('Sensor, wide', 'mm', 1, 120, 0.1),
    sensorHeightMm: number('Sensor, high', 'mm', 1, 120, 0.1),
    pictureWidthPx: whole('Pixels wide', 160, 20000),
    pictureHeightPx: whole('Pixels high', 120, 20000),
    frameRatesHz: z.array(z.number().min(1).max(2000)).min(1).max(100),
    /** Pictures of another size that it writes from a frame rate on, slowest first. */
    picturesFrom: z
      .array(
        z.strictObject({
          fromHz: number('Rate of another picture', 'hz', 1, 2000, 1),
          widthPx: whole('Pixels wide from that rate on', 160, 20000),
          heightPx: whole('Pixels high from that rate on', 120, 20000),
        }),
      )
      .max(8),
    /**
     * From the first line of the recorded picture to the last: upright things lean by it when the camera turns. 0: all
     * at once.
     */
    readOutMs: number('Read out from first line to last, ms', 'plain', 0, 200, 1),
    /** What it writes to its card at its first frame rate; more frames write more. */
    dataRateMbps: number('Mb a second', 'plain', 1, 20000, 10),
    /** Above this rate it records only into a buffer. */
    bufferAboveHz: number('Frames a second before it buffers', 'plain', 1, 2000, 1),
    /** How long the buffer lasts, s of action. */
    bufferS: number('Buffer', 's', 0.1, 3600, 1),
    /** Part of the trembling that its stabiliser lets through; 1: it has none, or it is off. */
    steadyShare: number('Part of trembling its stabiliser leaves', 'share', 0.02, 1, 0.05),
    /** One picture of a time-lapse on the card, and how many a battery takes. */
    stillMB: number('MB a still picture', 'plain', 0.1, 1000, 1),
    stillsPerBattery: whole('Still pictures a battery', 1, 100_000, 50),
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
    focalLengthMinMm: number('Shortest focal length', 'mm', 1, 3000, 1),
    focalLengthMaxMm: number('Longest focal length', 'mm', 1, 3000, 1),
    closestFocusM: number('Focuses from', 'm', 0, 50, 0.01),
    /** Widest opening. */
    fNumberMin: number('Widest opening, f/', 'plain', 0.5, 45, 0.1),
    /** How far the focus ring turns from its closest distance to infinity. */
    ringDeg: number('Focus ring turns', 'deg', 10, 720, 5),
    /** How much narrower the picture is focused closest than at infinity: breathing. Below 0 it is wider. */
    breathingShare: number('Narrower when focused near', 'share', -0.2, 0.3, 0.01),
    /** Part of the trembling that its stabiliser lets through; 1: it has none, or it is off. */
    steadyShare: number('Part of trembling its stabiliser leaves', 'share', 0.02, 1, 0.05),
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
  'mount',
  'drop',
  'hoist',
  'float',
] as const;

/** Home-made ways to carry a camera that have tries, tape and tips of their own; a copy of a rig keeps its way. */
export const RIG_WAYS = [
  'plain',
  'pipes',
  'towel',
  'springTape',
  'board',
  'bicycle',
  'oneLeg',
  'shoulder',
  'waist',
  'legs',
] as const;

/**
 * What carries the camera, and how far, high and fast it goes. Heights are of the lens above the ground it stands on.
 */
export const RigSchema = z
  .strictObject({
    ...named,
    kind: z.enum(RIG_KINDS),
    way: z.enum(RIG_WAYS),
    /** Longest travel in one go. 0: it stays where it stands. */
    travelM: number('Longest travel', 'm', 0, 5000, 0.1),
    heightMinM: number('Lens at least this high', 'm', 0, 500, 0.05),
    heightMaxM: number('Lens at most this high', 'm', 0, 500, 0.1),
    speedMaxMps: number('Steady up to', 'mps', 0, 60, 0.1),
    climbMaxMps: number('Climbs up to', 'mps', 0, 30, 0.1),
    accelerationMaxMps2: number('Gains up to, each second', 'mps', 0.05, 50, 0.1),
    /** Of the head, the motors or the hand. A turntable turns at just this rate. */
    panRateMaxDegps: number('Pans at up to', 'degps', 1, 1000, 5),
    tiltRateMaxDegps: number('Tilts at up to', 'degps', 1, 1000, 5),
    tiltMinDeg: number('Tilts down to', 'deg', -90, 90, 5),
    tiltMaxDeg: number('Tilts up to', 'deg', -90, 90, 5),
    /** Farthest roll to either side. 0: the frame stays level. */
    rollMaxDeg: number('Rolls either way to', 'deg', 0, 360, 5),
    /** Farthest lean in a turn. 0: it does not bank. */
    bankMaxDeg: number('Banks up to (0: does not)', 'deg', 0, 80, 1),
    /** Arm, pole or rope between its stand and the camera. 0: none. */
    armM: number('Arm, pole or rope (0: none)', 'm', 0, 50, 0.1),
    /** Room it needs about the lens: rotor disc, cage, hands. */
    clearM: number('Room it needs about the lens', 'm', 0, 10, 0.05),
    /** Slow and normal stick or joystick speed as shares of the limits above. */
    slowShare: number('Slow stick, part of the limits', 'plain', 0.01, 1, 0.05),
    normalShare: number('Normal stick, part of the limits', 'plain', 0.01, 1, 0.05),
    /** How long it runs on one battery, or how long arms hold it. 0: does not matter. */
    runMin: number('One go lasts, minutes (0: no end)', 'plain', 0, 1000, 1),
    /** Shares of the body's up and down, and of its shaking, that reach the camera. */
    bobShare: number('Part of the body’s bob that gets through', 'plain', 0, 2, 0.05),
    shakeShare: number('Part of its shaking that gets through', 'plain', 0, 2, 0.01),
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
  stepRateHz: number('Steps a second', 'plain', 0.1, 60, 0.1),
  bobMm: number('Up and down, peak to peak', 'size', 0, 500, 1),
  /** Side to side, at half the step rate. */
  swayMm: number('Side to side', 'size', 0, 500, 1),
  /** Lean from side to side, at half the step rate. */
  leanDeg: number('Lean from side to side', 'tenth', 0, 45, 0.1),
  /** The speed these figures belong to. 0: they do not depend on speed. */
  usualMps: number('At this speed (0: at any)', 'mps', 0, 30, 0.1),
  /** Tremor of the hands, root mean square, at rest too. */
  shakeDeg: number('Tremor of the hands', 'tenth', 0, 20, 0.1),
});

export const FILTER_KINDS = ['nd', 'variableNd', 'polariser'] as const;

/** A filter and the stops of light it takes; a variable one takes from the least to the most. */
export const FilterSchema = z
  .strictObject({
    ...named,
    kind: z.enum(FILTER_KINDS),
    stopsMin: number('Stops at least', 'plain', 0, 24, 0.5),
    stopsMax: number('Stops at most', 'plain', 0, 24, 0.5),
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
