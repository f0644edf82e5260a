import { Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { newPiece } from '@gentle-arc/core/model';
import { glassOf } from './glass';

describe('glass in a wall', () => {
  const wall = newPiece('wall', 'wall', 'Wall', 3, 5, 0.5);
  if (wall.kind !== 'wall') throw new Error('no wall');
  const withPane = (pane: 'open' | 'glass', headingDeg = 0) => ({
    ...wall,
    headingDeg,
    openings: [{ offsetM: 1, widthM: 1, heightM: 2, sillM: 0.8, pane }],
  });
  it('stands where its opening is, in the middle of the wall', () => {
    const glass = glassOf(withPane('glass', 90));
    glass?.geometry.computeBoundingBox();
    const { min, max } = glass?.geometry.boundingBox ?? {};
    // Along its heading, which is east here: from half a metre to one and a half beyond its middle.
    expect(min?.distanceTo(new Vector3(3.5, 5, 1.3))).toBeLessThan(1e-5);
    expect(max?.distanceTo(new Vector3(4.5, 5, 2.5))).toBeLessThan(1e-5);
  });
  it('is none where an opening is open, nor in what is no wall', () => {
    expect(glassOf(withPane('open'))).toBeNull();
    expect(glassOf(newPiece('box', 'box', 'Box', 0, 0, 0))).toBeNull();
  });
});
