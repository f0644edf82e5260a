/**
 * Daylight on open ground by the sun's altitude: the daylight availability of the IES handbook (Gillette, Pierpoint &
 * Treado 1984, *J. Illum. Eng. Soc.* 13; constants from memory). Kilolux; the sun's altitude in degrees, 0 to 90.
 */
export const SKIES = ['clear', 'partly', 'cloudy'] as const;
export type Sky = (typeof SKIES)[number];

/** Sunlight before it meets the air, klx. */
const SOLAR_KLX = 127.5;
/**
 * How much the air takes from the sun, and what the sky gives: `a + b sin^c(altitude)`. No sun comes through a closed
 * sky.
 */
const SKY: Record<Sky, { extinction: number; a: number; b: number; c: number }> = {
  clear: { extinction: 0.21, a: 0.8, b: 15.5, c: 0.5 },
  partly: { extinction: 0.8, a: 0.3, b: 45, c: 1 },
  cloudy: { extinction: Infinity, a: 0.3, b: 21, c: 1 },
};

/** Light falling on level ground, klx; where only a share of the sun comes through, 0 in the shade. */
export function daylightKlx(sunAltitudeDeg: number, sky: Sky, sunShare = 1): number {
  const up = Math.sin((Math.min(90, Math.max(0, sunAltitudeDeg)) * Math.PI) / 180);
  const { extinction, a, b, c } = SKY[sky];
  const direct = up > 0 && Number.isFinite(extinction) ? SOLAR_KLX * Math.exp(-extinction / up) * up : 0;
  return direct * sunShare + a + b * up ** c;
}

/** Incident-light constant of ISO 2720, lux seconds. */
const INCIDENT = 250;

/** What a meter held to that light reads: exposure value at ISO 100, `log2(100 E / C)`. */
export function evOfDaylight(sunAltitudeDeg: number, sky: Sky, sunShare = 1): number {
  return Math.log2((daylightKlx(sunAltitudeDeg, sky, sunShare) * 1000 * 100) / INCIDENT);
}
