import { MOST_UNDERLAY_LETTERS, MOST_UNDERLAY_PIXELS } from '@gentle-arc/core/model';

/** A picture that is small enough to be kept with the shoot. */
export interface SmallPicture {
  image: string;
  widthPx: number;
  heightPx: number;
}

/** Longest side that is tried, pixels, from the finest to the coarsest. */
const SIDES = [2000, 1600, 1200, 900, 700, 500];
/** Larger files are not opened at all, MB. */
const MOST_MB = 60;

/**
 * Makes a picture that a person chose small enough to be kept: of at most so many letters. Gives a sentence where it
 * cannot be taken: not a picture, or too large.
 */
export async function smallPicture(file: File, most = MOST_UNDERLAY_LETTERS): Promise<SmallPicture | string> {
  const name = `“${file.name.slice(0, 60)}”`;
  if (file.size > MOST_MB * 1024 * 1024)
    return `${name} has ${Math.round(file.size / 1024 / 1024)} MB; pictures of up to ${MOST_MB} MB are taken.`;
  const pixels = await pixelsOf(file);
  if (pixels === null)
    return `${name} is not a picture that this browser can show; choose a JPEG, PNG or WebP file (a page of a PDF saved as one).`;
  const { width, height } = pixels;
  if (width * height > MOST_UNDERLAY_PIXELS)
    return (
      `${name} has ${Math.round((width * height) / 1e6)} million pixels; up to ${MOST_UNDERLAY_PIXELS / 1e6} million ` +
      'are taken: save it smaller first.'
    );
  for (const side of SIDES) {
    const share = Math.min(1, side / Math.max(width, height));
    const [widthPx, heightPx] = [width, height].map((length) => Math.max(1, Math.round(length * share)));
    const bitmap = await createImageBitmap(file, { resizeWidth: widthPx, resizeHeight: heightPx });
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    const context = canvas.getContext('2d');
    if (!context) return 'This browser cannot make the picture small enough to keep it.';
    // What is clear in a drawing is the paper.
    context.fillStyle = '#fff';
    context.fillRect(0, 0, widthPx, heightPx);
    context.drawImage(bitmap, 0, 0);
    bitmap.close();
    const image = await asAddress(await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.72 }));
    if (image.length <= most) return { image, widthPx, heightPx };
  }
  return `${name} cannot be made small enough to be kept.`;
}

/** How large a picture is, without drawing it; null where it is none. */
async function pixelsOf(file: File): Promise<{ width: number; height: number } | null> {
  const address = URL.createObjectURL(file);
  try {
    const picture = new Image();
    picture.src = address;
    // Decoding tells of a picture that is broken; its size is known before.
    await new Promise((resolve, reject) => {
      picture.onload = resolve;
      picture.onerror = reject;
    });
    return { width: picture.naturalWidth, height: picture.naturalHeight };
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(address);
  }
}

function asAddress(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('The picture could not be read.'));
    reader.readAsDataURL(blob);
  });
}
