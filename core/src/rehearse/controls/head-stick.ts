import type { Practice } from '../../model';
import type { Film } from '../../motion';
import { headAt, type HeadSettings, stickFor } from '../fly/head';
import { planAt, planRate } from './plan-at';

/** What the joystick of a motor head does over a shot, and how the head is set for it. */
export interface HeadStick {
  rateHz: number;
  pan: Float64Array;
  tilt: Float64Array;
  /** On the person's own scale. */
  speedSetting: number;
  smoothSetting: number;
  settings: HeadSettings;
  /** The highest setting turns fast enough. */
  enough: boolean;
  /** Fastest turn that is asked for, degrees a second. */
  mostDegps: number;
}

const MOST_HZ = 50;
const MOST_ROWS = 45_000;
/** The fastest turn lies here on the stick: the rest is room to correct. Common practice, no published source. */
const FASTEST_AT = 0.8;
/** The head may run on for this share of the shortest feather. Common practice, no published source. */
const OF_FEATHER = 0.5;
const within = (value: number) => Math.min(100, Math.max(1, value));

/** The joystick over a shot whose camera turns; null where it hardly does. */
export function headStick({ scene, filmed }: Film, practice: Practice): HeadStick | null {
  const endS = filmed.tS[filmed.count - 1];
  const rateHz = Math.min(MOST_HZ, MOST_ROWS / Math.max(1, endS));
  const count = Math.max(2, Math.round(endS * rateHz));
  const [panAt, tiltAt] = [planAt(filmed, 'panDeg'), planAt(filmed, 'tiltDeg')];
  const rate = (at: (tS: number) => number, tS: number) => planRate(at, tS, 0, endS, 0.02);
  let mostDegps = 0;
  for (let i = 0; i < count; i += 1)
    mostDegps = Math.max(mostDegps, Math.abs(rate(panAt, i / rateHz)), Math.abs(rate(tiltAt, i / rateHz)));
  if (mostDegps < 0.2) return null;
  const perSetting = 360 / practice.fullTurnS / practice.speedSetting;
  const speedSetting = within(Math.ceil(mostDegps / FASTEST_AT / perSetting));
  const feathers = scene.timeline.flatMap(({ leg }) => [leg.timing.featherInS, leg.timing.featherOutS]);
  const shortest = feathers.reduce((least, s) => Math.min(least, s), Infinity);
  const smoothSetting = within(Math.floor((shortest * OF_FEATHER * practice.smoothSetting) / practice.runsOnS));
  const settings = headAt(practice, speedSetting, smoothSetting);
  const stick = (at: (tS: number) => number) =>
    Float64Array.from({ length: count }, (_, i) => {
      const tS = i / rateHz;
      const speed = rate(at, tS);
      const change = (rate(at, tS + 0.02) - rate(at, tS - 0.02)) / 0.04;
      const wish = speed + settings.lagS * change;
      return Math.max(-1, Math.min(1, stickFor(wish, settings)));
    });
  return {
    rateHz,
    pan: stick(panAt),
    tilt: stick(tiltAt),
    speedSetting,
    smoothSetting,
    settings,
    enough: mostDegps <= settings.fullDegps,
    mostDegps,
  };
}
