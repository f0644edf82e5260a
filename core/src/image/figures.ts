import { largest, smoothed } from '../motion';
import { smoothSpeed } from '../model';
import { exposureTimeS } from '../optics';
import type { LayerMotion } from './layer-speed';
import type { Picture } from './picture';
import { windowSpeed } from './strobe';
import { isInFrame, whileInFrame } from './subject-in-frame';

/** Speeds are judged over this long: a shorter flicker is not seen as motion. Common practice, no published source. */
export const SEEN_S = 0.4;

/** What one layer does on screen at its quickest, and in all. */
export interface LayerFigures {
  layer: 'near' | 'subject' | 'far';
  /** Frame widths a second, and when, s on screen. */
  speed: number;
  atS: number;
  /** Time to cross the whole frame at that speed, s; Infinity for what stands still. */
  crossingS: number;
  /** Blur while the shutter is open, as a share of the frame width and in pixels of the delivery. */
  blurShare: number;
  blurPx: number;
  /** Speed against the subject, frame widths a second; 0 for the subject. */
  parallax: number;
  /**
   * How far the layer has slid against the subject in all, frame widths; for the subject how far it has moved in the
   * frame.
   */
  slide: number;
  /**
   * Change of the subject's size from first to last, × (by distance and focal length); null for the other layers and
   * without a subject.
   */
  growth: number | null;
}

/** The limits that the speeds of a shot are held against, frame widths a second. */
export interface SpeedLimits {
  /** Crossing-time rule: for everything, and for near and far while the eye has a held subject to rest on. */
  plain: number;
  held: number;
  /** The eye has a held subject to rest on in this shot. */
  isHeld: boolean;
  /** Window of visibility: above it a sharp eye can see steps. 0: at any speed; Infinity: at none. */
  window: number;
}

/** Whether the eye has a subject to rest on: it is in the picture and nearly still there at its fastest. */
export function subjectIsHeld({ subject, samples, scene }: Picture): boolean {
  const fastest = largest(smoothed(whileInFrame(subject, subject.speed), SEEN_S * samples.frameRateHz));
  return fastest !== null && fastest.value <= scene.limits.heldSubjectSpeed;
}

/** How long the shutter is open in a row, s on screen: what moves in that time is blurred. */
export function openOnScreenS({ scene: { shot }, samples }: Picture, row: number): number {
  return exposureTimeS(shot.shutterDeg, shot.captureRateHz) * samples.slow[row];
}

/**
 * How far the shutter is open for a shown picture in a row, degrees of what is shown: 180 at half the time between two
 * pictures.
 */
export function shownShutterDeg(picture: Picture, row: number): number {
  return openOnScreenS(picture, row) * picture.samples.frameRateHz * 360;
}

/** The row in which anything in the picture is fastest; the first where nothing moves. */
export function fastestRow({ samples, site, subject }: Picture): number {
  const peaks = [site.near.speed, whileInFrame(subject, subject.speed), site.far.speed].map((column) =>
    largest(smoothed(column, SEEN_S * samples.frameRateHz)),
  );
  return (
    peaks.reduce((best, peak) => (peak !== null && (best === null || peak.value > best.value) ? peak : best), null)
      ?.row ?? 0
  );
}

export function speedLimits(picture: Picture): SpeedLimits {
  const { samples, scene } = picture;
  const { limits, delivery } = scene;
  const plain = smoothSpeed(samples.frameRateHz, limits);
  const exposureS = openOnScreenS(picture, samples.count >> 1);
  return {
    plain,
    held: plain * limits.heldSubjectFactor,
    isHeld: subjectIsHeld(picture),
    window: windowSpeed({ frameRateHz: samples.frameRateHz, exposureS, widthPx: delivery.widthPx }, limits),
  };
}

/** How far a layer's mean has slid against the subject over the whole shot, frame widths. */
export function totalSlide(layer: LayerMotion, { subject, samples }: Picture): number {
  let right = 0;
  let up = 0;
  for (let row = 1; row < samples.count; row += 1) {
    if (Number.isNaN(layer.rightwards[row])) continue;
    right += layer.rightwards[row] - (subject.rightwards[row] || 0);
    up += layer.upwards[row] - (subject.upwards[row] || 0);
  }
  return Math.hypot(right, up) / samples.frameRateHz;
}

/** The figures of near, subject and far; a layer that is never in the picture is left out. */
export function layerFigures(picture: Picture): LayerFigures[] {
  const { samples, scene, site, subject } = picture;
  const peakOf = (column: Float64Array) => largest(smoothed(column, SEEN_S * samples.frameRateHz));
  const rows: LayerFigures[] = [];
  const add = (
    layer: LayerFigures['layer'],
    speed: Float64Array,
    parallax: number,
    slide: number,
    growth: number | null,
  ) => {
    const peak = peakOf(speed);
    if (!peak) return;
    const blurShare = peak.value * openOnScreenS(picture, peak.row);
    rows.push({
      layer,
      speed: peak.value,
      atS: samples.screenS[peak.row],
      crossingS: peak.value > 1e-4 ? 1 / peak.value : Infinity,
      blurShare,
      blurPx: blurShare * scene.delivery.widthPx,
      parallax,
      slide,
      growth,
    });
  };
  add('near', site.near.speed, peakOf(site.near.againstSubject)?.value ?? 0, totalSlide(site.near, picture), null);
  const shown = shownRows(picture);
  if (shown)
    add(
      'subject',
      whileInFrame(subject, subject.speed),
      0,
      slideBetween(picture, shown),
      growthBetween(picture, shown),
    );
  add('far', site.far.speed, peakOf(site.far.againstSubject)?.value ?? 0, totalSlide(site.far, picture), null);
  return rows;
}

/** First and last row in which the subject is in the picture; null when it never is. */
function shownRows({ subject, samples }: Picture): [number, number] | null {
  let rows: [number, number] | null = null;
  for (let row = 0; row < samples.count; row += 1) if (isInFrame(subject, row)) rows = [rows?.[0] ?? row, row];
  return rows;
}

function slideBetween({ subject, samples }: Picture, [first, last]: [number, number]): number {
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  return Math.hypot(subject.u[last] - subject.u[first], (subject.v[last] - subject.v[first]) / aspect);
}

function growthBetween({ samples }: Picture, [first, last]: [number, number]): number {
  const scale = (row: number) => samples.focalLengthMm[row] / samples.subjectDistanceM[row];
  return scale(last) / scale(first);
}
