import { PIECE_KINDS, type Piece, type Terrain } from '../model';

const RAD = Math.PI / 180;

/** A point in a piece's own frame: `along` its heading and `across` to the right of it, metres from its base point. */
export interface Local {
  along: number;
  across: number;
}

/** A site point (metres) in a piece's own frame. */
export function toLocal(piece: Pick<Piece, 'xM' | 'yM' | 'headingDeg'>, xM: number, yM: number): Local {
  const dx = xM - piece.xM;
  const dy = yM - piece.yM;
  const sin = Math.sin(piece.headingDeg * RAD);
  const cos = Math.cos(piece.headingDeg * RAD);
  return { along: dx * sin + dy * cos, across: dx * cos - dy * sin };
}

/** A point of a piece's own frame on the site, metres. */
export function toSite(piece: Piece, along: number, across: number): { xM: number; yM: number } {
  const sin = Math.sin(piece.headingDeg * RAD);
  const cos = Math.cos(piece.headingDeg * RAD);
  return { xM: piece.xM + along * sin + across * cos, yM: piece.yM + along * cos - across * sin };
}

/** Height of a piece's top above its base at a point of its own frame, metres; null outside its outline. */
export function topAt(piece: Piece, { along, across }: Local): number | null {
  if (Math.abs(along) > piece.lengthM / 2 || Math.abs(across) > piece.depthM / 2) return null;
  if (piece.kind === 'ridge') return piece.heightM * (1 - (2 * Math.abs(across)) / piece.depthM);
  if (piece.kind === 'stair') return stairTopM(piece, along);
  if (piece.kind === 'terrain') return terrainTopM(piece, along, across);
  return piece.heightM;
}

/** A comfortable step: DIN 18065 asks 0.14 to 0.20 m for most stairs (from memory). */
const STEP_RISE_M = 0.17;

/** How many steps a stair has. */
export const stepsOf = ({ heightM }: Pick<Piece, 'heightM'>): number =>
  Math.min(200, Math.max(1, Math.round(heightM / STEP_RISE_M)));

/** A stair climbs along its heading. */
function stairTopM(piece: Piece, along: number): number {
  const steps = stepsOf(piece);
  const step = Math.min(steps, 1 + Math.floor((along / piece.lengthM + 0.5) * steps));
  return (step / steps) * piece.heightM;
}

/** Between the crossings of its grid the ground is as on the two triangles that are drawn there. */
function terrainTopM({ columns, levels, lengthM, depthM, heightM }: Terrain, along: number, across: number): number {
  const rows = levels.length / columns;
  const x = (across / depthM + 0.5) * (columns - 1);
  const y = (along / lengthM + 0.5) * (rows - 1);
  const [i, j] = [Math.min(columns - 2, Math.floor(x)), Math.min(rows - 2, Math.floor(y))];
  const [u, v] = [x - i, y - j];
  const at = (column: number, row: number) => levels[row * columns + column];
  const [low, right, left, far] = [at(i, j), at(i + 1, j), at(i, j + 1), at(i + 1, j + 1)];
  const level =
    u + v <= 1 ? low + u * (right - low) + v * (left - low) : far + (1 - u) * (left - far) + (1 - v) * (right - far);
  return level * heightM;
}

const STEP_UP_M = 0.05;

/** Pieces one can stand on, lowest base first: what `groundHeightM` needs, made once for many points. */
export function groundPieces(pieces: readonly Piece[]): Piece[] {
  return pieces.filter((piece) => PIECE_KINDS[piece.kind].ground).sort((a, b) => a.zM - b.zM);
}

/**
 * Height in metres of the ground at a site point: level 0, or the top of slabs and ridges stacked on it. A slab that
 * floats above what is below it (a roof) is not ground. `ground` comes from `groundPieces`.
 */
export function groundHeightM(ground: readonly Piece[], xM: number, yM: number): number {
  let heightM = 0;
  for (const piece of ground) {
    if (piece.zM > heightM + STEP_UP_M) continue;
    const top = topAt(piece, toLocal(piece, xM, yM));
    if (top !== null && piece.zM + top > heightM) heightM = piece.zM + top;
  }
  return heightM;
}
