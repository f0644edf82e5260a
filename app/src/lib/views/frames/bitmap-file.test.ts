import { describe, expect, it } from 'vitest';
import { bitmapFile } from './bitmap-file';

describe('frames as an uncompressed picture', () => {
  // Two frames of 3 × 2, one above the other; as it is read from below: red tells the frame, green the row from the top,
  // blue the column.
  const [wide, high, count] = [3, 2, 2];
  const pixels = Uint8Array.from(
    Array.from({ length: high * count }, (_, y) => high * count - 1 - y).flatMap((line) =>
      Array.from({ length: wide }, (_, x) => [100 + Math.floor(line / high), 10 + (line % high), 20 + x, 255]).flat(),
    ),
  );
  const file = bitmapFile(pixels, wide, high, count);
  const view = new DataView(file.buffer);
  it('says its size, in rows that begin at every fourth byte', () => {
    expect(String.fromCharCode(file[0], file[1])).toBe('BM');
    expect([view.getInt32(18, true), view.getInt32(22, true), view.getUint16(28, true)]).toEqual([6, 2, 24]);
    expect(file.length).toBe(view.getUint32(10, true) + 2 * 20);
    expect(view.getUint32(2, true)).toBe(file.length);
  });
  it('has the first frame at the left and the uppermost row last', () => {
    const at = (x: number, lineFromTop: number) => {
      const from = view.getUint32(10, true) + (high - 1 - lineFromTop) * 20 + 3 * x;
      return [file[from + 2], file[from + 1], file[from]];
    };
    for (let line = 0; line < high; line += 1)
      for (let x = 0; x < wide * count; x += 1)
        expect(at(x, line)).toEqual([100 + Math.floor(x / wide), 10 + line, 20 + (x % wide)]);
  });
});
