import { define, type FindingKinds } from '../definition';
import { percent, type FindingOf } from '../finding';
import { isShown, type Picture, shotSize } from '../../image';
import { figureShares } from './framed';

const KINDS = {
  composition: { measures: 'the size of a standing figure, frame heights', limits: [], about: 'subject', cures: [] },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Going about by more than this, frame widths, is not staying in a place. */
const CROSSES = 0.15;

/** How large the subject is, in the trade's words, and where in the frame it stands. */
function findComposition(picture: Picture): Found[] {
  const { scene, samples, subject } = picture;
  if (!scene.subject) return [];
  const shown = Array.from({ length: samples.count }, (_, row) => row).filter((row) => isShown(subject, row));
  if (shown.length === 0) return [];
  const shares = figureShares(picture);
  // Sizes are named by the body; a thing has none, and is told by how much it fills.
  const named = scene.subject.kind === 'figure';
  const say = (row: number) =>
    `${named ? shotSize(shares[row]) : `${percent(subject.height[row])} of the frame height`}, ${placeWords(subject.u[row])}`;
  const [first, last] = [shown[0], shown[shown.length - 1]];
  const [start, end] = [say(first), say(last)];
  const places = shown.map((row) => subject.u[row]);
  const [leftmost, rightmost] = [Math.min(...places), Math.max(...places)];
  const crosses = start === end && rightmost - leftmost > CROSSES;
  return [
    {
      id: 'composition',
      grade: 'calm',
      sentence: crosses
        ? `${scene.subject.name}: ${start} at first and at last; on the way from ${placeWords(leftmost)} to ` +
          `${placeWords(rightmost)}.`
        : start === end
          ? `${scene.subject.name}: ${start} throughout.`
          : `${scene.subject.name}: ${start} at first; at last ${end}.`,
      reason:
        (named
          ? 'The size is named by how much of the frame height a standing figure fills'
          : 'A standing figure there would fill of the frame height') +
        `: ${percent(shares[first])} at first, ${percent(shares[last])} at last.`,
      screenS: samples.screenS[first],
      value: shares[first],
      limit: 0,
      unit: 'frame heights',
      said: start,
      measure: 'size',
    },
  ];
}

/** Where across the frame something stands, in words. */
export function placeWords(u: number): string {
  const side = u < 0 ? 'left' : 'right';
  const away = Math.abs(u);
  if (away < 0.05) return 'in the middle';
  if (away < 0.12) return `a little ${side} of the middle`;
  if (away < 0.215) return `on the ${side} third`;
  return `near the ${side} edge`;
}

export const composition = define(KINDS, findComposition);
