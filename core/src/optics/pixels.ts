import type { Camera, Delivery, Raster } from '../model';

/**
 * One step from what is recorded to what is delivered: the part of the recording that is left, in its pixels, centred.
 */
export interface PixelStep {
  what: 'recorded' | 'shape' | 'stabilising' | 'zoom' | 'alsoShape';
  widthPx: number;
  heightPx: number;
}

/** What is taken away between recording and delivery. */
export interface PixelCuts {
  /** Share of the width kept back for stabilising afterwards, 0.05 for 5%. */
  stabilisingShare: number;
  /** Largest digital enlargement of the shot, 1 for none. */
  enlargement: number;
}

/** Aspect of a picture with black bars over a share of its height at top and bottom each. */
export function aspectAfterBars(aspect: number, barShare: number): number {
  return aspect / (1 - 2 * barShare);
}

/** Width over height of the second shape that a shoot may be cut to. */
const ALSO_ASPECTS = { upright: 9 / 16, square: 1, wide: 16 / 9 } as const;

/**
 * The recording narrowed step by step, and how many pixels are left for each delivered one across: below 1 the picture
 * is softened.
 */
export function pixelChain(
  camera: Camera,
  delivery: Delivery,
  { stabilisingShare, enlargement }: PixelCuts,
): { steps: PixelStep[]; perDelivered: number; alsoPerDelivered: number | null } {
  const recorded: PixelStep = { what: 'recorded', widthPx: camera.pictureWidthPx, heightPx: camera.pictureHeightPx };
  const shape: PixelStep = { what: 'shape', ...cutTo(recorded, delivery.widthPx / delivery.heightPx) };
  const steps = [recorded, shape];
  const scaled = (what: PixelStep['what'], from: PixelStep, share: number): PixelStep => ({
    what,
    widthPx: from.widthPx * share,
    heightPx: from.heightPx * share,
  });
  if (stabilisingShare > 0) steps.push(scaled('stabilising', steps[steps.length - 1], 1 - stabilisingShare));
  if (enlargement > 1) steps.push(scaled('zoom', steps[steps.length - 1], 1 / enlargement));
  const left = steps[steps.length - 1];
  if (delivery.alsoShape === 'none')
    return { steps, perDelivered: left.widthPx / delivery.widthPx, alsoPerDelivered: null };
  const also: PixelStep = { what: 'alsoShape', ...cutTo(left, ALSO_ASPECTS[delivery.alsoShape]) };
  // The second shape is delivered with as many lines over its longer side as the first.
  const longer = Math.max(delivery.widthPx, delivery.heightPx);
  return {
    steps: [...steps, also],
    perDelivered: left.widthPx / delivery.widthPx,
    alsoPerDelivered: Math.max(also.widthPx, also.heightPx) / longer,
  };
}

function cutTo({ widthPx, heightPx }: Raster, aspect: number): Raster {
  return widthPx / heightPx > aspect
    ? { widthPx: heightPx * aspect, heightPx }
    : { widthPx, heightPx: widthPx / aspect };
}
