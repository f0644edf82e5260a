import { frameSizeMm } from '../optics/angle-of-view';
import { heldFocalLengthMm, throughLens } from '../optics/held-zoom';
import { CAMERA_SIZE, project, writeCamera, type InPicture } from '../optics/projection';
import type { Setup } from '../model/shoot';
import { groundHeightM, groundPieces } from '../site/ground';
import { aimAt, type PanTilt } from './aim';
import { recipeOf } from './moves';
import { paceOf, type Pace } from './timing';
import type { Point3, Track } from './track';
import { placeOverTime, type WalkAt } from './walk';

/** A shot as columns, one row per delivered frame. Metres, degrees, millimetres, seconds; NaN in subject columns without a subject. */
export interface Samples {
  count: number;
  frameRateHz: number;
  frameWidthMm: number;
  frameHeightMm: number;
  tS: Float64Array;
  xM: Float64Array;
  yM: Float64Array;
  zM: Float64Array;
  panDeg: Float64Array;
  tiltDeg: Float64Array;
  rollDeg: Float64Array;
  /** What the picture corresponds to: lens times enlargement. */
  focalLengthMm: Float64Array;
  /** What the zoom rule asks for before the lens limits it. */
  wantedFocalLengthMm: Float64Array;
  /** Digital enlargement, 1 for none. */
  crop: Float64Array;
  focusDistanceM: Float64Array;
  /** Base of the subject. */
  subjectXM: Float64Array;
  subjectYM: Float64Array;
  subjectZM: Float64Array;
  /** The camera of every row, `CAMERA_SIZE` numbers each: see optics/projection. */
  cameras: Float64Array;
}

/** What a shot's move comes to before it is sampled. */
export interface ShotMotion {
  track: Track;
  pace: Pace;
  pivot: Point3;
  subjectAt: WalkAt | null;
  /** Height of the subject, m; NaN without one. */
  subjectHeightM: number;
}

/** Most rows a shot may come to: ten minutes at 1000 a second. */
const MOST_ROWS = 600_001;

/** Track, pace and pivot of a shot. The pivot is the subject's place at time 0 (the site's origin without one), shifted by the move's offsets. */
export function motionOf({ shot, pieces, subject }: Setup): ShotMotion {
  const subjectAt = subject ? placeOverTime(shot.walks, subject.id, subject) : null;
  const start = new Float64Array(3);
  subjectAt?.(0, start);
  const xM = start[0] + shot.move.pivotEastM;
  const yM = start[1] + shot.move.pivotNorthM;
  const pivot = { xM, yM, zM: subject ? start[2] : groundHeightM(groundPieces(pieces), xM, yM) };
  return { track: recipeOf(shot.move).track(shot.move, pivot), pace: paceOf(shot.timing), pivot, subjectAt, subjectHeightM: subject ? subject.heightM : NaN };
}

/** Rows a shot comes to: one per frame, both ends included. */
export function rowCount(durationS: number, frameRateHz: number): number {
  return Math.min(MOST_ROWS, Math.floor(durationS * frameRateHz + 1e-6) + 1);
}

/** Samples a shot once per frame. */
export function sampleShot(setup: Setup, motion: ShotMotion = motionOf(setup)): Samples {
  const { shot, camera, lens, delivery } = setup;
  const frame = frameSizeMm(camera, delivery);
  const count = rowCount(shot.timing.durationS, shot.frameRateHz);
  const column = () => new Float64Array(count);
  const samples: Samples = {
    count,
    frameRateHz: shot.frameRateHz,
    frameWidthMm: frame.widthMm,
    frameHeightMm: frame.heightMm,
    tS: column(),
    xM: column(),
    yM: column(),
    zM: column(),
    panDeg: column(),
    tiltDeg: column(),
    rollDeg: column(),
    focalLengthMm: column(),
    wantedFocalLengthMm: column(),
    crop: column(),
    focusDistanceM: column(),
    subjectXM: column(),
    subjectYM: column(),
    subjectZM: column(),
    cameras: new Float64Array(count * CAMERA_SIZE),
  };
  const zooms = setup.subject !== null && recipeOf(shot.move).zoom === 'holdSubjectHeight';
  const look = lookOf(setup, motion, frame.widthMm, frame.heightMm);
  const pose: Pose = { place: new Float64Array(3), subject: new Float64Array(3), panDeg: 0, tiltDeg: 0, wantedMm: shot.focalLengthMm };
  let startHeight = 0;
  let startDistanceM = 1;
  for (let i = 0; i < count; i += 1) {
    const tS = i / shot.frameRateHz;
    motion.track.write(motion.pace.at(tS), pose.place);
    motion.subjectAt?.(tS, pose.subject);
    const distanceM = look.distanceM(pose);
    if (!zooms || i === 0) {
      look.turn(pose, shot.focalLengthMm);
      if (i === 0) {
        startHeight = look.height(pose, shot.focalLengthMm);
        startDistanceM = distanceM;
      }
    } else {
      const guess = heldFocalLengthMm(shot.focalLengthMm, distanceM, startDistanceM);
      pose.wantedMm = look.holdHeight(pose, startHeight, guess);
    }
    const through = zooms ? throughLens(pose.wantedMm, lens) : { effectiveMm: shot.focalLengthMm, crop: 1 };
    if (through.effectiveMm !== pose.wantedMm) look.turn(pose, through.effectiveMm);
    const previousPan = i === 0 ? null : samples.panDeg[i - 1];
    samples.tS[i] = tS;
    samples.xM[i] = pose.place[0];
    samples.yM[i] = pose.place[1];
    samples.zM[i] = pose.place[2];
    samples.panDeg[i] = previousPan === null ? (pose.panDeg + 360) % 360 : pose.panDeg - 360 * Math.round((pose.panDeg - previousPan) / 360);
    samples.tiltDeg[i] = pose.tiltDeg;
    samples.focalLengthMm[i] = through.effectiveMm;
    samples.wantedFocalLengthMm[i] = pose.wantedMm;
    samples.crop[i] = through.crop;
    samples.focusDistanceM[i] = distanceM;
    samples.subjectXM[i] = motion.subjectAt ? pose.subject[0] : NaN;
    samples.subjectYM[i] = motion.subjectAt ? pose.subject[1] : NaN;
    samples.subjectZM[i] = motion.subjectAt ? pose.subject[2] : NaN;
    writeCamera(samples.cameras, i * CAMERA_SIZE, samples.xM[i], samples.yM[i], samples.zM[i], samples.panDeg[i], pose.tiltDeg, 0, through.effectiveMm, frame.widthMm);
  }
  return samples;
}

interface Pose {
  place: Float64Array;
  subject: Float64Array;
  panDeg: number;
  tiltDeg: number;
  wantedMm: number;
}

/** The aim of a shot: turns a pose towards what it looks at, and measures the subject in the picture it gives. */
function lookOf(setup: Setup, motion: ShotMotion, frameWidthMm: number, frameHeightMm: number) {
  const { shot, subject } = setup;
  const { u, v } = shot.aim.place;
  const aim: PanTilt = { panDeg: 0, tiltDeg: 0 };
  const middleM = subject ? subject.heightM / 2 : shot.move.heightM;
  const from = new Float64Array(3);
  const at = new Float64Array(3);
  const locked = shot.aim.mode === 'locked';
  if (locked) {
    motion.track.write(0.5, from);
    if (motion.subjectAt) motion.subjectAt((motion.pace.startS + motion.pace.endS) / 2, at);
  }
  const target = (base: Float64Array, axis: number) => (motion.subjectAt ? base[axis] : [motion.pivot.xM, motion.pivot.yM, motion.pivot.zM][axis]);
  const camera = new Float64Array(CAMERA_SIZE);
  const point: InPicture = { u: 0, w: 0, depthM: 0 };
  const turn = (pose: Pose, focalLengthMm: number) => {
    const eye = locked ? from : pose.place;
    const base = locked ? at : pose.subject;
    aimAt(target(base, 0) - eye[0], target(base, 1) - eye[1], target(base, 2) + middleM - eye[2], (u * frameWidthMm) / focalLengthMm, (v * frameHeightMm) / focalLengthMm, aim);
    pose.panDeg = aim.panDeg;
    pose.tiltDeg = aim.tiltDeg;
  };
  const height = (pose: Pose, focalLengthMm: number) => {
    const [x, y, z] = pose.subject;
    writeCamera(camera, 0, pose.place[0], pose.place[1], pose.place[2], pose.panDeg, pose.tiltDeg, 0, focalLengthMm, frameWidthMm);
    const base = project(camera, 0, x, y, z, point).w;
    return project(camera, 0, x, y, z + motion.subjectHeightM, point).w - base;
  };
  return {
    turn,
    height,
    distanceM: ({ place, subject: base }: Pose) => Math.hypot(target(base, 0) - place[0], target(base, 1) - place[1], target(base, 2) + middleM - place[2]),
    /**
     * Focal length at which the subject's height in the picture is `wanted`. Off the optical axis height grows as
     * √(f² + k²) with k the subject's distance from the frame's centre on the sensor: each round fits that curve at the
     * latest guess. A place so far out that no focal length makes the subject that small gets the guess.
     */
    holdHeight: (pose: Pose, wanted: number, guessMm: number): number => {
      const offAxisMm2 = (u * frameWidthMm) ** 2 + (v * frameHeightMm) ** 2;
      let focalLengthMm = guessMm;
      for (let round = 0; round < 40; round += 1) {
        turn(pose, focalLengthMm);
        const wantedMm2 = (wanted / height(pose, focalLengthMm)) ** 2 * (focalLengthMm ** 2 + offAxisMm2) - offAxisMm2;
        if (!(wantedMm2 > 0) || !Number.isFinite(wantedMm2)) {
          turn(pose, guessMm);
          return guessMm;
        }
        const step = Math.sqrt(wantedMm2) / focalLengthMm;
        focalLengthMm *= step;
        if (Math.abs(step - 1) < 1e-12) break;
      }
      return focalLengthMm;
    },
  };
}
