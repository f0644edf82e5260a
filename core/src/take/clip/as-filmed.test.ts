import { describe, expect, it } from 'vitest';
import { plannedFilm, seeded } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { framesOfClip } from './against-plan';
import { numbersAsFilmed } from './as-filmed';
import { PlanPicture } from './foretold';
import { type Layers, LayerSteps } from './layers';
import { type Flow, wholeMotion } from './whole-motion';

const shoot = demoShoot();
const filmOf = (name: string) => {
  const shot = shoot.shots.find((row) => row.name === name);
  if (!shot) throw new Error(name);
  return plannedFilm(sceneOf(shoot, shot));
};
const ARC = 'Round Ansa at the sorting table';
const PUSH = 'In to the two leaves';

describe('the numbers of a film of our own', () => {
  const plan = new PlanPicture(filmOf(ARC), 640).all();
  const clip = (times: number, layers = times) => ({
    ...{ name: 'own', frameRateHz: plan.rateHz, durationS: 14, widthPx: 640, heightPx: 360, rateHz: plan.rateHz },
    ...{ rightwards: [...plan.rightwards].map((v) => v * times), upwards: [...plan.upwards].map((v) => v * times) },
    ...{ turnDegps: [...plan.turnDegps], growthPerS: [...plan.growthPerS] },
    ...{ near: [...plan.near].map((v) => (v || 0) * layers), far: [...plan.far].map((v) => (v || 0) * layers) },
    followed: [],
  });

  it('are held against all that is foretold, shift and layers each by itself', () => {
    const { shift, near, far } = numbersAsFilmed(plan, framesOfClip(clip(1.02, 0.9)));
    expect(shift).toBeCloseTo(1.02, 6);
    expect(near).toBeCloseTo(0.9, 6);
    expect(far).toBeCloseTo(0.9, 6);
  });
  it('are held against how it grows, where it does', () => {
    const push = new PlanPicture(filmOf(PUSH), 640).all();
    const frames = framesOfClip({
      ...clip(0),
      ...{ rightwards: [...push.rightwards], upwards: [...push.upwards], turnDegps: [...push.turnDegps] },
      ...{ growthPerS: [...push.growthPerS].map((v) => v * 1.05), near: [...push.upwards], far: [...push.upwards] },
    });
    expect(numbersAsFilmed(push, frames).grows).toBeCloseTo(1.05, 6);
  });
  it('are of one motion of the whole, in which each part counts as much as it moves the picture', () => {
    const times = (shift: number, rest: number) => {
      const kept = clip(shift);
      const [turnDegps, growthPerS] = [kept.turnDegps, kept.growthPerS].map((row) => row.map((v) => v * rest));
      return numbersAsFilmed(plan, framesOfClip({ ...kept, turnDegps, growthPerS })).whole ?? 0;
    };
    expect(times(1.1, 1.1)).toBeCloseTo(1.1, 6);
    // The arc shifts much more than it grows or turns.
    const [shifts, others] = [times(1.1, 1), times(1, 1.1)];
    expect(shifts).toBeGreaterThan(1.05);
    expect(others).toBeLessThan(1.05);
    expect(shifts + others).toBeCloseTo(2.1, 6);
  });
  it('are not those of rest where layers could not be told apart', () => {
    const kept = clip(1);
    const half = {
      ...kept,
      near: kept.near.map((v, i) => (i % 2 ? v : 0)),
      far: kept.far.map((v, i) => (i % 2 ? v : 0)),
    };
    expect(numbersAsFilmed(plan, framesOfClip(half)).near).toBeCloseTo(1, 6);
  });
  it('are not told of layers that were seen in a few pictures only, nor of what hardly grows', () => {
    const kept = clip(1);
    const seldom = (row: number[]) => row.map((v, i) => (i % 12 === 0 ? 3 * v : 0));
    const few = { ...kept, near: seldom(kept.near), far: seldom(kept.far) };
    expect(numbersAsFilmed(plan, framesOfClip(few))).toMatchObject({ near: null, far: null });
    const grows = (rate: number) => {
      const told = { ...plan, growthPerS: plan.growthPerS.map(() => rate) };
      return numbersAsFilmed(told, framesOfClip({ ...kept, growthPerS: kept.growthPerS.map(() => rate) })).grows;
    };
    // At the edge of the picture that is 0.0024 and 0.0036 of its width a second.
    expect([grows(0.008), grows(0.012)].map((v) => v?.toFixed(6))).toEqual([undefined, '1.000000']);
  });
});

describe('the whole of near and far things', () => {
  /** Cells of a picture, so many of them near ones that go the other way. */
  const twoLayers = (nearCells: number): Flow[] =>
    Array.from({ length: 96 }, (_, i) => ({
      u: ((i % 12) + 0.5) / 12 - 0.5,
      w: ((Math.floor(i / 12) + 0.5) / 8 - 0.5) * 0.5625,
      du: (i * 37) % 96 < nearCells ? 0.2 : -0.1,
      dw: 0,
    }));

  it('is what most of the picture does', () => {
    expect(wholeMotion(twoLayers(30))?.right).toBeCloseTo(-0.1, 2);
    expect(wholeMotion(twoLayers(70))?.right).toBeCloseTo(0.2, 2);
  });
});

describe('near and far layers', () => {
  const whole = (over: object) => ({ right: 0.1, up: 0, turnDeg: 0, growth: 0, cells: 96, ...over });
  /** What is told of steps whose cells go as fast as `speed` says. */
  const told = (steps: number, speed: (cell: number, step: number) => number, over = {}): (Layers | null)[] => {
    const found: (Layers | null)[] = [];
    const layers = new LayerSteps((_, found_) => found.push(found_));
    for (let step = 0; step < steps; step += 1)
      layers.add({
        cells: new Map(
          Array.from({ length: 96 }, (_, cell) => [cell, { u: 0, w: 0, du: speed(cell, step), dw: 0 }] as const),
        ),
        whole: whole(over),
      });
    layers.end();
    return found;
  };
  const twoSpeeds = (cell: number) => (cell < 60 ? 0.2 : -0.1);

  it('are there where the picture shifts, and not where it turns or grows', () => {
    const found = told(3, twoSpeeds);
    expect(found).toHaveLength(3);
    for (const layers of found) {
      expect(layers?.near).toBeCloseTo(0.2, 6);
      expect(layers?.far).toBeLessThan(0);
    }
    for (const over of [{ growth: 0.5 }, { turnDeg: 30 }, { right: 0 }])
      expect(told(3, twoSpeeds, over)).toEqual([null, null, null]);
  });
  it('are told of every step once, in turn, however many there are', () => {
    for (const steps of [0, 1, 5, 6, 7, 13, 40]) expect(told(steps, twoSpeeds)).toHaveLength(steps);
    // Whatever the speed of a step, it is told of that step.
    const found = told(30, (cell, step) => (cell < 60 ? 0.2 : 0.1) * (1 + step));
    found.forEach((layers, step) => expect(layers?.near).toBeCloseTo(0.2 * (1 + step), 6));
  });
  it('of what goes evenly differ little, however unsure each step is', () => {
    // As unsure as half of the speed: by the one step alone the near third would be 55% too fast.
    const noise = seeded(5);
    const unsure = Array.from({ length: 40 * 96 }, () => 0.05 * (noise() + noise() + noise() - 1.5) * 2);
    const found = told(40, (cell, step) => 0.1 + unsure[step * 96 + cell]).slice(8, 32);
    const mean = (key: 'near' | 'far') => found.reduce((sum, layers) => sum + (layers?.[key] ?? NaN), 0) / found.length;
    expect(mean('near') / 0.1).toBeLessThan(1.06);
    expect(mean('far') / 0.1).toBeGreaterThan(0.94);
  });
  it('of a step of which nothing is known are not told', () => {
    const found: (Layers | null)[] = [];
    const layers = new LayerSteps((_, told_) => found.push(told_));
    for (let step = 0; step < 9; step += 1) layers.add(null);
    layers.end();
    expect(found).toEqual(Array.from({ length: 9 }, () => null));
  });
});
