import { define, type FindingKinds } from '../definition';
import { gradeAbove, percent, type FindingOf } from '../finding';
import { type Picture, shakeInFrame } from '../../image';

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
function shakeFindings({ scene, samples, depthM }: Picture): Found[] {
  const { limits } = scene;
  const worst = shakeInFrame(samples, depthM);
  if (!worst || worst.value < 1e-5) return [];
  const limit = limits.wobble;
  const grade = gradeAbove(worst.value, limit, limit * limits.wobbleJoltFactor);
  const { gait, rig } = scene;
  const pixels = Math.round(worst.value * scene.delivery.widthPx);
  return [
    {
      id: 'shake',
      grade,
      sentence:
        grade === 'calm'
          ? `The body hardly shows: ${percent(worst.value)} of the width (${gait.name}, ${rig.name}).`
          : `The picture bobs by ${percent(worst.value)} of the width (${pixels} pixels) with ${gait.name} on ` +
            `${rig.name}; up to ${percent(limit)} is not noticed.`,
      reason:
        'The closer and the longer the lens, the larger every step and tremor becomes. A gimbal takes away ' +
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

export const shake = define(KINDS, shakeFindings);
