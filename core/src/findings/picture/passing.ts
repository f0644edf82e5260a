import { define, type FindingKinds } from '../definition';
import { percent, type FindingOf } from '../finding';
import { sayLength, saySpeed, trim } from '../../model';
import { distanceToThingM } from '../../scene';
import { PULLER_WORDS, pullBy, type Picture } from '../../image';
import { exposureTimeS, ringDegPerDioptre } from '../../optics';

const KINDS = {
  passing: {
    measures: 'how quickly focus would have to follow what passes, degrees of the ring or dioptres a second',
    limits: ['handRing', 'motorRing', 'autofocusRate'],
    about: 'subject',
    cures: ['oneFocus', 'standFarther', 'otherPuller'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** What is slower, or never nearer, is followed as anything else. Common practice, no published source. */
const FAST_MPS = 2;
const CLOSE_M = 8;

/**
 * A subject that passes close: its speed and miss, what focus and shutter make of it, and that a focus set beforehand
 * where it will be beats any that follows.
 */
const known = new WeakMap<Picture, Found[]>();

/** Two findings ask: it is measured once for a picture. */
export function findPassing(picture: Picture): Found[] {
  const found = known.get(picture) ?? measured(picture);
  known.set(picture, found);
  return found;
}

function measured({ scene, samples, filmed, units, intent }: Picture): Found[] {
  const who = scene.things.find(({ piece }) => piece === scene.subject);
  const goes = scene.shot.walks.some(({ pieceId, points }) => pieceId === scene.subject?.id && points.length > 1);
  if (!who || !goes || intent.carried) return [];
  const { count, captureRateHz: hz, xM, yM, zM, tS } = filmed;
  let nearest = { distanceM: Infinity, row: 0 };
  let [rate, rateRow, fastest] = [0, 0, 0];
  let before = NaN;
  const [rates, awayM] = [new Float64Array(count), new Float64Array(count)];
  const [a, b] = [new Float64Array(3), new Float64Array(3)];
  for (let row = 0; row < count; row += 1) {
    const distanceM = Math.max(0.05, distanceToThingM(who, tS[row], xM[row], yM[row], zM[row], zM[row]));
    if (distanceM < nearest.distanceM) nearest = { distanceM, row };
    const dioptres = Math.abs(1 / distanceM - 1 / before) * hz;
    if (dioptres > rate) [rate, rateRow] = [dioptres, row];
    rates[row] = dioptres || 0;
    awayM[row] = distanceM;
    before = distanceM;
  }
  who.at(tS[nearest.row] - 0.1, a);
  who.at(tS[nearest.row] + 0.1, b);
  const row = Math.min(count - 1, Math.max(1, nearest.row));
  const own = (column: Float64Array) => (column[row] - column[row - 1]) * hz;
  fastest = Math.hypot((b[0] - a[0]) / 0.2 - own(xM), (b[1] - a[1]) / 0.2 - own(yM));
  if (fastest < FAST_MPS || nearest.distanceM > CLOSE_M) return [];
  const { shot, lens, limits, delivery } = scene;
  const pull = { dioptresPerS: rate, ringDegps: rate * ringDegPerDioptre(lens), row: rateRow };
  const { value, limit, unit } = pullBy(pull, shot.puller, limits);
  const { subject, does } = PULLER_WORDS[shot.puller];
  const say = (amount: number) =>
    unit === 'deg/s' ? `${trim(amount, 0)}° of the ring` : `${trim(amount, 2)} dioptres`;
  const follows = shot.focus.mode === 'follow';
  const loses = follows && value > limit;
  // From how far on it goes too quickly to be followed.
  const lostRow = rates.findIndex((one) => one * (value / rate) > limit);
  // How far it smears while the shutter is open, the camera aimed where it is.
  const smear =
    (fastest * exposureTimeS(shot.shutterDeg, shot.captureRateHz) * filmed.focalLengthMm[nearest.row]) /
    (nearest.distanceM * filmed.frameWidthMm);
  const screenS = samples.screenS[Math.min(samples.count - 1, nearest.row)];
  return [
    {
      id: 'passing',
      grade: loses ? (value > limit * limits.joltFactor ? 'jolt' : 'ripple') : 'calm',
      sentence:
        `${scene.subject?.name} passes at ${sayLength(nearest.distanceM, units)} and ` +
        `${saySpeed(fastest, units)}: focus ` +
        `would go ${say(value)} a second; ` +
        (follows
          ? loses
            ? `${subject} ${does} to ${say(limit)} a second and loses it from ` +
              `${sayLength(awayM[lostRow], units)} on. ` +
              'Set the focus beforehand where it will be.'
            : `${subject} ${does}.`
          : 'it is set beforehand.') +
        ` A camera that does not turn along smears it over ${percent(smear)} of the width ` +
        `(${Math.round(smear * delivery.widthPx)} pixels).`,
      reason:
        'Fast things beat focus that follows: have it stand where it will be, set the focus there and ' +
        'wait. Turn along ' +
        'with it, or shorten the shutter, to keep it clear.',
      screenS,
      value,
      limit,
      unit,
      said: `${say(value)} a second`,
      measure: 'focus on what passes',
    },
  ];
}

export const passing = define(KINDS, findPassing);
