import type { Material } from 'three';
import type { PieceKind } from '@gentle-arc/core/model';
import { quickGround, quickMaterialOf } from './quick-look';
import { groundMaterial, hurriedGround, materialOf } from './scene-look';

/** What a thing is drawn with: as it should be, in a hurry, and in a hurry where sun and sky are all the light. */
export interface Looks {
  fine: Material;
  hurried: Material;
  quick: Material;
}

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
    quick: quickMaterialOf(kind, isSubject),
  };
  known.set(fine, looks);
  return looks;
}

export const GROUND_LOOKS: Looks = { fine: groundMaterial, hurried: hurriedGround, quick: quickGround };
