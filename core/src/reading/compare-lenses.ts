import type { Lens } from '../model/kit';
import { severity } from '../model/finding';
import { setupOf, type Shoot } from '../model/shoot';
import { legsOf, withLeg, type Shot } from '../model/shot';
import type { Units } from '../model/units';
import { recipeOf } from '../motion/moves';
import { pathLengthM, type Samples } from '../motion/sample';
import { depthOfField } from '../optics/depth-of-field';
import { rigFindings } from '../rig/envelope';
import { heightsM } from '../rig/heights';
import { layerFigures } from '../screen/figures';
import { measurePicture } from '../screen/picture';
import { isInFrame } from '../screen/subject-in-frame';
import { wobbleInFrame } from '../screen/wobble';

/** Same spot: the camera stays, the lens changes. Same framing: the subject keeps its height, the camera moves to suit. */
export type CompareBy = 'spot' | 'framing';

/** What one focal length makes of a shot. Speeds in frame widths a second, lengths in frame widths unless said otherwise. */
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
  /** The same for each metre that the camera travels, and for each degree that it turns about the subject; null without either. */
  slidePerM: number | null;
  slidePerDeg: number | null;
  /** How much the far background grows against the subject from first to last, ×. */
  backgroundGrowth: number;
  /** Bob and tremor of whoever carries it, peak to peak. */
  wobble: number;
  /** Nearest and farthest sharp distance halfway through, m. */
  sharpFromM: number;
  sharpToM: number;
  /** What lens and rig make of it, and the sentences of what they cannot. */
  grade: 'fits' | 'tight' | 'cannot';
  why: string[];
}

/** The lens of the kit for a focal length: the shot's own if it reaches, else the first that does, else the shot's own all the same. */
export function lensFor(shoot: Shoot, shot: Shot, focalLengthMm: number): Lens {
  const reaches = (lens: Lens) => focalLengthMm >= lens.focalLengthMinMm && focalLengthMm <= lens.focalLengthMaxMm;
  const own = shoot.kit.lenses.find((lens) => lens.id === shot.lensId) ?? shoot.kit.lenses[0];
  return reaches(own) ? own : (shoot.kit.lenses.find(reaches) ?? own);
}

/** A shot taken with another focal length, from the same spot or with the same framing. */
export function withFocalLength(shoot: Shoot, shot: Shot, focalLengthMm: number, by: CompareBy): Shot {
  const lens = lensFor(shoot, shot, focalLengthMm);
  const changed = { ...shot, focalLengthMm, lensId: lens.id, fNumber: Math.max(shot.fNumber, lens.fNumberMin) };
  if (by === 'spot' || focalLengthMm === shot.focalLengthMm) return changed;
  const share = focalLengthMm / shot.focalLengthMm;
  return legsOf(shot).reduce<Shot>((moved, _, k) => withLeg(moved, k, (leg) => ({ ...leg, move: recipeOf(leg.move).scaleDistance(leg.move, share) })), changed);
}

/** Reads a shot through several focal lengths. */
export function compareLenses(shoot: Shoot, shot: Shot, focalLengthsMm: readonly number[], by: CompareBy, units: Units = 'metric'): LensColumn[] {
  return focalLengthsMm.map((focalLengthMm) => columnOf(shoot, withFocalLength(shoot, shot, focalLengthMm, by), units));
}

function columnOf(shoot: Shoot, shot: Shot, units: Units): LensColumn {
  const setup = setupOf(shoot, shot);
  const picture = measurePicture(setup, { units }, { sight: false, glancesHz: 1 });
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
    (setup.limits.confusionShare * samples.frameWidthMm) / samples.crop[middle],
    samples.focusDistanceM[middle],
  );
  const { filmed } = picture;
  const rig = rigFindings(setup, picture.motion, filmed, heightsM(setup, filmed), units);
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
    wobble: wobbleInFrame(samples, depthM)?.value ?? 0,
    sharpFromM: sharp.nearM,
    sharpToM: sharp.farM,
    grade: worst === 2 ? 'cannot' : worst === 1 ? 'tight' : 'fits',
    why: rig.filter((finding) => severity(finding) === worst && worst > 0).map(({ sentence }) => sentence),
  };
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

/** Less than this no depth is seen at all, frame widths a second. */
const LEAST_DEPTH = 1e-4;

/** One sentence on which focal length shows depth best, and why. `columns`: shortest first. */
export function verdictOnLenses(columns: readonly LensColumn[], by: CompareBy): string {
  const possible = columns.filter(({ grade }) => grade !== 'cannot');
  const among = possible.length >= 2 ? possible : columns;
  if (among.length < 2) return 'Choose two or more focal lengths to compare.';
  const best = among.reduce((a, b) => (b.parallax > a.parallax ? b : a));
  if (best.parallax < LEAST_DEPTH) return 'Nothing slides past anything here: the focal length only changes how much of the place is in the picture.';
  const other = best === among[0] ? among[among.length - 1] : among[0];
  const times = other.parallax > 1e-6 ? best.parallax / other.parallax : Infinity;
  const how = Number.isFinite(times) ? `${times < 9.95 ? times.toFixed(1) : times.toFixed(0)} times` : 'far more';
  if (times < 1.1) return `Here ${best.focalLengthMm} mm and ${other.focalLengthMm} mm show depth alike.`;
  const wide = best.focalLengthMm < other.focalLengthMm;
  const ends = best === among[0] || best === among[among.length - 1];
  const near = (best.nearSpeed ?? 0) >= (best.farSpeed ?? 0);
  const reason = near
    ? wide
      ? by === 'framing'
        ? 'the camera stands closer, so near things pass quickly for each metre it travels'
        : 'more of what is near stays in the frame'
      : 'what stands near the lens crosses a narrower frame quickly'
    : wide && by === 'framing'
      ? 'the camera stands closer and has to turn farther to hold the subject, so the background sweeps past'
      : 'a far background sweeps a narrow frame quickly for each degree the camera turns';
  return `Here ${ends ? (wide ? 'wide' : 'long') : `${best.focalLengthMm} mm`} wins: ${ends ? `${best.focalLengthMm} mm` : 'it'} shows depth ${how} as strongly as ${other.focalLengthMm} mm, because ${reason}.`;
}
