import { describe, expect, it } from 'vitest';
import { newPiece, type Piece } from '../../model';
import { plannedFilm } from '../../motion';
import { AROUND, moved, plainSetup } from '../../testing/shoots';
import { lookFor } from './look-for';

const ansa = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
const still = (distanceM = 4, bearingDeg = 180, asideM = 0) =>
  moved({ kind: 'still', ...AROUND, pivotEastM: asideM, distanceM, bearingDeg }, { focalLengthMm: 24 });
function found(pieces: Piece[], camera = still()) {
  const scene = plainSetup(camera, [ansa, ...pieces]);
  return Object.fromEntries(lookFor(plannedFilm(scene), 0, 'metric').map((row) => [row.id, row]));
}
const post = (id: string, x: number, y: number): Piece => newPiece('post', id, id, x, y, 0);
const long = (id: string, x: number, y: number, headingDeg: number, lengthM: number): Piece => ({
  ...newPiece('hedge', id, id, x, y, 0),
  lengthM,
  depthM: 0.4,
  heightM: 0.4,
  headingDeg,
});

describe('what a place offers from here', () => {
  it('counts layers, names what is near, and says when nothing is', () => {
    const three = found([post('Post', -0.5, -2.5), { ...newPiece('box', 'b', 'Barn', 0, 20, 0), lengthM: 30 }]);
    expect(three.layers.sentence).toMatch(/^Three layers from here: near Post \(1\.\d+ m\); with the subject Ansa/);
    expect(three.layers.tells).toBe('good');
    expect(found([]).layers.sentence).toContain('Nothing stands near or far');
  });
  it('a post behind the head grows out of it; a wide wall, or a post aside, does not', () => {
    const grows = found([post('Mast', 0, 2)]);
    expect(grows.behind.sentence).toMatch(/^Behind the head of Ansa is Mast, 1\.[89]\d m farther away/);
    expect(grows.behind.tells).toBe('mind');
    expect(
      found([{ ...newPiece('box', 'w', 'Wall', 0, 2, 0), lengthM: 12, headingDeg: 90, heightM: 4 }]).behind.tells,
    ).toBe('plain');
    expect(found([post('Mast', 1.5, 2)]).behind.sentence).toContain('open ground or sky');
  });
  it('says how far the background is beside the subject', () => {
    const wall = (y: number) => ({
      ...newPiece('box', 'w', 'Wall', 0, y, 0),
      lengthM: 60,
      depthM: 0.2,
      headingDeg: 90,
      heightM: 9,
    });
    expect(found([wall(1)]).background).toMatchObject({ tells: 'mind' });
    expect(found([wall(8)]).background.sentence).toMatch(/^The background is (2\.9|3)\d* times as far/);
  });
  it('rows that run towards the subject lead to it; one across the picture does not', () => {
    const lane = [long('Left row', -1.2, -0.5, 0, 5), long('Right row', 1.2, -0.5, 0, 5)];
    const toHer = found([long('Wedge', -0.75, -1.5, 28, 3), long('Across', 0, 6, 90, 8)]);
    expect(toHer.lines.sentence).toBe('Wedge leads the eye to Ansa.');
    expect(found(lane).lines?.pieceIds ?? []).not.toContain('Across');
    expect(found([long('Across', 0, 6, 90, 8)]).lines).toBeUndefined();
  });
  it('sees pairs that mirror each other, and how far off their axis the camera is', () => {
    const pairs = [post('a', -1.8, 1), post('b', 1.8, 1), post('c', -1.8, 3), post('d', 1.8, 3)];
    expect(found(pairs).symmetry).toMatchObject({
      tells: 'good',
      pieceIds: expect.arrayContaining(['a', 'b', 'c', 'd']) as string[],
    });
    // A metre to the right of the axis, turned to her: 14° to the left of north.
    expect(found(pairs, still(4, 180, 1)).symmetry.sentence).toContain('1 m to the left, turned 14° to the right');
    expect(found([post('a', -1, 1), post('b', 1.4, 2)]).symmetry).toBeUndefined();
  });
  it('measures the room behind and beside the camera and warns where nobody can work', () => {
    const wall = { ...newPiece('box', 'w', 'Wall', 0, -6, 0), lengthM: 20, depthM: 0.2, headingDeg: 90, heightM: 3 };
    expect(found([wall]).room).toMatchObject({
      tells: 'plain',
      sentence: 'Room at the camera: 1.6 m behind to Wall.',
    });
    expect(found([{ ...wall, yM: -5 }]).room.sentence).toContain(
      'Whoever works there wants 0.8 m: behind it is tight.',
    );
    expect(found([]).room.tells).toBe('good');
  });
  it('looks whether a circle at this distance is free, and at what distance it is', () => {
    expect(found([]).circle.sentence).toBe('A full circle 4 m around Ansa is free at head height.');
    const blocked = found([{ ...newPiece('box', 'w', 'Shed', 4, 0, 0), lengthM: 2, depthM: 2 }]);
    expect(blocked.circle.sentence).toMatch(/is not free: Shed stands in about \d+° of it; at 2\.4 m it is\.$/);
  });
});
