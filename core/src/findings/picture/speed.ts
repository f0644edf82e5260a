import { gradeAbove, percent, speedWords, trimmedSeconds, type Finding } from '../finding';
import { smoothSpeed } from '../../model/limits';
import { trim } from '../../model/units';
import { openOnScreenS, SEEN_S, shownShutterDeg, speedLimits } from '../../image/figures';
import { largest, smoothed } from '../../motion/columns';
import { exposureTimeS } from '../../optics/shutter';
import { whileInFrame } from '../../image/subject-in-frame';
import type { Picture } from '../../image/picture';

/** Screen speed of near, subject and far as crossing time against the frame rate. */
export function speedFindings(picture: Picture): Finding[] {
  const { limits } = picture.scene;
  const { samples, scene, intent } = picture;
  const { plain, held: wide, isHeld: held, window } = speedLimits(picture);
  const meant = intent.meantToBlur;
  const layers = [
    { id: 'speed.near', what: 'Near things', column: picture.site.near.speed, limit: held ? wide : plain },
    {
      id: 'speed.subject',
      what: scene.subject?.name ?? 'The subject',
      column: whileInFrame(picture.subject, picture.subject.speed),
      limit: plain,
    },
    { id: 'speed.far', what: 'Far things', column: picture.site.far.speed, limit: held ? wide : plain },
  ];
  return layers.flatMap(({ id, what, column, limit }) => {
    const peak = largest(smoothed(column, SEEN_S * samples.frameRateHz));
    if (!peak) return [];
    const grade = meant ? 'calm' : gradeAbove(peak.value, limit, limit * limits.joltFactor);
    const crossing = trimmedSeconds(1 / peak.value);
    const least = trimmedSeconds(1 / limit);
    const still = peak.value < 1e-4;
    const verb = what === 'Near things' || what === 'Far things' ? ['stay', 'cross'] : ['stays', 'crosses'];
    return {
      id,
      grade,
      sentence: still
        ? `${what} ${verb[0]} still in the frame.`
        : meant && peak.value > limit
          ? `${what} ${verb[1]} the frame in ${crossing} at the quickest: they smear, which is meant here.`
          : grade === 'calm'
            ? `${what} ${verb[1]} the frame in ${crossing} at the quickest; ${least} or slower reads smoothly at ${samples.frameRateHz} frames a second.`
            : `${what} ${verb[1]} the frame in ${crossing}; at ${samples.frameRateHz} frames a second ${least} is the quickest that reads smoothly.`,
      reason:
        (held && id !== 'speed.subject'
          ? 'Faster things jump from frame to frame; the limit is wider because the eye rests on a held subject.'
          : 'Faster things jump from frame to frame instead of moving.') + windowWords(window, samples.frameRateHz),
      screenS: samples.screenS[peak.row],
      value: peak.value,
      limit,
      unit: 'frame widths/s',
      said: speedWords(peak.value),
      measure: `${id === 'speed.subject' ? 'subject' : id === 'speed.near' ? 'near' : 'far'} speed`,
    };
  });
}

/** What a sharp eye makes of it: the window of visibility beside the rule of thumb. */
function windowWords(window: number, frameRateHz: number): string {
  if (window === 0)
    return ` A sharp eye can see steps at ${frameRateHz} frames a second whatever the speed (window of visibility).`;
  if (window === Infinity)
    return ' The blur of this shutter hides the steps even from a sharp eye (window of visibility).';
  return ` A sharp eye can see steps from ${speedWords(window)} on (window of visibility).`;
}

/** Blur of the subject while the shutter is open, and the opposite: a shutter too short for the speed. */
export function blurFindings(picture: Picture): Finding[] {
  const { limits } = picture.scene;
  if (picture.intent.meantToBlur) return [];
  const { samples, scene } = picture;
  const { shutterDeg } = scene.shot;
  const peak = largest(smoothed(whileInFrame(picture.subject, picture.subject.speed), SEEN_S * samples.frameRateHz));
  const findings: Finding[] = [];
  if (peak) {
    const blur = peak.value * openOnScreenS(picture, peak.row);
    const limit = limits.subjectBlur;
    const pixels = Math.round(blur * scene.delivery.widthPx);
    findings.push({
      id: 'blur.subject',
      grade: gradeAbove(blur, limit, limit * limits.joltFactor),
      sentence: `${scene.subject?.name ?? 'The subject'} smears over ${pixels} of ${scene.delivery.widthPx} pixels while the shutter is open; up to ${Math.round(limit * scene.delivery.widthPx)} looks sharp enough.`,
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
      sentence: `The shutter is open for ${trim(shownDeg, 0)}° of a shown picture only${otherwise}, while the picture moves at ${speedWords(fastest.value)}; from ${limits.shortShutterDeg}° on the frames join up.`,
      reason: `Each frame is sharp for itself (blur ${percent(fastest.value * openOnScreenS(picture, fastest.row))} of the width), so motion looks hard and jittery. An ND filter lets the shutter stay open longer.`,
      screenS: samples.screenS[fastest.row],
      value: shownDeg,
      limit: limits.shortShutterDeg,
      unit: 'deg',
      said: `${trim(shownDeg, 0)}°`,
      measure: 'shutter',
    });
  return findings;
}
