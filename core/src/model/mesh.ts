import * as z from 'zod';

/** Most triangles of a person's own model. */
export const MOST_TRIANGLES = 20_000;
/** Corners are numbered by 16 bits. */
export const MOST_CORNERS = 65_535;
/** A corner at the far end of the box. */
const FULL = 65_535;

/**
 * A surface of triangles packed for a file: corners as shares of its box (across, along, up; 16 bits each, 65535 is the
 * far end) and the three corners of every triangle (16 bits each), both as base64 of little-endian numbers.
 */
export const MeshSchema = z.strictObject({ corners: z.string().max(530_000), faces: z.string().max(170_000) }).check(
  z.superRefine((mesh, context) => {
    const trouble = troubleIn(mesh);
    if (trouble) context.addIssue({ code: 'custom', path: [], message: trouble });
  }),
);
export type Mesh = z.infer<typeof MeshSchema>;

function troubleIn(mesh: { corners: string; faces: string }): string | null {
  let surface: Surface;
  try {
    surface = unpacked(mesh);
  } catch {
    return 'must be base64; take the model in again from its file';
  }
  const { corners, faces } = surface;
  if (corners.length % 3 !== 0 || faces.length % 3 !== 0 || faces.length === 0)
    return 'must have whole triangles; take the model in again from its file';
  if (faces.length / 3 > MOST_TRIANGLES) return `has more than ${MOST_TRIANGLES} triangles; make it coarser`;
  const count = corners.length / 3;
  return faces.some((corner) => corner >= count) ? 'names a corner that is not there; take the model in again' : null;
}

/** A surface ready to be drawn. */
export interface Surface {
  /** Across, along and up of every corner, as shares of the box, 0 to 1. */
  corners: Float64Array;
  /** The three corners of every triangle, counter-clockwise seen from outside. */
  faces: Uint16Array;
}

/** Unpacks a surface; throws where it is no base64 or a number is cut in half. */
export function unpacked({ corners, faces }: Mesh): Surface {
  return { corners: Float64Array.from(numbers(corners), (value) => value / FULL), faces: numbers(faces) };
}

/** Packs a surface whose corners are shares of its box. */
export function packed({ corners, faces }: Surface): Mesh {
  return { corners: text(Uint16Array.from(corners, (share) => Math.round(share * FULL))), faces: text(faces) };
}

function numbers(base64: string): Uint16Array {
  const bytes = atob(base64);
  if (bytes.length % 2 !== 0) throw new RangeError('A number is cut in half.');
  return Uint16Array.from(
    { length: bytes.length / 2 },
    (_, i) => bytes.charCodeAt(2 * i) | (bytes.charCodeAt(2 * i + 1) << 8),
  );
}

function text(values: Uint16Array): string {
  let bytes = '';
  for (const value of values) bytes += String.fromCharCode(value & 255, value >> 8);
  return btoa(bytes);
}

/** What stands where no model was taken in: a cube. */
export const CUBE: Mesh = packed({
  corners: Float64Array.from([0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0, 0, 0, 1, 1, 0, 1, 1, 1, 1, 0, 1, 1]),
  faces: Uint16Array.from([
    0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7,
  ]),
});
