import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { framesOfClip } from './against-plan';
import { AsFilmed, numbersAsFilmed } from './as-filmed';
import { contentOf } from './content-motion';
import { foretold } from './foretold';
import { type Flow, layersOf, wholeMotion } from './whole-motion';

const shoot = demoShoot();
const filmOf = (name: string) => {
  const shot = shoot.shots.find((row) => row.name === name);
  if (!shot) throw new Error(name);
  return plannedFilm(sceneOf(shoot, shot));
};
const ARC = 'Round Ansa at the sorting table';
const PUSH = 'In to the two leaves';

/** Places all over the picture of a row, as the plan has them go to the next, `times` as far. */
function followed(name: string, row: number, times: number): Flow[] {
  const film = filmOf(name);
  const content = contentOf(film, 160)(row, row, row + 1);
  const aspect = film.samples.frameWidthMm / film.samples.frameHeightMm;
  const flows: Flow[] = [];
  for (let y = 3; y < content.heightCells; y += 5)
    for (let x = 3; x < content.widthCells; x += 5) {
      const [u, w] = [(x + 0.5) / content.widthCells - 0.5, (0.5 - (y + 0.5) / content.heightCells) / aspect];
      const flow = content.flow(x, y, u, w);
      if (flow) flows.push({ u, w, du: flow.du * times, dw: flow.dw * times });
    }
  return flows;
}

describe('our measuring held against what is known', () => {
  it.each([1, 0.9, 1.2])('finds that places went %f as far, near and far ones alike', (times) => {
    const asFilmed = new AsFilmed(filmOf(ARC));
    for (const row of [60, 120, 180]) asFilmed.add(row, followed(ARC, row, times));
    const { whole, near, far } = asFilmed.times();
    for (const found of [whole, near, far]) expect(found).toBeCloseTo(times, 3);
  });
  it('tells nothing of layers where the picture only grows', () => {
    const asFilmed = new AsFilmed(filmOf(PUSH));
    asFilmed.add(80, followed(PUSH, 80, 1.1));
    expect(asFilmed.times()).toMatchObject({ near: null, far: null });
    expect(asFilmed.times().whole).toBeCloseTo(1.1, 3);
  });
  it('finds nothing where nothing was followed, and takes no picture after the last', () => {
    const film = filmOf(ARC);
    const asFilmed = new AsFilmed(film);
    asFilmed.add(10, []);
    asFilmed.add(film.samples.count - 1, followed(ARC, 60, 1));
    expect(asFilmed.times()).toEqual({ whole: null, near: null, far: null });
  });
});

describe('the numbers of a film of our own', () => {
  const plan = foretold(filmOf(ARC));
  const clip = (times: number, layers = times) => ({
    ...{ name: 'own', frameRateHz: plan.rateHz, durationS: 14, widthPx: 640, heightPx: 360, rateHz: plan.rateHz },
    ...{ rightwards: [...plan.rightwards].map((v) => v * times), upwards: [...plan.upwards].map((v) => v * times) },
    ...{ turnDegps: [...plan.turnDegps], growthPerS: [...plan.growthPerS] },
    ...{ near: [...plan.near].map((v) => (v || 0) * layers), far: [...plan.far].map((v) => (v || 0) * layers) },
  });

  it('are held against all that is foretold, whole and layers each by itself', () => {
    const { whole, near, far } = numbersAsFilmed(plan, framesOfClip(clip(1.02, 0.9)));
    expect(whole).toBeCloseTo(1.02, 6);
    expect(near).toBeCloseTo(0.9, 6);
    expect(far).toBeCloseTo(0.9, 6);
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
  it('has its layers where it shifts, and none where it turns or grows', () => {
    const flows = twoLayers(60);
    const shifting = { right: 0.1, up: 0, turnDeg: 0, growth: 0, cells: 96 };
    expect(layersOf(flows, shifting)?.near).toBeCloseTo(0.2, 6);
    expect(layersOf(flows, shifting)?.far).toBeLessThan(0);
    expect(layersOf(flows, { ...shifting, growth: 0.5 })).toBeNull();
    expect(layersOf(flows, { ...shifting, turnDeg: 30 })).toBeNull();
    expect(layersOf(flows, { ...shifting, right: 0 })).toBeNull();
  });
});
