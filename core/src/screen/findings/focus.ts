import { gradeAbove, type Finding } from '../../model/finding';
import { sayLength, trim } from '../../model/units';
import { largest } from '../../motion/columns';
import { blurDiscMm, depthOfField } from '../../optics/depth-of-field';
import type { Picture } from '../picture';
import { isInFrame } from '../subject-in-frame';

/** Whether the subject is sharp at the start, on the way and at the end; of a shot that racks, how quickly the focus turns. */
export function focusFindings(picture: Picture): Finding[] {
  return picture.motion.legs.some(({ recipe }) => recipe.focus !== undefined) ? rackFindings(picture) : sharpnessFindings(picture);
}

/** How many times the blur that still looks sharp the subject's blur disc is, one value a row; NaN while it is not in the picture. */
export function subjectBlur({ setup, samples, subject }: Picture): Float64Array {
  const { fNumber } = setup.shot;
  return Float64Array.from({ length: samples.count }, (_, row) => {
    if (!setup.subject || !isInFrame(subject, row)) return NaN;
    const opticalMm = samples.focalLengthMm[row] / samples.crop[row];
    const sharpMm = (setup.limits.confusionShare * samples.frameWidthMm) / samples.crop[row];
    return Math.min(MOST_BLUR, blurDiscMm(opticalMm, fNumber, samples.focusDistanceM[row], Math.max(0.02, samples.subjectDistanceM[row])) / sharpMm);
  });
}

/** Beyond this nothing can be made out anyway. */
const MOST_BLUR = 1000;
const SOFT_FACTOR = 3;

function sharpnessFindings(picture: Picture): Finding[] {
  const { setup, samples, words } = picture;
  const blur = subjectBlur(picture);
  const worst = largest(blur);
  if (!worst || !setup.subject) return [];
  const { shot, subject } = setup;
  const shown = [...blur.keys()].filter((row) => !Number.isNaN(blur[row]));
  const [first, last] = [shown[0], shown[shown.length - 1]];
  const word = (row: number) => (blur[row] <= 1 ? 'sharp' : blur[row] <= SOFT_FACTOR ? 'soft' : 'out of focus');
  const grade = gradeAbove(worst.value, 1, SOFT_FACTOR);
  const focusM = samples.focusDistanceM[worst.row];
  const field = depthOfField(
    samples.focalLengthMm[worst.row] / samples.crop[worst.row],
    shot.fNumber,
    (setup.limits.confusionShare * samples.frameWidthMm) / samples.crop[worst.row],
    focusM,
  );
  const far = Number.isFinite(field.farM) ? `to ${sayLength(field.farM, words.units)}` : 'to the horizon';
  const how = shot.focus.mode === 'fixed' ? `focus stays at ${sayLength(focusM, words.units)}` : 'focus follows';
  return [
    {
      id: 'focus.sharp',
      grade,
      sentence:
        grade === 'calm'
          ? `${subject.name} is sharp at the start, on the way and at the end (${how}).`
          : `${subject.name} is ${word(first)} at the start, ${word(worst.row)} on the way and ${word(last)} at the end: ${how}, and f/${trim(shot.fNumber, 1)} holds ${sayLength(field.nearM, words.units)} ${far}.`,
      reason: 'A deep stop and a constant distance replace a focus puller; otherwise somebody or something has to follow.',
      tS: samples.screenS[worst.row],
      value: worst.value,
      limit: 1,
      unit: '× what looks sharp',
      said: `${trim(worst.value, 1)} times what looks sharp`,
      measure: 'blur of the subject',
    },
  ];
}

function rackFindings({ samples, setup }: Picture): Finding[] {
  const { limits } = setup;
  const { focusDistanceM, count } = samples;
  const rate = new Float64Array(count).fill(NaN);
  for (let row = 1; row < count; row += 1) rate[row] = Math.abs(1 / focusDistanceM[row] - 1 / focusDistanceM[row - 1]) * samples.captureRateHz;
  const peak = largest(rate);
  if (!peak) return [];
  const [from, to] = [focusDistanceM[0], focusDistanceM[count - 1]];
  const limit = limits.focusRate;
  const nothing = peak.value < 1e-6;
  const grade = nothing ? 'ripple' : gradeAbove(peak.value, limit, limit * limits.joltFactor);
  return [
    {
      id: 'focus.rack',
      grade,
      sentence: nothing
        ? 'The focus has nowhere to go: both ends of the rack are the same. Choose what it goes from and to.'
        : `The focus goes from ${trim(from, 2)} m to ${trim(to, 2)} m, at most ${trim(peak.value, 2)} dioptres a second; up to ${trim(limit, 1)} a hand can pull evenly.`,
      reason: 'A pull is the hardest part of a shot: rehearse it and mark both ends.',
      tS: samples.screenS[peak.row],
      value: peak.value,
      limit,
      unit: 'dioptres/s',
      said: `${trim(peak.value, 2)} dioptres a second`,
      measure: 'focus pull',
    },
  ];
}
