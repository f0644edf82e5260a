import type { Material } from 'three';
import type { PieceKind } from '@gentle-arc/core/model';
import { groundMaterial, hurriedGround, materialOf } from './scene-look';
import { simpleMaterial } from './simple-look';

/**
 * How much time there is: to draw things as they should be, to hurry, or to hurry where sun and sky are all the light,
 * when everything is drawn with one material.
 */
export type Pace = 'fine' | 'hurried' | 'quick';

/** What a thing is drawn with. */
export type Looks = Record<Exclude<Pace, 'quick'>, Material>;

/** What a hurried frame has to show all the same: tones of depth or sharpness, blur laid together from many looks. */
export interface Haste {
  toned: boolean;
  blurred: boolean;
}

const known = new Map<Material, Looks>();

/** The looks of a piece: one object for all that look alike. */
export function looksOf(kind: PieceKind, isSubject: boolean): Looks {
  const fine = materialOf(kind, isSubject);
  const looks = known.get(fine) ?? {
    fine,
    hurried: materialOf(kind, isSubject, true),
  };
  known.set(fine, looks);
  return looks;
}

export const GROUND_LOOKS: Looks = { fine: groundMaterial, hurried: hurriedGround };

const plain = simpleMaterial('plain');
/** The simple look is the same whether there is time or not. */
export const SIMPLE: Looks = { fine: plain, hurried: plain };
