import type { Piece } from '../model';
import { drawFigure } from './figure-solid';
import { MeshBuilder, ring, type Point, type Solid } from './mesh-builder';
import { modelSolid } from './model-solid';
import { PRODUCT_SOLIDS } from './product-solids';
import type { Step } from './skeleton';
import { PLACE_SOLIDS, terrainSolid } from './place-solids';
import { VEHICLE_SOLIDS } from './vehicle-solids';
import { wallParts } from './wall-parts';

/** How a thing that goes is caught in a moment: somebody's step, or how far wheels have turned. */
export interface Going {
  step: Step;
  /** Turns of its wheels. */
  turned: number;
}

/**
 * The solid of a piece. Every kind fills its bounding size exactly, standing on z = 0; of who goes feet and hands may
 * reach out of it. `coarse`: as is enough from afar, where what is round may fall short of its size.
 */
export function solidOf(piece: Piece, going?: Going, coarse = false): Solid {
  const build = new MeshBuilder(coarse);
  const [x, y, h] = [piece.depthM / 2, piece.lengthM / 2, piece.heightM];
  const box = { x, y, h, turned: going?.turned ?? 0 };
  switch (piece.kind) {
    case 'box':
    case 'slab':
      build.box(-x, x, -y, y, 0, h);
      break;
    case 'hedge':
      hedge(build, x, y, h);
      break;
    case 'post':
      build.turned([ring(0, x, y), ring(h, x, y)], 10);
      break;
    case 'wall':
      for (const { from, to, bottom, top } of wallParts(piece)) build.box(-x, x, from, to, bottom, top);
      break;
    case 'ridge':
      build.face([-x, -y, 0], [-x, y, 0], [x, y, 0], [x, -y, 0]);
      build.face([x, -y, 0], [x, y, 0], [0, y, h], [0, -y, h]);
      build.face([-x, y, 0], [-x, -y, 0], [0, -y, h], [0, y, h]);
      build.face([-x, -y, 0], [x, -y, 0], [0, -y, h]);
      build.face([x, y, 0], [-x, y, 0], [0, y, h]);
      break;
    case 'tree':
      build.turned([ring(0, x * 0.09, y * 0.09), ring(h * 0.5, x * 0.06, y * 0.06)], 7);
      build.turned(
        [
          ring(h * 0.34, 0, 0),
          ring(h * 0.46, x * 0.78, y * 0.78),
          ring(h * 0.62, x, y),
          ring(h * 0.84, x * 0.7, y * 0.7),
          ring(h, 0, 0),
        ],
        9,
      );
      break;
    case 'figure':
      drawFigure(build, piece, going?.step);
      if (!going) build.standing(h);
      break;
    case 'car':
    case 'lorry':
    case 'motorbike':
    case 'bicycle':
    case 'scooter':
    case 'board':
    case 'boat':
    case 'dog':
      VEHICLE_SOLIDS[piece.kind](build, box);
      if (!going) build.standing(h);
      break;
    case 'model':
      return modelSolid(piece);
    case 'terrain':
      terrainSolid(build, piece);
      break;
    case 'stair':
    case 'fence':
    case 'water':
    case 'road':
    case 'rock':
    case 'bush':
    case 'platform':
      PLACE_SOLIDS[piece.kind](build, box);
      break;
    default:
      PRODUCT_SOLIDS[piece.kind](build, box);
      build.standing(h);
  }
  return build.done();
}

/** Clipped like tea: a flat-topped loaf with sloped shoulders. */
function hedge(build: MeshBuilder, x: number, y: number, h: number): void {
  const inset = Math.min(x, y) * 0.35;
  const waist = h * 0.6;
  const low: Point[] = [
    [-x, -y, waist],
    [x, -y, waist],
    [x, y, waist],
    [-x, y, waist],
  ];
  const top: Point[] = [
    [-x + inset, -y + inset, h],
    [x - inset, -y + inset, h],
    [x - inset, y - inset, h],
    [-x + inset, y - inset, h],
  ];
  const foot = low.map(([across, along]): Point => [across, along, 0]);
  for (let i = 0; i < 4; i += 1) {
    build.face(foot[i], foot[(i + 1) % 4], low[(i + 1) % 4], low[i]);
    build.face(low[i], low[(i + 1) % 4], top[(i + 1) % 4], top[i]);
  }
  build.face(foot[3], foot[2], foot[1], foot[0]);
  build.face(...top);
}
