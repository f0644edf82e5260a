import { define, type FindingKinds } from '../definition';
import { seconds, type FindingOf } from '../finding';
import { trim } from '../../model';
import { daylightKlx } from '../../light';
import { isRoof } from '../../site';
import { skyShare, type Picture } from '../../image';

const KINDS = {
  'light.door': {
    measures: 'stops between open sky and a roof on the way',
    limits: ['lockedStops'],
    about: 'subject',
    cures: [],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

const LOOKS = 9;

/**
 * How the light of the sky on the subject changes when it goes under a roof or through a door; the sun and lamps are
 * told of elsewhere. Without a time of day it is reckoned for a sky as it is on the bench.
 */
function indoorFindings({ scene, samples }: Picture): Found[] {
  const { subject, shot, limits } = scene;
  if (!subject || !scene.pieces.some(isRoof)) return [];
  const rows = Array.from({ length: LOOKS }, (_, k) => Math.round(((samples.count - 1) * k) / (LOOKS - 1)));
  const moved = Math.hypot(
    Math.max(...rows.map((row) => samples.subjectXM[row])) - Math.min(...rows.map((row) => samples.subjectXM[row])),
    Math.max(...rows.map((row) => samples.subjectYM[row])) - Math.min(...rows.map((row) => samples.subjectYM[row])),
  );
  const looked = moved < 0.3 ? [rows[0]] : rows;
  const shares = skyShare(scene, samples, looked);
  const [most, least] = [Math.max(...shares), Math.min(...shares)];
  const stops = Math.log2(most / least);
  const altitude = scene.sunAt?.(samples.tS[0]).altitudeDeg ?? 40;
  const open = daylightKlx(altitude, shot.bench.sky, 0) * 1000;
  if (looked.length === 1) {
    if (shares[0] > 0.35) return [];
    const dark = -Math.log2(shares[0]);
    return [
      {
        id: 'light.door',
        grade: 'calm',
        sentence:
          `Under its roof ${subject.name} gets ${trim(shares[0] * 100, 0)}% of the sky, ${trim(dark, 1)} stops less than ` +
          `in the open shade${open > 1 ? `: about ${Math.round((open * shares[0]) / 10) * 10} lux` : ''}.`,
        reason: 'What the camera is set for outside is dark in here; what is seen through a door burns out.',
        screenS: 0,
        value: dark,
        limit: limits.lockedStops,
        unit: 'stops',
        said: `${trim(dark, 1)} stops`,
        measure: 'under a roof',
      },
    ];
  }
  if (stops < 0.7) return [];
  const locked = shot.setUp.exposure === 'locked';
  const limit = limits.lockedStops;
  const [dark, light] = [looked[shares.indexOf(least)], looked[shares.indexOf(most)]];
  return [
    {
      id: 'light.door',
      grade: stops > limit && locked ? 'ripple' : 'calm',
      sentence:
        `${subject.name} goes ${light < dark ? 'out of the open under a roof' : 'out from under a roof'}: the light of ` +
        `the sky ${light < dark ? 'falls' : 'rises'} by ${trim(stops, 1)} stops by ${seconds(samples.screenS[Math.max(dark, light)])}` +
        (stops > limit
          ? locked
            ? `; a locked exposure bears about ${trim(limit, 1)}. Ride the stop, light the inside, or cut at the door.`
            : ', which the camera follows by itself: it will be seen.'
          : ', which a locked exposure bears.'),
      reason: 'Inside only what comes through doors and windows is left of the sky.',
      screenS: samples.screenS[Math.max(dark, light)],
      value: stops,
      limit,
      unit: 'stops',
      said: `${trim(stops, 1)} stops`,
      measure: 'under a roof',
    },
  ];
}

export const indoors = define(KINDS, indoorFindings);
