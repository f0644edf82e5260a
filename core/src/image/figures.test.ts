import { plannedFilm } from '../motion';
import { describe, expect, it } from 'vitest';
import { type Move, newPiece, type Piece, type Shot } from '../model';
import { readFigures } from '../reading';
import { filmed, usual } from '../testing/filmed';
import { AROUND, HELD_STILL, plainPieces } from '../testing/shoots';
import { measurePicture } from './picture';

const TIMING = {
  durationS: 10,
  holdStartS: 0,
  featherInS: 0,
  featherOutS: 0,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
function figures(move: Move, more: Partial<Shot> = {}, pieces: Piece[] = plainPieces()) {
  const { scene } = filmed(move, { timing: TIMING, ...more }, false, pieces);
  return readFigures(measurePicture(plannedFilm(scene), 'metric'));
}
const layer = (name: 'near' | 'subject' | 'far', ...given: Parameters<typeof figures>) =>
  figures(...given).layers.find((row) => row.layer === name);

describe('the figures of a layer', () => {
  it('blur is speed times exposure, in pixels and as a share; crossing is one over speed', () => {
    const far = layer('far', { ...usual('pan'), fromDeg: -20, toDeg: 20 });
    if (!far) throw new Error('nothing far');
    expect(far.blurShare).toBeCloseTo(far.speed / 48, 12);
    expect(far.blurPx).toBeCloseTo((far.speed / 48) * 3840, 9);
    expect(far.crossingS).toBeCloseTo(1 / far.speed, 9);
  });
  it('a pan slides all layers alike: a post at the subject’s side by about the angle it turns through', () => {
    // 36 mm on 36 mm: 20° about the axis are 2 tan 10° = 0.353 of the width.
    const subject = layer('subject', { ...usual('pan'), fromDeg: -10, toDeg: 10 }, HELD_STILL);
    expect(subject?.slide).toBeCloseTo(2 * Math.tan((10 * Math.PI) / 180), 2);
  });
  it('the subject grows by the ratio of its distances in a push, and not at all in an arc', () => {
    expect(
      layer('subject', { kind: 'push', ...AROUND, heightM: 0.85, fromDistanceM: 6, toDistanceM: 3, bearingDeg: 180 })
        ?.growth,
    ).toBeCloseTo(2, 2);
    expect(layer('subject', usual('arc'))?.growth).toBeCloseTo(1, 9);
  });
  it('a layer that is never in the picture is left out', () => {
    expect(
      figures({ kind: 'still', ...AROUND, distanceM: 3, bearingDeg: 0 }, {}, [
        newPiece('figure', 'figure', 'Ansa', 0, 0, 0),
      ]).layers.map((row) => row.layer),
    ).toContain('subject');
    expect(
      figures({ kind: 'still', ...AROUND, distanceM: 3, bearingDeg: 180 }, { subjectId: null }).layers.map(
        (row) => row.layer,
      ),
    ).not.toContain('subject');
  });
});

describe('pinned pieces', () => {
  const slide: Move = { kind: 'slide', ...AROUND, heightM: 1.2, distanceM: 6, bearingDeg: 180, travelM: 1, skewDeg: 0 };
  /** A lone pole beside the subject, at its depth, so high that it towers over the ground's points. */
  const pole = (given: Piece['layer']): Piece => ({
    ...newPiece('post', 'pole', 'Pole', 1.2, 0, 0),
    layer: given,
    heightM: 3,
  });
  const figure = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
  const points = (given: Piece['layer'], name: 'near' | 'far') => {
    const { scene } = filmed(slide, {}, false, [figure, pole(given)]);
    return measurePicture(plannedFilm(scene), 'metric').site[name].points[0];
  };
  it('count where they are pinned, whatever their distance', () => {
    expect(points('near', 'near')).toBeGreaterThan(points('auto', 'near'));
    expect(points('far', 'far')).toBeGreaterThan(points('auto', 'far'));
    expect(points('subject', 'near')).toBe(points('auto', 'near'));
  });
});

describe('what is hidden', () => {
  it('does not count: behind a wall across the whole picture nothing is far', () => {
    const wall: Piece = {
      ...newPiece('box', 'wall', 'Wall', 0, 3, 0),
      lengthM: 60,
      depthM: 0.4,
      headingDeg: 90,
      heightM: 30,
    };
    const tree = newPiece('tree', 'tree', 'Tree', 0, 40, 0);
    const figure = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
    const slide: Move = {
      kind: 'slide',
      ...AROUND,
      heightM: 1.2,
      distanceM: 6,
      bearingDeg: 180,
      travelM: 1,
      skewDeg: 0,
    };
    const far = (pieces: Piece[]) => layer('far', slide, {}, pieces)?.slide ?? 0;
    const [open, closed] = [far([figure, tree]), far([figure, tree, wall])];
    // The wall itself is far (9 m against 6 m); what lies behind it slid farther.
    expect(closed).toBeLessThan(open);
    const { pieces } = figures(slide, {}, [figure, tree, wall]);
    expect(pieces.map(({ pieceId }) => pieceId)).not.toContain('tree');
    expect(pieces[0]).toMatchObject({ pieceId: 'wall' });
    expect(pieces[0].largestShare).toBeGreaterThan(0.4);
  });
});
