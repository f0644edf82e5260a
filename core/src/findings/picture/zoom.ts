import { define, type FindingKinds } from '../definition';
import { gradeAbove, gradeBelow, percent, type FindingOf } from '../finding';
import { trim } from '../../model';
import { largest } from '../../motion';
import { recordedWidthPx } from '../../optics';
import type { Picture } from '../../image';

const KINDS = {
  'zoom.range': {
    measures: 'focal lengths needed, × of the lens',
    limits: [],
    about: 'layers',
    cures: ['travelLess', 'otherLens', 'standAnywhere'],
  },
  'zoom.rate': {
    measures: 'how quickly the zoom turns, share a second',
    limits: ['zoomRate', 'joltFactor'],
    about: 'layers',
    cures: ['takeLonger', 'travelLess', 'softerBoth'],
  },
  'zoom.background': {
    measures: 'growth of the background, ×',
    limits: ['backgroundGrowth'],
    about: 'layers',
    cures: ['travelMore'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** What a held size asks of the lens, how quickly it zooms, and how much the background grows. */
function zoomFindings({ samples, scene, intent }: Picture): Found[] {
  if (!intent.holdsSize) return [];
  const { limits } = scene;
  const { lens, camera, delivery } = scene;
  const wanted = samples.wantedFocalLengthMm;
  const least = -(largest(wanted.map((mm) => -mm))?.value ?? 0);
  const most = largest(wanted);
  if (!most) return [];
  const range = `${trim(least, 0)} to ${trim(most.value, 0)} mm`;
  const has =
    lens.focalLengthMinMm === lens.focalLengthMaxMm
      ? `${trim(lens.focalLengthMinMm, 0)} mm only`
      : `${trim(lens.focalLengthMinMm, 0)} to ${trim(lens.focalLengthMaxMm, 0)} mm`;
  const crop = Math.max(1, most.value / lens.focalLengthMaxMm);
  const pixels = recordedWidthPx(camera, delivery) / crop;
  const tooWide = least < lens.focalLengthMinMm * 0.999;
  const softened = crop > 1.001 && pixels < delivery.widthPx;
  const cropWords =
    crop > 1.001
      ? ` The rest is enlarged ${trim(crop, 2)} times, which leaves ${Math.round(pixels)} of ${delivery.widthPx} ` +
        'pixels across.'
      : '';
  const shortfall = Math.max(lens.focalLengthMinMm / least, crop);
  const rangeFinding: Found = {
    id: 'zoom.range',
    grade: tooWide || pixels < delivery.widthPx / 2 ? 'jolt' : softened ? 'ripple' : 'calm',
    sentence: tooWide
      ? `The move needs ${range}; ${lens.name} gives ${has}, so the size cannot be held at the wide end.`
      : crop > 1.001
        ? `The move needs ${range}; ${lens.name} gives ${has}.${cropWords}`
        : `The move needs ${range}, which ${lens.name} gives (${has}).`,
    reason: 'Size is held only while focal length follows distance.',
    screenS: tooWide ? samples.screenS[wanted.indexOf(least)] : samples.screenS[most.row],
    value: shortfall,
    limit: 1,
    unit: '× of the lens',
    said: range,
    measure: 'focal lengths',
  };
  const rate = new Float64Array(samples.count).fill(NaN);
  const effective = samples.focalLengthMm;
  for (let row = 1; row < samples.count; row += 1)
    rate[row] = Math.abs(Math.log(effective[row] / effective[row - 1])) * samples.frameRateHz;
  const fastest = largest(rate);
  const growth = effective[samples.count - 1] / effective[0];
  const strength = Math.max(growth, 1 / growth);
  const findings: Found[] = [rangeFinding];
  if (fastest) {
    const limit = limits.zoomRate;
    findings.push({
      id: 'zoom.rate',
      grade: gradeAbove(fastest.value, limit, limit * limits.joltFactor),
      sentence:
        `The zoom changes by at most ${percent(fastest.value)} a second; up to ${percent(limit)} can be ` +
        'turned evenly.',
      reason: 'Camera and zoom cannot both run evenly: the zoom is quickest where the camera is nearest.',
      screenS: samples.screenS[fastest.row],
      value: fastest.value,
      limit,
      unit: 'share/s',
      said: `${percent(fastest.value)} a second`,
      measure: 'zoom rate',
    });
  }
  const limit = limits.backgroundGrowth;
  findings.push({
    id: 'zoom.background',
    grade: gradeBelow(strength, limit, 1.02),
    sentence:
      `The far background ${growth >= 1 ? 'grows' : 'shrinks'} to ${trim(growth, 2)} times its size behind the ` +
      `held subject${strength < limit ? `; below ${trim(limit, 1)} times the effect is hardly felt` : ''}.`,
    reason: 'How strongly the world stretches follows from the longest distance over the shortest.',
    screenS: samples.screenS[samples.count - 1],
    value: strength,
    limit,
    unit: '×',
    said: `${trim(strength, 2)} times`,
    measure: 'growth of the background',
  });
  return findings;
}

export const zoom = define(KINDS, zoomFindings);
