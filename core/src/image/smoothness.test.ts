import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logDimensionlessJerk, spectralArcLength } from './smoothness';

/** Speed of a minimum-jerk stroke (Flash & Hogan 1985): 30 τ² (1 − τ)². */
const stroke = (durationS: number, rateHz: number) =>
  Float64Array.from({ length: Math.round(durationS * rateHz) + 1 }, (_, i) => {
    const tau = i / (durationS * rateHz);
    return (30 * tau * tau * (1 - tau) * (1 - tau)) / durationS;
  });

describe('log dimensionless jerk', () => {
  // Hogan & Sternad 2009; Balasubramanian et al. 2015: 720 / 1.875² = 204.8 for a minimum-jerk stroke.
  it('is −ln 204.8 for a minimum-jerk stroke', () => {
    expect(logDimensionlessJerk(stroke(1, 1000), 1000)).toBeCloseTo(-5.322, 2);
    expect(logDimensionlessJerk(stroke(8, 60), 60)).toBeCloseTo(-5.322, 1);
  });
  it('does not depend on how far or how long', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 50, noNaN: true }), fc.constantFrom(2, 5, 10), (size, durationS) => {
        const plain = logDimensionlessJerk(stroke(durationS, 200), 200) ?? 0;
        expect(
          logDimensionlessJerk(
            stroke(durationS, 200).map((value) => value * size),
            200,
          ),
        ).toBeCloseTo(plain, 9);
        expect(plain).toBeCloseTo(-5.322, 1);
      }),
      { numRuns: 20 },
    );
  });
  it('has no answer where nothing moves or speed never changes', () => {
    expect(logDimensionlessJerk(new Float64Array(50), 24)).toBeNull();
    expect(logDimensionlessJerk(new Float64Array(50).fill(2), 24)).toBeNull();
    expect(logDimensionlessJerk([1, 2], 24)).toBeNull();
  });
});

describe('spectral arc length', () => {
  // Balasubramanian et al. 2015: cut-off 10 Hz, amplitude threshold 0.05, zero-padding level 4.
  it('is −1.4058 for a minimum-jerk stroke of 1 s at 100 Hz', () => {
    expect(spectralArcLength(stroke(1, 100), 100)).toBeCloseTo(-1.4058, 4);
  });
  it('is −2.4058 for constant speed with hard ends', () => {
    expect(spectralArcLength(new Float64Array(101).fill(1), 100)).toBeCloseTo(-2.4058, 3);
  });
  it('falls with every stop on the way', () => {
    const once = stroke(2, 100);
    const twice = Float64Array.from([...stroke(1, 100), ...stroke(1, 100)]);
    const thrice = Float64Array.from([...stroke(1, 100), ...stroke(1, 100), ...stroke(1, 100)]);
    const [a, b, c] = [once, twice, thrice].map((speed) => spectralArcLength(speed, 100) ?? 0);
    expect(a).toBeGreaterThan(b);
    expect(b).toBeGreaterThan(c);
  });
  it('has no answer where nothing moves', () => {
    expect(spectralArcLength(new Float64Array(50), 24)).toBeNull();
    expect(spectralArcLength([1, 2], 24)).toBeNull();
  });
});
