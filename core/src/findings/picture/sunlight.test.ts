import { describe, expect, it } from 'vitest';
import { newPiece, type Piece, type Shot } from '../../model';
import { plannedFilm } from '../../motion';
import { measurePicture } from '../../image';
import { momentOf } from '../../light';
import { sceneOf } from '../../scene';
import { usual } from '../../testing/filmed';
import { HELD_STILL, plainPieces, plainShoot } from '../../testing/shoots';
import { flare } from './flare';
import { ownShadow } from './own-shadow';
import { sunlight } from './sunlight';

/** On the equator at an equinox the sun rises in the east, stands overhead at noon and sets in the west. */
const EQUATOR = { latitudeDeg: 0, longitudeDeg: 0, utcOffsetH: 0 };
const at = (time: string) => momentOf(EQUATOR, '2026-03-20', time).toISOString().replace('.000Z', 'Z');

const picture = (time: string, more: Partial<Shot> = {}, pieces: Piece[] = plainPieces()) => {
  const given = plainShoot(
    (shot) => ({
      ...shot,
      rigId: 'rig-gimbal',
      gaitId: 'gait-stand',
      move: { ...usual('still'), heightM: 1.5, distanceM: 5, bearingDeg: 180 },
      light: { ...shot.light, at: at(time) },
      ...more,
    }),
    pieces,
  );
  const shoot = { ...given, site: { ...given.site, place: EQUATOR } };
  return measurePicture(plannedFilm(sceneOf(shoot, shoot.shots[0])), 'metric');
};
const told = (...given: Parameters<typeof picture>) =>
  Object.fromEntries(sunlight.find(picture(...given)).map((finding) => [finding.id, finding]));

describe('the sun on the subject, the camera looking north', () => {
  it('comes from the right in the morning, from the left in the evening, from above at noon', () => {
    expect(told('08:00')['sun.side'].sentence).toMatch(
      /^Ansa is lit from the right throughout; the sun stands 2[89]° high/,
    );
    expect(told('16:00')['sun.side'].sentence).toMatch(/lit from the left throughout/);
    expect(told('12:00')['sun.side'].sentence).toMatch(/lit from above/);
    expect(told('06:40')['sun.side'].sentence).toMatch(/from the right, low/);
    expect(told('20:00')['sun.side'].sentence).toMatch(/below the horizon/);
  });
  it('from the east: behind her as a camera looks east, before her as it looks west', () => {
    const seenFrom = (bearingDeg: number) => ({ move: { ...usual('still'), heightM: 1.5, distanceM: 5, bearingDeg } });
    expect(told('08:00', seenFrom(270))['sun.side'].sentence).toMatch(/lit from behind/);
    expect(told('08:00', seenFrom(90))['sun.side'].sentence).toMatch(/lit from the front/);
  });
  it('is kept off by a wall, and said in stops where she goes out of it', () => {
    const wall = {
      ...newPiece('box', 'wall', 'Wall', 3, 0, 0),
      lengthM: 8,
      depthM: 0.3,
      heightM: 6,
      headingDeg: 0,
    } as Piece;
    expect(told('08:00', {}, [...plainPieces(), wall])['sun.side'].sentence).toMatch(
      /^Ansa is in the shade throughout/,
    );
    const walk = {
      pieceId: 'figure',
      footing: 'drawn' as const,
      jumps: [],
      points: [
        { tS: 0, xM: 0, yM: 0, zM: 0 },
        { tS: 8, xM: 0, yM: 9, zM: 0 },
      ],
    };
    const out = told('08:00', { walks: [walk] }, [...plainPieces(), wall]);
    expect(out['sun.shade'].sentence).toMatch(/goes out of the shade into the sun at \d\.\d s: 2\.\d stops; a locked/);
    expect(out['sun.shade'].grade).toBe('ripple');
  });
  it('makes a face that looks into it squint, and no other', () => {
    const facing = (headingDeg: number) =>
      plainPieces().map((row) => (row.id === 'figure' ? { ...row, headingDeg } : row));
    expect(told('08:30', {}, facing(90))['sun.squint'].sentence).toMatch(/^Ansa looks within \d° of the sun/);
    expect(told('08:30', {}, facing(180))['sun.squint']).toBeUndefined();
    expect(told('06:30', {}, facing(90))['sun.squint']).toBeUndefined();
  });
  it('is not there where nobody has said when', () => {
    expect(told('08:00', { light: { ev100: 15, iso: 100, at: null } })).toEqual({});
  });
});

describe('the operator’s own shadow', () => {
  const shadow = (time: string, bearingDeg: number, more: Partial<Shot> = {}) =>
    ownShadow.find(
      picture(time, {
        ...HELD_STILL,
        focalLengthMm: 24,
        move: { ...usual('still'), heightM: 1.2, distanceM: 5, bearingDeg },
        ...more,
      }),
    );
  it('lies in the picture with the low sun behind the camera, and not with the sun ahead or from the side', () => {
    expect(shadow('07:10', 90)[0]?.sentence).toMatch(
      /^The operator’s shadow, 6\.2\d? m long, falls into the frame for/,
    );
    expect(shadow('07:10', 270)).toEqual([]);
    expect(shadow('07:10', 180)).toEqual([]);
    expect(shadow('12:00', 90)).toEqual([]);
  });
  it('is only its own for what flies', () => {
    expect(shadow('07:10', 90, { rigId: 'rig-drone' })[0]?.sentence ?? 'none').toMatch(/^The shadow of Drone|none/);
  });
});

describe('the sun and the glass', () => {
  it('is in the picture, beside it, or out of reach', () => {
    // 7.5° high a good half hour after rising.
    const low = { move: { ...usual('still'), heightM: 0.85, distanceM: 5, bearingDeg: 258 }, ...HELD_STILL };
    expect(flare.find(picture('06:38', low))[0]).toMatchObject({ grade: 'calm' });
    expect(flare.find(picture('08:00', low))[0]).toMatchObject({ grade: 'ripple' });
    expect(flare.find(picture('10:30', low))).toEqual([]);
    const wall = {
      ...newPiece('box', 'wall', 'Wall', 4, 0, 0),
      lengthM: 14,
      depthM: 0.3,
      heightM: 8,
      headingDeg: 0,
    } as Piece;
    expect(flare.find(picture('06:38', low, [...plainPieces(), wall]))).toEqual([]);
  });
});
