import { CAMERA_SIZE, project, type InPicture } from '../optics';
import type { Samples } from '../motion';
import { WHOLE } from '../model';
import type { Scene } from '../scene';

/**
 * The subject in the picture as columns, one row per sample. NaN without a subject or with the subject behind the
 * camera.
 */
export interface SubjectInFrame {
  /** The subject's middle: u in frame widths, v in frame heights from the centre. */
  u: Float64Array;
  v: Float64Array;
  /** Top of the whole thing, a head for a figure, v in frame heights. */
  crownV: Float64Array;
  /** Top and base of the part that the shot is after, v in frame heights. */
  topV: Float64Array;
  baseV: Float64Array;
  /** From base to top along the picture, in frame heights. */
  height: Float64Array;
  /** Half the subject's width, in frame widths. */
  halfWidth: Float64Array;
  /** Along the optical axis, metres. Without a subject: distance to the pivot, so that layers still mean something. */
  depthM: Float64Array;
  /** Velocity of its middle on screen, frame widths a second; row 0 repeats row 1. */
  rightwards: Float64Array;
  upwards: Float64Array;
  speed: Float64Array;
}

/** A subject that has just left the frame still counts as in it: frame widths and heights. */
const EDGE = 0.55;

/** Whether the subject's middle is in the picture in a row. */
export function isInFrame({ u, v }: Pick<SubjectInFrame, 'u' | 'v'>, row: number): boolean {
  return Math.abs(u[row]) <= EDGE && Math.abs(v[row]) <= EDGE;
}

/**
 * Whether the subject's middle is inside the frame itself in a row: what is said to be in the picture, or out of it.
 */
export function isShown({ u, v }: Pick<SubjectInFrame, 'u' | 'v'>, row: number): boolean {
  return Math.abs(u[row]) <= 0.5 && Math.abs(v[row]) <= 0.5;
}

/** A column where the subject is in the picture; NaN elsewhere: what it does out of sight is not seen. */
export function whileInFrame(subject: SubjectInFrame, column: Float64Array): Float64Array {
  return column.map((value, row) => (isInFrame(subject, row) ? value : NaN));
}

/** Measures the subject's part that the shot is after in every row. */
export function subjectInFrame(
  samples: Samples,
  { subject, subjectAt, part }: Pick<Scene, 'subject' | 'subjectAt' | 'part'>,
): SubjectInFrame {
  const { count, cameras, frameWidthMm, frameHeightMm, frameRateHz } = samples;
  const gap = () => new Float64Array(count).fill(NaN);
  const rows: SubjectInFrame = {
    u: gap(),
    v: gap(),
    crownV: gap(),
    topV: gap(),
    baseV: gap(),
    height: gap(),
    halfWidth: gap(),
    depthM: samples.subjectDistanceM.slice(),
    rightwards: gap(),
    upwards: gap(),
    speed: gap(),
  };
  if (!subject || !subjectAt || !part) return rows;
  const aspect = frameWidthMm / frameHeightMm;
  const half = part.halfM;
  const whole = part.id === WHOLE;
  const feet = new Float64Array(3);
  const base: InPicture = { u: 0, w: 0, depthM: 0 };
  const top: InPicture = { u: 0, w: 0, depthM: 0 };
  const middle: InPicture = { u: 0, w: 0, depthM: 0 };
  const crown: InPicture = { u: 0, w: 0, depthM: 0 };
  for (let i = 0; i < count; i += 1) {
    const x = samples.subjectXM[i];
    const y = samples.subjectYM[i];
    const z = samples.subjectZM[i];
    const camera = i * CAMERA_SIZE;
    project(cameras, camera, x, y, z, base);
    project(cameras, camera, x, y, z + part.heightM, top);
    project(cameras, camera, x, y, z + part.heightM / 2, middle);
    if (!(base.depthM > 0 && top.depthM > 0)) continue;
    rows.u[i] = middle.u;
    rows.v[i] = middle.w * aspect;
    rows.topV[i] = top.w * aspect;
    rows.crownV[i] = rows.topV[i];
    if (!whole) {
      subjectAt(samples.tS[i], feet);
      project(cameras, camera, feet[0], feet[1], feet[2] + subject.heightM, crown);
      if (crown.depthM > 0) rows.crownV[i] = crown.w * aspect;
    }
    rows.baseV[i] = base.w * aspect;
    rows.height[i] = Math.hypot(top.w - base.w, top.u - base.u) * aspect;
    rows.halfWidth[i] = (half * samples.focalLengthMm[i]) / (frameWidthMm * middle.depthM);
    rows.depthM[i] = middle.depthM;
    if (i > 0) {
      rows.rightwards[i] = (rows.u[i] - rows.u[i - 1]) * frameRateHz;
      rows.upwards[i] = ((rows.v[i] - rows.v[i - 1]) / aspect) * frameRateHz;
      rows.speed[i] = Math.hypot(rows.rightwards[i], rows.upwards[i]);
    }
  }
  for (const column of [rows.rightwards, rows.upwards, rows.speed]) if (count > 1) column[0] = column[1];
  return rows;
}
