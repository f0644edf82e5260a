import { distanceToThingM, type Scene } from '../../scene';
import type { Samples } from '../../motion';

/**
 * How near the camera, and whoever carries it, comes to somebody or to something that moves: when, how near, and how
 * fast.
 */
export interface Approach {
  pieceId: string;
  name: string;
  /** It is a person; otherwise something that moves by itself. */
  person: boolean;
  /** Seconds on screen. */
  screenS: number;
  distanceM: number;
  /** Fastest closing in the two seconds of action before; 0 when they only draw apart. */
  closingMps: number;
  /** How fast the two go past each other at the nearest. */
  passingMps: number;
  /** Time left to step aside at that speed; null where nothing moves. */
  toStepAsideS: number | null;
}

const BEFORE_S = 2;
/** Who never comes nearer than this is of no account, m. */
const NEAR_ENOUGH_M = 25;

/**
 * The closest approach to the subject, to everybody who stands or walks near the path, and to whatever moves, nearest
 * first.
 */
export function approachesOf({ things, shot, subject, carries }: Scene, samples: Samples): Approach[] {
  const spot = new Float64Array(3);
  const { count, captureRateHz: hz, xM, yM, zM } = samples;
  return things
    .filter(
      ({ piece }) => !carries || (piece.id !== subject?.id && piece.on !== subject?.id && piece.id !== subject?.on),
    )
    .filter(
      ({ piece }) =>
        piece.kind === 'figure' || shot.walks.some((walk) => walk.pieceId === piece.id && walk.points.length > 1),
    )
    .map((thing): Approach => {
      const { piece, at: walk } = thing;
      const places = new Float64Array(3 * count);
      const distances = new Float64Array(count);
      for (let row = 0; row < count; row += 1) {
        walk(samples.tS[row], spot);
        places.set(spot, 3 * row);
        distances[row] = Math.max(0, distanceToThingM(thing, samples.tS[row], xM[row], yM[row], zM[row], zM[row]));
      }
      let closest = 0;
      for (let row = 1; row < count; row += 1) if (distances[row] < distances[closest] - 1e-9) closest = row;
      let closingMps = 0;
      let passingMps = 0;
      for (
        let row = Math.max(1, closest - Math.round(BEFORE_S * hz));
        row <= Math.min(count - 1, closest + 1);
        row += 1
      ) {
        if (row <= closest) closingMps = Math.max(closingMps, (distances[row - 1] - distances[row]) * hz);
        const at = (column: Float64Array, axis: number) =>
          column[row] - column[row - 1] - (places[3 * row + axis] - places[3 * row - 3 + axis]);
        const mps = Math.hypot(at(xM, 0), at(yM, 1), at(zM, 2)) * hz;
        // Near the nearest only: what it did a second before is in the closing speed.
        if (row >= closest - Math.round(0.25 * hz)) passingMps = Math.max(passingMps, mps);
      }
      const distanceM = distances[closest];
      const fastest = Math.max(passingMps, closingMps);
      return {
        pieceId: piece.id,
        name: piece.name,
        person: piece.kind === 'figure',
        screenS: samples.screenS[closest],
        distanceM,
        closingMps,
        passingMps,
        toStepAsideS: fastest > 0.05 ? distanceM / fastest : null,
      };
    })
    .filter(({ pieceId, distanceM }) => pieceId === subject?.id || distanceM < NEAR_ENOUGH_M)
    .sort((a, b) => a.distanceM - b.distanceM);
}

/** From this speed on a person who is hit is hurt: a run. Common practice, no published source. */
const FAST_MPS = 3;
/**
 * Somebody who does not look for it needs so long to see it and step aside, s: common practice, no published source.
 */
const STEP_ASIDE_S = 1.5;
/** The miss that crews leave at any speed above a run, m: common practice, no published source. */
const MISS_M = 5;

/**
 * How strongly an approach is to be cautioned about, by speed, miss and the time left, whatever rig it is: null where
 * there is no cause.
 */
export function concernOf(
  {
    distanceM,
    closingMps,
    passingMps,
    toStepAsideS,
  }: Pick<Approach, 'distanceM' | 'closingMps' | 'passingMps' | 'toStepAsideS'>,
  limits: { closePersonM: number; closingPersonM: number; closingFastM: number },
): 'usual' | 'strongest' | null {
  const fastest = Math.max(closingMps, passingMps);
  if (
    fastest >= FAST_MPS &&
    toStepAsideS !== null &&
    toStepAsideS < STEP_ASIDE_S &&
    distanceM < Math.max(MISS_M, limits.closingFastM)
  )
    return 'strongest';
  if (distanceM < limits.closePersonM) return 'usual';
  if (distanceM < limits.closingPersonM && (closingMps > 0.3 || passingMps > 1)) return 'usual';
  return distanceM < limits.closingFastM && fastest > FAST_MPS / 2 ? 'usual' : null;
}
