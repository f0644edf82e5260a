import * as z from 'zod';
import type { FileContents } from '@gentle-arc/core/formats/any-file';

/** What the page asks the worker that reads files. */
export const FileRequestSchema = z.object({
  file: z.instanceof(File),
  wanted: z.enum(['shoot', 'parts', 'walk']).nullable(),
  landing: z.object({ xM: z.number(), yM: z.number(), zM: z.number() }),
});
export type FileRequest = z.infer<typeof FileRequestSchema>;

export interface FileWorker {
  /** The contents, or why they are refused. */
  read(request: FileRequest): Promise<FileContents | string>;
}
