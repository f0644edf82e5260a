import type { Jump } from '../model';

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665;

/** How long a jump is in the air, s: `2 √(2h/g)`, a throw straight up and back. */
export const airtimeS = (heightM: number): number => 2 * Math.sqrt((2 * heightM) / GRAVITY);

/** How high above the way somebody who jumps is at a moment, m: `v t − ½ g t²` in the air, 0 on the ground. */
export function jumpedM(jumps: readonly Jump[], tS: number): number {
  for (const { atS, heightM } of jumps) {
    const airS = airtimeS(heightM);
    const inAirS = tS - atS;
    if (inAirS > 0 && inAirS < airS) return (GRAVITY * inAirS * (airS - inAirS)) / 2;
  }
  return 0;
}
