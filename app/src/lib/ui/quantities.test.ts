import { QUANTITIES, type Quantity } from '@gentle-arc/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readQuantity, sayQuantity, within } from './quantities';

/** What one press of a key could change at least, in each unit: shown is no coarser than that. */
const FINEST: Record<Quantity, number> = {
  m: 0.003,
  deg: 0.05,
  tenth: 0.005,
  degps: 0.05,
  s: 0.0005,
  clock: 0.51,
  mm: 0.005,
  size: 0.013,
  mps: 0.005,
  share: 0.00006,
  percent: 0.005,
  fine: 0.01,
  count: 0.5,
  plain: 0.0005,
  g: 0.2,
  newton: 0.005,
  hz: 0.0005,
  shutter: 0.05,
};

describe('numbers of fields', () => {
  it('are shown as they are kept: what is shown, typed again, is the same', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUANTITIES),
        fc.constantFrom('metric' as const, 'imperial' as const),
        fc.double({ min: 0.2, max: 900, noNaN: true }),
        (unit, units, value) => {
          const read = readQuantity(sayQuantity(value, unit, units), unit, units);
          expect(read).not.toBeNull();
          const finest = unit === 'g' && value >= 999 ? 1 : unit === 'mps' ? 0.02 : FINEST[unit];
          expect(Math.abs((read ?? NaN) - value)).toBeLessThan(finest + 1e-9);
        },
      ),
    );
    expect(sayQuantity(172.8, 'deg', 'metric')).toBe('172.8°');
    expect(sayQuantity(12.4, 'deg', 'metric')).toBe('12.4°');
    expect(sayQuantity(0.4, 'g', 'metric')).toBe('0.4 g');
    expect(sayQuantity(57, 'size', 'imperial')).toBe('2.244″');
    expect(sayQuantity(57, 'mm', 'imperial')).toBe('57 mm');
  });
  it('both ends of a range, as they are said, are inside it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUANTITIES),
        fc.constantFrom('metric' as const, 'imperial' as const),
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        fc.double({ min: 0.5, max: 400, noNaN: true }),
        (unit, units, from, wide) => {
          // Times of day are whole minutes.
          const whole = unit === 'clock' || unit === 'count';
          const min = whole ? Math.round(from) : from;
          const max = min + (whole ? Math.ceil(wide) : wide);
          for (const end of [min, max])
            expect(within(sayQuantity(end, unit, units), 'It', unit, units, min, max)).toBe(end);
        },
      ),
    );
    // 0.1 + 0.2 is a little more than 0.3.
    expect(within('0.3', 'Rack 2 starts at', 's', 'metric', 0.1 + 0.2, 600)).toBe(0.1 + 0.2);
  });
  it('are refused with the field, the mend and the beginning of what was typed', () => {
    expect(within('60', 'Wind', 'mps', 'metric', 0, 40)).toBe('Wind must be from 0 m/s to 40 m/s; “60” is outside.');
    expect(within('quick', 'Duration', 's', 'metric', 0.2, 600)).toBe(
      'Duration: “quick” is not a number; type one from 0.2 s to 600 s.',
    );
    expect(within('9'.repeat(400), 'Height', 'm', 'metric', 0, 5)).toMatch(/^Height.{1,140}$/);
    for (const text of ['', ' ', '--1', '1e9', '1.2.3', 'NaN', 'Infinity', '<b>'])
      expect(typeof within(text, 'It', 'plain', 'metric', 0, 5)).toBe('string');
  });
  it('what is counted is a whole number', () => {
    expect(within('2', 'Tries', 'count', 'metric', 1, 200)).toBe(2);
    expect(within('2.5', 'Tries', 'count', 'metric', 1, 200)).toBe(
      'Tries: “2.5” is not a whole number; type one from 1 to 200.',
    );
  });
  it('a shutter is typed as degrees or as a time', () => {
    expect(readQuantity('180', 'shutter', 'metric', 24)).toBe(180);
    expect(readQuantity('1/48', 'shutter', 'metric', 24)).toBe(180);
    expect(readQuantity('1/50 s', 'shutter', 'metric', 25)).toBe(180);
    expect(readQuantity('1/100', 'shutter', 'metric', 100)).toBe(360);
  });
});
