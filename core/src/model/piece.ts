import * as z from 'zod';
import { choice, number } from './facts';
import { CUBE, MeshSchema } from './mesh';
import { idText, nameText } from './text';

/** A point of a thing that a person names: where it is in the thing's own frame, metres from its base, and how large. */
export const OwnPartSchema = z.strictObject({
  id: idText,
  name: nameText(40),
  alongM: number('Part forward', 'm', -1000, 1000, 0.05),
  acrossM: number('Part to the right', 'm', -1000, 1000, 0.05),
  upM: number('Part up', 'm', -500, 500, 0.05),
  sizeM: number('Part size', 'm', 0.005, 500, 0.05),
});

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
  lengthM: number('Length', 'm', 0.005, 2000, 0.1),
  depthM: number('Depth', 'm', 0.005, 2000, 0.1),
  heightM: number('Height', 'm', 0.005, 500, 0.1),
  /** Whether it counts as near, with the subject, or far on screen; auto goes by its distance in every frame. */
  layer: choice('Layer', {
    auto: 'its distance says',
    near: 'near, always',
    subject: 'with the subject',
    far: 'far, always',
  }),
  /** The piece it stands on or rides: it goes where that goes, and turns as that turns. */
  on: z.string().min(1).nullable(),
  /** Pieces of one group are chosen, moved and turned together; null: it is in none. */
  group: z.string().min(1).max(60).nullable(),
  /** It cannot be moved, turned or sized by hand. */
  locked: z.boolean(),
  /** It is not drawn on the plan; in the picture it is. */
  hidden: z.boolean(),
  /** What its flat sides are like: what shines shows who films. */
  surface: choice('Its sides', {
    dull: 'are dull',
    paint: 'shine like paint',
    glass: 'are glass',
    mirror: 'are a mirror',
  }),
  ownParts: z.array(OwnPartSchema).max(12),
};

/**
 * An opening in a wall: its centre along the wall from the middle, its width, its head height and its sill height, and
 * whether glass stands in it, in the middle of the wall.
 */
export const OpeningSchema = z.strictObject({
  offsetM: number('Opening offset', 'm', -1000, 1000, 0.1),
  widthM: number('Opening width', 'm', 0, 1000, 0.1),
  heightM: number('Opening head', 'm', 0, 500, 0.1),
  sillM: number('Opening sill', 'm', 0, 500, 0.1),
  pane: choice('Opening pane', { open: 'nothing', glass: 'glass' }),
});

export const PoseField = choice('Pose', {
  stand: 'stands',
  sit: 'sits',
  crouch: 'crouches',
  lie: 'lies',
  ride: 'rides',
});

/** A person. Length, depth and height are those of the body standing upright, whatever the pose: height is stature. */
export const FigureSchema = z.strictObject({
  kind: z.literal('figure'),
  ...placed,
  heightM: number('Stature', 'm', 0.3, 3, 0.01),
  body: choice('Body', { adult: 'a grown-up', child: 'a child' }),
  pose: PoseField,
  headwear: choice('On the head', {
    hat: 'a broad hat',
    cap: 'a cap',
    helmet: 'a helmet',
    bare: 'nothing on the head',
  }),
});

export const WallSchema = z.strictObject({
  kind: z.literal('wall'),
  ...placed,
  openings: z.array(OpeningSchema).max(8),
});

/**
 * The ground as it rises and falls: levels at the crossings of a grid as shares of its height, from its south-west
 * corner row by row northwards (as it lies when its heading is 0). Its length and depth span the grid.
 */
export const MOST_GRID = 64;
export const TerrainSchema = z
  .strictObject({
    kind: z.literal('terrain'),
    ...placed,
    columns: z.number().int().min(2).max(MOST_GRID),
    levels: z.array(z.number().min(0).max(1)).max(MOST_GRID * MOST_GRID),
  })
  .refine(({ columns, levels }) => levels.length % columns === 0 && levels.length >= 2 * columns, {
    path: ['levels'],
    message: 'must hold whole rows, two at least',
  });

/** A plate that turns under what stands on it: degrees a second from the start of the shot, clockwise seen from above. */
export const TurntableSchema = z.strictObject({
  kind: z.literal('turntable'),
  ...placed,
  turnDegps: number('Turns', 'degps', -720, 720, 5),
});

/** A lamp that shines along its heading; how much light falls on a sheet of paper one metre before it. */
export const LampSchema = z.strictObject({
  kind: z.literal('lamp'),
  ...placed,
  luxAt1M: number('Light at one metre, lux', 'plain', 0.1, 5_000_000, 100),
  beamDeg: number('Beam from edge to edge', 'deg', 1, 360, 5),
  tiltDeg: number('Beam tilted up', 'deg', -90, 90, 5),
  softness: choice('Light', { hard: 'hard', soft: 'soft' }),
  /** What stands before it and breaks its light up. */
  pattern: choice('Broken up by', { none: 'nothing', bars: 'window bars', slats: 'slats', leaves: 'leaves' }),
  /** Pulses a second of its light; 0: it shines evenly. */
  pulseHz: number('Pulses a second (0: even)', 'plain', 0, 100_000, 50),
  /** How long its battery lasts; 0: it hangs on the mains. */
  runMin: number('Its battery lasts, minutes (0: mains)', 'plain', 0, 10_000, 10),
});

/** A person's own model: its surface, packed (see `mesh.ts`), which is as large as the piece says. */
export const ModelSchema = z.strictObject({ kind: z.literal('model'), ...placed, mesh: MeshSchema });

const PLAIN_KINDS = [
  ...(['post', 'hedge', 'box', 'slab', 'tree', 'ridge'] as const),
  ...(['stair', 'fence', 'water', 'road', 'rock', 'bush', 'platform'] as const),
  ...(['car', 'lorry', 'motorbike', 'bicycle', 'scooter', 'board', 'boat', 'dog'] as const),
  ...(['bottle', 'tin', 'watch', 'table', 'chair', 'plinth'] as const),
] as const;
const plain = <K extends (typeof PLAIN_KINDS)[number]>(kind: K) => z.strictObject({ kind: z.literal(kind), ...placed });

export const PieceSchema = z.discriminatedUnion('kind', [
  FigureSchema,
  WallSchema,
  TurntableSchema,
  ModelSchema,
  LampSchema,
  TerrainSchema,
  ...PLAIN_KINDS.map(plain),
]);

export type Opening = z.infer<typeof OpeningSchema>;
export type OwnPart = z.infer<typeof OwnPartSchema>;
export type Wall = z.infer<typeof WallSchema>;
export type Pose = z.infer<typeof PoseField>;
export type Body = z.infer<typeof FigureSchema>['body'];
/** What a body in another pose measured when it stood: a scene keeps it beside what the pose fills. */
export interface Size {
  lengthM: number;
  depthM: number;
  heightM: number;
}
export type Figure = z.infer<typeof FigureSchema> & { standing?: Size };
export type Turntable = z.infer<typeof TurntableSchema>;
export type ModelPiece = z.infer<typeof ModelSchema>;
export type Lamp = z.infer<typeof LampSchema>;
export type Terrain = z.infer<typeof TerrainSchema>;
export type PlainPiece = z.infer<ReturnType<typeof plain>>;
export type Piece = Figure | Wall | Turntable | ModelPiece | Lamp | Terrain | PlainPiece;
export type PieceKind = Piece['kind'];
export type PieceLayer = Piece['layer'];

/** What kinds of things there are, as a person looks for them. */
export const PIECE_GROUPS = {
  people: 'People and animals',
  movers: 'Things that drive',
  products: 'Products and furniture',
  place: 'The place',
} as const;
export type PieceGroup = keyof typeof PIECE_GROUPS;

interface KindFacts extends Size {
  /** What a person calls it. */
  label: string;
  group: PieceGroup;
  /** Round pieces keep length and depth equal. */
  round: boolean;
  /** People and other pieces can stand on it. */
  ground: boolean;
}

const kind = (group: PieceGroup, label: string, lengthM: number, depthM: number, heightM: number): KindFacts => ({
  label,
  group,
  lengthM,
  depthM,
  heightM,
  round: false,
  ground: false,
});
const round = (facts: KindFacts): KindFacts => ({ ...facts, round: true });
const ground = (facts: KindFacts): KindFacts => ({ ...facts, ground: true });

/**
 * The kinds a person can add, with the size a new one starts at. Sizes of vehicles and products are usual ones: common
 * practice, no published source.
 */
export const PIECE_KINDS: Record<PieceKind, KindFacts> = {
  figure: kind('people', 'Figure', 0.35, 0.5, 1.7),
  dog: kind('people', 'Dog', 0.9, 0.28, 0.65),
  car: kind('movers', 'Car', 4.3, 1.8, 1.5),
  lorry: kind('movers', 'Lorry', 7, 2.4, 2.9),
  motorbike: kind('movers', 'Motorbike', 2.1, 0.8, 1.15),
  bicycle: kind('movers', 'Bicycle', 1.75, 0.6, 1.05),
  scooter: kind('movers', 'Stand-on scooter', 1.15, 0.5, 1.15),
  board: kind('movers', 'Board', 0.8, 0.22, 0.12),
  boat: kind('movers', 'Boat', 5, 1.9, 0.9),
  bottle: round(kind('products', 'Bottle', 0.08, 0.08, 0.3)),
  tin: round(kind('products', 'Tin', 0.09, 0.09, 0.13)),
  watch: round(kind('products', 'Watch', 0.042, 0.042, 0.012)),
  turntable: round(kind('products', 'Turntable', 0.35, 0.35, 0.06)),
  table: kind('products', 'Table', 1.4, 0.8, 0.74),
  chair: kind('products', 'Chair', 0.5, 0.46, 0.9),
  plinth: kind('products', 'Stand', 0.4, 0.4, 1),
  lamp: kind('products', 'Lamp on a stand', 0.3, 0.3, 2),
  model: kind('products', 'Own model', 1, 1, 1),
  post: round(kind('place', 'Post', 0.15, 0.15, 2.4)),
  hedge: kind('place', 'Hedge row', 12, 0.9, 0.9),
  wall: kind('place', 'Wall with an opening', 5, 0.25, 2.8),
  box: kind('place', 'Box', 3, 2, 2),
  slab: ground(kind('place', 'Slab or terrace', 10, 4, 0.6)),
  tree: round(kind('place', 'Tree', 3, 3, 5)),
  ridge: ground(kind('place', 'Ridge', 30, 14, 6)),
  stair: ground(kind('place', 'Stair', 3, 1.6, 1.7)),
  platform: ground(kind('place', 'Platform', 3, 2, 1)),
  road: ground(kind('place', 'Road with lines', 40, 6, 0.02)),
  water: ground(kind('place', 'Water', 12, 8, 0.01)),
  terrain: ground(kind('place', 'Heights of the ground', 40, 40, 3)),
  fence: kind('place', 'Fence', 6, 0.1, 1.2),
  rock: kind('place', 'Rock', 1.4, 1.1, 0.9),
  bush: round(kind('place', 'Bush', 1.4, 1.4, 1.2)),
};

/** What shines where nobody has said how it is. */
export const SHINES: Partial<Record<PieceKind, Piece['surface']>> = { car: 'paint', lorry: 'paint', boat: 'paint' };

/** A new ground rises evenly northwards. */
const SLOPE = { columns: 2, levels: [0, 0, 1, 1] };

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
    on: null,
    group: null,
    locked: false,
    hidden: false,
    surface: SHINES[kind] ?? 'dull',
    ownParts: [],
  };
  if (kind === 'wall')
    return { kind, ...base, openings: [{ offsetM: 0, widthM: 1.4, heightM: 2.2, sillM: 0, pane: 'open' }] };
  if (kind === 'figure') return { kind, ...base, body: 'adult', pose: 'stand', headwear: 'hat' };
  if (kind === 'model') return { kind, ...base, mesh: CUBE };
  if (kind === 'lamp')
    return {
      ...{ kind, ...base, luxAt1M: 2000, beamDeg: 60, tiltDeg: 0, softness: 'hard', pattern: 'none' },
      ...{ pulseHz: 0, runMin: 0 },
    };
  if (kind === 'terrain') return { kind, ...base, ...SLOPE };
  if (kind === 'turntable') return { kind, ...base, turnDegps: 20 };
  return { kind, ...base };
}
