import type { PerspectiveCamera } from 'three';
import type { Samples } from '@gentle-arc/core/motion';
import type { Moment } from '@gentle-arc/core/image';
import { angleOfViewDeg } from '@gentle-arc/core/optics';

const RAD = Math.PI / 180;

/** Puts a camera of three.js where the shot's is at a moment. Its rotation order must be YXZ. */
export function standAt(
  camera: PerspectiveCamera,
  moment: Moment,
  { frameWidthMm, frameHeightMm }: Pick<Samples, 'frameWidthMm' | 'frameHeightMm'>,
): void {
  camera.position.set(moment.xM, moment.zM, -moment.yM);
  camera.rotation.set(moment.tiltDeg * RAD, -moment.panDeg * RAD, -moment.rollDeg * RAD);
  camera.fov = angleOfViewDeg(frameHeightMm, moment.focalLengthMm);
  camera.aspect = frameWidthMm / frameHeightMm;
  camera.updateProjectionMatrix();
}

/**
 * Looks through another point of the opening, metres right and up of its middle: what lies in the plane of sharpness
 * stays where it is in the picture.
 */
export function lookPast(camera: PerspectiveCamera, rightM: number, upM: number, planeM: number): void {
  const { elements } = camera.projectionMatrix;
  camera.translateX(rightM);
  camera.translateY(upM);
  elements[8] -= (elements[0] * rightM) / planeM;
  elements[9] -= (elements[5] * upM) / planeM;
  camera.projectionMatrixInverse.copy(camera.projectionMatrix).invert();
}

/** Shifts the whole picture by parts of it, -1 to 1 over its width and height: less than a pixel smooths edges. */
export function nudge(camera: PerspectiveCamera, right: number, up: number): void {
  const { elements } = camera.projectionMatrix;
  elements[8] += right;
  elements[9] += up;
  camera.projectionMatrixInverse.copy(camera.projectionMatrix).invert();
}
