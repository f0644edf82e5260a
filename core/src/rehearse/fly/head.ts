import type { Practice } from '../../model';

/** A motor head as its joystick is set: what a full stick turns, how it runs on, and what of the stick does nothing. */
export interface HeadSettings {
  fullDegps: number;
  /** Time constant of running up and on, s. */
  lagS: number;
  deadBandShare: number;
}

/** What is left of a turn after three time constants is a twentieth: nobody sees it. */
const GONE_AFTER = 3;

/** A head at settings of speed and smoothing, on the scale that the person calibrated once. */
export function headAt(practice: Practice, speedSetting: number, smoothSetting: number): HeadSettings {
  return {
    fullDegps: (360 / practice.fullTurnS) * (speedSetting / practice.speedSetting),
    lagS: ((practice.runsOnS / GONE_AFTER) * smoothSetting) / practice.smoothSetting,
    deadBandShare: practice.deadBandShare,
  };
}

/** Degrees a second that a stick asks for. */
export function rateOf(stick: number, { fullDegps, deadBandShare }: HeadSettings): number {
  const size = Math.max(0, Math.abs(stick) - deadBandShare) / (1 - deadBandShare);
  return Math.sign(stick) * Math.min(1, size) * fullDegps;
}

/** The stick that asks for a rate, degrees a second. */
export function stickFor(rateDegps: number, { fullDegps, deadBandShare }: HeadSettings): number {
  if (Math.abs(rateDegps) < 1e-6 * fullDegps) return 0;
  return Math.sign(rateDegps) * (deadBandShare + (1 - deadBandShare) * (Math.abs(rateDegps) / fullDegps));
}

export interface AxisState {
  deg: number;
  degps: number;
}

/** One axis of a head after `h` seconds more of a stick. */
export function turned({ deg, degps }: AxisState, stick: number, settings: HeadSettings, h: number): AxisState {
  const wish = rateOf(stick, settings);
  if (settings.lagS < 1e-4) return { deg: deg + wish * h, degps: wish };
  const keep = Math.exp(-h / settings.lagS);
  return {
    deg: deg + wish * h + (degps - wish) * settings.lagS * (1 - keep),
    degps: wish + (degps - wish) * keep,
  };
}
