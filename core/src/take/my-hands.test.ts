import { describe, expect, it } from 'vitest';
import { DEFAULT_GAITS, GaitSchema } from '../model';
import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { demoShoot } from '../testing/demo';
import { compareTake } from './compare/compare';
import { NO_FAULTS, ranThrough } from './devices/device';
import { DEVICES } from './devices/devices';
import { handFigures, myHands, ownGait, sureWords } from './my-hands';
import { takenFrom } from './recorded/taken';

const shoot = demoShoot();
const shot = shoot.shots[3];
const rig = shoot.kit.rigs.find(({ id }) => id === shot.rigId);
const film = plannedFilm(sceneOf(shoot, shot));

/** A walk with the gimbal as a recorder felt it. Published gait: about 2 steps a second, 40 to 50 mm at 1.4 m/s (from memory). */
const figuresOf = (bobMm: number, stepRateHz: number, seed: number) => {
  if (!rig) throw new Error('no rig');
  // The recorder is behind the rig: of the body’s bob the rig lets a share through.
  const { record } = ranThrough(DEVICES[0], film, {
    ...NO_FAULTS,
    startLateS: 2.5,
    seed,
    noise: 1,
    bobMm: bobMm * rig.bobShare,
    stepRateHz,
    tremorDeg: 0.2,
  });
  if (!record) throw new Error('nothing recorded');
  return handFigures(compareTake(film, takenFrom(record, film)), rig, '2026-04-11T08:00:00Z');
};

describe('my hands', () => {
  const figures = [46, 42, 50].map((bobMm, i) => figuresOf(bobMm, 1.9 + 0.05 * i, i + 1));

  it('have the steps and the bob that were walked, before the rig took its share', () => {
    figures.forEach((row, i) => {
      expect(row.stepRateHz).toBeCloseTo(1.9 + 0.05 * i, 1);
      expect((row.bobMm ?? 0) / [46, 42, 50][i]).toBeGreaterThan(0.8);
      expect((row.bobMm ?? 0) / [46, 42, 50][i]).toBeLessThan(1.2);
    });
  });
  it('become a gait of the kit, with how sure each figure is', () => {
    const hands = myHands(figures);
    expect(hands.bobMm).toMatchObject({ count: 3, sure: 0.75 });
    const gait = GaitSchema.parse(ownGait(hands, DEFAULT_GAITS[2], 'gait-own', 'Mira'));
    expect(gait.name).toBe('Mira, measured');
    expect(gait.stepRateHz).toBeCloseTo(1.95, 1);
    expect(
      sureWords(hands.bobMm ?? { count: 0, middle: 0, low: 0, high: 0, sure: 0 }, (mm) => `${Math.round(mm)} mm`),
    ).toMatch(/^\d+ mm to \d+ mm, 75% sure of 3 recordings$/);
  });
  it('of a rig that lets nothing through say nothing of who carries it', () => {
    const slider = shoot.kit.rigs.find(({ bobShare }) => bobShare === 0);
    if (!slider) throw new Error('no slider');
    const { record } = ranThrough(DEVICES[0], film, NO_FAULTS);
    if (!record) throw new Error('nothing recorded');
    const row = handFigures(compareTake(film, takenFrom(record, film)), slider, '');
    expect([row.bobMm, row.stepRateHz]).toEqual([null, null]);
    expect(ownGait(myHands([row]), DEFAULT_GAITS[2], 'g', '').bobMm).toBe(DEFAULT_GAITS[2].bobMm);
  });
});
