import { BufferAttribute, BufferGeometry } from 'three';

/** Lines where people work stand so far apart, m, out to so far from the middle; then each twice as far as the last. */
const APART_M = 8;
const WORKED_M = 96;
const EDGE_M = 1500;

function linesM(coarse: boolean): number[] {
  if (coarse) return [-EDGE_M, 0, EDGE_M];
  const out: number[] = [0];
  for (let at = APART_M; at < WORKED_M; at += APART_M) out.push(at);
  for (let at = WORKED_M; at < EDGE_M; at *= 2) out.push(at);
  out.push(EDGE_M);
  return [
    ...out
      .slice(1)
      .reverse()
      .map((at) => -at),
    ...out,
  ];
}

/**
 * Level ground, 3 km across, in a net of tiles that are small where people work: drawn as two triangles, what is painted
 * on it is found to some centimetres only, and swims by pixels from frame to frame. `coarse`: where nobody sees that.
 */
export function groundPlane(coarse = false): BufferGeometry {
  const lines = linesM(coarse);
  const n = lines.length;
  const plane = new BufferGeometry();
  const corners = lines.flatMap((y) => lines.flatMap((x) => [x, y, 0]));
  const tiles = Array.from({ length: (n - 1) * (n - 1) }, (_, i) => {
    const at = Math.floor(i / (n - 1)) * n + (i % (n - 1));
    return [at, at + 1, at + n, at + n, at + 1, at + n + 1];
  });
  const upright = Float32Array.from({ length: n * n * 3 }, (_, i) => (i % 3 === 2 ? 1 : 0));
  plane.setAttribute('position', new BufferAttribute(Float32Array.from(corners), 3));
  plane.setAttribute('normal', new BufferAttribute(upright, 3));
  // One program for all: the ground has its one tone like things have theirs.
  plane.setAttribute('color', new BufferAttribute(new Float32Array(n * n * 3).fill(1), 3));
  plane.setIndex(tiles.flat());
  return plane;
}
