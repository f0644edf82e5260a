import { gradeAbove, percent, type Finding } from '../../model/finding';
import { largest } from '../../motion/columns';
import { playingOf } from '../../motion/playback';
import { rowAt } from '../../motion/shown';
import type { Picture } from '../picture';
import { FELT_S } from '../screen-motion';

const REASONS = {
  start: 'A camera that is suddenly moving pulls the eye to the camera.',
  join: 'Where one move passes into the next the speed has to run on, or come to rest and start again softly.',
  stop: 'The stop is the harder one: arriving on the mark, at rest, without a bump.',
  ramp: 'Where the speed of playing begins or ends to change, the picture speeds up or slows down at once.',
} as const;
const NAMES = { start: 'start', join: 'join', stop: 'stop', ramp: 'change of speed' } as const;

/** The start, the stop, the joins of a chain, and the corners of a ramp, each by the hardest change of speed that the picture shows there. */
export function featherFindings(picture: Picture): Finding[] {
  const { screen, samples, motion, setup } = picture;
  const { limits } = setup;
  const { legs } = motion;
  const last = samples.count - 1;
  const middles = legs.map(({ pace }) => rowAt(samples, (pace.startS + pace.endS) / 2));
  const [first, final] = [Math.min(...middles), Math.max(...middles)];
  const limit = limits.screenAcceleration;
  const meant = legs.some(({ recipe }) => recipe.meantToBlur);
  const corners = rampCorners(picture);
  const beside = (row: number) => corners.some((cornerS) => Math.abs(samples.screenS[row] - cornerS) <= 1.5 * FELT_S);
  const ofMove = corners.length === 0 ? screen.acceleration : screen.acceleration.map((value, row) => (beside(row) ? NaN : value));
  const ofRamp = screen.acceleration.map((value, row) => (beside(row) ? value : NaN));
  return [
    { id: 'start' as const, column: ofMove, from: 0, to: first },
    ...(legs.length > 1 ? [{ id: 'join' as const, column: ofMove, from: first, to: Math.max(first, final) }] : []),
    { id: 'stop' as const, column: ofMove, from: Math.max(first, final), to: last },
    ...(corners.length > 0 ? [{ id: 'ramp' as const, column: ofRamp, from: 0, to: last }] : []),
  ].flatMap(({ id, column, from, to }) => {
    const peak = largest(column, from, to);
    if (!peak) return [];
    const what = NAMES[id];
    const grade = meant ? 'calm' : gradeAbove(peak.value, limit, limit * limits.accelerationJoltFactor);
    const number = `${percent(peak.value)} of the width per second squared`;
    return {
      id,
      grade,
      sentence:
        meant && peak.value > limit
          ? `The ${what} is hard (${number}), which is meant here.`
          : grade === 'calm'
            ? `The ${what} is soft (${number}).`
            : `The ${what} ${grade === 'jolt' ? 'jerks' : 'can be felt'}: the picture changes speed by ${number}; up to ${percent(limit)} is soft.`,
      reason: REASONS[id],
      screenS: samples.screenS[peak.row],
      value: peak.value,
      limit,
      unit: 'frame widths/s²',
      said: `${percent(peak.value)}/s²`,
      measure: `hardness of the ${what}`,
    };
  });
}

/** Where the speed of playing begins or ends to change, s on screen. */
function rampCorners({ setup: { shot }, motion: { durationS } }: Picture): number[] {
  const { ramp } = shot.playback;
  const { screenAt } = playingOf(shot, durationS);
  const slope = (k: number) => (k < 1 || k >= ramp.length ? 0 : (ramp[k].speed - ramp[k - 1].speed) / (ramp[k].atS - ramp[k - 1].atS));
  return ramp.filter(({ atS }, k) => atS > 0 && atS < durationS && Math.abs(slope(k + 1) - slope(k)) > 1e-6).map(({ atS }) => screenAt(atS));
}
