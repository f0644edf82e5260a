/** Incident-light constant of ISO 2720 at ISO 100, lux seconds over 100: `EV100 = log2(lux / 2.5)` (from memory). */
const LUX_AT_EV_0 = 2.5;

/** What a meter held to so much light reads, exposure value at ISO 100; −Infinity in the dark. */
export const evOfLux = (lux: number): number => Math.log2(lux / LUX_AT_EV_0);

/** The light that a meter reads so, lux. */
export const luxOfEv = (ev100: number): number => LUX_AT_EV_0 * 2 ** ev100;

/** Beyond the edge of a beam its light fades out over so much of its half angle: common practice, no published source. */
const FADE_SHARE = 0.25;

/**
 * Light that a lamp throws at a distance on what faces it, lux: inverse square (Lambert 1760), full within its beam and
 * fading out beyond its edge.
 */
export function luxFrom(lamp: { luxAt1M: number; beamDeg: number }, distanceM: number, offAxisDeg: number): number {
  const half = lamp.beamDeg / 2;
  const beyond = half >= 180 ? 0 : (Math.abs(offAxisDeg) - half) / (half * FADE_SHARE);
  const share = beyond <= 0 ? 1 : beyond >= 1 ? 0 : (1 + Math.cos(Math.PI * beyond)) / 2;
  return (share * lamp.luxAt1M) / Math.max(0.01, distanceM) ** 2;
}
