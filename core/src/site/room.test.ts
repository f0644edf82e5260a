import { describe, expect, it } from 'vitest';
import { newPiece } from '../model';
import { roomM } from './room';

const wall = { ...newPiece('box', 'wall', 'Wall', 0, -10, 0), lengthM: 8, depthM: 1, heightM: 3, headingDeg: 90 };
const terrace = { ...newPiece('slab', 'slab', 'Terrace', 0, -4, 0), lengthM: 6, depthM: 6, heightM: 0.2 };

describe('room to back away', () => {
  it('ends a body’s width before what stands in the way, and tells what it is', () => {
    const { roomM: room, piece } = roomM([wall, terrace], { xM: 0, yM: -3 }, 180, 0);
    expect(piece?.name).toBe('Wall');
    expect(room).toBeCloseTo(10 - 0.5 - 3 - 0.4, 0);
  });
  it('is as much as was looked for in the open, and none inside something', () => {
    expect(roomM([wall], { xM: 0, yM: -3 }, 0, 0, 30)).toEqual({ roomM: 30, piece: null });
    expect(roomM([wall], { xM: 0, yM: -10 }, 0, 0).roomM).toBe(0);
  });
});
