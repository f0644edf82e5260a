import { gradeAbove, percent, seconds, type Finding } from '../../model/finding';
import { LIMITS } from '../../model/limits';
import { largest, where } from '../../motion/columns';
import type { Picture } from '../picture';

/** Is the subject kept in its place? Only asked when the aim promises it. */
export function placeFindings({ setup, subject, samples }: Picture): Finding[] {
  if (!setup.subject || setup.shot.aim.mode !== 'subject') return [];
  const { u, v } = setup.shot.aim.place;
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const drift = largest(subject.u.map((value, row) => Math.hypot(value - u, (subject.v[row] - v) / aspect)));
  if (!drift) return [];
  const limit = LIMITS.placeDrift.value;
  const grade = gradeAbove(drift.value, limit, limit * 4);
  return [
    {
      id: 'place',
      grade,
      sentence:
        grade === 'calm'
          ? `${setup.subject.name} stays in place in the frame (drift ${percent(drift.value)} of the width).`
          : `${setup.subject.name} drifts ${percent(drift.value)} of the width from the chosen place; up to ${percent(limit)} is not noticed.`,
      reason: 'A subject that keeps its place gives the eye something to rest on.',
      tS: samples.tS[drift.row],
      value: drift.value,
      limit,
      unit: 'frame widths',
      said: percent(drift.value),
      measure: 'drift',
    },
  ];
}

/** How the subject's size changes: held in a dolly zoom, grown or shrunk at a pace otherwise. */
export function sizeFindings({ setup, subject, samples, motion }: Picture, held: boolean): Finding[] {
  if (!setup.subject || Number.isNaN(subject.height[0])) return [];
  const start = subject.height[0];
  const name = setup.subject.name;
  if (held) {
    const off = largest(subject.height.map((value) => Math.abs(value / start - 1)));
    if (!off) return [];
    const limit = LIMITS.heldSizeChange.value;
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
        tS: samples.tS[off.row],
        value: off.value,
        limit,
        unit: 'share',
        said: percent(off.value),
        measure: 'change of size',
      },
    ];
  }
  if (motion.track.lengthM < 0.01 && setup.shot.walks.length === 0) return [];
  const rate = new Float64Array(samples.count).fill(NaN);
  for (let row = 1; row < samples.count; row += 1) rate[row] = Math.abs(Math.log(subject.height[row] / subject.height[row - 1])) * samples.frameRateHz;
  const peak = largest(rate);
  if (!peak) return [];
  const limit = LIMITS.growthRate.value;
  const grade = gradeAbove(peak.value, limit, limit * LIMITS.joltFactor.value);
  const end = subject.height[samples.count - 1];
  const change =
    percent(end) === percent(start) && peak.value < 0.02
      ? `stays at ${percent(start)} of the frame height`
      : Number.isNaN(end)
        ? `starts at ${percent(start)} of the frame height`
        : `goes from ${percent(start)} to ${percent(end)} of the frame height`;
  return [
    {
      id: 'size',
      grade,
      sentence: `${name} ${change}, at most ${percent(peak.value)} a second${grade === 'calm' ? '' : `; above ${percent(limit)} a second it rushes`}.`,
      reason: 'Size that changes too quickly reads as a lurch towards or away from the subject.',
      tS: samples.tS[peak.row],
      value: peak.value,
      limit,
      unit: 'share/s',
      said: `${percent(peak.value)} a second`,
      measure: 'growth',
    },
  ];
}

/** Is the subject cut off at the frame's edge, or not in the picture at all? */
export function cutOffFindings({ setup, subject, samples }: Picture): Finding[] {
  if (!setup.subject)
    return [
      {
        id: 'subject',
        grade: 'calm',
        sentence: 'This shot has no subject yet: the picture is judged by near and far alone.',
        reason: 'Choose a piece on the plan and make it the subject to have its place, size and focus followed.',
        tS: 0,
        value: 0,
        limit: 0,
        unit: '',
        said: '',
        measure: 'subject',
      },
    ];
  const name = setup.subject.name;
  const { count, frameRateHz } = samples;
  const common = { id: 'cutoff', limit: LIMITS.cutOffS.value, unit: 's', measure: 'time cut off' };
  const out = (row: number) => !(Math.abs(subject.u[row]) <= 0.5 && Math.abs(subject.v[row]) <= 0.5);
  const gone = where(count, out);
  const finding = (hit: { row: number; rows: number }, sentence: string, reason: string, grade: Finding['grade']): Finding[] => {
    const value = hit.rows / frameRateHz;
    return [{ ...common, grade: value > LIMITS.cutOffS.value ? grade : 'calm', sentence, reason, tS: samples.tS[hit.row], value, said: seconds(value) }];
  };
  if (gone) {
    const always = gone.rows === count;
    return finding(
      gone,
      always ? `${name} is never in the picture.` : `${name} is out of the picture for ${seconds(gone.rows / frameRateHz)}, from ${seconds(samples.tS[gone.row])} on.`,
      'The middle of the subject lies outside the frame or behind the camera.',
      'jolt',
    );
  }
  const head = where(count, (row) => subject.topV[row] > 0.5);
  if (head)
    return finding(
      head,
      `${name}’s top is cut off by the upper edge for ${seconds(head.rows / frameRateHz)}, from ${seconds(samples.tS[head.row])} on.`,
      'A cut head looks like a mistake unless it is very close.',
      'ripple',
    );
  const side = where(count, (row) => Math.abs(subject.u[row]) + subject.halfWidth[row] > 0.5 && subject.halfWidth[row] < 0.4);
  if (side)
    return finding(
      side,
      `${name} is cut by the side of the frame for ${seconds(side.rows / frameRateHz)}, from ${seconds(samples.tS[side.row])} on.`,
      'A thing half in the frame pulls the eye to the edge.',
      'ripple',
    );
  const feet = where(count, (row) => subject.baseV[row] < -0.5);
  return [
    {
      ...common,
      grade: 'calm',
      sentence: feet
        ? `${name}’s head stays inside the frame; the lower edge cuts the figure at ${percent(visibleShare(subject.topV[feet.row], subject.baseV[feet.row]))} from the top.`
        : `${name} is whole in the frame throughout.`,
      reason: 'Keep cuts away from joints: between them looks chosen, through them looks like a mistake.',
      tS: feet ? samples.tS[feet.row] : 0,
      value: 0,
      said: seconds(0),
    },
  ];
}

const visibleShare = (topV: number, baseV: number) => (topV + 0.5) / (topV - baseV);
