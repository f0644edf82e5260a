import type { PieceLayer } from '../model';
import type { Scene } from '../scene';
import type { ShotMotion } from '../motion';
import { sitePoints, type Lattice } from '../site';
import { stillPieces, type StillPoints } from './seen-surface';

const FINE_PER_SIDE = 17;
const COARSE_PER_SIDE = 15;

/**
 * How far the camera is from the pivot on the ground, on average over start, middle and end; metres, at least half a
 * metre.
 */
function reachM({ placeAt, pivot, startS, endS }: ShotMotion): number {
  const place = new Float64Array(3);
  let distanceM = 0;
  for (const share of [0, 0.5, 1]) {
    placeAt(startS + share * (endS - startS), place);
    distanceM += Math.hypot(place[0] - pivot.xM, place[1] - pivot.yM, share === 0 ? 0 : place[2] - pivot.zM) / 3;
  }
  return Math.max(distanceM, 0.5);
}

/**
 * Outline points of the site that stay still in this shot, with the ground, for drawing what the eye follows:
 * everything in proportion to the camera's distance, a fine ground lattice about the pivot that reaches past the camera
 * and a coarse one far around it.
 */
export function stillPoints(scene: Scene, motion: ShotMotion): StillPoints {
  const reach = reachM(motion);
  const { xM, yM } = motion.pivot;
  const lattices: Lattice[] = [
    { xM, yM, spacingM: reach / 7, perSide: FINE_PER_SIDE },
    { xM, yM, spacingM: reach, perSide: COARSE_PER_SIDE },
  ];
  const still = new Set(stillPieces(scene).map(({ id }) => id));
  const focus = { xM, yM, spacingM: reach / 6 };
  const ofLayer = (layer: PieceLayer, ground: Lattice[]) =>
    sitePoints(
      scene.pieces,
      focus,
      ground,
      new Set(scene.pieces.filter((piece) => piece.layer !== layer || !still.has(piece.id)).map(({ id }) => id)),
    );
  return { auto: ofLayer('auto', lattices), near: ofLayer('near', []), far: ofLayer('far', []) };
}
