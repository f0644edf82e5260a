import type { MotorGimbal } from '../../model';
import type { SupportDefinition } from '../definition';
import { dragGimbal, drawGimbal } from './drawing';
import { gimbalTold } from './told';

/** A motor gimbal: three axes that motors hold where balance leaves them. */
export const motorGimbal: SupportDefinition<MotorGimbal> = {
  name: 'motor gimbal',
  group: 'carried',
  sentences: [
    'Plate {plateForeMm} forward of the tilt axis and {plateUpMm} above it; cage {cageSideMm} to the right of ' +
      'the roll axis; roll arm {armForeMm} forward of the pan axis.',
    'Cage {cageMassG}, roll arm {armMassG}.',
    'Its maker allows {payloadMaxG}, its motors hold {torqueMaxNm} N m, and it runs {runMin} minutes.',
  ],
  tell: ({ support, placed, units }) => gimbalTold(support, placed, units),
  draw: drawGimbal,
  drag: dragGimbal,
  checks: ['axes', 'motors', 'clear'],
  caution:
    'A gimbal that wakes up turns by itself: crews usually keep fingers out of its arms, hold it before ' +
    'switching it on, and keep to its maker’s payload.',
  refits: {
    camera: { redo: 'all four balances', minutes: 12 },
    lens: { redo: 'tilt fore and aft, then pan', minutes: 6 },
    filter: { redo: 'tilt fore and aft', minutes: 2 },
    zoom: { redo: 'tilt fore and aft, then tape the zoom', minutes: 2 },
  },
};
