import type { Setup } from '../model/shoot';
import type { Samples } from '../motion/sample';
import { placeOverTime } from '../motion/walk';
import { distanceToPieceM } from '../site/distance';

/** How near the camera comes to somebody: when, how near, and how fast the two were closing before that. */
export interface Approach {
  pieceId: string;
  name: string;
  /** Seconds on screen. */
  tS: number;
  distanceM: number;
  /** Fastest closing in the two seconds of action before; 0 when they only draw apart. */
  closingMps: number;
}

const BEFORE_S = 2;

/** The closest approach to the subject and to everybody who walks, nearest first. */
export function approachesOf({ pieces, shot, subject }: Setup, samples: Samples): Approach[] {
  const spot = new Float64Array(3);
  return pieces
    .filter((piece) => piece.kind === 'figure' && (piece.id === subject?.id || shot.walks.some((walk) => walk.pieceId === piece.id)))
    .map((piece) => {
      const walk = placeOverTime(shot.walks, piece.id, piece);
      const distances = Float64Array.from({ length: samples.count }, (_, row) => {
        walk(samples.tS[row], spot);
        return Math.max(0, distanceToPieceM(piece, { xM: spot[0], yM: spot[1], zM: spot[2] }, samples.xM[row], samples.yM[row], samples.zM[row], samples.zM[row]));
      });
      let closest = 0;
      for (let row = 1; row < samples.count; row += 1) if (distances[row] < distances[closest] - 1e-9) closest = row;
      let closingMps = 0;
      for (let row = Math.max(1, closest - Math.round(BEFORE_S * samples.captureRateHz)); row <= closest; row += 1)
        closingMps = Math.max(closingMps, (distances[row - 1] - distances[row]) * samples.captureRateHz);
      return { pieceId: piece.id, name: piece.name, tS: samples.screenS[closest], distanceM: distances[closest], closingMps };
    })
    .sort((a, b) => a.distanceM - b.distanceM);
}
