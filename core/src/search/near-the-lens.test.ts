import { describe, expect, it } from 'vitest';
import { readShot } from '../reading';
import { sceneOf } from '../scene';
import { withPieces } from '../edit/pieces';
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
  it('each offer, put there, is seen in the reading as a near layer, and the subject stays in sight at both ends', () => {
    expect(offers.length).toBeGreaterThan(2);
    expect(readShot(shoot, shoot.shots[0]).findings.some(({ id }) => id === 'parallax')).toBe(true);
    for (const { piece, sentence } of offers) {
      const with_ = withPieces(shoot, [...shoot.site.pieces, piece]);
      const { findings } = readShot(with_, with_.shots[0]);
      expect(
        findings.some(({ id }) => id === 'opening.covered' || id === 'closing.covered'),
        sentence,
      ).toBe(false);
      expect(
        findings.filter(({ id, grade }) => id.startsWith('rig.clear') && grade === 'cannot'),
        sentence,
      ).toEqual([]);
    }
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
