import { describe, expect, it } from 'vitest';
import { filmed, usual } from '../testing/filmed';
import { readShot } from '../reading';
import { steadied, steady } from './steadied';

const HZ = 60;
const wave = (hz: number, size: number) =>
  Float64Array.from({ length: 8 * HZ }, (_, i) => size * Math.sin((2 * Math.PI * hz * i) / HZ));
const middle = (column: Float64Array) => column.slice(2 * HZ, 6 * HZ);
const peak = (column: Float64Array) => Math.max(...middle(column).map(Math.abs));
const SHARE = 0.05;
const margin = SHARE / (2 * (1 - SHARE));

describe('stabilising afterwards, against a numerical high-pass within the crop', () => {
  it('takes away what is quick and smaller than the margin', () => {
    const { left, atMargin } = steady([wave(4, margin * 0.6)], [margin], HZ);
    expect(atMargin).toBe(0);
    expect(peak(left[0])).toBeLessThan(margin * 0.03);
  });
  it('leaves what is slow as it is', () => {
    const slow = wave(0.05, 0.2);
    const { left } = steady([slow], [margin], HZ);
    expect(peak(left[0])).toBeGreaterThan(0.18);
  });
  it('of what is larger than the margin, what lies beyond it stays', () => {
    const { left, atMargin } = steady([wave(4, margin * 3)], [margin], HZ);
    expect(atMargin).toBeGreaterThan(0.3);
    expect(peak(left[0])).toBeGreaterThan(margin * 1.5);
    expect(peak(left[0])).toBeLessThan(margin * 2.1);
  });
  it('is the high-pass that the softening leaves: course less softened course, where the margin allows it', () => {
    const course = wave(1.5, 0.004).map((value, i) => value + wave(6, 0.003)[i]);
    const { left, followsS } = steady([course], [margin], HZ);
    // A triangular window of half-width T passes sinc²(f T) of a frequency.
    const passes = (hz: number) => (Math.sin(Math.PI * hz * followsS) / (Math.PI * hz * followsS)) ** 2;
    expect(peak(left[0])).toBeLessThan(0.004 * passes(1.5) + 0.003 * passes(6) + 5e-4);
  });
  it('a larger share leaves no more', () => {
    const course = wave(2, 0.03);
    const left = [0.02, 0.05, 0.1, 0.2].map((share) => peak(steady([course], [share / (2 * (1 - share))], HZ).left[0]));
    for (let i = 1; i < left.length; i += 1) expect(left[i]).toBeLessThanOrEqual(left[i - 1] + 1e-9);
  });
});

describe('stabilising in a shot', () => {
  const walked = (stabilisingPercent: number) =>
    filmed({ ...usual('push'), fromDistanceM: 9, toDistanceM: 3 } as ReturnType<typeof usual<'push'>>, {
      rigId: 'rig-hand',
      gaitId: 'gait-walk',
      after: { stabilisingPercent, barsPercent: 0 },
      captureRateHz: 25,
      frameRateHz: 25,
    });
  it('is cut off all round: the picture is as much closer, and the subject stays at its place', () => {
    const [all, kept] = [walked(0), walked(10)];
    expect(kept.samples.focalLengthMm[0]).toBeCloseTo(all.samples.focalLengthMm[0] / 0.9, 9);
    expect(kept.samples.crop[0]).toBeCloseTo(1 / 0.9, 9);
    expect(kept.rows((row) => Math.abs(kept.subject.u[row] - all.subject.u[row]) < 1e-9)).toBe(true);
    expect(kept.subject.height[0]).toBeGreaterThan(all.subject.height[0] * 1.1);
  });
  it('leaves less bob, and says what stays', () => {
    const { samples } = walked(10);
    const told = steadied(samples, samples.subjectDistanceM, 0.1);
    expect(told?.left).toBeLessThan((told?.before ?? 0) * 0.7);
    const step = told?.bands[1];
    expect(step?.left).toBeLessThan((step?.before ?? 0) * 0.7);
    const { shoot } = walked(10);
    const shake = readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'shake');
    expect(shake?.sentence).toMatch(
      /^Stabilising by 10% takes the bob from [\d.]+% to [\d.]+% of the width: .* stays, and what smeared stays smeared/,
    );
  });
});

describe('breathing', () => {
  it('a lens that shows 5% less at its closest focus shows it in a pull', () => {
    const { shoot } = filmed(usual('push'));
    const [shot] = shoot.shots;
    const breathes = (breathingShare: number, focus: typeof shot.focus) => {
      const lenses = shoot.kit.lenses.map((lens) => (lens.id === shot.lensId ? { ...lens, breathingShare } : lens));
      const { samples } = filmed(usual('push'), { focus });
      const changed = { ...shoot, kit: { ...shoot.kit, lenses }, shots: [{ ...shot, focus }] };
      return { samples, reading: readShot(changed, changed.shots[0]).picture.samples };
    };
    const lens = shoot.kit.lenses.find(({ id }) => id === shot.lensId);
    const near = breathes(0.05, { mode: 'fixed', distanceM: lens?.closestFocusM ?? 0.3 });
    expect(near.reading.focalLengthMm[0] / near.samples.focalLengthMm[0]).toBeCloseTo(1.05, 9);
    const far = breathes(0.05, { mode: 'fixed', distanceM: 10000 });
    expect(far.reading.focalLengthMm[0] / far.samples.focalLengthMm[0]).toBeCloseTo(1, 4);
  });
});
