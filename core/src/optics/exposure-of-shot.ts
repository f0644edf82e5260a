import type { Filter, Setup } from '../model';
import { recordedFrameMm } from './angle-of-view';
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

/**
 * How wide a pixel of the recording is on the sensor, mm: a picture narrower than the sensor leaves its sides away, a
 * wider one its top and bottom.
 */
const pixelMm = (camera: Setup['camera']): number => recordedFrameMm(camera).widthMm / camera.pictureWidthPx;

/** Works out the exposure of a shot. `kitFilters`: what is at hand. `mainsHz`: of the lamps. */
export function exposureOf(setup: Setup, kitFilters: readonly Filter[], mainsHz: number): ShotExposure {
  const { shot, camera, filters } = setup;
  const exposureS = exposureTimeS(shot.shutterDeg, shot.captureRateHz);
  const polariserStops = filters
    .filter(({ kind }) => kind === 'polariser')
    .reduce((sum, { stopsMin }) => sum + stopsMin, 0);
  const excess = excessStops(shot.light.ev100, shot.fNumber, exposureS, shot.light.iso) - polariserStops;
  return {
    exposureS,
    excessStops: excess,
    needed: neutralDensity(Math.max(0, excess)),
    nearest: nearestFilters(excess, kitFilters),
    mounted: stackSet(
      filters.filter(({ kind }) => kind !== 'polariser'),
      excess,
    ),
    polariserStops,
    airyPixels: airyDiscMm(shot.fNumber) / pixelMm(camera),
    flickerOff: flickerOff(exposureS, mainsHz),
  };
}

/**
 * What to do where it is too dark: what takes light away comes off first. `fastHz`: the rate of a shot that records
 * faster than it is shown, or null.
 */
export function tooDarkAdvice(
  { excessStops, mounted }: Pick<ShotExposure, 'excessStops' | 'mounted'>,
  fastHz: number | null,
): string {
  const more =
    fastHz === null
      ? 'open the stop, raise the ISO or bring light'
      : 'open the stop, raise the ISO, bring light, or record fewer frames';
  if (mounted.filters.length > 0) {
    const off = `Take ${mounted.filters.map(({ filter }) => filter.name).join(' and ')} off first`;
    if (excessStops >= -0.05) return `${off}.`;
    const left = Math.abs(excessStops).toFixed(1).replace(/\.0$/, '');
    return `${off}: without, it is ${left} ${left === '1' ? 'stop' : 'stops'} too dark. Then ${more}.`;
  }
  const light =
    fastHz === null ? '' : `${Math.round(fastHz)} frames a second want light: each doubling of the rate costs a stop. `;
  return `${light}${more.charAt(0).toUpperCase()}${more.slice(1)}.`;
}
