import { zipSync } from 'fflate';
import type { Shoot } from '@gentle-arc/core/model';
import type { StillsQuestion } from './frames-messages';
import { FilmSheet } from './film-sheet';

/** Writes frames as PNG files in one zip; null when it was called off. */
export async function writeStills(
  shoot: Shoot,
  { widthPx, stills }: StillsQuestion,
  software: boolean,
  onStep: (done: number, of: number) => void,
  goesOn: () => boolean,
): Promise<Blob | null> {
  const sheet = new FilmSheet(shoot, widthPx, software);
  const files: Record<string, Uint8Array> = {};
  try {
    for (const [k, { name, shotId, row }] of stills.entries()) {
      sheet.lay(shotId, row);
      const blob = await sheet.canvas.convertToBlob({ type: 'image/png' });
      files[name] = new Uint8Array(await blob.arrayBuffer());
      onStep(k + 1, stills.length);
      await new Promise((resolve) => setTimeout(resolve));
      if (!goesOn()) return null;
    }
  } finally {
    sheet.dispose();
  }
  // Pictures are packed already.
  return new Blob([zipSync(files, { level: 0 }) as Uint8Array<ArrayBuffer>], { type: 'application/zip' });
}
