import { gradeAbove, gradeBelow, lasting, percent, seconds, stretchWords, type Finding } from '../finding';
import { trim } from '../../model/units';
import { largest, longestRun, smoothed } from '../../motion/columns';
import type { Picture } from '../../image/picture';
import { figureShare, shotSize, STANDING_M } from '../../image/shot-size';
import { isInFrame, isShown } from '../../image/subject-in-frame';

/** Looks and head room are judged over this long: a figure that passes is not framed. */
const HELD_S = 1;
/** From this share of a frame height on a figure is framed; below, it is part of the view. */
const FRAMED = 0.5;
/** From here on it is cut below the knee or closer. */
const CUT = 1.05;
/** Closer than this a head may be cut. */
const HEAD_MAY_BE_CUT = 3.6;
/** A camera tilted farther than this looks down or up at a figure, not at its framing. */
const LEVEL_DEG = 35;
const RAD = Math.PI / 180;

/** Height of joints as shares of stature (Drillis & Contini 1966, from memory). */
const JOINTS = [
  ['ankles', 0.04],
  ['knees', 0.285],
  ['hips', 0.53],
  ['neck', 0.85],
] as const;
const JOINT_BAND = 0.02;

/** Frame heights that a standing figure at the subject's distance fills, one value a row. */
export function figureShares({ scene, samples }: Picture): Float64Array {
  const figureM = scene.subject?.kind === 'figure' ? scene.subject.heightM : STANDING_M;
  return Float64Array.from({ length: samples.count }, (_, row) =>
    figureShare(figureM, samples.subjectDistanceM[row], samples.focalLengthMm[row], samples.frameHeightMm),
  );
}

/** Everything about where and how large the subject stands in the frame. */
export function compositionFindings(picture: Picture): Finding[] {
  const shares = figureShares(picture);
  const framed = framedRows(picture, shares);
  return [
    ...sizeAndPlace(picture, shares),
    ...(framed ? [...headRoom(picture, shares, framed), ...lookRoom(picture, framed), ...joints(picture, framed)] : []),
    ...alsoShape(picture),
    ...horizon(picture),
  ];
}

/** Whether the subject is a figure that the move keeps framed, row by row; null when none is. */
function framedRows(
  { scene, subject, intent, samples }: Picture,
  shares: Float64Array,
): ((row: number) => boolean) | null {
  if (scene.subject?.kind !== 'figure' || intent.subjectIn !== 'always') return null;
  return (row) => isInFrame(subject, row) && shares[row] >= FRAMED && Math.abs(samples.tiltDeg[row]) <= LEVEL_DEG;
}

function sizeAndPlace({ scene, samples, subject }: Picture, shares: Float64Array): Finding[] {
  if (!scene.subject) return [];
  const shown = Array.from({ length: samples.count }, (_, row) => row).filter((row) => isShown(subject, row));
  if (shown.length === 0) return [];
  const say = (row: number) => `${shotSize(shares[row])}, ${placeWords(subject.u[row])}`;
  const [first, last] = [shown[0], shown[shown.length - 1]];
  const [start, end] = [say(first), say(last)];
  const places = shown.map((row) => subject.u[row]);
  const [leftmost, rightmost] = [Math.min(...places), Math.max(...places)];
  const crosses = start === end && rightmost - leftmost > CROSSES;
  return [
    {
      id: 'composition',
      grade: 'calm',
      sentence: crosses
        ? `${scene.subject.name}: ${start} at first and at last; on the way from ${placeWords(leftmost)} to ${placeWords(rightmost)}.`
        : start === end
          ? `${scene.subject.name}: ${start} throughout.`
          : `${scene.subject.name}: ${start} at first; at last ${end}.`,
      reason: `The size is named by how much of the frame height a standing figure fills: ${percent(shares[first])} at first, ${percent(shares[last])} at last.`,
      screenS: samples.screenS[first],
      value: shares[first],
      limit: 0,
      unit: 'frame heights',
      said: start,
      measure: 'size',
    },
  ];
}

/** Going about by more than this, frame widths, is not staying in a place. */
const CROSSES = 0.15;

/** Where across the frame something stands, in words. */
export function placeWords(u: number): string {
  const side = u < 0 ? 'left' : 'right';
  const away = Math.abs(u);
  if (away < 0.05) return 'in the middle';
  if (away < 0.12) return `a little ${side} of the middle`;
  if (away < 0.215) return `on the ${side} third`;
  return `near the ${side} edge`;
}

function headRoom(
  { scene, samples, subject }: Picture,
  shares: Float64Array,
  framed: (row: number) => boolean,
): Finding[] {
  const { limits } = scene;
  const room = Float64Array.from({ length: samples.count }, (_, row) =>
    framed(row) && shares[row] < HEAD_MAY_BE_CUT && subject.topV[row] <= 0.5 ? 0.5 - subject.topV[row] : NaN,
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
        ? `${scene.subject?.name}’s head nearly touches the upper edge (${percent(value)} of the height above it); from ${percent(limit)} on it has room.`
        : airy
          ? `There is much air above ${scene.subject?.name}’s head: ${percent(value)} of the height; up to ${percent(limit)} at this size.`
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

/** Room ahead of where a figure looks or goes. */
function lookRoom({ scene, samples, subject }: Picture, framed: (row: number) => boolean): Finding[] {
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
          : `${scene.subject?.name} looks out of the frame: ${percent(value)} of the width ahead; from ${percent(limit)} on there is room to look and go into.`,
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

/** For how long the lower edge stays at one joint. */
function joints({ scene, samples, subject }: Picture, framed: (row: number) => boolean): Finding[] {
  const { limits } = scene;
  let worst: { name: string; rows: number; row: number; stretches: number } | null = null;
  for (const [name, height] of JOINTS) {
    const run = longestRun(samples.count, (row) => {
      if (!framed(row) || !(subject.baseV[row] < -0.5)) return false;
      const cut = (-0.5 - subject.baseV[row]) / (subject.topV[row] - subject.baseV[row]);
      return Math.abs(cut - height) <= JOINT_BAND;
    });
    if (run && (worst === null || run.rows > worst.rows)) worst = { name, ...run };
  }
  if (!worst) return [];
  const value = worst.rows / samples.frameRateHz;
  const limit = limits.jointS;
  return [
    {
      id: 'joints',
      grade: gradeAbove(value, limit, Infinity),
      sentence: `The lower edge cuts ${scene.subject?.name} at the ${worst.name} for ${lasting(value)}${value > limit ? `; up to ${seconds(limit)} it only passes` : ', in passing'}.`,
      reason: 'Between joints a cut looks chosen; through them the limb seems to end there.',
      screenS: samples.screenS[worst.row],
      value,
      limit,
      unit: 's',
      said: lasting(value),
      measure: 'time at a joint',
    },
  ];
}

/**
 * The middle of the frame that another shape is cut from: half its width in frame widths, half its height in frame
 * heights.
 */
export function innerArea(
  alsoShape: Picture['scene']['delivery']['alsoShape'],
  aspect: number,
): { halfWidth: number; halfHeight: number } | null {
  if (alsoShape === 'none') return null;
  const wanted = { upright: 9 / 16, square: 1, wide: 16 / 9 }[alsoShape];
  return { halfWidth: Math.min(0.5, wanted / aspect / 2), halfHeight: Math.min(0.5, aspect / wanted / 2) };
}

/** Whether the subject stays inside the shape that is cut out later as well. */
function alsoShape({ scene, samples, subject, intent }: Picture): Finding[] {
  const { alsoShape: shape } = scene.delivery;
  const inner = innerArea(shape, samples.frameWidthMm / samples.frameHeightMm);
  if (!inner || !scene.subject) return [];
  // Of a figure all of it across and its head; of a thing most of it: the part that matters, not its middle.
  const figure = scene.subject.kind === 'figure';
  const outside = longestRun(samples.count, (row) => {
    if (!isShown(subject, row)) return false;
    const { u, topV } = subject;
    const acrossOut = Math.abs(u[row]) + subject.halfWidth[row] * (figure ? BODY : THING) - inner.halfWidth;
    // Wider than the cut altogether: what matters is that its middle fills it.
    const tooWide = subject.halfWidth[row] * (figure ? BODY : THING) > inner.halfWidth;
    const across = tooWide ? Math.abs(u[row]) > inner.halfWidth / 2 : acrossOut > 1e-9;
    return across || Math.min(topV[row], 0.5) > inner.halfHeight + 1e-9 || topV[row] < -inner.halfHeight;
  });
  const value = outside ? outside.rows / samples.frameRateHz : 0;
  const limit = scene.limits.cutOffS;
  const kept = intent.subjectIn === 'always';
  return [
    {
      id: 'alsoShape',
      grade: kept ? gradeAbove(value, limit, Infinity) : 'calm',
      sentence: outside
        ? `${scene.subject.name} is not whole in the ${shape} cut ${stretchWords(value, samples.screenS[outside.row], outside.stretches)}.`
        : `${scene.subject.name} stays inside the ${shape} cut as well.`,
      reason:
        'People compose for the shape they see: what a second shape needs has to stay in its inner area from the start.',
      screenS: samples.screenS[outside?.row ?? 0],
      value,
      limit,
      unit: 's',
      said: lasting(value),
      measure: 'time outside the second shape',
    },
  ];
}

/**
 * How much of its width a figure fills (hat and elbows are wider), and how much of a thing has to be seen: common
 * practice, no published source.
 */
const BODY = 0.7;
const THING = 0.6;

/** Roll that nobody asked for: the body's lean and tremor that reach the frame. */
function horizon({ scene, samples }: Picture): Finding[] {
  const { shot, limits } = scene;
  const free = shot.aim.mode === 'allFollow';
  const worst = largest(
    samples.body.rollDeg.map((roll, row) => Math.abs(roll + (free ? samples.body.leanDeg[row] : 0))),
  );
  const asked = largest(samples.rollDeg.map(Math.abs));
  if (!worst) return [];
  const limit = limits.horizonRollDeg;
  const grade = gradeAbove(worst.value, limit, limit * limits.joltFactor * 2);
  const rolls = !free && asked !== null && asked.value > 0.5;
  return [
    {
      id: 'horizon',
      grade,
      sentence:
        grade === 'calm'
          ? rolls
            ? `The horizon rolls to ${trim(asked.value, 0)}°, which is meant.`
            : 'The horizon stays level.'
          : `The horizon sways by ${trim(worst.value, 1)}°; up to ${trim(limit, 1)}° is not noticed.`,
      reason: free
        ? 'A head that is free on all axes passes the hand’s lean on to the horizon.'
        : 'A horizon that is off by a little looks like a mistake; by a lot, like a choice.',
      screenS: samples.screenS[worst.row],
      value: worst.value,
      limit,
      unit: 'deg',
      said: `${trim(worst.value, 1)}°`,
      measure: 'roll of the horizon',
    },
  ];
}
