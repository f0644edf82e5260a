import type { Improvised } from '../../model';
import type { SupportDefinition } from '../definition';
import { drawImprovised } from './drawing';
import { improvisedFacts, improvisedSteps } from './told';

/** Home-made rigs: a turntable, a towel, a book on wheels, a hinged pole. */
export const improvised: SupportDefinition<Improvised> = {
  name: 'home-made rig',
  group: 'home-made',
  sentences: ['{what} of {lengthMm}, over {overS}, or {turnsPerMin} turns a minute.'],
  tell: ({ support, headKg, units }) => ({
    facts: improvisedFacts(support, headKg, units),
    steps: improvisedSteps(support),
  }),
  draw: drawImprovised,

  checks: ['lockedFocus', 'marks', 'clear', 'tape'],
  caution:
    'A home-made rig has no maker’s limits: crews usually try it with a dummy of the same weight first, tape ' +
    'what can loosen, and catch the camera with a hand or a line.',
  refits: {
    camera: { redo: 'tape', minutes: 3 },
    lens: { redo: 'tape', minutes: 2 },
    filter: { redo: 'a look at the tape', minutes: 1 },
    zoom: { redo: 'nothing', minutes: 0 },
  },
};
