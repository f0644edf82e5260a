import type { Units } from '../model';
import type { Scene } from '../scene';
import type { Film, Samples } from '../motion';
import { depthRasterOf } from './depth-raster';
import { SeenPieces, type PieceSeen } from './seen-pieces';
import { RASTER_CELLS, MARGIN_CELLS, nearnessM, SeenSurface, stretchEnd, type PointsAt } from './seen-surface';
import { siteMotion, type SiteMotion } from './layer-speed';
import { screenMotion, type ScreenMotion } from './screen-motion';
import { visibleShare } from './visible-share';
import { isInFrame, subjectInFrame, whileInFrame, type SubjectInFrame } from './subject-in-frame';

/** Everything measured in the picture of one shot, ready to be judged. */
export interface Picture extends Film {
  subject: SubjectInFrame;
  /**
   * How deep the picture is judged, metres, one value per row: the subject's depth while it is in the frame, its
   * distance otherwise.
   */
  depthM: Float64Array;
  /** How much of the subject nothing stands in front of, 0 to 1, one value a row. */
  visible: Float64Array;
  site: SiteMotion;
  /** How still things move on screen: what starts, stops and evenness are judged by. */
  screen: ScreenMotion;
  /** What can be seen of each piece. */
  pieces: PieceSeen[];
  /** How far above the middle the picture ends, frame heights: half, less a black bar. */
  edgeV: number;
  /** What lengths in sentences are said in. */
  units: Units;
}

/** Layers are measured at no more rows a second than this: they are judged over 0.4 s. */
export const LAYER_ROWS_HZ = 12;
/** A layer that fills fewer cells of a raster, 0.4% of the frame, is not seen to move. */
const LEAST_CELLS = 4;
/** How closely a picture is measured. */
export interface Quality {
  /** The visible share of the subject is counted; NaN otherwise. */
  sight: boolean;
  /** Rasters a second on screen: what is hidden for less is not missed. */
  rastersHz: number;
}

/**
 * A picture whose subject carries the camera is judged by the world behind: about this far off, m. Common practice, no
 * published source.
 */
const WORLD_M = 10;

/** As a reading looks. */
export const FULL_QUALITY: Quality = { sight: true, rastersHz: 2 };

/** Measures the picture of a film. */
export function measurePicture(film: Film, units: Units, quality: Quality = FULL_QUALITY): Picture {
  const { scene, samples } = film;
  const subject = subjectInFrame(samples, scene);
  // Out of the frame the subject's depth along the axis says nothing; its distance does.
  const depthM = subject.depthM.map((depth, row) =>
    film.intent.carried
      ? WORLD_M
      : scene.subject === null || isInFrame(subject, row)
        ? depth
        : samples.subjectDistanceM[row],
  );
  const { pointsAt, pieces } = rasterThrough(scene, samples, depthM, quality.rastersHz);
  const site = siteMotion(
    samples,
    pointsAt,
    depthM,
    orZero(whileInFrame(subject, subject.rightwards)),
    orZero(whileInFrame(subject, subject.upwards)),
    Math.max(1, Math.floor(samples.frameRateHz / LAYER_ROWS_HZ)),
    LEAST_CELLS,
  );
  return {
    ...film,
    subject,
    visible: quality.sight ? visibleShare(scene, samples) : new Float64Array(samples.count).fill(NaN),
    site,
    depthM,
    screen: screenMotion(samples, depthM, site),
    pieces,
    edgeV: 0.5 - scene.shot.after.barsPercent / 100,
    units,
  };
}

/** Rasters through the camera again and again: what of the site fills the picture, and what is seen of each piece. */
export function rasterThrough(
  scene: Scene,
  samples: Samples,
  depthM: Float64Array,
  rastersHz: number,
): { pointsAt: PointsAt; pieces: PieceSeen[] } {
  const raster = depthRasterOf(scene, samples, RASTER_CELLS, MARGIN_CELLS);
  const surface = new SeenSurface(scene, samples);
  const pieces = new SeenPieces(scene.pieces);
  const from: number[] = [];
  let nearM = Infinity;
  for (let row = 0; row < samples.count;) {
    const end = stretchEnd(samples, row, Math.min(nearM, depthM[row] / 2), rastersHz);
    const middle = (row + end - 1) >> 1;
    const seen = raster(middle);
    surface.add(middle, seen);
    pieces.add(samples.screenS[middle], seen);
    nearM = nearnessM(seen);
    from.push(row);
    row = end;
  }
  return { pointsAt: surface.at(from), pieces: pieces.seen() };
}

/** Without a subject in view, layers are compared with a still picture. */
function orZero(column: Float64Array): Float64Array {
  return column.map((value) => (Number.isNaN(value) ? 0 : value));
}
