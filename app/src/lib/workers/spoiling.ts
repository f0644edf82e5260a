import type { Foretold, GreyFrame } from '@gentle-arc/core/take';

/**
 * Makes pictures of a film of our own worse, as small cameras do: the noise of a small sensor on top, and lines that are
 * read one after the other while the content goes on. The same for the same picture.
 */
export function spoiling(
  { rightwards, upwards }: Foretold,
  { noise, rollingS }: { noise: number; rollingS: number },
): (frame: GreyFrame, index: number) => GreyFrame {
  return (frame, index) => {
    const { widthPx, heightPx } = frame;
    const pixels = new Uint8Array(frame.pixels.length);
    const row = Math.min(index, rightwards.length - 1);
    const [rightPx, downPx] = [rightwards[row] * widthPx, -upwards[row] * widthPx];
    let state = index * 7919 + 17;
    for (let y = 0; y < heightPx; y += 1) {
      // Content has gone on by so much when this line is read.
      const readS = rollingS * (y / heightPx - 0.5);
      for (let x = 0; x < widthPx; x += 1) {
        state = (state * 48271) % 2147483647;
        const grain = 255 * noise * (state / 1073741823.5 - 1);
        pixels[y * widthPx + x] = Math.max(
          0,
          Math.min(255, between(frame, x - rightPx * readS, y - downPx * readS) + grain),
        );
      }
    }
    return { ...frame, pixels };
  };
}

/** The light between pixels, as far as they go. */
function between({ widthPx, heightPx, pixels }: GreyFrame, x: number, y: number): number {
  const [fx, fy] = [Math.min(widthPx - 1.001, Math.max(0, x)), Math.min(heightPx - 1.001, Math.max(0, y))];
  const [k, j] = [Math.floor(fx), Math.floor(fy)];
  const at = j * widthPx + k;
  const upper = pixels[at] + (pixels[at + 1] - pixels[at]) * (fx - k);
  const lower = pixels[at + widthPx] + (pixels[at + widthPx + 1] - pixels[at + widthPx]) * (fx - k);
  return upper + (lower - upper) * (fy - j);
}
