import type { Scene } from '../scene';
import type { Samples } from '../motion';
import { exposureTimeS } from '../optics';

/**
 * A frame as many short looks through points of the lens, spread over the time that the shutter is open: laid over each
 * other they are blurred as the frame is.
 */

/** Where the camera is, and what it looks at, between two rows. Metres, degrees, millimetres. */
export interface Moment {
  tS: number;
  xM: number;
  yM: number;
  zM: number;
  panDeg: number;
  tiltDeg: number;
  rollDeg: number;
  focalLengthMm: number;
}

/** The pose at a row and a part of the way to the next; past the last row it stands there. */
export function momentAt(samples: Samples, at: number): Moment {
  const row = Math.min(samples.count - 1, Math.max(0, Math.floor(at)));
  const next = Math.min(samples.count - 1, row + 1);
  const share = Math.min(1, Math.max(0, at - row));
  const mix = (column: Float64Array) => column[row] + (column[next] - column[row]) * share;
  return {
    tS: mix(samples.tS),
    xM: mix(samples.xM),
    yM: mix(samples.yM),
    zM: mix(samples.zM),
    panDeg: mix(samples.panDeg),
    tiltDeg: mix(samples.tiltDeg),
    rollDeg: mix(samples.rollDeg),
    focalLengthMm: mix(samples.focalLengthMm),
  };
}

/** For how many rows the shutter is open in a row: half of one at 180° when every recorded frame is shown once. */
export function openRows({ shot }: Pick<Scene, 'shot'>, samples: Samples, row: number): number {
  return exposureTimeS(shot.shutterDeg, shot.captureRateHz) * samples.slow[row] * samples.frameRateHz;
}

/**
 * How far down the camera's axis the plane of sharpness lies, m: the focus is on a thing, and the plane stands square
 * to the axis through it.
 */
export function focusPlaneM(
  { focusDistanceM, subjectDistanceM, subjectXM, subjectYM, subjectZM, xM, yM, zM, panDeg, tiltDeg }: Samples,
  row: number,
  upM: number,
): number {
  const distanceM = focusDistanceM[row];
  if (Number.isNaN(subjectXM[row])) return distanceM;
  const rad = Math.PI / 180;
  const level = Math.cos(tiltDeg[row] * rad);
  const alongM =
    (subjectXM[row] - xM[row]) * Math.sin(panDeg[row] * rad) * level +
    (subjectYM[row] - yM[row]) * Math.cos(panDeg[row] * rad) * level +
    (subjectZM[row] + upM - zM[row]) * Math.sin(tiltDeg[row] * rad);
  // A thing far to the side, or behind, says nothing of the plane.
  const share = alongM / subjectDistanceM[row];
  return distanceM * (share > 0.5 ? Math.min(1, share) : 1);
}

/**
 * Radius of the opening that the scene is seen through, m, so that blur discs come out as `blurDiscMm` says: `f / 2N ·
 * s / (s − f)`.
 */
export function openingRadiusM(opticalMm: number, fNumber: number, focusM: number): number {
  const f = opticalMm / 1000;
  return (f / (2 * fNumber)) * (focusM / Math.max(focusM - f, f / 10));
}

/**
 * One short look: when in the open time (0 to 1), through which point of a round opening of radius 1, and by what part
 * of a pixel it is shifted to smooth edges.
 */
export interface Look {
  share: number;
  x: number;
  y: number;
  pixelX: number;
  pixelY: number;
}

const GOLDEN = Math.PI * (3 - Math.sqrt(5));
/** Steps that keep shares apart however many are taken: the plastic number's (Roberts' R2 sequence, from memory). */
const [R1, R2, R3] = [0.7548776662, 0.5698402909, 0.6180339887];

/** A prime that no usual count is a multiple of. */
const STRIDE = 37;

/**
 * The k-th of `count` looks. Points lie evenly over the opening (a sunflower's order), moments evenly over the time, in
 * no step with each other.
 */
export function lookOfMany(k: number, count: number): Look {
  // Out of order, so that the first few are spread over the whole opening too.
  const place = (k * STRIDE) % count;
  const radius = Math.sqrt((place + 0.5) / count);
  return {
    share: (k * R3 + 0.5) % 1,
    x: radius * Math.cos(place * GOLDEN),
    y: radius * Math.sin(place * GOLDEN),
    pixelX: ((k * R1) % 1) - 0.5,
    pixelY: ((k * R2) % 1) - 0.5,
  };
}
