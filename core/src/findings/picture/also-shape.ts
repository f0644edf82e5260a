import { subjectWords } from '../../scene';
import { define, type FindingKinds } from '../definition';
import { gradeAbove, lasting, stretchWords, type FindingOf } from '../finding';
import { longestRun } from '../../motion';
import { isShown, type Picture } from '../../image';

const KINDS = {
  alsoShape: {
    measures: 'time outside the second shape, s',
    limits: ['cutOffS'],
    about: 'subject',
    cures: ['placeInTheMiddle', 'placeRight', 'placeLeft', 'wider', 'standFarther', 'aimAtSubject'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/**
 * How much of its width a figure fills (hat and elbows are wider), and how much of a thing has to be seen: common
 * practice, no published source.
 */
const BODY = 0.7;
const THING = 0.6;

/**
 * The middle of the frame that another shape is cut from: half its width in frame widths, half its height in frame
 * heights.
 */
export function innerArea(
  alsoShape: Picture['scene']['delivery']['alsoShape'],
  aspect: number,
): { halfWidth: number; halfHeight: number } | null {
  if (alsoShape === 'none') return null;
  const wanted = { upright: 9 / 16, square: 1, wide: 16 / 9 }[alsoShape];
  return { halfWidth: Math.min(0.5, wanted / aspect / 2), halfHeight: Math.min(0.5, aspect / wanted / 2) };
}

/** Whether the subject stays inside the shape that is cut out later as well. */
function findAlsoShape({ scene, samples, subject, intent }: Picture): Found[] {
  const { alsoShape: shape } = scene.delivery;
  const inner = innerArea(shape, samples.frameWidthMm / samples.frameHeightMm);
  if (!inner || !scene.subject) return [];
  // Of a figure all of it across and its head; of a thing most of it: the part that matters, not its middle.
  const figure = scene.subject.kind === 'figure';
  const outside = longestRun(samples.count, (row) => {
    if (!isShown(subject, row)) return false;
    const { u, topV } = subject;
    const acrossOut = Math.abs(u[row]) + subject.halfWidth[row] * (figure ? BODY : THING) - inner.halfWidth;
    // Wider than the cut altogether: what matters is that its middle fills it.
    const tooWide = subject.halfWidth[row] * (figure ? BODY : THING) > inner.halfWidth;
    const across = tooWide ? Math.abs(u[row]) > inner.halfWidth / 2 : acrossOut > 1e-9;
    return across || Math.min(topV[row], 0.5) > inner.halfHeight + 1e-9 || topV[row] < -inner.halfHeight;
  });
  const value = outside ? outside.rows / samples.frameRateHz : 0;
  const limit = scene.limits.cutOffS;
  const kept = intent.subjectIn === 'always';
  return [
    {
      id: 'alsoShape',
      grade: kept ? gradeAbove(value, limit, Infinity) : 'calm',
      sentence: outside
        ? `${subjectWords(scene)} is not whole in the ${shape} cut ` +
          `${stretchWords(value, samples.screenS[outside.row], outside.stretches)}.`
        : `${subjectWords(scene)} stays inside the ${shape} cut as well.`,
      reason:
        'People compose for the shape they see: what a second shape needs has to stay in its inner area ' +
        'from the start.',
      screenS: samples.screenS[outside?.row ?? 0],
      value,
      limit,
      unit: 's',
      said: lasting(value),
      measure: 'time outside the second shape',
    },
  ];
}

export const alsoShape = define(KINDS, findAlsoShape);
