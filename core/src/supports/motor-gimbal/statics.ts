import { handMm, type MotorGimbal, type Units } from '../../model';
import { GRAVITY } from '../elliptic';
import { heapOf, type Lump } from '../masses';

/** One balance of a motor gimbal: what to slide, by how much to be level, and what its motor holds meanwhile. */
export interface AxisBalance {
  name: 'tilt, fore and aft' | 'tilt, up and down' | 'roll' | 'pan';
  /**
   * Slide by this to balance with nothing else moved: forward, up or to the right positive. What hands do, one after
   * the other, is in `gimbalSlides`.
   */
  slideMm: number;
  /** What the motor has to hold at the worst angle as it is. */
  leftoverNm: number;
  shareOfMotor: number;
}

export interface GimbalBalance {
  massKg: number;
  payloadShare: number;
  axes: AxisBalance[];
  /** Run time left of the full battery's, 0 to 1, with the motors holding what is left over. */
  runShare: number;
}

/**
 * At full torque a motor takes this many times what the rest of the gimbal takes: a model of copper loss, common
 * practice, no published source.
 */
const HOLDING_TIMES = 6;

/**
 * The four balances as everything is set now, in the order they are done. The roll and pan motors carry what the tilt
 * balance leaves as well.
 */
export function gimbalBalance(gimbal: MotorGimbal, placed: readonly Lump[]): GimbalBalance {
  const camera = heapOf(placed);
  const xM = camera.xM + gimbal.plateForeMm / 1000;
  const zM = camera.zM + gimbal.plateUpMm / 1000;
  const cageKg = gimbal.cageMassG / 1000;
  const rollKg = camera.massKg + cageKg;
  // The cage itself is built even about the roll axis: what hangs to one side is the camera and where the cage is slid.
  const sideM = (camera.yM * camera.massKg) / rollKg + gimbal.cageSideMm / 1000;
  const panKg = rollKg + gimbal.armMassG / 1000;
  const foreM = (xM * camera.massKg) / panKg + gimbal.armForeMm / 1000;
  const axis = (name: AxisBalance['name'], offM: number, massKg: number): AxisBalance => {
    const leftoverNm = Math.abs(massKg * GRAVITY * offM);
    return { name, slideMm: offM === 0 ? 0 : -offM * 1000, leftoverNm, shareOfMotor: leftoverNm / gimbal.torqueMaxNm };
  };
  const axes = [
    axis('tilt, fore and aft', xM, camera.massKg),
    axis('tilt, up and down', zM, camera.massKg),
    axis('roll', sideM, rollKg),
    axis('pan', foreM, panKg),
  ];
  const holding = axes.reduce((sum, { shareOfMotor }) => sum + Math.min(1, shareOfMotor) ** 2, 0);
  return {
    massKg: camera.massKg,
    payloadShare: camera.massKg / (gimbal.payloadMaxG / 1000),
    axes,
    runShare: 1 / (1 + HOLDING_TIMES * holding),
  };
}

/** Slides below this are not felt, mm. */
export const FELT_MM = 0.3;

/** The plates in the order in which hands slide them. */
const PLATES = [
  ['tilt, fore and aft', 'plateForeMm', 'The camera’s plate forward'],
  ['tilt, up and down', 'plateUpMm', 'The camera’s plate up'],
  ['roll', 'cageSideMm', 'The cage'],
  ['pan', 'armForeMm', 'The roll arm'],
] as const;

export interface GimbalSlide {
  name: AxisBalance['name'];
  /** How far to slide, as it is printed: 0 where it stays. */
  byMm: number;
}

/**
 * The four slides, each worked out on what those before it left, as they are printed; and the gimbal once they are
 * done.
 */
export function gimbalSlides(
  gimbal: MotorGimbal,
  placed: readonly Lump[],
  units: Units,
): { slides: GimbalSlide[]; set: MotorGimbal } {
  let set = gimbal;
  const slides = PLATES.map(([name, key], i): GimbalSlide => {
    const { slideMm } = gimbalBalance(set, placed).axes[i];
    const byMm = Math.abs(slideMm) < FELT_MM ? 0 : handMm(slideMm, units).mm;
    set = { ...set, [key]: set[key] + byMm };
    return { name, byMm };
  });
  return { slides, set };
}

/** How far a plate goes either way, mm: what the format allows. */
export const PLATE_REACH_MM = 200;

/** The plates that would have to go farther than they go, and to where, mm. */
export function platesOut(gimbal: MotorGimbal, placed: readonly Lump[]): { name: string; toMm: number }[] {
  const { set } = gimbalSlides(gimbal, placed, 'metric');
  return PLATES.flatMap(([, key, name]) => (Math.abs(set[key]) > PLATE_REACH_MM ? [{ name, toMm: set[key] }] : []));
}
