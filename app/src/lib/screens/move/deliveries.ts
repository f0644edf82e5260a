import type { Raster } from '@gentle-arc/core/model';

/** Delivered shapes: ITU-R BT.2020 and BT.709 rasters, DCI specification, and common upright and square ones. */
const SHAPES: (Raster & { name: string })[] = [
  { name: 'wide 16:9', widthPx: 3840, heightPx: 2160 },
  { name: 'wide 1.85:1', widthPx: 3996, heightPx: 2160 },
  { name: 'wide 2.39:1', widthPx: 4096, heightPx: 1716 },
  { name: 'square', widthPx: 2160, heightPx: 2160 },
  { name: 'upright 9:16', widthPx: 2160, heightPx: 3840 },
];

export const deliveryKey = ({ widthPx, heightPx }: Raster): string => `${widthPx} × ${heightPx}`;

/** The shapes to choose from: the usual ones, and the given one when it is another. */
export function choicesOf(given: Raster): (Raster & { name: string })[] {
  return SHAPES.some((row) => deliveryKey(row) === deliveryKey(given))
    ? SHAPES
    : [{ ...given, name: deliveryKey(given) }, ...SHAPES];
}
