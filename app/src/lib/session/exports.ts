import { writePathCsv } from '@gentle-arc/core/formats/path-csv';
import { SHOOT_FILE_ENDING, writeShootFile } from '@gentle-arc/core/formats/shoot-file';
import type { Shoot } from '@gentle-arc/core/model/shoot';
import { sceneOf } from '@gentle-arc/core/scene/scene';
import type { Shot } from '@gentle-arc/core/model/shot';
import { download, fileName } from '$lib/ui/download';

export function exportShoot(shoot: Shoot): void {
  download(fileName(shoot.name) + SHOOT_FILE_ENDING, 'application/json', writeShootFile(shoot));
}

/** A shot's camera path as CSV or glTF. The glTF writer is only loaded when asked for. */
export async function exportPath(shoot: Shoot, shot: Shot, format: 'csv' | 'gltf'): Promise<void> {
  const scene = sceneOf(shoot, shot);
  const name = `${fileName(shoot.name)}-${fileName(shot.name)}`;
  if (format === 'csv') download(`${name}.csv`, 'text/csv', writePathCsv(scene));
  else {
    const { writePathGltf } = await import('@gentle-arc/core/formats/path-gltf');
    download(`${name}.gltf`, 'model/gltf+json', await writePathGltf(scene));
  }
}
