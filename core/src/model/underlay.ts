import * as z from 'zod';
import { number } from './facts';
import { idText, nameText } from './text';

/** Most letters of a picture under the plan: 225 kB of it, which every saved state of a shoot carries. */
export const MOST_UNDERLAY_LETTERS = 300_000;
/** A picture that a person gives may be this large before it is made small, pixels. */
export const MOST_UNDERLAY_PIXELS = 100_000_000;

/**
 * A photograph, scan or drawing of the place under the plan. Where its middle lies, how it is turned and how large a
 * pixel of it is on the ground.
 */
export const UnderlaySchema = z.strictObject({
  id: idText,
  name: nameText(80),
  /** The picture itself, small: a data address of a JPEG, PNG or WebP. */
  image: z
    .string()
    .max(MOST_UNDERLAY_LETTERS)
    .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/]+=*$/, 'is no JPEG, PNG or WebP'),
  widthPx: z.number().int().min(1).max(4096),
  heightPx: z.number().int().min(1).max(4096),
  mPerPx: number('Metres a pixel', 'fine', 0.00001, 50, 0.01),
  xM: number('East', 'm', -5000, 5000, 0.1),
  yM: number('North', 'm', -5000, 5000, 0.1),
  /** How far its upper edge is turned from north, clockwise. */
  turnDeg: number('Turned', 'tenth', -360, 360, 1),
  opacity: number('Strength', 'share', 0.05, 1, 0.05),
  shown: z.boolean(),
});
export type Underlay = z.infer<typeof UnderlaySchema>;
