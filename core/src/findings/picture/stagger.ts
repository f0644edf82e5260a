import { define, type FindingKinds } from '../definition';
import { percent, type FindingOf } from '../finding';
import { trim } from '../../model';
import { mostRepeats } from '../../motion';
import type { Picture } from '../../image';

const KINDS = {
  stagger: {
    measures: 'how often a frame is shown, or how much steps differ',
    limits: ['repeats', 'unevenSteps', 'joltFactor'],
    about: 'layers',
    cures: ['slowMotion', 'noSlower', 'evenSteps'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/**
 * Frames that are shown more than once, so that motion staggers; and frames that are left out unevenly, so that it
 * stutters.
 */
function staggerFindings(picture: Picture): Found[] {
  const { scene, samples: shown } = picture;
  const { shot, limits } = scene;
  const value = mostRepeats(shown);
  const limit = limits.repeats;
  if (value <= limit) return unevenSteps(picture);
  return [
    {
      id: 'stagger',
      grade: value > limit * limits.joltFactor ? 'jolt' : 'ripple',
      sentence:
        `Each recorded frame is shown for ${trim(value, 1)} frames where it plays slowest: motion goes in steps, ` +
        `${trim(shot.frameRateHz / value, 1)} of them a second.`,
      reason:
        'Slower than life needs as many more frames recorded. As a look, with a long shutter, it smears and ' +
        'stutters on purpose.',
      screenS: shown.screenS[shown.slow.reduce((most, slow, row) => (slow > shown.slow[most] ? row : most), 0)],
      value,
      limit,
      unit: 'frames',
      said: `${trim(value, 1)} times`,
      measure: 'showing of each frame',
    },
  ];
}

/** Slower than this nobody sees steps, frame widths a second. */
const SEEN_TO_MOVE = 0.02;

/** Recorded frames from one shown to the next: where that is no whole number, things go now farther, now less far. */
function unevenSteps({ scene: { shot, limits }, samples: shown, screen }: Picture): Found[] {
  // A ramp changes the step all the time; its own corners are judged apart.
  if (shot.playback.ramp.length > 1 || shown.count < 3) return [];
  const step = shown.captureRateHz / (shown.frameRateHz * shown.slow[0]);
  const [less, more] = [Math.floor(step + 1e-6), Math.ceil(step - 1e-6)];
  if (less === more || step <= 1) return [];
  const fastest = screen.speed.reduce((most, speed) => Math.max(most, speed), 0);
  const value = (more - less) / step;
  const limit = limits.unevenSteps;
  if (fastest < SEEN_TO_MOVE || value <= limit) return [];
  const steps = Array.from({ length: 5 }, (_, k) => Math.floor((k + 1) * step + 1e-6) - Math.floor(k * step + 1e-6));
  return [
    {
      id: 'stagger',
      grade: value > limit * limits.joltFactor ? 'jolt' : 'ripple',
      sentence:
        `${trim(shot.captureRateHz, 2)} frames recorded and ${trim(shot.frameRateHz, 2)} shown do not go into ` +
        `each other: the picture goes on by ${steps.join(', ')} … frames in turn, and motion stutters.`,
      reason: `Steps differ by ${percent(value)}. Record a whole multiple of what is shown, or show what goes into it.`,
      screenS: 0,
      value,
      limit,
      unit: 'share of a step',
      said: percent(value),
      measure: 'difference of steps',
    },
  ];
}

export const stagger = define(KINDS, staggerFindings);
