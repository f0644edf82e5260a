import { GRAVITY } from '../balance/elliptic';

/** A point on the ground, m. */
export type Spot = readonly [xM: number, yM: number];

/** Feet spread evenly about a middle, counter-clockwise; the first at an angle in degrees from +x. */
export function feetAround(feet: number, radiusM: number, firstDeg = 90, [xM, yM]: Spot = [0, 0]): Spot[] {
  return Array.from({ length: feet }, (_, i) => {
    const angle = ((firstDeg + (360 / feet) * i) * Math.PI) / 180;
    return [xM + radiusM * Math.cos(angle), yM + radiusM * Math.sin(angle)];
  });
}

/** How far a centre of mass is inside the edge of its support, m: to the nearest edge of the convex area of the feet (counter-clockwise); negative: outside, it tips. */
export function tippingMarginM(feet: readonly Spot[], [xM, yM]: Spot): number {
  return feet.reduce((least, [ax, ay], i) => {
    const [bx, by] = feet[(i + 1) % feet.length];
    return Math.min(least, ((bx - ax) * (yM - ay) - (by - ay) * (xM - ax)) / Math.hypot(bx - ax, by - ay));
  }, Infinity);
}

/** Mass that has to hang under the middle of a stand so that the margin becomes the wished one, kg: it draws the centre of mass towards the middle. 0: none. Infinite: the feet are too near for that margin. */
export function bagForMarginKg(feet: readonly Spot[], middle: Spot, massKg: number, centre: Spot, wishM: number): number {
  const atCentre = tippingMarginM(feet, centre);
  if (atCentre >= wishM) return 0;
  if (tippingMarginM(feet, middle) <= wishM) return Infinity;
  // The margin to each edge is linear in the place, so the centre has to go a known share of the way.
  let [near, far] = [0, 1];
  for (let i = 0; i < 60; i += 1) {
    const share = (near + far) / 2;
    const at: Spot = [centre[0] + share * (middle[0] - centre[0]), centre[1] + share * (middle[1] - centre[1])];
    if (tippingMarginM(feet, at) < wishM) near = share;
    else far = share;
  }
  return (massKg * far) / (1 - far);
}

/** A sideways push at a height moves the point where the weight acts on the ground by this much, m: F z / W. */
export const shiftByPushM = (forceN: number, heightM: number, massKg: number): number => (forceN * heightM) / (massKg * GRAVITY);
