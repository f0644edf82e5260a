import { describe, expect, it } from 'vitest';
import { limitsOf } from '../model';
import { windowSpeed } from './strobe';

const LIMITS = limitsOf({});
const shown = (frameRateHz: number, shutterDeg = 180, widthPx = 7680) => ({
  frameRateHz,
  exposureS: shutterDeg / 360 / frameRateHz,
  widthPx,
});

describe('window of visibility (Watson, Ahumada & Farrell 1986)', () => {
  it('is (rate − w) / u degrees a second: 60 frames, 30 Hz, 60 cycles a degree', () => {
    expect(windowSpeed(shown(60), LIMITS) * LIMITS.pictureWidthDeg).toBeCloseTo((60 - 30) / 60, 9);
  });
  it('never lets steps go unseen at 24 frames a second', () => {
    expect(windowSpeed(shown(24), LIMITS)).toBe(0);
  });
  it('widens with the frame rate, with a longer shutter, and with distance from the picture', () => {
    const rates = [48, 60, 120, 240].map((hz) => windowSpeed(shown(hz), LIMITS));
    expect([...rates].sort((a, b) => a - b)).toEqual(rates);
    expect(windowSpeed(shown(60, 360), LIMITS)).toBeGreaterThan(windowSpeed(shown(60, 45), LIMITS));
    const nearer = windowSpeed(shown(60), { ...LIMITS, pictureWidthDeg: 60 });
    const farther = windowSpeed(shown(60), { ...LIMITS, pictureWidthDeg: 15 });
    expect(farther).toBeGreaterThan(nearer);
  });
  it('widens with coarser pixels', () => {
    expect(windowSpeed(shown(60, 180, 1280), LIMITS)).toBeGreaterThan(windowSpeed(shown(60, 180, 3840), LIMITS));
  });
});
