import type { PushMove } from '../../model/move';
import { radial } from './radial';
import type { Recipe } from './recipe';

export const push: Recipe<PushMove> = {
  kind: 'push',
  title: 'Push or pull',
  purpose: 'Go straight in to make the subject matter more, or straight out to show where it is.',
  zoom: 'fixed',
  ...radial<PushMove>(),
  startingFrom: ({ distanceM, bearingDeg, heightM }, pivot) => ({
    kind: 'push',
    ...pivot,
    heightM,
    bearingDeg,
    fromDistanceM: distanceM,
    toDistanceM: distanceM * 0.55,
  }),
};
