import type { Finding, RigGrade } from '../model/finding';
import type { Rig } from '../model/kit';
import { LIMITS } from '../model/limits';
import type { Setup } from '../model/shoot';
import { sayLength, saySpeed, trim, type Units } from '../model/units';
import { largest } from '../motion/columns';
import type { Samples, ShotMotion } from '../motion/sample';
import { groundHeightM, groundPieces } from '../site/ground';

/** A value held against what the rig can do, and how to say it. */
interface Use {
  id: string;
  measure: string;
  value: number;
  limit: number;
  tS: number;
  unit: string;
  say: (amount: number) => string;
  sentence: string;
  reason: string;
}

const finding = ({ say, ...use }: Use, grade: RigGrade): Finding => ({ ...use, grade, said: say(use.value) });

/** Grades a use that the rig limits from above: tight from nine tenths of its reach on. */
function upTo(use: Use): Finding {
  const { value, limit } = use;
  return finding(use, value > limit + SLACK ? 'cannot' : limit > 0 && value > limit * LIMITS.tightShare.value ? 'tight' : 'fits');
}

const SLACK = 1e-6;

/** Whether the rig and the lens can make the move: travel, path, height, speed, turning, tilt, focal length and closest focus. */
export function rigFindings(setup: Setup, motion: ShotMotion, samples: Samples, units: Units): Finding[] {
  const say = { length: (m: number) => sayLength(m, units), speed: (mps: number) => saySpeed(mps, units), degrees: (deg: number) => `${trim(deg, 0)}°` };
  return [
    ...pathFindings(setup.rig, motion, say),
    ...heightFindings(setup, samples, say),
    ...rateFindings(setup.rig, samples, say),
    ...tiltFindings(setup.rig, samples, say),
    ...lensFindings(setup, samples, say),
  ];
}

interface Say {
  length: (m: number) => string;
  speed: (mps: number) => string;
  degrees: (deg: number) => string;
}

function pathFindings(rig: Rig, motion: ShotMotion, { length }: Say): Finding[] {
  const { lengthM, curved } = motion.track;
  const findings = [
    upTo({
      id: 'rig.travel',
      measure: 'travel',
      value: lengthM,
      limit: rig.travelM,
      tS: motion.pace.endS,
      unit: 'm',
      say: length,
      sentence: `The path is ${length(lengthM)} long; ${rig.name} travels ${length(rig.travelM)}.`,
      reason: 'A rail, an arm and a flight all end somewhere.',
    }),
  ];
  if (rig.kind === 'slider' && curved) {
    const value = bendM(motion);
    const sentence = `The path bends by ${length(value)}; ${rig.name} is straight.`;
    findings.push(
      upTo({
        id: 'rig.path',
        measure: 'bend',
        value,
        limit: LIMITS.straightnessM.value,
        tS: motion.pace.startS,
        unit: 'm',
        say: length,
        sentence,
        reason: 'A straight rail cannot follow a curve.',
      }),
    );
  }
  return findings;
}

function heightFindings(setup: Setup, samples: Samples, { length }: Say): Finding[] {
  const { rig } = setup;
  const heights = heightsM(setup, samples);
  const highest = largest(heights);
  const lowest = largest(heights.map((m) => -m));
  if (!highest || !lowest) return [];
  const common = { id: 'rig.height', measure: 'lens height', unit: 'm', say: length };
  if (-lowest.value < rig.heightMinM - SLACK && highest.value <= rig.heightMaxM) {
    const value = -lowest.value;
    const sentence = `The lens is ${length(value)} above the ground; ${rig.name} goes down to ${length(rig.heightMinM)}.`;
    return [finding({ ...common, value, limit: rig.heightMinM, tS: samples.tS[lowest.row], sentence, reason: 'The rig, or the ground, is in the way.' }, 'cannot')];
  }
  const sentence = `The lens is at most ${length(highest.value)} above the ground; ${rig.name} reaches ${length(rig.heightMaxM)}.`;
  return [
    upTo({ ...common, value: highest.value, limit: rig.heightMaxM, tS: samples.tS[highest.row], sentence, reason: 'Higher needs something steady to stand on, or another rig.' }),
  ];
}

function rateFindings(rig: Rig, samples: Samples, { speed, degrees }: Say): Finding[] {
  const { xM, yM, zM, panDeg, tS } = samples;
  const findings: Finding[] = [];
  const pace = largest(rates(samples, (i) => Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1])));
  if (pace && rig.speedMaxMps > 0)
    findings.push(
      upTo({
        id: 'rig.speed',
        measure: 'camera speed',
        value: pace.value,
        limit: rig.speedMaxMps,
        tS: tS[pace.row],
        unit: 'm/s',
        say: speed,
        sentence: `The camera travels at up to ${speed(pace.value)}; ${rig.name} keeps steady up to ${speed(rig.speedMaxMps)}.`,
        reason: 'Faster than steady is no longer smooth.',
      }),
    );
  const turn = largest(rates(samples, (i) => Math.abs(panDeg[i] - panDeg[i - 1])));
  if (turn)
    findings.push(
      upTo({
        id: 'rig.pan',
        measure: 'turning',
        value: turn.value,
        limit: rig.panRateMaxDegps,
        tS: tS[turn.row],
        unit: 'deg/s',
        say: (deg) => `${degrees(deg)}/s`,
        sentence: `The camera turns at up to ${degrees(turn.value)}/s; ${rig.name} turns at ${degrees(rig.panRateMaxDegps)}/s.`,
        reason: 'The head or the hand has to keep up with the aim.',
      }),
    );
  return findings;
}

function tiltFindings(rig: Rig, samples: Samples, { degrees }: Say): Finding[] {
  const up = largest(samples.tiltDeg);
  const down = largest(samples.tiltDeg.map((deg) => -deg));
  if (!up || !down || (up.value <= rig.tiltMaxDeg && -down.value >= rig.tiltMinDeg)) return [];
  const [value, limit, row] = up.value > rig.tiltMaxDeg ? [up.value, rig.tiltMaxDeg, up.row] : [-down.value, rig.tiltMinDeg, down.row];
  const sentence = `The camera would have to tilt to ${degrees(value)}; ${rig.name} tilts from ${degrees(rig.tiltMinDeg)} to ${degrees(rig.tiltMaxDeg)}.`;
  return [finding({ id: 'rig.tilt', measure: 'tilt', value, limit, tS: samples.tS[row], unit: 'deg', say: degrees, sentence, reason: 'The head ends there.' }, 'cannot')];
}

function lensFindings({ shot, lens, subject }: Setup, samples: Samples, { length }: Say): Finding[] {
  const findings: Finding[] = [];
  const mm = (value: number) => `${trim(value, 1)} mm`;
  const { focalLengthMinMm, focalLengthMaxMm } = lens;
  const value = shot.focalLengthMm;
  if (value < focalLengthMinMm - SLACK || value > focalLengthMaxMm + SLACK) {
    const limit = value < focalLengthMinMm ? focalLengthMinMm : focalLengthMaxMm;
    const sentence = `The shot asks for ${mm(value)}; ${lens.name} gives ${trim(focalLengthMinMm, 0)} to ${mm(focalLengthMaxMm)}.`;
    findings.push(
      finding(
        { id: 'rig.lens', measure: 'focal length', value, limit, tS: 0, unit: 'mm', say: mm, sentence, reason: 'Choose another lens, or a focal length this one has.' },
        'cannot',
      ),
    );
  }
  const closest = largest(samples.focusDistanceM.map((m) => -m));
  if (subject && closest && -closest.value < lens.closestFocusM) {
    const distanceM = -closest.value;
    const sentence = `The subject comes to ${length(distanceM)}; ${lens.name} focuses from ${length(lens.closestFocusM)}.`;
    const use = {
      id: 'rig.focus',
      measure: 'distance',
      value: distanceM,
      limit: lens.closestFocusM,
      tS: samples.tS[closest.row],
      unit: 'm',
      say: length,
      sentence,
      reason: 'Nearer than that it stays soft.',
    };
    findings.push(finding(use, 'cannot'));
  }
  return findings;
}

/** Height of the lens above the ground below it, metres, one value per row. */
export function heightsM(setup: Setup, samples: Samples): Float64Array {
  const ground = groundPieces(setup.pieces);
  return samples.zM.map((zM, i) => zM - groundHeightM(ground, samples.xM[i], samples.yM[i]));
}

/** Change per second of what `step` measures between a row and the one before it. */
function rates(samples: Samples, step: (row: number) => number): Float64Array {
  const out = new Float64Array(samples.count).fill(NaN);
  for (let row = 1; row < samples.count; row += 1) out[row] = step(row) * samples.frameRateHz;
  return out;
}

/** Farthest that the track leaves the straight line between its ends, metres; for a closed path, from its start. */
function bendM({ track }: ShotMotion): number {
  const p = new Float64Array(9);
  track.write(0, p, 0);
  track.write(1, p, 3);
  const chord = Math.hypot(p[3] - p[0], p[4] - p[1], p[5] - p[2]);
  let bend = 0;
  for (let k = 1; k < 32; k += 1) {
    track.write(k / 32, p, 6);
    const away = [p[6] - p[0], p[7] - p[1], p[8] - p[2]];
    const along = chord > 1e-9 ? (away[0] * (p[3] - p[0]) + away[1] * (p[4] - p[1]) + away[2] * (p[5] - p[2])) / chord : 0;
    bend = Math.max(bend, Math.sqrt(Math.max(0, away[0] ** 2 + away[1] ** 2 + away[2] ** 2 - along ** 2)));
  }
  return bend;
}
