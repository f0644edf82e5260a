/** How a motor or an operator runs after the direction it is given. */
export interface Following {
  /** How far it runs behind a steady turn, s. 0: at once. */
  smoothingS: number;
  /** It does not stir until the direction is off by more than this, degrees. */
  deadBandDeg: number;
  /** Fastest turn, degrees a second. */
  rateMaxDegps: number;
}

/** Damping of a follow: a little overshoot at a sudden stop. Common practice, no published source. */
export const DAMPING = 0.7;
/** Less than this is at once. */
const LEAST_SMOOTHING_S = 1e-3;
const FINE_STEP_S = 1 / 240;
/** Rows of a lapse are seconds apart: more steps between two tell nothing that is left at the next. */
const MOST_STEPS = 120;

/**
 * What becomes of a direction (degrees, one value a row at `rateHz`) that is followed with lag: the dead band as play
 * between hand and motor, then a second-order system `x″ = ω²(c − x) − 2ζω x′` with ω = 2ζ / smoothing, so that a
 * steady turn is followed by just the smoothing time, then the speed limit. Between rows the direction runs straight,
 * for which each step is exact (closed-form solution for a ramp, any control-engineering text). Starts on the
 * direction, turning as it does.
 */
export function followed(
  direction: Float64Array,
  rateHz: number,
  { smoothingS, deadBandDeg, rateMaxDegps }: Following,
): Float64Array {
  const count = direction.length;
  const out = new Float64Array(count);
  if (count === 0) return out;
  const steps = Math.min(MOST_STEPS, Math.max(1, Math.ceil(1 / rateHz / FINE_STEP_S)));
  const h = 1 / rateHz / steps;
  const lags = smoothingS > LEAST_SMOOTHING_S;
  const omega = lags ? (2 * DAMPING) / smoothingS : Infinity;
  const damped = omega * Math.sqrt(1 - DAMPING * DAMPING);
  const decay = Math.exp(-DAMPING * omega * h);
  const [cos, sin] = [Math.cos(damped * h), Math.sin(damped * h)];
  const behindS = smoothingS;
  const mostDeg = rateMaxDegps * h;
  let commanded = direction[0];
  let x = direction[0];
  let v =
    count > 1 && deadBandDeg === 0
      ? Math.min(rateMaxDegps, Math.max(-rateMaxDegps, (direction[1] - direction[0]) * rateHz))
      : 0;
  out[0] = x;
  for (let i = 1; i < count; i += 1) {
    for (let k = 1; k <= steps; k += 1) {
      const wanted = direction[i - 1] + ((direction[i] - direction[i - 1]) * k) / steps;
      const before = commanded;
      if (wanted - commanded > deadBandDeg) commanded = wanted - deadBandDeg;
      else if (commanded - wanted > deadBandDeg) commanded = wanted + deadBandDeg;
      const from = x;
      if (lags) {
        const slope = (commanded - before) / h;
        const y = x - (before - behindS * slope);
        const vy = v - slope;
        const pull = (vy + DAMPING * omega * y) / damped;
        const y1 = decay * (y * cos + pull * sin);
        const vy1 = decay * ((pull * damped - DAMPING * omega * y) * cos - (y * damped + DAMPING * omega * pull) * sin);
        x = y1 + commanded - behindS * slope;
        v = vy1 + slope;
      } else {
        x = commanded;
        v = (x - from) / h;
      }
      if (Math.abs(x - from) > mostDeg) {
        v = Math.sign(x - from) * rateMaxDegps;
        x = from + v * h;
      }
    }
    out[i] = x;
  }
  return out;
}
