import { shotDurationS, type RampPoint, type Shot } from '../model';

/** How a shot is played: seconds of action, as the camera filmed them, against seconds on screen. */
export interface Playing {
  /** Length on screen, s. */
  lengthS: number;
  screenAt(tS: number): number;
  actionAt(screenS: number): number;
  /** Seconds on screen for a second of action at a moment of action: 2 for half speed. */
  slowAt(tS: number): number;
  /** Slowest and fastest that it plays, as shares of life: the peaks of the ramp, between frames as well. */
  slowest: number;
  fastest: number;
}

/** A stretch in which the speed changes evenly over action: from `speed` on by `gain` each second. */
interface Stretch {
  fromS: number;
  toS: number;
  speed: number;
  gain: number;
  /** When it begins on screen. */
  shownFromS: number;
}

const EVEN = 1e-9;

/** How long a shot is on screen, s. */
export const lengthOnScreenS = (shot: Shot): number => playingOf(shot, shotDurationS(shot)).lengthS;

/**
 * Lays out how a shot of some seconds of action is played. Time on screen is the integral of 1 / speed over action;
 * where the speed changes evenly that is `ln(v₁/v₀) / gain`.
 */
export function playingOf(shot: Pick<Shot, 'playback' | 'captureRateHz' | 'frameRateHz'>, durationS: number): Playing {
  const { ramp, reversed } = shot.playback;
  const speeds: readonly RampPoint[] =
    ramp.length > 0 ? ramp : [{ atS: 0, speed: shot.frameRateHz / shot.captureRateHz }];
  const stretches: Stretch[] = [];
  let shownS = 0;
  const add = (fromS: number, toS: number, from: number, to: number) => {
    const gain = toS > fromS ? (to - from) / (toS - fromS) : 0;
    const stretch = { fromS, toS, speed: from, gain, shownFromS: shownS };
    stretches.push(stretch);
    shownS += shownIn(stretch, toS);
  };
  const last = speeds[speeds.length - 1];
  add(0, Math.min(durationS, speeds[0].atS), speeds[0].speed, speeds[0].speed);
  for (let i = 1; i < speeds.length && speeds[i - 1].atS < durationS; i += 1) {
    const [a, b] = [speeds[i - 1], speeds[i]];
    const toS = Math.min(durationS, b.atS);
    add(a.atS, toS, a.speed, a.speed + ((b.speed - a.speed) * (toS - a.atS)) / (b.atS - a.atS));
  }
  if (last.atS < durationS) add(last.atS, durationS, last.speed, last.speed);
  const lengthS = shownS;
  const at = (test: (stretch: Stretch) => boolean): Stretch => {
    let found = stretches[0];
    for (const stretch of stretches) if (test(stretch)) found = stretch;
    return found;
  };
  const stretchAt = (tS: number) => at(({ fromS }) => fromS <= tS);
  const forward = (tS: number) => {
    const stretch = stretchAt(tS);
    return stretch.shownFromS + shownIn(stretch, Math.min(durationS, Math.max(0, tS)));
  };
  const action = (screenS: number) => {
    const { fromS, speed, gain, shownFromS } = at((stretch) => stretch.shownFromS <= screenS);
    const inS = Math.max(0, screenS - shownFromS);
    const doneS = Math.abs(gain) < EVEN ? inS * speed : ((Math.exp(gain * inS) - 1) * speed) / gain;
    return Math.min(durationS, fromS + doneS);
  };
  const speedsPlayed = stretches
    .filter(({ fromS, toS }) => toS > fromS)
    .flatMap(({ fromS, toS, speed, gain }) => [speed, speed + gain * (toS - fromS)]);
  return {
    lengthS,
    slowest: Math.min(...speedsPlayed, speedsPlayed.length === 0 ? speeds[0].speed : Infinity),
    fastest: Math.max(...speedsPlayed, speedsPlayed.length === 0 ? speeds[0].speed : 0),
    screenAt: reversed ? (tS) => lengthS - forward(tS) : forward,
    actionAt: reversed ? (screenS) => action(lengthS - screenS) : action,
    slowAt: (tS) => {
      const { fromS, speed, gain } = stretchAt(tS);
      return 1 / (speed + gain * (Math.min(durationS, Math.max(0, tS)) - fromS));
    },
  };
}

function shownIn({ fromS, speed, gain }: Stretch, toS: number): number {
  const inS = toS - fromS;
  return Math.abs(gain) < EVEN ? inS / speed : Math.log((speed + gain * inS) / speed) / gain;
}
