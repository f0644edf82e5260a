import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Scene } from '../../scene';
import { largest, type Samples } from '../../motion';
import { graded, SLACK, upTo, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.height': {
    measures: 'height of the lens above the ground, m',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['asHighAsItReaches', 'otherRig'],
  },
  'rig.held': {
    measures: 'height of a lens that is held upright, m',
    limits: [],
    about: 'frame',
    cures: ['heldUpright', 'otherRig'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Lens height above the ground against what the rig reaches. */
function heightFindings({ rig, limits }: Scene, samples: Samples, heights: Float64Array, { length }: Say): Found[] {
  const highest = largest(heights);
  const lowest = largest(heights.map((m) => -m));
  if (!highest || !lowest) return [];
  const common = { id: 'rig.height' as const, measure: 'lens height', unit: 'm', say: length };
  if (-lowest.value < rig.heightMinM - SLACK && highest.value <= rig.heightMaxM) {
    const value = -lowest.value;
    const sentence = `The lens is ${length(value)} above the ground; ${rig.name} goes down to ${length(rig.heightMinM)}.`;
    return [
      graded(
        {
          ...common,
          value,
          limit: rig.heightMinM,
          screenS: samples.screenS[lowest.row],
          sentence,
          reason: 'The rig, or the ground, is in the way.',
        },
        'cannot',
      ),
    ];
  }
  const low = heldLow(rig, -lowest.value, samples.screenS[lowest.row], length);
  const sentence =
    `The lens is at most ${length(highest.value)} above the ground; ${rig.name} reaches ` +
    `${length(rig.heightMaxM)}.`;
  return [
    upTo(limits, {
      ...common,
      value: highest.value,
      limit: rig.heightMaxM,
      screenS: samples.screenS[highest.row],
      sentence,
      reason: 'Higher needs something steady to stand on, or another rig.',
    }),
    ...low,
  ];
}

/**
 * A squat with the gimbal upright: below this it hangs from a bent back, or is turned over. Common practice, no
 * published source.
 */
const UPRIGHT_FROM_M = 0.5;

/** A gimbal that is also held upright, carried so low that it has to be slung or turned over. */
function heldLow(rig: Scene['rig'], lowestM: number, tS: number, length: Say['length']): Found[] {
  if (rig.kind !== 'gimbal' || rig.heightMaxM < 1 || rig.armM > 0 || lowestM >= UPRIGHT_FROM_M - SLACK) return [];
  return [
    graded(
      {
        id: 'rig.held',
        measure: 'lens height',
        unit: 'm',
        say: length,
        value: lowestM,
        limit: UPRIGHT_FROM_M,
        screenS: tS,
        sentence:
          `The lens is ${length(lowestM)} above the ground: below ${length(UPRIGHT_FROM_M)} ${rig.name} has to be ` +
          'slung low or turned over, with a bent back.',
        reason: 'Held so, steps come through and arms tire; it is another way to carry it, with its own balance.',
      },
      'tight',
    ),
  ];
}

export const height = define(KINDS, ({ scene, filmed, heights, say }: RigCase) =>
  heightFindings(scene, filmed, heights, say),
);
