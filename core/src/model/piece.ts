import * as z from 'zod';
import { choice, number } from './facts';
import { idText, nameText } from './text';

/**
 * A thing on the site. Every piece has a base point (metres, x east, y north, z up), a heading (degrees clockwise from
 * north; its length runs along the heading), and a bounding size: length along the heading, depth across it, height up.
 */
const placed = {
  id: idText,
  name: nameText(80),
  xM: number('East', 'm', -5000, 5000, 0.1),
  yM: number('North', 'm', -5000, 5000, 0.1),
  zM: number('Base height', 'm', -500, 500, 0.1),
  headingDeg: number('Heading', 'deg', -360, 360, 5),
  lengthM: number('Length', 'm', 0.02, 2000, 0.1),
  depthM: number('Depth', 'm', 0.02, 2000, 0.1),
  heightM: number('Height', 'm', 0.02, 500, 0.1),
  /** Whether it counts as near, with the subject, or far on screen; auto goes by its distance in every frame. */
  layer: choice('Layer', {
    auto: 'its distance says',
    near: 'near, always',
    subject: 'with the subject',
    far: 'far, always',
  }),
};

/** An opening in a wall: its centre along the wall from the middle, its width, its head height and its sill height. */
export const OpeningSchema = z.strictObject({
  offsetM: number('Opening offset', 'm', -1000, 1000, 0.1),
  widthM: number('Opening width', 'm', 0, 1000, 0.1),
  heightM: number('Opening head', 'm', 0, 500, 0.1),
  sillM: number('Opening sill', 'm', 0, 500, 0.1),
});

const plain = (kind: 'figure' | 'post' | 'hedge' | 'box' | 'slab' | 'tree' | 'ridge') =>
  z.strictObject({ kind: z.literal(kind), ...placed });

export const WallSchema = z.strictObject({ kind: z.literal('wall'), ...placed, opening: OpeningSchema });

export const PieceSchema = z.discriminatedUnion('kind', [
  plain('figure'),
  plain('post'),
  plain('hedge'),
  plain('box'),
  plain('slab'),
  plain('tree'),
  plain('ridge'),
  WallSchema,
]);

export type Opening = z.infer<typeof OpeningSchema>;
export type Wall = z.infer<typeof WallSchema>;
export type Piece = z.infer<typeof PieceSchema>;
export type PieceKind = Piece['kind'];
export type PieceLayer = Piece['layer'];

interface KindFacts {
  /** What a person calls it. */
  label: string;
  lengthM: number;
  depthM: number;
  heightM: number;
  /** Round pieces keep length and depth equal. */
  round: boolean;
  /** People and other pieces can stand on it. */
  ground: boolean;
}

/** The kinds a person can add, with the size a new one starts at. */
export const PIECE_KINDS: Record<PieceKind, KindFacts> = {
  figure: { label: 'Figure', lengthM: 0.35, depthM: 0.5, heightM: 1.7, round: false, ground: false },
  post: { label: 'Post', lengthM: 0.15, depthM: 0.15, heightM: 2.4, round: true, ground: false },
  hedge: { label: 'Hedge row', lengthM: 12, depthM: 0.9, heightM: 0.9, round: false, ground: false },
  wall: { label: 'Wall with an opening', lengthM: 5, depthM: 0.25, heightM: 2.8, round: false, ground: false },
  box: { label: 'Box', lengthM: 3, depthM: 2, heightM: 2, round: false, ground: false },
  slab: { label: 'Slab or terrace', lengthM: 10, depthM: 4, heightM: 0.6, round: false, ground: true },
  tree: { label: 'Tree', lengthM: 3, depthM: 3, heightM: 5, round: true, ground: false },
  ridge: { label: 'Ridge', lengthM: 30, depthM: 14, heightM: 6, round: false, ground: true },
};

/** A new piece of a kind at a place, with that kind's starting size. The id must be new to the site. */
export function newPiece(kind: PieceKind, id: string, name: string, xM: number, yM: number, zM: number): Piece {
  const { lengthM, depthM, heightM } = PIECE_KINDS[kind];
  const base = {
    id,
    name,
    xM,
    yM,
    zM,
    headingDeg: kind === 'figure' ? 180 : 90,
    lengthM,
    depthM,
    heightM,
    layer: 'auto' as const,
  };
  if (kind === 'wall') return { kind, ...base, opening: { offsetM: 0, widthM: 1.4, heightM: 2.2, sillM: 0 } };
  return { kind, ...base };
}
