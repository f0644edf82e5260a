import { GRAVITY } from './elliptic';

/**
 * How long two arms hold a mass still, and how long they rest after it.
 *
 * Endurance of a muscle that is held at a share F of its greatest force (Rohmert 1960, Ergonomics 3(2), from memory):
 * t = −1.5 + 2.1/F − 0.6/F² + 0.1/F³ minutes; up to 15% without end. A shoulder lifts about 50 N m (occupational
 * biomechanics gives 40 to 90; from memory), and an arm held out weighs 3.5 kg at 0.3 of its reach from it.
 */
const SHOULDER_NM = 50;
const ARM_KG = 3.5;
const ARM_SHARE = 0.4;
const ENDLESS = 0.15;

/**
 * @param massKg what is held, by both hands
 * @param reachM how far before the shoulders it is held
 * @returns minutes, Infinity where it tires nobody, 0 where it cannot be held
 */
export function armsLastMin(massKg: number, reachM: number): number {
  const momentNm = GRAVITY * reachM * (massKg / 2 + ARM_KG * ARM_SHARE);
  const share = momentNm / SHOULDER_NM;
  if (share <= ENDLESS) return Infinity;
  if (share >= 1) return 0;
  return Math.max(0, -1.5 + 2.1 / share - 0.6 / share ** 2 + 0.1 / share ** 3);
}

/**
 * How far before the shoulders hands hold a camera at a height of the lens, m: hanging below the hips, before the chest,
 * above the head. Common practice, no published source.
 */
export const heldOutM = (lensHeightM: number): number => (lensHeightM < 0.7 ? 0.2 : lensHeightM < 1.7 ? 0.35 : 0.45);
