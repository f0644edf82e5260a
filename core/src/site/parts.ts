import { BODIES, type Figure, type Piece, type PieceKind, WHOLE } from '../model';
import { skeletonOf, standingSize } from './skeleton';

/**
 * A named point of a thing and what it fills there: its middle in the thing's own frame (across to the right, along the
 * heading, up from the base), how tall and how wide; metres.
 */
export interface ThingPart {
  id: string;
  name: string;
  acrossM: number;
  alongM: number;
  upM: number;
  heightM: number;
  /** Half of its width. */
  halfM: number;
}

/** Everything that can be looked at, framed and focused on of a thing; the whole of it comes first. */
export function partsOf(piece: Piece): ThingPart[] {
  const own = piece.ownParts.map(({ id, name, alongM, acrossM, upM, sizeM }): ThingPart => ({
    id: `own:${id}`,
    name,
    acrossM,
    alongM,
    upM,
    heightM: sizeM,
    halfM: sizeM / 2,
  }));
  return [wholeOf(piece), ...(piece.kind === 'figure' ? bodyParts(piece) : kindParts(piece)), ...own];
}

/** The part by its name; the whole where the thing has none of that name. */
export const partOf = (piece: Piece, id: string): ThingPart =>
  id === WHOLE ? wholeOf(piece) : (partsOf(piece).find((part) => part.id === id) ?? wholeOf(piece));

function wholeOf(piece: Piece): ThingPart {
  const { heightM, lengthM, depthM } = piece;
  const halfM = Math.max(lengthM, depthM) / 2;
  return { id: WHOLE, name: 'all of it', acrossM: 0, alongM: 0, upM: heightM / 2, heightM, halfM };
}

function bodyParts(figure: Figure): ThingPart[] {
  const { heightM: tall, depthM } = standingSize(figure);
  const { chin, chest, shoulders, waist, hips, hipBreadth } = BODIES[figure.body];
  const { head, pelvis, neck, ankles, wrists } = skeletonOf(figure);
  const along = (share: number) => pelvis.map((value, axis) => value + (neck[axis] - value) * share);
  // How far up the trunk a height of the standing body is.
  const up = (height: number) => (height - hips) / (chin - 0.02 - hips);
  const part = (id: string, name: string, at: readonly number[], heightM: number, halfM: number): ThingPart => ({
    id,
    name,
    acrossM: at[0],
    alongM: at[1],
    upM: at[2],
    heightM,
    halfM,
  });
  const feet = ankles[0].map((value, axis) => (value + ankles[1][axis]) / 2);
  const hands = wrists[0].map((value, axis) => (value + wrists[1][axis]) / 2);
  return [
    part('face', 'face', head, (1 - chin) * tall, ((1 - chin) * tall) / 3),
    part('chest', 'chest', along(up(chest)), (shoulders - waist) * tall, depthM * 0.44),
    part('waist', 'waist', along(up(waist)), (chest - hips) * tall, hipBreadth * tall * 0.6),
    part('hands', 'hands', hands, 0.1 * tall, Math.abs(wrists[0][0] - wrists[1][0]) / 2 + 0.03 * tall),
    part('feet', 'feet', [feet[0], feet[1], Math.max(feet[2], 0.03 * tall)], 0.07 * tall, 0.1 * tall),
  ];
}

/**
 * Where the parts of a kind are, as shares of half its depth (across), half its length (along) and its height, and how
 * much of its height and of its greater width they fill.
 */
type Spot = [id: string, name: string, across: number, along: number, up: number, tall: number, wide: number];

const DRIVEN: Spot[] = [
  ['front', 'front', 0, 0.94, 0.42, 0.5, 0.4],
  ['rear', 'rear', 0, -0.96, 0.45, 0.5, 0.4],
];
const RIDDEN: Spot[] = [
  ['front', 'front', 0, 0.6, 0.7, 0.5, 0.3],
  ['rear', 'rear', 0, -0.8, 0.45, 0.5, 0.3],
  ['wheel', 'front wheel', 0, 0.62, 0.3, 0.6, 0.34],
  ['bar', 'handlebar', 0, 0.36, 0.96, 0.1, 0.3],
];
const PRODUCT: Spot[] = [
  ['label', 'label', 0, 1, 0.4, 0.45, 0.8],
  ['top', 'top', 0, 0, 0.96, 0.1, 0.8],
];
const FURNITURE: Spot[] = [['top', 'top', 0, 0, 0.97, 0.08, 0.96]];
const STANDING: Spot[] = [
  ['top', 'top', 0, 0, 0.94, 0.12, 1],
  ['foot', 'foot', 0, 0, 0.06, 0.12, 1],
];

const SPOTS: Partial<Record<PieceKind, Spot[]>> = {
  car: [
    ...DRIVEN,
    ['wheel', 'front wheel', -0.88, 0.62, 0.21, 0.42, 0.16],
    ['driver', 'driver', -0.4, 0, 0.78, 0.2, 0.08],
    ['badge', 'badge', 0, 1, 0.45, 0.08, 0.03],
  ],
  lorry: [
    ...DRIVEN,
    ['wheel', 'front wheel', -0.86, 0.74, 0.17, 0.34, 0.16],
    ['driver', 'driver', -0.4, 0.8, 0.62, 0.12, 0.06],
  ],
  motorbike: RIDDEN,
  bicycle: RIDDEN,
  scooter: RIDDEN.filter(([id]) => id !== 'rear'),
  board: [['deck', 'deck', 0, 0, 0.9, 0.3, 1]],
  boat: [
    ['front', 'bow', 0, 0.9, 0.9, 0.4, 0.1],
    ['rear', 'stern', 0, -0.9, 0.9, 0.4, 0.3],
    ['driver', 'driver', 0, -0.2, 1.5, 0.5, 0.1],
  ],
  dog: [
    ['face', 'face', 0, 0.8, 0.85, 0.3, 0.2],
    ['feet', 'feet', 0, 0, 0.05, 0.1, 0.4],
  ],
  bottle: PRODUCT,
  tin: PRODUCT,
  watch: [['label', 'dial', 0, 0, 0.9, 0.3, 0.9]],
  turntable: FURNITURE,
  table: FURNITURE,
  plinth: FURNITURE,
  lamp: [['light', 'light', 0, 0, 0.93, 0.14, 0.8]],
  chair: [['seat', 'seat', 0, 0, 0.5, 0.1, 0.9]],
};

function kindParts(piece: Piece): ThingPart[] {
  const { lengthM, depthM, heightM } = piece;
  const wideM = Math.max(lengthM, depthM);
  return (SPOTS[piece.kind] ?? STANDING).map(([id, name, across, along, up, tall, wide]) => ({
    id,
    name,
    acrossM: (across * depthM) / 2,
    alongM: (along * lengthM) / 2,
    upM: up * heightM,
    heightM: tall * heightM,
    halfM: (wide * wideM) / 2,
  }));
}

/** How a figure takes its place on a thing: the middle of the seat or deck in the thing's frame, and in what pose. */
interface Seat {
  acrossM: number;
  alongM: number;
  upM: number;
  pose: Figure['pose'];
}

function seatIn(piece: Piece): Seat {
  const { lengthM, depthM, heightM } = piece;
  const at = (across: number, along: number, up: number, pose: Figure['pose']): Seat => ({
    acrossM: (across * depthM) / 2,
    alongM: (along * lengthM) / 2,
    upM: up * heightM,
    pose,
  });
  switch (piece.kind) {
    case 'car':
      return at(-0.4, -0.05, 0.3, 'sit');
    case 'lorry':
      return at(-0.4, 0.76, 0.36, 'sit');
    case 'boat':
      return at(0, -0.2, 0.9, 'sit');
    case 'chair':
      return at(0, 0, 0.5, 'sit');
    case 'motorbike':
      return at(0, -0.2, 0.7, 'ride');
    case 'bicycle':
      return at(0, -0.3, 0.85, 'ride');
    case 'scooter':
      return at(0, -0.1, 0.14, 'stand');
    default:
      return at(0, 0, 1, 'stand');
  }
}

/** Where the base of a thing comes to when it is put on another, in that one's frame, and the pose that a figure takes. */
export function seatFor(
  carrier: Piece,
  rider: Piece,
): { acrossM: number; alongM: number; upM: number; pose: Figure['pose'] } {
  const seat = seatIn(carrier);
  if (rider.kind !== 'figure') return { acrossM: 0, alongM: 0, upM: carrier.heightM, pose: 'stand' };
  const { heightM: tall } = standingSize(rider);
  const { seat: sits } = BODIES[rider.body];
  const under = seat.pose === 'sit' ? sits * tall : seat.pose === 'ride' ? 0.33 * tall : 0;
  return { ...seat, upM: seat.upM - under };
}
