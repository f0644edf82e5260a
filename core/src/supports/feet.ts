import type { Spot } from '../site';
import { GRAVITY } from './elliptic';

/** Feet spread evenly about a middle, counter-clockwise; the first at an angle in degrees from +x. */
export function feetAround(feet: number, radiusM: number, firstDeg = 90, [xM, yM]: Spot = [0, 0]): Spot[] {
  return Array.from({ length: feet }, (_, i) => {
    const angle = ((firstDeg + (360 / feet) * i) * Math.PI) / 180;
    return [xM + radiusM * Math.cos(angle), yM + radiusM * Math.sin(angle)];
  });
}

/**
 * How far a centre of mass is inside the edge of its support, m: to the nearest edge of the convex area of the feet
 * (counter-clockwise); negative: outside, it tips.
 */
export function tippingMarginM(feet: readonly Spot[], [xM, yM]: Spot): number {
  return feet.reduce((least, [ax, ay], i) => {
    const [bx, by] = feet[(i + 1) % feet.length];
    return Math.min(least, ((bx - ax) * (yM - ay) - (by - ay) * (xM - ax)) / Math.hypot(bx - ax, by - ay));
  }, Infinity);
}

/**
 * The least margin when the centre of mass is out by so much in whatever direction, m: all round in steps of 5°, and
 * straight at each edge.
 */
export function worstMarginM(feet: readonly Spot[], outM: number): number {
  const towards = (angle: number) => tippingMarginM(feet, [outM * Math.cos(angle), outM * Math.sin(angle)]);
  const edges = feet.map(([ax, ay], i) => {
    const [bx, by] = feet[(i + 1) % feet.length];
    return Math.atan2(ax - bx, by - ay);
  });
  return Math.min(...Array.from({ length: 72 }, (_, i) => towards((i * Math.PI) / 36)), ...edges.map(towards));
}

const BAG_MOST_KG = 200;

/**
 * Least bag that brings a margin to the wished one, kg; 0: none; infinite: none that anybody hangs is enough. `marginM`
 * says the margin with a bag of so many kilograms, which a heavier bag never lessens.
 */
export function leastBagKg(marginM: (bagKg: number) => number, wishM: number): number {
  if (marginM(0) >= wishM) return 0;
  if (marginM(BAG_MOST_KG) < wishM) return Infinity;
  let [less, enough] = [0, BAG_MOST_KG];
  for (let i = 0; i < 50; i += 1) {
    const bagKg = (less + enough) / 2;
    if (marginM(bagKg) < wishM) less = bagKg;
    else enough = bagKg;
  }
  return enough;
}

/** A sideways push at a height moves the point where the weight acts on the ground by this much, m: F z / W. */
export const shiftByPushM = (forceN: number, heightM: number, massKg: number): number =>
  (forceN * heightM) / (massKg * GRAVITY);
