import type { Filter } from '../model/kit';
import type { Setup } from '../model/shoot';
import { airyDiscMm, excessStops, flickerOff, neutralDensity, type NeutralDensity } from './exposure';
import { nearestFilters, stackSet, type FilterStack } from './filter-stack';
import { exposureTimeS } from './shutter';

/** What a shot lets in against its light. Stops: positive, too bright. */
export interface ShotExposure {
  exposureS: number;
  /** Without any neutral filter; a polariser before the lens is counted. */
  excessStops: number;
  needed: NeutralDensity;
  /** What of the kit comes nearest. */
  nearest: FilterStack;
  /** What is before the lens, set as well as it can be; what it leaves. */
  mounted: FilterStack;
  polariserStops: number;
  /** The Airy disc in pixels of the recording. */
  airyPixels: number;
  flickerOff: number;
}

/** Works out the exposure of a shot. `kitFilters`: what is at hand. `mainsHz`: of the lamps. */
export function exposureOf(setup: Setup, kitFilters: readonly Filter[], mainsHz: number): ShotExposure {
  const { shot, camera, filters } = setup;
  const exposureS = exposureTimeS(shot.shutterDeg, shot.captureRateHz);
  const polariserStops = filters.filter(({ kind }) => kind === 'polariser').reduce((sum, { stopsMin }) => sum + stopsMin, 0);
  const excess = excessStops(shot.light.ev100, shot.fNumber, exposureS, shot.light.iso) - polariserStops;
  return {
    exposureS,
    excessStops: excess,
    needed: neutralDensity(Math.max(0, excess)),
    nearest: nearestFilters(Math.max(0, excess), kitFilters),
    mounted: stackSet(
      filters.filter(({ kind }) => kind !== 'polariser'),
      excess,
    ),
    polariserStops,
    airyPixels: airyDiscMm(shot.fNumber) / (camera.sensorWidthMm / camera.pictureWidthPx),
    flickerOff: flickerOff(exposureS, mainsHz),
  };
}
