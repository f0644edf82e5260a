import { describe, expect, it } from 'vitest';
import { newPiece, type Piece } from '../model';
import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { usual } from '../testing/filmed';
import { plainPieces, plainShoot } from '../testing/shoots';
import { litWhen, type LitWish } from './lit-when';

const EQUATOR = { latitudeDeg: 0, longitudeDeg: 0, utcOffsetH: 0 };
/** The camera stands south of her and looks north, on the equator at an equinox. */
const when = (wish: Partial<LitWish>, pieces: Piece[] = plainPieces()) => {
  const shoot = plainShoot((shot) => ({ ...shot, move: { ...usual('still'), bearingDeg: 180 } }), pieces);
  const film = plannedFilm(sceneOf(shoot, shoot.shots[0]));
  return litWhen(film, EQUATOR, '2026-03-20', { side: 'any', from: 'any', atMostDeg: 90, ...wish });
};
const minutes = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3));

describe('when she is lit as wished', () => {
  it('from the right in the morning, from the left in the evening', () => {
    const [morning, ...more] = when({ from: 'right' });
    expect(more).toEqual([]);
    expect(minutes(morning.from)).toBeGreaterThanOrEqual(6 * 60);
    expect(minutes(morning.to)).toBeLessThanOrEqual(12 * 60 + 10);
    const [evening] = when({ from: 'left' });
    expect(minutes(evening.from)).toBeGreaterThan(12 * 60);
  });
  it('low for about an hour: 15° of height at 15° an hour', () => {
    const [low] = when({ from: 'left', atMostDeg: 15 });
    expect(minutes(low.to) - minutes(low.from)).toBeGreaterThanOrEqual(50);
    expect(minutes(low.to) - minutes(low.from)).toBeLessThanOrEqual(65);
  });
  it('later where a wall keeps the morning off: 6 m high, 3 m away, until the sun is about 60° up', () => {
    const wall = {
      ...newPiece('box', 'wall', 'Wall', 3, 0, 0),
      lengthM: 40,
      depthM: 0.2,
      heightM: 6,
      headingDeg: 0,
    } as Piece;
    const [first] = when({}, [...plainPieces(), wall]);
    expect(minutes(first.from)).toBeGreaterThan(9 * 60 + 40);
    expect(minutes(first.from)).toBeLessThan(10 * 60 + 40);
  });
  it('never from where the sun does not come', () => {
    expect(when({ side: 'behind', atMostDeg: 40 })).toEqual([]);
  });
});
