import type { Wheels } from '../../model/build';
import { GRAVITY } from '../balance/elliptic';

export interface WheelsStop {
  thinkingM: number;
  brakingM: number;
  stoppingM: number;
  energyJ: number;
  /** How often the wheel turns: an uneven wheel shakes this often a second. */
  wheelHz: number;
}

/** Stopping: the way while reacting, v t, and while braking on level ground, v² / 2μg. */
export function wheelsStop({ speedMps, reactionS, grip, massKg, wheelMm }: Wheels): WheelsStop {
  const thinkingM = speedMps * reactionS;
  const brakingM = speedMps ** 2 / (2 * grip * GRAVITY);
  return { thinkingM, brakingM, stoppingM: thinkingM + brakingM, energyJ: (massKg * speedMps ** 2) / 2, wheelHz: speedMps / (Math.PI * (wheelMm / 1000)) };
}
