import { define, type FindingKinds } from '../definition';
import { seconds, type FindingOf } from '../finding';
import { subjectWords } from '../../scene';
import type { Picture } from '../../image';

const KINDS = {
  handles: {
    measures: 'time before the subject enters and after it leaves, s',
    limits: ['handleS'],
    about: 'subject',
    cures: ['takeLonger'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/**
 * A subject that comes into the frame and goes out of it by itself: when it enters and leaves, and how much of an empty
 * frame there is before and after to cut in.
 */
function findHandles({ scene, subject, samples, intent }: Picture): Found[] {
  const goes = scene.shot.walks.some(({ pieceId, points }) => pieceId === scene.subject?.id && points.length > 1);
  if (!scene.subject || !goes || intent.subjectIn === 'unasked' || intent.reveals) return [];
  const inFrame = (row: number) =>
    Math.abs(subject.u[row]) - subject.halfWidth[row] < 0.5 && subject.baseV[row] < 0.5 && subject.topV[row] > -0.5;
  let [first, last] = [-1, -1];
  for (let row = 0; row < samples.count; row += 1)
    if (inFrame(row)) {
      if (first < 0) first = row;
      last = row;
    }
  if (first < 0) return [];
  const enters = first > 0;
  const leaves = last < samples.count - 1;
  if (!enters && !leaves) return [];
  const name = subjectWords(scene);
  const end = samples.screenS[samples.count - 1];
  const [inS, outS] = [samples.screenS[first], samples.screenS[last]];
  const before = enters ? inS : Infinity;
  const after = leaves ? end - outS : Infinity;
  const least = Math.min(before, after);
  const limit = scene.limits.handleS;
  const said = [
    enters ? `enters at ${seconds(inS)}` : 'is there from the first frame',
    leaves ? `leaves at ${seconds(outS)}` : 'is there at the last',
  ].join(' and ');
  const short = least < limit && (intent.subjectIn === 'sometime' || intent.subjectIn === 'passes');
  const handle = [enters && `${seconds(before)} before`, leaves && `${seconds(after)} after`]
    .filter(Boolean)
    .join(', ');
  return [
    {
      id: 'handles',
      grade: short ? 'ripple' : 'calm',
      sentence:
        `${name} ${said}: ${handle} of empty frame to cut in` +
        `${short ? `; from ${seconds(limit)} on the cut has a choice` : ''}.`,
      reason: 'Let whoever crosses walk in and walk out, with some seconds to spare on both sides.',
      screenS: enters ? inS : outS,
      value: least,
      limit,
      unit: 's',
      said: seconds(least),
      measure: 'handle',
    },
  ];
}

export const handles = define(KINDS, findHandles);
