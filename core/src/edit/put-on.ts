import type { Piece, Shoot } from '../model';
import { seatFor, toSite } from '../site';
import { onSite, upSite } from './on-site';
import { changePiece } from './pieces';

/**
 * Puts a piece on another one, in every shot: in its seat or on its top, turned as that is, a figure in the pose that
 * goes with it; null takes it down to the ground beside.
 */
export function putOn(shoot: Shoot, pieceId: string, carrierId: string | null): Shoot {
  const carrier = shoot.site.pieces.find(({ id }) => id === carrierId);
  const rider = shoot.site.pieces.find(({ id }) => id === pieceId);
  if (!rider) return shoot;
  if (!carrier) return takenDown(shoot, rider);
  const { acrossM, alongM, upM, pose } = seatFor(carrier, rider);
  const { xM, yM } = toSite(carrier, alongM, acrossM);
  const place = { xM: onSite(xM), yM: onSite(yM), zM: upSite(carrier.zM + upM) };
  return changePiece(shoot, pieceId, (piece) => ({
    ...piece,
    ...place,
    on: carrier.id,
    // Who sits or rides looks where that goes; what is put down keeps its own front.
    ...(piece.kind === 'figure' ? { pose, headingDeg: carrier.headingDeg } : {}),
  }));
}

function takenDown(shoot: Shoot, rider: Piece): Shoot {
  const carrier = shoot.site.pieces.find(({ id }) => id === rider.on);
  if (!carrier) return shoot;
  const { xM, yM } = toSite(carrier, 0, carrier.depthM / 2 + rider.depthM);
  return changePiece(shoot, rider.id, (piece) => ({
    ...piece,
    xM: onSite(xM),
    yM: onSite(yM),
    zM: carrier.zM,
    on: null,
    ...(piece.kind === 'figure' ? { pose: 'stand' as const } : {}),
  }));
}
