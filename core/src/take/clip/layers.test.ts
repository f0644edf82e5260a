import { describe, expect, it } from 'vitest';
import { type Layers, LayerSteps } from './layers';
import { CELLS, type Flow } from './whole-motion';

const WHOLE = { right: 0.01, up: 0, turnDeg: 0, growth: 0, cells: 96 };
const SPEEDS = [0.004, 0.01, 0.016];

/** Three bands that go by, that on the right fastest; `wrong`: of these cells something else is told. */
function bands(wrong: ReadonlyMap<number, number> = new Map()): Map<number, Flow> {
  const flows = Array.from({ length: CELLS.across * CELLS.down }, (_, key): [number, Flow] => {
    const speed = SPEEDS[Math.floor((3 * (key % CELLS.across)) / CELLS.across)];
    return [key, { u: 0, w: 0, du: wrong.get(key) ?? speed, dw: 0 }];
  });
  return new Map(flows);
}
function layersOf(steps: readonly Map<number, Flow>[]): (Layers | null)[] {
  const told: (Layers | null)[] = [];
  const layers = new LayerSteps((i, row) => (told[i] = row));
  for (const cells of steps) layers.add({ cells, whole: WHOLE });
  layers.end();
  return told;
}

describe('near and far', () => {
  it('are the third of the cells that goes fastest and that which goes slowest', () => {
    for (const row of layersOf(Array.from({ length: 9 }, () => bands()))) {
      expect(row?.near).toBeCloseTo(0.016, 9);
      expect(row?.far).toBeCloseTo(0.004, 9);
    }
  });
  it('stay what they are where a cell in sixteen was followed quite wrongly, now here and now there', () => {
    const steps = Array.from({ length: 20 }, (_, i) => {
      const wrong = Array.from({ length: 6 }, (_, k): [number, number] => [(17 * k + 5 * i) % 96, k % 2 ? 0.2 : -0.2]);
      return bands(new Map(wrong));
    });
    for (const row of layersOf(steps)) {
      expect(row?.near).toBeCloseTo(0.016, 4);
      expect(row?.far).toBeCloseTo(0.004, 4);
    }
  });
  it('are not told where cells go across the shift more than the whole goes along it', () => {
    // As a dolly zoom has it: what is near grows, what is far shrinks, all of it together does neither.
    const radial = (by: number) =>
      new Map(
        [...bands()].map(([key, flow]): [number, Flow] => {
          const dw = by * (Math.floor(key / CELLS.across) - 3.5) * (key % 2 ? 1 : -1);
          return [key, { ...flow, dw }];
        }),
      );
    const told = (by: number) => layersOf(Array.from({ length: 3 }, () => radial(by)));
    expect(told(0.003).every((row) => row !== null)).toBe(true);
    expect(told(0.006)).toEqual([null, null, null]);
  });
});
