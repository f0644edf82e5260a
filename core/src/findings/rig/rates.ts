import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Scene } from '../../scene';
import { largest, type Samples } from '../../motion';
import { stickShare, upTo, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.speed': {
    measures: 'speed of the camera, m/s',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['takeLonger', 'otherStick', 'travelLess', 'otherRig'],
  },
  'rig.climb': {
    measures: 'climbing or sinking, m/s',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['takeLonger', 'otherStick', 'travelLess', 'otherRig'],
  },
  'rig.acceleration': {
    measures: 'acceleration of the camera, m/s²',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['softerStart', 'softerStop', 'takeLonger', 'otherRig'],
  },
  'rig.pan': {
    measures: 'turning, degrees a second',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['takeLonger', 'otherStick', 'travelLess', 'otherRig'],
  },
  'rig.tiltRate': {
    measures: 'tilting, degrees a second',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['takeLonger', 'otherStick', 'travelLess', 'otherRig'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Speeds, accelerations and turning rates of the camera against the rig, in real time. */
function rateFindings({ rig, shot, limits }: Scene, samples: Samples, { speed, degrees }: Say): Found[] {
  const { xM, yM, zM, panDeg, tiltDeg } = samples;
  const { flight, turning, words } = stickShare(rig, shot.stick);
  const findings: Found[] = [];
  const check = (
    column: Float64Array,
    use: {
      id: Found['id'];
      measure: string;
      limit: number;
      unit: string;
      say: (value: number) => string;
      reason: string;
    },
    sentence: (said: string, most: string) => string,
  ) => {
    const peak = largest(column);
    if (!peak || peak.value < 1e-4) return;
    findings.push(
      upTo(limits, {
        ...use,
        value: peak.value,
        screenS: samples.screenS[peak.row],
        sentence: sentence(use.say(peak.value), use.say(use.limit)),
      }),
    );
  };
  const steady = rig.kind === 'drone' ? words : '';
  check(
    rates(samples, (i) => Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1])),
    {
      id: 'rig.speed',
      measure: 'camera speed',
      limit: rig.speedMaxMps * flight,
      unit: 'm/s',
      say: speed,
      reason: 'Faster than steady is no longer smooth.',
    },
    (said, most) => `The camera travels at up to ${said}; ${rig.name} keeps steady up to ${most}${steady}.`,
  );
  check(
    rates(samples, (i) => Math.abs(zM[i] - zM[i - 1])),
    {
      id: 'rig.climb',
      measure: 'climbing',
      limit: rig.climbMaxMps * flight,
      unit: 'm/s',
      say: speed,
      reason: 'Arms, knees, arms of steel and rotors lift more slowly than they travel.',
    },
    (said, most) => `The camera climbs or sinks at up to ${said}; ${rig.name} manages ${most}${steady}.`,
  );
  // What falls is caught, and gravity is no motor.
  if (rig.kind !== 'drop')
    check(
      accelerations(samples),
      {
        id: 'rig.acceleration',
        measure: 'acceleration',
        limit: rig.accelerationMaxMps2,
        unit: 'm/s²',
        say: (value) => `${speed(value)} each second`,
        reason: 'What carries the camera cannot start and stop at once; it overshoots the mark.',
      },
      (said, most) => `The camera gains or loses up to ${said}; ${rig.name} manages ${most}.`,
    );
  const perSecond = (deg: number) => `${degrees(deg)}/s`;
  if (rig.kind !== 'turntable')
    check(
      rates(samples, (i) => Math.abs(panDeg[i] - panDeg[i - 1])),
      {
        id: 'rig.pan',
        measure: 'turning',
        limit: rig.panRateMaxDegps * turning,
        unit: 'deg/s',
        say: perSecond,
        reason: 'The head or the hand has to keep up with the aim.',
      },
      (said, most) => `The camera turns at up to ${said}; ${rig.name} turns at ${most}${words}.`,
    );
  check(
    rates(samples, (i) => Math.abs(tiltDeg[i] - tiltDeg[i - 1])),
    {
      id: 'rig.tiltRate',
      measure: 'tilting',
      limit: rig.tiltRateMaxDegps * turning,
      unit: 'deg/s',
      say: perSecond,
      reason: 'The head or the hand has to keep up with the aim.',
    },
    (said, most) => `The camera tilts at up to ${said}; ${rig.name} tilts at ${most}${words}.`,
  );
  return findings;
}

/** Change per second of real time of what `step` measures between a row and the one before it. */
export function rates(samples: Samples, step: (row: number) => number): Float64Array {
  const out = new Float64Array(samples.count).fill(NaN);
  for (let row = 1; row < samples.count; row += 1) out[row] = step(row) * samples.captureRateHz;
  return out;
}

/** Size of the camera's acceleration, m/s², over a tenth of a second: hands and motors feel no shorter jolt. */
function accelerations({ count, captureRateHz, xM, yM, zM }: Samples): Float64Array {
  const out = new Float64Array(count).fill(NaN);
  const k = Math.max(1, Math.round(captureRateHz / 20));
  const hS = k / captureRateHz;
  for (let i = k; i + k < count; i += 1)
    out[i] =
      Math.hypot(
        xM[i + k] - 2 * xM[i] + xM[i - k],
        yM[i + k] - 2 * yM[i] + yM[i - k],
        zM[i + k] - 2 * zM[i] + zM[i - k],
      ) /
      (hS * hS);
  return out;
}

export const rate = define(KINDS, ({ scene, filmed, say }: RigCase) => rateFindings(scene, filmed, say));
