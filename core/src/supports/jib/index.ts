import type { Jib } from '../../model';
import type { SupportDefinition } from '../definition';
import { dragJib, drawJib } from './drawing';
import { jibTold } from './told';

/** A jib: an arm on a pivot with a counterweight. */
export const jib: SupportDefinition<Jib> = {
  name: 'jib or pole crane',
  group: 'standing',
  sentences: [
    'From the pivot {frontMm} to the camera and {rearMm} to the weight, at {angleDeg}. On the rear: {counterG}.',
    'Pivot {pivotMm} high, feet {footMm} from the middle.',
    'Beam {beamMassG}, an aluminium tube of {tubeMm} with a wall of {wallMm}.',
    '{parallel}.',
  ],
  tell: ({ support, headKg, units }) => jibTold(support, headKg, units),
  draw: drawJib,
  drag: dragJib,
  checks: ['counter', 'level', 'bags', 'line', 'wind', 'clear', 'word'],
  caution:
    'Weight on both ends of an arm: crews usually take the camera off only after the counterweight is held or ' +
    'off, tie both with a second line, keep people out from under either end and put bags on the feet.',
  refits: {
    camera: { redo: 'counterweight and level', minutes: 8 },
    lens: { redo: 'counterweight', minutes: 4 },
    filter: { redo: 'a look at the balance', minutes: 1 },
    zoom: { redo: 'nothing', minutes: 0 },
  },
};
