import type { Gait, RigKind } from './kit';

/**
 * How people and wheels go. Walking: gait literature (from memory): about 2 steps a second, 40 to 50 mm peak to peak at
 * 1.4 m/s. The rest is common practice, no published source.
 */
export const DEFAULT_GAITS: Gait[] = [
  {
    id: 'gait-stand',
    name: 'standing on the ground',
    stepRateHz: 1,
    bobMm: 0,
    swayMm: 0,
    leanDeg: 0,
    usualMps: 0,
    shakeDeg: 0,
  },
  {
    id: 'gait-planted',
    name: 'feet planted, arms move',
    stepRateHz: 0.35,
    bobMm: 6,
    swayMm: 8,
    leanDeg: 0.4,
    usualMps: 0,
    shakeDeg: 0.2,
  },
  {
    id: 'gait-knees',
    name: 'bent knees, heel to toe',
    stepRateHz: 1.8,
    bobMm: 15,
    swayMm: 15,
    leanDeg: 1,
    usualMps: 1,
    shakeDeg: 0.3,
  },
  {
    id: 'gait-walk',
    name: 'a plain walk',
    stepRateHz: 2,
    bobMm: 45,
    swayMm: 40,
    leanDeg: 2,
    usualMps: 1.4,
    shakeDeg: 0.5,
  },
  { id: 'gait-run', name: 'a run', stepRateHz: 2.8, bobMm: 85, swayMm: 45, leanDeg: 3.5, usualMps: 3, shakeDeg: 1.4 },
  {
    id: 'gait-board',
    name: 'rolling on a board',
    stepRateHz: 9,
    bobMm: 3,
    swayMm: 4,
    leanDeg: 0.5,
    usualMps: 2,
    shakeDeg: 0.3,
  },
  {
    id: 'gait-bar',
    name: 'the shaking of a handlebar',
    stepRateHz: 14,
    bobMm: 3,
    swayMm: 2,
    leanDeg: 0.4,
    usualMps: 5,
    shakeDeg: 0.5,
  },
  {
    id: 'gait-vehicle',
    name: 'riding a vehicle',
    stepRateHz: 2.2,
    bobMm: 12,
    swayMm: 8,
    leanDeg: 0.6,
    usualMps: 6,
    shakeDeg: 0.3,
  },
];

/** How a kind of rig usually goes. */
export const USUAL_GAIT: Record<RigKind, string> = {
  tripod: 'gait-stand',
  slider: 'gait-stand',
  jib: 'gait-stand',
  tableTopArm: 'gait-stand',
  gimbal: 'gait-knees',
  sled: 'gait-walk',
  hand: 'gait-planted',
  bodyMount: 'gait-walk',
  drone: 'gait-stand',
  wheels: 'gait-board',
  vehicle: 'gait-vehicle',
  turntable: 'gait-stand',
  rollLever: 'gait-stand',
  rope: 'gait-stand',
  mount: 'gait-walk',
};
