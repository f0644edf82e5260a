import type { Setup } from '../model/shoot';
import type { ShotMotion } from './legs';
import { eased } from './feather';
import { placeOverTime } from './walk';

/** Nothing focuses nearer than this, m. */
const LEAST_FOCUS_M = 0.02;

/** Where the focus is, row after row, metres along the line to the thing. */
export type FocusAt = (tS: number, place: Float64Array, subjectDistanceM: number) => number;

/** Focus follows the subject, or stays at the shot's fixed distance; a leg that racks goes evenly in dioptres (as a focus ring nearly does) from one piece to another. Legs pass the focus on softly. */
export function focusOf(setup: Setup, motion: ShotMotion): FocusAt {
  const distanceTo = (pieceId: string | null) => {
    const piece = setup.pieces.find((row) => row.id === pieceId);
    if (!piece) return null;
    const walk = placeOverTime(setup.shot.walks, piece.id, piece);
    const at = new Float64Array(3);
    return (tS: number, place: Float64Array) => {
      walk(tS, at);
      return Math.max(LEAST_FOCUS_M, Math.hypot(at[0] - place[0], at[1] - place[1], at[2] + piece.heightM / 2 - place[2]));
    };
  };
  const racks = motion.legs.map(({ recipe, move }) => {
    const rule = recipe.focus?.(move);
    return rule ? { from: distanceTo(rule.fromPieceId), to: distanceTo(rule.toPieceId) } : null;
  });
  const { focus } = setup.shot;
  const plain = (subjectDistanceM: number) => (focus.mode === 'fixed' ? focus.distanceM : subjectDistanceM);
  if (racks.every((rack) => rack === null)) return (_tS, _place, subjectDistanceM) => plain(subjectDistanceM);
  const legDioptres = (k: number, tS: number, place: Float64Array, subjectDistanceM: number): number => {
    const rack = racks[k];
    if (!rack) return 1 / Math.max(LEAST_FOCUS_M, plain(subjectDistanceM));
    const from = 1 / (rack.from?.(tS, place) ?? Math.max(LEAST_FOCUS_M, subjectDistanceM));
    const to = 1 / (rack.to?.(tS, place) ?? Math.max(LEAST_FOCUS_M, subjectDistanceM));
    return from + (to - from) * motion.legs[k].shareAt(tS);
  };
  return (tS, place, subjectDistanceM) => {
    let dioptres = legDioptres(0, tS, place, subjectDistanceM);
    for (let k = 1; k < racks.length; k += 1) {
      const { fromS, lookFromS } = motion.legs[k];
      if (tS <= fromS) break;
      dioptres += (legDioptres(k, tS, place, subjectDistanceM) - dioptres) * eased((tS - fromS) / (lookFromS - fromS));
    }
    return 1 / dioptres;
  };
}
