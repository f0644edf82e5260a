import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT } from '../model';
import { fallS, trickOf, type TrickCase } from './tricks';

const on = (rigId: string, more: Partial<TrickCase> = {}) => {
  const rig = DEFAULT_KIT.rigs.find(({ id }) => id === rigId);
  if (!rig) throw new Error(`No rig ${rigId} ships.`);
  const told = trickOf({
    rig,
    sinkM: 1.2,
    goneM: 1.2,
    movingS: 0.5,
    subjectM: 0.5,
    captureRateHz: 120,
    frameRateHz: 24,
    massKg: 0.8,
    units: 'metric',
    ...more,
  });
  const value = (key: string) => told?.facts.find((row) => row.key === key)?.value;
  return { told, value, said: (key: string) => told?.facts.find((row) => row.key === key)?.said };
};

describe('tricks, worked by hand', () => {
  it('a fall: 1.2 m in 0.495 s, 59 frames at 120, 4.85 m/s into the catch, the mirror’s image twice as far', () => {
    expect(fallS(1.2)).toBeCloseTo(0.4947, 4);
    const { value } = on('rig-drop');
    expect(value('frames')).toBe(59);
    expect(value('catchMps')).toBeCloseTo(4.851, 3);
    expect(value('imageM')).toBe(1);
    expect(on('rig-drop', { captureRateHz: 25 }).told?.facts.find(({ key }) => key === 'frames')?.grade).toBe('tight');
  });
  it('a hoist: the pull is the weight, and it cannot go sideways', () => {
    expect(on('rig-hoist', { sinkM: -3, goneM: 3, movingS: 6 }).value('pullN')).toBeCloseTo(7.845, 3);
    expect(on('rig-hoist', { sinkM: -3, goneM: 3, movingS: 6 }).value('walkMps')).toBeCloseTo(0.5, 9);
    expect(on('rig-hoist', { sinkM: 0, goneM: 2 }).said('level')).toMatch(/sideways/);
  });
  it('a rope swing of 5 m: side to side in half of 2π√(L/g) and a little more', () => {
    const half = on('rig-rope', { sinkM: 0, goneM: 2 }).value('halfS') ?? 0;
    expect(half / (Math.PI * Math.sqrt(5 / 9.80665))).toBeGreaterThan(1);
    expect(half / (Math.PI * Math.sqrt(5 / 9.80665))).toBeLessThan(1.01);
  });
  it('a plate on water: 0.8 kg on 30 cm sinks in by 11 mm, and too much turns it over', () => {
    const { value } = on('rig-float');
    expect(value('draughtM')).toBeCloseTo(0.01132, 5);
    expect(value('uprightM')).toBeGreaterThan(0.05);
    // Archimedes: it displaces its mass.
    expect((value('draughtM') ?? 0) * Math.PI * 0.15 ** 2 * 1000).toBeCloseTo(0.8, 9);
    expect(on('rig-float', { massKg: 12 }).said('uprightM')).toMatch(/turns over/);
  });
  it('a spring tape arrives at twice its mean', () => {
    expect(on('rig-spring-tape', { goneM: 3, movingS: 4 }).value('endMps')).toBeCloseTo(1.5, 9);
  });
  it('every trick says what to expect, and what is no trick says nothing', () => {
    for (const id of ['rig-drop', 'rig-hoist', 'rig-rope', 'rig-float', 'rig-spring-tape'])
      for (const massKg of [null, 1.4])
        for (const row of on(id, { massKg, sinkM: 0, goneM: 0, movingS: 0, subjectM: null }).told?.facts ?? [])
          expect(row.said).not.toMatch(/NaN|Infinity|undefined|^$/);
    for (const id of ['rig-pipes', 'rig-towel', 'rig-board', 'rig-bicycle-pushed', 'rig-one-leg', 'rig-waist'])
      expect(on(id).said('tries'), id).toMatch(/^about \d/);
    expect(on('rig-towel', { goneM: 2, movingS: 5 }).value('meanMps')).toBeCloseTo(0.4, 9);
    expect(on('rig-tripod').told).toBeNull();
  });
});
