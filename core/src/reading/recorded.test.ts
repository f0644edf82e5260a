import { describe, expect, it } from 'vitest';
import { plannedFilm, recordedFilm } from '../motion';
import { filmed, usual } from '../testing/filmed';
import { readFilm } from './read-shot';

const TIMING = { durationS: 6, holdStartS: 0.5, featherInS: 1.5, featherOutS: 1.5, holdEndS: 0.5 } as const;

describe('a way that was recorded', () => {
  const film = (kind: 'slide' | 'whipPan') => {
    const { scene } = filmed(usual(kind), { timing: { ...TIMING, featherShape: 'minimumJerk' } });
    return plannedFilm(scene);
  };

  it('is read as the plan is: what follows the samples knows nothing of how they came about', () => {
    const { scene, filmed: rows, intent } = film('slide');
    const recorded = readFilm(recordedFilm(scene, rows, intent));
    expect(recorded.findings).toEqual(readFilm(film('slide')).findings);
    expect(recorded.findings.length).toBeGreaterThan(5);
  });

  it('is judged by what it was meant for: a whip is a fault where nobody meant to blur', () => {
    const { scene, filmed: rows, intent } = film('whipPan');
    const far = (meantToBlur: boolean) =>
      readFilm(recordedFilm(scene, rows, { ...intent, meantToBlur })).findings.find(({ id }) => id === 'speed.far');
    expect(far(true)?.grade).toBe('calm');
    expect(far(false)?.grade).toBe('jolt');
  });
});
