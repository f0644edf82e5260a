import { describe, expect, it } from 'vitest';
import { threeCameraAt, threeProject } from '../testing/three-camera';
import { project } from '../optics';
import { filmed, usual } from '../testing/filmed';
import { filmShot } from './sample';
import { rowAt } from './shown';

const ramp = [
  { atS: 1, speed: 1 },
  { atS: 3, speed: 0.25 },
];
const film = filmed(usual('arc'), { captureRateHz: 120, frameRateHz: 24, playback: { reversed: false, ramp } });

describe('the frames that are shown', () => {
  it('are what was filmed, itself, where nothing is ramped or reversed', () => {
    const plain = filmed(usual('arc'), { captureRateHz: 60, frameRateHz: 24 });
    expect(plain.samples.tS).toEqual(filmShot(plain.scene).tS);
    expect(plain.samples.slow.every((slow) => Math.abs(slow - 2.5) < 1e-12)).toBe(true);
  });
  it('come one a shown frame, and their moments lie ever closer while it slows', () => {
    const { samples } = film;
    for (let row = 1; row < samples.count; row += 1) {
      expect(samples.screenS[row] - samples.screenS[row - 1]).toBeCloseTo(1 / 24, 9);
      const step = samples.tS[row] - samples.tS[row - 1];
      expect(step).toBeGreaterThan(0.25 / 24 - 1e-9);
      expect(step).toBeLessThan(1 / 24 + 1e-9);
    }
  });
  it('stand between the two filmed about their moment, to less than a millimetre', () => {
    const { samples, motion } = film;
    const place = new Float64Array(3);
    for (let row = 0; row < samples.count; row += 7) {
      motion.placeAt(samples.tS[row], place);
      expect(
        Math.hypot(place[0] - samples.xM[row], place[1] - samples.yM[row], place[2] - samples.zM[row]),
      ).toBeLessThan(0.001);
    }
  });
  it('have cameras of their own pose: three.js projects the same', () => {
    const { samples } = film;
    const out = { u: 0, w: 0, depthM: 0 };
    for (const row of [3, 50, samples.count - 1]) {
      project(samples.cameras, row * 12, 0.3, 0.2, 1.1, out);
      const second = threeProject(threeCameraAt(samples, row), 0.3, 0.2, 1.1);
      expect(out.u).toBeCloseTo(second.u, 9);
      expect(out.w).toBeCloseTo(second.w, 9);
    }
  });
  it('are found by a moment of action, forwards and in reverse', () => {
    const back = filmed(usual('arc'), { captureRateHz: 120, frameRateHz: 24, playback: { reversed: true, ramp } });
    for (const { samples } of [film, back])
      for (const row of [0, 11, 60, samples.count - 1]) {
        expect(rowAt(samples, samples.tS[row])).toBe(row);
      }
    expect(rowAt(back.samples, -5)).toBe(back.samples.count - 1);
    expect(rowAt(film.samples, 500)).toBe(film.samples.count - 1);
  });
});
