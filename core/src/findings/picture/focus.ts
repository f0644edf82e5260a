import { subjectWords } from '../../scene';
import { define, type FindingKinds } from '../definition';
import { findPassing } from './passing';
import { gradeAbove, type FindingOf } from '../finding';
import { sayLength, trim } from '../../model';
import { largest } from '../../motion';
import { blurDiscMm, depthOfField } from '../../optics';
import { fastestPull, isInFrame, type Picture, pullBy, PULLER_WORDS } from '../../image';

const KINDS = {
  'focus.sharp': {
    measures: 'blur of the subject, × what looks sharp',
    limits: ['confusionShare'],
    about: 'subject',
    cures: ['focusFollows', 'stopDown', 'focusOnTheWay', 'wider'],
  },
  'focus.rack': {
    measures: 'how quickly the focus is racked, degrees of the ring or dioptres a second',
    limits: ['handRing', 'motorRing', 'autofocusRate', 'joltFactor'],
    about: 'subject',
    cures: ['longerRacks', 'takeLonger', 'softerBoth', 'otherPuller'],
  },
  'focus.pull': {
    measures: 'how quickly the focus has to follow, degrees of the ring or dioptres a second',
    limits: ['handRing', 'motorRing', 'autofocusRate', 'joltFactor'],
    about: 'subject',
    cures: ['oneFocus', 'takeLonger', 'softerBoth', 'standFarther', 'otherPuller'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Whether the subject is sharp at the start, on the way and at the end, and how quickly the focus has to go. */
function focusFindings(picture: Picture): Found[] {
  const { scene, intent } = picture;
  if (scene.shot.focus.mode === 'racks' || intent.racksFocus) return pullFindings(picture, 'focus.rack');
  return [...sharpnessFindings(picture), ...(scene.subject ? pullFindings(picture, 'focus.pull') : [])];
}

/**
 * How many times the blur that still looks sharp the subject's blur disc is, one value a row; NaN while it is not in
 * the picture.
 */
export function subjectBlur({ scene, samples, subject }: Picture): Float64Array {
  const { fNumber } = scene.shot;
  return Float64Array.from({ length: samples.count }, (_, row) => {
    if (!scene.subject || !isInFrame(subject, row)) return NaN;
    const opticalMm = samples.focalLengthMm[row] / samples.crop[row];
    const sharpMm = (scene.limits.confusionShare * samples.frameWidthMm) / samples.crop[row];
    return Math.min(
      MOST_BLUR,
      blurDiscMm(opticalMm, fNumber, samples.focusDistanceM[row], Math.max(0.02, samples.subjectDistanceM[row])) /
        sharpMm,
    );
  });
}

/** Beyond this nothing can be made out anyway. */
const MOST_BLUR = 1000;
const SOFT_FACTOR = 3;

function sharpnessFindings(picture: Picture): Found[] {
  const { scene, samples, units } = picture;
  const blur = subjectBlur(picture);
  const worst = largest(blur);
  if (!worst || !scene.subject) return [];
  const { shot } = scene;
  const shown = [...blur.keys()].filter((row) => !Number.isNaN(blur[row]));
  const [first, last] = [shown[0], shown[shown.length - 1]];
  const word = (row: number) => (blur[row] <= 1 ? 'sharp' : blur[row] <= SOFT_FACTOR ? 'soft' : 'out of focus');
  const grade = gradeAbove(worst.value, 1, SOFT_FACTOR);
  const focusM = samples.focusDistanceM[worst.row];
  const field = depthOfField(
    samples.focalLengthMm[worst.row] / samples.crop[worst.row],
    shot.fNumber,
    (scene.limits.confusionShare * samples.frameWidthMm) / samples.crop[worst.row],
    focusM,
  );
  const far = Number.isFinite(field.farM) ? `to ${sayLength(field.farM, units)}` : 'to the horizon';
  const how = shot.focus.mode === 'fixed' ? `focus stays at ${sayLength(focusM, units)}` : 'focus follows';
  return [
    {
      id: 'focus.sharp',
      grade,
      sentence:
        grade === 'calm'
          ? `${subjectWords(scene)} is sharp at the start, on the way and at the end (${how}).`
          : `${subjectWords(scene)} is ${word(first)} at the start, ${word(worst.row)} on the way and ` +
            `${word(last)} at ` +
            `the end: ${how}, and f/${trim(shot.fNumber, 1)} holds ${sayLength(field.nearM, units)} ${far}.`,
      reason:
        'A deep stop and a constant distance replace a focus puller; otherwise somebody or something has to follow.',
      screenS: samples.screenS[worst.row],
      value: worst.value,
      limit: 1,
      unit: '× what looks sharp',
      said: `${trim(worst.value, 1)} times what looks sharp`,
      measure: 'blur of the subject',
    },
  ];
}

const QUICK_PULL = {
  hand: 'A pull is the hardest part of a shot: rehearse it and mark both ends.',
  motor: 'Set the ends of the motor before the take, and try it at speed.',
  autofocus: 'Fast subjects beat autofocus: it hunts, and the hunting shows.',
};

/** How quickly the focus has to go, against who pulls it. */
function pullFindings(picture: Picture, id: 'focus.rack' | 'focus.pull'): Found[] {
  const { filmed, scene, intent } = picture;
  const { limits, lens, shot } = scene;
  const { focusDistanceM, count } = filmed;
  const pull = fastestPull(filmed, lens);
  // What passes close is told with its speed and its miss.
  if (id === 'focus.pull' && (!pull || findPassing(picture).some(({ grade }) => grade !== 'calm'))) return [];
  const { value, limit, unit } = pullBy(pull ?? { dioptresPerS: 0, ringDegps: 0, row: 0 }, shot.puller, limits);
  const { subject, does } = PULLER_WORDS[shot.puller];
  const dark = intent.goesDark;
  const say = (amount: number) =>
    unit === 'deg/s' ? `${trim(amount, 0)}° of the ring a second` : `${trim(amount, 2)} dioptres a second`;
  // A start out of focus is seen to become sharp, not to turn: only a pull that nobody can make is told.
  const fromSoft = shot.focus.mode === 'racks' && shot.focus.from.on === 'distance';
  const grade = !pull
    ? 'ripple'
    : dark
      ? 'calm'
      : fromSoft
        ? gradeAbove(value, limit * limits.joltFactor ** 2, Infinity)
        : gradeAbove(value, limit, limit * limits.joltFactor);
  const way =
    id === 'focus.rack'
      ? `goes from ${trim(focusDistanceM[0], 2)} m to ${trim(focusDistanceM[count - 1], 2)} m, at most`
      : 'has to follow at up to';
  const unseen = dark
    ? ', and in the dark it does not show'
    : fromSoft && grade === 'calm'
      ? ', and from out of focus it does not show'
      : '';
  return [
    {
      id,
      grade,
      sentence: !pull
        ? 'The focus has nowhere to go: both ends of the rack are the same. Choose what it goes from and to.'
        : `The focus ${way} ${say(value)}; up to ${unit === 'deg/s' ? `${trim(limit, 0)}°` : trim(limit, 1)} ` +
          `${subject} ${does}${unseen}.`,
      reason: QUICK_PULL[shot.puller],
      screenS: filmed.screenS[pull?.row ?? 0],
      value,
      limit,
      unit,
      said: say(value),
      measure: 'focus pull',
    },
  ];
}

export const focus = define(KINDS, focusFindings);
