import { define, type FindingKinds } from '../definition';
import { seconds, stretchWords, trimmedSeconds, type FindingOf } from '../finding';
import { trim } from '../../model';
import { daylightKlx, sideOfLight, sideWords, type SideOfLight } from '../../light';
import type { Scene, Stance } from '../../scene';
import { litShare, type Picture } from '../../image';

const KINDS = {
  'sun.side': {
    measures: 'from where the part is lit, degrees from the camera',
    limits: [],
    about: 'subject',
    cures: [],
  },
  'sun.shade': {
    measures: 'stops between sun and shade on the way',
    limits: ['lockedStops'],
    about: 'subject',
    cures: [],
  },
  'sun.squint': { measures: 'the sun off where the face looks, degrees', limits: [], about: 'subject', cures: [] },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Lit for less than this is shade, for more than that is sun; as shares. */
const SHADE = 0.25;
const SUN = 0.75;
/** A face that looks so near to the sun, while it is so high, screws up its eyes. Common practice, no published source. */
const SQUINT = { withinDeg: 30, fromDeg: 20, toDeg: 65 };
/** For as long, s. */
const SQUINT_S = 0.5;
const DEG = 180 / Math.PI;

/** From which side the subject's part is lit in a row; null while the sun is down. */
export function sideIn(scene: Scene, samples: Picture['samples'], row: number): SideOfLight | null {
  const sun = scene.sunAt?.(samples.tS[row]);
  if (!sun || sun.altitudeDeg <= 0) return null;
  const toCamera = Math.atan2(samples.xM[row] - samples.subjectXM[row], samples.yM[row] - samples.subjectYM[row]) * DEG;
  return sideOfLight(sun.azimuthDeg, toCamera);
}

function sunlightFindings(picture: Picture): Found[] {
  const { scene, samples } = picture;
  const { sunAt, subject } = scene;
  if (!sunAt || !subject) return [];
  const end = samples.count - 1;
  const altitude = (row: number) => sunAt(samples.tS[row]).altitudeDeg;
  const common = { screenS: 0, unit: 'deg', measure: 'side of the sun' };
  if (altitude(0) <= 0 && altitude(end) <= 0)
    return [
      {
        ...common,
        id: 'sun.side',
        grade: 'calm',
        sentence: `The sun is ${trim(-altitude(0), 0)}° below the horizon: ${subject.name} has only the light of the sky.`,
        reason: 'Down to about 6° below there is still enough to film by, soft and from everywhere.',
        value: altitude(0),
        limit: 0,
        said: `${trim(altitude(0), 0)}°`,
      },
    ];
  const lit = litShare(scene, samples, sunAt);
  const words = (row: number) => {
    if (lit[row] < SHADE) return 'in the shade';
    const side = sideIn(scene, samples, row);
    return side ? `lit ${sideWords(side, altitude(row))}` : 'without sun';
  };
  const [first, last] = [words(0), words(end)];
  return [
    {
      ...common,
      id: 'sun.side',
      grade: 'calm',
      sentence:
        first === last
          ? `${subject.name} is ${first} throughout; the sun stands ${trim(altitude(0), 0)}° high.`
          : `${subject.name} is ${first} at first, ${last} at last; the sun stands ${trim(altitude(0), 0)}° high.`,
      reason:
        'From the front it is bright and flat, three-quarter it models a face, from the side it splits it, as a rim it ' +
        'parts it from the background, from behind it makes a silhouette of it unless it is filled.',
      value: sideIn(scene, samples, 0)?.turnDeg ?? 0,
      limit: 0,
      said: first,
    },
    ...shade(picture, lit, altitude),
    ...squint(picture, lit),
  ];
}

/** Whether it goes from the sun into the shade or out of it, and by how many stops. */
function shade({ scene, samples }: Picture, lit: Float64Array, altitude: (row: number) => number): Found[] {
  const inSun = lit.findIndex((share) => share >= SUN);
  const inShade = lit.findIndex((share) => share <= SHADE);
  if (inSun < 0 || inShade < 0) return [];
  const row = Math.max(inSun, inShade);
  const { sky } = scene.shot.bench;
  const stops = Math.log2(daylightKlx(altitude(row), sky) / daylightKlx(altitude(row), sky, 0));
  const limit = scene.limits.lockedStops;
  const locked = scene.shot.setUp.exposure === 'locked';
  const way = inSun < inShade ? 'out of the sun into the shade' : 'out of the shade into the sun';
  return [
    {
      id: 'sun.shade',
      grade: stops > limit && locked ? 'ripple' : 'calm',
      sentence:
        `${scene.subject?.name} goes ${way} at ${seconds(samples.screenS[row])}: ${trim(stops, 1)} stops` +
        (stops > limit
          ? locked
            ? `; a locked exposure bears about ${trim(limit, 1)}. Ride the stop, fill the shade, or choose one for the face.`
            : ', which the camera follows by itself: it will be seen.'
          : ', which a locked exposure bears.'),
      reason:
        'In the shade only the sky is left. What is set for the sun is dark there, what is set for the shade burns out.',
      screenS: samples.screenS[row],
      value: stops,
      limit,
      unit: 'stops',
      said: `${trim(stops, 1)} stops`,
      measure: 'sun to shade',
    },
  ];
}

/** Whether a lit face looks into the sun. */
function squint({ scene, samples }: Picture, lit: Float64Array): Found[] {
  if (scene.subject?.kind !== 'figure' || !scene.sunAt) return [];
  const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  let [longest, from, nearest, run] = [0, 0, 180, 0];
  for (let row = 0; row < samples.count; row += 1) {
    const { altitudeDeg, azimuthDeg } = scene.sunAt(samples.tS[row]);
    scene.stanceAt(samples.tS[row], stance);
    const off = Math.abs(((((azimuthDeg - stance.headingDeg) % 360) + 540) % 360) - 180);
    const squints =
      lit[row] > 0.5 && off < SQUINT.withinDeg && altitudeDeg > SQUINT.fromDeg && altitudeDeg < SQUINT.toDeg;
    run = squints ? run + 1 : 0;
    if (squints) nearest = Math.min(nearest, off);
    if (run > longest) [longest, from] = [run, row - run + 1];
  }
  const forS = longest / samples.frameRateHz;
  if (forS < SQUINT_S) return [];
  return [
    {
      id: 'sun.squint',
      grade: 'ripple',
      sentence:
        `${scene.subject.name} looks within ${trim(nearest, 0)}° of the sun ${stretchWords(forS, samples.screenS[from], 1)}` +
        ': eyes screw up. Turn the face a quarter away, or wait until the sun is lower.',
      reason: `Nobody looks into the sun for ${trimmedSeconds(forS)} with open eyes.`,
      screenS: samples.screenS[from],
      value: nearest,
      limit: SQUINT.withinDeg,
      unit: 'deg',
      said: `${trim(nearest, 0)}°`,
      measure: 'looking into the sun',
    },
  ];
}

export const sunlight = define(KINDS, sunlightFindings);
