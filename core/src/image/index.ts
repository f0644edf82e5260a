/**
 * What the audience sees of a film: projection, what fills the picture, speeds of its layers, sight, shake, smoothness.
 *
 * @example
 * const picture = measurePicture(plannedFilm(scene), 'metric');
 * picture.site.near.speed; // frame widths a second, one value a row
 */
export { driftByAim } from './aim-drift';
export { type DepthRaster, depthRasterOf, NOTHING } from './depth-raster';
export { type EdgeMark, edgeMarks } from './edge-marks';
export {
  fastestRow,
  layerFigures,
  type LayerFigures,
  openOnScreenS,
  SEEN_S,
  shownShutterDeg,
  speedLimits,
  type SpeedLimits,
  totalSlide,
} from './figures';
export { fastestPull, type FocusPull, pullBy, PULLER_WORDS } from './focus-pull';
export { everywhere, type LayerMotion, siteMotion } from './layer-speed';
export { type LampLight, lampLights, offAxisDeg } from './lamp-light';
export { mirrored, type Mirrored, mirroredIn, shines } from './mirrored';
export { skyShare } from './sky-share';
export { litShare } from './lit-share';
export { pointOnPiece, type PointOn } from './point-at';
export { pieceAtPoint } from './pick';
export { FULL_QUALITY, LAYER_ROWS_HZ, measurePicture, type Picture, rasterThrough } from './picture';
export { FELT_S, screenMotion } from './screen-motion';
export type { PieceSeen } from './seen-pieces';
export { steadied, type Steadied } from './steadied';
export { shakeInFrame } from './shake';
export { figureShare, type ShotSize, shotSize, STANDING_M } from './shot-size';
export { shutterLook } from './shutter-look';
export { logDimensionlessJerk, spectralArcLength } from './smoothness';
export { stillPoints } from './still-points';
export { type Streak, streaker } from './streaks';
export { focusPlaneM, lookOfMany, type Moment, momentAt, openingRadiusM, openRows } from './sub-frames';
export { isInFrame, isShown, subjectInFrame, type SubjectInFrame, whileInFrame } from './subject-in-frame';
export { visibleShare } from './visible-share';
