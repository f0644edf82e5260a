import * as z from 'zod';
import { FlownSchema, type Piece, type Setup } from '@gentle-arc/core/model';

/** What the page tells the worker that draws pictures. */

/** What a picture is of: a compiled shot's setup without its pieces, which come as what changed of them. */
export type PlainSetup = Omit<Setup, 'pieces' | 'subject' | 'underlays'> & { subjectId: string | null };

const plain = <T extends object>() => z.custom<T>((value) => typeof value === 'object' && value !== null);

export const SceneMessageSchema = z.object({
  setup: plain<PlainSetup>(),
  /** All pieces in their order, and those that are new or different since the last message. */
  order: z.array(z.string()),
  rows: z.array(plain<Piece>()),
  /** A way that was flown, in the plan's place. */
  flown: FlownSchema.nullable(),
  /** With the bob and tremor of whoever carries the camera. */
  body: z.boolean(),
});
export type SceneMessage = z.infer<typeof SceneMessageSchema>;

/** A camera that is led by hand. */
export const LivePoseSchema = z.object({
  tS: z.number(),
  xM: z.number(),
  yM: z.number(),
  zM: z.number(),
  panDeg: z.number(),
  tiltDeg: z.number(),
  rollDeg: z.number(),
  focalLengthMm: z.number().positive(),
  focusM: z.number().positive(),
});

export const ViewMessageSchema = z.object({
  /** The sheet that it is drawn on. */
  name: z.string(),
  row: z.number().int().min(0),
  /** How large it is shown, CSS pixels. */
  width: z.number().min(1),
  height: z.number().min(1),
  live: LivePoseSchema.nullable(),
  /** What it is of; left out when that is as before. */
  scene: SceneMessageSchema.optional(),
});

export const ShowMessageSchema = z.object({
  views: z.array(ViewMessageSchema),
  blur: z.object({ lens: z.boolean(), motion: z.boolean(), tone: z.boolean() }),
  dim: z.boolean(),
  tint: z.boolean(),
  playing: z.boolean(),
  /** A hand is changing what is drawn. */
  held: z.boolean(),
  /** While the picture before was drawn the page did not get the processor as often as it wants to. */
  pageWaits: z.boolean(),
});
export type ShowMessage = z.infer<typeof ShowMessageSchema>;

export const StartMessageSchema = z.object({ many: z.boolean(), dpr: z.number().positive() });

export interface PictureWorker {
  /** Whether this worker can draw at all. */
  start(message: z.infer<typeof StartMessageSchema>): Promise<boolean>;
  /** Gives it the sheet of a name. */
  sheet(name: string, canvas: OffscreenCanvas): Promise<void>;
  drop(name: string): Promise<void>;
  /** Draws; how long that took, ms. Then it draws finer by itself until it is told something else. */
  show(message: ShowMessage): Promise<number>;
  /** The picture of a sheet as it is now, finely drawn, as a PNG so many pixels wide. */
  still(name: string, widthPx: number): Promise<Blob>;
}
