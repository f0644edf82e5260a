import type { Shoot, Shot } from '../model';
import { plannedFilm } from '../motion';
import { readFilm } from '../reading';
import { sceneOf } from '../scene';
import { compareTake, type MotionRecord, recordNotes, takenFilm, takenFrom } from '../take';
import { Refusal } from './refusal';

const round = (value: number | null, digits = 4): number | null =>
  value === null || !Number.isFinite(value) ? null : Number(value.toFixed(digits));

const MOST_FINDINGS = 8;

/** What `arc take` prints: a recording held against the plan of one shot. Throws a `Refusal` where it tells nothing. */
export function takeJson(shoot: Shoot, shot: Shot, record: MotionRecord) {
  const film = plannedFilm(sceneOf(shoot, shot));
  const taken = orRefused(() => takenFrom(record, film));
  const found = compareTake(film, taken);
  const { aligned } = found;
  const reading = readFilm(takenFilm(film, taken, aligned), 'metric');
  return {
    name: shot.name,
    recording: record.name,
    rows: record.tS.length,
    /** What is planned for 0 came at this moment of the recording, on its own clock. */
    delayS: round(record.tS[0] + aligned.delayS),
    stretch: round(aligned.stretch),
    alignedBy: aligned.by,
    alike: round(aligned.alike, 3),
    said: found.said,
    differences: found.differences.map(({ id, reason, atS, planned, measured, unit, sentence, mend, weight }) => ({
      id,
      reason,
      atS: round(atS, 2),
      planned: round(planned),
      measured: round(measured),
      unit,
      sentence,
      mend,
      weight: round(weight, 2),
    })),
    smoothness: { of: found.smoothnessOf, plan: smooth(found.smoothness.plan), take: smooth(found.smoothness.take) },
    tremor: taken.tremor && { deg: round(taken.tremor.deg), hz: round(taken.tremor.hz, 2) },
    notes: [...recordNotes(record), ...found.untold],
    reading: reading.findings.slice(0, MOST_FINDINGS).map(({ id, grade, sentence }) => ({ id, grade, sentence })),
  };
}

const smooth = (of: { spectralArcLength: number | null; logDimensionlessJerk: number | null }) => ({
  spectralArcLength: round(of.spectralArcLength),
  logDimensionlessJerk: round(of.logDimensionlessJerk),
});

function orRefused<T>(make: () => T): T {
  try {
    return make();
  } catch (error) {
    if (error instanceof RangeError) throw Refusal.of('recording', `recording: ${error.message}`);
    throw error;
  }
}
