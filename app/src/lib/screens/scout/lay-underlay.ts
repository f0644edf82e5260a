import { addUnderlay } from '@gentle-arc/core/edit';
import type { Shoot } from '@gentle-arc/core/model';
import type { SmallPicture } from '$lib/ui/small-picture';

/** Lays a picture under the plan about a point, named as its file. */
export function layUnderlay(
  shoot: Shoot,
  id: string,
  fileName: string,
  picture: SmallPicture,
  { xM, yM }: { xM: number; yM: number },
): Shoot {
  const name =
    fileName
      .replace(/\.[^.]*$/, '')
      .trim()
      .slice(0, 80) || 'Picture of the place';
  return addUnderlay(shoot, { id, name, ...picture }, xM, yM);
}
