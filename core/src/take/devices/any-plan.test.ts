import { describe, expect, it } from 'vitest';
import { type Film, plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { compareTake } from '../compare/compare';
import { takenFrom } from '../recorded/taken';
import { type Faults, NO_FAULTS, ranThrough } from './device';
import { DEVICES } from './devices';

const shoot = demoShoot();
/** Every shot that is over within some minutes; a camera that falls is carried by nothing. */
const films = shoot.shots
  .filter(({ move }) => move.kind !== 'drop')
  .map((shot) => ({ name: shot.name, film: plannedFilm(sceneOf(shoot, shot)) }))
  .filter(({ film }) => film.filmed.tS[film.filmed.count - 1] < 300);

function comparedWith(kind: string, film: Film, faults: Partial<Faults>) {
  const device = DEVICES.find((row) => row.kind === kind);
  if (!device) throw new Error(kind);
  const { record } = ranThrough(device, film, { ...NO_FAULTS, ...faults });
  return record && compareTake(film, takenFrom(record, film));
}

describe.each(['recorder', 'gimbal', 'drone', 'slider'])('whatever is planned, a %s', (kind) => {
  // Sensors have the most that can be misread.
  const told = kind === 'recorder' ? films : films.filter((_, i) => i % 2 === 0);
  it('without faults is charged with nothing', () => {
    const charged = told.flatMap(({ name, film }) =>
      (comparedWith(kind, film, {})?.differences ?? []).map(({ sentence }) => `${name}: ${sentence}`),
    );
    expect(charged).toEqual([]);
  });
  it('that is a fifth slower is nearly always told so where its pace can be told, and hardly ever that it was faster', () => {
    const stretches = films
      .filter((_, i) => i % 2 === 0)
      .flatMap(({ film }) => {
        const found = comparedWith(kind, film, { pace: 0.8, noise: 1, seed: 3 });
        return found?.aligned.by === 'motion' ? [found.aligned.stretch] : [];
      });
    expect(stretches.length).toBeGreaterThan(4);
    const slower = stretches.filter((stretch) => stretch > 1.15 && stretch < 1.35).length;
    expect(slower / stretches.length).toBeGreaterThan(0.85);
    expect(stretches.filter((stretch) => stretch < 0.95).length).toBeLessThanOrEqual(1);
  });
});

it('of a fall that a recorder cannot lay on its plan no bob is charged, and that is said', () => {
  const shot = shoot.shots.find(({ move }) => move.kind === 'drop');
  if (!shot) throw new Error('The demo has no fall.');
  const found = comparedWith('recorder', plannedFilm(sceneOf(shoot, shot)), {});
  expect(found?.differences).toEqual([]);
  expect(found?.untold.join(' ')).toContain('Bob is not told');
});
