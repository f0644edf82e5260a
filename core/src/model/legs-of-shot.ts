import type { Focus, FocusTarget, Leg, Shot, Way } from './shot';

/** What of a shot says how it is made of moves. */
export type Moves = Pick<Way, 'move' | 'timing' | 'backwards' | 'goes' | 'look' | 'then'>;

/** Every move of a shot in order; the first is the shot's own. */
export function legsOf({ move, timing, backwards, goes, look, then }: Moves): Leg[] {
  return [{ move, timing, backwards, goes, look, overlapS: 0 }, ...then];
}

/** The shot with one of its moves changed, 0 for the first. */
export function withLeg(shot: Shot, index: number, edit: (leg: Leg) => Leg): Shot {
  if (index > 0) return { ...shot, then: shot.then.map((leg, i) => (i === index - 1 ? edit(leg) : leg)) };
  const { move, timing, backwards, goes, look } = edit(legsOf(shot)[0]);
  return { ...shot, move, timing, backwards, goes, look };
}

/** Everything that a focus rests on, and where it is said. */
export function focusTargets(focus: Focus): { target: FocusTarget; at: (string | number)[] }[] {
  if (focus.mode !== 'racks') return [];
  return [
    { target: focus.from, at: ['from'] },
    ...focus.racks.map(({ to }, i) => ({ target: to, at: ['racks', i, 'to'] })),
  ];
}

/** A move of a shot and its time in it, seconds of action, its holds included. */
export interface LegTime {
  leg: Leg;
  fromS: number;
  toS: number;
}

/** When each move of a shot is made: a later one begins before the latest end so far, by its overlap. */
export function legTimes(shot: Moves): LegTime[] {
  let endS = 0;
  return legsOf(shot).map((leg, k) => {
    const fromS = k === 0 ? 0 : Math.max(0, endS - leg.overlapS);
    const toS = fromS + leg.timing.durationS;
    endS = Math.max(endS, toS);
    return { leg, fromS, toS };
  });
}

/** Which move of a shot is under way at a moment of action, s: the latest that has begun. */
export function legAt(shot: Shot, tS: number): number {
  return Math.max(
    0,
    legTimes(shot).findLastIndex(({ fromS }) => tS >= fromS),
  );
}

/** How long a shot takes to film, s: its legs one after the other, less their overlaps. */
export function shotDurationS(shot: Moves): number {
  return legTimes(shot).reduce((latest, { toS }) => Math.max(latest, toS), 0);
}
