import { describe, expect, it } from 'vitest';
import { heardOut } from './heard-out';

describe('work that tells how far it is', () => {
  it('answers when the last that was told was heard, however late that is', async () => {
    const heard: string[] = [];
    const late = async (share: number) => {
      await new Promise((resolve) => setTimeout(resolve, 20));
      heard.push(`${share} of 2`);
    };
    const answer = heardOut(late, async (tell) => {
      tell(1);
      tell(2);
      return 'done';
    });
    expect(await answer.then((said) => [...heard, said])).toEqual(['1 of 2', '2 of 2', 'done']);
  });

  it('answers at once where nothing was told', async () => {
    expect(
      await heardOut(
        () => 1,
        async () => 7,
      ),
    ).toBe(7);
  });

  it('says what went wrong with who listens', async () => {
    const broken = () => Promise.reject(new Error('nobody there'));
    const answer = heardOut(broken, async (tell) => {
      tell();
    });
    await expect(answer).rejects.toThrow('nobody there');
  });
});
