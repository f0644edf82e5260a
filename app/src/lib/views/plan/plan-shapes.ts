import type { Piece } from '@gentle-arc/core/model';

/** A piece as a closed path in site metres (y north; flip when drawing). */
export function outline(piece: Piece): string {
  const x = piece.depthM / 2;
  const y = piece.lengthM / 2;
  switch (piece.kind) {
    case 'post':
    case 'tree':
    case 'bottle':
    case 'tin':
    case 'watch':
    case 'lamp':
      return oval(x, y);
    case 'figure': {
      // Whatever the pose, a beak says which way the face looks; who lies is as long as the body.
      const long = piece.pose === 'lie' ? y : Math.min(y, x * 0.9);
      const beak = piece.pose === 'lie' ? y + x * 0.5 : long * 1.9;
      return `${oval(x, long)}M${-x * 0.4} ${long}L0 ${beak}L${x * 0.4} ${long}Z`;
    }
    case 'dog':
    case 'motorbike':
    case 'bicycle':
    case 'scooter':
    case 'board':
      return `M${-x * 0.5} ${-y}H${x * 0.5}L${x} ${y * 0.3}L0 ${y}L${-x} ${y * 0.3}Z`;
    case 'car':
    case 'lorry':
      return [
        `M${-x} ${-y}H${x}V${y * 0.72}L${x * 0.7} ${y}H${-x * 0.7}L${-x} ${y * 0.72}Z`,
        `M${-x * 0.8} ${y * 0.3}H${x * 0.8}`,
      ].join('');
    case 'boat':
      return `M${-x} ${-y}H${x}V${y * 0.2}Q${x * 0.8} ${y * 0.8} 0 ${y}Q${-x * 0.8} ${y * 0.8} ${-x} ${y * 0.2}Z`;
    case 'chair':
      return `M${-x} ${-y}H${x}V${y}H${-x}ZM${-x} ${-y * 0.7}H${x}`;
    case 'turntable':
      return `${oval(x, y)}M0 ${y * 0.4}V${y}`;
    case 'hedge': {
      const r = Math.min(x, y) * 0.8;
      return [
        `M${-x + r} ${-y}H${x - r}Q${x} ${-y} ${x} ${-y + r}V${y - r}Q${x} ${y} ${x - r} ${y}`,
        `H${-x + r}Q${-x} ${y} ${-x} ${y - r}V${-y + r}Q${-x} ${-y} ${-x + r} ${-y}Z`,
      ].join('');
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
    figure: 9,
    dog: 8,
    car: 6,
    lorry: 6,
    motorbike: 6,
    bicycle: 6,
    scooter: 6,
    board: 4,
    boat: 5,
    table: 4,
    chair: 5,
    plinth: 4,
    turntable: 7,
    bottle: 8,
    tin: 8,
    watch: 8,
    lamp: 8,
    model: 6,
  };
  return [...pieces].sort((a, b) => rank[a.kind] - rank[b.kind] || a.zM - b.zM);
};

const oval = (x: number, y: number) => `M${-x} 0a${x} ${y} 0 1 0 ${2 * x} 0a${x} ${y} 0 1 0 ${-2 * x} 0Z`;
