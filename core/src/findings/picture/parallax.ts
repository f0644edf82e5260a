import { define, type FindingKinds } from '../definition';
import { gradeBelow, speedWords, type FindingOf } from '../finding';
import { largest, pathLengthM, smoothed } from '../../motion';
import { type LayerMotion, type Picture, SEEN_S, totalSlide, whileInFrame } from '../../image';

const KINDS = {
  parallax: {
    measures: 'speed of near and far against the subject, frame widths a second',
    limits: ['parallaxWeak', 'parallaxNone'],
    about: 'layers',
    cures: ['lower', 'foregroundNearer', 'travelMore', 'nearerInTheSameFraming', 'standNearer'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

const STILL_TRACK_M = 0.01;

/**
 * Whether the move shows depth: near and far against the subject. A camera that does not travel is not judged; one
 * whose zoom holds the subject is judged by its background instead.
 */
function parallaxFindings(picture: Picture): Found[] {
  const held = picture.intent.holdsSize;
  const { limits } = picture.scene;
  const { samples, site } = picture;
  if (pathLengthM(samples) < STILL_TRACK_M) return [];
  const peakOf = (layer: LayerMotion) => largest(smoothed(layer.againstSubject, SEEN_S * samples.frameRateHz));
  const near = peakOf(site.near);
  const far = peakOf(site.far);
  const value = Math.max(near?.value ?? 0, far?.value ?? 0);
  const stronger = (near?.value ?? 0) >= (far?.value ?? 0) ? near : far;
  const limit = limits.parallaxWeak;
  // A subject that itself crosses the frame shows the motion.
  const crossing =
    largest(smoothed(whileInFrame(picture.subject, picture.subject.speed), SEEN_S * samples.frameRateHz))?.value ?? 0;
  const shows = !held && crossing > limit && value <= limit;
  const grade = held || shows ? 'calm' : gradeBelow(value, limit, limits.parallaxNone);
  const nearWords = near
    ? `near things move at ${speedWords(near.value)} against the subject`
    : 'nothing near is in the picture';
  const farWords = far ? `far ones at ${speedWords(far.value)}` : 'nothing far is in the picture';
  const slide =
    `${totalSlide(site.near, picture).toFixed(2)} (near) and ${totalSlide(site.far, picture).toFixed(2)} (far) ` +
    'frame widths in all';
  return [
    {
      id: 'parallax',
      grade,
      sentence: shows
        ? `The picture as a whole moves, at ${speedWords(crossing)} where the subject is; near and far hardly part.`
        : grade === 'calm'
          ? `${held ? 'Against the held subject' : 'Depth shows'}: ${nearWords}, ${farWords}; they slide ${slide}.`
          : `The move hardly shows: ${nearWords}, ${farWords}; below ${speedWords(limit)} depth is not felt. They ` +
            `slide ${slide}.`,
      reason:
        'Depth is felt when near and far move at different speeds in the picture. Without something near, ' +
        'travel looks like nothing at all.',
      screenS: stronger ? samples.screenS[stronger.row] : 0,
      value,
      limit,
      unit: 'frame widths/s',
      said: speedWords(value),
      measure: near && stronger === near ? 'near parallax' : 'parallax',
    },
  ];
}

export const parallax = define(KINDS, parallaxFindings);
