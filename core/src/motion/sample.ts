import type { Lens } from '../model';
import { CAMERA_SIZE, frameSizeMm, throughLens, writeCamera } from '../optics';
import { eased, type Scene } from '../scene';
import { bodyMotion, type BodyMotion } from './body';
import { focusOf } from './focus';
import { followed } from './follow';
import { motionOf, type ShotMotion } from './legs';
import { lookOf } from './look';
import { playingOf } from './playback';
import { baseOf, middleM } from './stand-in';
import { zoomOf, type Pose } from './zoom';

/**
 * A shot as columns, one row per frame. Metres, degrees, millimetres, seconds; NaN in subject columns without a
 * subject.
 */
export interface Samples {
  count: number;
  /** Frames shown a second: what is fast on screen is judged by this. */
  frameRateHz: number;
  /** Frames recorded a second: what the rig and the people do goes by this. */
  captureRateHz: number;
  frameWidthMm: number;
  frameHeightMm: number;
  /** Seconds of action and seconds on screen; they differ in slow motion. */
  tS: Float64Array;
  screenS: Float64Array;
  /** Seconds on screen for a second of action. */
  slow: Float64Array;
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
  /** To the middle of the part that the shot is after; without a subject to the pivot. */
  subjectDistanceM: Float64Array;
  /** Foot of that part, upright under its middle: of the whole subject its base. */
  subjectXM: Float64Array;
  subjectYM: Float64Array;
  subjectZM: Float64Array;
  /** The camera of every row, `CAMERA_SIZE` numbers each: see optics/projection. */
  cameras: Float64Array;
  /** What the body under the camera would add. The columns above are without it. */
  body: BodyMotion;
  /** The same way without the body, where the columns above have it in them. */
  plain?: Samples;
}

/** Most rows a shot may come to: ten minutes at 1000 a second. */
const MOST_ROWS = 600_001;
const RAD = Math.PI / 180;

/** Rows a shot comes to: one per frame, both ends included. */
export function rowCount(durationS: number, rateHz: number): number {
  return Math.min(MOST_ROWS, Math.floor(durationS * rateHz + 1e-6) + 1);
}

/** Samples a shot once per recorded frame: place, look with its lag, zoom, focus, and what the body adds. */
export function filmShot(scene: Scene, motion: ShotMotion = motionOf(scene)): Samples {
  const { shot, camera, lens, delivery } = scene;
  const frame = frameSizeMm(camera, delivery);
  const count = rowCount(motion.durationS, shot.captureRateHz);
  const column = () => new Float64Array(count);
  const rows = {
    tS: column(),
    screenS: column(),
    slow: column(),
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
    subjectDistanceM: column(),
    subjectXM: column(),
    subjectYM: column(),
    subjectZM: column(),
    cameras: new Float64Array(count * CAMERA_SIZE),
  };
  const playing = playingOf(shot, motion.durationS);
  // What is kept back for stabilising is cut off all round: places are those in what is left, and it is closer.
  const kept = 1 - shot.after.stabilisingPercent / 100;
  const lookAt = lookOf(scene, motion, frame.widthMm * kept, frame.heightMm * kept);
  const zoom = zoomOf(scene, motion, lookAt, frame.widthMm * kept, frame.heightMm * kept);
  const closer = column();
  const focus = focusOf(scene, motion);
  const upM = middleM(scene, motion);
  const baseAt = baseOf(motion, motion.legs[0].moveFrame);
  const pose: Pose = {
    tS: 0,
    place: new Float64Array(3),
    subject: new Float64Array(3),
    panDeg: 0,
    tiltDeg: 0,
    rollDeg: 0,
  };
  for (let i = 0; i < count; i += 1) {
    const tS = i / shot.captureRateHz;
    pose.tS = tS;
    motion.placeAt(tS, pose.place);
    motion.partAt?.(tS, pose.subject);
    const base = baseAt(pose.subject);
    const [dx, dy, dz] = [base[0] - pose.place[0], base[1] - pose.place[1], base[2] + upM - pose.place[2]];
    const distanceM = Math.sqrt(dx * dx + dy * dy + dz * dz);
    const wantedMm = zoom.wantedMm(pose, distanceM);
    const through =
      wantedMm === shot.focalLengthMm ? { effectiveMm: wantedMm, crop: 1 } : throughLens(wantedMm, lens, zoom.by());
    rows.focusDistanceM[i] = focus(tS, pose.place, distanceM);
    closer[i] = breathing(lens, rows.focusDistanceM[i]);
    const seenMm = through.effectiveMm * closer[i];
    if (seenMm !== wantedMm) lookAt(tS, pose.place, pose.subject, seenMm, pose);
    const previousPan = i === 0 ? null : rows.panDeg[i - 1];
    rows.tS[i] = tS;
    rows.screenS[i] = playing.screenAt(tS);
    rows.slow[i] = playing.slowAt(tS);
    rows.xM[i] = pose.place[0];
    rows.yM[i] = pose.place[1];
    rows.zM[i] = pose.place[2];
    rows.panDeg[i] =
      previousPan === null
        ? pose.panDeg - 360 * Math.floor(pose.panDeg / 360)
        : pose.panDeg - 360 * Math.round((pose.panDeg - previousPan) / 360);
    rows.tiltDeg[i] = pose.tiltDeg;
    rows.rollDeg[i] = pose.rollDeg;
    rows.focalLengthMm[i] = through.effectiveMm;
    rows.wantedFocalLengthMm[i] = wantedMm;
    rows.crop[i] = through.crop;
    rows.subjectDistanceM[i] = distanceM;
    rows.subjectXM[i] = motion.partAt ? pose.subject[0] : NaN;
    rows.subjectYM[i] = motion.partAt ? pose.subject[1] : NaN;
    rows.subjectZM[i] = motion.partAt ? pose.subject[2] : NaN;
  }
  if (zoom.by() === 'crop')
    enlargeOnly(rows.wantedFocalLengthMm, rows.focalLengthMm, rows.crop, lens.focalLengthMinMm, lens.focalLengthMaxMm);
  for (let i = 0; i < count; i += 1) {
    const seen = closer[i] / kept;
    if (seen === 1) continue;
    rows.focalLengthMm[i] *= seen;
    rows.crop[i] /= kept;
  }
  const steadied = shot.setUp.stabiliser === 'on' ? scene.camera.steadyShare * lens.steadyShare : 1;
  const body = bodyMotion(
    scene.gait,
    // Stabilisers in camera and lens take from what the rig lets through.
    { ...scene.rig, shakeShare: scene.rig.shakeShare * steadied },
    shot.bodySeed,
    groundSpeeds(rows, count, shot.captureRateHz),
    shot.captureRateHz,
  );
  if (!motion.intent.carried) follow(scene, motion, rows, body);
  for (let i = 0; i < count; i += 1)
    writeCamera(
      rows.cameras,
      i * CAMERA_SIZE,
      rows.xM[i],
      rows.yM[i],
      rows.zM[i],
      rows.panDeg[i],
      rows.tiltDeg[i],
      rows.rollDeg[i],
      rows.focalLengthMm[i],
      frame.widthMm,
    );
  return {
    count,
    frameRateHz: shot.frameRateHz,
    captureRateHz: shot.captureRateHz,
    frameWidthMm: frame.widthMm,
    frameHeightMm: frame.heightMm,
    ...rows,
    body,
  };
}

/**
 * How much closer a lens shows things when it is focused at a distance than at infinity: it breathes evenly in dioptres,
 * all of it at its closest. Common practice, no published source.
 */
function breathing({ breathingShare, closestFocusM }: Lens, focusM: number): number {
  if (breathingShare === 0 || closestFocusM <= 0) return 1;
  return 1 + breathingShare * Math.min(1, closestFocusM / Math.max(focusM, closestFocusM));
}

/** The lens is set once, to the widest the shot needs; the rest is enlarged afterwards. */
function enlargeOnly(
  wantedMm: Float64Array,
  effectiveMm: Float64Array,
  crop: Float64Array,
  leastMm: number,
  mostMm: number,
): void {
  const opticalMm = Math.min(
    mostMm,
    Math.max(
      leastMm,
      wantedMm.reduce((least, mm) => Math.min(least, mm), Infinity),
    ),
  );
  for (let i = 0; i < wantedMm.length; i += 1) {
    crop[i] = Math.max(1, wantedMm[i] / opticalMm);
    effectiveMm[i] = Math.max(wantedMm[i], opticalMm);
  }
}

/** Runs the hand's look through the head's lag. A head that is free on all axes is given the body's lean as well. */
function follow(
  { shot }: Scene,
  { legs, intent }: ShotMotion,
  rows: Pick<Samples, 'tS' | 'panDeg' | 'tiltDeg' | 'rollDeg'>,
  body: BodyMotion,
): void {
  const { mode, ...following } = shot.aim;
  if (intent.freeHorizon) {
    const free = legs.map(({ leg }) => ((leg.look.mode ?? mode) === 'allFollow' ? 1 : 0));
    for (let i = 0; i < rows.rollDeg.length; i += 1) {
      // Handed on from one move to the next as the look is.
      let share: number = free[0];
      for (let k = 1; k < legs.length && rows.tS[i] > legs[k].fromS; k += 1)
        share += (free[k] - share) * eased((rows.tS[i] - legs[k].fromS) / (legs[k].lookFromS - legs[k].fromS));
      rows.rollDeg[i] += share * body.leanDeg[i];
    }
  }
  for (const axis of ['panDeg', 'tiltDeg', 'rollDeg'] as const)
    rows[axis] = followed(rows[axis], shot.captureRateHz, following);
}

function groundSpeeds({ xM, yM }: Pick<Samples, 'xM' | 'yM'>, count: number, rateHz: number): Float64Array {
  const speeds = new Float64Array(count);
  for (let i = 1; i < count; i += 1) speeds[i] = Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1]) * rateHz;
  if (count > 1) speeds[0] = speeds[1];
  return speeds;
}

/** The same shot with the body's bob, sway and shake in it. */
export function withBody(samples: Samples): Samples {
  const { count, body, cameras } = samples;
  const [xM, yM, zM] = [samples.xM.slice(), samples.yM.slice(), samples.zM.slice()];
  const add = (column: Float64Array, more: Float64Array) => column.map((value, i) => value + more[i]);
  const panDeg = add(samples.panDeg, body.panDeg);
  const tiltDeg = add(samples.tiltDeg, body.tiltDeg);
  const rollDeg = add(samples.rollDeg, body.rollDeg);
  const shaken = new Float64Array(cameras.length);
  for (let i = 0; i < count; i += 1) {
    const pan = samples.panDeg[i] * RAD;
    xM[i] += body.swayM[i] * Math.cos(pan);
    yM[i] -= body.swayM[i] * Math.sin(pan);
    zM[i] += body.bobM[i];
    writeCamera(
      shaken,
      i * CAMERA_SIZE,
      xM[i],
      yM[i],
      zM[i],
      panDeg[i],
      tiltDeg[i],
      rollDeg[i],
      samples.focalLengthMm[i],
      samples.frameWidthMm,
    );
  }
  return { ...samples, xM, yM, zM, panDeg, tiltDeg, rollDeg, cameras: shaken, plain: samples };
}

/** How far the camera travels in all, metres. */
export function pathLengthM({ count, xM, yM, zM }: Samples): number {
  let lengthM = 0;
  for (let i = 1; i < count; i += 1) lengthM += Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1]);
  return lengthM;
}
