/**
 * Everything that a person, a search or the terminal does to a shoot: functions from one shoot to the next.
 *
 * @example
 * const next = addPiece(shoot, 'post', 'post-7', 2.4, -1); // a new shoot; the old one is as it was
 */
export { addBuild, removeBuild, startBuild, withBuild, withMadeUpKit } from './builds';
export { takeCure } from './cure';
export { addTry, changePractice, removeTry } from './practice';
export { takeOwnGait } from './own-gait';
export { changeTake, countTake, endReady, readyNow, removeTake, sayWho, startReady } from './log';
export { changeDay, changeWish, moveInDay, withoutShots } from './day';
export { filmedBackwards } from './filmed-backwards';
export { focusBy } from './focus';
export { type Framing, FRAMINGS, type FramingWish, frameSubject, type Side, SIDES } from './framing';
export {
  changedThing,
  copyThing,
  examplesFor,
  removeThing,
  rigWith,
  takeExample,
  type Thing,
  type ThingList,
  THINGS,
  usualFigures,
  withThing,
} from './kit';
export { addLeg, addPathPoint, chooseMove, removeLeg } from './legs';
export {
  type Alignment,
  ALIGNMENTS,
  alignPieces,
  groupPieces,
  hidePieces,
  lockPieces,
  MOST_REPEATS,
  movePieces,
  removePieces,
  repeatPieces,
  turnPieces,
  withGroups,
} from './many-pieces';
export { type Mount, mountedAt, mountOf, mountsOn } from './mounts';
export { addPartAt } from './own-parts';
export { addPlace, PLACES, type PlaceKind } from './places';
export { addPart, changePart, removePart, takeInParts } from './parts';
export { patchBetween, patched, type ShootPatch } from './patch';
export {
  addPiece,
  asModel,
  changePiece,
  duplicatePiece,
  movePiece,
  putMeasured,
  putOffered,
  removePiece,
  spotFor,
  turnPiece,
} from './pieces';
export { setAsTold } from './set-as-told';
export { showAt, takeCamera, takeFocalLength, takeLens, takeRig } from './setup';
export { type ShotRow, takeShotRows } from './shot-rows';
export { addShot, duplicateShot, fromOtherSide, moveShots, putInScene, removeShots } from './shots';
export { takeInPieces } from './take-in-site';
export { putOn } from './put-on';
export { asOnSite, bringOrLeave, stagePiece, withRidersOf } from './staging';
export { renameScene, tickOff, withShots } from './story';
export { startLight } from './start-light';
export { addUnderlay, changeUnderlay, fittedUnderlay, removeUnderlay } from './underlays';
export { takeSubject } from './subject';
export { rangeIn, withField } from './support';
export { asFall } from './fall';
export { asFilmed, asTimeLapse } from './time-lapse';
export { mostDurationS, mostOfPart, mostRateHz, type TimingPart, withTiming } from './timing';
export { mirrored, raised, toTheOtherSide, turned, withNumbers } from './transform';
export {
  addWalkPoint,
  atHeight,
  atSpeed,
  changeWalk,
  changeWalkWay,
  moveWalkPoint,
  type WalkStretch,
  walkStretches,
} from './walks';
export { bothWays, flicked, withoutVariant, withVariant } from './ways';
