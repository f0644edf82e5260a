import * as z from 'zod';

const named = { id: z.string().min(1), name: z.string().min(1).max(80) };

/** A camera: the sensor area it records from, the picture it writes, and the frame rates it offers. */
export const CameraSchema = z.strictObject({
  ...named,
  sensorWidthMm: z.number().min(1).max(120),
  sensorHeightMm: z.number().min(1).max(120),
  pictureWidthPx: z.number().int().min(160).max(20000),
  pictureHeightPx: z.number().int().min(120).max(20000),
  frameRatesHz: z.array(z.number().min(1).max(2000)).min(1),
});

/** A lens. A prime has equal shortest and longest focal lengths. */
export const LensSchema = z
  .strictObject({
    ...named,
    focalLengthMinMm: z.number().min(1).max(3000),
    focalLengthMaxMm: z.number().min(1).max(3000),
    closestFocusM: z.number().min(0).max(50),
  })
  .refine((lens) => lens.focalLengthMaxMm >= lens.focalLengthMinMm, {
    path: ['focalLengthMaxMm'],
    error: 'must not be below focalLengthMinMm; swap the two',
  });

/** What carries the camera, and how far, high and fast it goes. Heights are of the lens above the ground it stands on. */
export const RigSchema = z
  .strictObject({
    ...named,
    kind: z.enum(['tripod', 'slider', 'gimbal', 'drone']),
    /** Longest travel in one go. 0 for a tripod. */
    travelM: z.number().min(0).max(5000),
    heightMinM: z.number().min(0).max(500),
    heightMaxM: z.number().min(0).max(500),
    speedMaxMps: z.number().min(0).max(60),
    panRateMaxDegps: z.number().min(1).max(1000),
    tiltMinDeg: z.number().min(-90).max(90),
    tiltMaxDeg: z.number().min(-90).max(90),
  })
  .refine((rig) => rig.heightMaxM >= rig.heightMinM, { path: ['heightMaxM'], error: 'must not be below heightMinM; swap the two' })
  .refine((rig) => rig.tiltMaxDeg >= rig.tiltMinDeg, { path: ['tiltMaxDeg'], error: 'must not be below tiltMinDeg; swap the two' });

export const KitSchema = z.strictObject({
  cameras: z.array(CameraSchema).min(1),
  lenses: z.array(LensSchema).min(1),
  rigs: z.array(RigSchema).min(1),
});

export type Camera = z.infer<typeof CameraSchema>;
export type Lens = z.infer<typeof LensSchema>;
export type Rig = z.infer<typeof RigSchema>;
export type Kit = z.infer<typeof KitSchema>;
