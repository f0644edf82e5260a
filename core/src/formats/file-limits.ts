import type { ShotRow } from '../edit';
import { clipped, type Part, type Shoot, type WalkPoint } from '../model';
import type { OwnModel } from './model-glb';
import { Refusal } from './refusal';
import type { SiteFromEarth } from './site-features';

/** What a file can be for. */
export type FileKind = 'shoot' | 'parts' | 'walk' | 'model' | 'site' | 'shots';

/**
 * Most that a file of a kind may hold, MB. All that a person makes is far smaller, and each is read well within two
 * seconds.
 */
export const MOST_MB: Record<FileKind, number> = { shoot: 20, parts: 1, walk: 3, model: 8, site: 4, shots: 1 };

export type FileContents =
  | { kind: 'shoot'; shoot: Shoot }
  | { kind: 'parts'; parts: Part[] }
  | { kind: 'walk'; points: WalkPoint[] }
  | { kind: 'model'; model: OwnModel }
  | { kind: 'site'; site: SiteFromEarth }
  | { kind: 'shots'; rows: ShotRow[] };

const PICTURE = /\.(jpe?g|png|webp|gif|heic|avif|tiff?|bmp|svg)$/i;
/** A model by its ending. */
export const MODEL_FILE = /\.(glb|gltf)$/i;
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
      `“${short}” is a picture, not a shoot. Pictures are measured in on the Lens screen of a shot, under “How far”, and laid under the plan on Scout.`,
    );
  if (FILM.test(name))
    throw Refusal.of(
      'file',
      `“${short}” is a film or a sound, not a shoot. A clip of a shot is measured on Takes, under “Footage”.`,
    );
  if (wanted === 'model' && !MODEL_FILE.test(name))
    throw Refusal.of('file', `“${short}” is no model that can be read here: take a binary glTF (.glb).`);
  const most = wanted === null ? MOST_MB.shoot : MOST_MB[wanted];
  if (bytes > most * 1024 * 1024)
    throw Refusal.of('file', `“${short}” has ${(bytes / 1024 / 1024).toFixed(1)} MB; at most ${most} MB are read.`);
  if (bytes === 0) throw Refusal.of('file', `“${short}” is empty.`);
}
