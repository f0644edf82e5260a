import { LEAST_GROWTH, slope } from './clip-faults';
import type { ClipFrame } from './clip-reader';
import type { Foretold } from './foretold';
import { courseOf } from './whole-motion';

/**
 * How many times what was foretold was measured: of the whole picture’s motion, of its shift and its growing each by
 * itself, of near and far layers; null where it rests, or where layers cannot be told apart.
 */
export interface TimesAsFilmed {
  whole: number | null;
  shift: number | null;
  grows: number | null;
  near: number | null;
  far: number | null;
}

type Rates = 'rightwards' | 'upwards' | 'turnDegps' | 'growthPerS' | 'near' | 'far';

/**
 * The numbers of a film of our own, as they are drawn and judged, against what was foretold of it. `frames`: one a row of
 * the plan. The whole is one motion: its shift, and what growing and turning move at a usual place beside it.
 */
export function numbersAsFilmed(plan: Foretold, frames: readonly ClipFrame[]): TimesAsFilmed {
  const columns = (keys: readonly Rates[], of: (key: Rates) => number[]) => Float64Array.from(keys.flatMap(of));
  const times = (keys: readonly Rates[], least?: number) =>
    slope(
      columns(keys, (key) => [...plan[key].subarray(0, frames.length)]),
      columns(keys, (key) => frames.map((frame) => frame[key])),
      least,
    );
  const whole = (of: (key: Rates, row: number) => number) =>
    Float64Array.from(
      frames.flatMap((_, row) =>
        courseOf({
          right: of('rightwards', row),
          up: of('upwards', row),
          growth: of('growthPerS', row),
          turnDeg: of('turnDegps', row),
        }),
      ),
    );
  return {
    whole: slope(
      whole((key, row) => plan[key][row] ?? NaN),
      whole((key, row) => frames[row][key]),
    ),
    shift: times(['rightwards', 'upwards']),
    grows: times(['growthPerS'], LEAST_GROWTH),
    near: times(['near']),
    far: times(['far']),
  };
}
