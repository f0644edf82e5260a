import type { LightSide } from '../light';
import { clockAt, momentOf, sideOfLight, sunAt } from '../light';
import type { SitePlace } from '../model';
import { litShare } from '../image';
import type { Film } from '../motion';

/** How somebody is wished to be lit: from which side, from which hand, and how low the sun may stand. */
export interface LitWish {
  side: LightSide | 'any';
  from: 'left' | 'right' | 'any';
  /** The sun no higher than this, degrees. */
  atMostDeg: number;
}

/** A stretch of the day, by the clock of the place: hours:minutes. */
export interface LitMinutes {
  from: string;
  to: string;
}

/** Looked at every so many minutes. */
const STEP_MINUTES = 5;
const DAY_MINUTES = 1440;
const DEG = 180 / Math.PI;
/** Less of the part in the sun than this is not lit by it. */
const LIT = 0.5;

/**
 * When on a day the subject's part is lit as wished in the middle of the shot, walls, trees and ridges counted; to five
 * minutes. Empty where it never is, or where there is no subject. `day`: as year-month-day by the clock of the place.
 */
export function litWhen(film: Film, place: SitePlace, day: string, wish: LitWish): LitMinutes[] {
  const { scene, samples } = film;
  if (!scene.subject) return [];
  const row = samples.count >> 1;
  const one = {
    ...samples,
    count: 1,
    tS: samples.tS.slice(row, row + 1),
    ...Object.fromEntries(
      (['xM', 'yM', 'zM', 'subjectXM', 'subjectYM', 'subjectZM'] as const).map((key) => [
        key,
        samples[key].slice(row, row + 1),
      ]),
    ),
  };
  const toCamera = Math.atan2(samples.xM[row] - samples.subjectXM[row], samples.yM[row] - samples.subjectYM[row]) * DEG;
  const startMs = momentOf(place, day, '00:00').getTime();
  const at = (minute: number) => new Date(startMs + minute * 60_000);
  const isAsWished = (minute: number): boolean => {
    const sun = sunAt(place, at(minute));
    if (sun.altitudeDeg <= 0 || sun.altitudeDeg > wish.atMostDeg) return false;
    const { side, from } = sideOfLight(sun.azimuthDeg, toCamera);
    if (wish.side !== 'any' && side !== wish.side) return false;
    if (wish.from !== 'any' && from !== wish.from) return false;
    return litShare(scene, one, () => sun)[0] >= LIT;
  };
  const found: LitMinutes[] = [];
  let from: number | null = null;
  for (let minute = 0; minute <= DAY_MINUTES; minute += STEP_MINUTES) {
    const wished = minute < DAY_MINUTES && isAsWished(minute);
    if (wished) from ??= minute;
    else if (from !== null) {
      found.push({ from: clockAt(place, at(from)).time, to: clockAt(place, at(minute - STEP_MINUTES)).time });
      from = null;
    }
  }
  return found;
}
