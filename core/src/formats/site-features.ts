import { clipped, newPiece, type Piece, type PieceKind, PIECE_KINDS, type SitePlace } from '../model';
import { type OnEarth, onPlan, outlineOf, type Spot } from '../site';
import { Refusal } from './refusal';

/** What a file of places on earth holds, whatever its format: something named at a point, along a line or over an area. */
export interface Feature {
  name: string;
  shape: 'point' | 'line' | 'area';
  points: OnEarth[];
  /** What it is, in the words of open map data (`building`, `natural`, `barrier`, `highway` …) or of this app (`kind`). */
  tags: Record<string, unknown>;
}

/** Pieces of a place on earth, the place itself where there was none, and what a person should know of them. */
export interface SiteFromEarth {
  pieces: Piece[];
  place: SitePlace | null;
  notes: string[];
}

/** More would fill a site. */
export const MOST_FEATURES = 1000;
const MOST_PIECES = 1500;
/** A site reaches this far from its middle, m. */
const REACH_M = 5000;
/** Ways are drawn with bends no finer than this, m. */
const BEND_M = 0.5;

const BY_TAG: Record<string, Record<string, PieceKind>> = {
  natural: {
    tree: 'tree',
    water: 'water',
    rock: 'rock',
    stone: 'rock',
    scrub: 'bush',
    shrub: 'bush',
    tree_row: 'hedge',
  },
  barrier: { fence: 'fence', wall: 'wall', hedge: 'hedge', bollard: 'post', retaining_wall: 'wall' },
  waterway: { '*': 'water' },
  highway: { steps: 'stair', '*': 'road' },
  building: { '*': 'box' },
};
const USUAL: Record<Feature['shape'], PieceKind> = { point: 'post', line: 'fence', area: 'slab' };
/** Across a way of which nothing is said, m: common practice, no published source. */
const WIDE_M: Partial<Record<PieceKind, number>> = { road: 4, water: 2, stair: 1.6 };

function kindOf({ tags, shape }: Feature): PieceKind {
  const own = tags.kind;
  if (typeof own === 'string' && own in PIECE_KINDS && own !== 'model' && own !== 'terrain') return own as PieceKind;
  for (const [tag, kinds] of Object.entries(BY_TAG)) {
    const value = tags[tag];
    if (typeof value !== 'string' || value === 'no') continue;
    const kind = kinds[value] ?? kinds['*'];
    if (kind) return kind;
  }
  return USUAL[shape];
}

/** A number of metres in a tag, such as `4.5` or `4.5 m`. */
function metres(value: unknown, least: number, most: number): number | null {
  const number =
    typeof value === 'number' ? value : Number(/^\s*([\d.]+)\s*m?\s*$/.exec(String(value ?? ''))?.[1] ?? NaN);
  return Number.isFinite(number) ? Math.min(most, Math.max(least, number)) : null;
}

const cm = (m: number) => Math.round(m * 100) / 100;

/**
 * Features as pieces of a site. Without a place the middle of all of them becomes it, with the clock of its longitude.
 * Throws a `Refusal` when there is nothing, or too much.
 */
export function siteFrom(features: readonly Feature[], known: SitePlace | null): SiteFromEarth {
  if (features.length === 0) throw Refusal.of('features', 'features are missing: there is no place in this file.');
  if (features.length > MOST_FEATURES)
    throw Refusal.of(
      'features',
      `There are ${features.length} features; at most ${MOST_FEATURES} are taken in: cut out what is near the shoot.`,
    );
  const place = known ?? middleOf(features);
  const notes: string[] = [];
  const pieces: Piece[] = [];
  let far = 0;
  for (const feature of features) {
    const spots = feature.points.map((point): Spot => {
      const { xM, yM } = onPlan(place, point);
      return [xM, yM];
    });
    if (spots.some(([x, y]) => Math.abs(x) > REACH_M || Math.abs(y) > REACH_M)) far += 1;
    else pieces.push(...piecesOf(feature, spots, `g${pieces.length}`, notes));
    if (pieces.length > MOST_PIECES)
      throw Refusal.of('features', `They are more than ${MOST_PIECES} pieces: cut out what is near the shoot.`);
  }
  if (far === features.length)
    throw Refusal.of(
      'features',
      'Everything in this file lies more than 5 km from the middle of the site: set where the site is first, or to nothing.',
    );
  if (far > 0) notes.push(`${far} of ${features.length} lie more than 5 km away and were left out.`);
  return { pieces, place: known ? null : place, notes };
}

function middleOf(features: readonly Feature[]): SitePlace {
  const all = features.flatMap(({ points }) => points);
  const middle = (pick: (point: OnEarth) => number) => {
    const [low, high] = all.reduce(
      ([a, b], point) => [Math.min(a, pick(point)), Math.max(b, pick(point))],
      [Infinity, -Infinity],
    );
    return Math.round(((low + high) / 2) * 1e6) / 1e6;
  };
  const longitudeDeg = middle((point) => point.longitudeDeg);
  return {
    latitudeDeg: middle((point) => point.latitudeDeg),
    longitudeDeg,
    utcOffsetH: Math.min(14, Math.max(-12, Math.round(longitudeDeg / 15))),
  };
}

function piecesOf(feature: Feature, spots: Spot[], id: string, notes: string[]): Piece[] {
  const kind = kindOf(feature);
  const name = feature.name.trim().slice(0, 70) || PIECE_KINDS[kind].label;
  const heightM = metres(feature.tags.heightM ?? feature.tags.height, 0.01, 500);
  const high = (piece: Piece): Piece => (heightM === null ? piece : { ...piece, heightM });
  if (feature.shape === 'point') return [high(newPiece(kind, id, name, cm(spots[0][0]), cm(spots[0][1]), 0))];
  if (feature.shape === 'area') {
    const box = smallestBox(spots);
    if (box.share < 0.97)
      notes.push(`“${clipped(name, 40)}” is no rectangle: it came in as the smallest one about it.`);
    return [high({ ...newPiece(kind, id, name, cm(box.x), cm(box.y), 0), ...box.size, headingDeg: box.headingDeg })];
  }
  const way = straightened(spots);
  const wideM = metres(feature.tags.width, 0.05, 200) ?? WIDE_M[kind] ?? PIECE_KINDS[kind].depthM;
  return way.slice(1).map((to, k): Piece => {
    const from = way[k];
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const one = newPiece(
      kind,
      `${id}.${k}`,
      way.length > 2 ? `${name} ${k + 1}` : name,
      cm((from[0] + to[0]) / 2),
      cm((from[1] + to[1]) / 2),
      0,
    );
    return high({
      ...(one.kind === 'wall' ? { ...one, openings: [] } : one),
      lengthM: Math.min(2000, Math.max(0.05, cm(Math.hypot(dx, dy)))),
      depthM: wideM,
      headingDeg: Math.round((((Math.atan2(dx, dy) * 180) / Math.PI + 360) % 360) * 100) / 100,
      group: way.length > 2 ? id : null,
    });
  });
}

/** A way without the points that lie on it anyway (Douglas and Peucker 1973, from memory). */
function straightened(spots: readonly Spot[]): Spot[] {
  const [a, b] = [spots[0], spots[spots.length - 1]];
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const long = Math.hypot(dx, dy);
  let [worst, at] = [BEND_M, -1];
  for (let i = 1; i + 1 < spots.length; i += 1) {
    const [px, py] = [spots[i][0] - a[0], spots[i][1] - a[1]];
    const offM = long > 1e-9 ? Math.abs(px * dy - py * dx) / long : Math.hypot(px, py);
    if (offM > worst) [worst, at] = [offM, i];
  }
  return at < 0 ? [a, b] : [...straightened(spots.slice(0, at + 1)).slice(0, -1), ...straightened(spots.slice(at))];
}

/** The smallest rectangle about spots (one side lies on their outline), and how much of it they fill. */
function smallestBox(spots: readonly Spot[]) {
  const hull = outlineOf(spots);
  let best = { x: 0, y: 0, headingDeg: 0, size: { lengthM: 0.05, depthM: 0.05 }, area: Infinity };
  hull.forEach(([x, y], i) => {
    const [nx, ny] = hull[(i + 1) % hull.length];
    const turn = Math.atan2(nx - x, ny - y);
    const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
    const along = hull.map(([px, py]) => px * sin + py * cos);
    const across = hull.map(([px, py]) => px * cos - py * sin);
    const [a0, a1] = [Math.min(...along), Math.max(...along)];
    const [c0, c1] = [Math.min(...across), Math.max(...across)];
    const area = (a1 - a0) * (c1 - c0);
    if (area >= best.area * (1 - 1e-9)) return;
    const [am, cmid] = [(a0 + a1) / 2, (c0 + c1) / 2];
    const size = { lengthM: Math.max(0.05, cm(a1 - a0)), depthM: Math.max(0.05, cm(c1 - c0)) };
    const headingDeg = Math.round((((turn * 180) / Math.PI + 360) % 180) * 100) / 100;
    best = { x: am * sin + cmid * cos, y: am * cos - cmid * sin, headingDeg, size, area };
  });
  return { ...best, share: best.area > 0 ? Math.abs(areaOf(spots)) / best.area : 1 };
}

function areaOf(spots: readonly Spot[]): number {
  return spots.reduce((sum, [x, y], i) => {
    const [nx, ny] = spots[(i + 1) % spots.length];
    return sum + (x * ny - nx * y) / 2;
  }, 0);
}
