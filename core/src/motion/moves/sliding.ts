import type { MoveOf } from '../../model';
import { PLAIN, type Recipe } from './recipe';
import { sideways } from './shapes/sideways';

export const slide: Recipe<MoveOf<'slide'>> = {
  ...PLAIN,
  ...sideways(),
  kind: 'slide',
  title: 'Slide',
  purpose: 'Go sideways past the subject: near things slip across the frame and far ones follow slowly.',
  effect: 'past',
  joins: 'past',
  startingFrom: (stand, pivot) => ({ kind: 'slide', ...pivot, ...stand, travelM: stand.distanceM * 0.4, skewDeg: 0 }),
};

export const angledSlide: Recipe<MoveOf<'angledSlide'>> = {
  ...PLAIN,
  ...sideways(),
  kind: 'angledSlide',
  title: 'Angled slide',
  purpose: 'Tilt the rail and keep the camera level: sideways and up (or down) at once, with life but without a crane.',
  effect: 'past',
  joins: 'past',
  startingFrom: (stand, pivot) => ({
    kind: 'angledSlide',
    ...pivot,
    ...stand,
    travelM: stand.distanceM * 0.3,
    skewDeg: 0,
    slopeDeg: 20,
  }),
};

export const slideOutReveal: Recipe<MoveOf<'slideOutReveal'>> = {
  ...PLAIN,
  ...sideways(1),
  kind: 'slideOutReveal',
  title: 'Slide out from behind',
  purpose: 'Start with something near in the way and slide until the subject stands clear.',
  effect: 'show',
  joins: 'to show',
  reveals: true,
  subjectIn: () => 'end',
  startingFrom: (stand, pivot) => ({
    kind: 'slideOutReveal',
    ...pivot,
    ...stand,
    travelM: stand.distanceM * 0.4,
    skewDeg: 0,
  }),
};

export const enterLeave: Recipe<MoveOf<'enterLeave'>> = {
  ...PLAIN,
  ...sideways(),
  kind: 'enterLeave',
  title: 'Let it walk in and out',
  purpose: 'Hold a still or drifting frame and let the subject walk into it and leave it again.',
  effect: 'show',
  joins: 'with',
  travels: false,
  subjectIn: () => 'passes',
  aim: () => ({ base: 'locked', at: 0.5 }),
  startingFrom: (stand, pivot) => ({ kind: 'enterLeave', ...pivot, ...stand, travelM: 0 }),
};
