import type { Limits } from '../model';

/** A shutter's blur hides detail finer than this many cycles over its length: half-power width of a box filter. */
const BOX_HALF_POWER = 0.443;

/** How a picture is shown: frames a second, how long each is exposed, and how many pixels across. */
export interface Shown {
  frameRateHz: number;
  exposureS: number;
  widthPx: number;
}

/**
 * Fastest motion in frame widths a second whose steps a sharp eye cannot see: smooth while `rate ≥ w + u v`, with the
 * temporal limit w (Hz) and the finest detail u (cycles a degree) that eye, pixels and the shutter's own blur leave,
 * and v in degrees a second (window of visibility, Watson, Ahumada & Farrell 1986, J. Opt. Soc. Am. A 3(3); w and u are
 * upper bounds, from memory). 0 when steps can be seen at any speed; Infinity when at none.
 */
export function windowSpeed(
  { frameRateHz, exposureS, widthPx }: Shown,
  limits: Pick<Limits, 'windowTemporalHz' | 'windowSpatialCpd' | 'pictureWidthDeg'>,
): number {
  const spare = frameRateHz - limits.windowTemporalHz;
  if (spare <= 0) return 0;
  // Blurred over v·t degrees, detail finer than 0.443 / (v·t) is gone: then u·v is 0.443 / t, however fast.
  if (spare >= BOX_HALF_POWER / exposureS) return Infinity;
  const pixelsCpd = widthPx / limits.pictureWidthDeg / 2;
  return spare / Math.min(limits.windowSpatialCpd, pixelsCpd) / limits.pictureWidthDeg;
}
