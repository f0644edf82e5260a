/** A picture of a clip in grey, small enough to be followed: row after row from the top left. */
export interface GreyFrame {
  widthPx: number;
  heightPx: number;
  pixels: Uint8Array;
  /** How wide it was before. */
  fullWidthPx: number;
}

/** Wider pictures are made smaller by whole steps: motion is found to a small part of a pixel all the same. */
export const MOST_WIDTH_PX = 480;
/** About each place a window so wide and high is followed. */
export const WINDOW_PX = 13;

const stepsOf = (widthPx: number) => Math.max(1, Math.ceil(widthPx / MOST_WIDTH_PX));

/** How wide a clip is when it is followed. */
export const followedWidthPx = (clipWidthPx: number): number => Math.floor(clipWidthPx / stepsOf(clipWidthPx));

/** How wide a clip is drawn where it cannot be read as it is: twice as wide as it is followed, or as it is. */
export const drawnWidthPx = (clipWidthPx: number): number =>
  stepsOf(clipWidthPx) === 1 ? clipWidthPx : Math.max(MOST_WIDTH_PX + 1, 2 * followedWidthPx(clipWidthPx));

/**
 * A picture with one, three or four bytes a pixel in grey (luma of ITU-R BT.709), averaged over blocks of whole pixels
 * until it is at most `MOST_WIDTH_PX` wide.
 */
export function greyOf(pixels: ArrayLike<number>, widthPx: number, heightPx: number, channels: number): GreyFrame {
  const step = stepsOf(widthPx);
  const [width, height] = [Math.floor(widthPx / step), Math.floor(heightPx / step)];
  const out = new Uint8Array(width * height);
  const colours = channels >= 3;
  const per = 1 / (step * step);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      let sum = 0;
      for (let dy = 0; dy < step; dy += 1) {
        let at = ((y * step + dy) * widthPx + x * step) * channels;
        for (let dx = 0; dx < step; dx += 1, at += channels)
          sum += colours ? 0.2126 * pixels[at] + 0.7152 * pixels[at + 1] + 0.0722 * pixels[at + 2] : pixels[at];
      }
      out[y * width + x] = sum * per + 0.5;
    }
  return { widthPx: width, heightPx: height, pixels: out, fullWidthPx: widthPx };
}

/** The luma of a video’s picture as it is written, row after row from the top left. */
export interface Luma {
  pixels: Uint8Array;
  /** From the beginning of one row to the next. */
  strideBytes: number;
  widthPx: number;
  heightPx: number;
  /** Black is 0 and white 255; else 16 and 235 (ITU-R BT.709). */
  fullRange: boolean;
}

/** The same of luma as it is written in a video: nothing has to be drawn for that. */
export function greyOfLuma({ pixels, strideBytes, widthPx, heightPx, fullRange }: Luma): GreyFrame {
  const step = stepsOf(widthPx);
  const [width, height] = [Math.floor(widthPx / step), Math.floor(heightPx / step)];
  const out = new Uint8ClampedArray(width * height);
  const [black, per] = fullRange ? [0, 1 / step ** 2] : [16, 255 / 219 / step ** 2];
  const sums = new Uint32Array(width);
  for (let y = 0; y < height; y += 1) {
    sums.fill(0);
    for (let dy = 0; dy < step; dy += 1) {
      let at = (y * step + dy) * strideBytes;
      for (let x = 0; x < width; x += 1) for (let dx = 0; dx < step; dx += 1, at += 1) sums[x] += pixels[at];
    }
    for (let x = 0; x < width; x += 1) out[y * width + x] = (sums[x] - black * step ** 2) * per;
  }
  return { widthPx: width, heightPx: height, pixels: new Uint8Array(out.buffer), fullWidthPx: widthPx };
}

/** Light and fineness of a picture: mean of 0 to 1, and the mean step between neighbours. */
export function lookOf({ pixels, widthPx, heightPx }: GreyFrame): { brightness: number; detail: number } {
  let [sum, steps] = [0, 0];
  for (let y = 0; y < heightPx; y += 1)
    for (let x = 0; x < widthPx; x += 1) {
      const at = y * widthPx + x;
      sum += pixels[at];
      if (x + 1 < widthPx) steps += Math.abs(pixels[at + 1] - pixels[at]);
      if (y + 1 < heightPx) steps += Math.abs(pixels[at + widthPx] - pixels[at]);
    }
  const count = pixels.length;
  return { brightness: sum / count / 255, detail: steps / (2 * count) / 255 };
}

/** How much two pictures differ, a pixel on average, of 0 to 1. */
export function differenceOf(a: GreyFrame, b: GreyFrame): number {
  let sum = 0;
  for (let i = 0; i < a.pixels.length; i += 1) sum += Math.abs(a.pixels[i] - b.pixels[i]);
  return sum / a.pixels.length / 255;
}
