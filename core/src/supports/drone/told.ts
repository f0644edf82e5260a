import {
  type Drone,
  type Rig,
  sayLength,
  sayMass,
  saySpeed,
  type Shot,
  shotDurationS,
  trim,
  type Units,
  sayCount,
} from '../../model';
import { sayWind } from '../wind';
import { batteriesFor, droneFlight, flightMinutes } from './statics';
import { fact, type Fact, type Told } from '../fact';
import { gradeOf } from '../grade';

export function droneTold(
  drone: Drone,
  payloadKg: number,
  units: Units,
  shots: readonly Shot[],
  rig: Rig | undefined,
): Told {
  const found = droneFlight(drone, payloadKg);
  const heavy = found.hoverShare >= 1;
  const blown = found.upwindMps <= 0;
  const slow = found.windMps > drone.speedMaxMps * 0.6;
  const still = found.flies
    ? ''
    : heavy
      ? 'It does not leave the ground: take something off.'
      : 'It cannot hold itself against this wind: do not take off.';
  return {
    facts: [
      fact(
        'massKg',
        'Take-off mass',
        `${sayMass(found.massKg, units)} of ${sayMass(drone.bodyMaxG / 1000, units)}`,
        found.massKg,
        gradeOf(found.massKg / (drone.bodyMaxG / 1000), 0.95),
        found.overMassKg > 0 ? `${sayMass(found.overMassKg, units)} over its maker’s limit: take something off.` : '',
      ),
      fact(
        'hoverShare',
        'Hovers at',
        `${trim(found.hoverShare * 100, 0)}% of its thrust`,
        found.hoverShare,
        heavy ? 'cannot' : found.hoverShare > 0.6 ? 'tight' : 'fits',
        heavy ? still : found.hoverShare > 0.6 ? 'Little is left to hold against gusts.' : '',
      ),
      fact(
        'windMps',
        `Wind at ${sayLength(drone.heightM, units)}`,
        sayWind(found.windMps),
        found.windMps,
        blown || (!found.flies && !heavy) ? 'cannot' : slow ? 'tight' : 'fits',
        blown
          ? 'It would be blown away: do not take off.'
          : !found.flies && !heavy
            ? still
            : slow
              ? 'It comes back slowly against this: fly out upwind.'
              : '',
      ),
      fact(
        'enduranceMin',
        'In the air',
        found.flies
          ? `${trim(found.enduranceMin, 1)} min to the reserve of ${trim(drone.reserveShare * 100, 0)}%; ` +
              `${trim(found.stillMin, 1)} in still air`
          : 'cannot',
        found.flies ? found.enduranceMin : null,
        found.flies ? null : 'cannot',
        still,
      ),
      ...batteries(shots, found.flies ? found.enduranceMin : 0),
      ...(rig
        ? [
            fact(
              'gimbalTilt',
              'Its gimbal looks',
              `from ${trim(rig.tiltMinDeg, 0)}° to ${trim(rig.tiltMaxDeg, 0)}°, level is ` +
                `0°${rig.rollMaxDeg > 0 ? `, and rolls ${trim(rig.rollMaxDeg, 0)}°` : ''}`,
              null,
            ),
          ]
        : []),
      fact('upwindMps', 'Left against the wind', blown ? 'nothing' : saySpeed(found.upwindMps, units), found.upwindMps),
    ],
    steps: [
      'Check air law, parks’ rules, and who may fly here.',
      'Propellers, battery latch, gimbal cover off, card in.',
      'Home point set, a clear circle for take-off, a spotter watching the sky.',
      'Land at the reserve, whatever the shot.',
    ],
  };
}

/** Batteries for all moves of the shots that it flies. */
function batteries(shots: readonly Shot[], enduranceMin: number): Fact[] {
  if (shots.length === 0) return [];
  const minutes = flightMinutes(shots.map(shotDurationS));
  const count = batteriesFor(minutes, enduranceMin);
  const few = Number.isFinite(count);
  const label = `Batteries for ${shots.length === 1 ? 'its shot' : `its ${shots.length} shots`}`;
  const said = few
    ? `${count}, for about ${sayCount(Math.round(minutes), 'minute')} in the air`
    : enduranceMin === 0
      ? 'no number of them: it does not fly'
      : 'no number of them: none lasts for take-off and landing';
  return [fact('batteries', label, said, count, few ? null : 'cannot')];
}
