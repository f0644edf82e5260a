import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT, type Filter } from '../model';
import { nearestFilters, stackSet } from './filter-stack';

const nd = (stops: number): Filter => ({
  id: `nd${stops}`,
  name: `ND ${2 ** stops}`,
  kind: 'nd',
  stopsMin: stops,
  stopsMax: stops,
});
const variable: Filter = { id: 'v', name: 'Variable', kind: 'variableNd', stopsMin: 2, stopsMax: 5 };
const polariser: Filter = { id: 'p', name: 'Polariser', kind: 'polariser', stopsMin: 1.5, stopsMax: 1.5 };
const names = (wanted: number, kit: Filter[]) => nearestFilters(wanted, kit).filters.map(({ filter }) => filter.id);

describe('filters stacked', () => {
  it('takes the nearest one or two, the smaller stack when two are as near', () => {
    expect(names(6.3, [nd(3), nd(6), nd(10)])).toEqual(['nd6']);
    expect(nearestFilters(9, [nd(3), nd(6), nd(10)])).toMatchObject({ leftStops: 0 });
    expect(names(9, [nd(3), nd(6), nd(10)])).toEqual(['nd3', 'nd6']);
    expect(names(0.4, [nd(3)])).toEqual([]);
    expect(names(-2, [nd(3)])).toEqual([]);
  });
  it('sets a variable one to what is left, and stacks it on a fixed one where it does not reach', () => {
    expect(nearestFilters(4.4, [nd(3), variable])).toEqual({
      filters: [{ filter: variable, stops: 4.4 }],
      leftStops: 0,
    });
    const { filters, leftStops } = nearestFilters(7.2, [nd(3), variable]);
    expect(filters.map(({ filter, stops }) => [filter.id, Math.round(stops * 10) / 10])).toEqual([
      ['nd3', 3],
      ['v', 4.2],
    ]);
    expect(leftStops).toBeCloseTo(0, 9);
  });
  it('never proposes a polariser for darkening, nor two variable ones on each other', () => {
    expect(names(1.5, [polariser])).toEqual([]);
    expect(names(9, [variable, { ...variable, id: 'v2' }])).toHaveLength(1);
  });
  it('what is taken and what is left make what was wanted, and more filters never come less near', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 14, noNaN: true }), (wanted) => {
        const near = nearestFilters(wanted, DEFAULT_KIT.filters);
        expect(near.filters.reduce((sum, { stops }) => sum + stops, 0) + near.leftStops).toBeCloseTo(wanted, 9);
        const few = nearestFilters(wanted, DEFAULT_KIT.filters.slice(0, 2));
        expect(Math.abs(near.leftStops)).toBeLessThanOrEqual(Math.abs(few.leftStops) + 1e-9);
        for (const { filter, stops } of stackSet(DEFAULT_KIT.filters, wanted).filters)
          expect(stops >= filter.stopsMin - 1e-9 && stops <= filter.stopsMax + 1e-9).toBe(true);
      }),
    );
  });
});
