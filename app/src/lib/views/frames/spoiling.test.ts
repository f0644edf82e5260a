import { describe, expect, it } from 'vitest';
import { type Picture, spoiling } from './spoiling';

/** An upright edge from dark to light at a column. */
const edge = (column: number): Picture => ({
  width: 40,
  height: 20,
  data: Uint8ClampedArray.from({ length: 4 * 40 * 20 }, (_, i) =>
    i % 4 === 3 ? 255 : Math.floor(i / 4) % 40 < column ? 50 : 200,
  ),
});
const goes = (rightwards: number) => ({ rightwards: Float64Array.of(rightwards), upwards: Float64Array.of(0) });
const STILL = goes(0);
const lineOf = ({ data, width }: Picture, y: number) =>
  Array.from({ length: width }, (_, x) => data[4 * (y * width + x)]);
/** Where a line crosses from dark to light, px. */
const crossing = (picture: Picture, y: number) => lineOf(picture, y).findIndex((light) => light > 125);

describe('a picture made worse', () => {
  it('has noise up to what was asked, as much up as down, another in each picture and the same for the same one', () => {
    const noisy = (index: number) => {
      const picture = edge(0);
      spoiling(STILL, { noise: 0.1, rollingS: 0 })(picture, index);
      return [...picture.data].filter((_, i) => i % 4 === 0);
    };
    const off = noisy(1).map((light) => light - 200);
    expect(Math.max(...off.map(Math.abs))).toBeLessThanOrEqual(26);
    expect(Math.max(...off)).toBeGreaterThan(20);
    expect(Math.abs(off.reduce((sum, value) => sum + value, 0) / off.length)).toBeLessThan(2);
    expect(noisy(1)).toEqual(noisy(1));
    expect(noisy(1)).not.toEqual(noisy(2));
  });
  it('leans where content goes by while the lines are read, the lower ones later', () => {
    // A width a second to the right, read in a tenth of a second: 4 px from top to bottom.
    const picture = edge(20);
    spoiling(goes(1), { noise: 0, rollingS: 0.1 })(picture, 0);
    expect(crossing(picture, 0)).toBe(18);
    expect(crossing(picture, 10)).toBe(20);
    expect(crossing(picture, 19)).toBe(22);
  });
  it('is as it was without noise where nothing goes by', () => {
    const picture = edge(20);
    spoiling(STILL, { noise: 0, rollingS: 0.1 })(picture, 0);
    for (const y of [0, 10, 19]) expect(lineOf(picture, y)).toEqual(lineOf(edge(20), y));
  });
});
