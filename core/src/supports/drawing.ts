import type { Build, Kit } from '../model';

/** What a shape is, which decides how it is inked. */
export type Ink = 'part' | 'rig' | 'weight' | 'ground' | 'edge' | 'plumb' | 'away';

/** What can be taken hold of in a drawing. */
export type DrawingGrip = { part: number } | { field: string };

/** A shape in millimetres, up positive; a box by its middle, a line by its points. */
export type Drawn =
  | {
      form: 'box';
      ink: Ink;
      name: string;
      xMm: number;
      yMm: number;
      widthMm: number;
      heightMm: number;
      turnDeg: number;
      handle: DrawingGrip | null;
    }
  | { form: 'line'; ink: Ink; name: string; points: [number, number][]; closed: boolean }
  | {
      form: 'dot';
      ink: 'centre' | 'pivot' | 'handle';
      name: string;
      xMm: number;
      yMm: number;
      handle: DrawingGrip | null;
    };

/** One view of a rig to scale. */
export interface RigView {
  name: 'From the side' | 'From behind' | 'From above';
  shapes: Drawn[];
}

export const RAD = Math.PI / 180;
export const box = (
  ink: Ink,
  name: string,
  xMm: number,
  yMm: number,
  widthMm: number,
  heightMm: number,
  handle: DrawingGrip | null = null,
  turnDeg = 0,
): Drawn => ({
  form: 'box',
  ink,
  name,
  xMm,
  yMm,
  widthMm,
  heightMm,
  turnDeg,
  handle,
});
export const line = (ink: Ink, name: string, points: [number, number][], closed = false): Drawn => ({
  form: 'line',
  ink,
  name,
  points,
  closed,
});
export const dot = (
  ink: 'centre' | 'pivot' | 'handle',
  name: string,
  xMm: number,
  yMm: number,
  handle: DrawingGrip | null = null,
): Drawn => ({ form: 'dot', ink, name, xMm, yMm, handle });

/**
 * Parts of a build as boxes about an origin, from the side or from behind. The box is where the part is; its centre of
 * mass may be elsewhere.
 */
export function partBoxes(
  build: Build,
  kit: Kit,
  across: boolean,
  origin: (on: 'top' | 'bottom') => [number, number],
  held: boolean,
): Drawn[] {
  return build.parts.flatMap((placed, i): Drawn[] => {
    const part = kit.parts.find((row) => row.id === placed.partId);
    if (!part) return [];
    const [x0, y0] = origin(placed.on);
    const ink: Ink = part.kind === 'weight' || part.kind === 'bag' ? 'weight' : 'part';
    return [
      box(
        ink,
        part.name,
        x0 + (across ? placed.sideMm : placed.foreMm),
        y0 + placed.upMm,
        across ? part.widthMm : part.lengthMm,
        part.heightMm,
        held ? { part: i } : null,
      ),
    ];
  });
}

export const ground = (reachMm: number): Drawn =>
  line('ground', 'Ground', [
    [-reachMm - 300, 0],
    [reachMm + 300, 0],
  ]);
export const arc = (radiusMm: number, fromDeg: number, toDeg: number): [number, number][] =>
  Array.from({ length: 33 }, (_, i) => {
    const angle = (fromDeg + ((toDeg - fromDeg) * i) / 32) * RAD;
    return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
  });
export const circle = (ink: Ink, name: string, radiusMm: number): Drawn => line(ink, name, arc(radiusMm, 0, 360), true);
export const inMm = ([xM, yM]: readonly [number, number]): [number, number] => [xM * 1000, yM * 1000];

/** The same drawn from the side and from behind. */
export const both = (draw: (across: boolean) => Drawn[]): RigView[] => [
  { name: 'From the side', shapes: draw(false) },
  { name: 'From behind', shapes: draw(true) },
];

export const clamped = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/** Something in a view that was dragged, mm: from where to where, and by how much. */
export interface Drag {
  view: RigView['name'];
  field: string;
  to: [number, number];
  dx: number;
  dy: number;
}
