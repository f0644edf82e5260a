import { subjectWords } from '../../scene';
import { define, type FindingKinds } from '../definition';
import { percent, speedWords, gradeAbove, type FindingOf } from '../finding';
import { smoothSpeed, trim } from '../../model';
import { openOnScreenS, type Picture, SEEN_S, shownShutterDeg, whileInFrame } from '../../image';
import { largest, smoothed } from '../../motion';
import { exposureTimeS } from '../../optics';

const KINDS = {
  'blur.subject': {
    measures: 'smear of the subject while the shutter is open, frame widths',
    limits: ['subjectBlur', 'joltFactor'],
    about: 'subject',
    cures: ['takeLonger', 'shorterShutter', 'travelLess', 'wider', 'aimAtSubject'],
  },
  'blur.shutter': {
    measures: 'how long the shutter is open of a shown picture, degrees',
    limits: ['shortShutterDeg', 'crossingTimeAt24S'],
    about: 'layers',
    cures: ['longerShutter', 'takeLonger', 'travelLess'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Blur of the subject while the shutter is open, and the opposite: a shutter too short for the speed. */
function blurFindings(picture: Picture): Found[] {
  const { limits } = picture.scene;
  if (picture.intent.meantToBlur) return [];
  const { samples, scene } = picture;
  const { shutterDeg } = scene.shot;
  const peak = largest(smoothed(whileInFrame(picture.subject, picture.subject.speed), SEEN_S * samples.frameRateHz));
  const findings: Found[] = [];
  if (peak) {
    const blur = peak.value * openOnScreenS(picture, peak.row);
    const limit = limits.subjectBlur;
    const pixels = Math.round(blur * scene.delivery.widthPx);
    findings.push({
      id: 'blur.subject',
      grade: gradeAbove(blur, limit, limit * limits.joltFactor),
      sentence:
        `${scene.subject ? subjectWords(scene) : 'The subject'} smears over ${pixels} of ${scene.delivery.widthPx} pixels while ` +
        `the shutter is open; up to ${Math.round(limit * scene.delivery.widthPx)} looks sharp enough.`,
      reason: `The shutter is open for 1/${Math.round(1 / exposureTimeS(shutterDeg, samples.captureRateHz))} s.`,
      screenS: samples.screenS[peak.row],
      value: blur,
      limit,
      unit: 'frame widths',
      said: `${pixels} pixels`,
      measure: 'blur',
    });
  }
  const fastest = [
    picture.site.near.speed,
    whileInFrame(picture.subject, picture.subject.speed),
    picture.site.far.speed,
  ]
    .map((column) => largest(smoothed(column, SEEN_S * samples.frameRateHz)))
    .reduce((a, b) => (a === null || (b !== null && b.value > a.value) ? b : a), null);
  const shownDeg = fastest ? shownShutterDeg(picture, fastest.row) : 360;
  const otherwise = Math.abs(shownDeg - shutterDeg) > 1 ? `, ${trim(shutterDeg, 0)}° of what is recorded` : '';
  if (
    fastest &&
    shownDeg < limits.shortShutterDeg - 1e-6 &&
    fastest.value > smoothSpeed(samples.frameRateHz, limits) / 2
  )
    findings.push({
      id: 'blur.shutter',
      grade: shownDeg < limits.shortShutterDeg / 2 ? 'jolt' : 'ripple',
      sentence:
        `The shutter is open for ${trim(shownDeg, 0)}° of a shown picture only${otherwise}, while the picture ` +
        `moves at ${speedWords(fastest.value)}; from ${limits.shortShutterDeg}° on the frames join up.`,
      reason:
        `Each frame is sharp for itself (blur ${percent(fastest.value * openOnScreenS(picture, fastest.row))} of ` +
        'the width), so motion looks hard and jittery. An ND filter lets the shutter stay open longer.',
      screenS: samples.screenS[fastest.row],
      value: shownDeg,
      limit: limits.shortShutterDeg,
      unit: 'deg',
      said: `${trim(shownDeg, 0)}°`,
      measure: 'shutter',
    });
  return findings;
}

export const blur = define(KINDS, blurFindings);
