import { sayLength, trim, type Units } from '../../model';
import { depthRasterOf, focusPlaneM, subjectInFrame } from '../../image';
import type { Film } from '../../motion';
import { blurDiscMm } from '../../optics';
import { partOf } from '../../site';
import type { Scouted } from './scouted';

const WIDTH_CELLS = 320;
/** What is not wider than so many heads, and reaches above them, seems to grow out of a head: common practice. */
const THIN_HEADS = 3;

/** What is seen behind the subject's head, how far it is, and how soft. */
export function behindHead({ scene, samples }: Film, row: number, units: Units): Scouted[] {
  const { subject } = scene;
  if (!subject) return [];
  const seen = subjectInFrame(samples, scene);
  const [u, v] = [seen.u[row], seen.crownV[row]];
  if (!(Math.abs(u) <= 0.5 && Math.abs(v) <= 0.5)) return [];
  const without = scene.things.filter(({ piece }) => piece.id !== subject.id && piece.on !== subject.id);
  const { widthCells, heightCells, pieceAt, nearness } = depthRasterOf(
    { ...scene, things: without },
    samples,
    WIDTH_CELLS,
  )(row);
  const depthM = seen.depthM[row];
  const head = partOf(subject, subject.kind === 'figure' ? 'face' : 'top');
  const headCells = (head.heightM * samples.focalLengthMm[row] * widthCells) / (depthM * samples.frameWidthMm);
  const at = (x: number, y: number) => {
    const [column, line] = [Math.floor(x), Math.floor(y)];
    if (column < 0 || line < 0 || column >= widthCells || line >= heightCells) return null;
    const cell = line * widthCells + column;
    const index = pieceAt[cell];
    // What stands before the subject is not behind it.
    return index < 0 || 1 / nearness[cell] <= depthM ? null : { index, awayM: 1 / nearness[cell] };
  };
  const [x, y] = [(u + 0.5) * widthCells, (0.5 - v) * heightCells];
  const behind = at(x, y + headCells / 2);
  const name = subject.name;
  if (!behind)
    return [
      {
        id: 'behind',
        tells: 'plain',
        pieceIds: [],
        sentence: `Behind the head of ${name} is open ground or sky.`,
      },
    ];
  const { piece } = without[behind.index];
  const above = at(x, y - headCells);
  const wide = [-1, 1].reduce((sum, side) => {
    let cells = 0;
    while (at(x + side * (cells + 1), y - headCells / 2)?.index === behind.index) cells += 1;
    return sum + cells;
  }, 1);
  const grows = above?.index === behind.index && wide <= THIN_HEADS * headCells;
  const gapM = behind.awayM - depthM;
  const opticalMm = samples.focalLengthMm[row] / samples.crop[row];
  const planeM = focusPlaneM(samples, row, (scene.part?.heightM ?? 0) / 2);
  const disc =
    (blurDiscMm(opticalMm, scene.shot.fNumber, planeM, behind.awayM) * samples.crop[row]) / samples.frameWidthMm;
  const soft =
    disc < 0.0008 ? 'sharp with it' : `out of focus: a point of it spreads over ${trim(disc * 100, 1)}% of the width`;
  return [
    {
      id: 'behind',
      tells: grows ? 'mind' : 'plain',
      pieceIds: [piece.id],
      sentence:
        `Behind the head of ${name} is ${piece.name}, ${sayLength(gapM, units)} farther away, ${soft}` +
        (grows ? '. It seems to grow out of the head: step aside, or put the camera higher or lower.' : '.'),
    },
    {
      id: 'background',
      tells: gapM > depthM * 0.5 ? 'good' : 'mind',
      pieceIds: [piece.id],
      sentence:
        `The background is ${trim(behind.awayM / depthM, 1)} times as far as ${name}` +
        (gapM > depthM * 0.5
          ? ': it moves apart from the subject when the camera does.'
          : ': so close it hardly moves apart from the subject; more room behind gives more depth.'),
    },
  ];
}
