import { type Jib, sayLength, sayMass, sayMm, trim, type Units } from '../../model';
import { jibStand } from './statics';
import { fact, type Told } from '../fact';
import { gradeOfMargin } from '../grade';

/** More than this nobody hangs on an arm; the format ends there too. */
const COUNTER_MOST_KG = 200;
const DROOP_MM = { shows: 5, most: 25 };
const MARGIN_M = 0.1;

export function jibTold(jib: Jib, headKg: number, units: Units): Told {
  const found = jibStand(jib, headKg);
  const tip = Math.abs(found.tipForceN);
  const onKg = jib.counterG / 1000;
  const missing = found.counterKg - onKg;
  const tooMuch = found.counterKg > COUNTER_MOST_KG;
  // Balanced, it leans on nothing: what is left is the worst of a whole turn, with the arm level.
  const inGround = found.cameraHeightM <= 0;
  return {
    facts: [
      fact(
        'counterKg',
        'Counterweight it wants',
        found.counterKg < 0.0005 ? 'none: the rear arm is heavy enough' : sayMass(found.counterKg, units),
        found.counterKg,
        tooMuch ? 'cannot' : null,
        tooMuch ? 'No arm carries that: lengthen the rear arm, shorten the front one, or take a lighter camera.' : '',
      ),
      fact(
        'tipForceN',
        'Left at the camera',
        tip < 0.5 ? 'stays where it is left' : `${trim(tip, 1)} N ${found.tipForceN > 0 ? 'down' : 'up'}`,
        found.tipForceN,
        tip < 2 ? 'fits' : tip < 10 ? 'tight' : 'cannot',
        tip < 2 ? '' : `${missing > 0 ? 'Add' : 'Take away'} ${sayMass(Math.abs(missing), units)} at the rear.`,
      ),
      fact(
        'cameraHeightM',
        'Camera height',
        `${sayLength(found.cameraHeightM, units)}; from ${sayLength(found.heightMinM, units)} to ` +
          `${sayLength(found.heightMaxM, units)} over 60° either way`,
        found.cameraHeightM,
        inGround ? 'cannot' : null,
        inGround ? 'It would be in the ground: raise the pivot or the arm.' : '',
      ),
      fact('reachM', 'Reach', sayLength(found.reachM, units), found.reachM),
      fact(
        'cameraTiltDeg',
        'Camera’s tilt',
        jib.parallel ? 'keeps level by its parallelogram' : `goes with the arm: ${trim(found.cameraTiltDeg, 0)}°`,
        found.cameraTiltDeg,
      ),
      fact(
        'deflectionMm',
        'Droops at the camera',
        sayMm(found.deflectionMm, units),
        found.deflectionMm,
        found.deflectionMm <= DROOP_MM.shows ? 'fits' : found.deflectionMm <= DROOP_MM.most ? 'tight' : 'cannot',
        found.deflectionMm <= DROOP_MM.shows
          ? ''
          : 'It will bounce at every start and stop: a thicker tube, a shorter arm or a lighter camera.',
      ),
      fact(
        'marginM',
        'Centre of mass inside the feet, at worst of the whole turn',
        sayLength(found.marginM, units),
        found.marginM,
        gradeOfMargin(found.marginM, MARGIN_M),
        found.marginM < MARGIN_M ? 'Bags on the feet, and balance the arm.' : '',
      ),
      fact(
        'keepOutM',
        'Nobody within',
        `${sayLength(found.keepOutM, units)} of the pivot; ${sayLength(found.keepOutRearM, units)} behind it`,
        found.keepOutM,
      ),
      fact('pivotLoadKg', 'The pivot carries', sayMass(found.pivotLoadKg, units), found.pivotLoadKg),
    ],
    steps: [
      'Level the stand; bags on the feet before the arm goes up.',
      ...(onKg > 0 && missing < 0 ? [`Take the ${sayMass(onKg, units)} off the rear.`] : []),
      'Somebody holds the arm at the camera end and does not let go. The camera goes on first, with its second line.',
      found.counterKg < 0.0005
        ? 'No weight goes to the rear: let the arm go only when it stays where it is left.'
        : `Put weight on the rear bit by bit until the arm floats: ${sayMass(found.counterKg, units)} in all. ` +
          'Only then is it let go.',
      `Keep everyone ${sayLength(found.keepOutM, units)} away from the pivot while it moves.`,
      'Off in reverse: somebody holds the camera end, the weight comes off first, the camera last.',
    ],
  };
}
