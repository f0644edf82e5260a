import { drawnWalk, newPiece, type Piece, type PieceKind, type Shoot, type Shot } from '../src/model';
import { filmed } from '../src/testing/filmed';
import { AROUND } from '../src/testing/shoots';

const KINDS: PieceKind[] = ['post', 'tree', 'box', 'hedge', 'wall', 'slab', 'ridge', 'post', 'tree', 'box'];
const WALKERS = 3;

/**
 * A busy site for benchmarks: so many pieces in rings about the subject, so many of them figures, some of whom walk;
 * filmed by half an orbit.
 */
export function busyShoot(
  pieces: number,
  figures: number,
  durationS: number,
  rateHz: number,
): { shoot: Shoot; shot: Shot } {
  const site = Array.from({ length: pieces }, (_, i): Piece => {
    const kind = i < figures ? 'figure' : KINDS[i % KINDS.length];
    const [angle, radius] = i === 0 ? [0, 0] : [i * 2.399, 2.2 + 1.9 * Math.sqrt(i)];
    const placed = newPiece(kind, `p${i}`, `${kind} ${i}`, radius * Math.sin(angle), radius * Math.cos(angle), 0);
    return { ...placed, headingDeg: (i * 47) % 360, lengthM: Math.min(placed.lengthM, 4) };
  });
  const walks = site.slice(1, 1 + Math.min(WALKERS, figures - 1)).map(({ id, xM, yM }) =>
    drawnWalk(id, [
      { tS: 0, xM, yM, zM: 0 },
      { tS: durationS, xM: xM + 3, yM: yM + 2, zM: 0 },
    ]),
  );
  const timing = {
    durationS,
    holdStartS: 0.5,
    featherInS: 2,
    featherOutS: 2,
    holdEndS: 0.5,
    featherShape: 'minimumJerk' as const,
  };
  const { shoot } = filmed(
    { kind: 'arc', ...AROUND, heightM: 1.6, radiusM: 6, startBearingDeg: 90, sweepDeg: 150 },
    { timing, walks, rigId: 'rig-drone', stick: 'fast', captureRateHz: rateHz, frameRateHz: rateHz },
    false,
    site,
  );
  return { shoot, shot: shoot.shots[0] };
}
