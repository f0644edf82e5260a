/**
 * One lens and one sensor: angle of view, depth of field, exposure, pixels, and a camera as a matrix.
 *
 * @example
 * angleOfViewDeg(36, 50); // 39.6°: how wide a 50 mm lens sees on a frame 36 mm wide
 */
export { angleOfViewDeg, frameSizeMm, recordedFrameMm, recordedWidthPx } from './angle-of-view';
export { blurDiscMm, depthOfField, hyperfocalM } from './depth-of-field';
export { exposureOf, tooDarkAdvice } from './exposure-of-shot';
export { LIGHT_CONDITIONS, neutralDensity } from './exposure';
export type { FilterStack } from './filter-stack';
export { ringAtDeg, ringDegPerDioptre } from './focus-ring';
export { cropFactor, fromFullFrame, onFullFrame } from './formats';
export { heldFocalLengthMm, throughLens } from './held-zoom';
export { lowestBetween } from './lowest';
export { aspectAfterBars, pixelChain, type PixelStep } from './pixels';
export { CAMERA_SIZE, type InPicture, project, writeCamera } from './projection';
export { exposureTimeS } from './shutter';
export { spinning, type Spinning } from './spin';
export { distanceFromShareM, photographHeightMm, shareAtDistance, stacked, stackRatio } from './sizes';
