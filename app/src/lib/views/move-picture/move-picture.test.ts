import { describe, expect, it } from 'vitest';
import { MOVE_KINDS } from '@gentle-arc/core/motion';
import { drawingOf } from './move-picture';

describe('the small picture of a move', () => {
  it.each(MOVE_KINDS)('%s stays inside its field', (kind) => {
    const { way, start, shadow, drops, views, subject, walk, cover, focus } = drawingOf(kind);
    for (const [x, y] of [
      ...way,
      start,
      ...shadow,
      ...drops.flat(),
      ...views.flat(),
      subject.foot,
      subject.head,
      ...walk,
      ...cover,
      ...focus,
    ]) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(96);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(64);
    }
  });
  it('no two are drawn alike', () => {
    const seen = MOVE_KINDS.map((kind) => JSON.stringify(drawingOf(kind)));
    const twice = MOVE_KINDS.filter((_, i) => seen.indexOf(seen[i]) !== i);
    expect(twice).toEqual([]);
  });
  it('shows what makes the move: a way, a view that turns, a lean, a walker, something in the way', () => {
    expect(drawingOf('orbit').way.length).toBeGreaterThan(10);
    expect(drawingOf('pan').way).toEqual([]);
    expect(drawingOf('pan').views).toHaveLength(2);
    expect(drawingOf('roll').leans?.[1]).toBeCloseTo(30, 6);
    expect(drawingOf('follow').walk.length).toBeGreaterThan(2);
    expect(drawingOf('slideOutReveal').cover.length).toBe(4);
    expect(drawingOf('rackFocus').focus).toHaveLength(2);
    expect(drawingOf('helix').shadow.length).toBeGreaterThan(10);
  });
});
