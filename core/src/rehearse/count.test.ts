import { describe, expect, it } from 'vitest';
import { USUAL_PRACTICE } from '../model';
import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { demoShoot } from '../testing/demo';
import { filmed, usual } from '../testing/filmed';
import { countOf, pacesOf } from './count';
import { cadencePerMin, footFalls } from './foot-falls';
import { fullAt, phasesOf } from './phases';

const TIMING = {
  durationS: 9,
  holdStartS: 1,
  featherInS: 2,
  featherOutS: 2,
  holdEndS: 1,
  featherShape: 'minimumJerk',
} as const;
const slide = plannedFilm(filmed(usual('slide'), { timing: TIMING }).scene);

describe('the phases of a shot', () => {
  it('follow each other without gaps, in every shot of the demo', () => {
    const shoot = demoShoot();
    for (const shot of shoot.shots) {
      const scene = sceneOf(shoot, shot);
      const phases = phasesOf(scene);
      expect(phases.length, shot.name).toBeGreaterThan(0);
      expect(phases[0].fromS).toBeCloseTo(0, 9);
      expect(phases.at(-1)?.toS).toBeCloseTo(scene.durationS, 6);
      phases.slice(1).forEach((phase, i) => expect(phase.fromS, shot.name).toBeCloseTo(phases[i].toS, 6));
    }
  });

  it('are full on the way, empty in the holds, and as full in a feather as it is fast', () => {
    const full = (tS: number) => fullAt(slide.scene, tS);
    expect([full(0.5), full(8.5)]).toEqual([0, 0]);
    expect(full(4.5)).toBe(1);
    // A feather is half of a minimum-jerk stroke, which has 0.5625 of its peak speed a quarter on: 16 (τ² − 2τ³ + τ⁴)
    // (Flash & Hogan 1985).
    expect(full(2)).toBeCloseTo(0.5625, 4);
    expect(full(7)).toBeCloseTo(0.5625, 4);
  });
});

describe('the count', () => {
  it('counts in, calls each phase as it begins, and each mark', () => {
    const { cues, fromS, beatsPerMin, beatFrom } = countOf(slide, { ...USUAL_PRACTICE, countIn: 3 });
    expect({ fromS, beatsPerMin, beatFrom }).toEqual({ fromS: -3, beatsPerMin: 60, beatFrom: 'seconds' });
    const words = cues.filter(({ said }) => said !== null).map(({ atS, said }) => [atS, said]);
    expect(words.slice(0, 5)).toEqual([
      [-3, 'three'],
      [-2, 'two'],
      [-1, 'one'],
      [0, 'hold'],
      [1, 'ease in'],
    ]);
    expect(words).toContainEqual([6, 'ease']);
    expect(words.filter(([atS]) => atS === 8).map(([, said]) => said)).toEqual(
      expect.arrayContaining(['rest', 'mark two']),
    );
  });

  it('takes typed beats, and lets no two words fall over each other', () => {
    const { cues } = countOf(slide, { ...USUAL_PRACTICE, beatsPerMin: 120 });
    const beats = cues.filter(({ kind }) => kind === 'beat').map(({ atS }) => atS);
    expect(beats[1] - beats[0]).toBeCloseTo(0.5, 9);
    const words = cues.filter(({ said, kind }) => said !== null && kind === 'beat').map(({ atS }) => atS);
    for (const atS of words)
      for (const other of cues.filter(({ said, kind }) => said !== null && kind !== 'beat'))
        expect(Math.abs(other.atS - atS)).toBeGreaterThanOrEqual(0.3);
  });

  it('goes by the steps of whoever carries the camera', () => {
    const walk = plannedFilm(
      filmed({ ...usual('pull'), fromDistanceM: 2, toDistanceM: 10 }, { rigId: 'rig-gimbal', timing: TIMING }).scene,
    );
    const { beatFrom, cues } = countOf(walk, USUAL_PRACTICE);
    expect(beatFrom).toBe('steps');
    expect(cues.filter(({ kind }) => kind === 'step').length).toBeGreaterThan(8);
  });

  it('runs slowly first, then at speed', () => {
    expect(pacesOf({ ...USUAL_PRACTICE, slowFirst: 'half' })).toEqual([0.5, 1]);
    expect(pacesOf({ ...USUAL_PRACTICE, slowFirst: 'none' })).toEqual([1]);
  });
});

describe('feet', () => {
  it('step as long and as often as people do: 1.3 m/s, near two a second (Öberg et al. 1993, from memory)', () => {
    const { scene } = filmed(
      { ...usual('pull'), fromDistanceM: 2, toDistanceM: 15 },
      {
        rigId: 'rig-gimbal',
        timing: { ...TIMING, durationS: 10, holdStartS: 0, holdEndS: 0, featherInS: 0, featherOutS: 0 },
      },
    );
    const falls = footFalls(plannedFilm(scene).filmed);
    const perMin = cadencePerMin(falls) ?? 0;
    expect(perMin).toBeGreaterThan(105);
    expect(perMin).toBeLessThan(130);
    const steps = falls.slice(1).map(({ goneM }, i) => goneM - falls[i].goneM);
    expect(Math.min(...steps)).toBeGreaterThan(0.55);
    expect(Math.max(...steps)).toBeLessThan(0.8);
    falls.forEach(({ foot }, i) => expect(foot).toBe(i % 2 === 0 ? 'right' : 'left'));
  });

  it('stay where they are for a camera on a slider’s pace of a few centimetres a second', () => {
    expect(footFalls(plannedFilm(filmed({ ...usual('slide'), travelM: 0.3 }).scene).filmed)).toEqual([]);
  });
});
