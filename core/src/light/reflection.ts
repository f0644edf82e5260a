const DEG = 180 / Math.PI;

/** How strongly light is bent by what coats a surface: usual indices (paint's clear coat and glass 1.5, water 1.333). */
export const INDEX = { paint: 1.5, glass: 1.5, water: 1.333 } as const;

/**
 * The angle from a surface's normal at which all light that comes back from it is of one direction, so that a polariser
 * can take it whole: atan(n), Brewster 1815 (56.3° for n = 1.5; in any textbook of optics, e.g. Hecht, from memory).
 */
export const brewsterDeg = (index: number): number => Math.atan(index) * DEG;

/**
 * Shares of light that come back from a surface at an angle from its normal, for light across the plane of incidence and
 * in it: Fresnel's equations (Hecht, from memory).
 */
export function reflectedShares(index: number, angleDeg: number): { across: number; inPlane: number } {
  const cosIn = Math.cos(angleDeg / DEG);
  const cosThrough = Math.sqrt(1 - (Math.sin(angleDeg / DEG) / index) ** 2);
  const across = ((cosIn - index * cosThrough) / (cosIn + index * cosThrough)) ** 2;
  const inPlane = ((index * cosIn - cosThrough) / (index * cosIn + cosThrough)) ** 2;
  return { across, inPlane };
}

/** How much of unpolarised light that comes back a polariser leaves when it is turned for the best, 0 to 0.5. */
export function leftByPolariser(index: number, angleDeg: number): number {
  const { across, inPlane } = reflectedShares(index, angleDeg);
  return inPlane / (across + inPlane);
}
