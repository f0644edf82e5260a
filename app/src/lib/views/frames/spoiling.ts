import type { Foretold } from '@gentle-arc/core/take';

/** A picture in red, green, blue and opacity, row after row from the top left. */
export interface Picture {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/**
 * Makes pictures of a film of our own worse before they are compressed, as small cameras do: lines that are read one
 * after the other while the content goes on, and the noise of a small sensor in every pixel (`noise`, up to so much of
 * full white up or down). The same for the same picture.
 */
export function spoiling(
  { rightwards, upwards }: Pick<Foretold, 'rightwards' | 'upwards'>,
  { noise, rollingS }: { noise: number; rollingS: number },
): (picture: Picture, index: number) => void {
  return (picture, index) => {
    const { width, height, data } = picture;
    const clean = data.slice();
    const row = Math.min(index, rightwards.length - 1);
    const [rightPx, downPx] = [rightwards[row] * width, -upwards[row] * width];
    let state = index * 7919 + 17;
    for (let y = 0; y < height; y += 1) {
      // Content has gone on by so much when this line is read.
      const readS = rollingS * (y / height - 0.5);
      for (let x = 0; x < width; x += 1) {
        state = (state * 48271) % 2147483647;
        const grain = 255 * noise * (state / 1073741823.5 - 1);
        const at = 4 * (y * width + x);
        for (let channel = 0; channel < 3; channel += 1)
          data[at + channel] = between(clean, width, height, x - rightPx * readS, y - downPx * readS, channel) + grain;
      }
    }
  };
}

/** The light between pixels, as far as they go. */
function between(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  x: number,
  y: number,
  channel: number,
): number {
  const fx = Math.min(width - 1.001, Math.max(0, x));
  const fy = Math.min(height - 1.001, Math.max(0, y));
  const [k, j] = [Math.floor(fx), Math.floor(fy)];
  const at = 4 * (j * width + k) + channel;
  const below = at + 4 * width;
  const upper = pixels[at] + (pixels[at + 4] - pixels[at]) * (fx - k);
  const lower = pixels[below] + (pixels[below + 4] - pixels[below]) * (fx - k);
  return upper + (lower - upper) * (fy - j);
}
