import { ImprovisedSchema, WheelsSchema, type Support, type SupportKind } from '@gentle-arc/core/model/build';
import { BELOW_GIMBAL_MM } from '@gentle-arc/core/supports/sled/solver';
import type { Unit } from '$lib/parts/quantities';

/**
 * A piece of a sentence about a rig: words, a number that can be typed, or a choice. Ranges are those of the model, or
 * narrower where a rig sets them.
 */
export type Token =
  | string
  | { number: string; label: string; unit: Unit; min: number; max: number; step: number }
  | { choice: string; label: string; names: { value: string; name: string }[] };

const number = (field: string, label: string, unit: Unit, min: number, max: number, step: number): Token => ({
  number: field,
  label,
  unit,
  min,
  max,
  step,
});
const choice = (field: string, label: string, names: Record<string, string>): Token => ({
  choice: field,
  label,
  names: Object.entries(names).map(([value, name]) => ({ value, name })),
});
const mm = (field: string, label: string, min: number, max: number, step = 1) =>
  number(field, label, 'size', min, max, step);
const g = (field: string, label: string, max: number, min = 1) => number(field, label, 'g', min, max, 50);
const WIND = number('windMps', 'Wind', 'mps', 0, 40, 0.5);

/** What is typed about each kind of rig, as sentences. */
export const SUPPORT_WORDS: Record<SupportKind, Token[][]> = {
  sled: [
    [
      'Stage',
      mm('stageForeMm', 'Stage forward', -100, 100, 0.1),
      'forward and',
      mm('stageSideMm', 'Stage to the right', -100, 100, 0.1),
      'to the right of its middle; it goes',
      mm('stageTravelMm', 'Stage travel', 1, 100),
      'either way.',
    ],
    [
      'Pivot',
      mm('gimbalMm', 'Pivot below the plate', 5, 1500, 0.5),
      'below the plate, no higher than',
      mm('gimbalMinMm', 'Highest pivot', 5, 1500),
      '. Post',
      mm('postMm', 'Post', 100, 2000, 10),
      'long, from',
      mm('postMinMm', 'Shortest post', 100, 2000, 10),
      'to',
      mm('postMaxMm', 'Longest post', 100, 2000, 10),
      ',',
      g('postMassG', 'Mass of post and base', 20_000),
      '.',
    ],
    [
      'A drop of',
      number('wishS', 'Wished drop time', 's', 1, 5, 0.1),
      'is wished, looking',
      number('wishLeanDeg', 'Wished look up or down', 'tenth', -30, 30, 0.5),
      'up (below 0: down) at rest. Walking at',
      number('walkMps', 'Walking speed', 'mps', 0, 5, 0.1),
      ', in a side wind of',
      WIND,
      '.',
    ],
    [
      'On a deck that rolls',
      number('deckRollDeg', 'Roll of the deck', 'tenth', 0, 30, 0.5),
      'to each side in',
      number('deckPeriodS', 'Time of the deck’s roll', 's', 1, 60, 0.5),
      ',',
      number('deckHeightM', 'Height above the deck’s axis', 'm', 0, 30, 0.5),
      'above its axis; 0° is firm ground.',
    ],
  ],
  motorGimbal: [
    [
      'Plate',
      mm('plateForeMm', 'Plate forward', -200, 200, 0.5),
      'forward of the tilt axis and',
      mm('plateUpMm', 'Plate up', -200, 200, 0.5),
      'above it; cage',
      mm('cageSideMm', 'Cage to the right', -200, 200, 0.5),
      'to the right of the roll axis; roll arm',
      mm('armForeMm', 'Roll arm forward', -200, 200, 0.5),
      'forward of the pan axis.',
    ],
    [
      'Cage',
      g('cageMassG', 'Mass of the cage', 20_000),
      ', roll arm',
      g('armMassG', 'Mass of the roll arm', 20_000),
      '. Its maker allows',
      g('payloadMaxG', 'Greatest payload', 50_000, 50),
      ', its motors hold',
      number('torqueMaxNm', 'Greatest torque', 'plain', 0.01, 50, 0.1),
      'N m, and it runs',
      number('runMin', 'Run time', 'plain', 1, 1000, 10),
      'minutes.',
    ],
  ],
  jib: [
    [
      'From the pivot',
      mm('frontMm', 'Front arm', 100, 12_000, 50),
      'to the camera and',
      mm('rearMm', 'Rear arm', 100, 6000, 10),
      'to the weight, at',
      number('angleDeg', 'Angle of the arm', 'deg', -60, 70, 1),
      '. On the rear:',
      g('counterG', 'Counterweight', 200_000, 0),
      '.',
    ],
    [
      'Pivot',
      mm('pivotMm', 'Height of the pivot', 100, 5000, 50),
      'high, feet',
      mm('footMm', 'Feet from the middle', 100, 3000, 10),
      'from the middle. Beam',
      g('beamMassG', 'Mass of the beam', 100_000),
      ', an aluminium tube of',
      mm('tubeMm', 'Tube', 5, 300),
      'with a wall of',
      mm('wallMm', 'Wall', 0.5, 50, 0.5),
      '.',
    ],
    [
      choice('parallel', 'Camera’s level', { true: 'A parallelogram keeps it level', false: 'The camera tilts along' }),
      '.',
    ],
  ],
  slider: [
    [
      'A rail of',
      mm('railMm', 'Rail', 100, 6000, 50),
      'on',
      choice('stands', 'Stands', { one: 'one tripod', two: 'two stands' }),
      ', tilted',
      number('tiltDeg', 'Tilt of the rail', 'deg', -60, 60, 1),
      '; bag of',
      g('bagG', 'Bag', 100_000, 0),
      'on each.',
    ],
    [
      'Each',
      mm('heightMm', 'Height of the stand', 20, 3000, 50),
      'high,',
      g('standMassG', 'Mass of a stand', 50_000),
      ', feet',
      mm('footMm', 'Feet from the middle', 50, 2000, 10),
      'from its middle. Rail',
      g('railMassG', 'Mass of the rail', 50_000),
      ', carriage',
      g('carriageMassG', 'Mass of the carriage', 20_000),
      ', friction',
      number('friction', 'Friction', 'plain', 0, 2, 0.01),
      ', stiffness',
      number('stiffnessNm2', 'Stiffness of the rail', 'plain', 1, 1_000_000, 100),
      'N m².',
    ],
  ],
  arm: [
    [
      'Legs of',
      mm('legMm', 'Legs', 100, 3000, 50),
      'spread by',
      number('spreadDeg', 'Spread of the legs', 'deg', 5, 85, 1),
      ', column up',
      mm('columnMm', 'Column', 0, 1500, 10),
      '; arm',
      mm('reachMm', 'Reach of the arm', 0, 3000, 50),
      'out, pointing',
      number('armDeg', 'Where the arm points', 'deg', -360, 360, 5),
      'from the front leg.',
    ],
    [
      'Arm',
      g('armMassG', 'Mass of the arm', 20_000, 0),
      ', legs',
      g('legsMassG', 'Mass of the legs', 50_000),
      ', bag',
      g('bagG', 'Bag', 100_000, 0),
      '. A margin of',
      mm('marginMm', 'Wished margin', 0, 500, 5),
      'is wished, in a wind of',
      WIND,
      '. Head and legs hold',
      number('stiffnessNmPerDeg', 'Stiffness', 'plain', 0.1, 10_000, 1),
      'N m a degree.',
    ],
  ],
  rope: [
    [
      choice('lines', 'Lines', { one: 'One rope', strap: 'A flat strap', two: 'Two ropes and a bar' }),
      'of',
      mm('lengthMm', 'Rope', 100, 50_000, 100),
      ', let go at',
      number('swingDeg', 'Swing', 'deg', 0, 90, 1),
      'from plumb. Second, independent line:',
      choice('secondLine', 'Second line', { true: 'on', false: 'missing' }),
      '.',
    ],
  ],
  drone: [
    [
      'Body with battery',
      g('bodyMassG', 'Mass of the body', 50_000, 50),
      ', at most',
      g('bodyMaxG', 'Greatest take-off mass', 60_000, 50),
      '; thrust up to',
      number('thrustMaxN', 'Greatest thrust', 'newton', 1, 2000, 0.5),
      ', battery',
      number('batteryWh', 'Battery', 'plain', 1, 5000, 1),
      'Wh, hovering at',
      number('hoverW', 'Power to hover', 'plain', 1, 20_000, 1),
      'W, up to',
      number('speedMaxMps', 'Greatest speed', 'mps', 1, 60, 0.5),
      '.',
    ],
    [
      'It flies',
      number('heightM', 'Flying height', 'm', 0, 500, 5),
      'high in a wind of',
      WIND,
      'at 10 m, and lands with',
      number('reserveShare', 'Reserve', 'plain', 0, 0.9, 0.05),
      'of the battery left.',
    ],
  ],
  wheels: [
    [
      'At',
      number('speedMps', 'Speed', 'mps', 0, 30, 0.5),
      'with',
      number('massKg', 'Mass with rider', 'plain', 1, 5000, 5),
      'kg on wheels of',
      mm('wheelMm', 'Wheels', 10, 1500, 10),
      ', grip',
      number('grip', 'Grip', 'plain', 0.05, 1.5, 0.05),
      ', reacting within',
      number('reactionS', 'Reaction', 's', 0, 5, 0.1),
      '.',
    ],
    [
      'Ground:',
      choice('ground', 'Ground', (WheelsSchema.shape.ground.meta() as { names: Record<string, string> }).names),
      ', at most',
      number('downhillDeg', 'Downhill', 'deg', 0, 45, 1),
      'downhill.',
    ],
    [choice('driver', 'Who drives', { true: 'Somebody else drives', false: 'The operator drives as well' }), '.'],
  ],
  improvised: [
    [
      choice('what', 'What it is', (ImprovisedSchema.shape.what.meta() as { names: Record<string, string> }).names),
      'of',
      mm('lengthMm', 'Length', 10, 5000, 10),
      ', over',
      number('overS', 'Time', 's', 0.1, 60, 0.5),
      ', or',
      number('turnsPerMin', 'Turns a minute', 'plain', 0.1, 200, 1),
      'turns a minute.',
    ],
  ],
};

/** The field of a support with another value; choices of yes and no become truth. */
export function withField(support: Support, field: string, value: number | string): Support {
  const own = (support as Record<string, unknown>)[field];
  return { ...support, [field]: typeof own === 'boolean' ? value === 'true' : value } as Support;
}

export const fieldOf = (support: Support, field: string): string | number => {
  const own = (support as Record<string, unknown>)[field];
  return typeof own === 'number' ? own : String(own);
};

/**
 * From where to where a number of a support goes as the rest of it is set: its field's own range, or less. What is kept
 * now is always inside.
 */
export function rangeIn(
  support: Support,
  { number: key, min, max }: Extract<Token, { number: string }>,
): { min: number; max: number } {
  const own = (): [number, number] => {
    if (support.kind !== 'sled') return [min, max];
    const { postMm, postMinMm, postMaxMm, gimbalMinMm, stageTravelMm } = support;
    if (key === 'postMinMm') return [min, postMaxMm];
    if (key === 'postMaxMm') return [postMinMm, max];
    if (key === 'postMm') return [postMinMm, postMaxMm];
    if (key === 'gimbalMm') return [gimbalMinMm, Math.max(gimbalMinMm, postMm - BELOW_GIMBAL_MM)];
    if (key === 'stageForeMm' || key === 'stageSideMm') return [-stageTravelMm, stageTravelMm];
    return [min, max];
  };
  const now = Number(fieldOf(support, key));
  const [least, most] = own();
  return { min: Math.min(now, Math.max(min, least)), max: Math.max(now, Math.min(max, most)) };
}
