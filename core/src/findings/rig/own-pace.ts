import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import { fallS } from '../../supports';
import type { Scene } from '../../scene';
import { largest, type Samples } from '../../motion';
import { GRAVITY_MPS2 } from './angles';
import { rates } from './rates';
import { about, graded, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.turntable': { measures: 'turning, degrees a second', limits: [], about: 'frame', cures: ['otherRig'] },
  'rig.rope': { measures: 'time of the swing, s', limits: [], about: 'frame', cures: ['otherRig'] },
  'rig.fall': { measures: 'time of the fall, s', limits: [], about: 'frame', cures: ['otherRig'] },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;
type Rig = Scene['rig'];

/** Period of a small swing on a rope, s: `T = 2π √(L/g)`. */
export function ropePeriodS(ropeM: number): number {
  return 2 * Math.PI * Math.sqrt(ropeM / GRAVITY_MPS2);
}

/** A turntable turns at one rate, a rope swings and what is let go falls in their own time: the plan has to be theirs. */
function ownPaceFindings(rig: Rig, samples: Samples, say: Say): Found[] {
  if (rig.kind === 'turntable') return turning(rig, samples, say);
  if (rig.kind === 'drop') return falling(rig, samples, say);
  return rig.kind === 'rope' && rig.armM > 0 ? swinging(rig, samples) : [];
}

function turning(rig: Rig, samples: Samples, { degrees }: Say): Found[] {
  const turn = largest(rates(samples, (i) => Math.abs(samples.panDeg[i] - samples.panDeg[i - 1])));
  if (!turn || turn.value < 1) return [];
  const limit = rig.panRateMaxDegps;
  const perSecond = (deg: number) => `${degrees(deg)}/s`;
  const sentence =
    `The camera turns at up to ${perSecond(turn.value)}; ${rig.name} turns at ${perSecond(limit)}, no slower ` +
    'and no faster.';
  return [
    about(
      {
        id: 'rig.turntable',
        measure: 'turning',
        value: turn.value,
        limit,
        screenS: samples.screenS[turn.row],
        unit: 'deg/s',
        say: perSecond,
        sentence,
        reason: 'A record player has one speed: fun pointing at the ceiling, far too fast to sweep a room.',
      },
      0.05,
      0.1,
    ),
  ];
}

function falling(rig: Rig, samples: Samples, { length }: Say): Found[] {
  const { zM, captureRateHz, count } = samples;
  const sinkM = zM[0] - zM[count - 1];
  const sinking = rates(samples, (i) => Math.abs(zM[i] - zM[i - 1]));
  const moving = sinking.reduce((rows, speed) => rows + (speed > 0.02 ? 1 : 0), 0) / captureRateHz;
  if (sinkM < 0.05)
    return [
      graded(
        {
          id: 'rig.fall',
          measure: 'fall',
          value: sinkM,
          limit: 0.05,
          screenS: samples.screenS[0],
          unit: 'm',
          say: length,
          sentence: `${rig.name} only falls; this move does not sink.`,
          reason: 'What is let go goes down and nowhere else.',
        },
        'cannot',
      ),
    ];
  const limit = fallS(sinkM);
  const seconds = (s: number) => `${s.toFixed(2)} s`;
  return [
    about(
      {
        id: 'rig.fall',
        measure: 'fall',
        value: moving,
        limit,
        screenS: samples.screenS[0],
        unit: 's',
        say: seconds,
        sentence: `The camera sinks ${length(sinkM)} in ${seconds(moving)}; let go it falls that far in ${seconds(limit)}.`,
        reason: 'What is let go keeps its own time, √(2h/g): only another height changes it.',
      },
      0.08,
      0.2,
    ),
  ];
}

function swinging(rig: Rig, samples: Samples): Found[] {
  const { xM, yM, zM, captureRateHz } = samples;
  const speeds = rates(samples, (i) => Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1]));
  const moving = speeds.reduce((rows, speed) => rows + (speed > 0.02 ? 1 : 0), 0) / captureRateHz;
  if (moving < 0.1) return [];
  const limit = ropePeriodS(rig.armM) / 2;
  const seconds = (s: number) => `${s.toFixed(1)} s`;
  const sentence =
    `The camera travels for ${seconds(moving)}; on ${rig.name} it swings from one side to the other in ` +
    `${seconds(limit)}.`;
  return [
    about(
      {
        id: 'rig.rope',
        measure: 'swing',
        value: moving,
        limit,
        screenS: samples.screenS[0],
        unit: 's',
        say: seconds,
        sentence,
        reason: 'A rope keeps its own time, 2π√(length/g) there and back: only a longer or shorter rope changes it.',
      },
      0.15,
      0.35,
    ),
  ];
}

export const ownPace = define(KINDS, ({ scene, filmed, say }: RigCase) => ownPaceFindings(scene.rig, filmed, say));
