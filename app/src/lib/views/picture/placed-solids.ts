import { type BufferGeometry, Matrix4 } from 'three';
import type { Piece } from '@gentle-arc/core/model';
import type { Going } from '@gentle-arc/core/site';
import { Once } from './once';
import { geometryOf, paintOf } from './scene-look';
import { painted } from './simple-look';

const RAD = Math.PI / 180;

/** From a piece's own frame to the site's. */
export const placeOnSite = ({ headingDeg, xM, yM, zM }: Piece): Matrix4 =>
  new Matrix4().makeRotationZ(-headingDeg * RAD).setPosition(xM, yM, zM);

/**
 * Pieces as solids, painted for the simple look: kept as long as their piece is, for most shots of a shoot have most of
 * their pieces in common.
 */
export class PlacedSolids {
  private readonly standing = new Once<Piece, BufferGeometry>();
  private readonly going = new Once<BufferGeometry, BufferGeometry>();

  constructor(private readonly simple: boolean) {}

  /** What stands still, where it stands. */
  of(piece: Piece, isSubject: boolean): BufferGeometry {
    // Only paint tells the subject from the rest.
    return this.standing.get(piece, this.simple && isSubject, () => {
      const solid = geometryOf(piece).clone().applyMatrix4(placeOnSite(piece));
      return this.simple ? painted(solid, paintOf(piece.kind, isSubject)) : solid;
    });
  }

  /** Who goes, as caught in a step or a turn of wheels, about its own middle. */
  caught(piece: Piece, isSubject: boolean, going?: Going): BufferGeometry {
    const solid = geometryOf(piece, going);
    return this.simple ? this.going.get(solid, isSubject, () => painted(solid, paintOf(piece.kind, isSubject))) : solid;
  }
}
