import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { type Filter, setupOf, type Shoot, type Shot } from '../model';
import { exposureOf } from '../optics';
import { type CompareBy, compareLenses, focusPlan, timePlan, verdictOnLenses } from '../reading';

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
    units: {
      focalLengthMm: 'mm',
      distanceM: 'm',
      subjectHeight: 'frame heights',
      nearSpeed: 'frame widths/s',
      subjectSpeed: 'frame widths/s',
      farSpeed: 'frame widths/s',
      subjectBlur: 'frame widths',
      blur: 'frame widths',
      parallax: 'frame widths/s',
      nearSlide: 'frame widths',
      farSlide: 'frame widths',
      slidePerM: 'frame widths/m',
      slidePerDeg: 'frame widths/degree',
      backgroundGrowth: '×',
      wobble: 'frame widths',
      sharpFromM: 'm',
      sharpToM: 'm, null: infinity',
    },
  };
}

/** What `arc focus` prints. */
export function focusJson(shoot: Shoot, shot: Shot) {
  const plan = focusPlan(plannedFilm(sceneOf(shoot, shot)));
  return {
    name: shot.name,
    fNumber: shot.fNumber,
    confusionMm: plan.confusionMm,
    hyperfocalM: plan.hyperfocalM,
    pull: plan.pull,
    pullers: plan.pullers,
    band: { nearM: plan.band.nearM, farM: number(plan.band.farM), atS: plan.band.atS },
    one: plan.one,
    marks: plan.marks,
    marksSharpShare: plan.marksSharpShare,
    samples: Array.from(plan.screenS, (screenT, i) => ({
      screenT,
      focusM: plan.focusM[i],
      subjectM: number(plan.subjectM[i]),
      nearM: plan.nearM[i],
      farM: number(plan.farM[i]),
    })),
  };
}

/** What `arc exposure` prints. */
export function exposureJson(shoot: Shoot, shot: Shot, kitFilters: readonly Filter[], mainsHz: number) {
  const { nearest, mounted, ...exposure } = exposureOf(setupOf(shoot, shot), kitFilters, mainsHz);
  const stack = ({ filters, leftStops }: typeof nearest) => ({
    filters: filters.map(({ filter, stops }) => ({ name: filter.name, stops })),
    leftStops,
  });
  const { fNumber, shutterDeg, captureRateHz, light } = shot;
  return {
    name: shot.name,
    fNumber,
    shutterDeg,
    captureRateHz,
    ...light,
    mainsHz,
    ...exposure,
    nearest: stack(nearest),
    mounted: stack(mounted),
  };
}

/** What `arc time` prints. */
export function timeJson(shoot: Shoot, shot: Shot) {
  return {
    name: shot.name,
    captureRateHz: shot.captureRateHz,
    frameRateHz: shot.frameRateHz,
    ...timePlan(plannedFilm(sceneOf(shoot, shot))),
  };
}
