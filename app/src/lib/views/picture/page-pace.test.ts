import { afterEach, expect, it, vi } from 'vitest';
import { stubFrames } from '$lib/ui/testing';
import { PagePace } from './page-pace';

afterEach(() => vi.unstubAllGlobals());

/** A page whose frames come so far apart, ms: whether it waits. */
function paceOf() {
  const { frame, asked } = stubFrames();
  const pace = new PagePace();
  return (...apartMs: number[]) => {
    pace.begin();
    frame(0);
    for (const ms of apartMs) frame(ms);
    const waits = pace.end();
    expect(asked()).toBe(false);
    return waits;
  };
}

it('a page of sixty frames a second does not wait, one that misses one of four does', () => {
  const over = paceOf();
  expect(over(16.7, 16.7, 16.6, 16.7)).toBe(false);
  expect(over(16.7, 33.3, 16.7)).toBe(true);
  expect(over(16.7, 16.7, 17.2, 16.7)).toBe(false);
});

it('a screen that shows fewer a second is not taken for a page that waits', () => {
  const over = paceOf();
  expect(over(33.3, 33.3)).toBe(false);
  expect(over(33.3, 33.3)).toBe(false);
  expect(over(33.3, 66.6)).toBe(true);
});

it('too few frames tell nothing', () => {
  const over = paceOf();
  expect(over()).toBe(false);
  expect(over(200)).toBe(false);
});
