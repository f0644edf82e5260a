import { DataTexture, LinearFilter, RGBAFormat } from 'three';
import { letsThrough } from '@gentle-arc/core/light';
import type { Lamp } from '@gentle-arc/core/model';

const SHEET_PX = 128;
const sheets = new Map<Lamp['pattern'], DataTexture>();

/** What breaks a lamp's light up, as a slide before it; made once for each pattern. */
export function patternSheet(pattern: Lamp['pattern']): DataTexture {
  const known = sheets.get(pattern);
  if (known) return known;
  const data = new Uint8Array(4 * SHEET_PX * SHEET_PX).fill(255);
  for (let row = 0; row < SHEET_PX; row += 1)
    for (let column = 0; column < SHEET_PX; column += 1) {
      const at = (px: number) => (2 * (px + 0.5)) / SHEET_PX - 1;
      const light = letsThrough(pattern, at(column), at(row)) ? 255 : 12;
      data.fill(light, 4 * (row * SHEET_PX + column), 4 * (row * SHEET_PX + column) + 3);
    }
  const sheet = new DataTexture(data, SHEET_PX, SHEET_PX, RGBAFormat);
  Object.assign(sheet, { magFilter: LinearFilter, minFilter: LinearFilter, needsUpdate: true });
  sheets.set(pattern, sheet);
  return sheet;
}
