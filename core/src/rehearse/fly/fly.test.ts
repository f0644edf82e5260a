import { describe, expect, it } from 'vitest';
import { USUAL_PRACTICE } from '../../model';
import { plannedFilm, seeded } from '../../motion';
import { sceneOf } from '../../scene';
import { droneSticks } from '../controls/drone-sticks';
import { headStick } from '../controls/head-stick';
import { exerciseShot, COURSE } from '../course';
import { scoreTry } from '../score/score-try';
import { pushed } from './carriage';
import { droneLimits, flown, HANDS_OFF } from './drone';
import { armEnd, swung } from './jib';
import { HANDS_STILL, PracticeRig } from './practice-rig';
import { gusts } from './wind';

const film = (id: Parameters<typeof exerciseShot>[0]) => {
  const { shoot, shot } = exerciseShot(id);
  return plannedFilm(sceneOf(shoot, shot));
};
const still = { xM: 0, yM: 0, zM: 2, vxMps: 0, vyMps: 0, vzMps: 0, panDeg: 90, panDegps: 0, tiltDeg: 0, tiltDegps: 0 };

describe('a simulated drone', () => {
  const { scene } = film('oneMotion');
  const fast = droneLimits(scene.rig, 'fast');

  it('comes to the speed that the stick asks for, in its own heading, no faster than it gains speed', () => {
    let state = still;
    for (let i = 0; i < 1200; i += 1) {
      const next = flown(state, { ...HANDS_OFF, forward: 1 }, fast, 1 / 120);
      expect(Math.abs(next.vxMps - state.vxMps)).toBeLessThanOrEqual(fast.accelerationMps2 / 120 + 1e-9);
      state = next;
    }
    expect(state.vxMps).toBeCloseTo(scene.rig.speedMaxMps, 2);
    expect(state.yM).toBeCloseTo(0, 6);
  });

  it('goes on along a held course while it turns', () => {
    let state = still;
    for (let i = 0; i < 600; i += 1) state = flown(state, { ...HANDS_OFF, forward: 0.5, turn: 0.5 }, fast, 1 / 120, 0);
    expect(Math.abs(state.xM)).toBeLessThan(1e-6);
    expect(state.yM).toBeGreaterThan(5);
    expect(state.panDeg).toBeGreaterThan(120);
  });

  it('tilts no farther than it can', () => {
    let state = still;
    for (let i = 0; i < 600; i += 1) state = flown(state, { ...HANDS_OFF, tilt: 1 }, fast, 1 / 120);
    expect(state.tiltDeg).toBe(scene.rig.tiltMaxDeg);
  });

  it('drifts in gusts and comes back to the mean, the same for the same seed', () => {
    const drift = (seed: number) => {
      const gust = gusts(8, 230, seeded(seed));
      return Array.from({ length: 4000 }, () => gust(1 / 60).eastMps);
    };
    expect(drift(3)).toEqual(drift(3));
    const rows = drift(5);
    expect(Math.max(...rows.map(Math.abs))).toBeGreaterThan(0.05);
    expect(Math.abs(rows.reduce((a, b) => a + b, 0) / rows.length)).toBeLessThan(0.15);
  });
});

describe('a carriage', () => {
  const rail = { lengthM: 1, massKg: 3, dragShare: 0.1, viscousNspm: 4 };

  it('stays where a push is less than its friction, and goes where it is more', () => {
    // 3 kg at a tenth of its weight hold 2.9 N; a full push is 12 N.
    expect(pushed({ alongM: 0.2, mps: 0 }, { share: 0.2, toM: null }, rail, 0.01).mps).toBe(0);
    expect(pushed({ alongM: 0.2, mps: 0 }, { share: 0.5, toM: null }, rail, 0.01).mps).toBeGreaterThan(0);
  });

  it('runs out after v² / 2 μ g when it is let go (any text of mechanics)', () => {
    let state = { alongM: 0, mps: 0.5 };
    for (let i = 0; i < 2000; i += 1)
      state = pushed(state, { share: 0, toM: null }, { ...rail, viscousNspm: 0 }, 1 / 1000);
    expect(state.alongM).toBeCloseTo(0.25 / (2 * 0.1 * 9.80665), 2);
    expect(state.mps).toBe(0);
  });

  it('follows a finger, and stops at the end of its rail', () => {
    let state = { alongM: 0, mps: 0 };
    for (let i = 0; i < 600; i += 1) state = pushed(state, { share: 0, toM: 0.6 }, rail, 1 / 120);
    expect(state.alongM).toBeCloseTo(0.6, 1);
    for (let i = 0; i < 600; i += 1) state = pushed(state, { share: 1, toM: null }, rail, 1 / 120);
    expect(state).toEqual({ alongM: 1, mps: 0 });
  });
});

describe('a jib', () => {
  it('keeps the length of its arm, and comes to rest when hands do', () => {
    let state = { swingDeg: 0, swingDegps: 0, boomDeg: 0, boomDegps: 0 };
    for (let i = 0; i < 120; i += 1) state = swung(state, { swing: 0.5, boom: 0.4 }, 1 / 60);
    for (let i = 0; i < 600; i += 1) state = swung(state, { swing: 0, boom: 0 }, 1 / 60);
    expect(Math.abs(state.swingDegps)).toBeLessThan(1e-3);
    const [x, y, z] = armEnd({ base: { xM: 1, yM: 2, zM: 3 }, lengthM: 2 }, state);
    expect(Math.hypot(x - 1, y - 2, z - 3)).toBeCloseTo(2, 9);
    expect(z).toBeGreaterThan(3);
  });
});

describe('the practice rig', () => {
  it('passes every exercise of the course that is led by sticks, when hands do what they are told', () => {
    for (const { id, held, pass } of COURSE) {
      if (held !== 'drone' && held !== 'head') continue;
      const given = film(id);
      const speed = held === 'drone' ? droneSticks(given).speed : 'normal';
      const rig = new PracticeRig(given, USUAL_PRACTICE, { held, speed, pace: 1, windShare: 0, seed: 1 });
      const sticks = held === 'drone' ? droneSticks(given).rows : null;
      const head = held === 'head' ? headStick(given, USUAL_PRACTICE) : null;
      for (let i = 0; !rig.ended; i += 1) {
        const told = sticks
          ? sticks[Math.min(i, sticks.length - 1)]
          : {
              turn: head?.pan[Math.min(i, head.pan.length - 1)] ?? 0,
              tilt: head?.tilt[Math.min(i, head.tilt.length - 1)] ?? 0,
            };
        rig.advance({ ...HANDS_STILL, ...told }, 1 / 50);
      }
      expect(scoreTry(given, rig.flown(), 'metric', { held }).score, id).toBeGreaterThan(Math.max(pass, 85));
    }
  });

  it('scores hands off far below what is passed', () => {
    for (const { id, held, pass } of COURSE) {
      const given = film(id);
      const rig = new PracticeRig(given, USUAL_PRACTICE, { held, speed: 'normal', pace: 1, windShare: 0, seed: 1 });
      while (!rig.ended) rig.advance(HANDS_STILL, 1 / 30);
      expect(scoreTry(given, rig.flown(), 'metric', { held }).score, id).toBeLessThan(pass);
    }
  });

  it('flies in wind less well than without, and its battery goes down', () => {
    const given = film('oneMotion');
    const run = (windShare: number) => {
      const { rows, speed } = droneSticks(given);
      const rig = new PracticeRig(given, USUAL_PRACTICE, { held: 'drone', speed, pace: 1, windShare, seed: 4 });
      for (let i = 0; !rig.ended; i += 1)
        rig.advance({ ...HANDS_STILL, ...rows[Math.min(i, rows.length - 1)] }, 1 / 50);
      return { score: scoreTry(given, rig.flown(), 'metric').score, battery: rig.batteryShare };
    };
    const [calm, windy] = [run(0), run(1)];
    expect(windy.score).toBeLessThan(calm.score);
    expect(calm.battery).toBeLessThan(1);
  });

  it('pulls by the ring, and pushes by a finger', () => {
    const given = film('pullMoving');
    const rig = new PracticeRig(given, USUAL_PRACTICE, {
      held: 'ring',
      speed: 'normal',
      pace: 1,
      windShare: 0,
      seed: 1,
    });
    const before = rig.pose.focusM;
    rig.advance({ ...HANDS_STILL, ring: 1 }, 0.2);
    expect(rig.pose.focusM).toBeLessThan(before);
    const slide = film('featherToMark');
    const carriage = new PracticeRig(slide, USUAL_PRACTICE, {
      held: 'carriage',
      speed: 'normal',
      pace: 1,
      windShare: 0,
      seed: 1,
    });
    for (let i = 0; i < 120; i += 1) carriage.advance({ ...HANDS_STILL, leadToM: 0.5 }, 1 / 60);
    expect(carriage.alongM).toBeCloseTo(0.5, 1);
    expect(Math.hypot(carriage.pose.xM - slide.filmed.xM[0], carriage.pose.yM - slide.filmed.yM[0])).toBeCloseTo(
      carriage.alongM,
      2,
    );
  });
});
