import { SHOOT_FILE_ENDING, writePathCsv, writeShootFile } from '@gentle-arc/core/formats';
import type { Shoot, Shot } from '@gentle-arc/core/model';
import { sceneOf } from '@gentle-arc/core/scene';
import { writeGltf } from '$lib/workers/read-file';
import { download, fileName } from '$lib/ui/download';

export function exportShoot(shoot: Shoot): void {
  download(fileName(shoot.name) + SHOOT_FILE_ENDING, 'application/json', writeShootFile(shoot));
}

/** A shot's camera path as CSV or glTF. glTF is written off the page. */
export async function exportPath(shoot: Shoot, shot: Shot, format: 'csv' | 'gltf'): Promise<void> {
  const name = `${fileName(shoot.name)}-${fileName(shot.name)}`;
  if (format === 'csv') download(`${name}.csv`, 'text/csv', writePathCsv(sceneOf(shoot, shot)));
  else download(`${name}.gltf`, 'model/gltf+json', await writeGltf(shoot, shot.id));
}
