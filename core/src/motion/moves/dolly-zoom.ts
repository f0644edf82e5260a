import type { DollyZoomMove } from '../../model/move';
import { radial } from './radial';
import type { Recipe } from './recipe';

export const dollyZoom: Recipe<DollyZoomMove> = {
  kind: 'dollyZoom',
  title: 'Dolly zoom',
  purpose: 'Hold the subject’s size with the zoom while the camera closes in or backs off: the world behind stretches or swells.',
  zoom: 'holdSubjectHeight',
  ...radial<DollyZoomMove>(),
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'dollyZoom',
    ...pivot,
    heightM,
    bearingDeg,
    fromDistanceM: distanceM,
    toDistanceM: distanceM * 1.8,
  }),
};
