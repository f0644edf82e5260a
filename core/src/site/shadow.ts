import { PIECE_KINDS, type Piece } from '../model';
import { outlineOf, type Spot } from './outline';

const RAD = Math.PI / 180;
/** Longer than this a shadow is lost in the haze, m. */
const LONGEST_M = 200;
const ROUND_SIDES = 16;

/**
 * The shadow of a piece on level ground at its base, as an outline in site metres: what its foot and its top cover,
 * drawn together. Null where the sun is down. `headingDeg` and place: as it stands.
 */
export function shadowOf(
  piece: Pick<Piece, 'kind' | 'lengthM' | 'depthM' | 'heightM' | 'xM' | 'yM' | 'headingDeg'>,
  sun: { altitudeDeg: number; azimuthDeg: number },
): Spot[] | null {
  if (sun.altitudeDeg <= 0.5) return null;
  const [x, y] = [piece.depthM / 2, piece.lengthM / 2];
  const foot: Spot[] = PIECE_KINDS[piece.kind].round
    ? Array.from({ length: ROUND_SIDES }, (_, k) => {
        const angle = (k / ROUND_SIDES) * 2 * Math.PI;
        return [x * Math.cos(angle), y * Math.sin(angle)];
      })
    : [
        [-x, -y],
        [x, -y],
        [x, y],
        [-x, y],
      ];
  const [sin, cos] = [Math.sin(piece.headingDeg * RAD), Math.cos(piece.headingDeg * RAD)];
  const onSite = foot.map(([across, along]): Spot => [
    piece.xM + across * cos + along * sin,
    piece.yM - across * sin + along * cos,
  ]);
  const lengthM = Math.min(LONGEST_M, piece.heightM / Math.tan(sun.altitudeDeg * RAD));
  const [east, north] = [-lengthM * Math.sin(sun.azimuthDeg * RAD), -lengthM * Math.cos(sun.azimuthDeg * RAD)];
  return outlineOf([...onSite, ...onSite.map(([px, py]): Spot => [px + east, py + north])]);
}
