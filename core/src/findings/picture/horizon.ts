import { define, type FindingKinds } from '../definition';
import { gradeAbove, type FindingOf } from '../finding';
import { trim } from '../../model';
import { largest } from '../../motion';
import type { Picture } from '../../image';

const KINDS = {
  horizon: {
    measures: 'roll that nobody asked for, degrees',
    limits: ['horizonRollDeg', 'joltFactor'],
    about: 'frame',
    cures: ['steadierAim', 'gentlerGait', 'otherRig'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Roll that nobody asked for: the body's lean and tremor that reach the frame. */
function findHorizon({ scene, samples, intent }: Picture): Found[] {
  const { limits } = scene;
  const free = intent.freeHorizon;
  const worst = largest(
    samples.body.rollDeg.map((roll, row) => Math.abs(roll + (free ? samples.body.leanDeg[row] : 0))),
  );
  const asked = largest(samples.rollDeg.map(Math.abs));
  if (!worst) return [];
  const limit = limits.horizonRollDeg;
  const grade = gradeAbove(worst.value, limit, limit * limits.joltFactor * 2);
  const rolls = !free && asked !== null && asked.value > 0.5;
  return [
    {
      id: 'horizon',
      grade,
      sentence:
        grade === 'calm'
          ? rolls
            ? `The horizon rolls to ${trim(asked.value, 0)}°, which is meant.`
            : 'The horizon stays level.'
          : `The horizon sways by ${trim(worst.value, 1)}°; up to ${trim(limit, 1)}° is not noticed.`,
      reason: free
        ? 'A head that is free on all axes passes the hand’s lean on to the horizon.'
        : 'A horizon that is off by a little looks like a mistake; by a lot, like a choice.',
      screenS: samples.screenS[worst.row],
      value: worst.value,
      limit,
      unit: 'deg',
      said: `${trim(worst.value, 1)}°`,
      measure: 'roll of the horizon',
    },
  ];
}

export const horizon = define(KINDS, findHorizon);
