import type { Arm } from '../../model';
import { heapOf, type Lump } from '../masses';
import { GRAVITY } from '../elliptic';
import { windForceN } from '../wind';
import { feetAround, leastBagKg, shiftByPushM, tippingMarginM } from '../feet';
import { type Spot } from '../../site';

/**
 * A gust comes and goes by about this share of the mean wind's force, and takes hold of shade and lens this far before
 * the head: common practice, no published source.
 */
const GUST_SHARE = 0.6;
const SHADE_LEVER_M = 0.12;
const RAD = Math.PI / 180;

export interface ArmStand {
  massKg: number;
  headHeightM: number;
  footM: number;
  /** Margin with the arm where it points, and over all directions from the front leg, one each 5°, m. */
  marginM: number;
  margins: { deg: number; marginM: number }[];
  worst: { deg: number; marginM: number };
  best: { deg: number; marginM: number };
  /**
   * Bag under the middle for the wished margin in the worst direction, kg, all of it: what hangs there already counts
   * towards it.
   */
  bagKg: number;
  windN: number;
  /** Moment of that wind about the feet's edge, N m. */
  windNm: number;
  /** Turn of the head in gusts of that wind, degrees. */
  shakeDeg: number;
  /** Wind that tips it in the worst direction, m/s; 0: it tips in still air. */
  tipsAtMps: number;
}

/**
 * A head, or an arm that reaches out, on three legs: the centre of mass against the edge between the feet, with the
 * wind pushing on what is up there from the worst side.
 */
export function armStand(arm: Arm, placed: readonly Lump[]): ArmStand {
  const head = heapOf(placed);
  const [legM, columnM, reachM] = [arm.legMm / 1000, arm.columnMm / 1000, arm.reachMm / 1000];
  const footM = legM * Math.sin(arm.spreadDeg * RAD);
  const headHeightM = legM * Math.cos(arm.spreadDeg * RAD) + columnM;
  const [armKg, legsKg, bagKg] = [arm.armMassG / 1000, arm.legsMassG / 1000, arm.bagG / 1000];
  const massKg = head.massKg + armKg + legsKg + bagKg;
  const feet = feetAround(3, footM, 90);
  const outKgM = head.massKg * reachM + (armKg * reachM) / 2;
  const areaM2 = placed.reduce((sum, row) => sum + Math.max(row.lengthM, row.widthM) * row.heightM, 0);
  const heightM = headHeightM + head.zM;
  const windN = windForceN(arm.windMps, areaM2);
  const bareKg = massKg - bagKg;
  // Wind from the side that is worst: it pushes straight at the edge that is nearest.
  const marginAt = (deg: number, allKg: number, pushN: number): number => {
    const centre: Spot = [(outKgM / allKg) * Math.sin(deg * RAD), (outKgM / allKg) * Math.cos(deg * RAD)];
    return tippingMarginM(feet, centre) - shiftByPushM(pushN, heightM, allKg);
  };
  const margins = Array.from({ length: 72 }, (_, i) => ({ deg: i * 5, marginM: marginAt(i * 5, massKg, windN) }));
  const worst = margins.reduce((least, row) => (row.marginM < least.marginM - 1e-12 ? row : least));
  const best = margins.reduce((most, row) => (row.marginM > most.marginM + 1e-12 ? row : most));
  const still = marginAt(worst.deg, massKg, 0);
  const perPa = windForceN(1, areaM2);
  return {
    massKg,
    headHeightM,
    footM,
    marginM: marginAt(arm.armDeg, massKg, windN),
    margins,
    worst,
    best,
    bagKg: leastBagKg((kg) => marginAt(worst.deg, bareKg + kg, windN), arm.marginMm / 1000),
    windN,
    windNm: windN * heightM,
    shakeDeg: (windN * GUST_SHARE * SHADE_LEVER_M) / arm.stiffnessNmPerDeg,
    tipsAtMps: still <= 0 ? 0 : perPa > 0 ? Math.sqrt((still * massKg * GRAVITY) / (perPa * heightM)) : Infinity,
  };
}
