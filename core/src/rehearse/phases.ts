import type { Scene } from '../scene';

/** One stretch of a shot as whoever makes it counts it; seconds of action. */
export interface Phase {
  kind: 'hold' | 'easeIn' | 'go' | 'easeOut' | 'rest';
  /** Which of the shot's moves it belongs to. */
  leg: number;
  fromS: number;
  toS: number;
}

const LEAST_S = 1e-6;

/**
 * The stretches of a shot, one after the other without gaps: each move's hold, feathers and even part; where a move
 * begins before the one before it has ended, the border is halfway through what they share. The last hold is a rest.
 */
export function phasesOf({ timeline, durationS }: Pick<Scene, 'timeline' | 'durationS'>): Phase[] {
  const phases: Phase[] = [];
  timeline.forEach(({ fromS, toS, pace }, leg) => {
    const before = timeline[leg - 1];
    const after = timeline[leg + 1];
    const begins = before ? Math.max(before.fromS, (Math.max(fromS, before.toS) + fromS) / 2) : fromS;
    const ends = after ? (Math.max(toS, after.fromS) + after.fromS) / 2 : durationS;
    const last = leg === timeline.length - 1;
    const add = (kind: Phase['kind'], from: number, to: number) => {
      const [a, b] = [Math.max(begins, from), Math.min(ends, to)];
      if (b - a > LEAST_S) phases.push({ kind, leg, fromS: a, toS: b });
    };
    add('hold', fromS, pace.startS);
    add('easeIn', pace.startS, pace.cruiseFromS);
    add('go', pace.cruiseFromS, pace.cruiseToS);
    add('easeOut', pace.cruiseToS, pace.endS);
    add(last ? 'rest' : 'hold', pace.endS, Math.max(toS, last ? durationS : ends));
  });
  return phases;
}

/**
 * How fast the move goes at a moment as a share of its even speed: 0 while it holds, rising through the feather in, 1 on
 * the way, falling through the feather out. What a count shows as full.
 */
export function fullAt({ timeline }: Pick<Scene, 'timeline'>, tS: number): number {
  let most = 0;
  for (const { pace } of timeline) {
    if (tS <= pace.startS || tS >= pace.endS) continue;
    if (tS < pace.cruiseFromS || tS > pace.cruiseToS) {
      const h = 1e-3;
      const [a, b] = [Math.max(pace.startS, tS - h), Math.min(pace.endS, tS + h)];
      // Speed of the share, against what it is where it is even.
      const even = evenSpeed(pace);
      const speed = (pace.at(b) - pace.at(a)) / (b - a);
      most = Math.max(most, even > 0 ? Math.min(1, speed / even) : 0);
    } else most = 1;
  }
  return most;
}

/** Share of the way a second in the even part, or the fastest there is where nothing is even. */
function evenSpeed({ at, startS, cruiseFromS, cruiseToS, endS }: Scene['timeline'][number]['pace']): number {
  const h = 1e-3;
  if (cruiseToS - cruiseFromS > 2 * h) return (at(cruiseToS) - at(cruiseFromS)) / (cruiseToS - cruiseFromS);
  const [a, b] = [Math.max(startS, cruiseFromS - h), Math.min(endS, cruiseToS + h)];
  return b > a ? (at(b) - at(a)) / (b - a) : 0;
}
