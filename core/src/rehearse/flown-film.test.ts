import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../motion';
import { readFilm } from '../reading';
import { sceneOf } from '../scene';
import { demoShoot } from '../testing/demo';
import { flownFilm, flownSamples, poseSamples } from './flown-film';
import { asFlown } from './score/flown-path';

const shoot = demoShoot();
const film = plannedFilm(sceneOf(shoot, shoot.shots[2]));

describe('a way that was flown', () => {
  it('gives the same cameras as the plan it flew, and the same reading but for the body under it', () => {
    const flown = flownSamples(film.scene, asFlown(film.filmed));
    expect(flown.count).toBe(film.filmed.count);
    flown.cameras.forEach((value, i) => expect(Math.abs(value - film.filmed.cameras[i])).toBeLessThan(1e-9));
    const grades = (of: typeof film) =>
      Object.fromEntries(
        readFilm(of)
          .findings.filter(({ id }) => /^(speed|feather|place|size)/.test(id))
          .map(({ id, grade }) => [id, grade]),
      );
    expect(grades(flownFilm(film, asFlown(film.filmed)))).toEqual(grades(film));
  });

  it('is one row for a camera at a moment, with the subject where it is then', () => {
    const { filmed } = film;
    const row = 40;
    const one = poseSamples(
      film.scene,
      {
        xM: filmed.xM[row],
        yM: filmed.yM[row],
        zM: filmed.zM[row],
        panDeg: filmed.panDeg[row],
        tiltDeg: filmed.tiltDeg[row],
        rollDeg: filmed.rollDeg[row],
        focalLengthMm: filmed.focalLengthMm[row],
        focusM: filmed.focusDistanceM[row],
      },
      filmed.tS[row],
    );
    expect(one.count).toBe(1);
    expect(one.subjectXM[0]).toBeCloseTo(filmed.subjectXM[row], 9);
    expect(one.subjectDistanceM[0]).toBeCloseTo(filmed.subjectDistanceM[row], 6);
  });
});
