import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Shot } from '../../model';
import { plannedFilm, seeded } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { bestClip, framesAgainstPlan } from './against-plan';
import { type ClipFrame, ClipReader } from './clip-reader';
import { clipSummary } from './clip-summary';
import { type Foretold, PlanPicture } from './foretold';
import { greyOf } from './grey';
import { openCvTracker } from './open-cv';
import type { Tracker } from './tracker';
import { type Flow, wholeMotion } from './whole-motion';

const [WIDTH, HEIGHT, FPS] = [320, 180, 25];
let tracker: Tracker;
beforeAll(async () => {
  tracker = await openCvTracker();
});
afterAll(() => tracker.close());

/** A pattern without end, known at every point: soft blobs of many sizes. */
const next = seeded(5);
const waves = Array.from({ length: 20 }, () => {
  const [turn, size] = [2 * Math.PI * next(), 0.03 + 0.25 * next()];
  return { x: Math.cos(turn) / size, y: Math.sin(turn) / size, from: 2 * Math.PI * next() };
});
const patternAt = (u: number, w: number) =>
  128 +
  (24 * waves.reduce((sum, { x, y, from }) => sum + Math.sin(2 * Math.PI * (x * u + y * w) * 0.5 + from), 0)) / 2.2;

/** The pattern after it moved: content to the right and up, turned clockwise, grown; about the middle. */
function picture({ right = 0, up = 0, turnDeg = 0, growth = 0 }, shade = (v: number) => v): Uint8Array {
  const pixels = new Uint8Array(WIDTH * HEIGHT);
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  const k = Math.exp(-growth);
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1) {
      const [u, w] = [(x + 0.5 - WIDTH / 2) / WIDTH - right, (HEIGHT / 2 - y - 0.5) / WIDTH - up];
      // Back the way it went: anticlockwise, smaller.
      pixels[y * WIDTH + x] = Math.max(0, Math.min(255, shade(patternAt(k * (c * u - s * w), k * (s * u + c * w)))));
    }
  return pixels;
}

interface Moves {
  right?: number;
  up?: number;
  turnDeg?: number;
  growth?: number;
}
function measured(at: (tS: number) => Moves, frames = 8, shade?: (v: number) => number) {
  const reader = new ClipReader(tracker);
  for (let i = 0; i < frames; i += 1) reader.add(greyOf(picture(at(i / FPS), shade), WIDTH, HEIGHT, 1), i / FPS);
  return reader.frames();
}

describe('motion of a picture’s content', () => {
  it.each<
    [string, (tS: number) => Moves, Partial<Record<'rightwards' | 'upwards' | 'turnDegps' | 'growthPerS', number>>]
  >([
    ['a slow shift', (t) => ({ right: 0.05 * t }), { rightwards: 0.05, upwards: 0, turnDegps: 0, growthPerS: 0 }],
    ['a fast shift down and left', (t) => ({ right: -0.6 * t, up: -0.25 * t }), { rightwards: -0.6, upwards: -0.25 }],
    ['turning clockwise', (t) => ({ turnDeg: 20 * t }), { turnDegps: 20, rightwards: 0, growthPerS: 0 }],
    ['growing', (t) => ({ growth: 0.3 * t }), { growthPerS: 0.3, turnDegps: 0, rightwards: 0 }],
    [
      'all of it at once',
      (t) => ({ right: 0.1 * (t - 4 / FPS), turnDeg: -8 * t, growth: -0.2 * t }),
      { rightwards: 0.1, turnDegps: -8, growthPerS: -0.2 },
    ],
  ])('%s comes out within 2%', (_, at, wanted) => {
    const frame = measured(at)[4];
    for (const [key, value] of Object.entries(wanted)) {
      const found = frame[key as keyof typeof wanted];
      const scale = key === 'turnDegps' ? 5 : 0.1;
      expect(Math.abs(found - value), key).toBeLessThan(0.02 * Math.max(Math.abs(value), scale));
    }
  });

  it('is followed up to 12% of the width from picture to picture: what is judged goes no farther', () => {
    for (const step of [0.03, 0.06, 0.09, 0.12]) {
      const [, middle] = measured((tS) => ({ right: step * tS * FPS }), 3);
      expect(middle.rightwards / FPS / step).toBeCloseTo(1, 1);
    }
  });
  it('comes out with noise, less contrast, and half the frames repeated', () => {
    const noise = seeded(9);
    const frames = measured(
      (t) => ({ right: 0.12 * t }),
      8,
      (v) => 0.5 * v + 40 + 12 * (noise() + noise() - 1),
    );
    expect(frames[4].rightwards).toBeCloseTo(0.12, 2);
    const twice = measured((t) => ({ right: 0.2 * (Math.floor((t * FPS) / 2) / FPS) * 2 }), 9);
    expect(twice.filter(({ repeated }) => repeated).length).toBe(4);
  });

  it('of somebody who walks through does not move the whole', () => {
    const flows: Flow[] = Array.from({ length: 80 }, (_, i) => ({
      u: (i % 10) / 10 - 0.45,
      w: Math.floor(i / 10) / 16 - 0.22,
      du: i % 10 < 2 ? 0.05 : 0.01,
      dw: 0,
    }));
    // A fifth of the cells goes five times as fast: their mean would be 0.018.
    expect(wholeMotion(flows)?.right).toBeGreaterThan(0.0095);
    expect(wholeMotion(flows)?.right).toBeLessThan(0.011);
    expect(wholeMotion(flows.slice(0, 2))).toBeNull();
  });
});

describe('a clip as a whole', () => {
  /** Pictures that moved so fast, as if they had been measured. */
  const framesOf = (seconds: number, right: (t: number) => number, up: (t: number) => number): ClipFrame[] =>
    Array.from({ length: seconds * FPS }, (_, i) => ({
      tS: i / FPS,
      rightwards: right(i / FPS),
      upwards: up(i / FPS),
      turnDegps: 0,
      growthPerS: 0,
      near: NaN,
      far: NaN,
      brightness: 0.5,
      detail: 0.1,
      followed: 1,
      repeated: false,
    }));

  it('says when it starts and stops, how even it goes, and how long it takes across', () => {
    const right = (t: number) => (t >= 1 && t <= 5 ? 0.3 : 0);
    const summary = clipSummary(
      framesOf(6, right, () => 0),
      FPS,
      1920,
    );
    expect(summary.startsS).toBeCloseTo(1, 0);
    expect(summary.stopsS).toBeCloseTo(5, 0);
    expect(summary.peak.speed).toBeCloseTo(0.3, 6);
    expect(summary.crossingS).toBeCloseTo(1 / 0.3, 6);
    expect(summary.unevenness).toBeCloseTo(0, 6);
  });
  it('says how often it bobs, how much, and what stabilising takes', () => {
    // Up and down by 6 thousandths of the width, twice a second: its rate is that times 2π·2.
    const up = (t: number) => 0.006 * 4 * Math.PI * Math.cos(4 * Math.PI * t);
    const summary = clipSummary(
      framesOf(12, () => 0.05, up),
      FPS,
      1920,
    );
    expect(summary.beatHz).toBeCloseTo(2, 1);
    expect(summary.shake[0].widths).toBeCloseTo(0.006 / Math.SQRT2, 3);
    expect(summary.steadying.cropShare).toBeGreaterThan(0.005);
    expect(summary.steadying.widthLeftPx).toBeLessThan(1920 - 2 * 0.005 * 1920);
  });
  it('of black is told so, and one of a single picture is refused', () => {
    const black = measured(
      () => ({}),
      6,
      () => 0,
    );
    const summary = clipSummary(black, FPS, 320);
    expect(summary.notes[0]).toMatch(/^The whole clip is black/);
    expect(summary.darkFrames).toHaveLength(6);
    expect(() => measured(() => ({}), 1)).toThrow('at least two pictures');
  });
  it('finds a flash, and frames out of order or of another size are refused', () => {
    const frames = measured((t) => ({ right: 0.1 * t }), 7).map((frame, i) =>
      i === 3 ? { ...frame, brightness: 0.95 } : frame,
    );
    expect(clipSummary(frames, FPS, 320).flashFrames).toEqual([3]);
    const reader = new ClipReader(tracker);
    reader.add(greyOf(picture({}), WIDTH, HEIGHT, 1), 0);
    expect(() => reader.add(greyOf(picture({}), WIDTH, HEIGHT, 1), 0)).toThrow('does not come after');
    expect(() => reader.add(greyOf(new Uint8Array(64 * 64), 64, 64, 1), 1)).toThrow('64 × 64');
  });
});

describe('what a plan foretells of its clip', () => {
  const shoot = demoShoot();
  it('is that a pan of the camera to the right moves the picture to the left, a push makes it grow', () => {
    const whip = shoot.shots.find(({ name }) => name === 'Whip to the table');
    const push = shoot.shots.find(({ name }) => name === 'In to the two leaves');
    if (!whip || !push) throw new Error('The demo has changed.');
    const film = plannedFilm(sceneOf(shoot, whip));
    const rows = new PlanPicture(film, 640).all();
    const pans = film.samples.panDeg[film.samples.count - 1] > film.samples.panDeg[0] ? 1 : -1;
    const fastest = rows.rightwards.reduce((a, v) => (Math.abs(v) > Math.abs(a) ? v : a), 0);
    expect(Math.sign(fastest)).toBe(-pans);
    const grows = new PlanPicture(plannedFilm(sceneOf(shoot, push)), 640).all().growthPerS;
    expect(grows.reduce((sum, v) => sum + v, 0)).toBeGreaterThan(0);
  });
  it('is nothing for a still shot', () => {
    const still = shoot.shots.find(({ name }) => name === 'The house, at rest');
    if (!still) throw new Error('The demo has changed.');
    const rows = new PlanPicture(plannedFilm(sceneOf(shoot, still)), 640).all();
    expect(rows.rightwards.every((v) => Math.abs(v) < 1e-9)).toBe(true);
  });
});

describe('a clip held against its plan', () => {
  const shoot = demoShoot();
  const shot = shoot.shots[2];
  const plan = new PlanPicture(plannedFilm(sceneOf(shoot, shot)), 640).all();
  /** What was foretold, as if it had been measured. */
  const seen = (edit: (frame: ClipFrame) => ClipFrame = (frame) => frame): ClipFrame[] =>
    [...plan.tS].map((tS, i) =>
      edit({
        tS,
        rightwards: plan.rightwards[i],
        upwards: plan.upwards[i],
        turnDegps: plan.turnDegps[i],
        growthPerS: plan.growthPerS[i],
        near: plan.near[i],
        far: plan.far[i],
        brightness: 0.5,
        detail: 0.1,
        followed: 1,
        repeated: false,
      }),
    );
  const ids = (frames: ClipFrame[]) => framesAgainstPlan(plan, frames).differences.map(({ id }) => id);

  it('that moves as foretold has nothing to be said of, whenever it began', () => {
    expect(ids(seen())).toEqual([]);
    const late = seen((frame) => ({ ...frame, tS: frame.tS + 2 }));
    expect(framesAgainstPlan(plan, late).said).toBe('The clip moves as the plan foretells.');
  });
  it('of a longer lens, a nearer camera, a faster hand is told so', () => {
    const all = ['rightwards', 'upwards', 'near', 'far'] as const;
    const longer = seen((frame) => ({ ...frame, ...Object.fromEntries(all.map((key) => [key, frame[key] * 1.3])) }));
    expect(framesAgainstPlan(plan, longer).differences[0]).toMatchObject({
      id: 'speed',
      sentence: expect.stringMatching(/30% faster/) as string,
    });
    expect(ids(seen((frame) => ({ ...frame, near: frame.near * 1.4 })))).toEqual(['layers']);
    const rates = [...all, 'turnDegps', 'growthPerS'] as const;
    const faster = seen((frame) => ({
      ...frame,
      tS: frame.tS / 1.3,
      ...Object.fromEntries(rates.map((key) => [key, frame[key] * 1.3])),
    }));
    const found = framesAgainstPlan(plan, faster);
    expect(found.differences.map(({ id }) => id)).toEqual(['pace']);
    expect(found.differences[0].sentence).toMatch(/30% faster/);
  });
  it('that shakes says by how much; of several the better is chosen, and why', () => {
    const shaky = seen((frame) => ({ ...frame, upwards: frame.upwards + 0.06 * Math.sin(2 * Math.PI * 2 * frame.tS) }));
    expect(ids(shaky)).toContain('shake');
    const best = bestClip([
      { id: 'shaky', against: framesAgainstPlan(plan, shaky) },
      { id: 'calm', against: framesAgainstPlan(plan, seen()) },
    ]);
    expect(best?.id).toBe('calm');
    expect(best?.why).toMatch(/^It moves as the plan foretells. The next best: /);
  });
});

describe('a clip of every other plan of the demo', () => {
  const shoot = demoShoot();
  // A time-lapse of hours has no clip of its own motion.
  const shots = shoot.shots.filter(({ timing }, i) => timing.durationS < 60 && i % 2 === 0);
  const known = new Map<string, Foretold>();
  /** As a small clip is followed: how fine the picture is does not matter to what is held against what. */
  const planOf = (shot: Shot): Foretold => {
    const plan = known.get(shot.id) ?? new PlanPicture(plannedFilm(sceneOf(shoot, shot)), 160).all();
    known.set(shot.id, plan);
    return plan;
  };
  const clipOf = (plan: Foretold, from: number, to: number): ClipFrame[] =>
    [...plan.tS].slice(from, to).map((tS, k) => ({
      tS,
      rightwards: plan.rightwards[from + k],
      upwards: plan.upwards[from + k],
      turnDegps: plan.turnDegps[from + k],
      growthPerS: plan.growthPerS[from + k],
      near: plan.near[from + k],
      far: plan.far[from + k],
      brightness: 0.5,
      detail: 0.1,
      followed: 1,
      repeated: false,
    }));

  it.each(shots)('that is “$name” as it was planned has nothing to be said against it', (shot) => {
    const plan = planOf(shot);
    expect(framesAgainstPlan(plan, clipOf(plan, 0, plan.tS.length)).differences).toEqual([]);
  });
  it('that is only the middle of it is taken for a part of it, and is not blamed for the rest', () => {
    const said = shots.map((shot) => {
      const plan = planOf(shot);
      const n = plan.tS.length;
      const part = framesAgainstPlan(plan, clipOf(plan, Math.floor(n * 0.2), Math.floor(n * 0.85)));
      return { ids: part.differences.map(({ id }) => id), said: part.said };
    });
    // An even move that is cut at both ends fits at many paces: of two of these something is said all the same.
    const wrong = said.filter(({ ids }) => ids.length > 0);
    expect(wrong.length).toBeLessThanOrEqual(2);
    for (const { said: words, ids } of said)
      if (ids.length === 0) expect(words).toMatch(/Of the plan’s [\d.]+ s, |is it a clip of another shot/);
  });
});
