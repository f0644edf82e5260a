import { takeFocalLength } from '../edit';
import { type Lens, type Shoot, type Shot, trim, type Units } from '../model';
import { percent, rigCase, rigFindings, severity } from '../findings';
import { sceneOf } from '../scene';
import { pathLengthM, plannedFilm, type Samples, smoothed } from '../motion';
import { depthOfField } from '../optics';
import {
  fastestRow,
  FULL_QUALITY,
  isInFrame,
  layerFigures,
  measurePicture,
  type Picture,
  SEEN_S,
  shakeInFrame,
  shownShutterDeg,
  whileInFrame,
} from '../image';
import { SAME_WITHIN, sameFraming } from './same-framing';

/**
 * Same spot: the camera stays, the lens changes. Same framing: the subject keeps its height, the camera moves to suit.
 */
export type CompareBy = 'spot' | 'framing';

/**
 * What one focal length makes of a shot. Speeds in frame widths a second, lengths in frame widths unless said
 * otherwise.
 */
export interface LensColumn {
  focalLengthMm: number;
  /** The shot taken this way. */
  shot: Shot;
  /** Mean distance from the lens to the subject while it is in the picture, m; NaN when it never is. */
  distanceM: number;
  /** Mean height of the subject, frame heights; NaN when it never is in the picture. */
  subjectHeight: number;
  nearSpeed: number | null;
  subjectSpeed: number | null;
  farSpeed: number | null;
  /** Longest smear of the subject, and of anything else, while the shutter is open. */
  subjectBlur: number;
  blur: number;
  /** Fastest near or far against the subject. */
  parallax: number;
  /** How far near and far slide against the subject in all; null where nothing of the layer is seen. */
  nearSlide: number | null;
  farSlide: number | null;
  /**
   * The same for each metre that the camera travels, and for each degree that it turns about the subject; null without
   * either.
   */
  slidePerM: number | null;
  slidePerDeg: number | null;
  /** How much the far background grows against the subject from first to last, ×. */
  backgroundGrowth: number;
  /** Bob and tremor of whoever carries it, peak to peak. */
  wobble: number;
  /** Nearest and farthest sharp distance halfway through, m. */
  sharpFromM: number;
  sharpToM: number;
  /** How far the camera travels, m. */
  travelM: number;
  /**
   * How far the fastest thing in the picture jumps from one shown picture to the next that differs, frame widths, at
   * the moment when that is most.
   */
  jump: number;
  /**
   * How far the shutter is open in a shown picture where things are fastest, degrees: what is filmed quickly and shown
   * at life speed is open for less.
   */
  shownShutterDeg: number;
  /**
   * Largest difference of the subject's height from the shot's own, as a share, where the framing cannot be kept; null
   * where it is, or is not asked for.
   */
  framingOff: number | null;
  /** What lens and rig make of it, and the sentences of what they cannot. */
  grade: 'fits' | 'tight' | 'cannot';
  why: string[];
}

/**
 * The lens of the kit for a focal length: the shot's own if it reaches, else the first that does, else the shot's own
 * all the same.
 */
export function lensFor(shoot: Shoot, shot: Shot, focalLengthMm: number): Lens {
  const reaches = (lens: Lens) => focalLengthMm >= lens.focalLengthMinMm && focalLengthMm <= lens.focalLengthMaxMm;
  const own = shoot.kit.lenses.find((lens) => lens.id === shot.lensId) ?? shoot.kit.lenses[0];
  return reaches(own) ? own : (shoot.kit.lenses.find(reaches) ?? own);
}

/**
 * A shot taken with another focal length, from the same spot or with the same framing; `off`: by how much the framing
 * is not the same.
 */
function taken(shoot: Shoot, shot: Shot, focalLengthMm: number, by: CompareBy): { shot: Shot; off: number } {
  const lens = lensFor(shoot, shot, focalLengthMm);
  const changed = takeFocalLength(shot, focalLengthMm, lens);
  return by === 'spot' || focalLengthMm === shot.focalLengthMm
    ? { shot: changed, off: 0 }
    : sameFraming(shoot, shot, changed);
}

/** A shot taken with another focal length, from the same spot or with the same framing as near as it comes. */
export const withFocalLength = (shoot: Shoot, shot: Shot, focalLengthMm: number, by: CompareBy): Shot =>
  taken(shoot, shot, focalLengthMm, by).shot;

/** Reads a shot through several focal lengths. */
export function compareLenses(
  shoot: Shoot,
  shot: Shot,
  focalLengthsMm: readonly number[],
  by: CompareBy,
  units: Units = 'metric',
): LensColumn[] {
  return focalLengthsMm.map((focalLengthMm) => {
    const { shot: changed, off } = taken(shoot, shot, focalLengthMm, by);
    const column = columnOf(shoot, changed, units);
    if (off <= SAME_WITHIN) return column;
    const name = sceneOf(shoot, shot).subject?.name ?? 'The subject';
    const cause = shot.walks.some(({ pieceId, points }) => pieceId === shot.subjectId && points.length > 1)
      ? 'the walk'
      : 'the move';
    const said = off < 10 ? `differs by up to ${percent(off)}` : 'is another altogether';
    return {
      ...column,
      framingOff: off,
      grade: 'cannot',
      why: [
        `${trim(focalLengthMm, 0)} mm cannot keep the framing here: ${name}’s height ${said}, because of ${cause}.`,
        ...column.why,
      ],
    };
  });
}

function columnOf(shoot: Shoot, shot: Shot, units: Units): LensColumn {
  const scene = sceneOf(shoot, shot);
  const picture = measurePicture(plannedFilm(scene), units, { ...FULL_QUALITY, sight: false });
  const { samples, subject, depthM } = picture;
  const layers = layerFigures(picture);
  const near = layers.find(({ layer }) => layer === 'near');
  const far = layers.find(({ layer }) => layer === 'far');
  const ofSubject = layers.find(({ layer }) => layer === 'subject');
  let [distanceM, height, rows] = [0, 0, 0];
  for (let row = 0; row < samples.count; row += 1) {
    if (!isInFrame(subject, row)) continue;
    distanceM += samples.subjectDistanceM[row];
    height += subject.height[row];
    rows += 1;
  }
  const travelM = pathLengthM(samples);
  const slide = Math.max(near?.slide ?? 0, far?.slide ?? 0);
  const turnDeg = turnedDeg(samples);
  const middle = samples.count >> 1;
  const sharp = depthOfField(
    samples.focalLengthMm[middle] / samples.crop[middle],
    shot.fNumber,
    (scene.limits.confusionShare * samples.frameWidthMm) / samples.crop[middle],
    samples.focusDistanceM[middle],
  );
  const rig = rigFindings(rigCase(picture, units));
  const worst = Math.max(0, ...rig.map(severity));
  const last = samples.count - 1;
  const scale = (row: number) => samples.focalLengthMm[row] / samples.subjectDistanceM[row];
  return {
    focalLengthMm: shot.focalLengthMm,
    shot,
    distanceM: distanceM / rows,
    subjectHeight: height / rows,
    nearSpeed: near?.speed ?? null,
    subjectSpeed: ofSubject?.speed ?? null,
    subjectBlur: ofSubject?.blurShare ?? 0,
    blur: Math.max(near?.blurShare ?? 0, far?.blurShare ?? 0),
    farSpeed: far?.speed ?? null,
    parallax: Math.max(near?.parallax ?? 0, far?.parallax ?? 0),
    nearSlide: near?.slide ?? null,
    farSlide: far?.slide ?? null,
    slidePerM: travelM > 0.02 ? slide / travelM : null,
    slidePerDeg: turnDeg > 2 ? (far?.slide ?? 0) / turnDeg : null,
    backgroundGrowth: samples.focalLengthMm[last] / samples.focalLengthMm[0] / (scale(last) / scale(0)),
    wobble: shakeInFrame(samples, depthM)?.value ?? 0,
    sharpFromM: sharp.nearM,
    sharpToM: sharp.farM,
    travelM,
    jump: largestJump(picture),
    shownShutterDeg: shownShutterDeg(picture, fastestRow(picture)),
    framingOff: null,
    grade: worst === 2 ? 'cannot' : worst === 1 ? 'tight' : 'fits',
    why: rig.filter((finding) => severity(finding) === worst && worst > 0).map(({ sentence }) => sentence),
  };
}

/** Speed and how long each recorded frame is shown, of the same moment. */
function largestJump({ samples, site, subject }: Picture): number {
  const columns = [site.near.speed, site.far.speed, whileInFrame(subject, subject.speed)].map((column) =>
    smoothed(column, SEEN_S * samples.frameRateHz),
  );
  let most = 0;
  for (let row = 0; row < samples.count; row += 1) {
    const repeats = Math.max(1, (samples.slow[row] * samples.frameRateHz) / samples.captureRateHz);
    for (const column of columns)
      if (column[row] > 0) most = Math.max(most, (column[row] * repeats) / samples.frameRateHz);
  }
  return most;
}

/** How far the camera goes round the subject (or the pivot's place) between first and last, degrees without sign. */
function turnedDeg({ count, xM, yM, subjectXM, subjectYM }: Samples): number {
  let [sum, before] = [0, NaN];
  for (let row = 0; row < count; row += 1) {
    const deg = (Math.atan2(xM[row] - subjectXM[row], yM[row] - subjectYM[row]) * 180) / Math.PI;
    if (!Number.isNaN(before) && !Number.isNaN(deg)) sum += deg - before - 360 * Math.round((deg - before) / 360);
    before = deg;
  }
  return Math.abs(sum);
}
