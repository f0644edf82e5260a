import type { MoveOf } from '../../model';
import { PLAIN, type Recipe } from './recipe';
import { fromTo, radial } from './shapes/radial';
import { standing } from './shapes/standing';

export const zoom: Recipe<MoveOf<'zoom'>> = {
  ...PLAIN,
  ...standing(),
  kind: 'zoom',
  title: 'Zoom',
  purpose:
    'Change the focal length and nothing else: near and far grow alike, so it reads flat. Good for a joke or a start.',
  effect: 'bend',
  joins: 'on',
  travels: false,
  zoom: ({ toFocalLengthMm }) => ({ rule: 'to', focalLengthMm: toFocalLengthMm }),
  startingFrom: (stand, pivot) => ({ kind: 'zoom', ...pivot, ...stand, toFocalLengthMm: 70 }),
};

/** Even zooming means that the distance changes by the same share each second: d = d₀ (d₁/d₀)^s. */
const evenZoom = (s: number, fromM: number, toM: number) =>
  Math.abs(toM / fromM - 1) < 1e-9 ? s : ((toM / fromM) ** s - 1) / (toM / fromM - 1);

export const dollyZoom: Recipe<MoveOf<'dollyZoom'>> = {
  ...PLAIN,
  ...radial(fromTo<MoveOf<'dollyZoom'>>(), ({ pace }) => (pace === 'zoom' ? { reached: evenZoom } : {})),
  kind: 'dollyZoom',
  title: 'Dolly zoom',
  purpose:
    'Hold the subject’s size with the zoom while the camera closes in or backs off: the world behind ' +
    'stretches or swells.',
  effect: 'bend',
  joins: 'on',
  zoom: ({ zoomBy }) => ({ rule: 'holdHeight', by: zoomBy }),
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'dollyZoom',
    ...pivot,
    heightM,
    fromDistanceM: distanceM,
    toDistanceM: Math.min(2000, distanceM * 1.8),
    bearingDeg,
    zoomBy: 'both',
    pace: 'travel',
  }),
};

export const standingDollyZoom: Recipe<MoveOf<'standingDollyZoom'>> = {
  ...PLAIN,
  ...standing(),
  kind: 'standingDollyZoom',
  title: 'Dolly zoom, standing',
  purpose: 'The subject walks and the camera stands: the zoom alone holds its size while the place behind it changes.',
  effect: 'bend',
  joins: 'on',
  travels: false,
  zoom: ({ zoomBy }) => ({ rule: 'holdHeight', by: zoomBy }),
  startingFrom: (stand, pivot) => ({ kind: 'standingDollyZoom', ...pivot, ...stand, zoomBy: 'both' }),
};

export const rackFocus: Recipe<MoveOf<'rackFocus'>> = {
  ...PLAIN,
  ...standing(),
  kind: 'rackFocus',
  title: 'Rack focus',
  purpose: 'Let the focus wander from one thing to another: the eye goes along without the camera moving.',
  effect: 'bend',
  joins: 'with',
  travels: false,
  aim: () => ({ base: 'locked', at: 0.5 }),
  focus: ({ fromPieceId, toPieceId }) => ({ fromPieceId, toPieceId }),
  startingFrom: (stand, pivot) => ({ kind: 'rackFocus', ...pivot, ...stand, fromPieceId: null, toPieceId: null }),
};
