import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Scene } from '../../scene';
import { trim } from '../../model';
import { type Intent, largest, type Samples } from '../../motion';
import { graded, SLACK, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.lens': { measures: 'focal length, mm', limits: [], about: 'frame', cures: ['insideTheLens', 'otherLens'] },
  'rig.focus': {
    measures: 'closest focus needed, m',
    limits: [],
    about: 'frame',
    cures: ['standFarther', 'otherLens'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Focal length and closest focus against the lens. A zoom that holds a size is judged by what it shows. */
function lensFindings({ shot, lens, subject }: Scene, intent: Intent, samples: Samples, { length }: Say): Found[] {
  const findings: Found[] = [];
  const mm = (value: number) => `${trim(value, 1)} mm`;
  const { focalLengthMinMm, focalLengthMaxMm } = lens;
  const asked = [shot.focalLengthMm, ...intent.focalLengthsMm];
  const value = asked.find((focal) => focal < focalLengthMinMm - SLACK || focal > focalLengthMaxMm + SLACK);
  if (value !== undefined) {
    const limit = value < focalLengthMinMm ? focalLengthMinMm : focalLengthMaxMm;
    const sentence =
      `The shot asks for ${mm(value)}; ${lens.name} gives ${trim(focalLengthMinMm, 0)} to ` +
      `${mm(focalLengthMaxMm)}.`;
    findings.push(
      graded(
        {
          id: 'rig.lens',
          measure: 'focal length',
          value,
          limit,
          screenS: 0,
          unit: 'mm',
          say: mm,
          sentence,
          reason: 'Choose another lens, or a focal length this one has.',
        },
        'cannot',
      ),
    );
  }
  const dark = intent.goesDark;
  const closest = largest(samples.focusDistanceM.map((m) => -m));
  if (subject && closest && -closest.value < lens.closestFocusM) {
    const distanceM = -closest.value;
    const sentence =
      `The focus would have to come to ${length(distanceM)}; ${lens.name} focuses from ` +
      `${length(lens.closestFocusM)}${dark ? ', which does not show in the dark' : ''}.`;
    findings.push(
      graded(
        {
          id: 'rig.focus',
          measure: 'distance',
          value: distanceM,
          limit: lens.closestFocusM,
          screenS: samples.screenS[closest.row],
          unit: 'm',
          say: length,
          sentence,
          reason: 'Nearer than that it stays soft.',
        },
        dark ? 'fits' : 'cannot',
      ),
    );
  }
  return findings;
}

export const lensReach = define(KINDS, ({ scene, intent, filmed, say }: RigCase) =>
  lensFindings(scene, intent, filmed, say),
);
