import type { Lens } from '../model';
import type { Samples } from '../motion';
import { ringAtDeg } from '../optics';

export interface FocusMark {
  /** Seconds on screen, and of action: what an assistant counts. */
  atS: number;
  actionS: number;
  distanceM: number;
  /** Where the ring stands, degrees from infinity. */
  ringDeg: number;
}

/** Marks for whoever pulls, and what pulling evenly from one to the next gives. */
export interface FocusMarks {
  marks: FocusMark[];
  /** Share of the frames in which the planned distance stays sharp so. */
  sharpShare: number;
}

/** More than this nobody keeps in mind: common practice, no published source. */
const MOST_MARKS = 12;
/** Where more would be needed, pulls may leave what is sharp by so many times, until they are few enough. */
const LOOSER = 1.4;

/**
 * Both ends and as few marks between them as keep a pull, even in dioptres from one to the next, inside what is sharp.
 * `nearM` and `farM` are the borders of sharpness about the planned focus in each row. From each mark the next is the
 * farthest to which one pull does (a cone of slopes that every row between narrows).
 */
export function focusMarks(
  { count, tS, screenS, focusDistanceM }: Samples,
  nearM: Float64Array,
  farM: Float64Array,
  lens: Lens,
): FocusMarks {
  const dioptres = focusDistanceM.map((distanceM) => 1 / distanceM);
  const [highest, lowest] = [nearM.map((m) => 1 / m), farM.map((m) => (Number.isFinite(m) ? 1 / m : 0))];
  const marksFor = (slack: number): number[] => {
    const kept = [0];
    while (kept[kept.length - 1] < count - 1) {
      const from = kept[kept.length - 1];
      let [least, most] = [-Infinity, Infinity];
      let reached = from + 1;
      for (let row = from + 1; row < count; row += 1) {
        const slope = (dioptres[row] - dioptres[from]) / (row - from);
        if (slope >= least - 1e-12 && slope <= most + 1e-12) reached = row;
        least = Math.max(
          least,
          (dioptres[row] - slack * (dioptres[row] - lowest[row]) - dioptres[from]) / (row - from),
        );
        most = Math.min(most, (dioptres[row] + slack * (highest[row] - dioptres[row]) - dioptres[from]) / (row - from));
        if (least > most + 1e-12) break;
      }
      kept.push(reached);
    }
    return kept;
  };
  let slack = 1;
  let kept = marksFor(slack);
  while (kept.length > MOST_MARKS && slack < 1e6) {
    slack *= LOOSER;
    kept = marksFor(slack);
  }
  let sharp = 0;
  for (let k = 0, row = 0; row < count; row += 1) {
    while (k + 2 < kept.length && kept[k + 1] < row) k += 1;
    const [a, b] = [kept[k], kept[Math.min(kept.length - 1, k + 1)]];
    const pulled = b > a ? dioptres[a] + ((row - a) / (b - a)) * (dioptres[b] - dioptres[a]) : dioptres[a];
    if (pulled <= highest[row] + 1e-9 && pulled >= lowest[row] - 1e-9) sharp += 1;
  }
  return {
    marks: kept.map((row) => ({
      atS: screenS[row],
      actionS: tS[row],
      distanceM: focusDistanceM[row],
      ringDeg: ringAtDeg(lens, focusDistanceM[row]),
    })),
    sharpShare: sharp / count,
  };
}
