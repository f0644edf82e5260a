import type { Kit, Units } from '../model';
import { heightsM } from '../findings';
import type { Film } from '../motion';
import { armsLastMin, caseOf, heldOutM, needOf, trickOf } from '../supports';

/** What a shot's own build weighs, kg: what is on it, and a motor gimbal with its own arms; null where none is put together. */
function massOf(kit: Kit, { scene }: Film): number | null {
  const { build } = needOf(kit, scene.shot);
  if (!build) return null;
  const { headKg, support } = caseOf(build, kit);
  return headKg + (support.kind === 'motorGimbal' ? (support.cageMassG + support.armMassG) / 1000 : 0);
}

/** Slower than this counts as standing, m/s. */
const MOVING_MPS = 0.02;

/** The numbers of a trick as this shot asks for it, and what is taped and minded; null for a rig that needs none. */
export function trickIn(film: Film, kit: Kit, units: Units) {
  const { scene, filmed } = film;
  const { count, xM, yM, zM, captureRateHz } = filmed;
  let [goneM, moving] = [0, 0];
  for (let row = 1; row < count; row += 1) {
    const stepM = Math.hypot(xM[row] - xM[row - 1], yM[row] - yM[row - 1], zM[row] - zM[row - 1]);
    goneM += stepM;
    if (stepM * captureRateHz > MOVING_MPS) moving += 1;
  }
  const subjectM = filmed.subjectDistanceM[0];
  return trickOf({
    rig: scene.rig,
    sinkM: zM[0] - zM[count - 1],
    goneM,
    movingS: moving / captureRateHz,
    subjectM: scene.subject && subjectM > 0 ? subjectM : null,
    captureRateHz,
    frameRateHz: scene.shot.frameRateHz,
    massKg: massOf(kit, film),
    units,
  });
}

/**
 * How far one of the moves of a shot sinks, m, where what carries the camera falls; null where it does not: such a move
 * can be timed as the fall that it is.
 */
export function fallOf({ scene, filmed }: Film, index: number): number | null {
  if (scene.rig.kind !== 'drop') return null;
  const { fromS, toS } = scene.timeline[index];
  const rowAt = (tS: number) =>
    Math.min(filmed.count - 1, Math.max(0, Math.round((tS - filmed.tS[0]) * filmed.captureRateHz)));
  const sinkM = filmed.zM[rowAt(fromS)] - filmed.zM[rowAt(toS)];
  return sinkM > LEAST_FALL_M ? sinkM : null;
}
const LEAST_FALL_M = 0.05;

/** How long arms hold what this shot is filmed with. */
export interface Arms {
  massKg: number;
  /** Before the shoulders, m. */
  reachM: number;
  /** Minutes until they shake; Infinity where it tires nobody. */
  minutes: number;
  /** Tries in a row before they do. */
  tries: number;
}

/** Of a shot that hands carry; null where none do, or nothing is put together for the rig. */
export function armsIn(film: Film, kit: Kit): Arms | null {
  const { scene, filmed } = film;
  const { rig } = scene;
  const held = rig.kind === 'gimbal' || rig.kind === 'hand' || (rig.kind === 'drone' && rig.bankMaxDeg === 0);
  const massKg = held ? massOf(kit, film) : null;
  if (massKg === null || massKg === 0) return null;
  const heights = heightsM(scene, filmed);
  const reachM = heldOutM(heights.reduce((sum, m) => sum + m, 0) / heights.length);
  const minutes = armsLastMin(massKg, reachM);
  return { massKg, reachM, minutes, tries: Math.floor((minutes * 60) / Math.max(1, scene.durationS)) };
}
