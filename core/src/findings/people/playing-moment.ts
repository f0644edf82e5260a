import { rowAt, type Samples } from '../../motion';

/** When a moment of action is shown, s on screen. */
export const playingMoment = (samples: Samples, tS: number): number => samples.screenS[rowAt(samples, tS)];
