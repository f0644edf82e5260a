import { type Arm, sayLength, sayMass, sayMm, trim, type Units } from '../../model';
import type { Lump } from '../masses';
import { sayWind } from '../wind';
import { armStand } from './statics';
import { fact, type Told } from '../fact';
import { gradeOfMargin } from '../grade';
import { bagWords } from '../bag';

/**
 * A head on its legs, or an arm that reaches out from them. `pictureDeg` is how wide the picture is, null where there
 * is no camera of the kit.
 */
export function armTold(arm: Arm, placed: readonly Lump[], units: Units, pictureDeg: number | null): Told {
  const found = armStand(arm, placed);
  const shake = pictureDeg ? found.shakeDeg / pictureDeg : null;
  const wish = arm.marginMm / 1000;
  const where = (deg: number) => `${trim(((deg % 360) + 360) % 360, 0)}° from the front leg`;
  const reaches = arm.reachMm > 0;
  const tips = found.tipsAtMps;
  return {
    facts: [
      fact(
        'marginM',
        'Centre of mass inside the feet, wind from the worst side',
        sayLength(found.marginM, units),
        found.marginM,
        gradeOfMargin(found.marginM, wish),
        found.marginM >= wish
          ? ''
          : reaches
            ? 'Point a leg under the arm, hang a bag, or spread the legs.'
            : 'Hang a bag, spread the legs, or lower the column.',
      ),
      ...(reaches
        ? [
            fact(
              'worstMarginM',
              'At worst',
              `${sayLength(found.worst.marginM, units)}, ${where(found.worst.deg)}`,
              found.worst.marginM,
              gradeOfMargin(found.worst.marginM, wish),
              found.worst.marginM <= 0 ? 'It tips when the arm gets there.' : '',
            ),
            fact(
              'bestMarginM',
              'At best',
              `${sayLength(found.best.marginM, units)}, ${where(found.best.deg)}`,
              found.best.marginM,
            ),
          ]
        : []),
      bagWords(
        'bagKg',
        `Bag for ${sayMm(arm.marginMm, units)} all round`,
        found.bagKg,
        arm.bagG / 1000,
        units,
        'spread the legs',
      ),
      fact('headHeightM', 'Head height', sayLength(found.headHeightM, units), found.headHeightM),
      fact('footM', 'Feet from the middle', sayLength(found.footM, units), found.footM),
      fact(
        'windNm',
        `In a wind of ${sayWind(arm.windMps)}`,
        `${trim(found.windN, 1)} N on camera and shade, ${trim(found.windNm, 1)} N m at the feet`,
        found.windNm,
      ),
      ...(shake === null
        ? []
        : [
            fact(
              'shakeShare',
              'Gusts of it shake the picture by',
              `${trim(shake * 100, shake < 0.001 ? 3 : 2)}% of its width`,
              shake,
              shake < 0.0005 ? 'fits' : shake < 0.002 ? 'tight' : 'cannot',
              shake < 0.0005 ? '' : 'Shade off, column down, a bag under the middle, or a wider lens.',
            ),
          ]),
      fact(
        'tipsAtMps',
        'A gust that tips it',
        tips === 0 ? 'it tips in still air' : Number.isFinite(tips) ? sayWind(tips) : 'nothing catches the wind',
        tips,
        tips === 0 ? 'cannot' : tips < 12 ? 'tight' : null,
        tips > 0 && tips < 12 ? 'Hang a bag, take the shade off, lower the column.' : '',
      ),
      fact('massKg', 'Stands on the ground', sayMass(found.massKg, units), found.massKg),
    ],
    steps: reaches
      ? [
          'Spread the legs on firm ground, one under where the arm goes.',
          'Hang the bag under the middle so that it just touches the ground: it must not swing.',
          'Balance the arm over its own base before the camera goes out.',
          'Tie the camera with a line of its own; go round once slowly by hand. It turns about its stand: ' +
            'forward and up are not what it can do.',
        ]
      : [
          'Spread the legs on firm ground and level the head.',
          ...(arm.bagG > 0 || found.bagKg > 0
            ? ['Hang the bag under the middle so that it just touches the ground: it must not swing.']
            : []),
          'Camera on, quick-release locked; set the drag so that the head stays where it is left.',
        ],
  };
}
