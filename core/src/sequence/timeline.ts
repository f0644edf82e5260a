import type { Shoot } from '../model';
import { cutSeconds, type Told } from './told';

/** A stretch of the film: frames of one shot, or black. */
export interface FilmStretch {
  /** Which shot, from 0; null for black. */
  index: number | null;
  fromS: number;
  toS: number;
  /** First frame of the shot that is shown, and how many a second. */
  first: number;
  rateHz: number;
}

/** The film from its first frame to its last: every shot's cut in the order of the story, and black between. */
export function timelineOf(told: readonly Pick<Told, 'shot' | 'frames'>[]): FilmStretch[] {
  const film: FilmStretch[] = [];
  let atS = 0;
  told.forEach(({ frames, shot }, index) => {
    const toS = atS + cutSeconds(frames);
    film.push({ index, fromS: atS, toS, first: frames.first, rateHz: frames.rateHz });
    atS = toS;
    if (shot.join.kind === 'black' && index + 1 < told.length) {
      film.push({ index: null, fromS: atS, toS: atS + shot.join.blackS, first: 0, rateHz: frames.rateHz });
      atS += shot.join.blackS;
    }
  });
  return film;
}

/** What is shown at a moment of the film: a stretch and the frame of its shot. At the end its last frame. */
export function shownAt(film: readonly FilmStretch[], filmS: number): { stretch: FilmStretch; row: number } | null {
  const stretch = film.find(({ toS }) => filmS < toS - 1e-9) ?? film.at(-1);
  if (!stretch) return null;
  const frames = Math.round((stretch.toS - stretch.fromS) * stretch.rateHz);
  const frame = Math.floor((Math.max(stretch.fromS, filmS) - stretch.fromS) * stretch.rateHz + 1e-6);
  return { stretch, row: stretch.first + Math.min(frame, Math.max(0, frames - 1)) };
}

/** One frame of a film that is taken away. */
export interface FilmFrame {
  /** Which shot, from 0; null for black. */
  index: number | null;
  row: number;
  /** s from the first frame that is taken. */
  atS: number;
}

/** Every frame at a rate, of all of the film or of one shot's stretch; one at least, none of an empty film. */
export function framesAt(film: readonly FilmStretch[], rateHz: number, only: number | null = null): FilmFrame[] {
  const stretch = only === null ? null : film.find(({ index }) => index === only);
  if (film.length === 0 || stretch === undefined) return [];
  const [fromS, toS] = stretch ? [stretch.fromS, stretch.toS] : [0, filmSeconds(film)];
  return Array.from({ length: Math.max(1, Math.round((toS - fromS) * rateHz)) }, (_, k) => {
    // A hair into the frame: a cut falls on its first moment.
    const at = shownAt(film, fromS + k / rateHz + 1e-6);
    return { index: at?.stretch.index ?? null, row: at?.row ?? 0, atS: k / rateHz };
  });
}

export const filmSeconds = (film: readonly FilmStretch[]): number => film.at(-1)?.toS ?? 0;

/** The rate that most of the film is shown at, Hz; 24 without shots. */
export function filmRateHz({ shots }: Pick<Shoot, 'shots'>): number {
  const counts = new Map<number, number>();
  for (const { frameRateHz } of shots) counts.set(frameRateHz, (counts.get(frameRateHz) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 24;
}
