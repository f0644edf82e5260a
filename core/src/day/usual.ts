import type { RigKind } from '../model';

/**
 * What crews usually reckon with, by what carries the camera: common practice, no published source. `setUpMin`: place,
 * level, frame, marks and a walk-through; `mountMin`: the camera put on; `carriedKg`: with its stand; `tries` of a plain
 * move; `powered`: it runs on batteries of its own.
 */
export interface UsualRig {
  setUpMin: number;
  mountMin: number;
  carriedKg: number;
  tries: number;
  powered: boolean;
  /** Gusts from which it is not used, m/s at the camera; null: heavier weather than anybody shoots in. */
  gustMaxMps: number | null;
  risky: boolean;
}

const rig = (
  [setUpMin, mountMin, carriedKg, tries]: [number, number, number, number],
  { powered = false, gustMaxMps = null, risky = false }: Partial<UsualRig> = {},
): UsualRig => ({ setUpMin, mountMin, carriedKg, tries, powered, gustMaxMps, risky });

export const USUAL_RIGS: Record<RigKind, UsualRig> = {
  tripod: rig([5, 2, 5, 2]),
  slider: rig([12, 6, 8, 3]),
  jib: rig([20, 12, 25, 4], { gustMaxMps: 8 }),
  tableTopArm: rig([15, 8, 9, 4], { gustMaxMps: 8 }),
  gimbal: rig([6, 5, 4, 4], { powered: true, gustMaxMps: 10 }),
  sled: rig([8, 5, 6, 5], { gustMaxMps: 4 }),
  hand: rig([2, 2, 3, 3]),
  bodyMount: rig([6, 5, 4, 4]),
  drone: rig([8, 3, 3, 3], { powered: true, gustMaxMps: 8, risky: true }),
  wheels: rig([10, 6, 12, 5], { powered: true }),
  vehicle: rig([25, 20, 15, 4], { risky: true }),
  turntable: rig([10, 6, 6, 3]),
  rollLever: rig([12, 8, 8, 6]),
  rope: rig([40, 15, 15, 5], { gustMaxMps: 5, risky: true }),
  mount: rig([12, 10, 4, 4]),
  drop: rig([15, 10, 6, 30], { risky: true }),
  hoist: rig([20, 12, 12, 6], { gustMaxMps: 6, risky: true }),
  float: rig([15, 8, 5, 6], { gustMaxMps: 3 }),
};

/** A rail longer than this, m, takes so much longer to level, minutes. */
export const LONG_RAIL = { fromM: 1.5, minutes: 6 };
/** One person carries so much in one go, kg. */
export const CARRIES_KG = 15;
/** Farther apart than this a set-up is packed and unpacked, minutes. */
export const PACKED = { fromM: 20, minutes: 2 };
/** Picking up a camera that stands ready, minutes. */
export const OTHER_CAMERA_MIN = 2;
/** A lens changed while the camera is between two rigs, minutes. */
export const LENS_BETWEEN_MIN = 1;
/** Before a try everybody goes back to one: at least, and at a walk, s and m/s. */
export const BACK_TO_ONE = { leastS: 15, mps: 1.2, mostS: 300, droneS: 30 };
/** More tries than this are not foreseen but for tricks. */
export const MOST_TRIES = 15;
/** After so many hours hands are tired. */
export const TIRED_H = 9;
/** From so many tries or motions at once on a shot is a hard one. */
export const HARD = { tries: 6, motions: 3 };
/** A flight takes so long to get there and to come home, s. */
export const FLIGHT_S = 60;
/** A long lens shakes in gusts from here on, m/s and mm. */
export const LONG_LENS = { gustMps: 5, fromMm: 85 };
/** From here on it is called rain, mm an hour. */
export const RAIN_MMPH = 0.2;
/** More of the sky covered than this gives no sun to count on. */
export const OVERCAST = 0.7;
/** A break may begin so much earlier or later than it says, s. */
export const BREAK_SLACK_S = 1800;
/** Light is the same as long as the sun has gone no farther than this, degrees. */
export const SAME_LIGHT_DEG = 12;
/** The hour after sunrise and the hour before sunset, minutes. */
export const LOW_SUN_MIN = 60;
/** A shot as its plan's own moment says may be so much earlier or later, minutes. */
export const PLANNED_SLACK_MIN = 30;
/** The sun is harsh from this height on, degrees. */
export const HARSH_DEG = 50;
