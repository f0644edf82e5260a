import { shotDurationS, type Shot } from '../model';

/**
 * The same picture filmed from its end to its start: the move the other way, holds and feathers at the other end, the
 * ramp mirrored, and played in reverse. What walks in the shot walks forwards all the same, and in a chain each move
 * begins where the one before it ended: of those it is another picture, and null.
 */
export function filmedBackwards(shot: Shot): Shot | null {
  if (shot.then.length > 0 || shot.walks.some(({ points }) => points.length > 1)) return null;
  const { playback, timing } = shot;
  const durationS = shotDurationS(shot);
  const mirroredS = (atS: number) => Math.max(0, Math.round((durationS - atS) * 1000) / 1000);
  return {
    ...shot,
    backwards: !shot.backwards,
    timing: {
      ...timing,
      holdStartS: timing.holdEndS,
      holdEndS: timing.holdStartS,
      featherInS: timing.featherOutS,
      featherOutS: timing.featherInS,
    },
    playback: {
      reversed: !playback.reversed,
      ramp: [...playback.ramp].reverse().map(({ atS, speed }) => ({ atS: mirroredS(atS), speed })),
    },
  };
}
