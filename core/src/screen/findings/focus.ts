import { gradeAbove, type Finding } from '../../model/finding';
import { trim } from '../../model/units';
import { largest } from '../../motion/columns';
import type { Picture } from '../picture';

/** How quickly a rack turns the focus; only said of a shot that racks. */
export function focusFindings({ samples, motion, setup }: Picture): Finding[] {
  const { limits } = setup;
  if (motion.legs.every(({ recipe }) => recipe.focus === undefined)) return [];
  const { focusDistanceM, count } = samples;
  const rate = new Float64Array(count).fill(NaN);
  for (let row = 1; row < count; row += 1) rate[row] = Math.abs(1 / focusDistanceM[row] - 1 / focusDistanceM[row - 1]) * samples.captureRateHz;
  const peak = largest(rate);
  if (!peak) return [];
  const [from, to] = [focusDistanceM[0], focusDistanceM[count - 1]];
  const limit = limits.focusRate;
  const nothing = peak.value < 1e-6;
  const grade = nothing ? 'ripple' : gradeAbove(peak.value, limit, limit * limits.joltFactor);
  return [
    {
      id: 'focus.rack',
      grade,
      sentence: nothing
        ? 'The focus has nowhere to go: both ends of the rack are the same. Choose what it goes from and to.'
        : `The focus goes from ${trim(from, 2)} m to ${trim(to, 2)} m, at most ${trim(peak.value, 2)} dioptres a second; up to ${trim(limit, 1)} a hand can pull evenly.`,
      reason: 'A pull is the hardest part of a shot: rehearse it and mark both ends.',
      tS: samples.screenS[peak.row],
      value: peak.value,
      limit,
      unit: 'dioptres/s',
      said: `${trim(peak.value, 2)} dioptres a second`,
      measure: 'focus pull',
    },
  ];
}
