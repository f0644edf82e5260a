import { type Piece, sayLength, type Shoot, type Units } from '../model';
import { motionOf } from '../motion';
import { sceneOf } from '../scene';
import { drawingOrder, outline, placed } from '../site';

/** Usual scales of plans (ISO 5455, from memory). */
const SCALES = [20, 50, 100, 200, 500, 1000, 2000, 5000];
/** What fits a sheet of A4 across, with room to hold it, mm. */
const SHEET = { widthMm: 277, heightMm: 180 };
const EDGE_MM = 8;
const PATH_POINTS = 60;

const FILL: Partial<Record<Piece['kind'], string>> = {
  figure: '#B4531F',
  hedge: '#D3DDB9',
  tree: '#D3DDB9',
  bush: '#D3DDB9',
  water: '#CFE0E4',
};
const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign);
const round = (value: number) => Math.round(value * 100) / 100;

/** What of a site a plan shows: everything but hills, and every camera path. */
function extentOf(pieces: readonly Piece[], paths: readonly (readonly [number, number])[][]) {
  const near = pieces.filter((piece) => Math.max(piece.lengthM, piece.depthM) < 80);
  const spots = [
    ...near.flatMap((piece) => {
      const half = Math.hypot(piece.lengthM, piece.depthM) / 2;
      return [
        [piece.xM - half, piece.yM - half],
        [piece.xM + half, piece.yM + half],
      ] as const;
    }),
    ...paths.flat(),
  ];
  if (spots.length === 0) return { x0: -5, x1: 5, y0: -5, y1: 5 };
  const reach = (axis: 0 | 1, pick: (a: number, b: number) => number, from: number) =>
    spots.reduce((value, spot) => pick(value, spot[axis]), from);
  return {
    x0: reach(0, Math.min, Infinity) - 1,
    x1: reach(0, Math.max, -Infinity) + 1,
    y0: reach(1, Math.min, Infinity) - 1,
    y1: reach(1, Math.max, -Infinity) + 1,
  };
}

/** A plan as a drawing, and how many times smaller than life it is. */
export interface SitePlan {
  svg: string;
  scale: number;
}

/**
 * The site from above to scale: millimetres on the sheet are `scale` millimetres in life. Without a scale it is the
 * largest usual one that fits a sheet of A4 lying across. Hidden pieces are left out.
 */
export function writeSiteSvg(shoot: Shoot, units: Units, scale?: number): SitePlan {
  const pieces = shoot.site.pieces.filter(({ hidden }) => !hidden);
  const paths = shoot.shots.map((shot) => {
    const { placeAt, durationS } = motionOf(sceneOf(shoot, shot));
    const at = new Float64Array(3);
    return Array.from({ length: PATH_POINTS + 1 }, (_, k) => {
      placeAt((durationS * k) / PATH_POINTS, at);
      return [at[0], at[1]] as const;
    });
  });
  const { x0, x1, y0, y1 } = extentOf(pieces, paths);
  const fits = (times: number) =>
    ((x1 - x0) * 1000) / times + 2 * EDGE_MM <= SHEET.widthMm &&
    ((y1 - y0) * 1000) / times + 3 * EDGE_MM <= SHEET.heightMm;
  const times = scale ?? SCALES.find(fits) ?? SCALES[SCALES.length - 1];
  const mm = 1000 / times;
  const [width, height] = [round((x1 - x0) * mm + 2 * EDGE_MM), round((y1 - y0) * mm + 3 * EDGE_MM)];
  const x = (xM: number) => round(EDGE_MM + (xM - x0) * mm);
  const y = (yM: number) => round(EDGE_MM + (y1 - yM) * mm);
  const line = (points: readonly (readonly [number, number])[]) =>
    points.map(([px, py]) => `${x(px)},${y(py)}`).join(' ');
  const barM = [0.5, 1, 2, 5, 10, 20, 50, 100, 200].find((m) => m * mm >= 18) ?? 500;
  const foot = height - EDGE_MM;
  const barTo = round(EDGE_MM + barM * mm);
  const thin = '<path fill="none" stroke="#1E2A2C" stroke-width="0.4"';
  const rows = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"` +
      ' font-family="sans-serif" font-size="2.4">',
    `<title>${escaped(shoot.name)}, 1:${times}</title>`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    `<g transform="translate(${round(EDGE_MM - x0 * mm)} ${round(EDGE_MM + y1 * mm)}) scale(${mm} ${-mm})"` +
      ` stroke="#1E2A2C" stroke-width="${0.25 / mm}">`,
    ...drawingOrder(pieces).map(
      (piece) =>
        `<path data-kind="${piece.kind}" fill="${FILL[piece.kind] ?? '#EFEADD'}" fill-opacity="0.7"` +
        ` transform="${placed(piece)}" d="${outline(piece)}"><title>${escaped(piece.name)}</title></path>`,
    ),
    '</g>',
    ...paths.map((path) => `<polyline fill="none" stroke="#B4531F" stroke-width="0.6" points="${line(path)}"/>`),
    ...pieces
      .filter(({ lengthM, depthM }) => Math.max(lengthM, depthM) * mm > 6)
      .map(
        ({ name, xM, yM }) =>
          `<text x="${x(xM)}" y="${y(yM)}" text-anchor="middle" fill="#4A5658">${escaped(name.slice(0, 40))}</text>`,
      ),
    `${thin} d="M${EDGE_MM} ${foot - 1.5}V${foot}H${barTo}V${foot - 1.5}"/>`,
    `<text x="${barTo + 2}" y="${foot}">${sayLength(barM, units)} · 1:${times} · ${escaped(shoot.name)}</text>`,
    `${thin} d="M${width - EDGE_MM} ${foot}v-7m-1.5 2.5l1.5 -2.5l1.5 2.5"/>`,
    `<text x="${width - EDGE_MM}" y="${foot - 8}" text-anchor="middle">N</text>`,
    '</svg>',
  ];
  return { svg: `${rows.join('\n')}\n`, scale: times };
}
