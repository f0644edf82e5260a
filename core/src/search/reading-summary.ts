import { severity } from '../findings';
import type { Reading } from '../reading';
import { largest, pathLengthM } from '../motion';
import { isInFrame } from '../image';

/** One finding of a reading, as far as changes are weighed by it. */
export interface Standing {
  severity: 0 | 1 | 2;
  grade: string;
  said: string;
  measure: string;
  /** How many times its limit it is beyond it; 1 at the limit. */
  beyond: number;
}

/**
 * How far beyond its limit a troubled finding is, whichever side is the wrong one; of what has no limit, its own size.
 */
function beyondOf({ value, limit }: { value: number; limit: number }): number {
  if (limit === 0) return 1 + Math.abs(value);
  const least = Math.abs(limit) / 1000;
  const [size, bound] = [Math.max(least, Math.abs(value)), Math.abs(limit)];
  // Through a thing is worse than near it.
  return value < 0 && limit > 0 ? 1000 + Math.abs(value) / bound : Math.max(size / bound, bound / size);
}

/** What of a reading is needed to weigh one change of a shot against another. */
export interface ReadingSummary {
  findings: ReadonlyMap<string, Standing>;
  /** Mean size of the subject while it is in the picture, by distance and focal length; NaN when it never is. */
  size: number;
  /** Fastest near or far against the subject, frame widths a second. */
  depth: number;
  /** Mean visible share of the subject; NaN without one. */
  sight: number;
  /** Length on screen, s. */
  screenS: number;
  travelM: number;
}

export function summaryOf({ picture, findings }: Reading): ReadingSummary {
  const { samples, subject, site, visible } = picture;
  let [size, sight, rows] = [0, 0, 0];
  for (let row = 0; row < samples.count; row += 1) {
    if (!isInFrame(subject, row)) continue;
    size += samples.focalLengthMm[row] / samples.subjectDistanceM[row];
    sight += visible[row];
    rows += 1;
  }
  return {
    findings: new Map(
      findings.map((finding) => [
        finding.id,
        {
          severity: severity(finding),
          grade: finding.grade,
          said: finding.said,
          measure: finding.measure,
          beyond: beyondOf(finding),
        },
      ]),
    ),
    size: size / rows,
    sight: sight / rows,
    depth: Math.max(largest(site.near.againstSubject)?.value ?? 0, largest(site.far.againstSubject)?.value ?? 0),
    screenS: samples.screenS[samples.count - 1],
    travelM: pathLengthM(samples),
  };
}
