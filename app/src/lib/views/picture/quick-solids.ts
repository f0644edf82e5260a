import { BufferAttribute, BufferGeometry, Color, type PerspectiveCamera, type Sphere } from 'three';
import type { Piece } from '@gentle-arc/core/model';
import type { Going } from '@gentle-arc/core/site';
import { Once } from './once';
import { placeOnSite } from './placed-solids';
import { geometryOf, paintOf } from './scene-look';
import { isSkinTone, SKIN_COLOUR } from './surfaces';

/** What is drawn of something in a hurry: its solid with its paint on its corners, finely, and coarsely from afar. */
export interface QuickSolid {
  fine: BufferGeometry;
  coarse: BufferGeometry;
}

/** Its tones become colours: those of faces and hands, and those of the paint. */
function paintedQuickly(solid: BufferGeometry, piece: Piece, isSubject: boolean): BufferGeometry {
  const tones = solid.getAttribute('color');
  const { r, g, b } = new Color(paintOf(piece.kind, isSubject).colour);
  const skin = piece.kind === 'figure' ? isSkinTone : () => false;
  const colours = new Float32Array(3 * tones.count);
  for (let i = 0; i < tones.count; i += 1) {
    const tone = tones.getX(i);
    colours.set(skin(tone) ? SKIN_COLOUR : [tone * r, tone * g, tone * b], 3 * i);
  }
  const made = new BufferGeometry();
  made.setAttribute('position', solid.getAttribute('position'));
  made.setAttribute('normal', solid.getAttribute('normal'));
  made.setAttribute('color', new BufferAttribute(colours, 3));
  made.boundingSphere = solid.boundingSphere;
  return made;
}

const still = new Once<Piece, QuickSolid>();
const caught = new Once<BufferGeometry, BufferGeometry>();

/** Of what stands still, where it stands on the site. */
export const standingQuickly = (piece: Piece, isSubject: boolean): QuickSolid =>
  still.get(piece, isSubject, () => {
    const placed = placeOnSite(piece);
    const made = (coarse: boolean) =>
      paintedQuickly(geometryOf(piece, undefined, coarse), piece, isSubject)
        .clone()
        .applyMatrix4(placed);
    return { fine: made(false), coarse: made(true) };
  });

/** Of who goes, as caught in a step or a turn of wheels, about its own middle. */
export function goingQuickly(
  piece: Piece,
  isSubject: boolean,
  going: Going | undefined,
  coarse: boolean,
): BufferGeometry {
  const solid = geometryOf(piece, going, coarse);
  return caught.get(solid, isSubject, () => paintedQuickly(solid, piece, isSubject));
}

/** A solid is drawn finely where the ball about it is wider than so many pixels of the picture, from middle to rim. */
const FINE_FROM_PX = 180;

/** How many pixels a metre at one metre is in a picture of so many pixels' height. */
export const pixelsOfMetre = ({ projectionMatrix }: PerspectiveCamera, heightPx: number): number =>
  (heightPx / 2) * projectionMatrix.elements[5];

/** Whether a ball of such a radius, so far away, is so small in the picture that a coarse solid is enough. */
export const isSmall = (radiusM: number, awayM: number, pixels: number): boolean =>
  radiusM * pixels < FINE_FROM_PX * awayM;

/** The ball about a solid. */
export function ballOf(solid: BufferGeometry): Sphere {
  if (!solid.boundingSphere) solid.computeBoundingSphere();
  return solid.boundingSphere as Sphere;
}
