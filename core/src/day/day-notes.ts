import { sayClock } from '../model';
import type { DayCase } from './day-problem';
import { sunTimes } from './light-hours';
import { SETTLED_TO } from './order-search';

/** What should be known of a day before its order is: what nobody has said, and what no order can mend. */
export function dayNotes({ shoot, sun, works, weather }: DayCase): string[] {
  const { day, site } = shoot;
  const notes: string[] = [];
  if (works.length > SETTLED_TO)
    notes.push(
      `${works.length} shots are in this day: no day holds so many, and their order is only roughly searched. ` +
        'Leave some for another day.',
    );
  if (day.date === null) notes.push('Nobody has said which day it is: there is no sun and no weather to go by.');
  if (site.place === null) notes.push('Nobody has said where on earth the site is: there is no sunrise and no sunset.');
  if (sun && sun.up.length === 0)
    notes.push(`The sun does not rise there on ${sun.date}: only shots that need no daylight fit.`);
  if (day.people.length === 0) notes.push('Nobody is named: hands are said, and not counted.');
  if (weather === null) notes.push('There is no forecast: measure the wind where the camera is.');
  for (const { forId, count } of day.batteries)
    if (count === 0) {
      const name = [...shoot.kit.cameras, ...shoot.kit.rigs].find(({ id }) => id === forId)?.name ?? forId;
      notes.push(`There is no battery for ${name}: nothing is shot with it.`);
    }
  return notes;
}

/** When the sun sets on the day, and rises: words for a head line; null without a sun. */
export function sunWords({ sun }: Pick<DayCase, 'sun'>): string | null {
  if (!sun) return null;
  const { riseMin, setMin } = sunTimes(sun);
  if (riseMin === null && setMin === null)
    return sun.up.length > 0 ? 'The sun does not set on that day.' : 'The sun does not rise on that day.';
  return [
    riseMin === null ? null : `sunrise ${sayClock(riseMin)}`,
    setMin === null ? null : `sunset ${sayClock(setMin)}`,
  ]
    .filter((row) => row !== null)
    .join(', ');
}
