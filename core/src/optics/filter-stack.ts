import type { Filter } from '../model';

/** Filters before each other, what each is set to, and the stops that are left: positive, still too bright. */
export interface FilterStack {
  filters: { filter: Filter; stops: number }[];
  leftStops: number;
}

/**
 * Sets a stack of filters as near as it comes to a number of stops; fixed ones take what they take, variable ones what
 * is left.
 */
export function stackSet(filters: readonly Filter[], wantedStops: number): FilterStack {
  const least = filters.reduce((sum, { stopsMin }) => sum + stopsMin, 0);
  let spare = wantedStops - least;
  const set = filters.map((filter) => {
    const more = Math.min(filter.stopsMax - filter.stopsMin, Math.max(0, spare));
    spare -= more;
    return { filter, stops: filter.stopsMin + more };
  });
  return { filters: set, leftStops: spare };
}

/**
 * The stack that comes nearest to a number of stops: of all with at most `most` neutral filters, the smaller when two
 * are as near. None where nothing is to be taken away.
 */
export function nearestFilters(wantedStops: number, kit: readonly Filter[], most = 2): FilterStack {
  const neutral = kit.filter(({ kind }) => kind !== 'polariser');
  let best: FilterStack = { filters: [], leftStops: wantedStops };
  const better = (stack: FilterStack) => {
    const gain = Math.abs(best.leftStops) - Math.abs(stack.leftStops);
    return gain > 1e-9 || (gain > -1e-9 && stack.filters.length < best.filters.length);
  };
  const visit = (from: number, chosen: Filter[]) => {
    const stack = stackSet(chosen, wantedStops);
    if (better(stack)) best = stack;
    if (chosen.length === most) return;
    // Two variable filters before each other darken unevenly: common practice, no published source.
    for (let i = from; i < neutral.length; i += 1)
      if (neutral[i].kind !== 'variableNd' || !chosen.some(({ kind }) => kind === 'variableNd'))
        visit(i + 1, [...chosen, neutral[i]]);
  };
  visit(0, []);
  return best;
}
