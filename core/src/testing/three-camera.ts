import { PerspectiveCamera, Vector3 } from 'three';
import type { Samples } from '../motion';

/** The same camera in three.js: a second opinion on every projection. */
export function threeCamera(pose: {
  xM: number;
  yM: number;
  zM: number;
  panDeg: number;
  tiltDeg: number;
  rollDeg: number;
  focalLengthMm: number;
  frameWidthMm: number;
  frameHeightMm: number;
}): PerspectiveCamera {
  const rad = Math.PI / 180;
  const camera = new PerspectiveCamera();
  camera.aspect = pose.frameWidthMm / pose.frameHeightMm;
  camera.filmGauge = Math.max(pose.frameWidthMm, pose.frameHeightMm);
  camera.setFocalLength(pose.focalLengthMm);
  camera.position.set(pose.xM, pose.zM, -pose.yM);
  camera.rotation.set(pose.tiltDeg * rad, -pose.panDeg * rad, -pose.rollDeg * rad, 'YXZ');
  camera.updateMatrixWorld();
  return camera;
}

/** The camera of a row of samples in three.js. */
export function threeCameraAt(samples: Samples, row: number): PerspectiveCamera {
  return threeCamera({
    xM: samples.xM[row],
    yM: samples.yM[row],
    zM: samples.zM[row],
    panDeg: samples.panDeg[row],
    tiltDeg: samples.tiltDeg[row],
    rollDeg: samples.rollDeg[row],
    focalLengthMm: samples.focalLengthMm[row],
    frameWidthMm: samples.frameWidthMm,
    frameHeightMm: samples.frameHeightMm,
  });
}

/** Where three.js puts a site point: u and w in frame widths from the centre. */
export function threeProject(camera: PerspectiveCamera, xM: number, yM: number, zM: number): { u: number; w: number } {
  const point = new Vector3(xM, zM, -yM).project(camera);
  return { u: point.x / 2, w: point.y / 2 / camera.aspect };
}
