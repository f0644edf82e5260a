const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const DAY_MS = 24 * HOUR_MS;

/**
 * How far back, and how far apart, earlier states are kept: all at first (one a minute, and each start of work), then
 * hours, then days.
 */
const STEPS = [
  { untilMs: 20 * MINUTE_MS, apartMs: 0 },
  { untilMs: DAY_MS, apartMs: HOUR_MS },
  { untilMs: 21 * DAY_MS, apartMs: DAY_MS },
];
export const STATE_EVERY_MS = MINUTE_MS;
const MOST_STATES = 80;

/**
 * Of states from these moments (rising), those that are kept: all of the last minutes, then the newest of each hour or
 * day; 80 at most.
 */
export function keptStates(timesMs: readonly number[], nowMs: number): number[] {
  const kept: number[] = [];
  let lastMs = Infinity;
  for (const timeMs of [...timesMs].sort((a, b) => b - a)) {
    if (kept.length === MOST_STATES) break;
    const step = STEPS.find(({ untilMs }) => nowMs - timeMs <= untilMs);
    if (!step) continue;
    // A little less than the step: a state is never exactly a minute old.
    if (lastMs - timeMs < step.apartMs * 0.95) continue;
    kept.push(timeMs);
    lastMs = timeMs;
  }
  return kept.reverse();
}
