import { describe, expect, it } from 'vitest';
import { plainShoot } from '../testing/shoots';
import { ShootSchema } from '../model';
import { bothWays, flicked, wayOf, withoutVariant, withVariant } from './ways';

const [shot] = plainShoot().shots;

describe('two ways to make a shot', () => {
  const kept = { ...withVariant(shot), focalLengthMm: 24 };
  it('keeps the first as A while the second is worked on', () => {
    expect(kept).toMatchObject({ variant: 'B', focalLengthMm: 24, other: { focalLengthMm: 35 } });
    expect(kept.other).not.toHaveProperty('name');
  });
  it('flicks there and back without losing anything', () => {
    expect(flicked(kept)).toMatchObject({
      variant: 'A',
      focalLengthMm: 35,
      other: { focalLengthMm: 24 },
      name: shot.name,
      id: shot.id,
    });
    expect(flicked(flicked(kept))).toEqual(kept);
    expect(flicked(shot)).toBe(shot);
  });
  it('gives both, A first, whichever is shown', () => {
    expect(bothWays(kept).map(({ focalLengthMm }) => focalLengthMm)).toEqual([35, 24]);
    expect(bothWays(flicked(kept)).map(({ focalLengthMm }) => focalLengthMm)).toEqual([35, 24]);
    expect(bothWays(shot)).toEqual([shot]);
  });
  it('drops the other and keeps what is shown', () => {
    expect(withoutVariant(kept)).toMatchObject({ variant: 'A', focalLengthMm: 24, other: null });
    expect(wayOf(withoutVariant(kept))).toEqual(wayOf(kept));
  });
  it('is checked in a file like the shot itself', () => {
    const shoot = { ...plainShoot(), shots: [{ ...kept, other: kept.other && { ...kept.other, lensId: 'nobody' } }] };
    expect(ShootSchema.safeParse(shoot).error?.issues[0].path).toEqual(['shots', 0, 'other', 'lensId']);
    expect(ShootSchema.safeParse({ ...plainShoot(), shots: [kept] }).success).toBe(true);
  });
});
