import { subjectWords } from '../../scene';
import { define, type FindingKinds } from '../definition';
import { gradeAbove, speedWords, trimmedSeconds, type FindingOf } from '../finding';
import { type Picture, SEEN_S, speedLimits, whileInFrame } from '../../image';
import { largest, smoothed } from '../../motion';

const KINDS = {
  'speed.near': {
    measures: 'speed of near things, frame widths a second',
    limits: ['crossingTimeAt24S', 'heldSubjectFactor', 'heldSubjectSpeed', 'joltFactor'],
    about: 'near',
    cures: [
      'takeLonger',
      'travelLess',
      'standFarther',
      'wider',
      'higher',
      'fasterFrames',
      'slowMotion',
      'foregroundFarther',
    ],
  },
  'speed.subject': {
    measures: 'speed of the subject, frame widths a second',
    limits: ['crossingTimeAt24S', 'joltFactor'],
    about: 'subject',
    cures: [
      'aimAtSubject',
      'takeLonger',
      'travelLess',
      'standFarther',
      'wider',
      'higher',
      'fasterFrames',
      'slowMotion',
    ],
  },
  'speed.far': {
    measures: 'speed of far things, frame widths a second',
    limits: ['crossingTimeAt24S', 'heldSubjectFactor', 'heldSubjectSpeed', 'joltFactor'],
    about: 'far',
    cures: ['takeLonger', 'travelLess', 'standFarther', 'wider', 'higher', 'fasterFrames', 'slowMotion'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Screen speed of near, subject and far as crossing time against the frame rate. */
function speedFindings(picture: Picture): Found[] {
  const { limits } = picture.scene;
  const { samples, scene, intent } = picture;
  const { plain, held: wide, isHeld: held, window } = speedLimits(picture);
  const meant = intent.meantToBlur;
  const layers = [
    { id: 'speed.near' as const, what: 'Near things', column: picture.site.near.speed, limit: held ? wide : plain },
    {
      id: 'speed.subject' as const,
      what: scene.subject ? subjectWords(scene) : 'The subject',
      column: whileInFrame(picture.subject, picture.subject.speed),
      limit: plain,
    },
    { id: 'speed.far' as const, what: 'Far things', column: picture.site.far.speed, limit: held ? wide : plain },
  ];
  return layers.flatMap(({ id, what, column, limit }) => {
    const peak = largest(smoothed(column, SEEN_S * samples.frameRateHz));
    if (!peak) return [];
    const grade = meant ? 'calm' : gradeAbove(peak.value, limit, limit * limits.joltFactor);
    const crossing = trimmedSeconds(1 / peak.value);
    const least = trimmedSeconds(1 / limit);
    const still = peak.value < 1e-4;
    const verb = what === 'Near things' || what === 'Far things' ? ['stay', 'cross'] : ['stays', 'crosses'];
    return {
      id,
      grade,
      sentence: still
        ? `${what} ${verb[0]} still in the frame.`
        : meant && peak.value > limit
          ? `${what} ${verb[1]} the frame in ${crossing} at the quickest: they smear, which is meant here.`
          : grade === 'calm'
            ? `${what} ${verb[1]} the frame in ${crossing} at the quickest; ${least} or slower reads smoothly at ` +
              `${samples.frameRateHz} frames a second.`
            : `${what} ${verb[1]} the frame in ${crossing}; at ${samples.frameRateHz} frames a second ${least} is ` +
              'the quickest that reads smoothly.',
      reason:
        (held && id !== 'speed.subject'
          ? 'Faster things jump from frame to frame; the limit is wider because the eye rests on a held subject.'
          : 'Faster things jump from frame to frame instead of moving.') + windowWords(window, samples.frameRateHz),
      screenS: samples.screenS[peak.row],
      value: peak.value,
      limit,
      unit: 'frame widths/s',
      said: speedWords(peak.value),
      measure: `${id === 'speed.subject' ? 'subject' : id === 'speed.near' ? 'near' : 'far'} speed`,
    };
  });
}

/** What a sharp eye makes of it: the window of visibility beside the rule of thumb. */
function windowWords(window: number, frameRateHz: number): string {
  if (window === 0)
    return ` A sharp eye can see steps at ${frameRateHz} frames a second whatever the speed (window of visibility).`;
  if (window === Infinity)
    return ' The blur of this shutter hides the steps even from a sharp eye (window of visibility).';
  return ` A sharp eye can see steps from ${speedWords(window)} on (window of visibility).`;
}

export const speed = define(KINDS, speedFindings);
