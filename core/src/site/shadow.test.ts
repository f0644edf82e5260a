import { describe, expect, it } from 'vitest';
import { newPiece } from '../model';
import { shadowOf } from './shadow';

const post = { ...newPiece('post', 'p', 'Post', 3, 4, 0), heightM: 2, lengthM: 0.2, depthM: 0.2 };

describe('a shadow on the ground', () => {
  it('is as long as the thing under a sun 45° high, and lies away from it', () => {
    const outline = shadowOf(post, { altitudeDeg: 45, azimuthDeg: 90 }) ?? [];
    expect(Math.min(...outline.map(([x]) => x))).toBeCloseTo(3 - 2 - 0.1, 6);
    expect(Math.max(...outline.map(([x]) => x))).toBeCloseTo(3.1, 6);
    expect(Math.max(...outline.map(([, y]) => y))).toBeCloseTo(4.1, 6);
  });
  it('turns with the thing: a wall along the sun casts a strip, across it a field', () => {
    const wall = (headingDeg: number) => ({
      ...newPiece('box', 'w', 'W', 0, 0, 0),
      lengthM: 6,
      depthM: 0.2,
      heightM: 2,
      headingDeg,
    });
    const widthOf = (headingDeg: number) => {
      const ys = (shadowOf(wall(headingDeg), { altitudeDeg: 45, azimuthDeg: 90 }) ?? []).map(([, y]) => y);
      return Math.max(...ys) - Math.min(...ys);
    };
    expect(widthOf(0)).toBeCloseTo(6, 6);
    expect(widthOf(90)).toBeCloseTo(0.2, 6);
  });
  it('is none at night, and has an end at sunrise', () => {
    expect(shadowOf(post, { altitudeDeg: -1, azimuthDeg: 90 })).toBeNull();
    const low = shadowOf(post, { altitudeDeg: 0.51, azimuthDeg: 270 }) ?? [];
    expect(Math.max(...low.map(([x]) => x))).toBeLessThan(3.2 + 225);
  });
});
