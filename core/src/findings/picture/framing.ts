import { gradeAbove, lasting, percent, speedWords, stretchWords, type Finding } from '../finding';
import { largest, longestRun, smoothed } from '../../motion/columns';
import type { SubjectIn } from '../../motion/moves/recipe';
import { pathLengthM } from '../../motion/sample';
import { SEEN_S } from '../../image/figures';
import type { Picture } from '../../image/picture';
import { isInFrame, isShown, type SubjectInFrame } from '../../image/subject-in-frame';

/** Is the subject kept in its place? Only asked when the aim promises it. */
export function placeFindings({ scene, subject, samples, intent }: Picture): Finding[] {
  const { limits } = scene;
  const promised = scene.shot.aim.mode !== 'locked' && intent.keepsPlace;
  if (!scene.subject || !promised) return [];
  const { u, v } = scene.shot.aim.place;
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const drift = largest(subject.u.map((value, row) => Math.hypot(value - u, (subject.v[row] - v) / aspect)));
  if (!drift) return [];
  const limit = limits.placeDrift;
  const fastest = largest(smoothed(subject.speed, SEEN_S * samples.frameRateHz));
  const quick = fastest && drift.value > 0.001 ? `, at up to ${speedWords(fastest.value)}` : '';
  const grade = gradeAbove(drift.value, limit, limit * 4);
  return [
    {
      id: 'place',
      grade,
      sentence:
        grade === 'calm'
          ? `${scene.subject.name} stays in place in the frame (drift ${percent(drift.value)} of the width${quick}).`
          : `${scene.subject.name} drifts ${percent(drift.value)} of the width from the chosen place${quick}; up to ${percent(limit)} is not noticed.`,
      reason: 'A subject that keeps its place gives the eye something to rest on.',
      screenS: samples.screenS[drift.row],
      value: drift.value,
      limit,
      unit: 'frame widths',
      said: percent(drift.value),
      measure: 'drift',
    },
  ];
}

/** How the subject's size changes: held in a dolly zoom, grown or shrunk at a pace otherwise. */
export function sizeFindings({ scene, subject, samples, intent }: Picture): Finding[] {
  const { limits } = scene;
  if (!scene.subject || (intent.holdsSize && Number.isNaN(subject.height[0]))) return [];
  const start = subject.height[0];
  const name = scene.subject.name;
  if (intent.holdsSize) {
    const off = largest(subject.height.map((value) => Math.abs(value / start - 1)));
    if (!off) return [];
    const limit = limits.heldSizeChange;
    const grade = gradeAbove(off.value, limit, limit * 3);
    return [
      {
        id: 'size',
        grade,
        sentence:
          grade === 'calm'
            ? `${name} keeps the same size (${percent(start)} of the frame height).`
            : `${name} changes size by ${percent(off.value)} although the zoom should hold it; up to ${percent(limit)} is not noticed.`,
        reason: 'The effect lives from a subject that does not change while the world behind it does.',
        screenS: samples.screenS[off.row],
        value: off.value,
        limit,
        unit: 'share',
        said: percent(off.value),
        measure: 'change of size',
      },
    ];
  }
  if (pathLengthM(samples) < 0.01 && scene.shot.walks.length === 0 && !intent.zooms) return [];
  // Focal length over distance: seen from above a person is short, not small.
  const scaleAt = (row: number) => samples.focalLengthMm[row] / samples.subjectDistanceM[row];
  const rate = new Float64Array(samples.count).fill(NaN);
  for (let row = 1; row < samples.count; row += 1)
    if (isInFrame(subject, row) && isInFrame(subject, row - 1))
      rate[row] = Math.abs(Math.log(scaleAt(row) / scaleAt(row - 1))) * samples.frameRateHz;
  const peak = largest(rate);
  if (!peak) return [];
  const limit = limits.growthRate;
  const grade = gradeAbove(peak.value, limit, limit * limits.joltFactor);
  const end = subject.height[samples.count - 1];
  const change = changeWords(start, end, peak.value);
  return [
    {
      id: 'size',
      grade,
      sentence: `${name} ${change}, at most ${percent(peak.value)} a second${grade === 'calm' ? '' : `; above ${percent(limit)} a second it rushes`}.`,
      reason: 'Size that changes too quickly reads as a lurch towards or away from the subject.',
      screenS: samples.screenS[peak.row],
      value: peak.value,
      limit,
      unit: 'share/s',
      said: `${percent(peak.value)} a second`,
      measure: 'growth',
    },
  ];
}

function changeWords(start: number, end: number, rate: number): string {
  if (Number.isNaN(start) && Number.isNaN(end)) return 'passes through the frame, its size changing';
  if (Number.isNaN(start)) return `comes to ${percent(end)} of the frame height`;
  if (Number.isNaN(end)) return `starts at ${percent(start)} of the frame height`;
  return percent(end) === percent(start) && rate < 0.02
    ? `stays at ${percent(start)} of the frame height`
    : `goes from ${percent(start)} to ${percent(end)} of the frame height`;
}

/** When nothing of the site is ever in the picture. */
export function emptyFindings({ scene, pieces, subject, samples }: Picture): Finding[] {
  if (pieces.length > 0 || samples.tS.some((_, row) => isInFrame(subject, row))) return [];
  return [
    {
      id: 'empty',
      grade: 'ripple',
      sentence:
        scene.pieces.length === 0
          ? 'The site is empty: there is nothing but ground and sky to see.'
          : 'Nothing of the site is ever in the picture: everything lies behind the camera or outside the frame.',
      reason:
        'Without anything that stands still in the picture no motion can be seen. Turn the camera, or add a piece to the plan.',
      screenS: 0,
      value: 0,
      limit: 1,
      unit: 'pieces',
      said: 'nothing',
      measure: 'pieces in the picture',
    },
  ];
}

/** Is the subject cut off at the frame's edge, or not in the picture at all? */
export function cutOffFindings({ scene, subject, samples, intent }: Picture): Finding[] {
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
  const name = scene.subject.name;
  const { count, frameRateHz } = samples;
  const common = { id: 'cutoff', limit: limits.cutOffS, unit: 's', measure: 'time cut off' };
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
  const finding = (hit: Hit, sentence: string, reason: string, grade: Finding['grade']): Finding[] => {
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
    const sentence = `${name} walks, and is out of the picture ${during(lost)}.`;
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
  const head = among((row) => subject.topV[row] > 0.5);
  if (head)
    return finding(
      head,
      `${name}’s top is cut off by the upper edge ${during(head)}.`,
      'A cut head looks like a mistake unless it is very close.',
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
  const feet = among((row) => subject.baseV[row] < -0.5);
  return [
    {
      ...common,
      grade: 'calm',
      sentence: feet
        ? `${name}’s head stays inside the frame; the lower edge cuts the figure at ${percent(visibleShare(subject.topV[feet.row], subject.baseV[feet.row]))} from the top.`
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

const visibleShare = (topV: number, baseV: number) => (topV + 0.5) / (topV - baseV);
