import type { Sled } from '../../model';
import { GRAVITY, K_FROM_LEVEL } from '../elliptic';
import { heapOf, pitchInertia, sledLumps, type Lump } from '../masses';
import { hiddenOf } from './learning';
import { windForceN } from '../wind';

const DEG = 180 / Math.PI;

/**
 * How a counterweighted sled hangs and swings. Angles in degrees, positive forward and to the right. Where it is not
 * bottom-heavy, lean and times are null.
 */
export interface SledBalance {
  massKg: number;
  topMassKg: number;
  /** Centre of mass from the pivot: forward, to the right, and how far below. */
  foreMm: number;
  sideMm: number;
  dropMm: number;
  inertiaKgM2: number;
  leanForeDeg: number | null;
  leanSideDeg: number | null;
  /** What the lean becomes more by when the stage goes one millimetre forward from balance. */
  degPerMm: number | null;
  dropS: number | null;
  stopSwingDeg: number | null;
  windLeanDeg: number | null;
  /** Largest lean on a deck that rolls slowly; 0 on firm ground, null where it goes over. */
  deckLeanDeg: number | null;
  loadN: number;
}

/**
 * Time from level to upright of a pendulum let go at rest, s: K(sin 45°)/ω₀, ω₀ = √(m g h / I) (Abramowitz & Stegun
 * 17.3 for K).
 */
export const dropTimeS = (massKg: number, belowM: number, inertiaKgM2: number): number =>
  K_FROM_LEVEL * Math.sqrt(inertiaKgM2 / (massKg * GRAVITY * belowM));

/**
 * How far a hanging body swings when its pivot is stopped at once from a speed, degrees: its spin m h v / I about the
 * pivot, then energy. 180: it goes over.
 */
export function swingOnStopDeg(massKg: number, belowM: number, inertiaKgM2: number, speedMps: number): number {
  const spin = (massKg * belowM * speedMps) / inertiaKgM2;
  const cos = 1 - (inertiaKgM2 * spin ** 2) / (2 * massKg * GRAVITY * belowM);
  return cos <= -1 ? 180 : Math.acos(cos) * DEG;
}

/**
 * A swing that is driven near its own time grows to this many times at most: hands and pivot damp it. Common practice,
 * no published source.
 */
const MOST_TIMES = 5;

/**
 * Lean of a sled of its own rate ω₀ on a deck that rolls as A sin(2πt/T): the pivot, `deckHeightM` above the axis, is
 * carried sideways with A (2π/T)² h at most, which leans what hangs from it by a/g, times 1 / |1 − (ω/ω₀)²| (a driven
 * oscillator, any text of mechanics).
 */
export function deckLeanDeg(
  { deckRollDeg, deckPeriodS, deckHeightM }: Pick<Sled, 'deckRollDeg' | 'deckPeriodS' | 'deckHeightM'>,
  omegaRadps: number,
): number {
  const omega = (2 * Math.PI) / deckPeriodS;
  const still = ((deckRollDeg / DEG) * omega ** 2 * deckHeightM) / GRAVITY;
  return Math.atan(still * Math.min(MOST_TIMES, 1 / Math.max(1e-9, Math.abs(1 - (omega / omegaRadps) ** 2)))) * DEG;
}

/** Balance of a sled from its placed parts, as `partLumps` gives them, and from what its log tells of it. */
export function sledBalance(sled: Sled, placed: readonly Lump[]): SledBalance {
  const lumps = sledLumps(sled, placed, hiddenOf(sled, placed));
  const { massKg, xM, yM, zM } = heapOf(lumps);
  const topMassKg = placed.filter((row) => row.on === 'top').reduce((sum, row) => sum + row.massKg, 0);
  const inertiaKgM2 = pitchInertia(lumps, 0, 0);
  const belowM = -zM;
  const hangs = belowM > 1e-6;
  // Wind across the lens pushes each lump at its own height: what is above the pivot against what is below.
  const windNm = lumps.reduce((sum, row) => sum + windForceN(sled.windMps, row.lengthM * row.heightM) * row.zM, 0);
  return {
    massKg,
    topMassKg,
    foreMm: xM * 1000,
    sideMm: yM * 1000,
    dropMm: belowM * 1000,
    inertiaKgM2,
    leanForeDeg: hangs ? Math.atan(xM / belowM) * DEG : null,
    leanSideDeg: hangs ? Math.atan(yM / belowM) * DEG : null,
    degPerMm: hangs ? Math.atan((topMassKg * 0.001) / massKg / belowM) * DEG : null,
    dropS: hangs ? dropTimeS(massKg, Math.hypot(xM, belowM), inertiaKgM2) : null,
    stopSwingDeg: hangs ? swingOnStopDeg(massKg, belowM, inertiaKgM2, sled.walkMps) : null,
    windLeanDeg: hangs ? Math.atan(Math.abs(windNm) / (massKg * GRAVITY * belowM)) * DEG : null,
    deckLeanDeg: hangs ? deckLeanDeg(sled, Math.sqrt((massKg * GRAVITY * belowM) / inertiaKgM2)) : null,
    loadN: massKg * GRAVITY,
  };
}

/**
 * A swing about its pivot, let go at rest from an angle: one row each `stepS`. Angles in degrees from upright. Full
 * equation θ″ = −ω₀² sin θ − 2 ζ ω₀ θ′, by Runge and Kutta's fourth order.
 */
export function swing(
  omegaRadps: number,
  fromDeg: number,
  forS: number,
  dampingRatio: number,
  stepS = 1 / 120,
): Float64Array {
  const rows = new Float64Array(Math.max(1, Math.ceil(forS / stepS) + 1));
  let angle = fromDeg / DEG;
  let rate = 0;
  const pull = (a: number, w: number) => -(omegaRadps ** 2) * Math.sin(a) - 2 * dampingRatio * omegaRadps * w;
  rows[0] = fromDeg;
  for (let i = 1; i < rows.length; i += 1) {
    const h = stepS;
    const [a1, w1] = [rate, pull(angle, rate)];
    const [a2, w2] = [rate + (h / 2) * w1, pull(angle + (h / 2) * a1, rate + (h / 2) * w1)];
    const [a3, w3] = [rate + (h / 2) * w2, pull(angle + (h / 2) * a2, rate + (h / 2) * w2)];
    const [a4, w4] = [rate + h * w3, pull(angle + h * a3, rate + h * w3)];
    angle += (h / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
    rate += (h / 6) * (w1 + 2 * w2 + 2 * w3 + w4);
    rows[i] = angle * DEG;
  }
  return rows;
}
