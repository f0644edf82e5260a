import { type GreyFrame, WINDOW_PX } from './grey';
import type { Place } from './tracker';

/**
 * Points followed to a small part of a pixel. Followed by straight interpolation between pixels, steps of a quarter of a
 * pixel come out some hundredths too long and those of three quarters as much too short, the more the finer the texture
 * is: it does not keep the phase of a wave. A cubic spline through the pixels does.
 */

/** Pole of the filter that makes pixels coefficients of a cubic B-spline (Unser 1999, “Splines: a perfect fit”). */
const POLE = Math.sqrt(3) - 2;
/** Mirrored at its edge a line begins with what so many pixels tell; the rest is less than 1e-5 of a step. */
const BEGINS_PX = 9;

/** Coefficients of the cubic B-spline through the pixels of a picture, row after row. */
export function splineOf({ widthPx, heightPx, pixels }: GreyFrame): Float32Array {
  const out = Float32Array.from(pixels);
  for (let y = 0; y < heightPx; y += 1) filter(out, y * widthPx, widthPx, 1, 1);
  filter(out, 0, heightPx, widthPx, widthPx);
  return out;
}

/** Filters so many lines beside each other in place, each with a value every `stride`: forward and back by the pole. */
function filter(values: Float32Array, from: number, count: number, stride: number, lines: number): void {
  if (count < 2) return;
  const end = from + (count - 1) * stride;
  for (let i = from; i < from + lines; i += 1) {
    let began = 0;
    for (let k = Math.min(BEGINS_PX, count) - 1; k >= 0; k -= 1) began = values[i + k * stride] + POLE * began;
    values[i] = began;
  }
  for (let at = from + stride; at <= end; at += stride)
    for (let i = at; i < at + lines; i += 1) values[i] += POLE * values[i - stride];
  const last = (6 * POLE) / (POLE * POLE - 1);
  for (let i = end; i < end + lines; i += 1) values[i] = last * (values[i] + POLE * values[i - stride]);
  for (let at = end - stride; at >= from; at -= stride)
    for (let i = at; i < at + lines; i += 1) values[i] = POLE * (values[i + stride] - 6 * values[i]);
}

const HALF = (WINDOW_PX - 1) / 2;
const MOST_PASSES = 3;
/** A step so short is the last one, px. */
const ENOUGH_PX = 0.004;
/** What would be moved farther was not followed well: it stays where it was put. */
const MOST_PX = 0.25;

/** Where a point lies in the next picture, and by how much that may be off. */
export interface Refined {
  at: Place;
  /**
   * Standard deviation along the direction that is told worst, px: what the windows differ by, over what there is to be
   * followed in them (Förstner & Gülch 1987). Infinite where there is nothing; NaN where that was not looked at.
   */
  offPx: number;
  /** Whether it was found there; else it lies where it was put. */
  isFound: boolean;
  /** Not what may as well have gone anywhere, in a clear sky; true where that was not looked at. */
  isSure: boolean;
}

/**
 * What may be off by more is not sure, px: three quarters of what it is in a window that holds nothing but noise. That is
 * 2 / WINDOW_PX however strong it is: squared, its slopes are a quarter of what two windows of it differ by.
 */
const MOST_OFF_PX = 1.5 / WINDOW_PX;

const stays = (at: Place, offPx: number): Refined => ({ at, offPx, isFound: false, isSure: !(offPx > MOST_OFF_PX) });

/**
 * Where a point of one picture, a whole pixel, lies in the next, whose spline is given: from where it was put, by
 * Lucas & Kanade’s steps (1981) over the same window. Where the window leaves the picture it stays as it was put.
 */
export class Refiner {
  private readonly across = new Float64Array(WINDOW_PX * (WINDOW_PX + 3));

  constructor(
    private readonly before: GreyFrame,
    private readonly spline: Float32Array,
  ) {}

  /** Where a point lies in the next picture, from where it was put there. */
  refine([x, y]: Place, put: Place): Refined {
    const { widthPx, heightPx, pixels } = this.before;
    const { across } = this;
    let offPx = NaN;
    if (x < HALF + 1 || y < HALF + 1 || x + HALF + 2 > widthPx || y + HALF + 2 > heightPx) return stays(put, offPx);
    let [px, py] = put;
    for (let pass = 0; pass < MOST_PASSES; pass += 1) {
      if (!this.sumAcross(px, py)) return stays(put, offPx);
      const [wa, wb, wc, wd] = weights(py - Math.floor(py));
      let [xx, xy, yy, bx, by, differs] = [0, 0, 0, 0, 0, 0];
      for (let r = 0; r < WINDOW_PX; r += 1) {
        let at = (y - HALF + r) * widthPx + x - HALF;
        for (let c = 0; c < WINDOW_PX; c += 1, at += 1) {
          const k = r * WINDOW_PX + c;
          const now =
            wa * across[k] +
            wb * across[k + WINDOW_PX] +
            wc * across[k + 2 * WINDOW_PX] +
            wd * across[k + 3 * WINDOW_PX];
          const gx = (pixels[at + 1] - pixels[at - 1]) / 2;
          const gy = (pixels[at + widthPx] - pixels[at - widthPx]) / 2;
          const off = pixels[at] - now;
          xx += gx * gx;
          xy += gx * gy;
          yy += gy * gy;
          bx += gx * off;
          by += gy * off;
          differs += off * off;
        }
      }
      const det = xx * yy - xy * xy;
      if (det < 1e-6) return stays(put, Infinity);
      const told = (xx + yy) / 2 - Math.hypot((xx - yy) / 2, xy);
      offPx = Math.sqrt(differs / told) / WINDOW_PX;
      const [dx, dy] = [(yy * bx - xy * by) / det, (xx * by - xy * bx) / det];
      px += dx;
      py += dy;
      if (Math.hypot(px - put[0], py - put[1]) > MOST_PX) return stays(put, offPx);
      if (Math.hypot(dx, dy) < ENOUGH_PX) break;
    }
    return { at: [px, py], offPx, isFound: true, isSure: offPx <= MOST_OFF_PX };
  }

  /** The window about a place of the next picture, interpolated across, with a row more above and two below. */
  private sumAcross(px: number, py: number): boolean {
    const { widthPx, heightPx } = this.before;
    const [fromX, fromY] = [Math.floor(px) - HALF - 1, Math.floor(py) - HALF - 1];
    if (fromX < 0 || fromY < 0 || fromX + WINDOW_PX + 3 > widthPx || fromY + WINDOW_PX + 3 > heightPx) return false;
    const [a, b, c, d] = weights(px - Math.floor(px));
    const { spline, across } = this;
    for (let r = 0, k = 0; r < WINDOW_PX + 3; r += 1) {
      let at = (fromY + r) * widthPx + fromX;
      for (let column = 0; column < WINDOW_PX; column += 1, k += 1, at += 1)
        across[k] = a * spline[at] + b * spline[at + 1] + c * spline[at + 2] + d * spline[at + 3];
    }
    return true;
  }
}

/** What the four coefficients about a place count, the place so far after the second. */
function weights(f: number): [number, number, number, number] {
  const g = 1 - f;
  return [(g * g * g) / 6, 2 / 3 - f * f + (f * f * f) / 2, 2 / 3 - g * g + (g * g * g) / 2, (f * f * f) / 6];
}
