import { legsOf, MOST_FRAMES, type Shot, withLeg } from '../model';
import { mostOfPart, withTiming } from './timing';

/**
 * Makes a shot a time-lapse: a picture at each interval (s) for so many hours, its moves stretched evenly over them. The
 * shutter stays open as long as it was, or half of the interval where that is shorter.
 */
export function asTimeLapse(shot: Shot, intervalS: number, hours: number): Shot {
  const openS = shot.shutterDeg / 360 / shot.captureRateHz;
  const captureRateHz = 1 / intervalS;
  const legs = legsOf(shot);
  const lastsS = legs.reduce((sum, { timing }) => sum + timing.durationS, 0);
  const share = Math.min(hours * 3600, MOST_FRAMES * intervalS) / lastsS;
  let next: Shot = {
    ...shot,
    captureRateHz,
    shutterDeg: Math.min(180, Math.max(0.1, openS * 360 * captureRateHz)),
    playback: { ...shot.playback, ramp: [] },
  };
  legs.forEach((_, k) => {
    next = withLeg(next, k, (leg) => {
      const { timing } = leg;
      const seconds = (value: number) => Math.round(value * share);
      return {
        ...leg,
        overlapS: Math.min(60, leg.overlapS),
        timing: {
          ...timing,
          durationS: Math.max(1, seconds(timing.durationS)),
          holdStartS: Math.floor(timing.holdStartS * share),
          featherInS: Math.floor(timing.featherInS * share),
          featherOutS: Math.floor(timing.featherOutS * share),
          holdEndS: Math.floor(timing.holdEndS * share),
        },
      };
    });
  });
  return next;
}

/** Makes a time-lapse a shot that is filmed at the rate it is shown, its moves in `durationS` seconds altogether. */
export function asFilmed(shot: Shot, durationS = 8): Shot {
  const legs = legsOf(shot);
  const share = durationS / legs.reduce((sum, { timing }) => sum + timing.durationS, 0);
  let next: Shot = { ...shot, captureRateHz: shot.frameRateHz, shutterDeg: 180 };
  legs.forEach((_, k) => {
    next = withLeg(next, k, (leg) => {
      let timing = withTiming(
        leg.timing,
        'durationS',
        Math.max(0.2, Math.round(leg.timing.durationS * share * 10) / 10),
      );
      for (const part of ['holdStartS', 'featherInS', 'featherOutS', 'holdEndS'] as const)
        timing = withTiming(
          timing,
          part,
          Math.min(mostOfPart(timing, part), Math.round(leg.timing[part] * share * 10) / 10),
        );
      return { ...leg, timing };
    });
  });
  return next;
}
