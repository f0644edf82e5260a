import type { GreyFrame } from './grey';
import { Refiner } from './refined';
import type { Place, Went } from './tracker';

/**
 * What goes slowly, followed over two pictures. Over less than about a pixel a window keeps to the pixels (those of the
 * camera, and of a film that is packed small, whose blocks stay until they are worth sending) and goes now too far, now
 * not far enough, by as much whether it goes far or not: over twice the time that is half as much. The same is known of
 * particles in flows (Hain & Kähler 2007, “Fundamentals of multiframe particle image velocimetry”).
 */

/** What goes less far from one picture to the next is slow, px; chosen by our own films, no published source. */
const SLOW_PX = 1;
/** Where nothing so near was followed, nothing is known of how it goes on, px. */
const NEAR_PX = 40;

/** Places of a picture that go slowly to the next, `reached`. */
export interface SlowPlaces {
  frame: GreyFrame;
  reached: GreyFrame;
  went: readonly Went[];
}

export const isSlow = ({ from, to }: Went): boolean => Math.hypot(to[0] - from[0], to[1] - from[1]) < SLOW_PX;

/**
 * Where slow places lie a picture later than the one they reached, whose spline is given: looked for where what is
 * nearest there, of `onward`, goes. Those that are not found again are left out.
 */
export function overTwo({ frame, went }: SlowPlaces, onward: readonly Went[], spline: Float32Array): Went[] {
  const refiner = new Refiner(frame, spline);
  return went.flatMap(({ from, to }) => {
    const put = goesOn(to, onward);
    const found = put && refiner.refine(from, put);
    return found?.isFound && found.isSure ? [{ from, to: found.at }] : [];
  });
}

/** Where a place goes on to, by what is nearest; null where nothing is near. */
function goesOn([x, y]: Place, onward: readonly Went[]): Place | null {
  let [least, right, down] = [NEAR_PX ** 2, NaN, NaN];
  for (const { from, to } of onward) {
    const off = (from[0] - x) ** 2 + (from[1] - y) ** 2;
    if (off < least) [least, right, down] = [off, to[0] - from[0], to[1] - from[1]];
  }
  return Number.isNaN(right) ? null : [x + right, y + down];
}
