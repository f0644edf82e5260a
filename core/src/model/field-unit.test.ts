import { describe, expect, it } from 'vitest';
import type { Fact, Quantity } from './facts';
import { fieldUnit } from './field-unit';
import { FIELDS } from './fields';

/** What follows a number of each quantity that is kept in a unit of its own; the rest has its unit in its label, or none. */
const ENDINGS: Partial<Record<Quantity, string[]>> = {
  m: [' m'],
  mps: [' m/s', ' m/s²'],
  g: [' g'],
  size: [' mm', ' m'],
  mm: [' mm'],
  deg: ['°'],
  tenth: ['°'],
  degps: ['°/s'],
  s: [' s'],
  hz: [' Hz'],
  percent: ['%'],
};
const numbers = Object.values(FIELDS).flatMap((facts) =>
  Object.entries(facts as Record<string, Fact>).flatMap(([key, fact]) =>
    fact.type === 'number' ? [{ key, unit: fact.unit }] : [],
  ),
);

describe('the unit of a field', () => {
  it.each(Object.entries(ENDINGS))('of a quantity of %s is the one that its name ends in', (unit, endings) => {
    const keys = numbers.filter((number) => number.unit === unit).map(({ key }) => key);
    expect(keys.length).toBeGreaterThan(0);
    for (const key of keys) expect(endings, key).toContain(fieldUnit(key).unit);
  });

  it('leaves the rest of its name', () => {
    expect(fieldUnit('holdStartS')).toEqual({ bare: 'holdStart', unit: ' s' });
    expect(fieldUnit('panRateMaxDegps')).toEqual({ bare: 'panRateMax', unit: '°/s' });
    expect(fieldUnit('accelerationMps2')).toEqual({ bare: 'acceleration', unit: ' m/s²' });
    expect(fieldUnit('lastsMin')).toEqual({ bare: 'lastsMin', unit: '' });
    expect(fieldUnit('luxAt1M')).toEqual({ bare: 'lux', unit: '' });
    expect(fieldUnit('spinPerS')).toEqual({ bare: 'spin', unit: ' a second' });
    expect(fieldUnit('mPerPx')).toEqual({ bare: 'm', unit: ' a pixel' });
    expect(fieldUnit('name')).toEqual({ bare: 'name', unit: '' });
  });
});
