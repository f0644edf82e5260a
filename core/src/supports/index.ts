/**
 * What carries a camera, one folder a kind: how it balances and stands, what hands do, how it is drawn.
 *
 * @example
 * balanceOf(build, kit, 'metric').steps; // what to slide and add, one after the other
 */
export { SUPPORT_KINDS, supportFacts, supportOf } from './all';
export { armsLastMin, heldOutM } from './arms-last';
export { balanceOf, caseOf } from './balance';
export { type Check, checklistOf } from './checklist';
export { SUPPORT_GROUPS } from './definition';
export type { DrawingGrip, Drawn, RigView } from './drawing';
export { GRAVITY, K_FROM_LEVEL } from './elliptic';
export type { Fact } from './fact';
export { jibStand } from './jib/statics';
export { heapOf, partLumps } from './masses';
export { disturbedAxes } from './motor-gimbal/disturbed';
export { type AxisBalance, FELT_MM, gimbalBalance, gimbalSlides } from './motor-gimbal/statics';
export { needOf, shotsOf } from './needs';
export { placeFor } from './overlaps';
export { coach, LEAN_WORDS, WORKABLE } from './sled/coach';
export { type SledSolution, stackOf } from './sled/solver';
export { sledBalance, swing } from './sled/statics';
export { solutionFor } from './sled/told';
export { fallS, trickOf, type TrickCase } from './tricks';
export { buildVerdict, worstOf } from './verdict';
export { draggedTo, viewsOf } from './views';
export { droneFlight } from './drone/statics';
export { wheelsStop } from './wheels/statics';
export { sayWind, windAtHeightMps } from './wind';
