import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_PRACTICE } from '../model';
import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { demoShoot } from '../testing/demo';
import { filmed, usual, WALK } from '../testing/filmed';
import { marksOf, readOff } from './marks';

describe('a pointer that is read from beside', () => {
  it('is read by similar triangles: at 1 m, 20 mm off, seen from 1.5 m away at the start, 13.5 mm too far', () => {
    // Worked by hand: the line from the eye (0, 1.5) by the pointer (1, 0.02) meets the scale at 1 / (1 − 0.02 / 1.5).
    expect(readOff(1, 0.02, 0, 1.5)).toBeCloseTo(1 / (1 - 0.02 / 1.5), 9);
    expect(readOff(1, 0.02, 0, 1.5) - 1).toBeCloseTo(0.0135, 4);
  });

  it('is where it is for an eye right before it, and for a pointer that lies on its scale', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), fc.double({ min: 0.3, max: 9, noNaN: true }), (p, d) => {
        expect(readOff(p, 0.05, p, d)).toBeCloseTo(p, 9);
        expect(readOff(p, 0, -2, d)).toBeCloseTo(p, 9);
      }),
    );
  });
});

describe('marks', () => {
  const slider = plannedFilm(filmed({ ...usual('slide'), travelM: 1 }, { rigId: 'rig-slider-120' }).scene);

  it('go along the rail from its start to its end, with one that warns', () => {
    const { rail, moments, floor } = marksOf(slider, USUAL_PRACTICE, 'metric');
    expect(moments[0].what).toBe('start');
    expect(rail[0].placeM).toBe(0);
    expect(rail.at(-1)?.placeM).toBeCloseTo(1, 3);
    rail.slice(1).forEach((row, i) => expect(row.placeM).toBeGreaterThanOrEqual(rail[i].placeM));
    const soon = rail.find(({ what }) => what === 'soon');
    expect(soon?.placeM).toBeGreaterThan(0.8);
    expect(soon?.placeM).toBeLessThan(1);
    expect(floor).toEqual([]);
  });

  it('give the floor its steps and feet, and pause where the subject pauses', () => {
    const walk = plannedFilm(
      filmed({ ...usual('follow') }, { rigId: 'rig-gimbal', walks: [WALK], timing: { ...TIMING } }, true).scene,
    );
    const { floor, moments, rail } = marksOf(walk, USUAL_PRACTICE, 'metric');
    expect(rail).toEqual([]);
    expect(floor.at(-1)?.steps).toBeGreaterThan(3);
    // The walk of the test stands from 6 to 7 s.
    expect(moments.find(({ what }) => what === 'subject pauses')?.atS).toBeCloseTo(6, 0);
  });

  it('tell what stands at the edges of the frame at the start, before the end and at the end', () => {
    const shoot = demoShoot();
    const film = plannedFilm(sceneOf(shoot, shoot.shots[0]));
    const { edges } = marksOf(film, USUAL_PRACTICE, 'metric');
    expect(new Set(edges.map(({ when }) => when))).toEqual(new Set(['start', 'soon', 'end']));
  });
});

const TIMING = {
  durationS: 9,
  holdStartS: 0,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0,
  featherShape: 'minimumJerk',
} as const;
