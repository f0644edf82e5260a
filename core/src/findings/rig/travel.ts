import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Scene } from '../../scene';
import { type Intent, largest, pathLengthM, type Samples } from '../../motion';
import { graded, upTo, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.travel': {
    measures: 'length of the path, m',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['travelAsFarAsItReaches', 'otherRig'],
  },
  'rig.arm': { measures: 'length of the arm that a move needs, m', limits: [], about: 'frame', cures: ['otherRig'] },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Travel of the path against the rig's, and a move's own arm against the rig's arm. */
function pathFindings({ rig, limits }: Scene, intent: Intent, samples: Samples, { length }: Say): Found[] {
  const lengthM = pathLengthM(samples);
  const common = { screenS: samples.screenS[samples.count - 1], unit: 'm', say: length };
  const findings: Found[] = [
    upTo(limits, {
      ...common,
      id: 'rig.travel',
      measure: 'travel',
      value: lengthM,
      limit: rig.travelM,
      sentence: `The path is ${length(lengthM)} long; ${rig.name} travels ${length(rig.travelM)}.`,
      reason: 'A rail, an arm and a flight all end somewhere.',
    }),
  ];
  const arm = armsOf(intent);
  if (rig.armM > 0 && arm.length > 0) {
    const reach = largest(Float64Array.from(samples.tS, (tS, i) => armLengthM(arm, tS, samples, i)));
    if (reach) {
      const sentence = `The arm would have to be ${length(reach.value)} long; that of ${rig.name} is ${length(rig.armM)}.`;
      const use = {
        ...common,
        id: 'rig.arm' as const,
        measure: 'arm',
        value: reach.value,
        limit: rig.armM,
        screenS: samples.screenS[reach.row],
        sentence,
        reason: 'The camera stays on the circle of its arm.',
      };
      findings.push(graded(use, reach.value > rig.armM * 1.02 ? 'cannot' : 'fits'));
    }
  }
  return findings;
}

/** The legs whose camera hangs on an arm, each with the point that the arm turns about. */
function armsOf({ strokes }: Intent) {
  return strokes.flatMap(({ armBase, fromS, toS }) => (armBase ? [{ base: armBase, fromS, toS }] : []));
}

function armLengthM(arms: ReturnType<typeof armsOf>, tS: number, { xM, yM, zM }: Samples, row: number): number {
  const arm = arms.find(({ fromS, toS }) => tS >= fromS && tS <= toS);
  return arm ? Math.hypot(xM[row] - arm.base.xM, yM[row] - arm.base.yM, zM[row] - arm.base.zM) : NaN;
}

/** Where the arm's own stand is at a moment; null when no arm carries the camera then. */
export function armStandAt(intent: Intent, tS: number) {
  return armsOf(intent).find(({ fromS, toS }) => tS >= fromS && tS <= toS)?.base ?? null;
}

export const travel = define(KINDS, ({ scene, intent, filmed, say }: RigCase) =>
  pathFindings(scene, intent, filmed, say),
);

/** One trouble is told once: what stays where it stands, and an arm that is too short for its own move, say it all. */
export function travelSaysItAll({ scene, intent, filmed, say }: RigCase): boolean {
  const ways = pathFindings(scene, intent, filmed, say);
  return ways.some(({ grade, limit }) => grade === 'cannot' && (limit === 0 || ways.length > 1));
}
