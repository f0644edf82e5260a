import { describe, expect, it } from 'vitest';
import { readShot } from '../reading';
import { usual } from '../testing/filmed';
import { plainShoot } from '../testing/shoots';
import { asFall } from './fall';
import type { Shot } from '../model';

const falling = (edit: (shot: Shot) => Shot) => {
  const shoot = plainShoot((shot) =>
    edit({
      ...shot,
      rigId: 'rig-drop',
      gaitId: 'gait-stand',
      captureRateHz: 120,
      move: { ...usual('drop'), heightM: 2.4, toHeightM: 0.6 },
    }),
  );
  return readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'rig.fall');
};

describe('a move that falls', () => {
  it('cannot be made slower than it falls, and fits as soon as it is timed as the fall that it is', () => {
    const slow = falling((shot) => shot);
    expect(slow?.grade).toBe('cannot');
    expect(slow?.sentence).toMatch(/sinks 1.8 m in \d\.\d\d s; let go it falls that far in 0.61 s/);
    expect(falling((shot) => asFall(shot, 0, 1.8))?.grade).toBe('fits');
  });
  it('is no fall where it rises', () => {
    expect(falling((shot) => ({ ...shot, move: { ...usual('rise'), heightM: 0.6, toHeightM: 2 } }))?.grade).toBe(
      'cannot',
    );
  });
});
