import { optionWords, sayLength, trim, type Units, type Wheels, WheelsSchema } from '../../model';
import { GRAVITY } from '../elliptic';
import { wheelsStop } from './statics';
import { fact, type Told } from '../fact';
import type { Grade } from '../grade';

/** Wheels at least this large carry over sand: common practice, no published source. */
const SAND_WHEEL_MM = 350;
/** Slopes on which one holds a loaded cart, and on which two do: common practice, no published source. */
const SLOPE_DEG = { one: 4, two: 10 };

function groundFact({ ground, wheelMm }: Wheels): [Grade, string] {
  switch (ground) {
    case 'hard':
      return ['fits', ''];
    case 'loose':
      return [
        'tight',
        'Every bump comes through and it brakes longer: larger, softer wheels, a lower grip typed above, or ' +
          'boards laid under them.',
      ];
    case 'sand':
      return wheelMm < SAND_WHEEL_MM
        ? ['cannot', 'Wheels of this size sink: lay boards, or carry the camera.']
        : ['tight', 'Soft sand stops even large wheels unevenly: lay boards, try it loaded.'];
    case 'wet':
      return [
        'tight',
        'Wet ground grips about half as well: type the grip lower. Through water, wheels are not what to take.',
      ];
  }
}

export function wheelsTold(wheels: Wheels, units: Units): Told {
  const found = wheelsStop(wheels);
  const stops = Number.isFinite(found.stoppingM);
  const down = wheels.downhillDeg > 0 ? ` on ${trim(wheels.downhillDeg, 0)}° downhill` : '';
  const [ground, mend] = groundFact(wheels);
  const crew =
    (wheels.driver ? 2 : 1) +
    (wheels.downhillDeg > SLOPE_DEG.one ? 1 : 0) +
    (wheels.downhillDeg > SLOPE_DEG.two ? 1 : 0);
  const helpers = crew - (wheels.driver ? 2 : 1);
  const hold = helpers === 0 ? '' : `, ${helpers === 1 ? 'one more holds it' : 'two more hold it'} back on the slope`;
  return {
    facts: [
      fact(
        'stoppingM',
        `Stops${down} within`,
        stops
          ? `${sayLength(found.stoppingM, units)}: ${sayLength(found.thinkingM, units)} to react, ` +
              `${sayLength(found.brakingM, units)} to brake`
          : 'never: the slope is steeper than its grip',
        found.stoppingM,
        stops ? null : 'cannot',
        stops ? '' : 'Another way, or another rig: brakes do not hold here.',
      ),
      fact('ground', 'Ground', optionWords(WheelsSchema.shape.ground, wheels.ground), null, ground, mend),
      fact(
        'energyJ',
        'Energy at that speed',
        `${trim(found.energyJ, 0)} J: as a fall from ${sayLength(wheels.speedMps ** 2 / (2 * GRAVITY), units)}`,
        found.energyJ,
      ),
      fact(
        'wheelHz',
        'An uneven wheel shakes',
        `${trim(found.wheelHz, 1)} times a second`,
        found.wheelHz,
        found.wheelHz > 4 ? 'tight' : null,
        found.wheelHz > 4
          ? 'Shaking that a gimbal passes on: larger or softer wheels, smoother ground, go slower; strap the ' +
              'lens, adapters loosen.'
          : '',
      ),
      fact(
        'people',
        'People',
        (wheels.driver ? 'one drives and watches the way, one operates and watches the frame' : 'one does both') + hold,
        crew,
        wheels.driver ? 'fits' : 'tight',
        wheels.driver ? '' : 'Two are better than one: nobody watches both the way and the frame.',
      ),
    ],
    steps: [
      'Strap points: camera body, lens, battery and monitor, each to the mount; a line from the mount to the ' +
        'frame of the vehicle.',
      'Tighten adapters, then again after the first run.',
      stops
        ? `Walk the way, clear ${sayLength(2 * found.stoppingM, units)} beyond its end.`
        : 'Do not let it roll here.',
      'Agree the word that stops it. Batteries full.',
    ],
  };
}
