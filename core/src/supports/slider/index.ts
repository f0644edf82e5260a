import type { Slider } from '../../model';
import type { SupportDefinition } from '../definition';
import { drawSlider } from './drawing';
import { sliderTold } from './told';

/** A slider: a carriage on a rail on one or two stands. */
export const slider: SupportDefinition<Slider> = {
  name: 'slider',
  group: 'standing',
  sentences: [
    'A rail of {railMm} on {stands}, tilted {tiltDeg}; bag of {bagG} on each.',
    'Each {heightMm} high, {standMassG}, feet {footMm} from its middle.',
    'Rail {railMassG}, carriage {carriageMassG}, friction {friction}, stiffness {stiffnessNm2} N m².',
  ],
  tell: ({ support, headKg, units }) => sliderTold(support, headKg, units),
  draw: drawSlider,

  checks: ['level', 'bags', 'marks', 'drag', 'clear'],
  caution:
    'A rail with a camera at its end can tip: crews usually put bags on the feet, level again after every move, ' +
    'and stop the carriage by hand on a slope.',
  refits: {
    camera: { redo: 'bags and level', minutes: 4 },
    lens: { redo: 'level', minutes: 2 },
    filter: { redo: 'a look at the level', minutes: 1 },
    zoom: { redo: 'nothing', minutes: 0 },
  },
};
