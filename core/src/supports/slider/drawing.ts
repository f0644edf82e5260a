import { box, dot, ground, inMm, line, partBoxes, RAD, type RigView } from '../drawing';
import { heapOf } from '../masses';
import { feetAround } from '../feet';
import { sliderStand } from './statics';
import type { Slider } from '../../model';
import type { SupportCase } from '../definition';

/** The rail on its stands with the carriage where it tips most. */
export function drawSlider({ build, support: slider, kit, placed }: SupportCase<Slider>): RigView[] {
  const headKg = heapOf(placed).massKg;
  const { worst, massKg } = sliderStand(slider, headKg);
  const half = slider.railMm / 2;
  const [cos, sin] = [Math.cos(slider.tiltDeg * RAD), Math.sin(slider.tiltDeg * RAD)];
  const rail = (along: number): [number, number] => [along * cos, slider.heightMm + along * sin];
  const ends = slider.stands === 'two' ? [-half, half] : [0];
  const worstMm = worst.alongM * 1000;
  const carriedKg = headKg + slider.carriageMassG / 1000;
  const feet =
    slider.stands === 'two'
      ? [-half * cos, half * cos].map((x) => feetAround(3, slider.footMm / 1000, x < 0 ? 180 : 0, [x / 1000, 0]))
      : [feetAround(3, slider.footMm / 1000)];
  return [
    {
      name: 'From the side',
      shapes: [
        ground(half),
        ...ends.map((end) => {
          const [x, y] = rail(end);
          return line('rig', 'Stand', [
            [x - slider.footMm, 0],
            [x, y],
            [x + slider.footMm, 0],
          ]);
        }),
        ...(slider.bagG > 0 ? ends.map((end) => box('weight', 'Bag', rail(end)[0], 110, 170, 140)) : []),
        line('rig', 'Rail', [rail(-half), rail(half)]),
        box('rig', 'Carriage', rail(worstMm)[0], rail(worstMm)[1] + 20, 120, 40, null, slider.tiltDeg),
        ...partBoxes(build, kit, false, () => [rail(worstMm)[0], rail(worstMm)[1] + 40], false),
      ],
    },
    {
      name: 'From above',
      shapes: [
        ...feet.map((row) => line('edge', 'Feet', row.map(inMm), true)),
        line('rig', 'Rail', [
          [-half * cos, 0],
          [half * cos, 0],
        ]),
        box('rig', 'Carriage', worstMm * cos, 0, 120, 100),
        line('plumb', 'Way of the centre of mass', [
          [-(half * cos * carriedKg) / massKg, 0],
          [(half * cos * carriedKg) / massKg, 0],
        ]),
        dot('centre', 'Centre of mass, at worst', (worstMm * cos * carriedKg) / massKg, 0),
      ],
    },
  ];
}
