import type { Gait, Rig, RigKind } from './kit';

/**
 * What each kind of rig usually does: common practice, no published source. An operator types over them in the kit with
 * their own measured figures.
 */
const USUAL: Record<RigKind, Omit<Rig, 'id' | 'name' | 'kind'>> = {
  tripod: figures({ heightMinM: 0.4, heightMaxM: 1.9, panRateMaxDegps: 90, clearM: 0.2 }),
  slider: figures({ travelM: 1.2, heightMinM: 0.15, heightMaxM: 1.7, speedMaxMps: 0.5, climbMaxMps: 0.4, accelerationMaxMps2: 0.8, panRateMaxDegps: 60, tiltMinDeg: -60, tiltMaxDeg: 60, rollMaxDeg: 90, clearM: 0.15, shakeShare: 0.02 }), // prettier-ignore
  jib: figures({ travelM: 6, heightMinM: 0.3, heightMaxM: 3.6, speedMaxMps: 1, climbMaxMps: 0.8, accelerationMaxMps2: 0.8, panRateMaxDegps: 60, tiltMinDeg: -90, armM: 2.2, clearM: 0.3, shakeShare: 0.05 }), // prettier-ignore
  tableTopArm: figures({ travelM: 5, heightMinM: 0.5, heightMaxM: 1.8, speedMaxMps: 0.4, climbMaxMps: 0.1, accelerationMaxMps2: 0.5, panRateMaxDegps: 60, tiltMinDeg: -90, armM: 0.6, clearM: 0.12, shakeShare: 0.05 }), // prettier-ignore
  gimbal: figures({ travelM: 60, heightMinM: 0.25, heightMaxM: 2.3, speedMaxMps: 1.6, climbMaxMps: 0.8, accelerationMaxMps2: 2, panRateMaxDegps: 120, tiltRateMaxDegps: 120, rollMaxDeg: 45, clearM: 0.25, runMin: 480, bobShare: 0.85, shakeShare: 0.04 }), // prettier-ignore
  sled: figures({ travelM: 80, heightMinM: 0.4, heightMaxM: 1.9, speedMaxMps: 3, climbMaxMps: 0.4, accelerationMaxMps2: 1.5, panRateMaxDegps: 90, tiltMinDeg: -30, tiltMaxDeg: 30, clearM: 0.35, runMin: 20, bobShare: 0.3, shakeShare: 0.1 }), // prettier-ignore
  hand: figures({ travelM: 30, heightMinM: 0.2, heightMaxM: 2.3, speedMaxMps: 1.5, climbMaxMps: 0.8, accelerationMaxMps2: 2.5, panRateMaxDegps: 360, tiltRateMaxDegps: 360, tiltMinDeg: -90, tiltMaxDeg: 90, rollMaxDeg: 180, clearM: 0.2, runMin: 15, bobShare: 1, shakeShare: 1 }), // prettier-ignore
  bodyMount: figures({ travelM: 60, heightMinM: 0.9, heightMaxM: 1.6, speedMaxMps: 2.5, climbMaxMps: 0.3, accelerationMaxMps2: 1.5, panRateMaxDegps: 90, tiltMinDeg: -30, tiltMaxDeg: 30, clearM: 0.35, bobShare: 0.9, shakeShare: 0.5 }), // prettier-ignore
  drone: figures({ travelM: 800, heightMinM: 1.5, heightMaxM: 120, speedMaxMps: 15, climbMaxMps: 5, accelerationMaxMps2: 4, panRateMaxDegps: 90, tiltRateMaxDegps: 60, tiltMinDeg: -90, tiltMaxDeg: 30, bankMaxDeg: 30, clearM: 0.5, slowShare: 0.2, normalShare: 0.55, runMin: 22 }), // prettier-ignore
  wheels: figures({
    travelM: 60,
    heightMinM: 0.2,
    heightMaxM: 2,
    speedMaxMps: 5,
    accelerationMaxMps2: 1,
    panRateMaxDegps: 90,
    clearM: 0.5,
    bobShare: 1,
    shakeShare: 0.3,
  }),
  vehicle: figures({
    travelM: 1000,
    heightMinM: 0.4,
    heightMaxM: 2.2,
    speedMaxMps: 11,
    accelerationMaxMps2: 1.5,
    panRateMaxDegps: 90,
    clearM: 1.2,
    bobShare: 0.6,
    shakeShare: 0.3,
  }),
  turntable: figures({
    heightMinM: 0.02,
    heightMaxM: 1.5,
    panRateMaxDegps: 200,
    tiltMinDeg: -10,
    tiltMaxDeg: 90,
    clearM: 0.2,
  }),
  rollLever: figures({ travelM: 4, heightMinM: 0.2, heightMaxM: 2.6, speedMaxMps: 2, climbMaxMps: 2, accelerationMaxMps2: 4, panRateMaxDegps: 60, tiltMinDeg: -30, tiltMaxDeg: 30, rollMaxDeg: 180, armM: 1, clearM: 0.25, shakeShare: 0.1 }), // prettier-ignore
  rope: figures({ travelM: 8, heightMinM: 0.3, heightMaxM: 6, speedMaxMps: 4, climbMaxMps: 1.5, accelerationMaxMps2: 5, panRateMaxDegps: 30, tiltMinDeg: -60, tiltMaxDeg: 30, armM: 5, clearM: 0.4, shakeShare: 0.2 }), // prettier-ignore
};

function figures(own: Partial<Omit<Rig, 'id' | 'name' | 'kind'>>): Omit<Rig, 'id' | 'name' | 'kind'> {
  return {
    travelM: 0,
    heightMinM: 0,
    heightMaxM: 2,
    speedMaxMps: 0,
    climbMaxMps: 0,
    accelerationMaxMps2: 1,
    panRateMaxDegps: 90,
    tiltRateMaxDegps: 60,
    tiltMinDeg: -80,
    tiltMaxDeg: 80,
    rollMaxDeg: 0,
    bankMaxDeg: 0,
    armM: 0,
    clearM: 0.2,
    slowShare: 0.25,
    normalShare: 0.6,
    runMin: 0,
    bobShare: 0,
    shakeShare: 0,
    ...own,
  };
}

/** A rig of a kind with its usual figures; own figures win. */
export function usualRig(kind: RigKind, own: Partial<Rig> & Pick<Rig, 'id' | 'name'>): Rig {
  return { kind, ...USUAL[kind], ...own };
}

export const DEFAULT_RIGS: Rig[] = [
  usualRig('tripod', { id: 'rig-tripod', name: 'Tripod, fluid head' }),
  usualRig('slider', { id: 'rig-slider-120', name: 'Slider 1.2 m' }),
  usualRig('slider', {
    id: 'rig-slider-240',
    name: 'Slider 2.4 m on two stands',
    travelM: 2.4,
    heightMinM: 0.5,
    speedMaxMps: 0.8,
  }),
  usualRig('gimbal', { id: 'rig-gimbal', name: 'Gimbal on foot' }),
  usualRig('gimbal', { id: 'rig-gimbal-low', name: 'Gimbal slung low', heightMinM: 0.08, heightMaxM: 0.8 }),
  usualRig('gimbal', {
    id: 'rig-gimbal-pole',
    name: 'Gimbal on a pole',
    heightMinM: 1.2,
    heightMaxM: 3.8,
    speedMaxMps: 1,
    armM: 1.8,
    clearM: 0.3,
    runMin: 5,
    shakeShare: 0.1,
  }),
  usualRig('sled', { id: 'rig-sled', name: 'Counterweighted sled' }),
  usualRig('hand', { id: 'rig-hand', name: 'Hand-held' }),
  usualRig('hand', {
    id: 'rig-shoulder',
    name: 'On the shoulder',
    heightMinM: 1.3,
    heightMaxM: 1.8,
    bobShare: 0.9,
    shakeShare: 0.4,
  }),
  usualRig('hand', {
    id: 'rig-legs',
    name: 'Hand-held, tripod legs as counterweight',
    heightMinM: 0.5,
    heightMaxM: 2,
    bobShare: 0.9,
    shakeShare: 0.35,
  }),
  usualRig('bodyMount', { id: 'rig-waist', name: 'Legs hooked at the waist' }),
  usualRig('jib', { id: 'rig-jib', name: 'Small jib' }),
  usualRig('tableTopArm', { id: 'rig-table-arm', name: 'Table-top arm' }),
  usualRig('drone', { id: 'rig-drone', name: 'Drone, small' }),
  usualRig('drone', { id: 'rig-drone-held', name: 'Drone held in the hand', travelM: 10, heightMinM: 0.5, heightMaxM: 2.3, speedMaxMps: 1.2, climbMaxMps: 0.8, bankMaxDeg: 0, bobShare: 0.9, shakeShare: 0.05 }), // prettier-ignore
  usualRig('wheels', { id: 'rig-board', name: 'Stand-on board' }),
  usualRig('wheels', { id: 'rig-trailer', name: 'Trailer behind a bicycle', clearM: 0.7 }),
  usualRig('vehicle', { id: 'rig-cart', name: 'Garden cart mount' }),
  usualRig('turntable', { id: 'rig-turntable', name: 'Turntable, 33⅓ turns a minute' }),
  usualRig('rollLever', { id: 'rig-roll-lever', name: 'Hinged roll pole' }),
  usualRig('rope', { id: 'rig-rope', name: 'Rope, 5 m' }),
];

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
};
