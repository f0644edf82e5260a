/**
 * A camera’s way through a scene, planned or recorded, as samples and an intent.
 *
 * @example
 * const film = plannedFilm(sceneOf(shoot, shot));
 * film.samples.panDeg[48]; // where the camera looks in the 49th frame that is shown
 */
export { aimAt } from './aim';
export { seeded } from './body';
export { type At, largest, longestRun, smoothed } from './columns';
export { type Film, plannedFilm, recordedFilm } from './film';
export { type Intent, LEAST_TRAVEL_M, type Stroke } from './intent';
export { draggedMove, gripsOf, type LegMotion, motionOf, type ShotMotion } from './legs';
export { gistOf } from './moves/gist';
export { asKind, EFFECT_KINDS, givenByTheLegBefore, kindsFor, MOVE_KINDS, recipeOf, RECIPES } from './moves';
export { clamp, type Effect, EFFECTS, settable, type SubjectIn } from './moves/recipe';
export { lengthOnScreenS, type Playing, playingOf } from './playback';
export { filmShot, pathLengthM, rowCount, type Samples, withBody } from './sample';
export { asShown, mostRepeats, rowAt, sampleShot } from './shown';
