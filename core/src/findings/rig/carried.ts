import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import { graded } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.carried': {
    measures: 'whether the camera is fixed to what carries it',
    limits: [],
    about: 'frame',
    cures: ['otherRig'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** A camera that its subject carries wants a mount; a mount goes nowhere by itself. */
function carriedFindings({ scene: { rig, subject, carries }, intent, say: { length } }: RigCase): Found[] {
  const mounted = rig.kind === 'mount';
  if (carries === mounted) return [];
  return [
    graded(
      {
        id: 'rig.carried',
        measure: 'mount',
        unit: '',
        say: length,
        value: 1,
        limit: 0,
        screenS: 0,
        sentence: intent.carried
          ? `${subject?.name ?? 'The subject'} carries the camera; ${rig.name} is not fixed to it. Take a mount.`
          : `${rig.name} is fixed to whoever carries it; this move travels by itself.`,
        reason: 'Strap, clamp or sucker, with a second line: what the camera is fixed to holds still in the frame.',
      },
      'cannot',
    ),
  ];
}

export const carried = define(KINDS, carriedFindings);
