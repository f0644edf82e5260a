/**
 * A day of shooting: what each shot takes, the order that gets it all, what does not fit, power, people and papers.
 *
 * @example
 * const given = dayCase(shoot);
 * planOf(given, bestOrder(given.problem).order).entries[0].reasons; // why the first shot comes first
 */
export { type ChangeOver, changeOver, gearChange, wayBetween } from './change-over';
export { dayNotes, sunWords } from './day-notes';
export { type CannotEntry, type DayEntry, type DayPlan, planOf, type PowerUse, toldOrder } from './day-plan';
export { type DayCase, dayCase, type DayOptions, isOpen } from './day-problem';
export { type Hand, whoDoes } from './hands';
export { byMove, byRig, byWho, type Learned, learnedFrom, type Middle, middleWithInterval } from './learned';
export { altitudeAt, momentAt, type SunOfDay, sunOfDay, sunTimes } from './light-hours';
export { asItStands, goesOnMin, madeIds, nowIn, type Now, savedWords, whatChanges } from './on-the-day';
export { bestOrder, nearestNeighbours, orderSearch, type OrderStep, type SearchOptions } from './order-search';
export type { DayProblem, Packs, Task } from './day-numbers';
export { RunThrough, UNDONE_COST } from './run-through';
export { ShotLooks } from './shot-facts';
export { type ShotWork, shotWork, usualTriesOf } from './shot-work';
export { planDay, type PlannedDay } from './plan-day';
export { leftToPack, type PackGroup, packList } from './pack-list';
export { cardWords, type PowerOf, powerPlan, usualBattery } from './power-plan';
export { allWaysToFit, type DayChange, type WayToFit, waysToFit, withDayChange } from './ways-to-fit';
export { gustLimit, weatherOfDay } from './weather';
