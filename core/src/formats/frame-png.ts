import { decode } from 'fast-png';
import { type GreyFrame, greyOf } from '../take';
import { Refusal } from './refusal';

const MOST_PIXELS = 50_000_000;

/** One picture of a clip from a PNG, in grey. Throws a `Refusal` that names the file. */
export function readFramePng(bytes: Uint8Array, name: string): GreyFrame {
  let image: ReturnType<typeof decode>;
  try {
    image = decode(bytes);
  } catch {
    throw Refusal.of(name, `${name} is no PNG that can be read; export the clip’s frames as PNG again.`);
  }
  const { width, height, channels, depth, data, palette } = image;
  if (width * height > MOST_PIXELS)
    throw Refusal.of(name, `${name} has more than ${MOST_PIXELS / 1e6} million pixels.`);
  if (width < 32 || height < 32) throw Refusal.of(name, `${name} is smaller than 32 × 32 pixels.`);
  if (palette && depth === 8)
    return greyOf(
      Float32Array.from({ length: width * height * 3 }, (_, i) => palette[data[Math.floor(i / 3)]][i % 3]),
      width,
      height,
      3,
    );
  if (depth !== 8 && depth !== 16)
    throw Refusal.of(name, `${name} has ${depth} bits a channel; export it with 8 or 16.`);
  const pixels = depth === 16 ? Float32Array.from(data, (v) => v / 257) : data;
  // Grey with alpha has two.
  const colours = channels === 2 ? Float32Array.from({ length: width * height }, (_, i) => pixels[2 * i]) : pixels;
  return greyOf(colours, width, height, channels === 2 ? 1 : channels);
}
