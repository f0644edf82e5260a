import { handMm, type Units } from '../../model';
import type { AxisBalance } from './statics';

/** What is slid for each balance of a motor gimbal, and how its two ways are called. */
const PLATES: Record<AxisBalance['name'], [what: string, more: string, less: string]> = {
  'tilt, fore and aft': ['the camera’s plate', 'forward', 'back'],
  'tilt, up and down': ['the camera’s plate', 'up', 'down'],
  roll: ['the cage', 'to the right', 'to the left'],
  pan: ['the roll arm', 'forward', 'back'],
};

/** A slide in words; positive goes forward, up or to the right. */
export function saySlide(name: AxisBalance['name'], byMm: number, units: Units): string {
  const [what, more, less] = PLATES[name];
  return `slide ${what} ${byMm > 0 ? more : less} by ${handMm(Math.abs(byMm), units).said}`;
}
