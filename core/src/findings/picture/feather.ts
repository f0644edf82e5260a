import { define, type FindingKinds } from '../definition';
import { gradeAbove, percent, type FindingOf } from '../finding';
import { largest, playingOf, rowAt } from '../../motion';
import { FELT_S, type Picture } from '../../image';

const KINDS = {
  start: {
    measures: 'hardest change of speed at the start, frame widths/s²',
    limits: ['screenAcceleration', 'accelerationJoltFactor'],
    about: 'layers',
    cures: ['softerStart', 'takeALittleLonger', 'softerBoth', 'travelSomewhatLess', 'wider', 'slowMotion'],
  },
  join: {
    measures: 'hardest change of speed where moves join, frame widths/s²',
    limits: ['screenAcceleration', 'accelerationJoltFactor'],
    about: 'layers',
    cures: ['softerStart', 'takeALittleLonger', 'softerBoth', 'travelSomewhatLess', 'wider', 'slowMotion'],
  },
  stop: {
    measures: 'hardest change of speed at the stop, frame widths/s²',
    limits: ['screenAcceleration', 'accelerationJoltFactor'],
    about: 'layers',
    cures: ['softerStop', 'takeALittleLonger', 'softerBoth', 'travelSomewhatLess', 'wider', 'slowMotion'],
  },
  ramp: {
    measures: 'hardest change of speed where a ramp turns, frame widths/s²',
    limits: ['screenAcceleration', 'accelerationJoltFactor'],
    about: 'frame',
    cures: ['gentlerRamp'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

const REASONS = {
  start: 'A camera that is suddenly moving pulls the eye to the camera.',
  join: 'Where one move passes into the next the speed has to run on, or come to rest and start again softly.',
  stop: 'The stop is the harder one: arriving on the mark, at rest, without a bump.',
  ramp: 'Where the speed of playing begins or ends to change, the picture speeds up or slows down at once.',
} as const;
const NAMES = { start: 'start', join: 'join', stop: 'stop', ramp: 'change of speed' } as const;

/**
 * The start, the stop, the joins of a chain, and the corners of a ramp, each by the hardest change of speed that the
 * picture shows there.
 */
function featherFindings(picture: Picture): Found[] {
  const { screen, samples, intent, scene } = picture;
  // What carries the camera starts and stops it; the film is cut from the middle.
  if (intent.carried) return [];
  const { limits } = scene;
  const { strokes } = intent;
  const last = samples.count - 1;
  const middles = strokes.map(({ startS, endS }) => rowAt(samples, (startS + endS) / 2));
  const [first, final] = [Math.min(...middles), Math.max(...middles)];
  const limit = limits.screenAcceleration;
  const meant = intent.meantToBlur;
  const corners = rampCorners(picture);
  const beside = (row: number) =>
    corners.some(([fromS, toS]) => samples.screenS[row] >= fromS && samples.screenS[row] <= toS);
  const ofMove =
    corners.length === 0 ? screen.acceleration : screen.acceleration.map((value, row) => (beside(row) ? NaN : value));
  const ofRamp = screen.acceleration.map((value, row) => (beside(row) ? value : NaN));
  return [
    { id: 'start' as const, column: ofMove, from: 0, to: first },
    ...(strokes.length > 1 ? [{ id: 'join' as const, column: ofMove, from: first, to: Math.max(first, final) }] : []),
    { id: 'stop' as const, column: ofMove, from: Math.max(first, final), to: last },
    ...(corners.length > 0 ? [{ id: 'ramp' as const, column: ofRamp, from: 0, to: last }] : []),
  ].flatMap(({ id, column, from, to }) => {
    const peak = largest(column, from, to);
    if (!peak) return [];
    const what = NAMES[id];
    const grade = meant ? 'calm' : gradeAbove(peak.value, limit, limit * limits.accelerationJoltFactor);
    const number = `${percent(peak.value)} of the width per second squared`;
    return {
      id,
      grade,
      sentence:
        meant && peak.value > limit
          ? `The ${what} is hard (${number}), which is meant here.`
          : grade === 'calm'
            ? `The ${what} is soft (${number}).`
            : `The ${what} ${grade === 'jolt' ? 'jerks' : 'can be felt'}: the picture changes speed by ${number}; ` +
              `up to ${percent(limit)} is soft.`,
      reason: REASONS[id],
      screenS: samples.screenS[peak.row],
      value: peak.value,
      limit,
      unit: 'frame widths/s²',
      said: `${percent(peak.value)}/s²`,
      measure: `hardness of the ${what}`,
    };
  });
}

/** A change of the speed of playing within less than this is felt as one corner, s on screen. */
const ONE_CORNER_S = 1.5;

/**
 * Where the speed of playing begins or ends to change, each from and to, s on screen: what lies there is the ramp's
 * doing.
 */
function rampCorners({ scene: { shot, durationS } }: Picture): [number, number][] {
  const { ramp } = shot.playback;
  const { screenAt } = playingOf(shot, durationS);
  const corners: [number, number][] = [];
  for (let k = 1; k < ramp.length; k += 1) {
    if (Math.abs(ramp[k].speed - ramp[k - 1].speed) < 1e-6 || ramp[k - 1].atS >= durationS) continue;
    const [fromS, toS] = [screenAt(ramp[k - 1].atS), screenAt(Math.min(durationS, ramp[k].atS))].sort((a, b) => a - b);
    const reach = 1.5 * FELT_S;
    if (toS - fromS < ONE_CORNER_S) corners.push([fromS - reach, toS + reach]);
    else corners.push([fromS - reach, fromS + reach], [toS - reach, toS + reach]);
  }
  return corners;
}

export const feather = define(KINDS, featherFindings);
