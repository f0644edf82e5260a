import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import { isInFrame, type Picture } from '../../image';

const KINDS = {
  empty: { measures: 'pieces in the picture', limits: [], about: 'frame', cures: ['turnToSubject', 'aimAtSubject'] },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** When nothing of the site is ever in the picture. */
function findEmpty({ scene, pieces, subject, samples }: Picture): Found[] {
  if (pieces.length > 0 || samples.tS.some((_, row) => isInFrame(subject, row))) return [];
  return [
    {
      id: 'empty',
      grade: 'ripple',
      sentence:
        scene.pieces.length === 0
          ? 'The site is empty: there is nothing but ground and sky to see.'
          : 'Nothing of the site is ever in the picture: everything lies behind the camera or outside the frame.',
      reason:
        'Without anything that stands still in the picture no motion can be seen. Turn the camera, or add a ' +
        'piece to the plan.',
      screenS: 0,
      value: 0,
      limit: 1,
      unit: 'pieces',
      said: 'nothing',
      measure: 'pieces in the picture',
    },
  ];
}

export const empty = define(KINDS, findEmpty);
