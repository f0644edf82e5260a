import { rowsIn } from './in-order';
import type { Shoot } from './shoot';
import { rowText } from './shoot-text';

/** Most letters that a shoot may have as JSON without spaces: so much of it is read again in a moment, and kept often. */
export const MOST_SHOOT_LETTERS = 16_000_000;

/** Letters of all that can be large in a shoot: pieces, pictures, shots, things of the kit, tries and takes. */
export function lettersIn(shoot: Shoot): number {
  let letters = 0;
  for (const rows of [...rowsIn(shoot), shoot.site.underlays]) for (const row of rows) letters += rowText(row).length;
  return letters;
}

/**
 * Why a shoot is too large to be written and opened again, or null. `before`: what it was changed from; whatever makes
 * it smaller is welcome.
 */
export function tooLarge(shoot: Shoot, before: Shoot | null = null): string | null {
  const letters = lettersIn(shoot);
  if (letters <= MOST_SHOOT_LETTERS || (before && letters < lettersIn(before))) return null;
  const mb = (count: number) => (count / 1e6).toFixed(1);
  return (
    `The shoot would hold ${mb(letters)} MB, of at most ${mb(MOST_SHOOT_LETTERS)}: remove recordings, clips, pictures ` +
    'or models that are not needed any more.'
  );
}
