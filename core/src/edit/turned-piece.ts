import type { Shoot } from '../model';
import { onSite } from './on-site';
import { withRiders } from './pieces';

/** A piece turned about a point of the site, degrees clockwise, and what stands on it along with it. */
export function turnedPiece(shoot: Shoot, id: string, about: { xM: number; yM: number }, byDeg: number): Shoot {
  const piece = shoot.site.pieces.find((row) => row.id === id);
  if (!piece || byDeg === 0) return shoot;
  const turn = (byDeg * Math.PI) / 180;
  const [dx, dy] = [piece.xM - about.xM, piece.yM - about.yM];
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  return withRiders(shoot, piece, {
    ...piece,
    xM: onSite(about.xM + dx * cos + dy * sin),
    yM: onSite(about.yM + dy * cos - dx * sin),
    headingDeg: (((piece.headingDeg + byDeg) % 360) + 360) % 360,
  });
}
