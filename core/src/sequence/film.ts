import type { PictureGrade } from '../findings';
import type { ShotSize } from '../image';
import { type MoveKind, type Purpose, type Shoot, trim } from '../model';
import { recipeOf } from '../motion';
import { CAMERA_SIZE } from '../optics';
import { edgeAt, type EdgeSubject } from './edge';
import { pictureMotion, speedOf } from './picture-motion';
import { filmSeconds, timelineOf } from './timeline';
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
  if (subject?.shown && subject.goes && subject.speedMps > 0.3) {
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

/** One sentence about the whole film. */
export interface FilmFinding {
  id: 'moving' | 'showy' | 'repeated' | 'sizes' | 'establishing' | 'ending' | 'brief';
  grade: PictureGrade;
  sentence: string;
  /** The shots that it is about, by their numbers. */
  numbers: number[];
}

/** Moves that show themselves. Common practice, no published source. */
const SHOWY: ReadonlySet<MoveKind> = new Set<MoveKind>([
  'whipPan',
  'dollyZoom',
  'standingDollyZoom',
  'helix',
  'spiralOverhead',
  'pushRoll',
  'roll',
  'tumble',
  'drop',
  'tableTopArm',
]);
const ESTABLISHING: readonly Purpose[] = ['establishes'];

/** Runs of so many and more that say the same of neighbours. */
function runs(labels: readonly (string | null)[], least: number): { label: string; numbers: number[] }[] {
  const found: { label: string; numbers: number[] }[] = [];
  for (let from = 0; from < labels.length;) {
    let to = from + 1;
    while (to < labels.length && labels[to] === labels[from]) to += 1;
    const label = labels[from];
    if (label !== null && to - from >= least)
      found.push({ label, numbers: Array.from({ length: to - from }, (_, k) => from + k + 1) });
    from = to;
  }
  return found;
}

const span = (numbers: readonly number[]): string => `${numbers[0]} to ${numbers[numbers.length - 1]}`;

/** What the whole film comes to. Empty without shots. */
export function filmFindings(
  shoot: Shoot,
  told: readonly Pick<Told, 'shot' | 'frames'>[],
  board: readonly BoardShot[],
): FilmFinding[] {
  if (board.length === 0) return [];
  const { shots } = shoot;
  const lengthS = filmSeconds(timelineOf(told));
  const movingS = board.reduce((sum, { moving, cutS }) => sum + moving * cutS, 0);
  const share = movingS / lengthS;
  const found: FilmFinding[] = [
    {
      id: 'moving',
      grade: board.length > 3 && share > 0.85 ? 'ripple' : 'calm',
      sentence:
        `${trim(lengthS, 0)} s in all: the picture moves in ${trim(movingS, 0)} s and rests in ` +
        `${trim(lengthS - movingS, 0)} s${board.length > 3 && share > 0.85 ? '; a still shot between lets a move be felt' : ''}.`,
      numbers: [],
    },
  ];
  for (const { numbers } of runs(
    shots.map(({ move }) => (SHOWY.has(move.kind) ? 'showy' : null)),
    3,
  ))
    found.push({
      id: 'showy',
      grade: 'ripple',
      sentence: `Shots ${span(numbers)} are showy moves in a row: one is a surprise, three are a habit.`,
      numbers,
    });
  for (const { numbers } of runs(
    shots.map(({ move }) => (move.kind === 'still' ? null : move.kind)),
    3,
  ))
    found.push({
      id: 'repeated',
      grade: 'ripple',
      sentence: `Shots ${span(numbers)} are all ${recipeOf(shots[numbers[0] - 1].move).title.toLowerCase()}.`,
      numbers,
    });
  for (const { label, numbers } of runs(
    board.map(({ sizes }) => sizes[1]),
    4,
  ))
    found.push({
      id: 'sizes',
      grade: 'ripple',
      sentence: `Shots ${span(numbers)} are all ${label}: a wider or a closer one between gives the cut a step.`,
      numbers,
    });
  const opens = shots
    .slice(0, 3)
    .some(({ purpose }, i) => ESTABLISHING.includes(purpose) || board[i].seen.some(({ size }) => size === 'wide'));
  if (!opens)
    found.push({
      id: 'establishing',
      grade: 'ripple',
      sentence: 'None of the first three shots shows where we are: open with a wide one, or say which one establishes.',
      numbers: [1],
    });
  const last = board[board.length - 1];
  const rests = last.restsS >= 1;
  found.push({
    id: 'ending',
    grade: rests ? 'calm' : 'ripple',
    sentence: rests
      ? `The last picture rests for ${trim(last.restsS, 1)} s: an ending.`
      : `The last picture rests for ${trim(last.restsS, 1)} s: hold it for a second at least, and it ends.`,
    numbers: [last.number],
  });
  const brief = board.filter(({ cutS }) => cutS < 1.5).map(({ number }) => number);
  if (brief.length > 0)
    found.push({
      id: 'brief',
      grade: 'calm',
      sentence: `In the cut for less than 1.5 s: ${brief.length > 1 ? 'shots' : 'shot'} ${brief.join(', ')}.`,
      numbers: brief,
    });
  return found;
}

/** Which shots show a subject from which side in which size, by their numbers. */
export interface Coverage {
  subjectId: string;
  name: string;
  cells: { side: SeenSide; size: SeenSize; numbers: number[]; ticked: boolean }[];
}

export const tickOf = (subjectId: string, side: SeenSide, size: SeenSize): string =>
  `${subjectId.slice(0, 24)}.${side}.${size}`;

/** The table of sides and sizes of the subject that most shots are about; null where none is in any. */
export function coverageOf(shoot: Shoot, board: readonly BoardShot[], subjectId?: string): Coverage | null {
  const counts = new Map<string, number>();
  for (const { seen } of board)
    for (const id of new Set(seen.map((row) => row.subjectId))) counts.set(id, (counts.get(id) ?? 0) + 1);
  const id = subjectId ?? [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
  const piece = shoot.site.pieces.find((row) => row.id === id);
  if (!piece) return null;
  return {
    subjectId: piece.id,
    name: piece.name,
    cells: SEEN_SIDES.flatMap((side) =>
      SEEN_SIZES.map((size) => ({
        side,
        size,
        numbers: board
          .filter(({ seen }) =>
            seen.some((row) => row.subjectId === piece.id && row.side === side && row.size === size),
          )
          .map(({ number }) => number),
        ticked: shoot.story.ticked.includes(tickOf(piece.id, side, size)),
      })),
    ),
  };
}
