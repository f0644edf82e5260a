import { afterEach, describe, expect, it, vi } from 'vitest';
import { Latest } from './latest.svelte';

const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

describe('answers to the latest question', () => {
  it('leaves out what was asked and overtaken while it worked', async () => {
    const worked: number[] = [];
    let finish: () => void = () => undefined;
    const latest = new Latest<{ n: number }, string>(({ n: question }) => {
      worked.push(question);
      return new Promise((resolve) => (finish = () => resolve(`answer ${question}`)));
    });
    void latest.ask({ n: 1 });
    void latest.ask({ n: 2 });
    void latest.ask({ n: 3 });
    finish();
    await settled();
    expect(latest.answer).toBe('answer 1');
    finish();
    await settled();
    expect(latest.answer).toBe('answer 3');
    expect(worked).toEqual([1, 3]);
  });
  it('says what went wrong, keeps the answer it had, and goes on with the next question', async () => {
    const latest = new Latest<{ n: number }, number>(({ n: question }) =>
      question === 2 ? Promise.reject(new Error('no two')) : Promise.resolve(question),
    );
    void latest.ask({ n: 1 });
    await settled();
    void latest.ask({ n: 2 });
    await settled();
    expect(latest.answer).toBe(1);
    expect(latest.problem).toBe('no two');
    void latest.ask({ n: 3 });
    await settled();
    expect(latest.answer).toBe(3);
    expect(latest.problem).toBeNull();
  });
  it('a worker that dies under a question is asked once more, and no question waits for ever', async () => {
    const gone = Object.assign(new Error('The reading stopped.'), { name: 'WorkerGone' });
    const asked: number[] = [];
    const latest = new Latest<{ n: number }, number>(({ n }) => {
      asked.push(n);
      return n === 1 && asked.length === 1 ? Promise.reject(gone) : n === 2 ? Promise.reject(gone) : Promise.resolve(n);
    });
    expect(await latest.ask({ n: 1 })).toBe(true);
    expect(asked).toEqual([1, 1]);
    expect(await latest.ask({ n: 2 })).toBe(false);
    expect(latest.problem).toBe('The reading stopped.');
    expect(await latest.ask({ n: 3 })).toBe(true);
    expect(latest.answer).toBe(3);
    expect(latest.problem).toBeNull();
  });
  it('tells those that were overtaken that they are not answered, and knows what its answer answers', async () => {
    const latest = new Latest<{ n: number }, number>(({ n }) => Promise.resolve(n));
    const told = await Promise.all([latest.ask({ n: 1 }), latest.ask({ n: 2 }), latest.ask({ n: 3 })]);
    expect(told).toEqual([true, false, true]);
    expect(latest.question).toEqual({ n: 3 });
  });
});

describe('while questions keep coming', () => {
  afterEach(() => {
    vi.useRealTimers();
  });
  it('most of the time is left to the hand that asks, and the last question is answered all the same', async () => {
    vi.useFakeTimers();
    let workedMs = 0;
    const latest = new Latest<{ n: number }, number>(async ({ n }) => {
      await new Promise((resolve) => setTimeout(resolve, 20));
      workedMs += 20;
      return n;
    });
    void latest.ask({ n: 0 });
    await vi.advanceTimersByTimeAsync(20);
    expect(latest.answer).toBe(0);
    workedMs = 0;
    for (let n = 1; n <= 60; n += 1) {
      void latest.ask({ n });
      await vi.advanceTimersByTimeAsync(16);
    }
    expect(workedMs).toBeLessThanOrEqual(0.2 * 60 * 16);
    // Once the hand holds still it is soon answered.
    await vi.advanceTimersByTimeAsync(115);
    expect(latest.answer).toBe(60);
  });
});
