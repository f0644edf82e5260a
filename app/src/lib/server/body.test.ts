import { describe, expect, it } from 'vitest';
import { MOST_BYTES, readBody, TooLarge } from './body';

const request = (body: string) => new Request('http://localhost/api/reading', { method: 'POST', body });

describe('the body of a request', () => {
  it('is read whole, letters of many bytes too', async () => {
    expect(await readBody(request('“é”'.repeat(50_000)))).toBe('“é”'.repeat(50_000));
    expect(await readBody(new Request('http://localhost', { method: 'POST' }))).toBe('');
  });
  it('is refused above 5 MB', async () => {
    await expect(readBody(request('x'.repeat(MOST_BYTES + 1)))).rejects.toThrow(TooLarge);
  });
});
