import type { PictureGrade } from '../findings';
import { type MoveKind, type Purpose, type Shoot, trim } from '../model';
import { recipeOf } from '../motion';
import type { BoardShot } from './board-shot';
import { filmSeconds, timelineOf } from './timeline';
import type { Told } from './told';

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
    // One that grows or shrinks on the way is a step by itself.
    board.map(({ sizes: [start, middle, end] }) => (start === middle && middle === end ? start : null)),
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
