import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Scene } from '../../scene';
import type { Say } from './use';
import { graded } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'way.turn': {
    measures: 'tightest turn of something that drives, m',
    limits: [],
    about: 'subject',
    cures: [],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** A way that turns tighter than what drives it can. */
function turnFindings({ things }: Scene, { length }: Say): Found[] {
  const tight = things
    .filter(({ turn }) => turn !== null && turn.tightestM < turn.leastM * 0.98)
    .sort(
      (a, b) => (a.turn?.tightestM ?? 0) / (a.turn?.leastM ?? 1) - (b.turn?.tightestM ?? 0) / (b.turn?.leastM ?? 1),
    );
  const [worst] = tight;
  if (!worst?.turn) return [];
  const { tightestM, leastM } = worst.turn;
  const { name } = worst.piece;
  return [
    graded(
      {
        id: 'way.turn',
        measure: 'turn',
        unit: 'm',
        say: length,
        value: tightestM,
        limit: leastM,
        screenS: 0,
        sentence:
          tightestM === 0
            ? `${name} turns round on the spot; what drives needs ${length(leastM)} of radius about.`
            : `${name} turns on ${length(tightestM)}; such a thing needs about ${length(leastM)}.`,
        reason: 'Move the points of its way farther apart, or round the corner in more points.',
      },
      tightestM < leastM * 0.6 ? 'cannot' : 'tight',
    ),
  ];
}

export const wayTurn = define(KINDS, ({ scene, say }: RigCase) => turnFindings(scene, say));
