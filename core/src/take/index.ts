/**
 * Takes: the logbook of the day, recordings and clips of what was really done, held against the plan.
 *
 * @example
 * const found = compareTake(plannedFilm(scene), takenFrom(record));
 * found.differences[0].sentence; // the worst first
 */
export { type DayReport, dayOf, dayReport, daysOf, taught } from './log/day-report';
export { REASON_MENDS, type ShotTally, spoilersOf, tallyOf } from './log/tally';
export { align, type Alignment } from './recorded/align';
export { unwrapped } from './recorded/attitude';
export { recordNotes } from './recorded/notes';
export { type Columns3, emptyRecord, inCameraAxes, type MotionRecord, type Mount, MOUNTS } from './recorded/record';
export { fromKeptTaken, type Taken, takenFrom, toKeepTaken } from './recorded/taken';
export {
  carryOut,
  type Device,
  type DeviceReport,
  type DeviceRow,
  type Faults,
  NO_FAULTS,
  ranThrough,
  recordOf,
} from './devices/device';
export { DEVICES } from './devices/devices';
export { type HandFigures, handFigures, myHands, type MyHands, ownGait, sureWords } from './my-hands';
export {
  bestClip,
  type ClipAgainstPlan,
  clipAgainstPlan,
  type ClipCourse,
  coursesForetold,
  framesOfClip,
  measuredByPlan,
} from './clip/against-plan';
export { numbersAsFilmed, type TimesAsFilmed } from './clip/as-filmed';
export { type ClipFrame, ClipReader } from './clip/clip-reader';
export { type ClipSummary, clipSummary } from './clip/clip-summary';
export { type Foretold, PlanPicture } from './clip/foretold';
export { drawnWidthPx, type GreyFrame, greyOf, greyOfLuma } from './clip/grey';
export { openCvTracker } from './clip/open-cv';
export type { Tracker } from './clip/tracker';
export { compareTake, type Comparison } from './compare/compare';
export type { Difference } from './compare/held';
export { takenFilm, takenWay } from './compare/seen';
