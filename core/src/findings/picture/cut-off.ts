import { subjectWords } from '../../scene';
import { define, type FindingKinds } from '../definition';
import { lasting, percent, stretchWords, type FindingOf } from '../finding';
import { longestRun, type SubjectIn } from '../../motion';
import { isShown, type Picture, type SubjectInFrame } from '../../image';

const KINDS = {
  subject: { measures: 'whether the shot is about anything', limits: [], about: 'frame', cures: [] },
  cutoff: {
    measures: 'time that the subject is cut off or out, s',
    limits: ['cutOffS'],
    about: 'subject',
    cures: ['turnToSubject', 'aimAtSubject', 'standFarther', 'wider', 'placeLower', 'placeInTheMiddle', 'travelLess'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Is the subject cut off at the frame's edge, or not in the picture at all? */
function findCutOff({ scene, subject, samples, intent, edgeV }: Picture): Found[] {
  const { limits } = scene;
  if (!scene.subject)
    return [
      {
        id: 'subject',
        grade: 'calm',
        sentence: 'This shot has no subject yet: the picture is judged by near and far alone.',
        reason: 'Choose a piece on the plan and make it the subject to have its place, size and focus followed.',
        screenS: 0,
        value: 0,
        limit: 0,
        unit: '',
        said: '',
        measure: 'subject',
      },
    ];
  const name = subjectWords(scene);
  const { count, frameRateHz } = samples;
  const common = { id: 'cutoff' as const, limit: limits.cutOffS, unit: 's', measure: 'time cut off' };
  if (intent.subjectIn === 'unasked')
    return [
      {
        ...common,
        grade: 'calm',
        sentence: `${name} carries the camera: it need not be in the picture.`,
        reason: 'What the camera is fixed to holds still in the frame, and the world moves.',
        screenS: 0,
        value: 0,
        said: lasting(0),
      },
    ];
  const [from, to] = rowsItBelongsIn(intent.subjectIn, subject, count, frameRateHz);
  const among = (test: (row: number) => boolean) => {
    const hit = longestRun(to - from, (k) => test(from + k));
    return hit && { ...hit, row: hit.row + from };
  };
  const out = (row: number) => !isShown(subject, row);
  const gone = among(out);
  const never = longestRun(count, out)?.rows === count;
  type Hit = NonNullable<typeof gone>;
  const during = ({ row, rows, stretches }: Hit) => stretchWords(rows / frameRateHz, samples.screenS[row], stretches);
  const finding = (hit: Hit, sentence: string, reason: string, grade: FindingOf['grade']): Found[] => {
    const value = hit.rows / frameRateHz;
    return [
      {
        ...common,
        grade: value > limits.cutOffS || never ? grade : 'calm',
        sentence,
        reason,
        screenS: samples.screenS[hit.row],
        value,
        said: lasting(value),
      },
    ];
  };
  if (gone)
    return finding(
      gone,
      never ? `${name} is never in the picture.` : `${name} is out of the picture ${during(gone)}.`,
      'The middle of the subject lies outside the frame or behind the camera.',
      'jolt',
    );
  // A move that only passes somebody asks for one look; but who walks away from it is lost, not passed.
  const lost =
    intent.subjectIn === 'sometime' &&
    scene.shot.walks.some((walk) => walk.pieceId === scene.subject?.id && walk.points.length > 1)
      ? longestRun(count, out)
      : null;
  if (lost && lost.rows > count * LOST_SHARE) {
    const value = lost.rows / frameRateHz;
    const sentence =
      `${name} ${scene.subject.kind === 'figure' ? 'walks' : 'goes by'}, and is out of the picture ` +
      `${during(lost)}.`;
    return [
      {
        ...common,
        grade: 'ripple',
        sentence,
        reason: 'The move does not go along with the walk.',
        screenS: samples.screenS[lost.row],
        value,
        said: lasting(value),
      },
    ];
  }
  const figure = scene.subject.kind === 'figure';
  const head = among((row) => subject.topV[row] > edgeV);
  if (head)
    return finding(
      head,
      `${name}’s top is cut off by the upper edge ${during(head)}.`,
      `A cut ${figure ? 'head' : 'top'} looks like a mistake unless it is very close.`,
      'ripple',
    );
  const side = among((row) => Math.abs(subject.u[row]) + subject.halfWidth[row] > 0.5 && subject.halfWidth[row] < 0.4);
  if (side)
    return finding(
      side,
      `${name} is cut by the side of the frame ${during(side)}.`,
      'A thing half in the frame pulls the eye to the edge.',
      'ripple',
    );
  const feet = among((row) => subject.baseV[row] < -edgeV);
  return [
    {
      ...common,
      grade: 'calm',
      sentence: feet
        ? `${name}’s ${figure ? 'head' : 'top'} stays inside the frame; the lower edge cuts ${figure ? 'the figure' : 'it'} at ` +
          `${percent(visibleShare(subject.topV[feet.row], subject.baseV[feet.row], edgeV))} from the top.`
        : `${name} is whole in the frame ${to - from === count ? 'throughout' : 'when it ought to be'}.`,
      reason: 'Keep cuts away from joints: between them looks chosen, through them looks like a mistake.',
      screenS: feet ? samples.screenS[feet.row] : 0,
      value: 0,
      said: lasting(0),
    },
  ];
}

/**
 * Out of the picture for longer than this share of a shot is more than passing. Common practice, no published source.
 */
const LOST_SHARE = 0.3;

/**
 * How long before the end (or after the start) of a shot the subject has to be in the picture when the move shows (or
 * leaves) it: common practice, no published source.
 */
const SHOWN_S = 0.5;

/**
 * The rows in which the subject ought to be in the picture, from and up to. A move that only passes it asks for one
 * row: the one it is nearest the middle.
 */
function rowsItBelongsIn(when: SubjectIn, { u, v }: SubjectInFrame, count: number, rateHz: number): [number, number] {
  const shown = Math.min(count, Math.max(1, Math.round(SHOWN_S * rateHz)));
  if (when === 'start') return [0, shown];
  if (when === 'end') return [count - shown, count];
  if (when === 'always') return [0, count];
  let best = 0;
  const away = (row: number) => (Number.isNaN(u[row]) ? Infinity : Math.max(Math.abs(u[row]), Math.abs(v[row])));
  for (let row = 1; row < count; row += 1) if (away(row) < away(best)) best = row;
  return [best, best + 1];
}

const visibleShare = (topV: number, baseV: number, edgeV: number) => (topV + edgeV) / (topV - baseV);

export const cutOff = define(KINDS, findCutOff);
