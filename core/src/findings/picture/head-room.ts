import { define, type FindingKinds } from '../definition';
import { percent, type FindingOf } from '../finding';
import { largest, smoothed } from '../../motion';
import type { Picture } from '../../image';
import { figureShares, framedRows, HELD_S } from './framed';

const KINDS = {
  headRoom: {
    measures: 'air above the head, frame heights',
    limits: ['headRoomLeast', 'headRoomMost'],
    about: 'subject',
    cures: ['placeForHeadRoom', 'distanceForHeadRoom', 'lensForHeadRoom'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** From here on it is cut below the knee or closer. */
const CUT = 1.05;
/** Closer than this a head may be cut. */
const HEAD_MAY_BE_CUT = 3.6;

/** Air above a framed figure's head: too little presses it down, too much lets it sink. */
function findHeadRoom(picture: Picture): Found[] {
  const { scene, samples, subject, edgeV } = picture;
  const shares = figureShares(picture);
  const framed = framedRows(picture, shares);
  if (!framed) return [];
  const { limits } = scene;
  const room = Float64Array.from({ length: samples.count }, (_, row) =>
    framed(row) && shares[row] < HEAD_MAY_BE_CUT && subject.crownV[row] <= edgeV ? edgeV - subject.crownV[row] : NaN,
  );
  const least = largest(room.map((value) => -value));
  const most = largest(
    smoothed(
      room.map((value, row) => (shares[row] >= CUT ? value : NaN)),
      HELD_S * samples.frameRateHz,
    ),
  );
  if (!least) return [];
  const tight = -least.value < limits.headRoomLeast;
  const airy = most !== null && most.value > limits.headRoomMost;
  const [value, row] = airy && !tight && most ? [most.value, most.row] : [-least.value, least.row];
  const limit = airy && !tight ? limits.headRoomMost : limits.headRoomLeast;
  return [
    {
      id: 'headRoom',
      grade: tight || airy ? 'ripple' : 'calm',
      sentence: tight
        ? `${scene.subject?.name}’s head nearly touches the upper edge (${percent(value)} of the height above ` +
          `it); from ${percent(limit)} on it has room.`
        : airy
          ? `There is much air above ${scene.subject?.name}’s head: ${percent(value)} of the height; up to ` +
            `${percent(limit)} at this size.`
          : `${scene.subject?.name}’s head has room: ${percent(value)} of the height above it at least.`,
      reason: 'Too little room presses the head down, too much makes a figure sink.',
      screenS: samples.screenS[row],
      value,
      limit,
      unit: 'frame heights',
      said: percent(value),
      measure: 'head room',
    },
  ];
}

export const headRoom = define(KINDS, findHeadRoom);
