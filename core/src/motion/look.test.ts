import { describe, expect, it } from 'vitest';
import type { Aim, AimMode } from '../model';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';

const aim = (mode: AimMode, more: Partial<Aim> = {}): { aim: Aim } => ({
  aim: { mode, place: { u: 0, v: 0 }, smoothingS: 0, deadBandDeg: 0, rateMaxDegps: 720, ...more },
});
const spread = (column: Float64Array) => Math.max(...column) - Math.min(...column);

describe('the gimbal’s modes, on a camera that goes round and up', () => {
  const round = {
    kind: 'helix' as const,
    ...AROUND,
    radiusM: 5,
    startBearingDeg: 150,
    sweepDeg: 60,
    toRadiusM: 6,
    toHeightM: 4,
  };
  const turned = (mode: AimMode) => {
    const { samples } = filmed(round, { ...aim(mode), gaitId: 'gait-walk', rigId: 'rig-gimbal' });
    return { pan: spread(samples.panDeg), tilt: spread(samples.tiltDeg), roll: spread(samples.rollDeg) };
  };
  it('locked: one bearing', () => expect(turned('locked')).toEqual({ pan: 0, tilt: 0, roll: 0 }));
  it('pan follows, tilt and roll stay', () => {
    const { pan, tilt, roll } = turned('panFollow');
    expect(pan).toBeCloseTo(60, 6);
    expect(tilt).toBeLessThan(1e-9);
    expect(roll).toBe(0);
  });
  it('pan and tilt follow, the horizon stays', () => {
    const { pan, tilt, roll } = turned('panTiltFollow');
    expect(pan).toBeCloseTo(60, 6);
    expect(tilt).toBeGreaterThan(15);
    expect(roll).toBe(0);
  });
  it('all axes follow: the horizon leans with the body', () => {
    const { tilt, roll } = turned('allFollow');
    expect(tilt).toBeGreaterThan(15);
    expect(roll).toBeGreaterThan(0.3);
    expect(roll).toBeLessThan(4);
  });
  it('tracking keeps the subject at a chosen place', () => {
    const film = filmed(round, aim('subject', { place: { u: -0.3, v: 0.2 } }));
    expect(
      film.rows((row) => Math.abs(film.subject.u[row] + 0.3) < 1e-9 && Math.abs(film.subject.v[row] - 0.2) < 1e-9),
    ).toBe(true);
  });
});

describe('lag in the picture', () => {
  it('lets the subject drift against the turn and come back at rest', () => {
    const { subject, last } = filmed(usual('arc'), aim('subject', { smoothingS: 0.5 }));
    const most = Math.max(...subject.u.map(Math.abs));
    expect(most).toBeGreaterThan(0.03);
    expect(Math.abs(subject.u[last])).toBeLessThan(most / 5);
  });
  it('leaves the subject off its place by the dead band', () => {
    const { samples, last } = filmed(usual('arc'), aim('subject', { deadBandDeg: 4 }));
    const exact = filmed(usual('arc'), aim('subject')).samples;
    expect(Math.abs(samples.panDeg[last] - exact.panDeg[last])).toBeCloseTo(4, 6);
  });
  it('slows a whip to what the motors give', () => {
    const { samples } = filmed(usual('whipPan'), {
      ...aim('subject', { rateMaxDegps: 60 }),
      timing: {
        durationS: 4,
        holdStartS: 1.8,
        holdEndS: 1.8,
        featherInS: 0.15,
        featherOutS: 0.2,
        featherShape: 'minimumJerk',
      },
    });
    const rates = Array.from(samples.panDeg.slice(1), (deg, i) => (deg - samples.panDeg[i]) * samples.captureRateHz);
    expect(Math.max(...rates)).toBeCloseTo(60, 6);
    expect(samples.panDeg[samples.count - 1] - samples.panDeg[0]).toBeCloseTo(60, 6);
  });
});

describe('a drawn path’s own looks', () => {
  const path = (looks: ({ panDeg: number; tiltDeg: number; rollDeg: number } | null)[]) => ({
    kind: 'free' as const,
    pivotEastM: 0,
    pivotNorthM: 0,
    points: looks.map((look, i) => ({ eastM: 2 * i - 2, northM: -5, heightM: 0.85, look })),
  });
  it('are reached at their points and eased between', () => {
    const { samples, last } = filmed(
      path([
        { panDeg: -40, tiltDeg: 5, rollDeg: 10 },
        { panDeg: 20, tiltDeg: -5, rollDeg: 0 },
        { panDeg: 20, tiltDeg: 0, rollDeg: 0 },
      ]),
      aim('subject'),
    );
    expect(samples.panDeg[0] - 360).toBeCloseTo(-40, 9);
    expect(samples.rollDeg[0]).toBeCloseTo(10, 9);
    const middle = last >> 1;
    expect(samples.panDeg[middle] - 360).toBeCloseTo(20, 1);
    expect(samples.tiltDeg[middle]).toBeCloseTo(-5, 1);
    expect(samples.tiltDeg[last]).toBeCloseTo(0, 9);
  });
  it('give way to what the shot aims at where there is none', () => {
    const { subject, last } = filmed(path([{ panDeg: -60, tiltDeg: 0, rollDeg: 0 }, null, null]), aim('subject'));
    expect(Math.abs(subject.u[0])).toBeGreaterThan(0.5);
    expect(subject.u[last >> 1]).toBeCloseTo(0, 2);
    expect(subject.u[last]).toBeCloseTo(0, 9);
  });
});

describe('without a subject', () => {
  it.each([
    'slide',
    'orbit',
    'jib',
    'follow',
    'overheadSpin',
    'dollyZoom',
    'rackFocus',
    'free',
    'backAwayReveal',
  ] as const)('%s goes by its pivot, in whole numbers', (kind) => {
    const { samples } = filmed(usual(kind), { subjectId: null });
    for (const column of [
      samples.xM,
      samples.yM,
      samples.zM,
      samples.panDeg,
      samples.tiltDeg,
      samples.focalLengthMm,
      samples.focusDistanceM,
    ])
      expect(column.every(Number.isFinite)).toBe(true);
    expect(samples.subjectXM.every(Number.isNaN)).toBe(true);
  });
});
