import { describe, expect, it } from 'vitest';
import type { Shot } from '../../model';
import { readShot } from '../../reading';
import { AROUND, moved, plainShoot } from '../../testing/shoots';

const cautions = (shoot = plainShoot()) => readShot(shoot, shoot.shots[0]).cautions;

describe('cautions', () => {
  const said = (edit: (shot: Shot) => Shot) => cautions(plainShoot(edit)).map((caution) => caution.id);
  it('follow the plan', () => {
    expect(said((shot) => ({ ...shot, rigId: 'rig-drone' }))).toContain('drone');
    expect(said(moved({ kind: 'push', ...AROUND, fromDistanceM: 3, toDistanceM: 8, bearingDeg: 180 }))).toContain(
      'backwards',
    );
    expect(said(moved({ kind: 'push', ...AROUND, fromDistanceM: 8, toDistanceM: 3, bearingDeg: 180 }))).toEqual([]);
    expect(
      said(moved({ kind: 'slide', ...AROUND, distanceM: 0.8, bearingDeg: 180, travelM: 0.4, skewDeg: 0 })),
    ).toContain('close.figure');
  });
  it('defer to who decides and never call a thing safe', () => {
    for (const rigId of ['rig-drone', 'rig-slider-120'])
      for (const { sentence } of cautions(plainShoot((shot) => ({ ...shot, rigId })))) {
        expect(sentence).toMatch(/decide/);
        expect(sentence).not.toMatch(/\bsafe/i);
      }
  });
});
