import type { Piece } from '../model';
import { stepsOf } from './ground';
import { panesOf, wallParts } from './wall-parts';

/** Plans of buildings are cut at this height above the floor, m. */
const CUT_M = 1.2;

/** A piece as an SVG path in metres of its own frame (y along its heading; flip when drawing). */
export function outline(piece: Piece): string {
  const x = piece.depthM / 2;
  const y = piece.lengthM / 2;
  switch (piece.kind) {
    case 'post':
    case 'tree':
    case 'bush':
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
      // Cut through at a metre and a bit, as plans of buildings are (ISO 128, from memory): doors and windows
      // are open, glass is two lines.
      const cutM = Math.min(piece.heightM * 0.6, CUT_M);
      const solid = wallParts(piece).filter(({ bottom, top }) => bottom <= cutM && top > cutM);
      const glass = panesOf(piece)
        .filter(({ bottom, top }) => bottom <= cutM && top > cutM)
        .map(({ from, to }) => `M${-0.3 * x} ${from}V${to}M${0.3 * x} ${from}V${to}`);
      const sills = `M${-x} ${-y}H${x}V${y}H${-x}Z`;
      return solid.length === 1 && solid[0].from === -y && solid[0].to === y
        ? sills
        : [
            ...solid.map(({ from, to }) => `M${-x} ${from}H${x}V${to}H${-x}Z`),
            ...wallParts(piece)
              .filter(({ bottom, top }) => bottom === 0 && top <= cutM)
              .map(({ from, to }) => `M0 ${from}V${to}`),
            ...glass,
          ].join('') || `M0 ${-y}V${y}`;
    }
    case 'stair': {
      const steps = stepsOf(piece);
      const treads = Array.from({ length: steps - 1 }, (_, k) => -y + (2 * y * (k + 1)) / steps);
      return `M${-x} ${-y}H${x}V${y}H${-x}Z${treads.map((at) => `M${-x} ${at}H${x}`).join('')}M0 ${-y}V${y * 0.9}`;
    }
    case 'fence':
      return `M${-x} ${-y}H${x}V${y}H${-x}ZM${-x * 3} ${-y}H${x * 3}M${-x * 3} ${y}H${x * 3}`;
    case 'road':
      return `M${-x} ${-y}H${x}V${y}H${-x}ZM0 ${-y}V${y}`;
    case 'water':
      return `M${-x} ${-y}H${x}V${y}H${-x}Z${[-0.5, 0, 0.5]
        .map((at) => `M${-x * 0.5} ${at * y}q${x * 0.25} ${y * 0.08} ${x * 0.5} 0t${x * 0.5} 0`)
        .join('')}`;
    case 'rock':
      return `M${-x * 0.7} ${-y * 0.8}L${x * 0.4} ${-y}L${x} ${-y * 0.2}L${x * 0.7} ${y * 0.8}L${-x * 0.2} ${y}L${-x} ${y * 0.3}Z`;
    case 'platform':
      return `M${-x} ${-y}H${x}V${y}H${-x}ZM${-x} ${-y}L${x} ${y}M${x} ${-y}L${-x} ${y}`;
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
    terrain: 0,
    ridge: 0,
    water: 0.5,
    road: 0.6,
    slab: 1,
    platform: 2,
    stair: 2,
    fence: 4,
    rock: 4,
    bush: 5,
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
