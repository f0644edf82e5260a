import type { Piece } from '../model';

/** Higher up than this somebody can stand under it, m. */
const HEAD_M = 1.8;
const LEAST_WIDE_M = 1;

/** What keeps the sky off: it is held up, flat or pitched, and large enough to be under. */
export const isRoof = ({ kind, zM, lengthM, depthM }: Piece): boolean =>
  (kind === 'slab' || kind === 'ridge' || kind === 'box') && zM > HEAD_M && Math.min(lengthM, depthM) > LEAST_WIDE_M;
