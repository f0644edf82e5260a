import { describe, expect, it } from 'vitest';
import { filmed, usual } from '../testing/filmed';
import { driftByAim } from './aim-drift';

const aim = { mode: 'subject' as const, place: { u: 0, v: 0 }, smoothingS: 0, deadBandDeg: 0, rateMaxDegps: 720 };

describe('the drift that each way of turning leaves', () => {
  it('is none while the subject is tracked, and more the fewer axes follow', () => {
    const drift = driftByAim(filmed({ ...usual('riseTiltDown'), toHeightM: 2 }, { aim }).scene);
    expect(drift?.subject).toBeLessThan(1e-9);
    expect(drift?.panTiltFollow).toBeLessThan(1e-9);
    expect(drift?.panFollow).toBeGreaterThan(0.03);
    const arc = driftByAim(filmed({ ...usual('arc'), sweepDeg: 30 }, { aim }).scene);
    expect(arc?.panFollow).toBeLessThan(1e-3);
    expect(arc?.locked).toBeGreaterThan(0.2);
  });
  it('grows with the smoothing time', () => {
    const drift = (smoothingS: number) =>
      driftByAim(filmed(usual('slide'), { aim: { ...aim, smoothingS } }).scene)?.subject ?? NaN;
    expect(drift(0.6)).toBeGreaterThan(drift(0.2) * 1.5);
  });
  it('says when the subject leaves the picture, and nothing without a subject or where the move leads the look', () => {
    expect(driftByAim(filmed(usual('orbit'), { aim }).scene)?.locked).toBe(Infinity);
    expect(driftByAim(filmed(usual('slide'), { subjectId: null }).scene)).toBeNull();
    expect(driftByAim(filmed(usual('overheadSpin')).scene)).toBeNull();
  });
});
