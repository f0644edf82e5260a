import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import type { TryPart } from '../../model';
import { asFlown, type FlownPath, fromKept, toKeep } from './flown-path';
import { scoreTry } from './score-try';

const shoot = demoShoot();
const film = (name: string) => {
  const shot = shoot.shots.find((row) => row.name === name);
  if (!shot) throw new RangeError(name);
  return plannedFilm(sceneOf(shoot, shot));
};
/** A slide, a push, a way round, a walk before somebody, a way from the air, a pan that whips, a rack. */
const SHOTS = [
  'First light along the rows',
  'In to the two leaves',
  'Round Ansa at the sorting table',
  'She stops, we go on',
  'Goodbye to the pavilion',
  'Whip to the table',
  'From the basket to the face',
];
const MOVING = SHOTS.slice(0, 5);

const edited = (path: FlownPath, edit: (key: string, value: number, row: number) => number): FlownPath =>
  Object.fromEntries(
    Object.entries(path).map(([key, column]: [string, Float64Array | null]) => [
      key,
      column && column.map((value, row) => edit(key, value, row)),
    ]),
  ) as unknown as FlownPath;

/** Parts that lose more than a tenth. */
const lost = (name: string, path: FlownPath): TryPart[] =>
  scoreTry(film(name), path, 'metric')
    .parts.filter(({ score }) => score < 90)
    .map(({ part }) => part);

describe('a try held against its plan', () => {
  it('has 100 when it is the plan, in every shot of the demo', () => {
    for (const shot of shoot.shots) {
      const given = plannedFilm(sceneOf(shoot, shot));
      const { score, said } = scoreTry(given, asFlown(given.filmed), 'metric');
      expect(score, shot.name).toBe(100);
      expect(said).toContain('As planned');
    }
  });

  it.each(SHOTS)('loses in timing and nowhere else when it is late: %s', (name) => {
    const plan = asFlown(film(name).filmed);
    expect(
      lost(
        name,
        edited(plan, (key, value) => (key === 'tS' ? value + 0.7 : value)),
      ),
    ).toEqual(['timing']);
    const { parts } = scoreTry(
      film(name),
      edited(plan, (key, value) => (key === 'tS' ? value + 0.7 : value)),
      'metric',
    );
    expect(parts.find(({ part }) => part === 'timing')?.mend).toContain('late');
  });

  it.each(MOVING)('loses in evenness and nowhere else when it trembles: %s', (name) => {
    const { filmed } = film(name);
    const shaken = edited(asFlown(filmed), (key, value, row) => {
      const tS = row / filmed.captureRateHz;
      if (key === 'panDeg') return value + 0.7 * Math.sin(2 * Math.PI * 5 * tS);
      if (key === 'tiltDeg') return value + 0.6 * Math.sin(2 * Math.PI * 6 * tS + 1);
      return value;
    });
    expect(lost(name, shaken)).toEqual(['evenness']);
  });

  it.each(MOVING.slice(0, 4))(
    'loses in evenness and nowhere else when every frame is a little elsewhere: %s',
    (name) => {
      const { filmed } = film(name);
      // A numeric stream that is the same each time (Park & Miller), from −1 to 1.
      let state = 77;
      const next = () => ((state = (state * 48271) % 2147483647) / 2147483647) * 2 - 1;
      const byM = 0.006 * filmed.subjectDistanceM[0];
      const shaken = edited(asFlown(filmed), (key, value) => (/^[xyz]M$/.test(key) ? value + byM * next() : value));
      expect(lost(name, shaken)).toEqual(['evenness']);
    },
  );

  it.each(MOVING)('loses at its ends and nowhere else when it stops short: %s', (name) => {
    const { filmed } = film(name);
    const rows = Math.round(filmed.count * 0.75);
    const plan = asFlown(filmed);
    const short = Object.fromEntries(
      Object.entries(plan).map(([key, column]: [string, Float64Array | null]) => [key, column?.slice(0, rows) ?? null]),
    ) as unknown as FlownPath;
    expect(lost(name, short)).toEqual(['ends']);
  });

  it.each(['First light along the rows', 'In to the two leaves', 'Goodbye to the pavilion'])(
    'loses at its ends and nowhere else when it goes past its mark: %s',
    (name) => {
      const { filmed } = film(name);
      const last = filmed.count - 1;
      const endRow = Math.round(filmed.count * 0.82);
      const way = (['xM', 'yM', 'zM'] as const).map((key) => filmed[key][last] - filmed[key][endRow]);
      const size = Math.hypot(...way);
      const overM = 0.08 * filmed.subjectDistanceM[last];
      const past = edited(asFlown(filmed), (key, value, row) => {
        const axis = ['xM', 'yM', 'zM'].indexOf(key);
        if (axis < 0 || row < endRow) return value;
        const share = Math.min(1, (1.7 * (row - endRow)) / (last - endRow));
        return value + (way[axis] / size) * overM * share * share * (3 - 2 * share);
      });
      expect(lost(name, past)).toEqual(['ends']);
      expect(scoreTry(film(name), past, 'metric').said).toMatch(/past the mark|bump/);
    },
  );

  it('loses on its path where it is beside it, in level where it leans, in place where it looks elsewhere', () => {
    const name = 'In to the two leaves';
    const plan = asFlown(film(name).filmed);
    expect(
      lost(
        name,
        edited(plan, (key, value) => (key === 'zM' ? value + 0.3 : value)),
      ),
    ).toContain('path');
    expect(
      lost(
        name,
        edited(plan, (key, value) => (key === 'rollDeg' ? value + 3 : value)),
      ),
    ).toEqual(['level']);
    expect(
      lost(
        name,
        edited(plan, (key, value) => (key === 'panDeg' ? value + 6 : value)),
      ),
    ).toEqual(['place']);
    expect(
      lost(
        name,
        edited(plan, (key, value) => (key === 'focusM' ? value * 0.4 : value)),
      ),
    ).toEqual(['sharp']);
  });

  it('says which way it was off', () => {
    const name = 'In to the two leaves';
    const plan = asFlown(film(name).filmed);
    const said = (key: string, by: number) =>
      scoreTry(
        film(name),
        edited(plan, (of, value) => (of === key ? value + by : value)),
        'metric',
      ).said;
    expect(said('zM', 0.5)).toContain('too high');
    expect(said('zM', -0.5)).toContain('too low');
    // She is to the left in the picture when the camera looks to the right.
    expect(said('panDeg', 8)).toContain('to the left in the picture: turn left');
    expect(said('tiltDeg', 8)).toContain('too low in the picture: turn down');
  });

  it('is worth less the later it is', () => {
    const name = 'Round Ansa at the sorting table';
    const plan = asFlown(film(name).filmed);
    const scores = [0, 0.3, 0.6, 1].map(
      (byS) =>
        scoreTry(
          film(name),
          edited(plan, (key, value) => (key === 'tS' ? value + byS : value)),
          'metric',
        ).score,
    );
    scores.slice(1).forEach((score, i) => expect(score).toBeLessThan(scores[i]));
  });

  it('counts a slow try at the plan’s own pace', () => {
    const name = 'In to the two leaves';
    const slow = edited(asFlown(film(name).filmed), (key, value) => (key === 'tS' ? value * 2 : value));
    expect(scoreTry(film(name), slow, 'metric', { pace: 0.5 }).score).toBe(100);
    expect(scoreTry(film(name), slow, 'metric').score).toBeLessThan(95);
  });

  it('is the same after it was kept', () => {
    for (const name of MOVING) {
      const kept = toKeep(asFlown(film(name).filmed), 30);
      expect(kept.xM.length).toBe(kept.focusM.length);
      expect(scoreTry(film(name), fromKept(kept), 'metric').score).toBeGreaterThan(97);
    }
  });
});
