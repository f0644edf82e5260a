import type { DayProblem } from './day-numbers';
import { RunThrough } from './run-through';

/** How far a search has come. */
export interface OrderStep {
  done: number;
  of: number;
  /** The best order so far, and what it costs. */
  order: number[];
  cost: number;
}

export interface SearchOptions {
  /** The same seed on the same problem gives the same order. */
  seed?: number;
  /** Orders tried besides those that it begins with. */
  tries?: number;
  /** An order to begin with as well. */
  from?: readonly number[];
  /** Only from that order on, and not for long: for a day that has to go on now. */
  quick?: boolean;
  /** Without trying every place for every shot at the end. */
  rough?: boolean;
}

/** So few are tried in every order there is. */
export const EVERY_ORDER_TO = 8;
/** So many are settled by trying every place for every shot; of more there is no day that holds them. */
export const SETTLED_TO = 80;
const USUAL_TRIES = 50_000;
const QUICK_TRIES = 1500;
const STEP = 2000;

/**
 * The order that costs least: all orders of up to eight, and of more the best that simulated annealing (Kirkpatrick,
 * Gelatt & Vecchi 1983, *Science* 220) finds from the nearest neighbours, the story and the order given, settled by
 * trying every place for every shot. Yields now and then; whoever runs it can stop in between and has the best so far.
 */
export function* orderSearch(problem: DayProblem, options: SearchOptions = {}): Generator<OrderStep, OrderStep> {
  const n = problem.tasks.length;
  const run = new RunThrough(problem);
  if (n <= EVERY_ORDER_TO) return yield* everyOrder(run, n, options.from);
  const usual = options.quick ? QUICK_TRIES : USUAL_TRIES;
  // A run-through of more shots takes longer.
  const tries = options.tries ?? Math.round(usual * Math.min(1, SETTLED_TO / n));
  const random = dice(options.seed ?? 1);
  const story = Array.from({ length: n }, (_, i) => i);
  const large = n > SETTLED_TO;
  const given = options.from ? [complete(options.from, n)] : [];
  const starts =
    options.quick && given.length > 0
      ? given
      : [...(large ? [] : [nearestNeighbours(problem)]), story, byWindow(problem), ...given];
  let best = starts[0];
  let bestCost = Infinity;
  for (const start of starts) {
    const cost = run.costOf(start);
    if (cost < bestCost) [best, bestCost] = [start, cost];
  }
  let [order, cost] = [[...best], bestCost];
  let trial = new Array<number>(n);
  const [hot, cold] = [1800, 5];
  for (let done = 0; done < tries; done += 1) {
    if (done % STEP === 0) yield { done, of: tries, order: [...best], cost: bestCost };
    // Now and then it goes on from the best.
    if (done % (tries >> 2 || 1) === 0) [order, cost] = [[...best], bestCost];
    const heat = hot * (cold / hot) ** ((done % (tries >> 2 || 1)) / (tries >> 2 || 1) || 0);
    neighbour(order, trial, random);
    // So much worse is taken, too: drawn first, so that a run-through can stop as soon as it is above.
    const limit = cost - heat * Math.log(1 - random());
    const next = run.costOf(trial, null, limit);
    if (next <= limit) {
      [order, trial] = [trial, order];
      cost = next;
      if (cost < bestCost) [best, bestCost] = [[...order], cost];
    }
  }
  if (!large && !options.rough) [best, bestCost] = settled(run, best, bestCost);
  return { done: tries, of: tries, order: best, cost: bestCost };
}

/** The same without stopping in between. */
export function bestOrder(problem: DayProblem, options: SearchOptions = {}): OrderStep {
  const search = orderSearch(problem, options);
  for (;;) {
    const { done, value } = search.next();
    if (done) return value;
  }
}

function* everyOrder(run: RunThrough, n: number, from?: readonly number[]): Generator<OrderStep, OrderStep> {
  const order = from ? complete(from, n) : Array.from({ length: n }, (_, i) => i);
  let best = [...order];
  let bestCost = run.costOf(order);
  let of = 1;
  for (let k = 2; k <= n; k += 1) of *= k;
  let done = 1;
  // Heap's algorithm: each order from the one before it by one swap (B. R. Heap 1963, Computer Journal 6).
  const counts = new Array<number>(n).fill(0);
  for (let i = 1; i < n;) {
    if (counts[i] < i) {
      const j = i % 2 === 0 ? 0 : counts[i];
      [order[j], order[i]] = [order[i], order[j]];
      const cost = run.costOf(order, null, bestCost);
      if (cost < bestCost) [best, bestCost] = [[...order], cost];
      done += 1;
      if (done % STEP === 0) yield { done, of, order: best, cost: bestCost };
      counts[i] += 1;
      i = 1;
    } else {
      counts[i] = 0;
      i += 1;
    }
  }
  return { done: of, of, order: best, cost: bestCost };
}

/** Always the next that is reached soonest: what somebody does who looks one shot ahead. */
export function nearestNeighbours(problem: DayProblem): number[] {
  const run = new RunThrough(problem);
  const left = new Set(problem.tasks.keys());
  const order: number[] = [];
  while (left.size > 0) {
    let [best, bestCost] = [-1, Infinity];
    for (const k of left) {
      const cost = run.costOf([...order, k]);
      if (cost < bestCost) [best, bestCost] = [k, cost];
    }
    order.push(best);
    left.delete(best);
  }
  return order;
}

/** Those whose time is over first come first. */
function byWindow({ tasks }: DayProblem): number[] {
  const lastS = (k: number) => tasks[k].windowsS.at(-1) ?? Infinity;
  return [...tasks.keys()].sort((a, b) => lastS(a) - lastS(b) || a - b);
}

/** An order with what it does not name at its end. */
const complete = (from: readonly number[], n: number): number[] => {
  const known = [...new Set(from)].filter((k) => k >= 0 && k < n);
  return [...known, ...Array.from({ length: n }, (_, i) => i).filter((k) => !known.includes(k))];
};

/** One taken elsewhere, a few taken elsewhere together, two swapped, or a stretch turned round. */
function neighbour(order: readonly number[], out: number[], random: () => number): void {
  const n = order.length;
  const pick = () => Math.floor(random() * n);
  const kind = random();
  for (let i = 0; i < n; i += 1) out[i] = order[i];
  out.length = n;
  if (kind < 0.25) {
    const [a, b] = [pick(), pick()];
    [out[a], out[b]] = [out[b], out[a]];
    return;
  }
  if (kind < 0.4) {
    const [a, b] = [pick(), pick()];
    for (let i = Math.min(a, b), j = Math.max(a, b); i < j; i += 1, j -= 1) [out[i], out[j]] = [out[j], out[i]];
    return;
  }
  const length = kind < 0.75 ? 1 : 1 + Math.floor(random() * Math.min(5, n - 1));
  const from = Math.floor(random() * (n - length + 1));
  const moved = out.splice(from, length);
  out.splice(Math.floor(random() * (out.length + 1)), 0, ...moved);
}

/** Every shot tried in every place, and every two swapped, until nothing is gained. */
function settled(run: RunThrough, from: readonly number[], fromCost: number): [number[], number] {
  let [best, bestCost] = [[...from], fromCost];
  for (let gains = true; gains;) {
    gains = false;
    for (let a = 0; a < best.length; a += 1)
      for (let b = 0; b < best.length; b += 1) {
        if (a === b) continue;
        for (const swap of [false, true]) {
          const trial = [...best];
          if (swap) [trial[a], trial[b]] = [trial[b], trial[a]];
          else trial.splice(b, 0, ...trial.splice(a, 1));
          const cost = run.costOf(trial, null, bestCost);
          if (cost < bestCost - 1e-9) {
            [best, bestCost] = [trial, cost];
            gains = true;
          }
        }
      }
  }
  return [best, bestCost];
}

/** Even numbers from 0 to 1, the same for the same seed (mulberry32; from memory). */
export function dice(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
