import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Scene } from '../../scene';
import type { Samples } from '../../motion';
import { groundHeightM } from '../../site';
import { ON_THE_GROUND } from './nearest';
import { rollsOn } from './riding';
import { graded, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.step': {
    measures: 'step of the ground, m',
    limits: ['wheelStepM', 'footStepM'],
    about: 'frame',
    cures: ['travelLess', 'standNearerOrFarther', 'otherWayRound', 'stepAside', 'otherRig'],
  },
  'rig.slope': {
    measures: 'slope of the ground, degrees',
    limits: ['wheelSlopeDeg', 'footSlopeDeg', 'tightShare'],
    about: 'frame',
    cures: ['travelLess', 'standNearerOrFarther', 'otherWayRound', 'stepAside', 'otherRig'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** The ground under both ends of a rail: it is laid level whatever lies under it, if somebody props the lower end. */
function railFindings({ rig, limits, ground: stood }: Scene, samples: Samples, { length, degrees }: Say): Found[] {
  if (rig.kind !== 'slider') return [];
  const last = samples.count - 1;
  const at = (row: number) => groundHeightM(stood, samples.xM[row], samples.yM[row]);
  const runM = Math.hypot(samples.xM[last] - samples.xM[0], samples.yM[last] - samples.yM[0]);
  const riseM = Math.abs(at(last) - at(0));
  const slopeDeg = (Math.atan2(riseM, runM) * 180) / Math.PI;
  const limit = limits.wheelSlopeDeg;
  if (runM < 0.05 || slopeDeg <= limit * limits.tightShare) return [];
  return [
    graded(
      {
        id: 'rig.slope',
        measure: 'slope under the rail',
        value: slopeDeg,
        limit,
        screenS: samples.screenS[last],
        unit: 'deg',
        say: degrees,
        sentence:
          `The ground under the rail rises by ${length(riseM)} from end to end (${degrees(slopeDeg)}): prop the lower ` +
          'end until the rail lies as the move asks, and see that it cannot roll off.',
        reason: 'A rail that is not level runs by itself.',
      },
      'tight',
    ),
  ];
}

/** How far a step of the ground and how steep a slope each may be: common practice, no published source. */
function groundFindings(scene: Scene, samples: Samples, heights: Float64Array, say: Say): Found[] {
  const { length, degrees } = say;
  const { limits } = scene;
  const { rig } = scene;
  if (!ON_THE_GROUND.has(rig.kind)) return railFindings(scene, samples, say);
  const wheels = rollsOn(scene) !== null;
  let step = { value: 0, row: 0 };
  let slope = { value: 0, row: 0 };
  const groundM = (row: number) => samples.zM[row] - heights[row];
  let before = groundM(0);
  for (let row = 1; row < samples.count; row += 1) {
    const [dx, dy] = [samples.xM[row] - samples.xM[row - 1], samples.yM[row] - samples.yM[row - 1]];
    const here = groundM(row);
    const riseM = Math.abs(here - before);
    const runM = Math.hypot(dx, dy);
    before = here;
    if (riseM < 1e-6) continue;
    // A rise in less ground than itself is a step; anything gentler is a slope.
    if (riseM > runM) step = riseM > step.value ? { value: riseM, row } : step;
    else slope = Math.atan2(riseM, runM) > slope.value ? { value: Math.atan2(riseM, runM), row } : slope;
  }
  const findings: Found[] = [];
  const mostStepM = wheels ? limits.wheelStepM : limits.footStepM;
  if (step.value > 0.01) {
    const sentence = `The ground steps by ${length(step.value)}; ${wheels ? 'wheels take' : 'feet take'} ${length(mostStepM)}.`;
    findings.push(
      graded(
        {
          id: 'rig.step',
          measure: 'step',
          value: step.value,
          limit: mostStepM,
          screenS: samples.screenS[step.row],
          unit: 'm',
          say: length,
          sentence,
          reason: 'Every step of the ground reaches the picture, and eyes on a screen do not see it coming.',
        },
        step.value > mostStepM ? 'cannot' : 'tight',
      ),
    );
  }
  const mostSlopeDeg = wheels ? limits.wheelSlopeDeg : limits.footSlopeDeg;
  const slopeDeg = (slope.value * 180) / Math.PI;
  if (slopeDeg > mostSlopeDeg * limits.tightShare) {
    const sentence =
      `The ground slopes by ${degrees(slopeDeg)}; ${wheels ? 'wheels hold still' : 'feet go steadily'} up to ` +
      `${degrees(mostSlopeDeg)}.`;
    findings.push(
      graded(
        {
          id: 'rig.slope',
          measure: 'slope',
          value: slopeDeg,
          limit: mostSlopeDeg,
          screenS: samples.screenS[slope.row],
          unit: 'deg',
          say: degrees,
          sentence,
          reason: 'Weight runs downhill.',
        },
        slopeDeg > mostSlopeDeg ? 'cannot' : 'tight',
      ),
    );
  }
  return findings;
}

export const ground = define(KINDS, ({ scene, filmed, heights, say }: RigCase) =>
  groundFindings(scene, filmed, heights, say),
);
