/**
 * One compiled shot: who and what is where at every moment, and when its moves are made.
 *
 * @example
 * const scene = sceneOf(shoot, shoot.shots[0]);
 * scene.subjectAt?.(2.5, base); // writes where the subject is two and a half seconds in
 */
export { distanceToThingM } from './distance-to-thing';
export { eased, FEATHERS } from './feather';
export { airtimeS, GRAVITY } from './jump';
export { partFootOf } from './part-foot';
export { type Scene, sceneFrom, sceneOf } from './scene';
export { stepLengthM } from './steps';
export { subjectWords } from './subject-words';
export { DRIVING, type Stance, type StanceAt, type Thing, turnedBy, turnedInto } from './thing';
export type { Pace } from './timing';
export { type HeadingAt, WALK_STEP_S, type WalkAt } from './walk';
