import type { Piece } from '@gentle-arc/core/model';

/** A piece as a closed path in site metres (y north; flip when drawing). */
export function outline(piece: Piece): string {
  const x = piece.depthM / 2;
  const y = piece.lengthM / 2;
  switch (piece.kind) {
    case 'post':
    case 'tree':
      return `M${-x} 0a${x} ${y} 0 1 0 ${2 * x} 0a${x} ${y} 0 1 0 ${-2 * x} 0Z`;
    case 'figure':
      return `M${-x} 0a${x} ${y} 0 1 0 ${2 * x} 0a${x} ${y} 0 1 0 ${-2 * x} 0ZM${-x * 0.4} ${y}L0 ${y * 1.9}L${x * 0.4} ${y}Z`;
    case 'hedge': {
      const r = Math.min(x, y) * 0.8;
      return `M${-x + r} ${-y}H${x - r}Q${x} ${-y} ${x} ${-y + r}V${y - r}Q${x} ${y} ${x - r} ${y}H${-x + r}Q${-x} ${y} ${-x} ${y - r}V${-y + r}Q${-x} ${-y} ${-x + r} ${-y}Z`;
    }
    case 'wall': {
      const from = Math.max(-y, piece.opening.offsetM - piece.opening.widthM / 2);
      const to = Math.min(y, piece.opening.offsetM + piece.opening.widthM / 2);
      return to > from
        ? `M${-x} ${-y}H${x}V${from}H${-x}ZM${-x} ${to}H${x}V${y}H${-x}Z`
        : `M${-x} ${-y}H${x}V${y}H${-x}Z`;
    }
    case 'ridge':
      return `M${-x} ${-y}H${x}V${y}H${-x}ZM0 ${-y}V${y}`;
    default:
      return `M${-x} ${-y}H${x}V${y}H${-x}Z`;
  }
}

/** Where a piece lies: for the `transform` of a group that is already in site metres with y up. */
export const placed = (piece: Pick<Piece, 'xM' | 'yM' | 'headingDeg'>) =>
  `translate(${piece.xM} ${piece.yM}) rotate(${-piece.headingDeg})`;

/** Pieces from the ground up, so that the higher is drawn over the lower. */
export const drawingOrder = (pieces: readonly Piece[]): Piece[] => {
  const rank: Record<Piece['kind'], number> = {
    ridge: 0,
    slab: 1,
    box: 3,
    wall: 3,
    hedge: 4,
    tree: 6,
    post: 5,
    figure: 7,
  };
  return [...pieces].sort((a, b) => rank[a.kind] - rank[b.kind] || a.zM - b.zM);
};
