/** Density of air at sea level, kg/m³ (International Standard Atmosphere, ISO 2533). */
export const AIR_DENSITY = 1.225;

/** Drag of a flat, blunt thing across the wind (Hoerner, Fluid-Dynamic Drag; from memory). */
export const BLUNT_DRAG = 1.2;

/** Growth of wind with height over open ground, the one-seventh power law (from memory). */
const HEIGHT_EXPONENT = 1 / 7;

/** Pressure of a wind on what stops it, Pa: ½ρv². */
export const windPressurePa = (windMps: number): number => 0.5 * AIR_DENSITY * windMps ** 2;

/** Force on a blunt thing of an area, N. */
export const windForceN = (windMps: number, areaM2: number): number => BLUNT_DRAG * windPressurePa(windMps) * areaM2;

/** Wind at a height over open ground from the wind at 10 m, m/s; below 1 m as at 1 m. */
export const windAtHeightMps = (windAt10Mps: number, heightM: number): number =>
  windAt10Mps * (Math.max(1, heightM) / 10) ** HEIGHT_EXPONENT;

/** Lower bounds, m/s, and names of the Beaufort scale as in the WMO manual (from memory). */
const BEAUFORT: readonly [number, string][] = [
  [0, 'calm'],
  [0.3, 'light air'],
  [1.6, 'light breeze'],
  [3.4, 'gentle breeze'],
  [5.5, 'moderate breeze'],
  [8, 'fresh breeze'],
  [10.8, 'strong breeze'],
  [13.9, 'near gale'],
  [17.2, 'gale'],
  [20.8, 'strong gale'],
  [24.5, 'storm'],
  [28.5, 'violent storm'],
  [32.7, 'hurricane'],
];

/** Force of a wind on the Beaufort scale and its name. */
export function beaufort(windMps: number): { force: number; name: string } {
  const force = BEAUFORT.filter(([from]) => windMps >= from).length - 1;
  return { force: Math.max(0, force), name: BEAUFORT[Math.max(0, force)][1] };
}

export const sayWind = (windMps: number): string =>
  `${Math.round(windMps * 10) / 10} m/s, force ${beaufort(windMps).force}, ${beaufort(windMps).name}`;
