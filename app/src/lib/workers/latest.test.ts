import { describe, expect, it } from 'vitest';
import { Latest } from './latest.svelte';

const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

describe('answers to the latest question', () => {
  it('leaves out what was asked and overtaken while it worked', async () => {
    const worked: number[] = [];
    let finish: () => void = () => undefined;
    const latest = new Latest<number, string>((question) => {
      worked.push(question);
      return new Promise((resolve) => (finish = () => resolve(`answer ${question}`)));
    });
    latest.ask(1);
    latest.ask(2);
    latest.ask(3);
    finish();
    await settled();
    expect(latest.answer).toBe('answer 1');
    finish();
    await settled();
    expect(latest.answer).toBe('answer 3');
    expect(worked).toEqual([1, 3]);
  });
  it('says what went wrong, keeps the answer it had, and goes on with the next question', async () => {
    const latest = new Latest<number, number>((question) => (question === 2 ? Promise.reject(new Error('no two')) : Promise.resolve(question)));
    latest.ask(1);
    await settled();
    latest.ask(2);
    await settled();
    expect(latest.answer).toBe(1);
    expect(latest.problem).toBe('no two');
    latest.ask(3);
    await settled();
    expect(latest.answer).toBe(3);
    expect(latest.problem).toBeNull();
  });
});
