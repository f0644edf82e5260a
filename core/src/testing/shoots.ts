import { DEFAULT_AIM, newPiece, newShoot, newShot, type Piece, type Shoot, type Shot } from '../model';
import { sceneOf, type Scene } from '../scene';

/** A small made-up shoot for tests: a figure on open ground, a post between it and the camera, a wall behind. */
export function plainShoot(edit: (shot: Shot) => Shot = (shot) => shot, pieces: Piece[] = plainPieces()): Shoot {
  const shoot = newShoot('shoot-test', 'Test', 'shot-1');
  const subject = pieces.find((piece) => piece.kind === 'figure');
  return {
    ...shoot,
    site: { pieces, place: null, underlays: [] },
    shots: [edit(newShot(shoot.kit, 'shot-1', 'One', subject?.id ?? null))],
  };
}

export function plainPieces(): Piece[] {
  return [
    newPiece('figure', 'figure', 'Ansa', 0, 0, 0),
    newPiece('post', 'post', 'Post', -0.4, -2.2, 0),
    { ...newPiece('box', 'back', 'Back', 0, 9, 0), lengthM: 16, headingDeg: 90, heightM: 4 },
  ];
}

export function plainSetup(edit?: (shot: Shot) => Shot, pieces?: Piece[]): Scene {
  const shoot = plainShoot(edit, pieces);
  return sceneOf(shoot, shoot.shots[0]);
}

/** Around the pivot itself, at a height: what every move has. */
export const AROUND = { pivotEastM: 0, pivotNorthM: 0, heightM: 1.2 };

/** What a dolly zoom has besides. */
export const HELD = { zoomBy: 'both', pace: 'travel' } as const;

export const moved =
  (move: Shot['move'], more: Partial<Shot> = {}) =>
  (shot: Shot): Shot => ({
    ...shot,
    ...(more.frameRateHz === undefined ? {} : { captureRateHz: more.frameRateHz }),
    ...more,
    move,
  });

/**
 * A lens of 36 mm before a frame 36 mm wide, on a tripod, that looks where it is put: at a distance the frame is just
 * as wide as the distance.
 */
export const HELD_STILL = {
  lensId: 'lens-fern-2470',
  focalLengthMm: 36,
  aim: { ...DEFAULT_AIM, mode: 'locked' },
} as const;
