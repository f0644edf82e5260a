import { describe, expect, it } from 'vitest';
import { severity } from '../findings';
import { type Move, newPiece, type Piece, type Shot } from '../model';
import { readShot } from '../reading';
import { filmed, usual } from '../testing/filmed';
import { AROUND, plainPieces } from '../testing/shoots';
import { curesFor } from './cures';

const TIMING = {
  durationS: 4,
  holdStartS: 0,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
const push: Move = { kind: 'push', ...AROUND, fromDistanceM: 9, toDistanceM: 4, bearingDeg: 180 };
const orbit: Move = { kind: 'orbit', ...AROUND, heightM: 3, radiusM: 8, startBearingDeg: 0, sweepDeg: 360 };
const pole: Piece = { ...newPiece('post', 'pole', 'Pole', 0, -5.2, 0), lengthM: 0.1, depthM: 0.1 };

/** Each is provoked, and at least one change that was tried takes it away or softens it. */
const PROVOKED: [string, Move, Partial<Shot>, Piece[]?][] = [
  ['rig.speed', { ...push, heightM: 3 }, { rigId: 'rig-drone', stick: 'slow', timing: { ...TIMING, durationS: 2.6 } }],
  ['rig.climb', { ...usual('rise'), toHeightM: 2.2 }, { rigId: 'rig-gimbal', timing: { ...TIMING, durationS: 2 } }],
  ['rig.acceleration', push, { rigId: 'rig-gimbal', timing: { ...TIMING, durationS: 6, featherInS: 0.2 } }],
  ['rig.pan', usual('arc'), { rigId: 'rig-gimbal', stick: 'slow', timing: { ...TIMING, durationS: 3 } }],
  [
    'rig.bank',
    orbit,
    { rigId: 'rig-drone', stick: 'fast', timing: { ...TIMING, durationS: 8.2, featherInS: 2, featherOutS: 2 } },
  ],
  ['rig.arm', { ...usual('jib'), armM: 4 }, { rigId: 'rig-jib', timing: { ...TIMING, durationS: 8 } }],
  ['rig.roll', usual('roll'), { rigId: 'rig-tripod', timing: { ...TIMING, durationS: 6 } }],
  [
    'rig.clear',
    push,
    { rigId: 'rig-gimbal', timing: { ...TIMING, durationS: 9 } },
    [...plainPieces().filter(({ kind }) => kind !== 'post'), pole],
  ],
  [
    'rig.frames',
    push,
    { rigId: 'rig-gimbal', captureRateHz: 240, frameRateHz: 24, timing: { ...TIMING, durationS: 9 } },
  ],
  ['rig.frames', usual('still'), { cameraId: 'cam-wren', rigId: 'rig-tripod', captureRateHz: 120, frameRateHz: 24 }],
  [
    'stagger',
    push,
    {
      rigId: 'rig-gimbal',
      playback: { reversed: false, ramp: [{ atS: 0, speed: 0.4 }] },
      timing: { ...TIMING, durationS: 9 },
    },
  ],
  [
    'stagger',
    usual('slide'),
    {
      rigId: 'rig-gimbal',
      playback: {
        reversed: false,
        ramp: [
          { atS: 1, speed: 1 },
          { atS: 3, speed: 0.7 },
        ],
      },
      timing: { ...TIMING, durationS: 9 },
    },
  ],
  [
    'shake',
    push,
    {
      rigId: 'rig-gimbal',
      gaitId: 'gait-run',
      lensId: 'lens-moss-85',
      focalLengthMm: 85,
      timing: { ...TIMING, durationS: 8 },
    },
  ],
];

describe('trouble of rig and body', () => {
  it.each(PROVOKED)('%s is provoked and cured', (id, move, more, pieces) => {
    const { shoot } = filmed(move, { timing: TIMING, gaitId: 'gait-knees', ...more }, false, pieces);
    const [shot] = shoot.shots;
    const before = readShot(shoot, shot).findings.find((finding) => finding.id === id);
    expect(before && severity(before)).toBeGreaterThan(0);
    if (!before) return;
    const cures = curesFor(shoot, shot, before);
    expect(cures.length).toBeGreaterThan(0);
    for (const cure of cures) {
      const changed = cure.pieces ? { ...shoot, site: { ...shoot.site, pieces: cure.pieces } } : shoot;
      const after = readShot(changed, cure.shot).findings.find((finding) => finding.id === id);
      expect(after ? severity(after) : 0).toBeLessThan(severity(before));
    }
  });
  it('a buffer that is too short: a shorter action, or fewer frames', () => {
    const { shoot: given } = filmed(usual('slide'), {
      rigId: 'rig-gimbal',
      captureRateHz: 120,
      frameRateHz: 24,
      timing: { ...TIMING, durationS: 6 },
    });
    const shoot = {
      ...given,
      kit: { ...given.kit, cameras: given.kit.cameras.map((camera) => ({ ...camera, bufferAboveHz: 60, bufferS: 4 })) },
    };
    const buffer = readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'rig.buffer');
    expect(buffer?.grade).toBe('cannot');
    const cures = buffer ? curesFor(shoot, shoot.shots[0], buffer) : [];
    expect(cures.map(({ instruction }) => instruction)).toContain('Film 60 frames a second');
    for (const { shot } of cures)
      expect(readShot(shoot, shot).findings.find(({ id }) => id === 'rig.buffer')?.grade ?? 'fits').toBe('fits');
  });
  it('another rig is carried as its kind usually is', () => {
    const { shoot } = filmed(
      { ...push, fromDistanceM: 6.4 },
      { timing: { ...TIMING, durationS: 9 }, rigId: 'rig-slider-120' },
    );
    const travel = readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'rig.travel');
    const cures = travel ? curesFor(shoot, shoot.shots[0], travel) : [];
    const walked = cures.find(({ shot }) => shot.rigId === 'rig-gimbal');
    expect(walked?.shot.gaitId).toBe('gait-knees');
  });
});
