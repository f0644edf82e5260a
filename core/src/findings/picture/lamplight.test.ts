import { describe, expect, it } from 'vitest';
import { type Lamp, newPiece, type Piece, type Shot } from '../../model';
import { plannedFilm } from '../../motion';
import { measurePicture } from '../../image';
import { filmed, usual } from '../../testing/filmed';
import { plainPieces } from '../../testing/shoots';
import { lamplight } from './lamplight';

/** Her middle is 0.85 m up; the lamp's light is as high, and it shines north at her from the south. */
const lampAt = (yM: number, more: Partial<Lamp> = {}): Lamp => ({
  ...(newPiece('lamp', 'key', 'Key', 0, yM, 0) as Lamp),
  heightM: 0.85 / 0.93,
  headingDeg: 0,
  ...more,
});
const told = (lamps: Piece[], more: Partial<Shot> = {}, others: Piece[] = []) => {
  const { scene } = filmed({ ...usual('still'), bearingDeg: 200 }, more, false, [
    ...plainPieces().filter(({ id }) => id !== 'post'),
    ...others,
    ...lamps,
  ]);
  return Object.fromEntries(
    lamplight.find(measurePicture(plannedFilm(scene), 'metric')).map((finding) => [finding.id, finding]),
  );
};

describe('lamps on the subject', () => {
  it('give what inverse square says: 2000 lux at 1 m are 222 at 3 m, from the front', () => {
    const found = told([lampAt(-3)]);
    expect(found['lamp.on'].value).toBeCloseTo(2000 / 9, 0);
    expect(found['lamp.on'].sentence).toMatch(
      /^Key gives Ansa 222 lux \(EV 6\.5\) three-quarter|^Key gives Ansa 222 lux \(EV 6\.5\) from the front/,
    );
    expect(found['lamp.change'].sentence).toMatch(/a locked exposure bears it/);
  });
  it('give nothing out of their beam or from behind a wall', () => {
    expect(told([lampAt(-3, { headingDeg: 180 })])).toEqual({});
    const wall = {
      ...newPiece('box', 'wall', 'Wall', 0, -1.5, 0),
      lengthM: 4,
      depthM: 0.1,
      heightM: 3,
      headingDeg: 90,
    } as Piece;
    expect(told([lampAt(-3)], {}, [wall])).toEqual({});
  });
  it('say when somebody who walks up to one changes by more than a locked exposure bears', () => {
    const walks = [
      {
        pieceId: 'figure',
        footing: 'drawn' as const,
        jumps: [],
        points: [
          { tS: 0, xM: 0, yM: 4, zM: 0 },
          { tS: 8, xM: 0, yM: -1, zM: 0 },
        ],
      },
    ];
    // From 7 m to 2 m: 2 log2(3.5) = 3.6 stops, less what falls out of the beam.
    const found = told([lampAt(-3)], { walks });
    expect(found['lamp.change'].grade).toBe('ripple');
    expect(found['lamp.change'].value).toBeCloseTo(3.6, 0);
    const auto = {
      profile: 'standard',
      sharpness: 'usual',
      exposure: 'auto',
      whiteBalance: 'locked',
      stabiliser: 'on',
    } as const;
    expect(told([lampAt(-3)], { walks, setUp: auto })['lamp.change'].grade).toBe('calm');
  });
  it('stand over her and light her from above; pulse and run down though nobody is there', () => {
    const boom = lampAt(-0.4, { heightM: 4, tiltDeg: -80 });
    expect(told([boom])['lamp.on'].sentence).toMatch(/from above/);
    const alone = told([lampAt(-3, { pulseHz: 100 })], { subjectId: null, captureRateHz: 30, frameRateHz: 30 });
    expect(alone['lamp.pulse'].grade).toBe('ripple');
  });
  it('tell pulses: 100 a second at 1/50 s is two whole ones, at 1/60 s bands', () => {
    const pulsing = [lampAt(-3, { pulseHz: 100 })];
    const at = (captureRateHz: number) => told(pulsing, { captureRateHz, frameRateHz: captureRateHz, shutterDeg: 180 });
    expect(at(25)['lamp.pulse'].grade).toBe('calm');
    expect(at(30)['lamp.pulse'].sentence).toMatch(
      /1\.67 pulses while the shutter is open: bands or flicker\. A shutter of 1\/50 s/,
    );
    expect(
      told([lampAt(-3, { runMin: 1 })], {
        timing: { durationS: 90, holdStartS: 0, featherInS: 0, featherOutS: 0, holdEndS: 0, featherShape: 'cosine' },
      })['lamp.battery'].grade,
    ).toBe('ripple');
  });
});
