import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { demoShoot } from '../testing/demo';
import { armsIn, trickIn } from './hands';

const demo = demoShoot();
const filmOn = (rigId: string, index = 0) =>
  plannedFilm(sceneOf(demo, { ...demo.shots[index], rigId, gaitId: 'gait-stand' }));

describe('what hands have to do in a shot', () => {
  it('arms: only where hands carry it, by what is put together, longer before the chest than overhead', () => {
    expect(armsIn(filmOn('rig-tripod'), demo.kit, 1.4)).toBeNull();
    const held = demo.kit.builds.find(({ support }) => support.kind === 'motorGimbal');
    if (!held) throw new Error('the demo has a motor gimbal');
    const film = filmOn(held.rigId);
    const [chest, over] = [armsIn(film, demo.kit, 1.4), armsIn(film, demo.kit, 2)];
    expect(chest?.massKg).toBeGreaterThan(1);
    expect(chest?.minutes).toBeGreaterThan(over?.minutes ?? Infinity);
    expect(armsIn(film, { ...demo.kit, builds: [] }, 1.4)).toBeNull();
  });
  it('a trick is told in every shot of the demo without a number that is none', () => {
    const tricks = demo.kit.rigs.filter(({ kind }) => ['drop', 'hoist', 'float', 'rope'].includes(kind));
    for (const { id } of tricks)
      for (let index = 0; index < demo.shots.length; index += 3)
        for (const { said } of trickIn(filmOn(id, index), demo.kit, 'metric')?.facts ?? [])
          expect(said).not.toMatch(/NaN|Infinity|undefined/);
    expect(trickIn(filmOn('rig-tripod'), demo.kit, 'metric')).toBeNull();
  });
});
