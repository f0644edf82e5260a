import { Refusal } from '@gentle-arc/core/formats/refusal';
import { readWalkCsv } from '@gentle-arc/core/formats/walk-csv';
import type { Landing } from '@gentle-arc/core/formats/walk-gpx';
import type { WalkPoint } from '@gentle-arc/core/model/shot';

/** Reads a walk from a file that a person chose: GPX by its ending or its first tag, CSV otherwise. Gives a sentence when it is refused. */
export async function readWalkFile(file: File, landing: Landing): Promise<WalkPoint[] | string> {
  const text = await file.text();
  try {
    if (/\.gpx$/i.test(file.name) || /<gpx[\s>]/i.test(text.slice(0, 2000))) {
      const { readWalkGpx } = await import('@gentle-arc/core/formats/walk-gpx');
      return readWalkGpx(text, landing);
    }
    return readWalkCsv(text);
  } catch (error) {
    if (error instanceof Refusal) return `“${file.name}” was not taken in, and nothing has changed. ${error.message}`;
    throw error;
  }
}
