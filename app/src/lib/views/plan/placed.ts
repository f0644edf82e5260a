import type { Piece } from '@gentle-arc/core/model';
import type { Scene, Stance, Thing } from '@gentle-arc/core/scene';
import { drawingOrder } from '@gentle-arc/core/site';

export interface Place {
  xM: number;
  yM: number;
  headingDeg: number;
}

/** A piece on the plan, where it is at a moment. */
export interface Placed {
  piece: Piece;
  at: Place;
  isSubject: boolean;
}

const spot = new Float64Array(3);
const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };

/** Where somebody who walks is at a moment of action. */
export function placeOf(thing: Thing, tS: number): Place {
  thing.at(tS, spot);
  thing.stanceAt(tS, stance);
  return { xM: spot[0], yM: spot[1], headingDeg: stance.headingDeg };
}

const same = (a: Place, b: Place) => a === b || (a.xM === b.xM && a.yM === b.yM && a.headingDeg === b.headingDeg);

/**
 * What is seen on the plan at a moment of action, in drawing order, walkers where they are then. What is as it was
 * `before` is the same object, and when all is, the list is: nothing need be drawn anew for it.
 */
export function placedAt(scene: Scene, tS: number, before: readonly Placed[]): readonly Placed[] {
  const walkers = new Map(scene.things.filter(({ walks }) => walks).map((thing) => [thing.piece, thing]));
  const known = new Map(before.map((placed) => [placed.piece, placed]));
  const now = drawingOrder(scene.pieces.filter(({ hidden }) => !hidden)).map((piece): Placed => {
    const walker = walkers.get(piece);
    const at = walker ? placeOf(walker, tS) : piece;
    const isSubject = piece.id === scene.subject?.id;
    const was = known.get(piece);
    return was && was.isSubject === isSubject && same(was.at, at) ? was : { piece, at, isSubject };
  });
  return now.length === before.length && now.every((placed, i) => placed === before[i]) ? before : now;
}
