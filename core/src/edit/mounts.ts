import type { MoveOf, Piece } from '../model';
import { partOf } from '../site';

/** Where a camera is usually fixed to a thing, and which way it looks from there. Common practice, no published source. */
export interface Mount {
  id: string;
  name: string;
  alongM: number;
  sideM: number;
  heightM: number;
  panDeg: number;
  tiltDeg: number;
}

/** How far before a part a camera sits that is strapped to it, m. */
const BEFORE_M = 0.14;
const ARM_M = 0.6;
const LOOKS_BACK_DEG = 180;

const cm = (m: number) => Math.round(m * 100) / 100;

/** The usual places on a thing: helmet, chest, belt and hand of a figure; bar, bonnet and the like of what drives. */
export function mountsOn(piece: Piece): Mount[] {
  const at = (partId: string) => partOf(piece, partId);
  const mount = (
    id: string,
    name: string,
    alongM: number,
    heightM: number,
    panDeg: number,
    tiltDeg: number,
  ): Mount => ({
    id,
    name,
    alongM: cm(alongM),
    sideM: 0,
    heightM: cm(heightM),
    panDeg,
    tiltDeg,
  });
  const { lengthM, heightM } = piece;
  switch (piece.kind) {
    case 'figure': {
      const [face, chest, waist] = [at('face'), at('chest'), at('waist')];
      return [
        mount('helmet', 'on the helmet', face.alongM + BEFORE_M, face.upM + face.heightM / 2, 0, -5),
        mount('chest', 'on the chest', chest.alongM + BEFORE_M, chest.upM, 0, 0),
        mount('belt', 'at the belt', waist.alongM + BEFORE_M, waist.upM, 0, 5),
        mount('strap', 'on a bag strap', chest.alongM + BEFORE_M * 0.8, chest.upM + 0.1, 0, 0),
        mount('hand', 'in the hand, filming itself', face.alongM + ARM_M, face.upM, LOOKS_BACK_DEG, 0),
      ];
    }
    case 'motorbike':
    case 'bicycle':
    case 'scooter': {
      const bar = at('bar');
      return [
        mount('ahead', 'on the bar, looking ahead', bar.alongM + 0.1, bar.upM + 0.08, 0, -5),
        mount('back', 'before the bar, looking back', bar.alongM + 0.6, bar.upM + 0.2, LOOKS_BACK_DEG, 5),
      ];
    }
    case 'car':
    case 'lorry':
      return [
        mount('bonnet', 'on the bonnet, looking ahead', lengthM * 0.3, heightM * 0.72, 0, -3),
        mount('driver', 'on the bonnet, looking in', lengthM * 0.36, heightM * 0.78, LOOKS_BACK_DEG, 0),
        mount('side', 'beside it, looking along', lengthM * 0.1, heightM * 0.5, 0, 0),
        mount('inside', 'inside, looking ahead', -lengthM * 0.02, heightM * 0.8, 0, 0),
      ];
    default:
      return [
        mount('front', 'in front, looking ahead', lengthM / 2 + 0.05, heightM, 0, 0),
        mount('back', 'in front, looking back', lengthM / 2 + ARM_M, heightM + 0.3, LOOKS_BACK_DEG, -5),
      ];
  }
}

/** A carried move with its camera at one of the usual places. */
export const mountedAt = (move: MoveOf<'carried'>, { alongM, sideM, heightM, panDeg, tiltDeg }: Mount) => ({
  ...move,
  alongM,
  sideM,
  heightM,
  panDeg,
  tiltDeg,
});

/** Which of the usual places a carried camera is at; null: at one of its own. */
export const mountOf = (move: MoveOf<'carried'>, piece: Piece): Mount | null =>
  mountsOn(piece).find(
    ({ alongM, sideM, heightM, panDeg, tiltDeg }) =>
      move.alongM === alongM &&
      move.sideM === sideM &&
      move.heightM === heightM &&
      move.panDeg === panDeg &&
      move.tiltDeg === tiltDeg,
  ) ?? null;
