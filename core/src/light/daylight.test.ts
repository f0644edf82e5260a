import { describe, expect, it } from 'vitest';
import { LIGHT_CONDITIONS } from '../optics';
import { daylightKlx, evOfDaylight, SKIES } from './daylight';

const usualEv = (id: string) => LIGHT_CONDITIONS.find((row) => row.id === id)?.ev100;

describe('daylight', () => {
  it('is about 100 klx under a high clear sun and below 20 under cloud (handbook values, from memory)', () => {
    expect(daylightKlx(60, 'clear')).toBeGreaterThan(95);
    expect(daylightKlx(60, 'clear')).toBeLessThan(110);
    expect(daylightKlx(60, 'cloudy')).toBeCloseTo(18.5, 1);
  });
  it('comes within a stop of the exposure table: full sun, bright cloud, just before sunset', () => {
    expect(Math.abs(evOfDaylight(50, 'clear') - (usualEv('sun') ?? 0))).toBeLessThan(1);
    expect(Math.abs(evOfDaylight(50, 'cloudy') - (usualEv('bright') ?? 0))).toBeLessThan(1);
    expect(Math.abs(evOfDaylight(5, 'clear') - (usualEv('sunset') ?? 0))).toBeLessThan(1);
  });
  it('never falls as the sun climbs, and is never brighter for more cloud', () => {
    for (const sky of SKIES)
      for (let deg = 1; deg <= 90; deg += 1)
        expect(daylightKlx(deg, sky)).toBeGreaterThanOrEqual(daylightKlx(deg - 1, sky) - 1e-9);
    for (let deg = 15; deg <= 90; deg += 5) {
      expect(daylightKlx(deg, 'clear')).toBeGreaterThan(daylightKlx(deg, 'partly'));
      expect(daylightKlx(deg, 'partly')).toBeGreaterThan(daylightKlx(deg, 'cloudy'));
    }
  });
});
