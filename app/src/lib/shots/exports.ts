import { writePathCsv } from '@gentle-arc/core/formats/path-csv';
import { SHOOT_FILE_ENDING, writeShootFile } from '@gentle-arc/core/formats/shoot-file';
import { setupOf, type Shoot } from '@gentle-arc/core/model/shoot';
import type { Shot } from '@gentle-arc/core/model/shot';
import { download, fileName } from '$lib/parts/download';

export function exportShoot(shoot: Shoot): void {
  download(fileName(shoot.name) + SHOOT_FILE_ENDING, 'application/json', writeShootFile(shoot));
}

/** A shot's camera path as CSV or glTF. The glTF writer is only loaded when asked for. */
export async function exportPath(shoot: Shoot, shot: Shot, format: 'csv' | 'gltf'): Promise<void> {
  const setup = setupOf(shoot, shot);
  const name = `${fileName(shoot.name)}-${fileName(shot.name)}`;
  if (format === 'csv') download(`${name}.csv`, 'text/csv', writePathCsv(setup));
  else {
    const { writePathGltf } = await import('@gentle-arc/core/formats/path-gltf');
    download(`${name}.gltf`, 'model/gltf+json', await writePathGltf(setup));
  }
}
