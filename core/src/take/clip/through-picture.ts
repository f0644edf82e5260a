import type { GreyFrame } from './grey';
import type { FollowedInto, Went } from './tracker';
import type { Flow } from './whole-motion';

/** What was followed into a picture, u and w from and to of each place in turn, frame widths; see `FollowedInto`. */
export interface StepInto {
  tookS: number;
  /** The picture before it is the same in every pixel. */
  rests: boolean;
  fromLast: Float32Array;
  fromLastButOne: Float32Array;
}

export function stepInto(followed: FollowedInto, frame: GreyFrame, tookS: number, rests: boolean): StepInto {
  const { fromLast, fromLastButOne } = followed;
  return { tookS, rests, fromLast: inWidths(fromLast, frame), fromLastButOne: inWidths(fromLastButOne, frame) };
}

function inWidths(went: readonly Went[], { widthPx, heightPx }: GreyFrame): Float32Array {
  const of = ([x, y]: readonly [number, number]) => [
    (x + 0.5 - widthPx / 2) / widthPx,
    (heightPx / 2 - y - 0.5) / widthPx,
  ];
  return Float32Array.from(went.flatMap(({ from, to }) => [...of(from), ...of(to)]));
}

/**
 * How the places of a picture go in the time from one picture to the next, `stepS`: what goes slowly from the picture
 * before to the one after, the rest on the way into it and out of it. Flows are null where both are the same picture.
 * `into` is null for the first.
 */
export function throughPicture(into: StepInto | null, out: StepInto): { flows: Flow[] | null; stepS: number } {
  const stepS = into ? (into.tookS + out.tookS) / 2 : out.tookS;
  if (out.rests && (into?.rests ?? true)) return { flows: null, stepS };
  const flows: Flow[] = [];
  // Where it is in this picture: so far on its way.
  const add = (places: Float32Array, onWay: number, times: number) => {
    for (let i = 0; i < places.length; i += 4) {
      const [u, w] = [places[i], places[i + 1]];
      const [right, up] = [places[i + 2] - u, places[i + 3] - w];
      flows.push({ u: u + onWay * right, w: w + onWay * up, du: times * right, dw: times * up });
    }
  };
  if (into) add(into.fromLast, 1, stepS / into.tookS);
  add(out.fromLastButOne, 0.5, 0.5);
  add(out.fromLast, into ? 0 : 0.5, stepS / out.tookS);
  return { flows, stepS };
}
