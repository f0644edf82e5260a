import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { panesOf, wallParts } from './wall-parts';

const openings = fc.array(
  fc.record({
    offsetM: fc.integer({ min: -40, max: 40 }).map((n) => n / 10),
    widthM: fc.integer({ min: 0, max: 40 }).map((n) => n / 10),
    heightM: fc.integer({ min: 0, max: 30 }).map((n) => n / 10),
    sillM: fc.integer({ min: 0, max: 30 }).map((n) => n / 10),
    pane: fc.constantFrom('open' as const, 'glass' as const),
  }),
  { maxLength: 6 },
);
const share = fc.double({ min: 0.001, max: 0.999, noNaN: true });

describe('a wall with openings', () => {
  it('every spot of it is solid once where no opening is, and nowhere else', () => {
    fc.assert(
      fc.property(openings, share, share, (holes, u, v) => {
        const wall = { lengthM: 6, heightM: 2.5, openings: holes };
        // Beside the round figures that edges lie on.
        const [along, up] = [Math.floor((u - 0.5) * 60) / 10 + 0.0437, Math.floor(v * 25) / 10 + 0.0437];
        const open = holes.some(
          ({ offsetM, widthM, heightM, sillM }) => Math.abs(along - offsetM) < widthM / 2 && up > sillM && up < heightM,
        );
        const solid = wallParts(wall).filter(
          ({ from, to, bottom, top }) => along > from && along < to && up > bottom && up < top,
        );
        expect(solid.length).toBe(open ? 0 : 1);
      }),
    );
  });
  it('has glass where an opening with a pane is, and nowhere else', () => {
    fc.assert(
      fc.property(openings, share, share, (holes, u, v) => {
        const [along, up] = [Math.floor((u - 0.5) * 60) / 10 + 0.0437, Math.floor(v * 25) / 10 + 0.0437];
        const glazed = holes.some(
          ({ pane, offsetM, widthM, heightM, sillM }) =>
            pane === 'glass' && Math.abs(along - offsetM) < widthM / 2 && up > sillM && up < heightM,
        );
        const there = panesOf({ lengthM: 6, heightM: 2.5, openings: holes }).some(
          ({ from, to, bottom, top }) => along > from && along < to && up > bottom && up < top,
        );
        expect(there).toBe(glazed);
      }),
    );
  });
});
