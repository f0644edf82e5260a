import { PIECE_KINDS, sayLength, type Units } from '../../model';
import type { Film } from '../../motion';
import { distanceToPieceM, groundHeightM, roomM } from '../../site';
import { listed, type Scouted } from './scouted';

/** Room that people want beside a camera or behind it to work: common practice, no published source. */
const WORK_M = 0.8;
/** A camera on a gimbal with whoever carries it: common practice, no published source. */
const BODY_M = 0.5;
const HEAD_M = 1.8;
const LOOKED_AT_M = 60;
const BEARINGS = 72;
/** A circle smaller than this is no shot of a person, m. */
const LEAST_CIRCLE_M = 1;

/** How much room there is behind and beside the camera, and whether it can go once round the subject. */
export function roomHere(film: Film, row: number, units: Units): Scouted[] {
  return [...aroundCamera(film, row, units), ...circle(film, row, units)];
}

function aroundCamera({ scene, samples }: Film, row: number, units: Units): Scouted[] {
  const at = { xM: samples.xM[row], yM: samples.yM[row] };
  const groundM = groundHeightM(scene.ground, at.xM, at.yM);
  // Up in the air nobody stands beside it.
  if (samples.zM[row] - groundM > 2.5) return [];
  const ways = (
    [
      ['behind', 180],
      ['to its left', -90],
      ['to its right', 90],
    ] as const
  ).map(([name, turn]) => ({ name, ...roomM(scene.pieces, at, samples.panDeg[row] + turn, groundM, LOOKED_AT_M) }));
  const closed = ways.filter(({ piece }) => piece !== null);
  const tight = closed.filter((way) => way.roomM < WORK_M);
  if (closed.length === 0)
    return [{ id: 'room', tells: 'good', pieceIds: [], sentence: 'There is open room behind and beside the camera.' }];
  return [
    {
      id: 'room',
      tells: tight.length > 0 ? 'mind' : 'plain',
      pieceIds: closed.flatMap(({ piece }) => (piece ? [piece.id] : [])),
      sentence:
        `Room at the camera: ${closed.map(({ name, piece, roomM: m }) => `${sayLength(m, units)} ${name} to ${piece?.name ?? ''}`).join(', ')}` +
        (tight.length > 0
          ? `. Whoever works there wants ${sayLength(WORK_M, units)}: ${tight.map(({ name }) => name).join(' and ')} it is tight.`
          : '.'),
    },
  ];
}

function circle({ scene, samples }: Film, row: number, units: Units): Scouted[] {
  const { subject } = scene;
  if (!subject) return [];
  const [cx, cy] = [samples.subjectXM[row], samples.subjectYM[row]];
  const radiusM = Math.hypot(samples.xM[row] - cx, samples.yM[row] - cy);
  if (radiusM < 0.5 || radiusM > LOOKED_AT_M) return [];
  const solid = scene.pieces.filter(
    ({ id, on, kind }) => id !== subject.id && on !== subject.id && id !== subject.on && !PIECE_KINDS[kind].ground,
  );
  /** What stands in the way of a camera at a bearing, at a radius. */
  const inTheWay = (bearing: number, r: number) => {
    const [x, y] = [cx + r * Math.sin(bearing), cy + r * Math.cos(bearing)];
    const groundM = groundHeightM(scene.ground, x, y);
    return solid.find((piece) => distanceToPieceM(piece, piece, x, y, groundM + 0.1, groundM + HEAD_M) < BODY_M);
  };
  const bearings = Array.from({ length: BEARINGS }, (_, k) => (k / BEARINGS) * 2 * Math.PI);
  const blocks = bearings.map((bearing) => inTheWay(bearing, radiusM));
  const blocking = [...new Set(blocks.flatMap((piece) => (piece ? [piece] : [])))];
  const about = `${sayLength(radiusM, units)} around ${subject.name}`;
  if (blocking.length === 0)
    return [{ id: 'circle', tells: 'good', pieceIds: [], sentence: `A full circle ${about} is free at head height.` }];
  let free = 0;
  for (let r = LEAST_CIRCLE_M; r < radiusM; r += 0.2) if (bearings.every((bearing) => !inTheWay(bearing, r))) free = r;
  const share = Math.round((blocks.filter(Boolean).length / BEARINGS) * 360);
  return [
    {
      id: 'circle',
      tells: 'plain',
      pieceIds: blocking.map(({ id }) => id),
      sentence:
        `A full circle ${about} is not free: ${listed(blocking.map(({ name }) => name))} ` +
        `${blocking.length === 1 ? 'stands' : 'stand'} in about ${share}° of it` +
        (free > 0 ? `; at ${sayLength(free, units)} it is.` : '.'),
    },
  ];
}
