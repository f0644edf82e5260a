import { gradeAbove, percent, type Finding } from '../../model/finding';
import { LIMITS } from '../../model/limits';
import { largest } from '../../motion/columns';
import type { Picture } from '../picture';

/** The start and the stop, each by the hardest change of speed that the picture shows in its half of the move. */
export function featherFindings({ acceleration, samples, motion }: Picture): Finding[] {
  const { startS, endS } = motion.pace;
  const middle = Math.round(((startS + endS) / 2) * samples.frameRateHz);
  const last = samples.count - 1;
  const limit = LIMITS.screenAcceleration.value;
  return [
    { id: 'start', what: 'start', from: 0, to: Math.min(last, middle) },
    { id: 'stop', what: 'stop', from: Math.min(last, middle), to: last },
  ].flatMap(({ id, what, from, to }) => {
    const peak = largest(acceleration, from, to);
    if (!peak) return [];
    const grade = gradeAbove(peak.value, limit, limit * LIMITS.accelerationJoltFactor.value);
    const number = `${percent(peak.value)} of the width per second squared`;
    return {
      id,
      grade,
      sentence:
        grade === 'calm'
          ? `The ${what} is soft (${number}).`
          : `The ${what} ${grade === 'jolt' ? 'jerks' : 'can be felt'}: the picture changes speed by ${number}; up to ${percent(limit)} is soft.`,
      reason: id === 'stop' ? 'The stop is the harder one: arriving on the mark, at rest, without a bump.' : 'A camera that is suddenly moving pulls the eye to the camera.',
      tS: samples.tS[peak.row],
      value: peak.value,
      limit,
      unit: 'frame widths/s²',
      said: `${percent(peak.value)}/s²`,
      measure: `hardness of the ${what}`,
    };
  });
}
