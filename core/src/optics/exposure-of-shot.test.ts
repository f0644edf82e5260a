import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT, setupOf, type Shot } from '../model';
import { filmed, usual } from '../testing/filmed';
import { exposureOf, tooDarkAdvice } from './exposure-of-shot';

const [nd] = DEFAULT_KIT.filters.filter(({ kind }) => kind === 'nd');
function exposure(more: Partial<Shot>, camera: Partial<(typeof DEFAULT_KIT.cameras)[number]> = {}) {
  const { shoot } = filmed(usual('still'), more);
  const cameras = shoot.kit.cameras.map((row) => ({ ...row, ...camera }));
  const changed = { ...shoot, kit: { ...shoot.kit, cameras } };
  return exposureOf(setupOf(changed, changed.shots[0]), changed.kit.filters, 50);
}

describe('too dark', () => {
  // f/8 at 1/48 s and ISO 100 is EV 11.58.
  it('without a filter nothing can be taken away: the nearest stack is none and leaves all of it', () => {
    const { nearest, excessStops } = exposure({ fNumber: 8, light: { ev100: 8.7, iso: 100, at: null } });
    expect(excessStops).toBeCloseTo(-2.9, 1);
    expect(nearest).toEqual({ filters: [], leftStops: excessStops });
  });
  it('what takes light away comes off first, then the rest is said', () => {
    const behind = exposure({ fNumber: 8, light: { ev100: 11, iso: 100, at: null }, filterIds: [nd.id] });
    expect(tooDarkAdvice(behind, null)).toBe(
      `Take ${nd.name} off first: without, it is 0.6 stops too dark. Then open the stop, raise the ISO or bring light.`,
    );
    const bright = exposure({ fNumber: 8, light: { ev100: 12, iso: 100, at: null }, filterIds: [nd.id] });
    expect(tooDarkAdvice(bright, null)).toBe(`Take ${nd.name} off first.`);
    expect(tooDarkAdvice(exposure({ light: { ev100: 5, iso: 100, at: null } }), 120)).toMatch(
      /^120 frames a second want light/,
    );
  });
});

describe('diffraction', () => {
  it('goes by the pixels of the part of the sensor that is recorded: a square picture leaves the sides of it away', () => {
    const square = {
      sensorWidthMm: 36,
      sensorHeightMm: 24,
      pictureWidthPx: 2400,
      pictureHeightPx: 2400,
      picturesFrom: [],
    };
    // 24 mm over 2400 pixels: 0.01 mm each; the disc at f/11 is 2.44 · 0.00055 · 11 = 0.01476 mm.
    expect(exposure({ fNumber: 11 }, square).airyPixels).toBeCloseTo(1.476, 2);
  });
});
