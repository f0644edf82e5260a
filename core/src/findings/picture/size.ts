import { subjectWords } from '../../scene';
import { define, type FindingKinds } from '../definition';
import { gradeAbove, percent, type FindingOf } from '../finding';
import { largest, pathLengthM } from '../../motion';
import { isInFrame, type Picture } from '../../image';

const KINDS = {
  size: {
    measures: 'change of the subject’s size, share or share a second',
    limits: ['heldSizeChange', 'growthRate', 'joltFactor'],
    about: 'subject',
    cures: ['takeLonger', 'travelLess', 'standFarther', 'otherLens'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** How the subject's size changes: held in a dolly zoom, grown or shrunk at a pace otherwise. */
function findSize({ scene, subject, samples, intent }: Picture): Found[] {
  const { limits } = scene;
  if (!scene.subject || (intent.holdsSize && Number.isNaN(subject.height[0]))) return [];
  const start = subject.height[0];
  const name = subjectWords(scene);
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
            : `${name} changes size by ${percent(off.value)} although the zoom should hold it; up to ` +
              `${percent(limit)} is not noticed.`,
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
      sentence:
        `${name} ${change}, at most ${percent(peak.value)} a ` +
        `second${grade === 'calm' ? '' : `; above ${percent(limit)} a second it rushes`}.`,
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

export const size = define(KINDS, findSize);
