import type { Body, Pose, Size } from './piece';

/**
 * Heights of a body's parts above the sole and its breadths, as shares of stature. Grown-ups: Drillis & Contini 1966,
 * *Body Segment Parameters*, as drawn in D. A. Winter, *Biomechanics and Motor Control of Human Movement* (from memory);
 * the knees and seat of who sits: about the mid-range of the same stature in NASA-STD-3000 (from memory). Children: the
 * proportions of about six years, whose head is a sixth of the stature (growth charts in drawing handbooks, from memory).
 */
export interface BodyMeasures {
  eyes: number;
  chin: number;
  shoulders: number;
  chest: number;
  elbows: number;
  waist: number;
  hips: number;
  knees: number;
  ankles: number;
  shoulderBreadth: number;
  hipBreadth: number;
  upperArm: number;
  forearm: number;
  hand: number;
  foot: number;
  /** From the seat to the crown, and from the floor to the seat. */
  sitting: number;
  seat: number;
}

export const BODIES: Record<Body, BodyMeasures> = {
  adult: {
    eyes: 0.936,
    chin: 0.87,
    shoulders: 0.818,
    chest: 0.72,
    elbows: 0.63,
    waist: 0.61,
    hips: 0.53,
    knees: 0.285,
    ankles: 0.039,
    shoulderBreadth: 0.259,
    hipBreadth: 0.191,
    upperArm: 0.186,
    forearm: 0.146,
    hand: 0.108,
    foot: 0.152,
    sitting: 0.52,
    seat: 0.245,
  },
  child: {
    eyes: 0.915,
    chin: 0.833,
    shoulders: 0.785,
    chest: 0.69,
    elbows: 0.6,
    waist: 0.58,
    hips: 0.49,
    knees: 0.265,
    ankles: 0.04,
    shoulderBreadth: 0.25,
    hipBreadth: 0.18,
    upperArm: 0.175,
    forearm: 0.14,
    hand: 0.1,
    foot: 0.15,
    sitting: 0.545,
    seat: 0.235,
  },
};

/** How high the hips of a pose are above its base, as a share of stature. Common practice, no published source. */
export function hipsOf(pose: Pose, body: Body): number {
  const { hips, seat } = BODIES[body];
  return { stand: hips, sit: seat + 0.05, crouch: 0.2, lie: 0.07, ride: 0.4 }[pose];
}

/** What a body fills in a pose, from its sizes standing upright. The base stays in the middle under it. */
export function posedSize(figure: Size & { pose: Pose; body: Body }): Size {
  const { lengthM, depthM, heightM } = figure;
  const { sitting, seat } = BODIES[figure.body];
  switch (figure.pose) {
    case 'stand':
      return { lengthM, depthM, heightM };
    case 'sit':
      return { lengthM: Math.max(lengthM, heightM * 0.42), depthM, heightM: heightM * (seat + sitting) };
    case 'crouch':
      return { lengthM: Math.max(lengthM, heightM * 0.4), depthM, heightM: heightM * (0.15 + sitting) };
    case 'lie':
      return { lengthM: heightM, depthM, heightM: Math.min(lengthM, heightM * 0.16) };
    case 'ride':
      return { lengthM: Math.max(lengthM, heightM * 0.42), depthM, heightM: heightM * (0.34 + sitting * 0.96) };
  }
}
