import { sideIn } from '../findings';
import {
  depthRasterOf,
  type DepthRaster,
  FELT_S,
  figureShare,
  litShare,
  NOTHING,
  type ShotSize,
  shotSize,
  STANDING_M,
} from '../image';
import { evOfDaylight, type SideOfLight } from '../light';
import { PIECE_KINDS, WHOLE } from '../model';
import type { Samples } from '../motion';
import { CAMERA_SIZE, exposureTimeS, type InPicture, project } from '../optics';
import { type PictureMotion, pictureMotion } from './picture-motion';
import type { Told } from './told';

/** What the audience has before its eyes on one side of a cut: one frame, and how it moves. */
export interface Edge {
  row: number;
  /** s on screen from the first frame of the shot. */
  screenS: number;
  motion: PictureMotion;
  /** Roll of the camera, degrees clockwise, from −180 to 180. */
  rollDeg: number;
  subject: EdgeSubject | null;
  /** Share of the frame that one thing close to the lens covers. */
  covered: number;
  /** Shares of the frame that are ground, and sky. */
  groundShare: number;
  skyShare: number;
  light: { ev100: number; side: SideOfLight | null };
  rateHz: number;
  /** Share of a frame's time that the shutter is open. */
  openShare: number;
  cameraM: { x: number; y: number };
}

/** The subject at a cut. */
export interface EdgeSubject {
  id: string;
  name: string;
  /** It is a person or an animal, or something that goes. */
  goes: boolean;
  /**
   * Middle of the part that the shot is after: frame widths right of the centre and up, and frame heights up; zeros when
   * it is not before the lens.
   */
  u: number;
  w: number;
  v: number;
  shown: boolean;
  /** Frame heights that a standing figure there would fill, and what that size is called. */
  share: number;
  size: ShotSize;
  /** From where it is seen, degrees clockwise from north, and from its own front: 0 its face, 90 its right. */
  bearingDeg: number;
  fromFrontDeg: number;
  xM: number;
  yM: number;
  headingDeg: number;
  /** How fast it is seen to go: metres of the site a second on screen. */
  paceMps: number;
}

/** What looks somewhere, or goes somewhere, has a line of action. */
const LOOKS: ReadonlySet<string> = new Set(['people', 'movers']);
const CELLS = 48;
/** So near to the lens a thing makes a frame dark: common practice, no published source. */
const CLOSE_M = 1.5;
const DEG = 180 / Math.PI;
/** Bare ground and sky lie about as far off as this, m, where nothing stands. */
const SKY_M = 200;

/** Looks at a shot at its first (`in`) or its last frame in the cut. */
export function edgeOf(told: Told, which: 'in' | 'out'): Edge {
  const { first, end } = told.frames;
  return edgeAt(told, which === 'in' ? first : end - 1, which);
}

/** Looks at a frame. The motion is that of the frames after it (`in`) or before it (`out`), over a twelfth of a second. */
export function edgeAt(told: Told, row: number, which: 'in' | 'out'): Edge {
  const { scene, samples, shot } = told;
  const rows = Math.max(1, Math.round(FELT_S * samples.frameRateHz));
  const last = samples.count - 1;
  const [from, to] = which === 'in' ? [row, Math.min(last, row + rows)] : [Math.max(0, row - rows), row];
  const raster = depthRasterOf(scene, samples, CELLS)(from);
  const motion = pictureMotion(samples, from, to, depthIn(raster, samples, from));
  const shares = sharesOf(told, from === row ? raster : depthRasterOf(scene, samples, CELLS)(row), row);
  return {
    row,
    screenS: samples.screenS[row],
    motion,
    rollDeg: turnWithin(samples.rollDeg[row]),
    subject: subjectAt(told, row, from, to),
    ...shares,
    light: lightIn(told, row),
    rateHz: samples.frameRateHz,
    openShare: exposureTimeS(shot.shutterDeg, shot.captureRateHz) * samples.slow[row] * samples.frameRateHz,
    cameraM: { x: samples.xM[row], y: samples.yM[row] },
  };
}

export const turnWithin = (deg: number): number => ((((deg + 180) % 360) + 360) % 360) - 180;

/** How deep the picture is at places of the frame, from a raster of it; the ground where nothing stands. */
function depthIn(raster: DepthRaster, samples: Samples, row: number): (u: number, v: number) => number {
  const { widthCells, heightCells, nearness } = raster;
  return (u, v) => {
    const column = Math.min(widthCells - 1, Math.floor((u + 0.5) * widthCells));
    const line = Math.min(heightCells - 1, Math.floor((0.5 - v) * heightCells));
    const near = nearness[line * widthCells + column];
    if (near > 0) return 1 / near;
    const down = -rayOf(samples, row, u, v).up;
    return down > 1e-4 ? Math.min(SKY_M, Math.max(0.1, samples.zM[row]) / down) : SKY_M;
  };
}

/** How far up a look at a place of the frame goes for a metre along the axis, m. */
function rayOf(samples: Samples, row: number, u: number, v: number): { up: number } {
  const { cameras, frameWidthMm, frameHeightMm } = samples;
  const c = row * CAMERA_SIZE;
  const scale = (frameWidthMm / samples.focalLengthMm[row]) ** 2;
  const w = (v * frameHeightMm) / frameWidthMm;
  return { up: cameras[c + 10] + scale * (u * cameras[c + 2] + w * cameras[c + 6]) };
}

function sharesOf({ scene, samples }: Told, raster: DepthRaster, row: number) {
  const { widthCells, heightCells, pieceAt, nearness } = raster;
  const close = new Map<number, number>();
  let [ground, sky] = [0, 0];
  for (let line = 0; line < heightCells; line += 1)
    for (let column = 0; column < widthCells; column += 1) {
      const cell = line * widthCells + column;
      const index = pieceAt[cell];
      if (index === NOTHING) {
        if (rayOf(samples, row, (column + 0.5) / widthCells - 0.5, 0.5 - (line + 0.5) / heightCells).up < 0)
          ground += 1;
        else sky += 1;
        continue;
      }
      if (PIECE_KINDS[scene.pieces[index].kind].ground) ground += 1;
      if (nearness[cell] > 1 / CLOSE_M) close.set(index, (close.get(index) ?? 0) + 1);
    }
  const all = widthCells * heightCells;
  return { covered: Math.max(0, ...close.values()) / all, groundShare: ground / all, skyShare: sky / all };
}

function subjectAt({ scene, samples }: Told, row: number, from: number, to: number): EdgeSubject | null {
  const { subject, part } = scene;
  if (!subject || !part) return null;
  const out: InPicture = { u: 0, w: 0, depthM: 0 };
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const [xM, yM] = [samples.subjectXM[row], samples.subjectYM[row]];
  project(samples.cameras, row * CAMERA_SIZE, xM, yM, samples.subjectZM[row] + part.heightM / 2, out);
  const headingDeg = scene.headingAt(samples.tS[row]);
  const bearingDeg = Math.atan2(samples.xM[row] - xM, samples.yM[row] - yM) * DEG;
  const forS = Math.max(1e-6, samples.screenS[to] - samples.screenS[from]);
  const walkedM = Math.hypot(
    samples.subjectXM[to] - samples.subjectXM[from],
    samples.subjectYM[to] - samples.subjectYM[from],
  );
  // What is beside or behind the lens has no place in the picture.
  const ahead = out.depthM > 0;
  const figureM = subject.kind === 'figure' && part.id === WHOLE ? subject.heightM : STANDING_M;
  const share = figureShare(figureM, samples.subjectDistanceM[row], samples.focalLengthMm[row], samples.frameHeightMm);
  return {
    id: subject.id,
    name: subject.name,
    goes: LOOKS.has(PIECE_KINDS[subject.kind].group),
    u: ahead ? out.u : 0,
    w: ahead ? out.w : 0,
    v: ahead ? out.w * aspect : 0,
    shown: ahead && Math.abs(out.u) <= 0.5 && Math.abs(out.w * aspect) <= 0.5,
    share,
    size: shotSize(share),
    bearingDeg,
    fromFrontDeg: turnWithin(bearingDeg - headingDeg),
    xM,
    yM,
    headingDeg,
    paceMps: walkedM / forS,
  };
}

function lightIn({ scene, samples, shot }: Told, row: number): Edge['light'] {
  const sun = scene.sunAt?.(samples.tS[row]);
  if (!sun || sun.altitudeDeg <= 0 || !scene.sunAt || !scene.subject) return { ev100: shot.light.ev100, side: null };
  // Only this row is asked for.
  const one = { ...samples, count: 1 };
  for (const key of ['tS', 'xM', 'yM', 'zM', 'subjectXM', 'subjectYM', 'subjectZM'] as const)
    one[key] = samples[key].slice(row, row + 1);
  const [lit] = litShare(scene, one, scene.sunAt);
  const side = sideIn(scene, samples, row);
  return { ev100: evOfDaylight(sun.altitudeDeg, shot.bench.sky, Number.isNaN(lit) ? 1 : lit), side };
}
