import { define, type FindingKinds } from '../definition';
import { seconds, type FindingOf } from '../finding';
import { type Lamp, sayCount, trim } from '../../model';
import { daylightKlx, evOfLux, throughShare, sideOfLight, sideWords } from '../../light';
import { exposureTimeS } from '../../optics';
import { lampLights, litShare, type LampLight, type Picture, skyShare } from '../../image';
import { isRoof } from '../../site';

const KINDS = {
  'lamp.on': { measures: 'light of a lamp on the part, lux', limits: [], about: 'subject', cures: [] },
  'lamp.change': {
    measures: 'change of the light on the part over the shot, stops',
    limits: ['lockedStops'],
    about: 'subject',
    cures: [],
  },
  'lamp.pulse': { measures: 'exposure off whole pulses of a lamp', limits: ['flickerOff'], about: 'frame', cures: [] },
  'lamp.battery': { measures: 'minutes of a lamp’s battery', limits: [], about: 'frame', cures: [] },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

const DEG = 180 / Math.PI;
/** Less than this share of all light is not told of a lamp. */
const TELLS = 0.02;
const numbered = (id: keyof typeof KINDS, i: number) => (i === 0 ? id : `${id}.${i + 1}`) as Found['id'];

/** What lamps do to the part: how much, from where, whether a locked exposure bears the change, pulses and batteries. */
function lamplightFindings(picture: Picture): Found[] {
  const lamps = picture.scene.things.flatMap(({ piece }) => (piece.kind === 'lamp' ? [piece] : []));
  if (lamps.length === 0) return [];
  return [
    ...onSubject(picture),
    ...lamps.flatMap((lamp, i) => [...pulses(picture, lamp, i), ...battery(picture, lamp, i)]),
  ];
}

/** What reaches the part; nothing without a subject, or in the dark. */
function onSubject(picture: Picture): Found[] {
  const { scene, samples } = picture;
  const lights = lampLights(scene, samples);
  const end = samples.count - 1;
  const total = skyLux(picture).map((lux, row) => lux + lights.reduce((sum, light) => sum + light.lux[row], 0));
  const most = total.reduce((a, b) => Math.max(a, b), 0);
  const brightest = lights.reduce((top, { lux }) => lux.reduce((a, b) => Math.max(a, b), top), 0);
  if (!(most > 0) || brightest < LEAST_LUX) return [];
  const tells = ({ lux }: LampLight) => Math.max(lux[0], lux[end >> 1], lux[end]) >= most * TELLS;
  return [
    ...lights.filter(tells).map((light, i) => told(picture, light, i)),
    ...change(picture, total, scene.sunAt !== null),
  ];
}

/** Light of sun and sky on the part, lux, where the moment is said; nothing otherwise: a room at night. */
function skyLux({ scene, samples }: Picture): Float64Array {
  const { sunAt } = scene;
  if (!sunAt) return new Float64Array(samples.count);
  const lit = litShare(scene, samples, sunAt);
  const { sky } = scene.shot.bench;
  const openSky = skyOver(scene, samples);
  return lit.map((share, row) => {
    const { altitudeDeg } = sunAt(samples.tS[row]);
    if (altitudeDeg <= 0) return 0;
    // What a roof keeps off is the sky's own light.
    const kept = (1 - openSky(row)) * daylightKlx(altitudeDeg, sky, 0);
    return 1000 * (daylightKlx(altitudeDeg, sky, share) - kept);
  });
}

const PATTERNS = { bars: 'window bars', slats: 'slats', leaves: 'leaves' } as const;
/** Less than moonlit streets have is not told of, lux. */
const LEAST_LUX = 3;
/** Moments at which the sky is looked for; between them it changes evenly. */
const SKY_LOOKS = 5;

/** How much of the sky reaches the part in a row. */
function skyOver(scene: Picture['scene'], samples: Picture['samples']): (row: number) => number {
  if (!scene.pieces.some(isRoof)) return () => 1;
  const last = samples.count - 1;
  const rows = Array.from({ length: SKY_LOOKS }, (_, k) => Math.round((last * k) / (SKY_LOOKS - 1)));
  const shares = skyShare(scene, samples, rows);
  return (row) => {
    const at = last === 0 ? 0 : (row / last) * (SKY_LOOKS - 1);
    const from = Math.min(SKY_LOOKS - 2, Math.floor(at));
    return shares[from] + (shares[from + 1] - shares[from]) * (at - from);
  };
}

function told({ scene, samples }: Picture, { lamp, lux, azimuthDeg, altitudeDeg }: LampLight, i: number): Found {
  const end = samples.count - 1;
  const words = (row: number) => {
    const toCamera =
      Math.atan2(samples.xM[row] - samples.subjectXM[row], samples.yM[row] - samples.subjectYM[row]) * DEG;
    const bright = lux[row] < 0.5 ? 'no light' : `${trim(lux[row], 0)} lux (EV ${trim(evOfLux(lux[row]), 1)})`;
    return lux[row] < 0.5 ? bright : `${bright} ${sideWords(sideOfLight(azimuthDeg[row], toCamera), altitudeDeg[row])}`;
  };
  const [first, last] = [words(0), words(end)];
  return {
    id: numbered('lamp.on', i),
    grade: 'calm',
    sentence:
      `${lamp.name} gives ${scene.subject?.name} ${first}` +
      `${first === last ? ' throughout' : ` at first, ${last} at last`}; its light is ${lamp.softness}` +
      (lamp.pattern === 'none'
        ? '.'
        : `, broken up by ${PATTERNS[lamp.pattern]}: ${trim(throughShare(lamp.pattern) * 100, 0)}% comes through, ` +
          `in spots that are up to ${trim(-Math.log2(throughShare(lamp.pattern)), 1)} stops brighter.`),
    reason: 'Twice as far is a quarter of the light: two stops. What stands between lamp and face is counted.',
    screenS: 0,
    value: lux[0],
    limit: 0,
    unit: 'lux',
    said: `${trim(lux[0], 0)} lux`,
    measure: 'light of a lamp',
  };
}

/** The light on the part from its darkest to its brightest moment against what a locked exposure bears. */
function change({ scene, samples }: Picture, total: Float64Array, day: boolean): Found[] {
  const rows = Array.from({ length: samples.count }, (_, row) => row).filter((row) => total[row] > 0.1);
  if (rows.length === 0) return [];
  const [dark, bright] = rows.reduce(
    ([low, high], row) => [total[row] < total[low] ? row : low, total[row] > total[high] ? row : high],
    [rows[0], rows[0]],
  );
  const stops = Math.log2(total[bright] / total[dark]);
  const limit = scene.limits.lockedStops;
  const locked = scene.shot.setUp.exposure === 'locked';
  const bears = stops <= limit;
  return [
    {
      id: 'lamp.change',
      grade: !bears && locked ? 'ripple' : 'calm',
      sentence:
        `${day ? 'Sun, sky and lamps' : 'The lamps'} put EV ${trim(evOfLux(total[bright]), 1)} on ` +
        `${scene.subject?.name} at ${seconds(samples.screenS[bright])} and EV ${trim(evOfLux(total[dark]), 1)} at ` +
        `${seconds(samples.screenS[dark])}: ` +
        (bears
          ? 'a locked exposure bears it.'
          : `${trim(stops, 1)} stops; a locked exposure bears about ${trim(limit, 1)}. Move a lamp back, add one at the ` +
            'dark end, or ride the stop.'),
      reason: 'Whoever walks towards a lamp brightens by two stops each time the distance halves.',
      screenS: samples.screenS[dark],
      value: stops,
      limit,
      unit: 'stops',
      said: `${trim(stops, 1)} stops`,
      measure: 'change of light',
    },
  ];
}

function pulses({ scene, samples }: Picture, lamp: Lamp, i: number): Found[] {
  if (lamp.pulseHz === 0) return [];
  const inOne = exposureTimeS(scene.shot.shutterDeg, scene.shot.captureRateHz) * lamp.pulseHz;
  const off = Math.abs(inOne - Math.round(inOne));
  const limit = scene.limits.flickerOff;
  // Many pulses in one exposure even out; none is a stripe.
  const shows = inOne < 20 && (off > limit || inOne < 0.5);
  return [
    {
      id: numbered('lamp.pulse', i),
      grade: shows ? 'ripple' : 'calm',
      sentence:
        `${lamp.name} pulses ${trim(lamp.pulseHz, 0)} times a second, ${trim(inOne, 2)} pulses while the shutter is open: ` +
        (shows
          ? `bands or flicker. A shutter of 1/${trim(lamp.pulseHz / Math.max(1, Math.round(inOne)), 0)} s takes whole pulses.`
          : 'no bands.'),
      reason:
        'Each exposure has to take as many pulses as the next; what pulses faster than the lines are read leaves stripes.',
      screenS: samples.screenS[0],
      value: off,
      limit,
      unit: 'pulses',
      said: `${trim(off, 2)} pulses`,
      measure: 'pulses of a lamp',
    },
  ];
}

function battery({ scene, samples }: Picture, lamp: Lamp, i: number): Found[] {
  const minutes = scene.durationS / 60;
  if (lamp.runMin === 0 || minutes <= lamp.runMin * scene.limits.tightShare) return [];
  return [
    {
      id: numbered('lamp.battery', i),
      grade: 'ripple',
      sentence:
        `One take lasts ${sayCount(Math.round(minutes), 'minute')} and the battery of ${lamp.name} ` +
        `about ${trim(lamp.runMin, 0)}.`,
      reason: 'Many lamps dim before they go out: a mains lead, or a fresh battery for each take.',
      screenS: samples.screenS[samples.count - 1],
      value: minutes,
      limit: lamp.runMin,
      unit: 'min',
      said: sayCount(Math.round(minutes), 'minute'),
      measure: 'battery of a lamp',
    },
  ];
}

export const lamplight = define(KINDS, lamplightFindings);
