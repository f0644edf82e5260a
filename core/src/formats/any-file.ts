import { clipped, type SitePlace, tooLarge } from '../model';
import { checkFile, type FileContents, type FileKind } from './file-limits';
import { jsonOf } from './json';
import { readPartsCsv } from './parts-csv';
import { readPartsJson } from './parts-json';
import { Refusal } from './refusal';
import { readHeightsCsv } from './heights-csv';
import { checkShoot } from './shoot-file';
import { readShotsCsv } from './shots-csv';
import { readSiteGeoJson } from './site-geojson';
import { readSiteGpx } from './site-gpx';
import { readWalkCsv } from './walk-csv';
import { readWalkGpx, type Landing } from './walk-gpx';

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
  const place = landing.place ?? null;
  if (wanted === 'site') return { kind: 'site', site: readSite(name, text, head, place) };
  if (wanted === 'walk' || (wanted === null && /\.gpx$/i.test(name))) {
    const points = /\.gpx$/i.test(name) || /<gpx[\s>]/i.test(head) ? readWalkGpx(text, landing) : readWalkCsv(text);
    return { kind: 'walk', points };
  }
  if (wanted === 'shots') return { kind: 'shots', rows: readShotsCsv(text) };
  if (wanted === 'parts')
    return {
      kind: 'parts',
      parts: head.startsWith('{') || /\.json$/i.test(name) ? readPartsJson(text) : readPartsCsv(text),
    };
  if (wanted === null && /\.geojson$/i.test(name)) return { kind: 'site', site: readSiteGeoJson(text, place) };
  if (wanted === null && /\.csv$/i.test(name) && /^\uFEFF?\s*(x|lat)\s*[,;\t]/i.test(head))
    return { kind: 'site', site: readHeightsCsv(text, place) };
  if (wanted === null && /\.csv$/i.test(name) && /^\uFEFF?\s*shot\s*[,;\t]/i.test(head))
    return { kind: 'shots', rows: readShotsCsv(text) };
  if (wanted === null && /\.csv$/i.test(name))
    return /^\uFEFF?\s*t\s*[,;\t]/i.test(head)
      ? { kind: 'walk', points: readWalkCsv(text) }
      : { kind: 'parts', parts: readPartsCsv(text) };
  if (!/\.json$/i.test(name) && !/^\uFEFF?\s*[[{]/.test(head))
    throw Refusal.of(
      'file',
      `“${clipped(name, 60)}” is none of the files that are taken in here: a shoot (.arc.json); parts, a shot list, a walk ` +
        'or heights (.csv); a way or a place (.gpx, .geojson); a model (.glb).',
    );
  const value = jsonOf(text);
  if (wanted === null && typeof value === 'object' && value !== null && 'parts' in value && !('format' in value))
    return { kind: 'parts', parts: readPartsJson(text) };
  if (typeof value === 'object' && value !== null && 'type' in value && value.type === 'FeatureCollection')
    return { kind: 'site', site: readSiteGeoJson(text, place) };
  const shoot = checkShoot(value);
  const large = tooLarge(shoot);
  if (large) throw Refusal.of('(the whole file)', large);
  return { kind: 'shoot', shoot };
}

/** A place: GPX, a grid of heights, or GeoJSON. */
function readSite(name: string, text: string, head: string, place: SitePlace | null) {
  if (/\.gpx$/i.test(name) || /<gpx[\s>]/i.test(head)) return readSiteGpx(text, place);
  if (/\.csv$/i.test(name)) return readHeightsCsv(text, place);
  return readSiteGeoJson(text, place);
}
