import { type Film, recordedFilm, type Samples } from '../motion';
import { CAMERA_SIZE, frameSizeMm, writeCamera } from '../optics';
import type { Scene } from '../scene';
import type { CameraPose } from './fly/practice-rig';
import { evenly, type FlownPath } from './score/flown-path';

/** A camera at one moment of action in a scene, as samples of one row: what a picture is drawn from. */
export function poseSamples(scene: Scene, pose: CameraPose, tS: number): Samples {
  return samplesFrom(scene, 1, () => ({ ...pose, tS }));
}

/** A way that was flown as samples, one row a recorded frame of the scene's shot. */
export function flownSamples(scene: Scene, path: FlownPath): Samples {
  const rateHz = scene.shot.captureRateHz;
  const lastS = path.tS[path.tS.length - 1];
  const count = Math.max(2, Math.min(600_001, Math.floor(lastS * rateHz + 1e-6) + 1));
  const even = (column: Float64Array | null) => column && evenly(path.tS, column, rateHz, count);
  const [xM, yM, zM, panDeg, tiltDeg, rollDeg, focalLengthMm, focusM] = (
    ['xM', 'yM', 'zM', 'panDeg', 'tiltDeg', 'rollDeg', 'focalLengthMm', 'focusM'] as const
  ).map((key) => even(path[key]));
  return samplesFrom(scene, count, (row) => ({
    tS: row / rateHz,
    xM: xM?.[row] ?? 0,
    yM: yM?.[row] ?? 0,
    zM: zM?.[row] ?? 0,
    panDeg: panDeg?.[row] ?? 0,
    tiltDeg: tiltDeg?.[row] ?? 0,
    rollDeg: rollDeg?.[row] ?? 0,
    focalLengthMm: focalLengthMm?.[row] ?? scene.shot.focalLengthMm,
    focusM: focusM?.[row] ?? 5,
  }));
}

/** A try as a film that is read as any other: with the plan's intent. */
export const flownFilm = (plan: Film, path: FlownPath): Film =>
  recordedFilm(plan.scene, flownSamples(plan.scene, path), plan.intent);

function samplesFrom(scene: Scene, count: number, poseAt: (row: number) => CameraPose & { tS: number }): Samples {
  const { shot, camera, delivery, part } = scene;
  const frame = frameSizeMm(camera, delivery);
  const column = () => new Float64Array(count);
  const zeros = column();
  const rows = {
    tS: column(),
    xM: column(),
    yM: column(),
    zM: column(),
    panDeg: column(),
    tiltDeg: column(),
    rollDeg: column(),
    focalLengthMm: column(),
    focusDistanceM: column(),
    subjectDistanceM: column(),
    subjectXM: column().fill(NaN),
    subjectYM: column().fill(NaN),
    subjectZM: column().fill(NaN),
    cameras: new Float64Array(count * CAMERA_SIZE),
  };
  const foot = new Float64Array(3);
  const slow = shot.captureRateHz / shot.frameRateHz;
  for (let row = 0; row < count; row += 1) {
    const pose = poseAt(row);
    rows.tS[row] = pose.tS;
    for (const key of ['xM', 'yM', 'zM', 'panDeg', 'tiltDeg', 'rollDeg', 'focalLengthMm'] as const)
      rows[key][row] = pose[key];
    rows.focusDistanceM[row] = pose.focusM;
    rows.subjectDistanceM[row] = pose.focusM;
    if (scene.partAt && part) {
      scene.partAt(pose.tS, foot);
      [rows.subjectXM[row], rows.subjectYM[row], rows.subjectZM[row]] = foot;
      rows.subjectDistanceM[row] = Math.hypot(
        foot[0] - pose.xM,
        foot[1] - pose.yM,
        foot[2] + part.heightM / 2 - pose.zM,
      );
    }
    writeCamera(
      rows.cameras,
      row * CAMERA_SIZE,
      pose.xM,
      pose.yM,
      pose.zM,
      pose.panDeg,
      pose.tiltDeg,
      pose.rollDeg,
      pose.focalLengthMm,
      frame.widthMm,
    );
  }
  return {
    count,
    frameRateHz: shot.frameRateHz,
    captureRateHz: shot.captureRateHz,
    frameWidthMm: frame.widthMm,
    frameHeightMm: frame.heightMm,
    ...rows,
    screenS: rows.tS.map((tS) => tS * slow),
    slow: column().fill(slow),
    wantedFocalLengthMm: rows.focalLengthMm,
    crop: column().fill(1),
    body: { swayM: zeros, bobM: zeros, panDeg: zeros, tiltDeg: zeros, rollDeg: zeros, leanDeg: zeros },
  };
}
