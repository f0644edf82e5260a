import type { Wheels } from '../../model';
import { GRAVITY } from '../elliptic';

export interface WheelsStop {
  thinkingM: number;
  brakingM: number;
  stoppingM: number;
  energyJ: number;
  /** How often the wheel turns: an uneven wheel shakes this often a second. */
  wheelHz: number;
}

const RAD = Math.PI / 180;

/**
 * Stopping: the way while reacting, v t, and while braking down a slope, v² / 2g(μ cos φ − sin φ). Where the slope is
 * steeper than the grip it never stops: infinite.
 */
export function wheelsStop({
  speedMps,
  reactionS,
  grip,
  massKg,
  wheelMm,
  downhillDeg,
}: Pick<Wheels, 'speedMps' | 'reactionS' | 'grip' | 'massKg' | 'wheelMm' | 'downhillDeg'>): WheelsStop {
  const thinkingM = speedMps * reactionS;
  const brakes = grip * Math.cos(downhillDeg * RAD) - Math.sin(downhillDeg * RAD);
  const brakingM = speedMps === 0 ? 0 : brakes > 0 ? speedMps ** 2 / (2 * brakes * GRAVITY) : Infinity;
  return {
    thinkingM,
    brakingM,
    stoppingM: thinkingM + brakingM,
    energyJ: (massKg * speedMps ** 2) / 2,
    wheelHz: speedMps / (Math.PI * (wheelMm / 1000)),
  };
}
