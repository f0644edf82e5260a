import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { demoShoot } from '../testing/demo';
import { legsOf } from '../model';
import { usual } from '../testing/filmed';
import { armsIn, fallOf, trickIn } from './hands';

const demo = demoShoot();
const filmOn = (rigId: string, index = 0) =>
  plannedFilm(sceneOf(demo, { ...demo.shots[index], rigId, gaitId: 'gait-stand' }));

describe('what hands have to do in a shot', () => {
  it('arms: only where hands carry it, by what is put together, longer before the chest than overhead', () => {
    expect(armsIn(filmOn('rig-tripod'), demo.kit)).toBeNull();
    const held = demo.kit.builds.find(({ support }) => support.kind === 'motorGimbal');
    if (!held) throw new Error('the demo has a motor gimbal');
    const film = filmOn(held.rigId);
    const raisedBy = (byM: number) => ({
      ...film,
      filmed: { ...film.filmed, zM: film.filmed.zM.map((zM) => zM + byM) },
    });
    const [chest, over] = [armsIn(film, demo.kit), armsIn(raisedBy(1.5), demo.kit)];
    expect(chest?.massKg).toBeGreaterThan(1);
    expect(over?.reachM).toBeGreaterThan(chest?.reachM ?? Infinity);
    expect(chest?.minutes).toBeGreaterThan(over?.minutes ?? Infinity);
    expect(armsIn(film, { ...demo.kit, builds: [] })).toBeNull();
  });
  it('a fall is that of the move that is asked for, not of the whole shot', () => {
    const [shot] = demo.shots;
    const drop = { ...usual('drop'), heightM: 2, toHeightM: 0.8 };
    const still = { ...usual('still'), heightM: 2 };
    const [leg] = legsOf(shot);
    const film = plannedFilm(
      sceneOf(demo, {
        ...shot,
        rigId: 'rig-drop',
        gaitId: 'gait-stand',
        walks: [],
        move: still,
        then: [{ ...leg, move: drop, overlapS: 0 }],
      }),
    );
    expect(fallOf(film, 0)).toBeNull();
    expect(fallOf(film, 1)).toBeCloseTo(1.2, 1);
    expect(fallOf(filmOn('rig-tripod'), 0)).toBeNull();
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
