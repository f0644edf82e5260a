import { checkFile, type FileContents, type FileKind, type Landing, Refusal } from '@gentle-arc/core/formats';
import { clipped, type Shoot } from '@gentle-arc/core/model';
import type { FileWorker } from './file-messages';
import { WorkerGone, WorkerHost } from './host';

const MOST_MS = 2000;
/** The first file has to wait for its reader to load. */
const START_MS = 10_000;

const host = new WorkerHost<FileWorker>(
  () => new Worker(new URL('./file.worker.ts', import.meta.url), { type: 'module' }),
  'Reading the file',
);
let started = false;

/** A shot's camera path, its site and its subject as one glTF file, written off the page's thread. */
export const writeGltf = (shoot: Shoot, shotId: string): Promise<string> =>
  host.call((remote) => remote.writeGltf({ shoot, shotId }));

/**
 * Reads a file that a person chose or dropped, off the page's thread. Gives its contents, or a sentence when it is
 * refused: by its name, its size, what is in it, or how long it takes.
 */
export async function readFile(
  file: File,
  wanted: FileKind | null = null,
  landing: Landing = { xM: 0, yM: 0, zM: 0 },
): Promise<FileContents | string> {
  const not = (why: string) => `“${clipped(file.name, 60)}” was not taken in, and nothing here has changed. ${why}`;
  try {
    checkFile(file.name, file.size, wanted);
    const { xM, yM, zM, place } = landing;
    const contents = await host.call<FileContents | string>(
      (remote) =>
        remote.read({ file, wanted, landing: { xM, yM, zM, place: place ? { ...place } : null } }) as Promise<
          FileContents | string
        >,
      started ? MOST_MS : START_MS,
    );
    started = true;
    return typeof contents === 'string' ? not(contents) : contents;
  } catch (error) {
    if (error instanceof Refusal) return not(error.message);
    if (!(error instanceof WorkerGone)) return not(`It could not be read (${clipped((error as Error).message)}).`);
    started = false;
    return not(error.message);
  }
}
