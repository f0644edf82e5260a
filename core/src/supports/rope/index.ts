import type { Rope } from '../../model';
import type { SupportDefinition } from '../definition';
import { dragRope, drawRope } from './drawing';
import { ropeTold } from './told';

/** A camera on a rope. */
export const rope: SupportDefinition<Rope> = {
  name: 'rope',
  group: 'moving',
  sentences: ['{lines} of {lengthMm}, let go at {swingDeg} from plumb. Second, independent line: {secondLine}.'],
  tell: ({ support, headKg, units }) => ropeTold(support, headKg, units),
  draw: drawRope,
  drag: dragRope,
  checks: ['line', 'rigger', 'lensStrap', 'clear', 'word'],
  caution:
    'A camera on a rope, near people: crews usually add a second, independent line without exception, and have ' +
    'a qualified rigger choose rope, knots and points. These forces are for that person, not a verdict.',
  refits: {
    camera: { redo: 'the rigger’s forces', minutes: 10 },
    lens: { redo: 'the rigger’s forces', minutes: 5 },
    filter: { redo: 'a look at how it hangs', minutes: 2 },
    zoom: { redo: 'how it hangs', minutes: 1 },
  },
};
