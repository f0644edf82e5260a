import { define, type FindingKinds } from '../definition';
import { stretchWords, type FindingOf } from '../finding';
import { type RigKind, trim } from '../../model';
import { brewsterDeg, INDEX, leftByPolariser } from '../../light';
import { mirrored, type Mirrored, type Picture } from '../../image';

const KINDS = {
  mirrored: {
    measures: 'how long camera, operator or a lamp are seen in something that shines, s',
    limits: [],
    about: 'frame',
    cures: ['standFarther', 'higher', 'lower'],
  },
} satisfies FindingKinds;
type Found = FindingOf<`${keyof typeof KINDS}.${number}` | keyof typeof KINDS>;

/** Rigs with nobody behind the lens. */
const ALONE = new Set<RigKind>(['drone', 'rope', 'mount', 'drop', 'hoist', 'float']);
const LEAST_S = 0.1;
const MOST = 3;
const WHO: Record<Mirrored['who'], string> = { camera: 'The camera', operator: 'The operator', lamp: 'A lamp' };

const nameOf = ({ piece, glass }: Mirrored): string => (glass ? `the glass in ${piece.name}` : piece.name);

/** What a polariser does to what comes back from a surface at an angle. */
function polariserWords({ piece, glass, angleDeg }: Mirrored): string {
  if (!glass && piece.kind !== 'water' && piece.surface === 'mirror') return 'A polariser does nothing to a mirror.';
  const index = piece.kind === 'water' ? INDEX.water : !glass && piece.surface === 'paint' ? INDEX.paint : INDEX.glass;
  const left = leftByPolariser(index, angleDeg);
  const best = brewsterDeg(index);
  const says =
    left < 0.12 ? 'takes nearly all of it' : left < 0.3 ? 'takes most of it' : 'takes hardly more than half of it';
  return (
    `It is looked at ${trim(angleDeg, 0)}° from straight on: a polariser ${says}` +
    (left < 0.12 ? '.' : `; it takes most at about ${trim(best, 0)}°.`)
  );
}

function reflectionFindings({ scene, samples }: Picture): Found[] {
  const found = mirrored(scene, samples, !ALONE.has(scene.rig.kind));
  const told = found.flatMap((one) => {
    const first = one.seen.indexOf(true);
    const stride = one.rows.length > 1 ? one.rows[1] - one.rows[0] : 1;
    const rows = one.seen.filter(Boolean).length * stride;
    const forS = Math.min(rows / samples.frameRateHz, samples.screenS[samples.count - 1]);
    return forS < LEAST_S ? [] : [{ one, forS, row: one.rows[first] }];
  });
  // Where the operator is seen, the camera is too: once is enough.
  const worth = told.filter(
    ({ one }) =>
      one.who !== 'camera' || !told.some(({ one: other }) => other.who === 'operator' && nameOf(other) === nameOf(one)),
  );
  return worth
    .sort((a, b) => b.forS - a.forS)
    .slice(0, MOST)
    .map(({ one, forS, row }, i) => ({
      id: i === 0 ? ('mirrored' as const) : (`mirrored.${i + 1}` as const),
      grade: 'ripple' as const,
      sentence:
        `${WHO[one.who]} is seen in ${nameOf(one)} ${stretchWords(forS, samples.screenS[row], 1)}. ` +
        polariserWords(one),
      reason:
        'A flat side shows what lies as far before it as its image seems to lie behind. Go aside until the line square ' +
        'to the side no longer meets the camera, darken what is mirrored, or tilt the side.' +
        (one.glass ? ' In a window it shows where what lies behind the glass is darker.' : ''),
      screenS: samples.screenS[row],
      value: forS,
      limit: 0,
      unit: 's',
      said: `${forS.toFixed(1)} s`,
      measure: `seen in ${nameOf(one)}`,
    }));
}

export const reflections = define(KINDS, reflectionFindings);
