import FFT from 'fft.js';

/** Spectra of columns at even rows. */

const sizeFor = (count: number): number => 2 ** Math.max(3, Math.ceil(Math.log2(count)));

export interface Spectrum {
  stepHz: number;
  /** Power a bin, unit squared: its sum is the column’s mean square about its mean. */
  power: Float64Array;
}

/**
 * Power spectrum by Welch’s method (Welch 1967, IEEE Trans. Audio Electroacoust. 15(2)): halves of windows overlap, a
 * Hann window each; windows of about `windowS`. Null with fewer than eight rows.
 */
export function powerSpectrum(column: Float64Array, rateHz: number, windowS = 4): Spectrum | null {
  if (column.length < 8) return null;
  const size = sizeFor(Math.max(8, Math.min(column.length, windowS * rateHz) / 2 + 1));
  const rows = Math.min(size, column.length);
  const fft = new FFT(size);
  const data = new Float64Array(size);
  const out = fft.createComplexArray();
  const power = new Float64Array(size / 2 + 1);
  const window = Float64Array.from({ length: rows }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / rows));
  const energy = window.reduce((sum, v) => sum + v * v, 0);
  let windows = 0;
  for (let from = 0; from + rows <= column.length; from += Math.max(1, rows >> 1)) {
    const mean = column.subarray(from, from + rows).reduce((sum, v) => sum + v, 0) / rows;
    data.fill(0);
    for (let i = 0; i < rows; i += 1) data[i] = (column[from + i] - mean) * window[i];
    fft.realTransform(out, data);
    for (let k = 0; k < power.length; k += 1) {
      const both = k === 0 || k === size / 2 ? 1 : 2;
      power[k] += (both * (out[2 * k] ** 2 + out[2 * k + 1] ** 2)) / (energy * size);
    }
    windows += 1;
  }
  for (let k = 0; k < power.length; k += 1) power[k] /= windows;
  return { stepHz: rateHz / size, power };
}

/** Root mean square of what lies in a band, in the column’s own unit. */
export function bandRms({ stepHz, power }: Spectrum, fromHz: number, toHz: number): number {
  let sum = 0;
  for (let k = Math.ceil(fromHz / stepHz); k < power.length && k * stepHz <= toHz; k += 1) sum += power[k];
  return Math.sqrt(sum);
}

/**
 * The strongest beat in a band, Hz, between bins by a parabola through their logarithms; `share`: how much of the band
 * lies about it. Null where nothing is in it.
 */
export function strongest(spectrum: Spectrum, fromHz: number, toHz: number): { hz: number; share: number } | null {
  const { stepHz, power } = spectrum;
  const [first, last] = [
    Math.max(1, Math.ceil(fromHz / stepHz)),
    Math.min(power.length - 2, Math.floor(toHz / stepHz)),
  ];
  let best = -1;
  for (let k = first; k <= last; k += 1) if (best < 0 || power[k] > power[best]) best = k;
  if (best < 0 || power[best] <= 0) return null;
  const [a, b, c] = [power[best - 1], power[best], power[best + 1]].map((v) => Math.log(Math.max(v, 1e-30)));
  const bend = a - 2 * b + c;
  const off = bend < 0 ? Math.max(-0.5, Math.min(0.5, (a - c) / (2 * bend))) : 0;
  const all = bandRms(spectrum, fromHz, toHz) ** 2;
  const near = bandRms(spectrum, (best - 2) * stepHz, (best + 2) * stepHz) ** 2;
  return { hz: (best + off) * stepHz, share: all > 0 ? Math.min(1, near / all) : 0 };
}

/**
 * A column with only what lies in a band, integrated as many times as asked (each divides by 2π times the frequency): an
 * acceleration twice is a displacement. Ends run out into what mirrors them, so that none makes a step.
 */
export function inBand(
  column: Float64Array,
  rateHz: number,
  fromHz: number,
  toHz: number,
  integrations = 0,
): Float64Array {
  const count = column.length;
  const pad = Math.min(count - 1, Math.round(rateHz / Math.max(0.05, fromHz)));
  const size = sizeFor(count + 2 * pad);
  const fft = new FFT(size);
  const data = new Float64Array(size);
  // Without the line from its first to its last row, and turned over at both, it goes on as it was.
  const [first, slope] = [column[0], (column[count - 1] - column[0]) / Math.max(1, count - 1)];
  const plain = (i: number) => column[i] - first - slope * i;
  const at = (i: number) => (i < 0 ? -plain(-i) : i >= count ? -plain(2 * count - 2 - i) : plain(i));
  for (let i = -pad; i < count + pad; i += 1) {
    const out = i < 0 ? (i + pad) / pad : i >= count ? (count + pad - i) / pad : 1;
    data[i + pad] = at(i) * (0.5 - 0.5 * Math.cos(Math.PI * out));
  }
  const spectrum = fft.createComplexArray();
  fft.realTransform(spectrum, data);
  const stepHz = rateHz / size;
  for (let k = 0; k <= size / 2; k += 1) {
    const hz = k * stepHz;
    const share = bandEdge(hz, fromHz, toHz);
    const turn = 2 * Math.PI * hz;
    // Twice: by −1/ω²; once: by 1/(iω).
    for (let n = 0; n < integrations; n += 1) {
      const [re, im] = [spectrum[2 * k], spectrum[2 * k + 1]];
      spectrum[2 * k] = turn > 0 ? im / turn : 0;
      spectrum[2 * k + 1] = turn > 0 ? -re / turn : 0;
    }
    spectrum[2 * k] *= share;
    spectrum[2 * k + 1] *= share;
  }
  fft.completeSpectrum(spectrum);
  const back = fft.createComplexArray();
  fft.inverseTransform(back, spectrum);
  return Float64Array.from({ length: count }, (_, i) => back[2 * (i + pad)]);
}

/** 1 within a band, falling to 0 over a fifth of its ends. */
function bandEdge(hz: number, fromHz: number, toHz: number): number {
  const rise = (value: number) => 0.5 - 0.5 * Math.cos(Math.PI * Math.min(1, Math.max(0, value)));
  return rise((hz / fromHz - 0.8) / 0.2) * rise((1.2 - hz / toHz) / 0.2);
}
