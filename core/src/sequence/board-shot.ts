import type { ShotSize } from '../image';
import { CAMERA_SIZE } from '../optics';
import { edgeAt, type EdgeSubject } from './edge';
import { pictureMotion, speedOf } from './picture-motion';
import { cutSeconds, type Told } from './told';

/** One shot as the board has it. */
export interface BoardShot {
  shotId: string;
  number: number;
  /** Sizes at the first, middle and last frame in the cut; null without a subject in the frame. */
  sizes: (ShotSize | null)[];
  /** Which way the subject, or else the picture, goes on screen over the cut. */
  direction: 'left' | 'right' | 'up' | 'down' | 'in' | 'out' | 'none';
  cutS: number;
  /** Frames at the start, in the middle and at the end of the cut. */
  rows: [number, number, number];
  /** Share of the cut in which the picture moves. */
  moving: number;
  /** How long the picture rests at the end of the cut, s. */
  restsS: number;
  /** Sides and sizes of the subject that are seen. */
  seen: { side: SeenSide; size: SeenSize; subjectId: string }[];
}

export const SEEN_SIDES = ['front', 'left', 'right', 'behind', 'above'] as const;
export type SeenSide = (typeof SEEN_SIDES)[number];
export const SEEN_SIZES = ['wide', 'full', 'medium', 'close', 'detail'] as const;
export type SeenSize = (typeof SEEN_SIZES)[number];

const SIZE_OF: Record<ShotSize, SeenSize> = {
  'extreme wide': 'wide',
  wide: 'wide',
  'full figure': 'full',
  'from the knees up': 'medium',
  'from the waist up': 'medium',
  'from the chest up': 'close',
  'close-up': 'close',
  'extreme close-up': 'detail',
};
const LOOKS = 12;
/** A picture slower than this is a still one, frame widths a second: common practice, no published source. */
const STILL_SPEED = 0.015;
/** Far behind the subject: so many times as deep. */
const BEHIND_TIMES = 4;
/** A camera that went or turned less has no direction, m and degrees. */
const WENT_M = 0.05;
const TURNED_DEG = 3;

const sideOf = ({ fromFrontDeg }: EdgeSubject, tiltDeg: number): SeenSide => {
  if (tiltDeg < -50) return 'above';
  const away = Math.abs(fromFrontDeg);
  return away < 45 ? 'front' : away > 135 ? 'behind' : fromFrontDeg > 0 ? 'right' : 'left';
};

/** What the board says of a told shot. */
export function boardShot(told: Told, number: number): BoardShot {
  const { samples, frames, shot } = told;
  const last = frames.end - 1;
  const rows: BoardShot['rows'] = [frames.first, (frames.first + last) >> 1, last];
  const edges = rows.map((row, i) => edgeAt(told, row, i === 2 ? 'out' : 'in'));
  const step = Math.max(1, Math.floor((last - frames.first) / LOOKS));
  const looks: { row: number; moves: boolean }[] = [];
  for (let row = frames.first; row <= last; row += step) looks.push({ row, moves: movesAt(told, row) });
  let resting = looks.length - 1;
  while (resting >= 0 && !looks[resting].moves) resting -= 1;
  const restFrom = resting < 0 ? frames.first : Math.min(last, looks[resting].row + step);
  return {
    shotId: shot.id,
    number,
    sizes: edges.map(({ subject }) => (subject?.shown ? subject.size : null)),
    direction: directionOf(told, edges[1].subject),
    cutS: cutSeconds(frames),
    rows,
    moving: looks.filter(({ moves }) => moves).length / looks.length,
    restsS: (last + 1 - restFrom) / frames.rateHz,
    seen: edges.flatMap(({ subject, row }) =>
      subject?.shown
        ? [{ side: sideOf(subject, samples.tiltDeg[row]), size: SIZE_OF[subject.size], subjectId: subject.id }]
        : [],
    ),
  };
}

/** Whether anything still goes on screen in a row, as deep as the subject or far behind it. */
function movesAt({ samples, frames }: Told, row: number): boolean {
  const to = Math.min(samples.count - 1, row + Math.max(1, Math.round(frames.rateHz / 12)));
  const depth = Math.max(0.1, samples.subjectDistanceM[row]);
  return [1, BEHIND_TIMES].some((times) => {
    const motion = pictureMotion(samples, row, to, () => depth * times);
    return speedOf(motion) > STILL_SPEED || Math.abs(motion.turnDegps) > 1 || Math.abs(motion.growth) > 0.02;
  });
}

/** A subject that walks says it; else the camera’s own way, its turn, or its zoom. */
function directionOf({ samples, frames }: Told, subject: EdgeSubject | null): BoardShot['direction'] {
  if (subject?.shown && subject.goes && subject.paceMps > 0.3) {
    const across = Math.sin(((subject.bearingDeg - subject.headingDeg) * Math.PI) / 180);
    if (Math.abs(across) > 0.35) return across > 0 ? 'right' : 'left';
    return Math.abs(subject.fromFrontDeg) < 90 ? 'in' : 'out';
  }
  const { cameras, xM, yM, zM, panDeg, tiltDeg, focalLengthMm } = samples;
  const went = [0, 0, 0];
  for (let row = frames.first; row + 1 < frames.end; row += 1) {
    const c = row * CAMERA_SIZE;
    const step = [xM[row + 1] - xM[row], yM[row + 1] - yM[row], zM[row + 1] - zM[row]];
    for (let axis = 0; axis < 3; axis += 1) {
      const [a, b, d] = [cameras[c + 4 * axis], cameras[c + 4 * axis + 1], cameras[c + 4 * axis + 2]];
      went[axis] += (step[0] * a + step[1] * b + step[2] * d) / Math.hypot(a, b, d);
    }
  }
  const [first, last] = [frames.first, frames.end - 1];
  const words = [
    ['right', 'left'],
    ['up', 'down'],
    ['in', 'out'],
  ] as const;
  const most = went.reduce((best, value, axis) => (Math.abs(value) > Math.abs(went[best]) ? axis : best), 0);
  if (Math.abs(went[most]) > WENT_M) return words[most][went[most] > 0 ? 0 : 1];
  const [pan, tilt] = [panDeg[last] - panDeg[first], tiltDeg[last] - tiltDeg[first]];
  if (Math.max(Math.abs(pan), Math.abs(tilt)) > TURNED_DEG)
    return Math.abs(pan) >= Math.abs(tilt) ? (pan > 0 ? 'right' : 'left') : tilt > 0 ? 'up' : 'down';
  const zoom = focalLengthMm[last] / focalLengthMm[first];
  return Math.abs(Math.log(zoom)) > 0.05 ? (zoom > 1 ? 'in' : 'out') : 'none';
}
