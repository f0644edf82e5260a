import type { Drone } from '../../model';
import type { SupportDefinition } from '../definition';
import { drawDrone } from './drawing';
import { droneTold } from './told';

/** A drone: what it lifts, how long it flies, and in which wind. */
export const drone: SupportDefinition<Drone> = {
  name: 'drone',
  group: 'moving',
  sentences: [
    'Body with battery {bodyMassG}, at most {bodyMaxG}; thrust up to {thrustMaxN}, up to {speedMaxMps}.',
    'Battery {batteryWh} Wh, hovering at {hoverW} W.',
    'It flies {heightM} high in a wind of {windMps} at 10 m, and lands with {reserveShare} of the battery left.',
  ],
  tell: ({ build, support, kit, headKg, units, shots }) =>
    droneTold(
      support,
      headKg,
      units,
      shots,
      kit.rigs.find(({ id }) => id === build.rigId),
    ),
  draw: drawDrone,

  checks: ['propellers', 'law', 'wind', 'clear', 'word'],
  caution:
    'A drone near or above people: crews usually keep everyone clear of the whole path, keep a spotter, and ' +
    'hold to the maker’s mass, wind and temperature limits and to the air law of the place.',
  refits: {
    camera: { redo: 'gimbal, and take-off mass', minutes: 10 },
    lens: { redo: 'gimbal', minutes: 5 },
    filter: { redo: 'a look at the gimbal', minutes: 2 },
    zoom: { redo: 'nothing', minutes: 0 },
  },
};
