import { MOST_FRAMES, type Moves, type Shot, shotDurationS, TimingSchema, type Timing } from '../model';

/** A length of time of a leg that is typed. */
export type TimingPart = 'durationS' | 'holdStartS' | 'featherInS' | 'featherOutS' | 'holdEndS';

const INSIDE = ['holdStartS', 'featherInS', 'featherOutS', 'holdEndS'] as const;
const MOST_S = TimingSchema.shape.durationS.maxValue ?? Infinity;

const insideS = (timing: Timing): number => INSIDE.reduce((sum, part) => sum + timing[part], 0);

/** Longest that a part can be made, s: the others stay, and the whole lasts no longer than a shot may. */
export function mostOfPart(timing: Timing, part: TimingPart, mostS = MOST_S): number {
  if (part === 'durationS') return Math.max(timing.durationS, mostS);
  return Math.min(
    TimingSchema.shape[part].maxValue ?? Infinity,
    Math.max(timing[part], mostS - (insideS(timing) - timing[part])),
  );
}

/** The longest that a move of a shot can be made without the shot having more frames than it may, s. */
export function mostDurationS(shot: Moves & Pick<Shot, 'captureRateHz'>, { durationS }: Timing): number {
  const others = shotDurationS(shot) - durationS;
  return Math.min(MOST_S, Math.floor((MOST_FRAMES / shot.captureRateHz - others) * 10) / 10);
}

/** Most frames a second that a shot can be recorded at, Hz: it has only so many frames. */
export const mostRateHz = (shot: Moves): number =>
  Math.min(2000, Math.max(1, Math.floor(MOST_FRAMES / shotDurationS(shot))));

/**
 * The timing with one part set; what no longer fits inside the duration lengthens it, and a shorter duration shrinks
 * its parts alike.
 */
export function withTiming(timing: Timing, part: TimingPart, valueS: number): Timing {
  const next = { ...timing, [part]: valueS };
  const inside = insideS(next);
  if (inside <= next.durationS) return next;
  if (part === 'durationS') {
    const share = next.durationS / inside;
    for (const row of INSIDE) next[row] = Math.floor(next[row] * share * 1000) / 1000;
  } else next.durationS = Math.min(MOST_S, Math.ceil(inside * 10) / 10);
  return next;
}
