import { BufferAttribute, BufferGeometry } from 'three';

/** Lines of the net so far from its middle, m: close together where the camera stands, the last beyond the haze. */
const LINES_M = [2, 6, 18, 42, 120, 420, 1500];
const BOTH_WAYS_M = [...LINES_M.toReversed().map((at) => -at), ...LINES_M];

/**
 * Level ground, 3 km across, in a net that goes with the camera, its tiles small where it stands: drawn as two
 * triangles, what is painted on it is found to some centimetres only, and swims by pixels from frame to frame. Few
 * tiles: without a graphics processor each triangle that is seen costs as much as a hundred pixels.
 */
export class GroundNet {
  readonly geometry = new BufferGeometry();
  private readonly corners: BufferAttribute;
  /** Of the corners of tiles, so many belong to near ones. */
  private readonly near: number;
  private middle = { xM: 0, yM: 0 };

  /** Tiles within so many metres are near: parts of it may be drawn with something else than those beyond. */
  constructor(private readonly nearM = 0) {
    const n = BOTH_WAYS_M.length;
    const corners = BOTH_WAYS_M.flatMap((y) => BOTH_WAYS_M.flatMap((x) => [x, y, 0]));
    const tiles = Array.from({ length: (n - 1) * (n - 1) }, (_, i) => {
      const at = Math.floor(i / (n - 1)) * n + (i % (n - 1));
      return [at, at + 1, at + n, at + n, at + 1, at + n + 1];
    });
    const awayM = (at: number) => Math.hypot(corners[3 * at], corners[3 * at + 1]);
    const isNear = (tile: number[]) => Math.max(...tile.map(awayM)) <= nearM;
    const near = tiles.filter(isNear).flat();
    this.near = near.length;
    const upright = Float32Array.from({ length: n * n * 3 }, (_, i) => (i % 3 === 2 ? 1 : 0));
    this.corners = new BufferAttribute(Float32Array.from(corners), 3);
    this.geometry.setAttribute('position', this.corners);
    this.geometry.setAttribute('normal', new BufferAttribute(upright, 3));
    // One program for all: the ground has its one tone like things have theirs.
    this.geometry.setAttribute('color', new BufferAttribute(new Float32Array(n * n * 3).fill(1), 3));
    this.geometry.setIndex([...near, ...tiles.filter((tile) => !isNear(tile)).flat()]);
  }

  /** Brings its middle under a camera on the site, m: what is painted on it stays where it is. */
  under(xM: number, yM: number, zM: number): void {
    const { corners, geometry, middle, nearM } = this;
    const all = geometry.index?.count ?? 0;
    const near = zM < 0.4 * nearM ? this.near : 0;
    geometry.clearGroups();
    geometry.addGroup(0, near, 0);
    geometry.addGroup(near, all - near, 1);
    if (xM === middle.xM && yM === middle.yM) return;
    this.middle = { xM, yM };
    const n = BOTH_WAYS_M.length;
    for (let i = 0; i < n * n; i += 1) corners.setXY(i, xM + BOTH_WAYS_M[i % n], yM + BOTH_WAYS_M[Math.floor(i / n)]);
    corners.needsUpdate = true;
  }
}
