import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_PRACTICE } from '../../model';
import { plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { filmed, usual } from '../../testing/filmed';
import { COURSE, exerciseShot } from '../course';
import { fromStick, toStick } from '../fly/drone';
import { headAt, turned } from '../fly/head';
import { droneSticks, flightOf } from './drone-sticks';
import { headStick } from './head-stick';
import { planAt } from './plan-at';
import { controlsOf, layoutOf } from './tracks';
import { easierWays, tooMuchIn } from './who-does-what';

const shoot = demoShoot();
const named = (name: string) => {
  const shot = shoot.shots.find((row) => row.name === name);
  if (!shot) throw new RangeError(name);
  return shot;
};

/** How far a flight by the sticks is from its plan: m and degrees. */
function offPlan(film: ReturnType<typeof plannedFilm>) {
  const sticks = droneSticks(film);
  const states = flightOf(sticks);
  const at = (['xM', 'yM', 'zM', 'panDeg', 'tiltDeg'] as const).map((key) => ({ key, of: planAt(film.filmed, key) }));
  let [offM, offDeg] = [0, 0];
  states.forEach((state, n) => {
    const [x, y, z, pan, tilt] = at.map(({ key, of }) => state[key] - of(n / sticks.rateHz));
    offM = Math.max(offM, Math.hypot(x, y, z));
    offDeg = Math.max(offDeg, Math.abs(pan), Math.abs(tilt));
  });
  return { offM, offDeg, sticks };
}

describe('sticks of a drone', () => {
  it('are softer about their middle, and the curve is undone exactly', () => {
    fc.assert(
      fc.property(fc.double({ min: -1, max: 1, noNaN: true }), (stick) => {
        expect(toStick(fromStick(stick))).toBeCloseTo(stick, 9);
      }),
    );
    expect(fromStick(0.5)).toBeLessThan(0.5);
  });

  it('fly the plan within 0.1 m and 1°, for every drone shot of the demo that the drone can fly', () => {
    const flies = shoot.shots
      .map((shot) => plannedFilm(sceneOf(shoot, shot)))
      .filter(({ scene }) => scene.rig.kind === 'drone' && scene.rig.bankMaxDeg > 0);
    let flown = 0;
    for (const film of flies) {
      const { offM, offDeg, sticks } = offPlan(film);
      if (!sticks.enough) continue;
      flown += 1;
      expect(offM, film.scene.shot.name).toBeLessThan(0.1);
      expect(offDeg, film.scene.shot.name).toBeLessThan(1);
    }
    expect(flown).toBeGreaterThan(2);
  });

  it('fly every exercise of the course so', () => {
    for (const { id, held } of COURSE) {
      if (held !== 'drone') continue;
      const { shoot: ground, shot } = exerciseShot(id);
      const { offM, offDeg, sticks } = offPlan(plannedFilm(sceneOf(ground, shot)));
      expect(sticks.enough, id).toBe(true);
      expect(offM, id).toBeLessThan(0.1);
      expect(offDeg, id).toBeLessThan(1);
    }
  });

  it('say so where the drone cannot do it', () => {
    const film = plannedFilm(sceneOf(shoot, named('Once round the pavilion')));
    expect(droneSticks(film).enough).toBe(false);
    expect(controlsOf(film, USUAL_PRACTICE, 'metric').said[0]).toContain('even that is not enough');
  });

  it('lie on either side as the layout has them: common practice', () => {
    expect(layoutOf('2')).toEqual({ up: 'left', turn: 'left', forward: 'right', right: 'right' });
    expect(layoutOf('1')).toEqual({ forward: 'left', turn: 'left', up: 'right', right: 'right' });
    for (const layout of ['1', '2', '3', '4'] as const)
      expect(Object.values(layoutOf(layout)).filter((side) => side === 'left')).toHaveLength(2);
  });
});

describe('the joystick of a head', () => {
  const film = plannedFilm(filmed({ ...usual('pan'), fromDeg: -30, toDeg: 25 }, { rigId: 'rig-gimbal' }).scene);

  it('turns the head as planned, its lag and dead band taken in', () => {
    const stick = headStick(film, USUAL_PRACTICE);
    if (!stick) throw new RangeError('no stick');
    expect(stick.enough).toBe(true);
    const pan = planAt(film.filmed, 'panDeg');
    let state = { deg: pan(0), degps: 0 };
    for (let i = 0; i < stick.pan.length; i += 1) {
      state = turned(state, stick.pan[i], stick.settings, 1 / stick.rateHz);
      expect(Math.abs(state.deg - pan((i + 1) / stick.rateHz))).toBeLessThan(1);
    }
  });

  it('is set on the scale that was calibrated: twice as slow at a setting asks for twice the setting', () => {
    const one = headStick(film, { ...USUAL_PRACTICE, fullTurnS: 30 });
    const two = headStick(film, { ...USUAL_PRACTICE, fullTurnS: 60 });
    expect((two?.speedSetting ?? 0) / (one?.speedSetting ?? 1)).toBeCloseTo(2, 0);
    expect(headAt(USUAL_PRACTICE, 50, 50).fullDegps).toBeCloseTo(45, 9);
  });
});

describe('who does what', () => {
  it('knows how many hands a slider with a pan and a pull by hand takes, and offers an easier way that was tried', () => {
    const shot = {
      ...named('First light along the rows'),
      puller: 'hand' as const,
      fNumber: 1.8,
      focus: { mode: 'follow' as const },
    };
    const near = { ...shot, move: { ...usual('slide'), distanceM: 1, travelM: 1.1 } as typeof shot.move };
    const controls = controlsOf(plannedFilm(sceneOf(shoot, near)), USUAL_PRACTICE, 'metric');
    const names = controls.tracks.map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['Carriage', 'Focus ring', 'Pan handle']));
    const tooMuch = tooMuchIn(controls);
    expect(tooMuch.length).toBeGreaterThan(0);
    expect(tooMuch[0].why).toContain('3 hands');
    const easier = easierWays(shoot, near, USUAL_PRACTICE, 'metric');
    expect(easier.length).toBeGreaterThan(0);
    for (const { shot: tried } of easier)
      expect(tooMuchIn(controlsOf(plannedFilm(sceneOf(shoot, tried)), USUAL_PRACTICE, 'metric'))).toEqual([]);
  });

  it('says nothing is too much of a shot that stands still', () => {
    const controls = controlsOf(plannedFilm(sceneOf(shoot, named('The house, at rest'))), USUAL_PRACTICE, 'metric');
    expect(tooMuchIn(controls)).toEqual([]);
    expect(easierWays(shoot, named('The house, at rest'), USUAL_PRACTICE, 'metric')).toEqual([]);
  });
});
