import { describe, expect, it } from 'vitest';
import { type Move, newPiece, type Piece, type Shot } from '../model';
import { filmed } from '../testing/filmed';
import { AROUND, HELD_STILL } from '../testing/shoots';
import { edgeMarks } from './edge-marks';

const figure = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
const pole = (id: string, name: string, xM: number): Piece => ({ ...newPiece('post', id, name, xM, 0, 0), heightM: 3 });
/** From 6 m to the south with 36 mm on a 36 mm wide frame the plane of the subject is 6 m wide. */
const still: Move = { kind: 'still', ...AROUND, heightM: 1.2, distanceM: 6, bearingDeg: 180 };
const marks = (move: Move, pieces: Piece[], more: Partial<Shot> = {}) => {
  const { scene, samples } = filmed(move, { ...HELD_STILL, ...more }, false, pieces);
  return edgeMarks(scene, samples, 'metric');
};

describe('edge marks', () => {
  it('name what each edge cuts, and what stands just inside it', () => {
    const found = marks(still, [figure, pole('w', 'West pole', -3), pole('e', 'East pole', 2.7)]);
    const start = found.filter(({ when }) => when === 'start').map(({ sentence }) => sentence);
    expect(start[0]).toBe('The left edge cuts West pole.');
    expect(start[1]).toMatch(/^East pole stands [345]% of the width inside the right edge\.$/);
  });
  it('tell of a long piece where it is cut', () => {
    const wall: Piece = {
      ...newPiece('box', 'wall', 'Wall', 0, 0.5, 0),
      lengthM: 10,
      depthM: 0.4,
      headingDeg: 90,
      heightM: 3,
    };
    const [left, right] = marks(still, [wall]);
    // Its front is 6.3 m away, where the frame is 6.3 m wide: 1.85 m of each end lie outside.
    expect(left.sentence).toMatch(/^The left edge cuts Wall, 1\.[89]\d? m from its left end\.$/);
    expect(right.sentence).toMatch(/^The right edge cuts Wall, 1\.[89]\d? m from its right end\.$/);
  });
  it('say which of the marks at the end can be seen coming: that on the side things leave by', () => {
    const both = [figure, pole('w', 'West pole', -3), pole('e', 'East pole', 3)];
    // A slide of 1 m that ends where the poles stand at the edges: to the right, things go out to the left.
    const slide = (travelM: number): Move => ({
      kind: 'slide',
      ...AROUND,
      heightM: 1.2,
      distanceM: 6,
      bearingDeg: 180,
      travelM,
      skewDeg: 0,
    });
    const ends = (travelM: number) =>
      both.map((piece) => (piece.kind === 'post' ? { ...piece, xM: piece.xM + travelM / 2 } : piece));
    const coming = (travelM: number) =>
      marks(slide(travelM), ends(travelM))
        .filter(({ trailing }) => trailing)
        .map(({ when, edge }) => [when, edge]);
    expect(coming(1)).toEqual([['end', 'left']]);
    expect(coming(-1)).toEqual([['end', 'right']]);
    expect(marks(still, both).some(({ trailing }) => trailing)).toBe(false);
  });
  it('are none where nothing stands near an edge', () => {
    expect(marks(still, [figure])).toEqual([]);
    expect(marks(still, [])).toEqual([]);
  });
  it('differ between start and end of a move: a slide of 1 m loses what stood at the edge', () => {
    const slide: Move = {
      kind: 'slide',
      ...AROUND,
      heightM: 1.2,
      distanceM: 6,
      bearingDeg: 180,
      travelM: 1,
      skewDeg: 0,
    };
    const found = marks(slide, [figure, pole('w', 'West pole', -3.45)]);
    expect(new Set(found.map(({ when }) => when)).size).toBe(1);
  });
});
