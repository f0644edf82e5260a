import type { Finding } from '../../model/finding';
import { trim } from '../../model/units';
import { mostRepeats } from '../../motion/shown';
import type { Picture } from '../picture';

/** Frames that are shown more than once, so that motion staggers. */
export function staggerFindings({ setup: { shot, limits }, samples: shown }: Picture): Finding[] {
  const value = mostRepeats(shown);
  const limit = limits.repeats;
  if (value <= limit) return [];
  return [
    {
      id: 'stagger',
      grade: value > limit * limits.joltFactor ? 'jolt' : 'ripple',
      sentence: `Each recorded frame is shown for ${trim(value, 1)} frames where it plays slowest: motion goes in steps, ${trim(shot.frameRateHz / value, 1)} of them a second.`,
      reason: 'Slower than life needs as many more frames recorded. As a look, with a long shutter, it smears and stutters on purpose.',
      tS: shown.screenS[shown.slow.reduce((most, slow, row) => (slow > shown.slow[most] ? row : most), 0)],
      value,
      limit,
      unit: 'frames',
      said: `${trim(value, 1)} times`,
      measure: 'showing of each frame',
    },
  ];
}
