import { gradeAbove, percent, type Finding } from '../../model/finding';
import { largest } from '../../motion/columns';
import { rowAt } from '../../motion/shown';
import type { Picture } from '../picture';

/** The start, the stop, and the joins of a chain, each by the hardest change of speed that the picture shows in its part of the shot. */
export function featherFindings({ screen, samples, motion, setup }: Picture): Finding[] {
  const { limits } = setup;
  const { legs } = motion;
  const last = samples.count - 1;
  const middles = legs.map(({ pace }) => rowAt(samples, (pace.startS + pace.endS) / 2));
  const [first, final] = [Math.min(...middles), Math.max(...middles)];
  const limit = limits.screenAcceleration;
  const meant = legs.some(({ recipe }) => recipe.meantToBlur);
  return [
    { id: 'start', what: 'start', from: 0, to: first },
    ...(legs.length > 1 ? [{ id: 'join', what: 'join', from: first, to: Math.max(first, final) }] : []),
    { id: 'stop', what: 'stop', from: Math.max(first, final), to: last },
  ].flatMap(({ id, what, from, to }) => {
    const peak = largest(screen.acceleration, from, to);
    if (!peak) return [];
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
      reason:
        id === 'stop'
          ? 'The stop is the harder one: arriving on the mark, at rest, without a bump.'
          : id === 'join'
            ? 'Where one move passes into the next the speed has to run on, or come to rest and start again softly.'
            : 'A camera that is suddenly moving pulls the eye to the camera.',
      tS: samples.screenS[peak.row],
      value: peak.value,
      limit,
      unit: 'frame widths/s²',
      said: `${percent(peak.value)}/s²`,
      measure: `hardness of the ${what}`,
    };
  });
}
