import type { Landing, OwnModel, SiteFromEarth } from '@gentle-arc/core/formats';
import type { ShotRow } from '@gentle-arc/core/edit';
import type { Part, SitePlace, WalkPoint } from '@gentle-arc/core/model';

/**
 * What the screen that is shown does with a file that is dropped on it. What it does not take is answered with where it
 * belongs.
 */
export interface Takers {
  walk: { landing: Landing; take: (points: WalkPoint[]) => void } | null;
  parts: ((parts: Part[]) => void) | null;
  photo: ((file: File) => void) | null;
  /** A film of a shot, to be measured. */
  clip: ((file: File) => void) | null;
  /** What was recorded of a move, as text. */
  recording: ((file: File) => void) | null;
  model: ((model: OwnModel) => void) | null;
  /** A place: pieces on earth, heights of the ground. Coordinates go by where the site is. */
  site: { place: SitePlace | null; take: (site: SiteFromEarth) => void } | null;
  /** A shot list. */
  shots: ((rows: ShotRow[]) => void) | null;
}

export const takers: Takers = {
  walk: null,
  parts: null,
  photo: null,
  clip: null,
  recording: null,
  model: null,
  site: null,
  shots: null,
};

/** While a component is shown it takes these; call while it is being set up, with what may change read inside. */
export function takeDropped(what: () => Partial<Takers>): void {
  $effect(() => {
    const own = what();
    Object.assign(takers, own);
    return () => {
      for (const key of Object.keys(own) as (keyof Takers)[]) if (takers[key] === own[key]) takers[key] = null;
    };
  });
}
