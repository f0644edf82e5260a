import { afterEach, describe, expect, it, vi } from 'vitest';
import { stubFrames } from '../ui/testing';
import { Turns } from './turns.svelte';

afterEach(() => vi.unstubAllGlobals());

function frames() {
  const { frame } = stubFrames();
  return (count: number) => {
    for (let k = 0; k < count; k += 1) frame(1000 / 60);
  };
}

describe('turns', () => {
  it('what is named stands still in a rush until its turn; all else, and what is set, goes through', () => {
    const whole = { words: 'a', place: 1 };
    let rush = false;
    const turns = new Turns(() => rush);
    const part = turns.of(whole, ['words']);
    whole.words = 'b';
    expect(part.words).toBe('b');
    turns.keep();
    rush = true;
    expect(part.words).toBe('b');
    whole.words = 'c';
    whole.place = 2;
    expect([part.words, part.place]).toEqual(['b', 2]);
    part.place = 3;
    expect(whole.place).toBe(3);
    const go = frames();
    const stop = turns.give();
    // A turn is a tenth of a second after the rush began, not in its first frames.
    go(5);
    expect(part.words).toBe('b');
    go(3);
    expect(part.words).toBe('c');
    whole.words = 'd';
    expect(part.words).toBe('c');
    stop();
    // Nobody looked since: the next rush does not begin with what this one kept.
    expect(part.words).toBe('d');
    // No turn comes any more, and nothing is kept from whoever looks.
    whole.words = 'e';
    go(100);
    expect(part.words).toBe('e');
  });

  it('a second rush begins with what is there then, not with what the first one kept', () => {
    const whole = { words: 'a' };
    let rush = true;
    const turns = new Turns(() => rush);
    const part = turns.of(whole, ['words']);
    turns.keep();
    expect(part.words).toBe('a');
    rush = false;
    whole.words = 'b';
    expect(part.words).toBe('b');
    turns.keep();
    rush = true;
    expect(part.words).toBe('b');
  });

  it('no two parts have their turn in one frame, and each has it as often as it asks', () => {
    const whole = { n: 0 };
    const turns = new Turns(() => true);
    const often = [turns.of(whole, ['n']), turns.of(whole, ['n'])];
    const seldom = turns.of(whole, ['n'], 500);
    const all = [...often, seldom];
    turns.keep();
    const go = frames();
    const stop = turns.give();
    const turnsOf = all.map(() => 0);
    let seen = all.map(({ n }) => n);
    for (let k = 1; k <= 600; k += 1) {
      whole.n = k;
      go(1);
      const now = all.map(({ n }) => n);
      const moved = now.map((n, i) => n !== seen[i]);
      expect(moved.filter(Boolean).length).toBeLessThanOrEqual(1);
      moved.forEach((did, i) => (turnsOf[i] += Number(did)));
      seen = now;
    }
    stop();
    // Ten seconds: ten turns a second as nearly as frames allow, and two.
    for (const count of turnsOf.slice(0, 2)) expect(count).toBeGreaterThanOrEqual(85);
    for (const count of turnsOf.slice(0, 2)) expect(count).toBeLessThanOrEqual(101);
    expect(turnsOf[2]).toBeGreaterThanOrEqual(18);
    expect(turnsOf[2]).toBeLessThanOrEqual(21);
  });
});
