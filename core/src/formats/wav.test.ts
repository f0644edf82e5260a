import { expect, it } from 'vitest';
import { writeWav } from './wav';

it('writes what any player reads: header, rate, length and samples', () => {
  const bytes = writeWav(Float32Array.from([0, 1, -1, 0.5, 3]), 44_100);
  const view = new DataView(bytes.buffer);
  const text = (at: number, count: number) => String.fromCharCode(...bytes.slice(at, at + count));
  expect([text(0, 4), text(8, 8), text(36, 4)]).toEqual(['RIFF', 'WAVEfmt ', 'data']);
  expect([view.getUint32(4, true), view.getUint32(24, true), view.getUint32(40, true)]).toEqual([46, 44_100, 10]);
  expect([0, 1, 2, 3, 4].map((i) => view.getInt16(44 + 2 * i, true))).toEqual([0, 32767, -32767, 16384, 32767]);
});
