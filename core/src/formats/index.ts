/**
 * Readers and writers of open formats, one file a format, each with its limits; a reader throws nothing but a `Refusal`.
 *
 * @example
 * const shoot = readShootFile(text); // or a Refusal whose message names the field and the mend
 */
export { readAnyFile } from './any-file';
export { checkFile, type FileContents, type FileKind, MODEL_FILE, MOST_MB } from './file-limits';
export { boardJson, joinsJson } from './board-json';
export { writeCutCsv } from './cut-csv';
export { writeCutOtio } from './cut-otio';
export { writeDayCsv } from './day-csv';
export { writeDayIcs } from './day-ics';
export { dayJson } from './day-json';
export { readFlownCsv } from './flown-csv';
export { marksJson, scoreJson, sticksJson } from './rehearse-json';
export { namedColumn, ROLE_WORDS } from './motion-columns';
export { type MotionChoices, readMotionCsv } from './motion-csv';
export { readMotionGpx } from './motion-gpx';
export { clipJson } from './clip-json';
export { readFramePng } from './frame-png';
export { takeJson } from './take-json';
export { writeTakesCsv } from './takes-csv';
export { writeWav } from './wav';
export { writeShotsCsv } from './shots-csv';
export { buildJson } from './build-json';
export { jsonOf } from './json';
export { exposureJson, focusJson, lensJson, timeJson } from './lens-json';
export { type OwnModel, readModelGlb } from './model-glb';
export { lightJson } from './light-json';
export { readPieces, writePieces } from './pieces-json';
export type { SiteFromEarth } from './site-features';
export { readSiteGeoJson, writeSiteGeoJson } from './site-geojson';
export { readSiteGpx, writeSiteGpx } from './site-gpx';
export { readHeightsCsv } from './heights-csv';
export { type SitePlan, writeSiteSvg } from './site-svg';
export { movesJson } from './moves-json';
export { writePartsCsv } from './parts-csv';
export { readPartsJson, writePartsJson } from './parts-json';
export { writePathCsv } from './path-csv';
export { writePathGltf } from './path-gltf';
export { readingJson } from './reading-json';
export { Refusal } from './refusal';
export { type Salvage, salvageShoot } from './salvage';
export { checkShoot, readShootFile, SHOOT_FILE_ENDING, shootJsonSchema, writeShootFile } from './shoot-file';
export type { Landing } from './walk-gpx';
