import type { Setup } from '../model/shoot';
import { airyDiscMm, excessStops, flickerOff, nearestStack, neutralDensity } from './exposure';
import { exposureTimeS } from './shutter';

/** How bright a scene is, and what is at hand. */
export interface Light {
  ev100: number;
  iso: number;
  /** Filters in stops. */
  filters: readonly number[];
  mainsHz: number;
}

/** What a shot lets in against the light there is: the filter it needs, and what is wrong with the shutter or the stop. */
export function exposureOf(setup: Setup, { ev100, iso, filters, mainsHz }: Light) {
  const { shot, camera } = setup;
  const exposureS = exposureTimeS(shot.shutterDeg, shot.captureRateHz);
  const excess = excessStops(ev100, shot.fNumber, exposureS, iso);
  const stack = nearestStack(Math.max(0, excess), filters);
  const pixelMm = camera.sensorWidthMm / camera.pictureWidthPx;
  return {
    exposureS,
    excessStops: excess,
    needed: neutralDensity(Math.max(0, excess)),
    stack: stack.filters,
    leftStops: excess - stack.filters.reduce((a, b) => a + b, 0),
    /** The Airy disc in pixels of the recording: from about 2.5 on the stop softens the picture. */
    airyPixels: airyDiscMm(shot.fNumber) / pixelMm,
    flickerOff: flickerOff(exposureS, mainsHz),
  };
}
