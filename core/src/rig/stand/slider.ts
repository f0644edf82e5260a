import type { Slider } from '../../model/build';
import { GRAVITY } from '../balance/elliptic';
import { bagForMarginKg, feetAround, tippingMarginM, type Spot } from './support';

const RAD = Math.PI / 180;

/** A slider with its carriage at a place along the rail, m from the rail's middle. */
export interface SliderAt {
  alongM: number;
  /** Force that each end's stand carries, N (one stand: all on it, and the second 0). */
  reactionsN: [number, number];
  /** Centre of mass inside the edge of its support, m; negative: tips. */
  marginM: number;
  /** How much the rail slopes under the carriage, degrees: the frame goes crooked by this. */
  slopeDeg: number;
}

export interface SliderStand {
  rows: SliderAt[];
  worst: SliderAt;
  /** Force along a tilted rail that pulls the carriage down, and the friction or drag that has to hold it, N. */
  slipN: number;
  frictionN: number;
  dragNeededN: number;
  /** Bag for a margin of 50 mm, kg at the foot of each stand. */
  bagKg: number;
  /** Sum of what stands. */
  massKg: number;
}

const ROWS = 41;
const WISH_M = 0.05;

/** Statics of a slider with a camera of `headKg`: a simply supported beam on two stands (slope under the load from beam theory), or a lever on one. */
export function sliderStand(slider: Slider, headKg: number): SliderStand {
  const length = slider.railMm / 1000;
  const cos = Math.cos(slider.tiltDeg * RAD);
  const carried = headKg + slider.carriageMassG / 1000;
  const railKg = slider.railMassG / 1000;
  const standKg = slider.standMassG / 1000;
  const bagKg = slider.bagG / 1000;
  const feet = slider.stands === 'two' ? bothStands(slider.footMm / 1000, length * cos) : feetAround(3, slider.footMm / 1000, 90);
  const stands = slider.stands === 'two' ? 2 : 1;
  const massKg = carried + railKg + stands * (standKg + bagKg);
  const rows = Array.from({ length: ROWS }, (_, i): SliderAt => {
    const alongM = length * (i / (ROWS - 1) - 0.5);
    const fromA = alongM + length / 2;
    const rightN = GRAVITY * ((carried * fromA) / length + railKg / 2);
    const leftN = GRAVITY * (carried + railKg) - rightN;
    const own = GRAVITY * (standKg + bagKg);
    const two = slider.stands === 'two';
    const centre: Spot = [(carried * alongM * cos) / massKg, 0];
    // On two: slope of a beam under a load at a from one end, F b (l² − b² − 3a²) / 6EIl. On one: the half of the rail that stands out bends as a cantilever, F a² / 2EI.
    const b = length - fromA;
    const slope = two
      ? (GRAVITY * carried * cos * b * (length ** 2 - b ** 2 - 3 * fromA ** 2)) / (6 * slider.stiffnessNm2 * length)
      : (GRAVITY * carried * cos * alongM * Math.abs(alongM)) / (2 * slider.stiffnessNm2);
    return {
      alongM,
      reactionsN: two ? [leftN + own, rightN + own] : [GRAVITY * massKg, 0],
      marginM: tippingMarginM(feet, centre),
      slopeDeg: Math.abs(slope) / RAD,
    };
  });
  const worst = rows.reduce((least, row) => (row.marginM < least.marginM - 1e-12 ? row : least));
  const slipN = GRAVITY * carried * Math.abs(Math.sin(slider.tiltDeg * RAD));
  const frictionN = slider.friction * GRAVITY * carried * cos;
  const centre: Spot = [(carried * worst.alongM * cos) / massKg, 0];
  const more = bagForMarginKg(feet, [0, 0], massKg, centre, WISH_M) / stands;
  return { rows, worst, slipN, frictionN, dragNeededN: Math.max(0, slipN - frictionN), bagKg: more === 0 ? 0 : bagKg + more, massKg };
}

/** The area between two stands: the outer feet of each, three legs with one pointing outward. */
function bothStands(footM: number, apartM: number): Spot[] {
  const at = apartM / 2;
  const [out, back] = [footM, footM / 2];
  const wide = footM * Math.sin(60 * RAD);
  return [[at + out, 0], [at - back, wide], [-at + back, wide], [-at - out, 0], [-at + back, -wide], [at - back, -wide]]; // prettier-ignore
}
