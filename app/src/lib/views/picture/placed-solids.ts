import { type BufferGeometry, Matrix4 } from 'three';
import type { Piece } from '@gentle-arc/core/model';
import { geometryOf, paintOf } from './scene-look';
import { painted } from './simple-look';

const RAD = Math.PI / 180;

/**
 * Pieces that stand still as solids where they stand, painted for the simple look: kept as long as their piece is, for
 * most shots of a shoot have most of their pieces in common.
 */
export class PlacedSolids {
  private readonly kept = new WeakMap<Piece, Map<boolean, BufferGeometry>>();

  constructor(private readonly simple: boolean) {}

  of(piece: Piece, isSubject: boolean): BufferGeometry {
    const looks = this.kept.get(piece) ?? new Map<boolean, BufferGeometry>();
    this.kept.set(piece, looks);
    // Only paint tells the subject from the rest.
    const look = this.simple && isSubject;
    const known = looks.get(look);
    if (known) return known;
    const placed = new Matrix4().makeRotationZ(-piece.headingDeg * RAD).setPosition(piece.xM, piece.yM, piece.zM);
    const solid = geometryOf(piece).clone().applyMatrix4(placed);
    const made = this.simple ? painted(solid, paintOf(piece.kind, isSubject)) : solid;
    looks.set(look, made);
    return made;
  }
}
