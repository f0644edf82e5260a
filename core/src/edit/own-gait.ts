import type { Gait, Shoot } from '../model';
import { withThings } from './kit';

/** The shoot with a gait of its own kit, new or as it is now measured; shots with these rigs go by it from then on. */
export function takeOwnGait(shoot: Shoot, gait: Gait, rigIds: ReadonlySet<string>): Shoot {
  const { gaits } = shoot.kit;
  const known = gaits.some(({ id }) => id === gait.id);
  const next = known ? gaits.map((row) => (row.id === gait.id ? gait : row)) : [...gaits, gait];
  const shots = shoot.shots.map((shot) =>
    rigIds.has(shot.rigId) && shot.gaitId !== gait.id ? { ...shot, gaitId: gait.id } : shot,
  );
  return { ...shoot, kit: withThings(shoot.kit, 'gaits', next), shots };
}
