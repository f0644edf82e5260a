// fft.js ships without types; whoever compiles this file, the app included, needs ours.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./fft.d.ts" />
import FFT from 'fft.js';

/** Cut-off, amplitude threshold and padding of the 2015 paper. */
const CUT_OFF_HZ = 10;
const THRESHOLD = 0.05;
const PADDING = 4;

/**
 * Spectral arc length (SPARC) of a speed profile at even rows, −1.4058 for one plain minimum-jerk stroke and lower for
 * whatever is less even (Balasubramanian et al. 2015, J. NeuroEng. Rehabil. 12). Unit-free; null when nothing moves or
 * there are fewer than three rows.
 */
export function spectralArcLength(speed: ArrayLike<number>, rateHz: number): number | null {
  if (speed.length < 3) return null;
  const size = 2 ** (Math.ceil(Math.log2(speed.length)) + PADDING);
  const fft = new FFT(size);
  const data = new Float64Array(size);
  for (let i = 0; i < speed.length; i += 1) data[i] = speed[i];
  const spectrum = fft.createComplexArray();
  fft.realTransform(spectrum, data);
  const stepHz = rateHz / size;
  const bins = Math.min(size / 2, Math.floor(CUT_OFF_HZ / stepHz)) + 1;
  const amplitude = new Float64Array(bins);
  let most = 0;
  for (let k = 0; k < bins; k += 1) {
    amplitude[k] = Math.hypot(spectrum[2 * k], spectrum[2 * k + 1]);
    most = Math.max(most, amplitude[k]);
  }
  if (most < 1e-9) return null;
  let [first, last] = [-1, -1];
  for (let k = 0; k < bins; k += 1)
    if (amplitude[k] >= THRESHOLD * most) {
      if (first < 0) first = k;
      last = k;
    }
  if (last <= first) return null;
  let length = 0;
  for (let k = first + 1; k <= last; k += 1)
    length += Math.hypot(1 / (last - first), (amplitude[k] - amplitude[k - 1]) / most);
  return -length;
}

/**
 * Log dimensionless jerk of a speed profile at even rows: −ln(T³/v² ∫ (d²v/dt²)² dt), with v the peak speed and T the
 * whole time; −5.322 for a minimum-jerk stroke (Hogan & Sternad 2009; Balasubramanian et al. 2015). Null when nothing
 * moves or speed never changes.
 */
export function logDimensionlessJerk(speed: ArrayLike<number>, rateHz: number): number | null {
  if (speed.length < 3) return null;
  let peak = 0;
  for (let i = 0; i < speed.length; i += 1) peak = Math.max(peak, speed[i]);
  let square = 0;
  for (let i = 1; i + 1 < speed.length; i += 1) square += (speed[i + 1] - 2 * speed[i] + speed[i - 1]) ** 2;
  const durationS = (speed.length - 1) / rateHz;
  const dimensionless = (durationS ** 3 / peak ** 2) * square * rateHz ** 3;
  return peak > 0 && dimensionless > 1e-12 ? -Math.log(dimensionless) : null;
}
