import { describe, expect, it } from 'vitest';
import { EXERCISES, problemsIn, type Try } from '../model';
import { plannedFilm } from '../motion';
import { readShot } from '../reading';
import { sceneOf } from '../scene';
import { demoShoot } from '../testing/demo';
import { cardsFor } from './cards';
import { CARDS } from './hold-cards';
import { COURSE, exerciseShot } from './course';
import {
  drillScore,
  gimbalDrill,
  gimbalWorks,
  isWorkable,
  lookAtGimbal,
  lookAtSled,
  moveGimbal,
  moveSled,
  saySledLook,
  sledDrill,
} from './drills';
import { nextToPractise, progressOf, triesLikely } from './progress';
import { heldFor } from './fly/practice-rig';

const made = (more: Partial<Try>): Try => ({
  id: `try-${Math.random()}`,
  at: '2026-04-10T08:00:00Z',
  shotId: null,
  exercise: null,
  held: 'drone',
  pace: 1,
  windShare: 0,
  score: 50,
  parts: [],
  said: '',
  flown: null,
  ...more,
});

describe('the course', () => {
  it('is made of shots that are in order, that the rig can make, and that have something to hold', () => {
    for (const { id, held } of COURSE) {
      const { shoot, shot } = exerciseShot(id);
      expect(problemsIn(shoot), id).toEqual([]);
      expect(heldFor(plannedFilm(sceneOf(shoot, shot))), id).toContain(held);
      const cannot = readShot(shoot, shot).findings.filter(({ grade }) => grade === 'cannot');
      expect(
        cannot.map(({ sentence }) => sentence),
        id,
      ).toEqual([]);
    }
  });

  it('says what comes next: what is new, what is nearly there, nothing when all is passed', () => {
    const first = nextToPractise(progressOf([]));
    expect(first?.exercise).toBe('oneMotion');
    expect(first?.said).toContain('new');
    const slowOnly = progressOf([made({ exercise: 'oneMotion', pace: 0.5, score: 90 })]);
    expect(slowOnly[0]).toMatchObject({ tries: 1, best: null, passed: false });
    const near = progressOf([made({ exercise: 'oneMotion', score: 66 })]);
    expect(nextToPractise(near)?.said).toContain('nearly there');
    const all = progressOf(EXERCISES.map((exercise) => made({ exercise, score: 95 })));
    expect(nextToPractise(all)).toBeNull();
  });

  it('tells progress day by day, the middle of each', () => {
    const days = progressOf([
      made({ exercise: 'twoMotions', at: '2026-04-10T08:00:00Z', score: 40 }),
      made({ exercise: 'twoMotions', at: '2026-04-10T09:00:00Z', score: 50 }),
      made({ exercise: 'twoMotions', at: '2026-04-11T09:00:00Z', score: 80 }),
    ]).find(({ exercise }) => exercise === 'twoMotions')?.days;
    expect(days).toEqual([
      { day: '2026-04-10', middle: 45, best: 50, tries: 2 },
      { day: '2026-04-11', middle: 80, best: 80, tries: 1 },
    ]);
  });

  it('reckons how many tries a shot takes: what is usual at first, then what comes out', () => {
    expect(triesLikely([], 'a', 4)).toBe(4);
    const good = Array.from({ length: 6 }, () => made({ shotId: 'a', score: 90 }));
    expect(triesLikely(good, 'a', 4)).toBe(2);
    const bad = Array.from({ length: 6 }, () => made({ shotId: 'a', score: 30 }));
    expect(triesLikely(bad, 'a', 4)).toBe(16);
    expect(triesLikely(bad, 'b', 4)).toBe(4);
  });
});

describe('hold and step', () => {
  it('draws figures that stand on the ground and hold a camera in reach', () => {
    for (const { figure, steps, wrong, title } of CARDS) {
      expect(steps.length, title).toBe(3);
      expect(wrong.length, title).toBe(2);
      for (const [, y] of figure.feet) expect(y).toBeGreaterThanOrEqual(0);
      expect(figure.head[1]).toBeLessThanOrEqual(8);
      const near = figure.hands.map(([x, y]) => Math.hypot(x - figure.camera[0], y - figure.camera[1]));
      expect(Math.min(...near), title).toBeLessThan(1.5);
    }
  });

  it('offers what suits the rig and the move, with numbers; nothing on a tripod', () => {
    const shoot = demoShoot();
    const of = (name: string) => {
      const shot = shoot.shots.find((row) => row.name === name);
      if (!shot) throw new RangeError(name);
      return cardsFor(plannedFilm(sceneOf(shoot, shot)), shoot.kit, 'metric');
    };
    expect(of('From a squat to overhead')[0].id).toBe('squat');
    expect(of('Behind the basket').map(({ id }) => id)).toContain('heelToToe');
    expect(of('Behind the basket')[0].onScreen).toMatch(/Bob of about [\d.]+%/);
    expect(of('The house, at rest')).toEqual([]);
  });
});

describe('what is left of a bob', () => {
  it('is told by similar triangles: 45 mm of a plain walk, a third of it left, over the distance, by the lens', () => {
    const shoot = demoShoot();
    const shot = shoot.shots.find(({ name }) => name === 'Behind the basket');
    if (!shot) throw new RangeError('not there');
    const film = plannedFilm(sceneOf(shoot, shot));
    const { filmed, scene } = film;
    const middle = Math.floor(filmed.count / 2);
    const bobM = 0.045 * 0.33 * scene.rig.bobShare;
    const share = (bobM / filmed.subjectDistanceM[middle]) * (filmed.focalLengthMm[middle] / filmed.frameHeightMm);
    const said = cardsFor(film, shoot.kit, 'metric').find(({ id }) => id === 'knees')?.onScreen ?? '';
    expect(Number(/Bob of about ([\d.]+)%/.exec(said)?.[1])).toBeCloseTo(share * 100, 1);
  });
});

describe('the sled drill', () => {
  it('is workable by what the coach says, in a few moves, and not at its start', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const drill = sledDrill(seed);
      expect(isWorkable(drill), `seed ${seed}`).toBe(false);
      expect(drill.par).toBeGreaterThan(0);
      expect(drill.par, `seed ${seed}`).toBeLessThan(16);
    }
    expect(sledDrill(3)).toEqual(sledDrill(3));
  });

  it('leans less when the stage goes the other way, and counts the move', () => {
    const drill = sledDrill(2);
    const { leanForeDeg } = lookAtSled(drill);
    const moved = moveSled(drill, 'stageForeMm', leanForeDeg > 0 ? -1 : 1);
    expect(moved.moves).toBe(1);
    expect(Math.abs(lookAtSled(moved).leanForeDeg)).toBeLessThan(Math.abs(leanForeDeg));
    expect(moveSled(drill, 'stageForeMm', 0)).toBe(drill);
    expect(saySledLook({ leanForeDeg: -12, leanSideDeg: 0.1, dropS: 2.2 })).toBe(
      'It leans 12° back; from level it drops in 2.2 s.',
    );
  });

  it('is worth 100 in as few moves as the coach needs, half in twice as many', () => {
    expect([drillScore(4, 4), drillScore(3, 4), drillScore(8, 4)]).toEqual([100, 100, 50]);
  });
});

describe('the gimbal drill', () => {
  it('holds on all four axes once each plate was slid back by what is wrong with it', () => {
    let drill = gimbalDrill(5);
    expect(gimbalWorks(drill)).toBe(false);
    expect(drill.par).toBe(4);
    // As hands do: one axis after the other, the way it falls, until it holds.
    for (const [i, key] of (['plateForeMm', 'plateUpMm', 'cageSideMm', 'armForeMm'] as const).entries())
      for (let k = 0; k < 40 && !lookAtGimbal(drill)[i].holds; k += 1) {
        const back =
          /^(The lens falls|Pointed up it falls back|The right side|With the handle level the camera swings down)/.test(
            lookAtGimbal(drill)[i].said,
          );
        drill = moveGimbal(drill, key, back ? -1 : 1);
      }
    expect(gimbalWorks(drill)).toBe(true);
  });
});
