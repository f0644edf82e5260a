import type { Setup } from '../model/shoot';
import { setupOf, type Shoot } from '../model/shoot';
import type { Shot } from '../model/shot';
import { airyDiscMm, excessStops, flickerOff, nearestStack, neutralDensity } from '../optics/exposure';
import { exposureTimeS } from '../optics/shutter';
import { compareLenses, verdictOnLenses, type CompareBy } from '../reading/compare-lenses';
import { focusPlan } from '../reading/focus-plan';

const number = (value: number | null): number | null => (value !== null && Number.isFinite(value) ? value : null);

/** What `arc lens` prints. Fields are described in docs/formats.md; what cannot be measured, and infinity, is null. */
export function lensJson(shoot: Shoot, shot: Shot, focalLengthsMm: readonly number[], by: CompareBy) {
  const columns = compareLenses(shoot, shot, focalLengthsMm, by);
  return {
    name: shot.name,
    by,
    verdict: verdictOnLenses(columns, by),
    lenses: columns.map(({ shot: taken, ...column }) => ({
      ...column,
      lensId: taken.lensId,
      distanceM: number(column.distanceM),
      subjectHeight: number(column.subjectHeight),
      sharpToM: number(column.sharpToM),
    })),
    units: { focalLengthMm: 'mm', distanceM: 'm', subjectHeight: 'frame heights', nearSpeed: 'frame widths/s', farSpeed: 'frame widths/s', parallax: 'frame widths/s', nearSlide: 'frame widths', farSlide: 'frame widths', slidePerM: 'frame widths/m', slidePerDeg: 'frame widths/degree', backgroundGrowth: '×', wobble: 'frame widths', sharpFromM: 'm', sharpToM: 'm, null: infinity' }, // prettier-ignore
  };
}

/** What `arc focus` prints. */
export function focusJson(shoot: Shoot, shot: Shot) {
  const plan = focusPlan(shoot, shot);
  return {
    name: shot.name,
    fNumber: shot.fNumber,
    confusionMm: plan.confusionMm,
    hyperfocalM: plan.hyperfocalM,
    pull: plan.pull,
    band: { nearM: plan.band.nearM, farM: number(plan.band.farM) },
    marks: plan.marks,
    samples: Array.from(plan.screenS, (screenT, i) => ({ screenT, focusM: plan.focusM[i], subjectM: number(plan.subjectM[i]), nearM: plan.nearM[i], farM: number(plan.farM[i]) })),
  };
}

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

/** What `arc exposure` prints. */
export function exposureJson(shoot: Shoot, shot: Shot, light: Light) {
  return { name: shot.name, fNumber: shot.fNumber, shutterDeg: shot.shutterDeg, captureRateHz: shot.captureRateHz, light, ...exposureOf(setupOf(shoot, shot), light) };
}
