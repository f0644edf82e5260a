import { type Improvised, sayLength, sayMass, saySpeed, trim, type Units } from '../../model';
import { fact, type Fact } from '../fact';

/** What home-made rigs need: tries and tape are common practice, no published source. */
const KNOWN: Record<Improvised['what'], { tries: number; tape: string[]; note: string }> = {
  turntable: {
    tries: 3,
    tape: ['the camera’s plate to the platter', 'the cable out of the way', 'the lens ring'],
    note: 'Fine pointing at a ceiling; far too fast to sweep a room.',
  },
  floatingPlate: {
    tries: 8,
    tape: ['the camera into a bag', 'a line to the plate'],
    note: 'Draughts turn it: pull it by a thread, slowly.',
  },
  towel: {
    tries: 5,
    tape: ['two legs to the towel', 'the start and stop on the floor'],
    note: 'Pull from low down and in one line; lean on nothing.',
  },
  bookOnWheels: {
    tries: 6,
    tape: ['the camera to the book', 'the tape’s hook to the book', 'the lens ring'],
    note: 'The tape pulls hardest at first: hold it back with a finger, let go slowly.',
  },
  hingedPole: {
    tries: 6,
    tape: ['the camera’s screw', 'the monitor’s cable along the pole'],
    note: 'Cut on the moment that it is upside down.',
  },
  drop: {
    tries: 10,
    tape: [
      'the camera into a padded cage',
      'the catch: a net or cushion, tested with the same weight',
      'the lens ring',
    ],
    note: 'Guide it by two taut strings, so that it falls upright.',
  },
  hoist: {
    tries: 4,
    tape: ['the rope’s knots', 'a second line to the camera', 'a mark on the rope at start and stop'],
    note: 'Walk the rope away at an even pace; a bar or two lines keep it from turning.',
  },
  beltTripod: {
    tries: 4,
    tape: ['two legs to the belt', 'the head’s locks'],
    note: 'Walk from the hips; the legs shake with the breath on a long lens.',
  },
};

/**
 * A full sweep that an audience can follow, degrees a second: the crossing rule for a wide lens, rounded (common
 * practice, no published source).
 */
const ROOM_SWEEP_DEGPS = 15;

/** Numbers of a home-made rig where they exist. */
export function improvisedFacts(rig: Improvised, massKg: number, units: Units): Fact[] {
  const { tries, note } = KNOWN[rig.what];
  const facts = [fact('massKg', 'Carries', sayMass(massKg, units), massKg)];
  const radiusM = rig.lengthMm / 1000;
  if (rig.what === 'turntable') {
    const degps = rig.turnsPerMin * 6;
    facts.push(
      fact(
        'panDegps',
        'Turns',
        `${trim(degps, 0)}° a second`,
        degps,
        degps <= ROOM_SWEEP_DEGPS ? 'fits' : degps <= 60 ? 'tight' : 'cannot',
        degps <= ROOM_SWEEP_DEGPS ? '' : 'Too fast to sweep a room: point it up, or film at a high rate and slow it.',
      ),
      fact(
        'rimMps',
        'At its rim',
        saySpeed((degps * Math.PI * radiusM) / 180, units),
        (degps * Math.PI * radiusM) / 180,
      ),
    );
  }
  if (rig.what === 'hingedPole') {
    const peak = (1.875 * Math.PI * radiusM) / rig.overS;
    facts.push(
      fact('tipMps', 'Camera’s greatest speed over half a turn', saySpeed(peak, units), peak),
      fact('arcM', 'Way of the camera', sayLength(Math.PI * radiusM, units), Math.PI * radiusM),
    );
  }
  if (rig.what === 'towel' || rig.what === 'floatingPlate' || rig.what === 'bookOnWheels')
    facts.push(
      fact(
        'meanMps',
        `Over ${sayLength(radiusM, units)} in ${trim(rig.overS, 1)} s`,
        saySpeed(radiusM / rig.overS, units),
        radiusM / rig.overS,
      ),
    );
  return [...facts, fact('tries', 'Tries to expect', `about ${tries}`, tries), fact('note', 'Mind', note, null)];
}

export const improvisedSteps = (rig: Improvised): string[] => [
  ...KNOWN[rig.what].tape.map((what) => `Tape ${what}.`),
  'Try it once with something of the same weight.',
];
