import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { timecode } from '.';

describe('timecode', () => {
  it.each([
    // SMPTE ST 12-1, the worked example of drop-frame (from memory): after 59 s and 29 frames come 1 min and frame 2.
    [1799, 29.97, '00:00:59;29'],
    [1800, 29.97, '00:01:00;02'],
    [17_981, 29.97, '00:09:59;29'],
    [17_982, 29.97, '00:10:00;00'],
    [107_892, 29.97, '01:00:00;00'],
    [3600, 59.94, '00:01:00;04'],
    [90_000, 25, '01:00:00:00'],
    [86_399, 24, '00:59:59:23'],
    [24, 23.976, '00:00:01:00'],
  ])('frame %i at %f is %s', (frame, rate, text) => {
    expect(timecode(frame, rate)).toBe(text);
  });
  it('at 29.97 keeps to the clock within five frames all day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2_589_407 }), (frame) => {
        const [h, m, s, f] = timecode(frame, 30_000 / 1001)
          .split(/[:;]/)
          .map(Number);
        const said = h * 3600 + m * 60 + s + f / 30;
        expect(Math.abs(said - (frame * 1001) / 30_000)).toBeLessThan(0.16);
      }),
    );
  });
});
