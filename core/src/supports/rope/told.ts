import { type Rope, sayLength, saySpeed, trim, type Units } from '../../model';
import { ropeSwing } from './statics';
import { fact, type Told } from '../fact';

const PAN = {
  one: 'One rope: it spins, so a pan cannot be held',
  strap: 'A flat strap: it turns slowly, little of a pan is left to chance',
  two: 'Two ropes and a bar: the pan is held',
} as const;

export function ropeTold(rope: Rope, massKg: number, units: Units): Told {
  const found = ropeSwing(rope, massKg);
  const pull =
    `${trim(found.stillN, 0)} N at rest, ${trim(found.lowestN, 0)} N at the bottom of the swing, ` +
    `${trim(found.endN, 0)} N at its ends`;
  return {
    facts: [
      fact('periodS', 'To and fro once', `${trim(found.periodS, 2)} s`, found.periodS),
      fact('reachM', 'From end to end', sayLength(found.reachM, units), found.reachM),
      fact('riseM', 'Rises at the ends', sayLength(found.riseM, units), found.riseM),
      fact('speedMaxMps', 'Fastest, at the bottom', saySpeed(found.speedMaxMps, units), found.speedMaxMps),
      fact('lowestN', 'Pull on the rope, for the rigger', pull, found.lowestN),
      fact(
        'pan',
        'Pan',
        PAN[rope.lines],
        null,
        rope.lines === 'two' ? null : rope.lines === 'strap' ? 'tight' : 'cannot',
        rope.lines === 'one' ? 'Turn pan follow off and cut before it turns, or take two ropes.' : '',
      ),
      fact(
        'secondLine',
        'Second, independent line',
        rope.secondLine ? 'on' : 'missing',
        null,
        rope.secondLine ? null : 'cannot',
        rope.secondLine ? '' : 'Always, without exception, to a point of its own.',
      ),
      fact(
        'shock',
        'Should the rope fail',
        'a slack second line stops a fall with a jerk of many times the weight, which these numbers do not cover',
        null,
        null,
        'The rigger keeps it as short as the swing allows, and with something in it that gives.',
      ),
    ],
    steps: [
      'A qualified rigger chooses points, rope and knots from these forces.',
      'Second line to a point of its own before the camera leaves the hand, with no more slack than the swing ' +
        'needs: slack is a fall, and a fall ends in a shock.',
      'Pan off. Let it go from the start mark without a push.',
      'Nobody below or in its way, from end to end.',
    ],
  };
}
