import type { Scene } from '../scene';
import { CAMERA_SIZE, heldFocalLengthMm, type InPicture, lowestBetween, project, writeCamera } from '../optics';
import type { ShotMotion } from './legs';
import type { Look, ZoomRule } from './moves/recipe';
import type { LookAt } from './look';

/** The camera of a row as it is worked out. */
export interface Pose extends Look {
  tS: number;
  place: Float64Array;
  subject: Float64Array;
}

/** The focal length that a shot asks for, row after row. */
export interface ZoomAt {
  /** The focal length for a pose, mm; leaves the look of that focal length in the pose. Rows must come in order. */
  wantedMm(pose: Pose, distanceM: number): number;
  /** What the last row's rule lets hold a size: the lens, enlarging, or both. */
  by(): 'lens' | 'crop' | 'both';
}

/** Each leg's rule, from the focal length that was reached when it began. */
export function zoomOf(
  scene: Scene,
  motion: ShotMotion,
  lookAt: LookAt,
  frameWidthMm: number,
  frameHeightMm: number,
): ZoomAt {
  const { shot } = scene;
  // Far enough for a first guess: how far off the axis the part stands at most.
  const offAxisMm2 = Math.max(
    ...[shot.aim.place, ...motion.legs.flatMap(({ leg }) => leg.look.toPlace ?? [])].map(
      ({ u, v }) => (u * frameWidthMm) ** 2 + (v * frameHeightMm) ** 2,
    ),
  );
  const camera = new Float64Array(CAMERA_SIZE);
  const point: InPicture = { u: 0, w: 0, depthM: 0 };
  const look = (pose: Pose, focalLengthMm: number) => lookAt(pose.tS, pose.place, pose.subject, focalLengthMm, pose);
  const height = (pose: Pose, focalLengthMm: number) => {
    const { subject } = pose;
    writeCamera(
      camera,
      0,
      pose.place[0],
      pose.place[1],
      pose.place[2],
      pose.panDeg,
      pose.tiltDeg,
      0,
      focalLengthMm,
      frameWidthMm,
    );
    const { u, w, depthM } = project(camera, 0, subject[0], subject[1], subject[2], point);
    const top = project(camera, 0, subject[0], subject[1], subject[2] + motion.partHeightM, point);
    // From base to top along the picture, as it is measured there: off the axis of a tilted camera an upright thing
    // leans.
    return depthM > 0 && top.depthM > 0 ? Math.hypot(top.w - w, top.u - u) : Infinity;
  };
  /**
   * Focal length at which the subject's height in the picture is `wanted`. Off the optical axis height grows about as
   * √(f² + k²) with k the subject's distance from the frame's centre on the sensor: the first round fits that curve at
   * the guess, the others go along the chord of the last two (secant). A subject so far out has a least height, which no
   * focal length goes below: then the one that has it is the answer.
   */
  const holdHeight = (pose: Pose, wanted: number, guessMm: number): number => {
    let [bestMm, bestOff] = [guessMm, Infinity];
    const off = (focalLengthMm: number) => {
      look(pose, focalLengthMm);
      const now = height(pose, focalLengthMm) / wanted - 1;
      if (Math.abs(now) < Math.abs(bestOff)) [bestMm, bestOff] = [focalLengthMm, now];
      return now;
    };
    let [lastMm, lastOff] = [guessMm, off(guessMm)];
    const fittedMm2 = (guessMm ** 2 + offAxisMm2) / (1 + lastOff) ** 2 - offAxisMm2;
    let nowMm = fittedMm2 > 0 ? Math.sqrt(fittedMm2) : NaN;
    for (let round = 0; round < 40 && nowMm > 0 && Number.isFinite(nowMm); round += 1) {
      const nowOff = off(nowMm);
      if (Math.abs(nowOff) < 1e-13 || nowOff === lastOff) break;
      const nextMm = nowMm - (nowOff * (nowMm - lastMm)) / (nowOff - lastOff);
      if (Math.abs(nextMm / nowMm - 1) < 1e-14) break;
      [lastMm, lastOff, nowMm] = [nowMm, nowOff, nextMm];
    }
    const met = Math.abs(bestOff) < 1e-7 || !Number.isFinite(bestOff);
    const heldMm = met ? bestMm : lowestBetween(bestMm / 4, bestMm * 4, bestMm * 1e-7, (mm) => Math.abs(off(mm)));
    look(pose, heldMm);
    return heldMm;
  };

  let current = -1;
  let rule: ZoomRule = { rule: 'fixed' };
  let reachedMm = shot.focalLengthMm;
  let startMm = reachedMm;
  let startHeight = 0;
  let reachedDistanceM = 1;
  let holdsBy: 'lens' | 'crop' | 'both' = 'both';
  return {
    by: () => holdsBy,
    wantedMm(pose, distanceM) {
      let begun = 0;
      for (let k = 1; k < motion.legs.length; k += 1) if (pose.tS > motion.legs[k].fromS) begun = k;
      const leg = motion.legs[begun];
      if (begun !== current) {
        current = begun;
        rule = leg.recipe.zoom(leg.move);
        startMm = reachedMm;
        look(pose, startMm);
        if (rule.rule === 'holdHeight' && scene.subject) {
          holdsBy = rule.by;
          startHeight = height(pose, startMm);
          reachedDistanceM = distanceM;
          return startMm;
        }
      }
      if (rule.rule === 'to') {
        // Even zooming: the same share each moment.
        reachedMm = startMm * (rule.focalLengthMm / startMm) ** leg.shareAt(pose.tS);
        look(pose, reachedMm);
      } else if (rule.rule === 'holdHeight' && scene.subject) {
        reachedMm = holdHeight(pose, startHeight, heldFocalLengthMm(reachedMm, distanceM, reachedDistanceM));
        reachedDistanceM = distanceM;
      } else look(pose, reachedMm);
      return reachedMm;
    },
  };
}
