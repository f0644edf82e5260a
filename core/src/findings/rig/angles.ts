import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Scene } from '../../scene';
import { largest, type Samples } from '../../motion';
import { graded, upTo, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.tilt': { measures: 'tilt, degrees', limits: [], about: 'frame', cures: ['otherRig'] },
  'rig.roll': { measures: 'roll, degrees', limits: ['tightShare'], about: 'frame', cures: ['otherRig'] },
  'rig.bank': {
    measures: 'bank in a turn, degrees',
    limits: ['tightShare'],
    about: 'frame',
    cures: ['takeLonger', 'standFarther'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Standard gravity, m/s². */
export const GRAVITY_MPS2 = 9.80665;
const DEG = 180 / Math.PI;

/**
 * Bank of a coordinated level turn, degrees: `tan φ = v² / (g r)` (any flight-mechanics text). 0 for a straight flight
 * (infinite radius).
 */
export function bankDeg(speedMps: number, radiusM: number): number {
  return Math.atan((speedMps * speedMps) / (GRAVITY_MPS2 * radiusM)) * DEG;
}

/** Tilt, roll and bank against what head and rig allow. */
function angleFindings(scene: Scene, samples: Samples, say: Say): Found[] {
  const { rig } = scene;
  return [
    ...tiltFindings(rig, samples, say),
    ...rollFindings(scene, samples, say),
    ...bankFindings(scene, samples, say),
  ];
}

type Rig = Scene['rig'];

function tiltFindings(rig: Rig, samples: Samples, { degrees }: Say): Found[] {
  const up = largest(samples.tiltDeg);
  const down = largest(samples.tiltDeg.map((deg) => -deg));
  if (!up || !down || (up.value <= rig.tiltMaxDeg + 0.01 && -down.value >= rig.tiltMinDeg - 0.01)) return [];
  const [value, limit, row] =
    up.value > rig.tiltMaxDeg + 0.01 ? [up.value, rig.tiltMaxDeg, up.row] : [-down.value, rig.tiltMinDeg, down.row];
  const sentence =
    `The camera would have to tilt to ${degrees(value)}; ${rig.name} tilts from ${degrees(rig.tiltMinDeg)} to ` +
    `${degrees(rig.tiltMaxDeg)}.`;
  return [
    graded(
      {
        id: 'rig.tilt',
        measure: 'tilt',
        value,
        limit,
        screenS: samples.screenS[row],
        unit: 'deg',
        say: degrees,
        sentence,
        reason: 'The head ends there.',
      },
      'cannot',
    ),
  ];
}

/** A lean that the horizon gets from the hand by itself is no demand on the head. */
const LEVEL_DEG = 8;

function rollFindings({ rig, limits }: Scene, samples: Samples, { degrees }: Say): Found[] {
  const most = largest(samples.rollDeg.map(Math.abs));
  if (!most || most.value < LEVEL_DEG) return [];
  const sentence =
    `The frame rolls to ${degrees(samples.rollDeg[most.row])}; ${rig.name} ` +
    `${rig.rollMaxDeg > 0 ? `rolls up to ${degrees(rig.rollMaxDeg)} either way` : 'keeps it level'}.`;
  return [
    upTo(limits, {
      id: 'rig.roll',
      measure: 'roll',
      value: most.value,
      limit: rig.rollMaxDeg,
      screenS: samples.screenS[most.row],
      unit: 'deg',
      say: degrees,
      sentence,
      reason: 'A head rolls only as far as its motor, or a plate turned by 90°, lets it.',
    }),
  ];
}

function bankFindings({ rig, limits }: Scene, samples: Samples, { degrees }: Say): Found[] {
  if (rig.bankMaxDeg === 0) return [];
  const { count, captureRateHz: hz, xM, yM } = samples;
  const bank = new Float64Array(count).fill(NaN);
  for (let i = 1; i + 1 < count; i += 1) {
    const [vx, vy] = [((xM[i + 1] - xM[i - 1]) * hz) / 2, ((yM[i + 1] - yM[i - 1]) * hz) / 2];
    const speed = Math.hypot(vx, vy);
    if (speed < 0.2) continue;
    const [ax, ay] = [(xM[i + 1] - 2 * xM[i] + xM[i - 1]) * hz * hz, (yM[i + 1] - 2 * yM[i] + yM[i - 1]) * hz * hz];
    const sideways = Math.abs(vx * ay - vy * ax) / speed;
    if (sideways > 1e-6) bank[i] = bankDeg(speed, (speed * speed) / sideways);
  }
  const most = largest(bank);
  if (!most) return [];
  const sentence = `${rig.name} leans ${degrees(most.value)} into the turn; up to ${degrees(rig.bankMaxDeg)} it flies steadily.`;
  return [
    upTo(limits, {
      id: 'rig.bank',
      measure: 'bank',
      value: most.value,
      limit: rig.bankMaxDeg,
      screenS: samples.screenS[most.row],
      unit: 'deg',
      say: degrees,
      sentence,
      reason: 'Turning flight leans: faster or tighter, and the rotors come into the frame and the height is lost.',
    }),
  ];
}

export const angle = define(KINDS, ({ scene, filmed, say }: RigCase) => angleFindings(scene, filmed, say));
