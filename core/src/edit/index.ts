/**
 * Everything that a person, a search or the terminal does to a shoot: functions from one shoot to the next.
 *
 * @example
 * const next = addPiece(shoot, 'post', 'post-7', 2.4, -1); // a new shoot; the old one is as it was
 */
export { addBuild, removeBuild, startBuild, withBuild, withMadeUpKit } from './builds';
export { takeCure } from './cure';
export { filmedBackwards } from './filmed-backwards';
export { focusBy } from './focus';
export {
  changedThing,
  copyThing,
  removeThing,
  rigWith,
  type Thing,
  type ThingList,
  THINGS,
  usualFigures,
  withThing,
} from './kit';
export { addLeg, addPathPoint, chooseMove, removeLeg } from './legs';
export { addPart, changePart, removePart, takeInParts } from './parts';
export { patchBetween, patched, type ShootPatch } from './patch';
export { addPiece, changePiece, duplicatePiece, movePiece, removePiece, spotFor } from './pieces';
export { setAsTold } from './set-as-told';
export { showAt, takeCamera, takeFocalLength, takeLens, takeRig } from './setup';
export { addShot, duplicateShot, removeShot, shiftShot } from './shots';
export { startLight } from './start-light';
export { rangeIn, withField } from './support';
export { mostOfPart, type TimingPart, withTiming } from './timing';
export { mirrored, raised, turned, withNumbers } from './transform';
export { addWalkPoint, changeWalk, moveWalkPoint } from './walks';
export { bothWays, flicked, withoutVariant, withVariant } from './ways';
