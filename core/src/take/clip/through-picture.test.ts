import { describe, expect, it } from 'vitest';
import { stepInto, throughPicture } from './through-picture';
import type { FollowedInto, Went } from './tracker';
import { wholeMotion } from './whole-motion';

const FRAME = { widthPx: 480, heightPx: 270, fullWidthPx: 960, pixels: new Uint8Array(0) };
const PLACES = Array.from({ length: 60 }, (_, i) => [(i % 10) * 50 + 10, Math.floor(i / 10) * 45 + 10] as const);
/** Places of one picture that turn anticlockwise and grow about its middle, and are shifted. */
const goes = ({ turnDeg = 0, growth = 0, right = 0 }): Went[] =>
  PLACES.map((from) => {
    const [x, y] = [from[0] + 0.5 - 240, 135 - from[1] - 0.5];
    const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)].map(
      (v) => v * Math.exp(growth),
    );
    return { from, to: [c * x - s * y + 240 - 0.5 + right, 135 - (s * x + c * y) - 0.5] };
  });
const back = (went: Went[]): Went[] => went.map(({ from, to }) => ({ from: to, to: from }));
const step = (followed: Partial<FollowedInto>, tookS = 0.04, rests = false) =>
  stepInto({ fromLast: [], fromLastButOne: [], ...followed }, FRAME, tookS, rests);

describe('what goes through a picture', () => {
  const both = { turnDeg: 2, growth: 0.02 };
  // So that places are where they should be in the picture between: back from there.
  const into = back(goes({ turnDeg: -2, growth: -0.02 }));

  it('turns and grows by as much on the way in as on the way out, without what that makes of it by halves', () => {
    const { flows } = throughPicture(step({ fromLast: into }), step({ fromLast: goes(both) }));
    const whole = wholeMotion(flows ?? []);
    expect(whole?.turnDeg).toBeCloseTo(-2, 2);
    expect(whole?.growth).toBeCloseTo(0.02, 4);
  });
  it('is half of what goes over two pictures, in the middle of its way', () => {
    const twice = goes({ right: 3 });
    const { flows } = throughPicture(step({}), step({ fromLastButOne: twice }));
    expect(flows).toHaveLength(60);
    expect((flows?.[0].du ?? 0) * 480).toBeCloseTo(1.5, 4);
    expect((flows?.[0].u ?? 0) * 480).toBeCloseTo(10.5 - 240 + 1.5, 4);
  });
  it('goes at one pace, however long the pictures stand', () => {
    // 25 px/s both ways: 1 px in 0.04 s and 3 px in 0.12 s; 1 px in 0.04 s would be the first step’s alone.
    const { flows, stepS } = throughPicture(
      step({ fromLast: goes({ right: 1 }) }),
      step({ fromLast: goes({ right: 3 }) }, 0.12),
    );
    expect(stepS).toBeCloseTo(0.08, 9);
    for (const { du } of flows ?? []) expect((du * 480) / stepS).toBeCloseTo(25, 3);
  });
  it('rests where the one before and the one after are the same, and not where only one is', () => {
    const moves = step({ fromLast: goes({ right: 1 }) });
    const rests = step({ fromLast: goes({}) }, 0.04, true);
    expect(throughPicture(rests, rests).flows).toBeNull();
    expect(throughPicture(null, rests).flows).toBeNull();
    expect(throughPicture(moves, rests).flows).toHaveLength(120);
    expect(throughPicture(rests, moves).flows).toHaveLength(120);
  });
  it('of the first is what goes out of it', () => {
    const whole = wholeMotion(throughPicture(null, step({ fromLast: goes(both) })).flows ?? []);
    expect(whole?.turnDeg).toBeCloseTo(-2, 2);
    expect(whole?.growth).toBeCloseTo(0.02, 4);
  });
});
