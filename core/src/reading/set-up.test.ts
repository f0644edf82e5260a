import { describe, expect, it } from 'vitest';
import type { Shot } from '../model';
import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { usual } from '../testing/filmed';
import { plainShoot } from '../testing/shoots';
import { setUpNote } from './set-up';

const note = (more: Partial<Shot> = {}, camera: { steadyShare?: number } = {}) => {
  const given = plainShoot((shot) => ({ ...shot, rigId: 'rig-tripod', gaitId: 'gait-stand', ...more }));
  const shoot = { ...given, kit: { ...given.kit, cameras: given.kit.cameras.map((row) => ({ ...row, ...camera })) } };
  const lines = setUpNote(plannedFilm(sceneOf(shoot, shoot.shots[0])));
  return (key: string) => lines.find((line) => line.key === key);
};
const setUp = (more: Partial<Shot['setUp']>): Shot['setUp'] => ({
  profile: 'standard',
  sharpness: 'usual',
  exposure: 'locked',
  whiteBalance: 'locked',
  stabiliser: 'on',
  ...more,
});
const PAN = { ...usual('pan'), fromDeg: -30, toDeg: 30 };

describe('the camera’s set-up, held against the shot', () => {
  it('wants exposure and white balance locked', () => {
    expect(note({ setUp: setUp({ exposure: 'auto' }) })('exposure')).toMatchObject({ suits: false });
    expect(note({ setUp: setUp({ whiteBalance: 'auto' }) })('whiteBalance')?.said).toMatch(/Lock it/);
    expect(note()('exposure')?.suits).toBe(true);
    expect(note({ move: PAN })('exposure')?.said).toMatch(/all that it turns over \(60°\)/);
  });
  it('wants a flat profile unsharpened', () => {
    expect(note({ setUp: setUp({ profile: 'flat' }) })('profile')?.suits).toBe(false);
    expect(note({ setUp: setUp({ profile: 'flat', sharpness: 'low' }) })('profile')?.suits).toBe(true);
  });
  it('wants stabilisers off on a tripod and on in the hand, where there are any', () => {
    const has = { steadyShare: 0.3 };
    expect(note({}, has)('stabiliser')?.said).toMatch(/Switch them off/);
    expect(note({ setUp: setUp({ stabiliser: 'off' }) }, has)('stabiliser')?.suits).toBe(true);
    const hand = { rigId: 'rig-hand', setUp: setUp({ stabiliser: 'off' }) };
    expect(note(hand, has)('stabiliser')?.said).toMatch(/switch them on/);
    expect(note({ rigId: 'rig-gimbal', move: PAN }, has)('stabiliser')?.said).toMatch(/fight each other/);
    expect(note(hand, { steadyShare: 1 })('stabiliser')?.suits).toBe(true);
  });
  it('wants focus locked where the distance stays, and followed where it does not', () => {
    expect(note({ move: PAN })('focus')?.said).toMatch(/lock it/);
    expect(note({ move: { ...usual('push'), fromDistanceM: 6, toDistanceM: 2 } })('focus')?.suits).toBe(true);
  });
  it('minds a polariser that turns or is wide, and a wide variable ND', () => {
    expect(note({ filterIds: ['filter-pol'], move: PAN })('polariser')?.suits).toBe(false);
    expect(note({ filterIds: ['filter-pol'], focalLengthMm: 16, lensId: 'lens-fern-1635' })('polariser')?.suits).toBe(
      false,
    );
    expect(note({ filterIds: ['filter-pol'], focalLengthMm: 50 })('polariser')?.suits).toBe(true);
    expect(note({ filterIds: ['filter-vnd'], focalLengthMm: 16, lensId: 'lens-fern-1635' })('variableNd')?.suits).toBe(
      false,
    );
    expect(note({ filterIds: ['filter-vnd'], focalLengthMm: 50 })('variableNd')?.suits).toBe(true);
  });
  it('says the shutter as a time, and when it is short or long', () => {
    expect(note({ captureRateHz: 25, frameRateHz: 25, shutterDeg: 180 })('shutter')?.said).toMatch(
      /^Shutter 1\/50 s at 25 .* as usual/,
    );
    expect(note({ shutterDeg: 45 })('shutter')?.suits).toBe(false);
    expect(note({ shutterDeg: 340 })('shutter')?.said).toMatch(/smears/);
  });
  it('a stabiliser that is switched off lets all of the trembling through', () => {
    const film = (stabiliser: 'on' | 'off') => {
      const given = plainShoot((shot) => ({
        ...shot,
        rigId: 'rig-hand',
        gaitId: 'gait-planted',
        setUp: setUp({ stabiliser }),
      }));
      const shoot = {
        ...given,
        kit: { ...given.kit, cameras: given.kit.cameras.map((row) => ({ ...row, steadyShare: 0.25 })) },
      };
      const { samples } = plannedFilm(sceneOf(shoot, shoot.shots[0]));
      const { tiltDeg: bodyTiltDeg } = samples.body;
      return Math.sqrt(bodyTiltDeg.reduce((sum, deg) => sum + deg * deg, 0) / samples.count);
    };
    expect(film('off') / film('on')).toBeCloseTo(4, 6);
  });
});
