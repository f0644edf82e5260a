/**
 * A whole shot read: all its findings and cautions, and comparisons of lenses, focus and time.
 *
 * @example
 * readShot(shoot, shot).findings[0].sentence; // the worst first
 */
export { type CompareBy, compareLenses, type LensColumn, withFocalLength } from './compare-lenses';
export { framesToRead } from './effort';
export { focusPlan, type FocusPlan, softFocusM } from './focus-plan';
export { type Arms, armsIn, fallOf, trickIn } from './hands';
export { lookFor } from './scouted/look-for';
export type { Scouted } from './scouted/scouted';
export { type LitMinutes, litWhen, type LitWish } from './lit-when';
export { verdictOnLenses } from './lens-verdict';
export { type Figures, readFigures } from './read-figures';
export { readFilm, type Reading, readShot } from './read-shot';
export { Readings } from './readings';
export { setUpNote } from './set-up';
export { twoFilmsOf } from './two-films';
export { STILLS_BELOW_HZ, type TimeLapse, timeLapseOf } from './time-lapse';
export { timePlan } from './time-plan';
export { readingVerdict } from './verdict';
