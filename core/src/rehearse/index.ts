/**
 * Rehearsing: a shot counted, marked and told hand by hand; simulated rigs to practise on, and what a try is worth.
 *
 * @example
 * scoreTry(plannedFilm(scene), path, 'metric').said; // what to do differently next time
 */
export { type Count, countOf, type Cue, ON_FOOT, pacesOf } from './count';
export { fullAt } from './phases';

export { type Marks, marksOf } from './marks';
export { type Controls, controlsOf, layoutOf, type Track } from './controls/tracks';
export { planAt, type WayColumn } from './controls/plan-at';
export { droneSticks } from './controls/drone-sticks';
export { type Easier, easierWays, sayHands, type TooMuch, tooMuchIn } from './controls/who-does-what';
export { asFlown, evenly, type FlownPath, fromKept, toKeep } from './score/flown-path';
export { type Score, scoreTry } from './score/score-try';
export { type CameraPose, heldFor, HANDS_STILL, type HandsInput, PracticeRig } from './fly/practice-rig';
export { cardsFor } from './cards';
export { CARDS, type Stick } from './hold-cards';
export { courseStep, exerciseShot } from './course';
export {
  exerciseTitle,
  middleOf,
  nextToPractise,
  passOf,
  progressOf,
  type SkillProgress,
  triesLikely,
} from './progress';
export {
  drillScore,
  GIMBAL_PLATES,
  gimbalDrill,
  gimbalWorks,
  isWorkable,
  lookAtGimbal,
  lookAtSled,
  moveGimbal,
  moveSled,
  saySledLook,
  sledDrill,
  type SledSetting,
} from './drills';
export { flownFilm, flownSamples, poseSamples } from './flown-film';
