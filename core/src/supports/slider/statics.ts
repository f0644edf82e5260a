import type { Slider } from '../../model';
import { GRAVITY } from '../elliptic';
import { feetAround, leastBagKg, tippingMarginM, worstMarginM } from '../feet';
import { outlineOf, type Spot } from '../../site';

const RAD = Math.PI / 180;

/** A slider with its carriage at a place along the rail, m from the rail's middle. */
export interface SliderAt {
  alongM: number;
  /** Force that each end's stand carries, N (one stand: all on it, and the second 0). */
  reactionsN: [number, number];
  /**
   * Centre of mass inside the edge of its support, m; negative: tips. On one tripod the least over a whole turn of the
   * rail.
   */
  marginM: number;
  /**
   * How much the rail slopes under the carriage by its load and its own weight, degrees: the frame goes crooked by
   * this.
   */
  slopeDeg: number;
}

export interface SliderStand {
  rows: SliderAt[];
  worst: SliderAt;
  /** Force along a tilted rail that pulls the carriage down, and the friction or drag that has to hold it, N. */
  slipN: number;
  frictionN: number;
  dragNeededN: number;
  /** Bag for a margin of 50 mm, kg at the foot of each stand, all of it: what hangs there already counts towards it. */
  bagKg: number;
  /** Sum of what stands. */
  massKg: number;
}

const ROWS = 41;
const WISH_M = 0.05;

/**
 * Statics of a slider with a camera of `headKg`: a simply supported beam on two stands (slope under the load from beam
 * theory), or a lever on one.
 */
export function sliderStand(slider: Slider, headKg: number): SliderStand {
  const length = slider.railMm / 1000;
  const cos = Math.cos(slider.tiltDeg * RAD);
  const carried = headKg + slider.carriageMassG / 1000;
  const railKg = slider.railMassG / 1000;
  const standKg = slider.standMassG / 1000;
  const bagKg = slider.bagG / 1000;
  const two = slider.stands === 'two';
  const feet = two ? bothStands(slider.footMm / 1000, length * cos) : feetAround(3, slider.footMm / 1000, 90);
  const stands = two ? 2 : 1;
  const bareKg = carried + railKg + stands * standKg;
  const massKg = bareKg + stands * bagKg;
  const marginOf = (alongM: number, allKg: number) => {
    const outM = (carried * alongM * cos) / allKg;
    return two ? tippingMarginM(feet, [outM, 0]) : worstMarginM(feet, Math.abs(outM));
  };
  const rows = Array.from({ length: ROWS }, (_, i): SliderAt => {
    const alongM = length * (i / (ROWS - 1) - 0.5);
    const fromA = alongM + length / 2;
    const rightN = GRAVITY * ((carried * fromA) / length + railKg / 2);
    const leftN = GRAVITY * (carried + railKg) - rightN;
    const own = GRAVITY * (standKg + bagKg);
    return {
      alongM,
      reactionsN: two ? [leftN + own, rightN + own] : [GRAVITY * massKg, 0],
      marginM: marginOf(alongM, massKg),
      slopeDeg: Math.abs(slopeAt(slider, carried * cos, railKg * cos, alongM)) / RAD,
    };
  });
  const worst = rows.reduce((least, row) => (row.marginM < least.marginM - 1e-12 ? row : least));
  const slipN = GRAVITY * carried * Math.abs(Math.sin(slider.tiltDeg * RAD));
  const frictionN = slider.friction * GRAVITY * carried * cos;
  const allKg = leastBagKg((kg) => marginOf(worst.alongM, bareKg + kg), WISH_M);
  return { rows, worst, slipN, frictionN, dragNeededN: Math.max(0, slipN - frictionN), bagKg: allKg / stands, massKg };
}

/**
 * Slope of the rail under its carriage, radians. Beam theory (any handbook of strength of materials): on two stands F b
 * (l² − b² − 3a²) / 6EIl by the load and w (l³ − 6la² + 4a³) / 24EI by its own weight, at a from one end; on one, half
 * the rail is a cantilever of length h: F a² / 2EI and w (3h²a − 3ha² + a³) / 6EI.
 */
function slopeAt({ railMm, stiffnessNm2, stands }: Slider, loadKg: number, railKg: number, alongM: number): number {
  const length = railMm / 1000;
  const loadN = GRAVITY * loadKg;
  const perM = (GRAVITY * railKg) / length;
  if (stands === 'two') {
    const a = alongM + length / 2;
    const b = length - a;
    return (
      (loadN * b * (length ** 2 - b ** 2 - 3 * a ** 2)) / (6 * stiffnessNm2 * length) +
      (perM * (length ** 3 - 6 * length * a ** 2 + 4 * a ** 3)) / (24 * stiffnessNm2)
    );
  }
  const [a, half] = [Math.abs(alongM), length / 2];
  return (
    Math.sign(alongM) *
    ((loadN * a ** 2) / (2 * stiffnessNm2) +
      (perM * (3 * half ** 2 * a - 3 * half * a ** 2 + a ** 3)) / (6 * stiffnessNm2))
  );
}

/**
 * The outline of two stands of three legs each, one of them pointing outward; near to each other the inner feet lie
 * outside the outer ones.
 */
function bothStands(footM: number, apartM: number): Spot[] {
  const at = apartM / 2;
  const [out, back] = [footM, footM / 2];
  const wide = footM * Math.sin(60 * RAD);
  return outlineOf([
    [at + out, 0],
    [at - back, wide],
    [-at + back, wide],
    [-at - out, 0],
    [-at + back, -wide],
    [at - back, -wide],
  ]);
}
