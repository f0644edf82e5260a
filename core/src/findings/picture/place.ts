import { subjectWords } from '../../scene';
import { define, type FindingKinds } from '../definition';
import { gradeAbove, percent, speedWords, type FindingOf } from '../finding';
import { largest, smoothed } from '../../motion';
import { type Picture, SEEN_S } from '../../image';

const KINDS = {
  place: {
    measures: 'drift of a held subject, frame widths',
    limits: ['placeDrift'],
    about: 'subject',
    cures: ['aimAtSubject', 'tighterHead', 'takeLonger', 'travelLess'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Is the subject kept in its place? Only asked when the aim promises it. */
function findPlace({ scene, subject, samples, intent }: Picture): Found[] {
  const { limits } = scene;
  if (!scene.subject || !intent.keepsPlace) return [];
  const wanted = { u: 0, v: 0 };
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const drift = largest(
    subject.u.map((value, row) => {
      intent.placeAt(samples.tS[row], wanted);
      return Math.hypot(value - wanted.u, (subject.v[row] - wanted.v) / aspect);
    }),
  );
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
          ? `${subjectWords(scene)} stays in place in the frame (drift ${percent(drift.value)} of the width${quick}).`
          : `${subjectWords(scene)} drifts ${percent(drift.value)} of the width from the chosen place${quick}; up ` +
            `to ${percent(limit)} is not noticed.`,
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

export const place = define(KINDS, findPlace);
