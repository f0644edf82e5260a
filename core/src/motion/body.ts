import type { Gait, Rig } from '../model';

/**
 * What the body under the camera adds to its pose, one value a row: metres along the camera's right and up, degrees of
 * pan, tilt and roll.
 */
export interface BodyMotion {
  swayM: Float64Array;
  bobM: Float64Array;
  panDeg: Float64Array;
  tiltDeg: Float64Array;
  rollDeg: Float64Array;
  /** Lean of the body itself, degrees: what a head that follows on all axes is given. */
  leanDeg: Float64Array;
}

/**
 * A little generator that gives the same numbers for the same seed (Lehmer's, modulus 2³¹ − 1, multiplier 48271: Park &
 * Miller 1988, revised 1993, from memory).
 */
export function seeded(seed: number): () => number {
  let state = (seed % 2147483646) + 1;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

/** Sways and tremors of a hand, in equal parts of their band. Common practice, no published source. */
const BANDS = [
  { fromHz: 0.3, toHz: 1.4, share: 0.9 },
  { fromHz: 4, toHz: 9, share: 0.25 },
] as const;
const WAVES_PER_BAND = 3;
/** How much one step differs from the next. */
const STEP_SHARE = 0.06;
const MOST_SPEED_SHARE = 1.6;

interface Wave {
  size: number;
  turn: number;
  from: number;
}

function waves(next: () => number): Wave[] {
  const scale = 1 / Math.hypot(...BANDS.map(({ share }) => share));
  return BANDS.flatMap(({ fromHz, toHz, share }) =>
    Array.from({ length: WAVES_PER_BAND }, () => ({
      size: share * scale * Math.sqrt(2 / WAVES_PER_BAND),
      turn: 2 * Math.PI * (fromHz + (toHz - fromHz) * next()),
      from: 2 * Math.PI * next(),
    })),
  );
}

/** Sums waves into a column at even times: each is a pointer turned on by one step a row, which a sine a row is not. */
function sumWaves(rows: readonly Wave[], count: number, rateHz: number): Float64Array {
  const sum = new Float64Array(count);
  for (const { size, turn, from } of rows) {
    const [stepSin, stepCos] = [Math.sin(turn / rateHz), Math.cos(turn / rateHz)];
    let [sin, cos] = [size * Math.sin(from), size * Math.cos(from)];
    for (let i = 0; i < count; i += 1) {
      sum[i] += sin;
      const next = sin * stepCos + cos * stepSin;
      cos = cos * stepCos - sin * stepSin;
      sin = next;
    }
  }
  return sum;
}

/**
 * Bob, sway, lean and tremor of a gait as they reach the picture through a rig. `speedMps` is the camera's speed over
 * the ground, one value a row at `rateHz`: up and down grow with it and vanish at rest, tremor does not. Bob is a wave
 * at the step rate with a small second wave; sway and lean go at half that rate.
 */
export function bodyMotion(gait: Gait, rig: Rig, seed: number, speedMps: Float64Array, rateHz: number): BodyMotion {
  const count = speedMps.length;
  const column = () => new Float64Array(count);
  const body: BodyMotion = {
    swayM: column(),
    bobM: column(),
    panDeg: column(),
    tiltDeg: column(),
    rollDeg: column(),
    leanDeg: column(),
  };
  const next = seeded(seed * 7919 + 17);
  const phase = 2 * Math.PI * next();
  const wanted = [waves(next).slice(0, WAVES_PER_BAND), waves(next), waves(next), waves(next)];
  const bobM = (gait.bobMm / 2000) * rig.bobShare;
  const swayM = (gait.swayMm / 2000) * rig.bobShare;
  const leanDeg = gait.leanDeg / 2;
  const shakeDeg = gait.shakeDeg * rig.shakeShare;
  if (bobM === 0 && swayM === 0 && leanDeg === 0 && shakeDeg === 0) return body;
  const [uneven, pan, tilt, roll] = wanted.map((rows) => sumWaves(rows, count, rateHz));
  for (let i = 0; i < count; i += 1) {
    const going = gait.usualMps > 0 ? Math.min(MOST_SPEED_SHARE, speedMps[i] / gait.usualMps) : 1;
    const step = 2 * Math.PI * gait.stepRateHz * (i / rateHz) + phase;
    const size = going * (1 + STEP_SHARE * uneven[i]);
    body.bobM[i] = bobM * size * (Math.cos(step) + 0.1 * Math.cos(2 * step));
    body.swayM[i] = swayM * size * Math.sin(step / 2);
    body.leanDeg[i] = leanDeg * size * Math.sin(step / 2);
    body.panDeg[i] = shakeDeg * pan[i];
    body.tiltDeg[i] = shakeDeg * tilt[i];
    body.rollDeg[i] = shakeDeg * roll[i] + rig.shakeShare * body.leanDeg[i];
  }
  return body;
}
