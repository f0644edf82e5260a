import { define, type FindingKinds } from '../definition';
import { gradeAbove, type FindingOf } from '../finding';
import { trim } from '../../model';
import { largest, smoothed } from '../../motion';
import { recordedFrameMm } from '../../optics';
import { type Picture, SEEN_S, whileInFrame } from '../../image';

const KINDS = {
  skew: {
    measures: 'lean of upright things, degrees',
    limits: ['leanDeg', 'joltFactor'],
    about: 'layers',
    cures: ['takeLonger', 'travelLess', 'wider', 'otherCamera'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/**
 * Lean of an upright thing that crosses the frame at a speed (frame widths a second of action) while the frame is read
 * out, degrees. `aspect`: width over height.
 */
export function leanDeg(speed: number, readOutS: number, aspect: number): number {
  return (Math.atan(speed * readOutS * aspect) * 180) / Math.PI;
}

/** How far upright things lean because the sensor is read line by line while the picture moves sideways. */
function skewFindings({ scene, samples, site, subject, intent }: Picture): Found[] {
  const { camera, limits } = scene;
  // Frame widths a second of action: the sensor is read in its own time, however it is played.
  const fastest = [site.near.rightwards, site.far.rightwards, whileInFrame(subject, subject.rightwards)]
    .map((column) =>
      largest(smoothed(column, SEEN_S * samples.frameRateHz).map((value, row) => Math.abs(value) * samples.slow[row])),
    )
    .reduce((a, b) => (a === null || (b !== null && b.value > a.value) ? b : a), null);
  if (!fastest || camera.readOutMs === 0 || fastest.value < 1e-4) return [];
  const readOutS = (camera.readOutMs / 1000) * (samples.frameHeightMm / recordedFrameMm(camera).heightMm);
  const value = leanDeg(fastest.value, readOutS, samples.frameWidthMm / samples.frameHeightMm);
  const limit = limits.leanDeg;
  const meant = intent.meantToBlur;
  const beyond = meant ? ', which does not show in the blur' : `; up to ${trim(limit, 0)}° is not noticed`;
  return [
    {
      id: 'skew',
      grade: meant ? 'calm' : gradeAbove(value, limit, limit * limits.joltFactor * 1.5),
      sentence:
        `Upright things lean by ${trim(value, 1)}° while the sensor is read out (${trim(readOutS * 1000, 0)} ms a ` +
        `frame)${value > limit ? beyond : ''}.`,
      reason:
        'The lowest line is recorded later than the highest, and the picture has moved on. A slower turn, or a ' +
        'camera that reads faster, straightens it.',
      screenS: samples.screenS[fastest.row],
      value,
      limit,
      unit: 'deg',
      said: `${trim(value, 1)}°`,
      measure: 'lean',
    },
  ];
}

export const rollingShutterSkew = define(KINDS, skewFindings);
