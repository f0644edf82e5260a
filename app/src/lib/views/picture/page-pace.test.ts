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

const smooth = [16.7, 16.7, 16.6, 16.7];
const missing = [16.7, 33.3, 16.7, 16.6];

it('a page that misses a frame now and then does not wait', () => {
  const over = paceOf();
  for (let picture = 0; picture < 20; picture += 1) {
    expect(over(...smooth)).toBe(false);
    expect(over(...smooth)).toBe(false);
    expect(over(...smooth)).toBe(false);
    expect(over(...missing)).toBe(false);
  }
});

it('a page that misses one of four again and again waits, and is given time to recover once that was told', () => {
  const over = paceOf();
  expect(over(...smooth)).toBe(false);
  const told = Array.from({ length: 12 }, () => over(...missing));
  expect(told).toContain(true);
  expect(told[told.indexOf(true) + 1]).toBe(false);
});

it('a screen that shows fewer a second is not taken for a page that waits', () => {
  const over = paceOf();
  for (let picture = 0; picture < 10; picture += 1) expect(over(33.3, 33.3)).toBe(false);
  expect(Array.from({ length: 10 }, () => over(33.3, 66.6))).toContain(true);
});

it('too few frames tell nothing', () => {
  const over = paceOf();
  expect(over()).toBe(false);
  expect(over(200)).toBe(false);
});
