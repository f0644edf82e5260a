import { type Finding, type RigGrade } from '../model/finding';
import { LIMITS } from '../model/limits';
import type { Setup } from '../model/shoot';
import { sayLength, saySpeed, trim, type Units } from '../model/units';
import { largest } from '../motion/columns';
import type { Samples, ShotMotion } from '../motion/sample';
import { groundHeightM, groundPieces } from '../site/ground';

/** Whether the rig and the lens can make the move: travel, path, height, speed, turning, tilt, focal length and closest focus. */
export function rigFindings(setup: Setup, motion: ShotMotion, samples: Samples, units: Units): Finding[] {
  const { rig, lens, shot } = setup;
  const findings: Finding[] = [];
  const judge = (
    id: string,
    measure: string,
    value: number,
    limit: number,
    tS: number,
    say: (amount: number) => string,
    unit: string,
    sentence: (value: string, limit: string) => string,
    reason: string,
  ) => {
    const grade: RigGrade = value > limit + 1e-6 ? 'cannot' : limit > 0 && value > limit * LIMITS.tightShare.value ? 'tight' : 'fits';
    findings.push({ id, grade, sentence: sentence(say(value), say(limit)), reason, tS, value, limit, unit, said: say(value), measure });
  };
  const length = (m: number) => sayLength(m, units);
  const speed = (mps: number) => saySpeed(mps, units);
  const degrees = (deg: number) => `${trim(deg, 0)}°`;

  judge(
    'rig.travel',
    'travel',
    motion.track.lengthM,
    rig.travelM,
    motion.pace.endS,
    length,
    'm',
    (v, l) => `The path is ${v} long; ${rig.name} travels ${l}.`,
    'A rail, an arm and a flight all end somewhere.',
  );
  if (rig.kind === 'slider') {
    const bend = bendM(motion);
    if (motion.track.curved)
      judge(
        'rig.path',
        'bend',
        bend,
        LIMITS.straightnessM.value,
        motion.pace.startS,
        length,
        'm',
        (v) => `The path bends by ${v}; ${rig.name} is straight.`,
        'A straight rail cannot follow a curve.',
      );
  }
  const heights = heightsM(setup, samples);
  const highest = largest(heights);
  const lowest = largest(heights.map((m) => -m));
  if (highest && lowest) {
    if (highest.value > rig.heightMaxM + 1e-6)
      judge(
        'rig.height',
        'lens height',
        highest.value,
        rig.heightMaxM,
        samples.tS[highest.row],
        length,
        'm',
        (v, l) => `The lens is ${v} above the ground; ${rig.name} reaches ${l}.`,
        'Stand on something steady, or take another rig.',
      );
    else if (-lowest.value < rig.heightMinM - 1e-6)
      findings.push({
        id: 'rig.height',
        grade: 'cannot',
        sentence: `The lens is ${length(-lowest.value)} above the ground; ${rig.name} goes down to ${length(rig.heightMinM)}.`,
        reason: 'The rig, or the ground, is in the way.',
        tS: samples.tS[lowest.row],
        value: -lowest.value,
        limit: rig.heightMinM,
        unit: 'm',
        said: length(-lowest.value),
        measure: 'lens height',
      });
    else
      judge(
        'rig.height',
        'lens height',
        highest.value,
        rig.heightMaxM,
        samples.tS[highest.row],
        length,
        'm',
        (v, l) => `The lens is at most ${v} above the ground; ${rig.name} reaches ${l}.`,
        'Within reach all the way.',
      );
  }
  const pace = largest(rates(samples, (i) => Math.hypot(samples.xM[i] - samples.xM[i - 1], samples.yM[i] - samples.yM[i - 1], samples.zM[i] - samples.zM[i - 1])));
  if (pace && rig.speedMaxMps > 0)
    judge(
      'rig.speed',
      'camera speed',
      pace.value,
      rig.speedMaxMps,
      samples.tS[pace.row],
      speed,
      'm/s',
      (v, l) => `The camera travels at up to ${v}; ${rig.name} keeps steady up to ${l}.`,
      'Faster than steady is no longer smooth.',
    );
  const turn = largest(rates(samples, (i) => Math.abs(samples.panDeg[i] - samples.panDeg[i - 1])));
  if (turn)
    judge(
      'rig.pan',
      'turning',
      turn.value,
      rig.panRateMaxDegps,
      samples.tS[turn.row],
      (d) => `${degrees(d)}/s`,
      'deg/s',
      (v, l) => `The camera turns at up to ${v}; ${rig.name} turns at ${l}.`,
      'The head or the hand has to keep up with the aim.',
    );
  const up = largest(samples.tiltDeg);
  const down = largest(samples.tiltDeg.map((deg) => -deg));
  if (up && down && (up.value > rig.tiltMaxDeg || -down.value < rig.tiltMinDeg)) {
    const [value, limit, row] = up.value > rig.tiltMaxDeg ? [up.value, rig.tiltMaxDeg, up.row] : [-down.value, rig.tiltMinDeg, down.row];
    findings.push({
      id: 'rig.tilt',
      grade: 'cannot',
      sentence: `The camera would have to tilt to ${degrees(value)}; ${rig.name} tilts from ${degrees(rig.tiltMinDeg)} to ${degrees(rig.tiltMaxDeg)}.`,
      reason: 'The head ends there.',
      tS: samples.tS[row],
      value,
      limit,
      unit: 'deg',
      said: degrees(value),
      measure: 'tilt',
    });
  }
  if (shot.focalLengthMm < lens.focalLengthMinMm - 1e-6 || shot.focalLengthMm > lens.focalLengthMaxMm + 1e-6)
    findings.push({
      id: 'rig.lens',
      grade: 'cannot',
      sentence: `The shot asks for ${trim(shot.focalLengthMm, 1)} mm; ${lens.name} gives ${trim(lens.focalLengthMinMm, 0)} to ${trim(lens.focalLengthMaxMm, 0)} mm.`,
      reason: 'Choose another lens, or a focal length this one has.',
      tS: 0,
      value: shot.focalLengthMm,
      limit: shot.focalLengthMm < lens.focalLengthMinMm ? lens.focalLengthMinMm : lens.focalLengthMaxMm,
      unit: 'mm',
      said: `${trim(shot.focalLengthMm, 1)} mm`,
      measure: 'focal length',
    });
  const closest = largest(samples.focusDistanceM.map((m) => -m));
  if (setup.subject && closest && -closest.value < lens.closestFocusM)
    findings.push({
      id: 'rig.focus',
      grade: 'cannot',
      sentence: `The subject comes to ${length(-closest.value)}; ${lens.name} focuses from ${length(lens.closestFocusM)}.`,
      reason: 'Nearer than that it stays soft.',
      tS: samples.tS[closest.row],
      value: -closest.value,
      limit: lens.closestFocusM,
      unit: 'm',
      said: length(-closest.value),
      measure: 'distance',
    });
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
