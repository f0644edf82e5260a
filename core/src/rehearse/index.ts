/**
 * Rehearsing: a shot counted, marked and told hand by hand; simulated rigs to practise on, and what a try is worth.
 *
 * @example
 * scoreTry(plannedFilm(scene), path, 'metric').said; // what to do differently next time
 */
export { type Count, countOf, type Cue, pacesOf } from './count';
export { type Phase, phasesOf, fullAt } from './phases';
export { cadencePerMin, type FootFall, footFalls } from './foot-falls';
export { type Marks, marksOf, momentsOf, readOff } from './marks';
export { type Controls, controlsOf, layoutOf, type Track } from './controls/tracks';
export { type DroneSticks, droneSticks, flightOf } from './controls/drone-sticks';
export { type Easier, easierWays, sayHands, type TooMuch, tooMuchIn } from './controls/who-does-what';
export { asFlown, type FlownPath, fromKept, toKeep } from './score/flown-path';
export { type Score, scoreTry, type ScoredPart } from './score/score-try';
export { type CameraPose, heldFor, HANDS_STILL, type HandsInput, PracticeRig } from './fly/practice-rig';
export { CARDS, cardsFor, type HoldAdvice, type HoldCard, type Stick } from './cards';
export { COURSE, courseStep, type CourseStep, exerciseShot } from './course';
export {
  exerciseTitle,
  middleOf,
  nextToPractise,
  passOf,
  progressOf,
  type SkillProgress,
  TAKEN_FROM,
  triesLikely,
} from './progress';
export {
  drillScore,
  GIMBAL_PLATES,
  type GimbalDrill,
  gimbalDrill,
  type GimbalPlate,
  gimbalWorks,
  isWorkable,
  lookAtGimbal,
  lookAtSled,
  moveGimbal,
  moveSled,
  saySledLook,
  type SledDrill,
  sledDrill,
  type SledSetting,
} from './drills';
export { flownFilm, flownSamples, poseSamples } from './flown-film';
export { planAt } from './controls/plan-at';
export { ON_FOOT } from './count';
