import type { Rope } from '../../model';
import { completeK, GRAVITY } from '../elliptic';

const RAD = Math.PI / 180;

export interface RopeSwing {
  /** To and fro once: for a small swing, and for this one. */
  smallPeriodS: number;
  periodS: number;
  reachM: number;
  riseM: number;
  speedMaxMps: number;
  /** Tension hanging still, at the lowest point of the swing, and at its ends, N. */
  stillN: number;
  lowestN: number;
  endN: number;
}

/**
 * A camera of a mass on a rope let go at an angle: 2π√(L/g), with the complete elliptic integral for a wide swing; T =
 * m g (3 cos φ − 2 cos φ₀) along it.
 */
export function ropeSwing(rope: Rope, massKg: number): RopeSwing {
  const lengthM = rope.lengthMm / 1000;
  const from = rope.swingDeg * RAD;
  const weightN = massKg * GRAVITY;
  const smallPeriodS = 2 * Math.PI * Math.sqrt(lengthM / GRAVITY);
  return {
    smallPeriodS,
    periodS: (smallPeriodS * 2 * completeK(Math.sin(from / 2))) / Math.PI,
    reachM: 2 * lengthM * Math.sin(from),
    riseM: lengthM * (1 - Math.cos(from)),
    speedMaxMps: Math.sqrt(2 * GRAVITY * lengthM * (1 - Math.cos(from))),
    stillN: weightN,
    lowestN: weightN * (3 - 2 * Math.cos(from)),
    endN: weightN * Math.cos(from),
  };
}
