import { describe, expect, it } from 'vitest';
import { Vector3 } from 'three';
import { putOffered } from '../edit';
import { plannedFilm } from '../motion';
import { lookFor, readShot } from '../reading';
import { threeCameraAt } from '../testing/three-camera';
import { sceneOf } from '../scene';
import { newPiece } from '../model';
import { AROUND, moved, plainShoot } from '../testing/shoots';
import { nearTheLens } from './near-the-lens';

const SLIDE = { kind: 'slide' as const, ...AROUND, distanceM: 4, bearingDeg: 180, travelM: 2, skewDeg: 0 };
const ansa = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
const shoot = plainShoot(moved(SLIDE), [
  ansa,
  { ...newPiece('box', 'b', 'Barn', 0, 14, 0), lengthM: 30, headingDeg: 90 },
]);
const offers = nearTheLens(sceneOf(shoot, shoot.shots[0]), 'metric', 'near');

describe('something near the lens', () => {
  it('each offer, put there, is a near layer halfway, and the subject stays in sight at both ends', () => {
    expect(offers.length).toBeGreaterThan(2);
    for (const offer of offers) {
      const put = putOffered(shoot, offer.piece, 'near', null);
      const film = plannedFilm(sceneOf(put, put.shots[0]));
      const [layers] = lookFor(film, film.samples.count >> 1, 'metric');
      expect(layers.sentence, offer.sentence).toMatch(new RegExp(`layers from here: near [^;]*${offer.piece.name}`));
      const { findings } = readShot(put, put.shots[0]);
      expect(
        findings.some(({ id }) => id === 'opening.covered' || id === 'closing.covered'),
        offer.sentence,
      ).toBe(false);
      expect(
        findings.filter(({ id, grade }) => id.startsWith('rig.clear') && grade === 'cannot'),
        offer.sentence,
      ).toEqual([]);
    }
  });
  it('says how far it slides as three.js projects it', () => {
    const { samples } = plannedFilm(sceneOf(shoot, shoot.shots[0]));
    const across = (row: number, x: number, y: number, z: number) =>
      new Vector3(x, z, -y).project(threeCameraAt(samples, row)).x / 2;
    const last = samples.count - 1;
    const whole = offers.filter(({ piece }) =>
      [0, last].every((row) => Math.abs(across(row, piece.xM, piece.yM, samples.zM[row])) < 0.6),
    );
    expect(whole.length).toBeGreaterThan(0);
    for (const { piece, slide, sentence } of whole) {
      const apart = (row: number) =>
        across(row, piece.xM, piece.yM, samples.zM[samples.count >> 1]) - across(row, 0, 0, AROUND.heightM);
      expect(Math.abs(slide - Math.abs(apart(last) - apart(0))), sentence).toBeLessThan(0.01);
      expect(sentence).toContain(`slides ${Math.round(slide * 100)}% of the width`);
    }
  });
  it('one that is put instead of another leaves nothing of it', () => {
    const first = putOffered(shoot, offers[0].piece, 'one', null);
    const second = putOffered(first, offers[1].piece, 'two', 'one');
    expect(second.site.pieces.map(({ id }) => id)).toEqual([...shoot.site.pieces.map(({ id }) => id), 'two']);
  });
  it('what is nearer slides farther, and the strongest comes first', () => {
    const slides = offers.map(({ slide }) => slide);
    expect([...slides].sort((a, b) => b - a)).toEqual(slides);
    const away = ({ sentence }: (typeof offers)[number]) => Number(/([\d.]+) m before/.exec(sentence)?.[1]);
    expect(away(offers[0])).toBeLessThan(away(offers[offers.length - 1]));
  });
  it('a camera that stays where it is gets none', () => {
    const still = plainShoot(moved({ kind: 'still', ...AROUND, distanceM: 4, bearingDeg: 180 }), [ansa]);
    expect(nearTheLens(sceneOf(still, still.shots[0]), 'metric', 'near')).toEqual([]);
  });
});
