import { define, type FindingKinds } from '../definition';
import { gradeAbove, percent, type FindingOf } from '../finding';
import { type Picture, shakeInFrame, steadied, type Steadied } from '../../image';
import { trim } from '../../model';

const KINDS = {
  shake: {
    measures: 'bob and tremor, frame widths',
    limits: ['wobble', 'wobbleJoltFactor'],
    about: 'layers',
    cures: ['gentlerGait', 'otherRig', 'slowMotion', 'standFarther', 'wider'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** How far the body under the camera shakes the picture. Only said when something does. */
function shakeFindings({ scene, samples, depthM, site, intent }: Picture): Found[] {
  const { limits } = scene;
  // What carries the camera goes along with it: the world behind is what shakes.
  const behind = intent.carried ? site.far.depthM.map((far, row) => (far > 0 ? far : site.near.depthM[row])) : depthM;
  const share = scene.shot.after.stabilisingPercent / 100;
  const after = share > 0 ? steadied(samples, behind, share) : null;
  const worst = after ? { value: after.left, row: after.leftRow } : shakeInFrame(samples, behind);
  if (!worst || (!after && worst.value < 1e-5)) return [];
  const limit = limits.wobble;
  const grade = gradeAbove(worst.value, limit, limit * limits.wobbleJoltFactor);
  const { gait, rig } = scene;
  const pixels = Math.round(worst.value * scene.delivery.widthPx);
  return [
    {
      id: 'shake',
      grade,
      sentence: after
        ? steadiedWords(after, share, limit, grade === 'calm')
        : grade === 'calm'
          ? `The body hardly shows: ${percent(worst.value)} of the width (${gait.name}, ${rig.name}).`
          : `The picture bobs by ${percent(worst.value)} of the width (${pixels} pixels) with ${gait.name} on ` +
            `${rig.name}; up to ${percent(limit)} is not noticed.`,
      reason: after
        ? bandWords(after)
        : 'The closer and the longer the lens, the larger every step and tremor becomes. A gimbal takes away ' +
          'turning, not the up and down of walking.',
      screenS: samples.screenS[worst.row],
      value: worst.value,
      limit,
      unit: 'frame widths',
      said: percent(worst.value),
      measure: 'wobble',
    },
  ];
}

/** What was there and what is left, by how quickly it goes. */
const bandWords = ({ bands }: Steadied): string =>
  `On average, before and after: ${bands
    .map(
      ({ fromHz, toHz, before, left }, i) =>
        `${BAND_NAMES[i]} ` +
        `(${fromHz === 0 ? `below ${toHz}` : i === bands.length - 1 ? `above ${fromHz}` : `${fromHz} to ${toHz}`} ` +
        `a second) ${percent(before)} to ${percent(left)}`,
    )
    .join(', ')} of the width. Stabilising follows what is slow, and ends at the margin.`;
const BAND_NAMES = ['sway', 'steps', 'tremor'];

/** What stabilising afterwards takes away, and what it cannot. */
function steadiedWords(
  { before, left, followsS, atMargin }: Steadied,
  share: number,
  limit: number,
  calm: boolean,
): string {
  const stays =
    atMargin > 0.02
      ? `what swings farther than ${percent(share / 2)} to a side stays`
      : `what is slower than ${trim(2 * followsS, 1)} s stays`;
  return (
    `Stabilising by ${percent(share)} takes the bob from ${percent(before)} to ${percent(left)} of the ` +
    `width: ${stays}, ` +
    `and what smeared stays smeared${calm ? '' : `; up to ${percent(limit)} is not noticed`}.`
  );
}

export const shake = define(KINDS, shakeFindings);
