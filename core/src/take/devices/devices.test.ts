import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { compareTake } from '../compare/compare';
import { takenFrom } from '../recorded/taken';
import { carryOut, type Faults, NO_FAULTS, ranThrough } from './device';
import { DEVICES } from './devices';

const shoot = demoShoot();
const filmOf = (name: string) => {
  const shot = shoot.shots.find((row) => row.name === name);
  if (!shot) throw new Error(name);
  return plannedFilm(sceneOf(shoot, shot));
};
const device = (kind: string) => {
  const found = DEVICES.find((row) => row.kind === kind);
  if (!found) throw new Error(kind);
  return found;
};
const films = {
  recorder: filmOf('Round Ansa at the sorting table'),
  gimbal: filmOf('Round Ansa at the sorting table'),
  drone: filmOf('The rows like a map'),
  slider: filmOf('First light along the rows'),
  focusMotor: filmOf('From the basket to the face'),
};
const kinds = Object.keys(films) as (keyof typeof films)[];

/** Plan → device → recording → comparison. */
function found(kind: keyof typeof films, faults: Partial<Faults>) {
  const film = films[kind];
  const { record } = ranThrough(device(kind), film, { ...NO_FAULTS, ...faults });
  if (!record) throw new Error(`The ${kind} recorded nothing.`);
  return { record, film, ...compareTake(film, takenFrom(record, film)) };
}
const ids = ({ differences }: ReturnType<typeof found>) => differences.map(({ id }) => id);

describe('simulated devices', () => {
  it.each(kinds)('a %s without faults did what was planned', (kind) => {
    const { differences, aligned } = found(kind, {});
    expect(differences.map(({ id }) => id)).toEqual([]);
    expect(aligned.delayS).toBeCloseTo(0.5, 1);
    expect(aligned.stretch).toBeCloseTo(1, 1);
  });

  it.each(kinds)('a %s with the noise of its kind is charged with nothing', (kind) => {
    expect(ids(found(kind, { noise: 1, seed: 4 }))).toEqual([]);
  });

  it.each(kinds)('the pace that a %s was given is found', (kind) => {
    const { differences, aligned } = found(kind, { pace: 0.8, noise: 1 });
    expect(aligned.stretch).toBeCloseTo(1.25, 1);
    expect(differences[0].id).toBe('pace');
    expect(differences[0].reason).toBe('tooSlow');
  });

  it.each(kinds)('a lost connection of a %s keeps what came before', (kind) => {
    const { record, why } = ranThrough(device(kind), films[kind], { ...NO_FAULTS, losesAtS: 3 });
    expect(why).toMatch(/connection was lost after 3\.0 s/);
    expect(record?.tS.at(-1)).toBeCloseTo(3, 0);
  });

  it('level, trembling and steps that were put into what a recorder felt are found', () => {
    const result = found('recorder', {
      startLateS: 2.5,
      levelOffDeg: 2,
      tremorDeg: 0.5,
      tremorHz: 8,
      bobMm: 45,
      stepRateHz: 1.9,
      noise: 1,
    });
    const of = (id: string) => result.differences.find((row) => row.id === id)?.measured;
    expect(of('level')).toBeCloseTo(2, 0);
    expect(of('tremor')).toBeGreaterThan(0.35);
    expect(of('tremor')).toBeLessThan(0.65);
    expect(of('bob')).toBeGreaterThan(35);
    expect(of('bob')).toBeLessThan(55);
    expect(result.differences.find(({ id }) => id === 'bob')?.sentence).toMatch(/at 1\.9 steps a second/);
    expect(ids(result).sort()).toEqual(['bob', 'level', 'tremor']);
  });

  it('the slider that ran past its end and came back is found out, by how much', () => {
    const result = found('slider', { overshootShare: 0.06, noise: 1 });
    const { filmed } = result.film;
    const end = filmed.count - 1;
    const wayM = Math.hypot(...(['xM', 'yM', 'zM'] as const).map((key) => filmed[key][end] - filmed[key][0]));
    const over = result.differences.find(({ id }) => id === 'travel-overshoot');
    expect(over?.measured).toBeGreaterThan(0.04 * wayM);
    expect(over?.measured).toBeLessThan(0.07 * wayM);
  });

  it('refuse what they cannot do, in a sentence', () => {
    const refusal = (kind: string, name: string, faults: Partial<Faults> = {}) =>
      [...carryOut(device(kind), filmOf(name), { ...NO_FAULTS, ...faults })][0];
    expect(refusal('slider', 'Round Ansa at the sorting table')).toMatchObject({
      is: 'refused',
      why: expect.stringMatching(/rail/) as string,
    });
    expect(refusal('focusMotor', 'The house, at rest')).toMatchObject({
      is: 'refused',
      why: expect.stringMatching(/nothing for it to do/) as string,
    });
    expect(refusal('gimbal', 'Whip to the table')).toBeDefined();
    expect(refusal('gimbal', 'First light along the rows', { batteryShare: 0.05 })).toMatchObject({
      is: 'refused',
      why: expect.stringMatching(/battery is at 5%/) as string,
    });
  });

  it('stop when the battery is empty, and keep what came before', () => {
    const drone = { ...device('drone'), batteryS: 20 };
    const { why, record } = ranThrough(drone, films.drone, { ...NO_FAULTS, batteryShare: 0.2 });
    expect(why).toMatch(/battery is empty after 4\.\d s/);
    expect(record?.tS.length).toBeGreaterThan(30);
  });
});
