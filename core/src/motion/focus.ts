import { eased, partFootOf, type Scene } from '../scene';
import { partOf } from '../site';
import { type Focus, type FocusTarget, WHOLE } from '../model';
import type { ShotMotion } from './legs';

/** Nothing focuses nearer than this, m. */
const LEAST_FOCUS_M = 0.02;

/** Where the focus is, row after row, metres along the line to the thing. */
export type FocusAt = (tS: number, place: Float64Array, subjectDistanceM: number) => number;

/**
 * Focus follows the subject, stays at the shot's fixed distance, or goes by the shot's racks; a leg that racks goes
 * evenly in dioptres (as a focus ring nearly does) from one piece to another. Legs pass the focus on softly.
 */
export function focusOf(scene: Scene, motion: ShotMotion): FocusAt {
  const distanceTo = (pieceId: string | null, partId = WHOLE) => {
    const thing = scene.things.find(({ piece }) => piece.id === pieceId);
    if (!thing) return null;
    const part = partOf(thing.piece, partId);
    const footAt = partFootOf(thing, part);
    const at = new Float64Array(3);
    return (tS: number, place: Float64Array) => {
      footAt(tS, at);
      return Math.max(
        LEAST_FOCUS_M,
        Math.hypot(at[0] - place[0], at[1] - place[1], at[2] + part.heightM / 2 - place[2]),
      );
    };
  };
  const racks = motion.legs.map(({ recipe, move }) => {
    const rule = recipe.focus?.(move);
    return rule ? { from: distanceTo(rule.fromPieceId), to: distanceTo(rule.toPieceId) } : null;
  });
  const plain = planned(scene.shot.focus, distanceTo);
  if (racks.every((rack) => rack === null)) return plain;
  const legDioptres = (k: number, tS: number, place: Float64Array, subjectDistanceM: number): number => {
    const rack = racks[k];
    if (!rack) return 1 / Math.max(LEAST_FOCUS_M, plain(tS, place, subjectDistanceM));
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

/**
 * The shot's own plan for the focus. Racks are feathered, and go evenly in dioptres between where both ends are at the
 * moment.
 */
function planned(
  focus: Focus,
  distanceTo: (pieceId: string, part: string) => ((tS: number, place: Float64Array) => number) | null,
): FocusAt {
  if (focus.mode === 'follow') return (_tS, _place, subjectDistanceM) => subjectDistanceM;
  if (focus.mode === 'fixed') return () => focus.distanceM;
  const dioptresOf = (target: FocusTarget): FocusAt => {
    if (target.on === 'distance') return () => 1 / target.distanceM;
    const piece = target.on === 'piece' ? distanceTo(target.pieceId, target.part) : null;
    return (tS, place, subjectDistanceM) => 1 / (piece?.(tS, place) ?? Math.max(LEAST_FOCUS_M, subjectDistanceM));
  };
  const first = dioptresOf(focus.from);
  const racks = focus.racks.map(({ atS, overS, to }) => ({ atS, overS, to: dioptresOf(to) }));
  return (tS, place, subjectDistanceM) => {
    let dioptres = first(tS, place, subjectDistanceM);
    for (const { atS, overS, to } of racks) {
      if (tS <= atS) break;
      dioptres +=
        (to(tS, place, subjectDistanceM) - dioptres) * eased(overS === 0 ? 1 : Math.min(1, (tS - atS) / overS));
    }
    return 1 / dioptres;
  };
}
