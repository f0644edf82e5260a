import { define, type FindingKinds } from '../definition';
import { gradeBelow, percent, type FindingOf } from '../finding';
import { largest, smoothed } from '../../motion';
import type { Picture } from '../../image';
import { figureShares, framedRows, HELD_S } from './framed';

const KINDS = {
  lookRoom: {
    measures: 'room ahead of a figure, frame widths',
    limits: ['lookRoom'],
    about: 'subject',
    cures: ['placeInTheMiddle', 'placeRight', 'placeLeft', 'wider'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

const RAD = Math.PI / 180;

/** Room ahead of where a figure looks or goes. */
function findLookRoom(picture: Picture): Found[] {
  const { scene, samples, subject } = picture;
  const framed = framedRows(picture, figureShares(picture));
  if (!framed) return [];
  const { limits } = scene;
  const ahead = new Float64Array(samples.count).fill(NaN);
  for (let row = 0; row < samples.count; row += 1) {
    if (!framed(row)) continue;
    const sideways = Math.sin((scene.headingAt(samples.tS[row]) - samples.panDeg[row]) * RAD);
    if (Math.abs(sideways) < 0.5) continue;
    ahead[row] = sideways > 0 ? 0.5 - subject.u[row] : 0.5 + subject.u[row];
  }
  const least = largest(smoothed(ahead, HELD_S * samples.frameRateHz).map((value) => -value));
  if (!least) return [];
  const value = Math.max(0, -least.value);
  const limit = limits.lookRoom;
  const grade = gradeBelow(value, limit, limit / 4);
  return [
    {
      id: 'lookRoom',
      grade,
      sentence:
        grade === 'calm'
          ? `${scene.subject?.name} has room ahead: ${percent(value)} of the width at least.`
          : `${scene.subject?.name} looks out of the frame: ${percent(value)} of the width ahead; from ` +
            `${percent(limit)} on there is room to look and go into.`,
      reason: 'People look where a figure looks or goes; an edge there stops the eye.',
      screenS: samples.screenS[least.row],
      value,
      limit,
      unit: 'frame widths',
      said: percent(value),
      measure: 'room ahead',
    },
  ];
}

export const lookRoom = define(KINDS, findLookRoom);
