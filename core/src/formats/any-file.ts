import type { Part } from '../model/build';
import type { Shoot } from '../model/shoot';
import type { WalkPoint } from '../model/shot';
import { clipped } from '../model/text';
import { jsonOf } from './json';
import { readPartsCsv } from './parts-csv';
import { readPartsJson } from './parts-json';
import { Refusal } from './refusal';
import { checkShoot } from './shoot-file';
import { readWalkCsv } from './walk-csv';
import { readWalkGpx, type Landing } from './walk-gpx';

/** What a file can be for. */
export type FileKind = 'shoot' | 'parts' | 'walk';

/**
 * Most that a file of a kind may hold, MB. All that a person makes is far smaller, and each is read well within two
 * seconds.
 */
export const MOST_MB: Record<FileKind, number> = { shoot: 8, parts: 1, walk: 3 };

export type FileContents =
  { kind: 'shoot'; shoot: Shoot } | { kind: 'parts'; parts: Part[] } | { kind: 'walk'; points: WalkPoint[] };

const PICTURE = /\.(jpe?g|png|webp|gif|heic|avif|tiff?|bmp|svg)$/i;
const FILM = /\.(mp4|mov|webm|mkv|avi|mp3|wav)$/i;

/**
 * Refuses by its name and size what cannot be meant, before anything of it is read. `wanted`: what it is asked for,
 * null for whatever it is.
 */
export function checkFile(name: string, bytes: number, wanted: FileKind | null): void {
  const short = clipped(name, 60);
  if (PICTURE.test(name))
    throw Refusal.of(
      'file',
      `“${short}” is a picture, not a shoot. Pictures are measured in on the Lens screen of a shot, under “How far”.`,
    );
  if (FILM.test(name)) throw Refusal.of('file', `“${short}” is a film or a sound, which nothing here reads.`);
  const most = wanted === null ? MOST_MB.shoot : MOST_MB[wanted];
  if (bytes > most * 1024 * 1024)
    throw Refusal.of('file', `“${short}” has ${(bytes / 1024 / 1024).toFixed(1)} MB; at most ${most} MB are read.`);
  if (bytes === 0) throw Refusal.of('file', `“${short}” is empty.`);
}

/**
 * Reads a file of any kind that this app knows by its name and its beginning. `landing`: where a walk by coordinates
 * starts. Throws nothing but a `Refusal`.
 */
export function readAnyFile(name: string, text: string, wanted: FileKind | null, landing: Landing): FileContents {
  checkFile(name, text.length, wanted);
  try {
    const contents = read(name, text, wanted, landing);
    // Letters of many bytes, or a kind that is known only now.
    checkFile(name, text.length, contents.kind);
    return contents;
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw Refusal.of(
      '(the whole file)',
      `(the whole file) is out of order in a way that cannot be read: ${clipped((error as Error).message)}.`,
    );
  }
}

function read(name: string, text: string, wanted: FileKind | null, landing: Landing): FileContents {
  const head = text.slice(0, 2000).trimStart();
  if (wanted === 'walk' || (wanted === null && /\.gpx$/i.test(name))) {
    const points = /\.gpx$/i.test(name) || /<gpx[\s>]/i.test(head) ? readWalkGpx(text, landing) : readWalkCsv(text);
    return { kind: 'walk', points };
  }
  if (wanted === 'parts')
    return {
      kind: 'parts',
      parts: head.startsWith('{') || /\.json$/i.test(name) ? readPartsJson(text) : readPartsCsv(text),
    };
  if (wanted === null && /\.csv$/i.test(name))
    return /^\uFEFF?\s*t\s*[,;\t]/i.test(head)
      ? { kind: 'walk', points: readWalkCsv(text) }
      : { kind: 'parts', parts: readPartsCsv(text) };
  const value = jsonOf(text);
  if (wanted === null && typeof value === 'object' && value !== null && 'parts' in value && !('format' in value))
    return { kind: 'parts', parts: readPartsJson(text) };
  return { kind: 'shoot', shoot: checkShoot(value) };
}
