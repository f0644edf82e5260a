import { placeOf, PLACES } from './followed-places';

/** How the content of a picture moves as a whole, from places that move: pure arithmetic, whoever found the places. */

/** Cells of the picture: each counts once, however much is to be seen in it. */
export const CELLS = { across: 12, down: 8 } as const;

/**
 * Motion of one place: u to the right and w up from the middle, both in frame widths, where it is halfway; and how far it
 * goes in the time from one picture to the next.
 */
export interface Flow {
  u: number;
  w: number;
  du: number;
  dw: number;
}

/** Motion of the whole in the same time: shift in frame widths, turning clockwise in degrees. */
export interface WholeMotion {
  right: number;
  up: number;
  turnDeg: number;
  /** Natural logarithm of how much larger it gets. */
  growth: number;
  /** Cells that moved with it. */
  cells: number;
}

/** Each cell is so many places across and down. */
const ACROSS = PLACES.across / CELLS.across;
const DOWN = PLACES.down / CELLS.down;

/**
 * The middle motion of the places of each cell that hold something, by the cell’s number from the upper left, row after
 * row: each place counts once, however much is to be seen in it, as in what is foretold.
 */
export function cellFlows(flows: readonly Flow[], aspect: number): Map<number, Flow> {
  const places = middleFlows(
    flows,
    flows.map(({ u, w }) => placeOf(u, w, aspect)),
    PLACES.across * PLACES.down,
  );
  const cells = middleFlows(
    places.flows,
    places.keys.map((place) => {
      const [x, y] = [place % PLACES.across, Math.floor(place / PLACES.across)];
      return Math.floor(y / DOWN) * CELLS.across + Math.floor(x / ACROSS);
    }),
    CELLS.across * CELLS.down,
  );
  return new Map(cells.keys.map((cell, i) => [cell, cells.flows[i]]));
}

/** The middle motion of those of each key, 0 to `count` − 1, in the order in which keys are first met; −1 is left out. */
function middleFlows(
  flows: readonly Flow[],
  keyOf: readonly number[],
  count: number,
): { keys: number[]; flows: Flow[] } {
  const ends = new Int32Array(count);
  const keys: number[] = [];
  for (const key of keyOf) {
    if (key < 0) continue;
    if (ends[key] === 0) keys.push(key);
    ends[key] += 1;
  }
  let before = 0;
  for (const key of keys) {
    before += ends[key];
    ends[key] = before - ends[key];
  }
  // Where each key's own begin, and, once they are put there, end.
  const own = new Int32Array(before);
  for (let i = 0; i < keyOf.length; i += 1) if (keyOf[i] >= 0) own[ends[keyOf[i]]++] = i;
  const [du, dw] = [new Float64Array(before), new Float64Array(before)];
  let from = 0;
  const middles = keys.map((key) => {
    const to = ends[key];
    let [u, w] = [0, 0];
    for (let k = from; k < to; k += 1) {
      const flow = flows[own[k]];
      u += flow.u;
      w += flow.w;
      du[k] = flow.du;
      dw[k] = flow.dw;
    }
    const of = { u: u / (to - from), w: w / (to - from), du: middleOf(du, from, to), dw: middleOf(dw, from, to) };
    from = to;
    return of;
  });
  return { keys, flows: middles };
}

/** The middle one of `values` from one index to before another, which it puts in order. */
function middleOf(values: Float64Array, from: number, to: number): number {
  // A few at a time: putting each where it belongs is quicker than a call to sort.
  for (let i = from + 1; i < to; i += 1) {
    const value = values[i];
    let k = i;
    for (; k > from && values[k - 1] > value; k -= 1) values[k] = values[k - 1];
    values[k] = value;
  }
  const half = (from + to) >> 1;
  return (to - from) % 2 === 1 ? values[half] : (values[half - 1] + values[half]) / 2;
}

const middle = (values: number[]): number => middleOf(Float64Array.from(values).sort(), 0, values.length);

const DEG = 180 / Math.PI;
const PASSES = 12;
/** Places off by more than so many standard deviations (from the middle one off) count less (Huber 1964: 1.345). */
const FAR_OFF = 1.345;
/** … but what is off by less than following can tell counts in full, frame widths: layers that hardly differ, noise. */
const TELLS = 0.0015;
/** What counts for less than this does not move with the whole. */
const FOLLOWS = 0.4;

/** Places in fewer cells than this tell nothing of the whole picture: a wrong one among them would be all that is told. */
const LEAST_CELLS = 8;

/** The motion of the whole from the cells of a picture; null where something could be followed in too few of them. */
export const wholeOfCells = (cells: ReadonlyMap<number, Flow>): WholeMotion | null =>
  cells.size < LEAST_CELLS ? null : wholeMotion([...cells.values()]);

/**
 * The similarity (shift, turning, scale about the middle of the picture) that the places follow: least squares from the
 * middle shift on, places far off counting less (reweighted again and again with Huber’s weights, 1964), so that somebody
 * who walks through hardly moves the whole, and near and far things both count. Null with fewer than three places.
 */
export function wholeMotion(flows: readonly Flow[]): WholeMotion | null {
  if (flows.length < 3) return null;
  const weights = new Float64Array(flows.length).fill(1);
  let fit: Fit = { right: middle(flows.map(({ du }) => du)), up: middle(flows.map(({ dw }) => dw)), grow: 0, turn: 0 };
  for (let pass = 0; pass < PASSES; pass += 1) {
    const off = flows.map(({ u, w, du, dw }) => {
      const [pu, pw] = moved(fit, u, w);
      return Math.hypot(du - pu, dw - pw);
    });
    const scale = Math.max(TELLS, 1.4826 * middle([...off]) * FAR_OFF);
    off.forEach((value, i) => (weights[i] = value < scale ? 1 : scale / value));
    fit = fitted(flows, weights);
  }
  const cells = weights.reduce((sum, v) => sum + (v > FOLLOWS ? 1 : 0), 0);
  // Anticlockwise in u and w; clockwise is counted.
  return { right: fit.right, up: fit.up, turnDeg: -fit.turn * DEG, growth: fit.grow, cells };
}

interface Fit {
  right: number;
  up: number;
  grow: number;
  turn: number;
}

const moved = ({ right, up, grow, turn }: Fit, u: number, w: number): [number, number] => [
  right + grow * u - turn * w,
  up + turn * u + grow * w,
];

/** du = right + grow·u − turn·w, dw = up + turn·u + grow·w, by weighted least squares about the weighted middle. */
function fitted(flows: readonly Flow[], weights: Float64Array): Fit {
  let [n, mu, mw, mdu, mdw] = [0, 0, 0, 0, 0];
  flows.forEach(({ u, w, du, dw }, i) => {
    const k = weights[i];
    n += k;
    mu += k * u;
    mw += k * w;
    mdu += k * du;
    mdw += k * dw;
  });
  [mu, mw, mdu, mdw] = [mu / n, mw / n, mdu / n, mdw / n];
  let [square, grow, turn] = [0, 0, 0];
  flows.forEach(({ u, w, du, dw }, i) => {
    const k = weights[i];
    const [a, b, da, db] = [u - mu, w - mw, du - mdu, dw - mdw];
    square += k * (a * a + b * b);
    grow += k * (a * da + b * db);
    turn += k * (a * db - b * da);
  });
  if (square < 1e-9) return { right: mdu, up: mdw, grow: 0, turn: 0 };
  [grow, turn] = [grow / square, turn / square];
  return { right: mdu - grow * mu + turn * mw, up: mdw - turn * mu - grow * mw, grow, turn };
}

/** How far the places of a picture lie from its middle, frame widths: root mean square at 16:9. */
const RADIUS = 0.33;

/** Shift, and what growing and turning move at a usual place beside it: four numbers of one kind, frame widths. */
export const courseOf = ({
  right,
  up,
  growth,
  turnDeg,
}: Omit<WholeMotion, 'cells'>): [number, number, number, number] => [
  right,
  up,
  growth * RADIUS,
  (turnDeg / DEG) * RADIUS,
];

/**
 * Speed of a place along the whole’s shift; null where that is not what moves the picture: where growing or turning move
 * more, or cells go across it by more, as where what is near grows and what is far shrinks.
 */
export function alongOf(whole: WholeMotion, cells: ReadonlyMap<number, Flow>): ((flow: Flow) => number) | null {
  const [right, up, growing, turning] = courseOf(whole);
  const shift = Math.hypot(right, up);
  if (shift < 1e-5 || shift < Math.hypot(growing, turning)) return null;
  let across = 0;
  for (const { du, dw } of cells.values()) across += ((dw * right - du * up) / shift) ** 2;
  if (across > cells.size * shift ** 2) return null;
  return ({ du, dw }) => (du * right + dw * up) / shift;
}
