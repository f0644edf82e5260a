import * as z from 'zod';
import type { FileContents } from '@gentle-arc/core/formats';
import { ShootSchema, SitePlaceSchema } from '@gentle-arc/core/model';

/** What the page asks the worker that reads and writes files. */
export const FileRequestSchema = z.object({
  file: z.instanceof(File),
  wanted: z.enum(['shoot', 'parts', 'walk', 'model', 'site', 'shots']).nullable(),
  landing: z.object({ xM: z.number(), yM: z.number(), zM: z.number(), place: SitePlaceSchema.nullish() }),
});
export type FileRequest = z.infer<typeof FileRequestSchema>;

/** A camera path to be written as glTF. */
export const PathRequestSchema = z.object({ shoot: ShootSchema, shotId: z.string() });
export type PathRequest = z.infer<typeof PathRequestSchema>;

export interface FileWorker {
  /** The contents, or why they are refused. */
  read(request: FileRequest): Promise<FileContents | string>;
  /** A shot's camera path, its site and its subject as one glTF file. */
  writeGltf(request: PathRequest): Promise<string>;
}
