import { trim } from '../model';
import type { CompareBy, LensColumn } from './compare-lenses';

/** Less than this no depth is seen at all, frame widths a second. */
const LEAST_DEPTH = 1e-3;
/** A camera that travels less stays where it is, m. */
const STAYS_M = 0.01;
/** What is within this of each other looks alike. */
const ALIKE = 1.1;

const mm = ({ focalLengthMm }: LensColumn) => `${trim(focalLengthMm, 0)} mm`;
const list = (words: readonly string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;
/** `2.0 times as strongly as`, `far more strongly than`, and `about as strongly as` where a number would say 1.0. */
const times = (ratio: number, how: 'strongly' | 'quickly') =>
  ratio >= 100
    ? `far more ${how} than`
    : ratio < 1.05
      ? `about as ${how} as`
      : `${ratio.toFixed(ratio < 9.95 ? 1 : 0)} times as ${how} as`;

/**
 * One sentence or two on which focal length shows depth best, for the numbers that are shown, and why. `columns`:
 * shortest first.
 */
export function verdictOnLenses(columns: readonly LensColumn[], by: CompareBy): string {
  if (columns.length < 2) return 'Choose two or more focal lengths to compare.';
  const possible = columns.filter(({ grade }) => grade !== 'cannot');
  const out = columns.filter(({ grade }) => grade === 'cannot');
  const dropped = out.length === 0 ? '' : ` Left out: ${leftOut(out)}.`;
  if (possible.length === 0) {
    // What the rig cannot do at any focal length does not keep them from being compared.
    const alike = columns.filter(({ framingOff }) => framingOff === null);
    return alike.length < 2
      ? `None of these can be compared.${dropped}`
      : `${among(alike, by)} But none of them can be made as it is planned: ${alike[0].why[0] ?? ''}`;
  }
  if (possible.length === 1) return `Only ${mm(possible[0])} can make this shot.${dropped}`;
  return `${among(possible, by)}${dropped}`;
}

/** Those that cannot be made, each with its first reason; those of one reason together. */
function leftOut(columns: readonly LensColumn[]): string {
  const reasons = new Map<string, LensColumn[]>();
  for (const column of columns) {
    const why = (column.why[0] ?? 'it cannot be done').replace(/\.$/, '');
    reasons.set(why, [...(reasons.get(why) ?? []), column]);
  }
  return [...reasons].map(([why, rows]) => `${list(rows.map(mm))} (${why})`).join('; ');
}

function among(columns: readonly LensColumn[], by: CompareBy): string {
  if (columns.every(({ travelM }) => travelM < STAYS_M))
    return (
      'The camera stays where it is, so nothing parts in depth: the focal length only decides how much of the ' +
      'place is in the picture.'
    );
  const strongest = columns.reduce((a, b) => (b.parallax > a.parallax ? b : a));
  if (strongest.parallax < LEAST_DEPTH)
    return 'Nothing slides past anything here: the focal length only changes how much of the place is in the picture.';
  const withNear = columns.filter(({ nearSpeed }) => nearSpeed !== null);
  // Depth without anything near is only the background's: what has lost the near things does not win over what shows
  // them.
  const lost = withNear.length > 0 && strongest.nearSpeed === null;
  const best = lost ? withNear.reduce((a, b) => (b.parallax > a.parallax ? b : a)) : strongest;
  const lostWords = lost
    ? ` At ${mm(strongest)} the background sweeps ` +
      `${times(strongest.parallax / Math.max(1e-9, best.parallax), 'quickly')} at ${mm(best)}, but nothing near ` +
      'is left in the picture.'
    : '';
  const others = columns.filter((column) => column !== best && !(lost && column === strongest));
  if (others.length === 0) return `Only ${mm(best)} still has something near in its picture.${lostWords}`;
  const weakest = others.reduce((a, b) => (b.parallax < a.parallax ? b : a));
  const ratioOf = (column: LensColumn) => (column.parallax > 1e-6 ? best.parallax / column.parallax : Infinity);
  if (ratioOf(weakest) < ALIKE)
    return (
      `The focal length hardly matters here: depth shows alike from ${mm(columns[0])} to ` +
      `${mm(columns[columns.length - 1])}.${lostWords}`
    );
  const alike = others.filter((column) => ratioOf(column) < ALIKE);
  const behind = others.filter((column) => ratioOf(column) >= ALIKE);
  const reason = reasonOf(best, weakest, by);
  const compared = list(behind.map((column) => `${times(ratioOf(column), 'strongly')} ${mm(column)}`));
  if (alike.length > 0) {
    const names = [best, ...alike].sort((a, b) => a.focalLengthMm - b.focalLengthMm).map(mm);
    const share = list(behind.map((column) => `${mm(column)} shows ${Math.round(100 / ratioOf(column))}% of it`));
    return `Here ${list(names)} show depth alike; ${share}.${lostWords}`;
  }
  const ends = best === columns[0] || best === columns[columns.length - 1];
  const word = ends ? (best.focalLengthMm < weakest.focalLengthMm ? 'wide' : 'long') : mm(best);
  return `Here ${word} wins: ${ends ? mm(best) : 'it'} shows depth ${compared}${reason}.${lostWords}`;
}

/** Why the best shows more than the weakest. */
function reasonOf(best: LensColumn, weakest: LensColumn, by: CompareBy): string {
  const wide = best.focalLengthMm < weakest.focalLengthMm;
  if ((best.nearSpeed ?? 0) >= (best.farSpeed ?? 0))
    return wide
      ? by === 'framing'
        ? ', because the camera stands closer, so near things pass quickly for each metre it travels'
        : ', because more of what is near stays in the frame'
      : ', because what stands near the lens crosses a narrower frame quickly';
  return wide && by === 'framing'
    ? ', because the camera stands closer and has to turn farther to hold the subject, so the background sweeps past'
    : ', because a far background sweeps a narrow frame quickly for each degree the camera turns';
}
