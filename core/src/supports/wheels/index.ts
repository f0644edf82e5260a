import type { Wheels } from '../../model';
import type { SupportDefinition } from '../definition';
import { drawWheels } from './drawing';
import { wheelsTold } from './told';

/** Wheels: a board, a cart or a trailer. */
export const wheels: SupportDefinition<Wheels> = {
  name: 'wheels',
  group: 'moving',
  sentences: [
    'At {speedMps} with {massKg} kg on wheels of {wheelMm}, grip {grip}, reacting within {reactionS}.',
    'Ground: {ground}, at most {downhillDeg} downhill.',
    '{driver}.',
  ],
  tell: ({ support, units }) => wheelsTold(support, units),
  draw: drawWheels,

  checks: ['marks', 'line', 'lensStrap', 'clear', 'word'],
  caution:
    'A moving camera near people: crews usually have one to drive who watches the way and one to operate, clear ' +
    'the way, strap the lens, and agree a word that stops it.',
  refits: {
    camera: { redo: 'straps', minutes: 6 },
    lens: { redo: 'straps', minutes: 4 },
    filter: { redo: 'a look at the straps', minutes: 1 },
    zoom: { redo: 'nothing', minutes: 0 },
  },
};
