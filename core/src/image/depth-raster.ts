import type { Piece } from '../model';
import { type Scene, type Stance, type Thing, turnedBy } from '../scene';
import type { Samples } from '../motion';
import { CAMERA_SIZE } from '../optics';
import { solidOf } from '../site';

/** No piece: ground or sky. */
export const NOTHING = -1;

const NEAR_PLANE_M = 0.05;

/**
 * What stands where in the picture at one moment, coarsely: for every cell of the frame the frontmost piece and how
 * near it is.
 */
export interface DepthRaster {
  /** Cells in all, those of the margin included. */
  widthCells: number;
  heightCells: number;
  /** Cells of the frame itself, and how many lie around it on every side. */
  frameWidthCells: number;
  frameHeightCells: number;
  marginCells: number;
  /** Row after row from the top left: index of the frontmost piece in `scene.pieces`, or `NOTHING`. */
  pieceAt: Int16Array;
  /** 1 over the depth of what stands there, 1/m; 0 for nothing. */
  nearness: Float32Array;
}

interface Standing {
  index: number;
  thing: Thing;
  /** From the piece's own frame to the site: across, along and up as columns. */
  turned: Float64Array;
  radiusM: number;
  heightM: number;
  mesh: () => Mesh;
}

/** A drawn solid for looking at: its corners once each, and which three make a triangle. */
interface Mesh {
  /** x, y, z in the piece's own frame, m. */
  corners: Float32Array;
  triangles: Uint16Array;
}

// Pieces are never changed in place.
const meshes = new WeakMap<object, Mesh>();

/** The mesh of a piece's drawn solid, made once for as long as the piece is the same. */
function meshOf(piece: Piece): Mesh {
  // A model keeps its solid while it is moved about.
  const owner = piece.kind === 'model' ? solidOf(piece) : piece;
  const known = meshes.get(owner);
  if (known) return known;
  const { positions } = solidOf(piece);
  const corners: number[] = [];
  const triangles = new Uint16Array(positions.length / 3);
  const places = new Map<string, number>();
  for (let i = 0; i < triangles.length; i += 1) {
    const [x, y, z] = positions.subarray(3 * i, 3 * i + 3);
    const key = `${x},${y},${z}`;
    let at = places.get(key);
    if (at === undefined) {
      places.set(key, (at = corners.length / 3));
      corners.push(x, y, z);
    }
    triangles[i] = at;
  }
  const mesh = { corners: Float32Array.from(corners), triangles };
  meshes.set(owner, mesh);
  return mesh;
}

/**
 * A way to look at the site of a shot through its camera, `frameWidthCells` across the frame and as many more on every
 * side as `marginCells` says: call it with a row of the samples. The same raster is written over each time.
 */
export function depthRasterOf(
  { things }: Scene,
  samples: Samples,
  frameWidthCells: number,
  marginCells = 0,
): (row: number) => DepthRaster {
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const frameHeightCells = Math.max(2, Math.round(frameWidthCells / aspect));
  const [widthCells, heightCells] = [frameWidthCells + 2 * marginCells, frameHeightCells + 2 * marginCells];
  const cells = widthCells * heightCells;
  const raster: DepthRaster = {
    widthCells,
    heightCells,
    frameWidthCells,
    frameHeightCells,
    marginCells,
    pieceAt: new Int16Array(cells),
    nearness: new Float32Array(cells),
  };
  const standing = things.map((thing, index): Standing => {
    const { piece } = thing;
    return {
      index,
      thing,
      turned: turnedBy({ headingDeg: piece.headingDeg, leanDeg: 0, pitchDeg: 0 }, new Float64Array(9)),
      radiusM: Math.hypot(piece.lengthM, piece.depthM, piece.heightM) / 2,
      heightM: piece.heightM,
      mesh: () => meshOf(piece),
    };
  });
  const reach = Math.hypot(0.5 * (widthCells / frameWidthCells), (0.5 / aspect) * (heightCells / frameHeightCells));
  const place = new Float64Array(3);
  const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  const through = new Float64Array(CAMERA_SIZE);
  return (row) => {
    raster.pieceAt.fill(NOTHING);
    raster.nearness.fill(0);
    const c = row * CAMERA_SIZE;
    const { cameras } = samples;
    const scale = samples.focalLengthMm[row] / samples.frameWidthMm;
    for (const piece of standing) {
      piece.thing.at(samples.tS[row], place);
      if (piece.thing.walks) {
        piece.thing.stanceAt(samples.tS[row], stance);
        turnedBy(stance, piece.turned);
      }
      const [x, y, z] = place;
      const middle = z + piece.heightM / 2;
      if (!isWithin(cameras, c, x, y, middle, piece.radiusM, scale, reach)) continue;
      throughPiece(cameras, c, piece, x, y, z, through);
      drawPiece(raster, piece.mesh(), through, piece.index, aspect);
    }
    return raster;
  };
}

/**
 * Whether any of a ball can be in the picture of camera `c` of `cameras`. `scale`: focal length over the frame's width;
 * `reach`: from the middle of what is looked at to its corner, in frame widths.
 */
export function isWithin(
  cameras: Float64Array,
  c: number,
  x: number,
  y: number,
  z: number,
  radiusM: number,
  scale: number,
  reach: number,
): boolean {
  const depth = cameras[c + 8] * x + cameras[c + 9] * y + cameras[c + 10] * z + cameras[c + 11];
  if (depth < -radiusM) return false;
  const across = cameras[c] * x + cameras[c + 1] * y + cameras[c + 2] * z + cameras[c + 3];
  const up = cameras[c + 4] * x + cameras[c + 5] * y + cameras[c + 6] * z + cameras[c + 7];
  // The corner of the frame is the farthest anything can stand from the axis and still be seen.
  return Math.hypot(across, up) - depth * reach <= radiusM * Math.hypot(scale, reach);
}

/** The camera for points given in a piece's own frame (across, along, up). */
function throughPiece(
  cameras: Float64Array,
  c: number,
  { turned }: Standing,
  x: number,
  y: number,
  z: number,
  out: Float64Array,
): void {
  for (let k = 0; k < CAMERA_SIZE; k += 4) {
    const [a, b, d] = [cameras[c + k], cameras[c + k + 1], cameras[c + k + 2]];
    out[k] = a * turned[0] + b * turned[1] + d * turned[2];
    out[k + 1] = a * turned[3] + b * turned[4] + d * turned[5];
    out[k + 2] = a * turned[6] + b * turned[7] + d * turned[8];
    out[k + 3] = a * x + b * y + d * z + cameras[c + k + 3];
  }
}

const MOST_CORNERS = 4;
/** All corners of a piece before the near plane: across, up, depth; and as column, line and nearness in the raster. */
let seen = new Float64Array(3 * 512);
let shown = new Float64Array(3 * 512);
/** A triangle that comes through the near plane. */
const corner = new Float64Array(3 * 3);
/** What is left of it, as column, line and nearness in the raster. */
const clipped = new Float64Array(MOST_CORNERS * 3);

function drawPiece(
  raster: DepthRaster,
  { corners, triangles }: Mesh,
  through: Float64Array,
  index: number,
  aspect: number,
): void {
  const a0 = through[0],
    a1 = through[1],
    a2 = through[2],
    a3 = through[3];
  const b0 = through[4],
    b1 = through[5],
    b2 = through[6],
    b3 = through[7];
  const c0 = through[8],
    c1 = through[9],
    c2 = through[10],
    c3 = through[11];
  if (seen.length < corners.length)
    [seen, shown] = [new Float64Array(corners.length), new Float64Array(corners.length)];
  let nearest = Infinity;
  for (let i = 0; i < corners.length; i += 3) {
    const x = corners[i];
    const y = corners[i + 1];
    const z = corners[i + 2];
    const depth = c0 * x + c1 * y + c2 * z + c3;
    seen[i] = a0 * x + a1 * y + a2 * z + a3;
    seen[i + 1] = b0 * x + b1 * y + b2 * z + b3;
    seen[i + 2] = depth;
    if (depth < nearest) nearest = depth;
  }
  show(raster, seen, shown, corners.length, aspect);
  if (nearest >= NEAR_PLANE_M) {
    for (let i = 0; i < triangles.length; i += 3)
      drawTriangle(raster, shown, 3 * triangles[i], 3 * triangles[i + 1], 3 * triangles[i + 2], index);
    return;
  }
  for (let i = 0; i < triangles.length; i += 3) {
    const [a, b, c] = [3 * triangles[i], 3 * triangles[i + 1], 3 * triangles[i + 2]];
    if (seen[a + 2] >= NEAR_PLANE_M && seen[b + 2] >= NEAR_PLANE_M && seen[c + 2] >= NEAR_PLANE_M) {
      drawTriangle(raster, shown, a, b, c, index);
      continue;
    }
    for (let axis = 0; axis < 3; axis += 1) {
      corner[axis] = seen[a + axis];
      corner[3 + axis] = seen[b + axis];
      corner[6 + axis] = seen[c + axis];
    }
    const count = clipNear();
    show(raster, clipped, clipped, 3 * count, aspect);
    for (let k = 1; k + 1 < count; k += 1) drawTriangle(raster, clipped, 0, 3 * k, 3 * k + 3, index);
  }
}

/** Turns `size` numbers, points before the camera (across, up, depth), into column, line and nearness in the raster. */
function show(
  { frameWidthCells, frameHeightCells, marginCells }: DepthRaster,
  from: Float64Array,
  to: Float64Array,
  size: number,
  aspect: number,
): void {
  for (let k = 0; k < size; k += 3) {
    const nearness = 1 / from[k + 2];
    to[k] = (from[k] * nearness + 0.5) * frameWidthCells + marginCells;
    to[k + 1] = (0.5 - from[k + 1] * nearness * aspect) * frameHeightCells + marginCells;
    to[k + 2] = nearness;
  }
}

/** Cuts the triangle in `corner` at the near plane into `clipped`; how many corners are left. */
function clipNear(): number {
  let count = 0;
  for (let k = 0; k < 3; k += 1) {
    const a = 3 * k;
    const b = 3 * ((k + 1) % 3);
    const [da, db] = [corner[a + 2] - NEAR_PLANE_M, corner[b + 2] - NEAR_PLANE_M];
    if (da >= 0) {
      clipped[3 * count] = corner[a];
      clipped[3 * count + 1] = corner[a + 1];
      clipped[3 * count + 2] = corner[a + 2];
      count += 1;
    }
    if (da >= 0 !== db >= 0) {
      const s = da / (da - db);
      for (let axis = 0; axis < 3; axis += 1)
        clipped[3 * count + axis] = corner[a + axis] + s * (corner[b + axis] - corner[a + axis]);
      count += 1;
    }
  }
  return count;
}

/** Fills the cells whose middle a triangle covers, of `points` as they are shown; nearness runs evenly over the picture. */
function drawTriangle(raster: DepthRaster, points: Float64Array, a: number, b: number, c: number, index: number): void {
  const { widthCells, heightCells, pieceAt, nearness } = raster;
  const ax = points[a],
    ay = points[a + 1],
    an = points[a + 2];
  const bx = points[b],
    by = points[b + 1],
    bn = points[b + 2];
  const cx = points[c],
    cy = points[c + 1],
    cn = points[c + 2];
  const area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
  // Solids are closed: what faces away is covered by what faces here.
  if (area > -1e-12) return;
  const top = Math.max(0, Math.ceil(Math.min(ay, by, cy) - 0.5));
  const bottom = Math.min(heightCells - 1, Math.floor(Math.max(ay, by, cy) - 0.5));
  const left = Math.max(0, Math.ceil(Math.min(ax, bx, cx) - 0.5));
  const right = Math.min(widthCells - 1, Math.floor(Math.max(ax, bx, cx) - 0.5));
  if (left > right || top > bottom) return;
  // Shares of b and c run evenly along a row and down the rows.
  const alongB = (cy - ay) / area;
  const alongC = -(by - ay) / area;
  const downB = -(cx - ax) / area;
  const downC = (bx - ax) / area;
  const x = left + 0.5 - ax;
  const y = top + 0.5 - ay;
  let rowB = x * alongB + y * downB;
  let rowC = x * alongC + y * downC;
  for (let row = top; row <= bottom; row += 1) {
    let shareB = rowB;
    let shareC = rowC;
    const from = row * widthCells;
    for (let cell = from + left; cell <= from + right; cell += 1) {
      if (shareB >= 0 && shareC >= 0 && shareB + shareC <= 1) {
        const near = an + shareB * (bn - an) + shareC * (cn - an);
        if (near > nearness[cell]) {
          nearness[cell] = near;
          pieceAt[cell] = index;
        }
      }
      shareB += alongB;
      shareC += alongC;
    }
    rowB += downB;
    rowC += downC;
  }
}

/**
 * For every cell the depth up to which a point there counts as seen, m: that of the deepest thing in the cell and those
 * about it, and a little more, because cells are coarse and points lie on the surfaces themselves. Infinity where one
 * of them is open.
 */
export function seenDepthM({ widthCells, heightCells, nearness }: DepthRaster): Float32Array {
  const along = new Float32Array(nearness.length);
  for (let row = 0; row < heightCells; row += 1)
    for (let column = 0; column < widthCells; column += 1) {
      const cell = row * widthCells + column;
      let least = nearness[cell];
      if (column > 0 && nearness[cell - 1] < least) least = nearness[cell - 1];
      if (column + 1 < widthCells && nearness[cell + 1] < least) least = nearness[cell + 1];
      along[cell] = least;
    }
  const depthM = new Float32Array(nearness.length);
  for (let cell = 0; cell < depthM.length; cell += 1) {
    let least = along[cell];
    if (cell >= widthCells && along[cell - widthCells] < least) least = along[cell - widthCells];
    if (cell + widthCells < depthM.length && along[cell + widthCells] < least) least = along[cell + widthCells];
    depthM[cell] = 1.03 / least + 0.05;
  }
  return depthM;
}
