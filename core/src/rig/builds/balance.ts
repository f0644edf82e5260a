import type { Arm, Build, Drone, Improvised, Jib, MotorGimbal, Rope, Slider, Wheels } from '../../model/build';
import type { Kit, Rig } from '../../model/kit';
import type { Shot } from '../../model/shot';
import { angleOfViewDeg } from '../../optics/angle-of-view';
import { sayLength, sayMass, sayMm, saySpeed, trim, type Units } from '../../model/units';
import { gimbalBalance, PLATE_REACH_MM, platesOut } from '../balance/motor-gimbal';
import { heapOf, partLumps, type Lump } from '../balance/masses';
import { sayWind } from '../balance/wind';
import { armStand } from '../stand/arm';
import { batteriesFor, droneFlight, flightMinutes } from '../stand/drone';
import { jibStand } from '../stand/jib';
import { ropeSwing } from '../stand/rope';
import { sliderStand } from '../stand/slider';
import { wheelsStop } from '../stand/wheels';
import { buildCautions } from './cautions';
import { fact, type Balance, type Fact } from './fact';
import { gradeOf, gradeOfMargin } from './grade';
import { improvisedFacts, improvisedSteps } from './improvised';
import { saySlide } from './slides';
import { overlapFact } from './overlaps';
import { coachedSteps, sledFacts, sledSteps, solutionFor } from './sled-facts';

type Told = Pick<Balance, 'facts' | 'steps'>;

/** More than this nobody hangs on an arm; the format ends there too. */
const COUNTER_MOST_KG = 200;
/** Margins to the edge of the feet that crews like to keep, m: common practice, no published source. */
const MARGIN_M = 0.05;
/** A motor that holds more than this of what it can works all the time. */
const WORKING_SHARE = 0.04;
const DROOP_MM = { shows: 5, most: 25 };
const SLOPE_DEG = { shows: 0.1, most: 0.5 };

/** All that is known of a build: numbers, what to do, and cautions. Never throws; what cannot be is said. */
export function balanceOf(build: Build, kit: Kit, units: Units, shots: readonly Shot[] = []): Balance {
  const placed = partLumps(build, kit.parts, kit.lenses);
  const told = tell(build, placed, kit, units, shots);
  const empty = placed.length === 0 ? [fact('parts', 'On it', 'nothing', 0, 'cannot', 'Put the camera on: without it these are the numbers of the bare rig.')] : [];
  return { facts: [...empty, ...overlapFact(build, kit, units), ...told.facts], steps: told.steps, cautions: buildCautions(build.support.kind) };
}

function tell(build: Build, placed: readonly Lump[], kit: Kit, units: Units, shots: readonly Shot[]): Told {
  const { support } = build;
  const headKg = heapOf(placed.filter((row) => row.on === 'top')).massKg;
  switch (support.kind) {
    case 'sled': {
      if (support.log.length > 0) return { facts: sledFacts(support, placed, units), steps: coachedSteps(support, placed, units) };
      const solution = solutionFor(support, placed, kit.parts, units);
      return { facts: sledFacts(support, placed, units), steps: 'cannot' in solution ? [solution.cannot] : sledSteps(support, solution, units) };
    }
    case 'motorGimbal':
      return gimbalTold(support, placed, units);
    case 'jib':
      return jibTold(support, headKg, units);
    case 'slider':
      return sliderTold(support, headKg, units);
    case 'arm':
      return armTold(support, placed, units, pictureDeg(build, kit));
    case 'rope':
      return ropeTold(support, headKg, units);
    case 'drone':
      return droneTold(
        support,
        headKg,
        units,
        shots,
        kit.rigs.find(({ id }) => id === build.rigId),
      );
    case 'wheels':
      return wheelsTold(support, units);
    case 'improvised':
      return improvisedTold(support, headKg, units);
  }
}

/** Width of the picture that a build takes, degrees; null where it has no camera of the kit. */
function pictureDeg(build: Build, kit: Kit): number | null {
  const on = build.parts.flatMap(({ partId }) => kit.parts.filter((part) => part.id === partId && part.kind === 'camera'));
  const camera = kit.cameras.find((row) => row.id === on[0]?.of);
  return camera ? angleOfViewDeg(camera.sensorWidthMm, build.focalLengthMm) : null;
}

const improvisedTold = (support: Improvised, headKg: number, units: Units): Told => ({ facts: improvisedFacts(support, headKg, units), steps: improvisedSteps(support) });

function gimbalTold(gimbal: MotorGimbal, placed: readonly Lump[], units: Units): Told {
  const found = gimbalBalance(gimbal, placed);
  const facts: Fact[] = [
    fact('payloadKg', 'Payload', `${sayMass(found.massKg, units)} of ${sayMass(gimbal.payloadMaxG / 1000, units)}`, found.massKg, gradeOf(found.payloadShare, 0.9), found.payloadShare > 1 ? 'Over its maker’s payload: a lighter lens, or the monitor and battery off the camera.' : found.payloadShare > 0.9 ? 'Near its maker’s payload: motors shudder when anything is off balance.' : ''),
    ...found.axes.map(({ name, slideMm, leftoverNm, shareOfMotor }) =>
      fact(`${name.replace(/[^a-z]+/g, '-')}Mm`, name[0].toUpperCase() + name.slice(1), Math.abs(slideMm) < 0.3 ? 'stays where it is left' : `off by ${sayMm(Math.abs(slideMm), units)}; the motor holds ${trim(leftoverNm, 2)} N m, ${trim(shareOfMotor * 100, 0)}%`, -slideMm, gradeOf(shareOfMotor, WORKING_SHARE), shareOfMotor > 1 ? 'More than the motor can hold.' : shareOfMotor > WORKING_SHARE ? 'The motor works all the time: balance this axis.' : ''),
    ),
    fact('runMin', 'Battery, balanced so', `about ${trim(gimbal.runMin * found.runShare, 0)} of ${trim(gimbal.runMin, 0)} minutes`, gimbal.runMin * found.runShare, found.runShare > 0.8 ? 'fits' : found.runShare > 0.4 ? 'tight' : 'cannot', found.runShare > 0.8 ? '' : 'The rest goes into holding what is off balance.'),
  ]; // prettier-ignore
  const steps = ['Motors off. Everything on as it will shoot, zoom set and taped.'];
  const out = platesOut(gimbal, placed);
  if (out.length > 0)
    steps.push(
      `${out.map(({ name, toMm }) => `${name} would have to go to ${sayMm(toMm, units)}`).join(', ')}, and goes ${sayMm(PLATE_REACH_MM, units)} either way: move the camera on its plate first.`,
    );
  for (const { name, slideMm } of found.axes) {
    steps.push(
      Math.abs(slideMm) < 0.3
        ? `${name[0].toUpperCase() + name.slice(1)}: leave it.`
        : `${name[0].toUpperCase() + name.slice(1)}: ${saySlide(name, slideMm, units)}, until it stays where it is left.`,
    );
  }
  return { facts, steps };
}

function jibTold(jib: Jib, headKg: number, units: Units): Told {
  const found = jibStand(jib, headKg);
  const tip = Math.abs(found.tipForceN);
  const missing = found.counterKg - jib.counterG / 1000;
  return {
    facts: [
      fact('counterKg', 'Counterweight it wants', sayMass(found.counterKg, units), found.counterKg, found.counterKg > COUNTER_MOST_KG ? 'cannot' : null, found.counterKg > COUNTER_MOST_KG ? 'No arm carries that: lengthen the rear arm, shorten the front one, or take a lighter camera.' : ''),
      fact('tipForceN', 'Left at the camera', tip < 0.5 ? 'stays where it is left' : `${trim(tip, 1)} N ${found.tipForceN > 0 ? 'down' : 'up'}`, found.tipForceN, tip < 2 ? 'fits' : tip < 10 ? 'tight' : 'cannot', tip < 2 ? '' : `${missing > 0 ? 'Add' : 'Take away'} ${sayMass(Math.abs(missing), units)} at the rear.`),
      fact('cameraHeightM', 'Camera height', `${sayLength(found.cameraHeightM, units)}; from ${sayLength(found.heightMinM, units)} to ${sayLength(found.heightMaxM, units)} over 60° either way`, found.cameraHeightM, found.cameraHeightM > 0 ? null : 'cannot', found.cameraHeightM > 0 ? '' : 'It would be in the ground: raise the pivot or the arm.'),
      fact('reachM', 'Reach', sayLength(found.reachM, units), found.reachM),
      fact('cameraTiltDeg', 'Camera’s tilt', jib.parallel ? 'keeps level by its parallelogram' : `goes with the arm: ${trim(found.cameraTiltDeg, 0)}°`, found.cameraTiltDeg),
      fact('deflectionMm', 'Droops at the camera', sayMm(found.deflectionMm, units), found.deflectionMm, found.deflectionMm <= DROOP_MM.shows ? 'fits' : found.deflectionMm <= DROOP_MM.most ? 'tight' : 'cannot', found.deflectionMm <= DROOP_MM.shows ? '' : 'It will bounce at every start and stop: a thicker tube, a shorter arm or a lighter camera.'),
      fact('marginM', 'Centre of mass inside the feet', sayLength(found.marginM, units), found.marginM, gradeOfMargin(found.marginM, 0.1), found.marginM < 0.1 ? 'Bags on the feet, and balance the arm.' : ''),
      fact('keepOutM', 'Nobody within', `${sayLength(found.keepOutM, units)} of the pivot; ${sayLength(found.keepOutRearM, units)} behind it`, found.keepOutM),
      fact('pivotLoadKg', 'The pivot carries', sayMass(found.pivotLoadKg, units), found.pivotLoadKg),
    ],
    steps: [
      'Level the stand; bags on the feet before the arm goes up.',
      `Put the weight on first and hold it: ${sayMass(found.counterKg, units)} at the rear.`,
      'Put the camera on, with its second line; let go only when the arm stays where it is left.',
      `Keep everyone ${sayLength(found.keepOutM, units)} away from the pivot while it moves.`,
    ],
  }; // prettier-ignore
}

function sliderTold(slider: Slider, headKg: number, units: Units): Told {
  const found = sliderStand(slider, headKg);
  const { worst } = found;
  const most = Math.max(...found.rows.flatMap((row) => row.reactionsN));
  const least = Math.min(...found.rows.map((row) => Math.min(...(slider.stands === 'two' ? row.reactionsN : [row.reactionsN[0]]))));
  const slope = Math.max(...found.rows.map((row) => row.slopeDeg));
  return {
    facts: [
      fact('marginM', 'Centre of mass inside the feet, at worst', sayLength(worst.marginM, units), worst.marginM, gradeOfMargin(worst.marginM, MARGIN_M), worst.marginM <= 0 ? `It tips with the carriage ${sayLength(Math.abs(worst.alongM), units)} from the middle.` : worst.marginM < MARGIN_M ? 'Bags on the feet, or a stand under each end.' : ''),
      fact('bagKg', slider.stands === 'two' ? 'Bag on each stand' : 'Bag under the tripod', found.bagKg === 0 ? 'none asked for' : Number.isFinite(found.bagKg) ? sayMass(found.bagKg, units) : 'none is enough: spread the feet or take two stands', found.bagKg, Number.isFinite(found.bagKg) ? null : 'cannot'),
      fact('reactionMaxN', 'A foot’s stand carries', slider.stands === 'two' ? `${trim(least, 0)} to ${trim(most, 0)} N as the carriage goes` : `${trim(most, 0)} N`, most),
      fact('slopeDeg', 'The rail gives under the carriage', `${trim(slope, 2)}°`, slope, slope <= SLOPE_DEG.shows ? 'fits' : slope <= SLOPE_DEG.most ? 'tight' : 'cannot', slope <= SLOPE_DEG.shows ? '' : slider.stands === 'one' ? 'The frame goes crooked on the way: a stand under each end.' : 'The frame goes crooked on the way: a lighter camera or a stiffer rail.'),
      ...(slider.tiltDeg === 0 ? [] : [fact('slipN', 'Slides down by itself with', `${trim(found.slipN, 1)} N; drag holds ${trim(found.frictionN, 1)} N`, found.slipN, found.dragNeededN > 0 ? 'cannot' : 'fits', found.dragNeededN > 0 ? `Add ${trim(found.dragNeededN, 1)} N of drag, a counterweight over a pulley, or hold it all the way.` : '')]),
      fact('massKg', 'Stands on the ground', sayMass(found.massKg, units), found.massKg),
    ],
    steps: ['Level the rail with the carriage in the middle, bags on.', 'Run the carriage to both ends: the bubble must stay.', 'Mark start and stop with tape; note what stands at the frame’s edge at both.', 'Level again after every move of the rig.'],
  }; // prettier-ignore
}

function armTold(arm: Arm, placed: readonly Lump[], units: Units, pictureDeg: number | null): Told {
  const found = armStand(arm, placed);
  const shake = pictureDeg ? found.shakeDeg / pictureDeg : null;
  const wish = arm.marginMm / 1000;
  const where = (deg: number) => `${trim(((deg % 360) + 360) % 360, 0)}° from the front leg`;
  return {
    facts: [
      fact('marginM', 'Centre of mass inside the feet', sayLength(found.marginM, units), found.marginM, gradeOfMargin(found.marginM, wish), found.marginM < wish ? 'Point a leg under the arm, hang a bag, or spread the legs.' : ''),
      fact('worstMarginM', 'At worst', `${sayLength(found.worst.marginM, units)}, ${where(found.worst.deg)}`, found.worst.marginM, gradeOfMargin(found.worst.marginM, wish), found.worst.marginM <= 0 ? 'It tips when the arm gets there.' : ''),
      fact('bestMarginM', 'At best', `${sayLength(found.best.marginM, units)}, ${where(found.best.deg)}`, found.best.marginM),
      fact('bagKg', `Bag for ${sayMm(arm.marginMm, units)} all round`, found.bagKg === 0 ? 'none more' : Number.isFinite(found.bagKg) ? `${sayMass(found.bagKg, units)} more under the middle` : 'none is enough: spread the legs', found.bagKg, Number.isFinite(found.bagKg) ? null : 'cannot'),
      fact('headHeightM', 'Head height', sayLength(found.headHeightM, units), found.headHeightM),
      fact('footM', 'Feet from the middle', sayLength(found.footM, units), found.footM),
      fact('windNm', `In a wind of ${sayWind(arm.windMps)}`, `${trim(found.windN, 1)} N on camera and shade, ${trim(found.windNm, 1)} N m at the feet`, found.windNm),
      ...(shake === null ? [] : [fact('shakeShare', 'Gusts of it shake the picture by', `${trim(shake * 100, shake < 0.001 ? 3 : 2)}% of its width`, shake, shake < 0.0005 ? 'fits' : shake < 0.002 ? 'tight' : 'cannot', shake < 0.0005 ? '' : 'Shade off, column down, a bag under the middle, or a wider lens.')]),
fact('tipsAtMps', 'A gust that tips it', found.tipsAtMps === 0 ? 'it tips in still air' : Number.isFinite(found.tipsAtMps) ? sayWind(found.tipsAtMps) : 'nothing catches the wind', found.tipsAtMps, found.tipsAtMps === 0 ? 'cannot' : found.tipsAtMps < 12 ? 'tight' : null, found.tipsAtMps > 0 && found.tipsAtMps < 12 ? 'Hang a bag, take the shade off, lower the column.' : ''),
      fact('massKg', 'Stands on the ground', sayMass(found.massKg, units), found.massKg),
    ],
    steps: ['Spread the legs on firm ground, one under where the arm goes.', 'Hang the bag under the middle so that it just touches the ground: it must not swing.', 'Balance the arm over its own base before the camera goes out.', 'Tie the camera with a line of its own; go round once slowly by hand.'],
  }; // prettier-ignore
}

function ropeTold(rope: Rope, massKg: number, units: Units): Told {
  const found = ropeSwing(rope, massKg);
  const pan = { one: 'One rope: it spins, so a pan cannot be held', strap: 'A flat strap: it turns slowly, little of a pan is left to chance', two: 'Two ropes and a bar: the pan is held' }[rope.lines]; // prettier-ignore
  return {
    facts: [
      fact('periodS', 'To and fro once', `${trim(found.periodS, 2)} s`, found.periodS),
      fact('reachM', 'From end to end', sayLength(found.reachM, units), found.reachM),
      fact('riseM', 'Rises at the ends', sayLength(found.riseM, units), found.riseM),
      fact('speedMaxMps', 'Fastest, at the bottom', saySpeed(found.speedMaxMps, units), found.speedMaxMps),
      fact('lowestN', 'Pull on the rope, for the rigger', `${trim(found.stillN, 0)} N at rest, ${trim(found.lowestN, 0)} N at the bottom of the swing, ${trim(found.endN, 0)} N at its ends`, found.lowestN),
      fact('pan', 'Pan', pan, null, rope.lines === 'two' ? null : rope.lines === 'strap' ? 'tight' : 'cannot', rope.lines === 'one' ? 'Turn pan follow off and cut before it turns, or take two ropes.' : ''),
      fact('secondLine', 'Second, independent line', rope.secondLine ? 'on' : 'missing', null, rope.secondLine ? null : 'cannot', rope.secondLine ? '' : 'Always, without exception, to a point of its own.'),
    ],
    steps: ['A qualified rigger chooses points, rope and knots from these forces.', 'Second line to a point of its own, slack, before the camera leaves the hand.', 'Pan off. Let it go from the start mark without a push.', 'Nobody below or in its way, from end to end.'],
  }; // prettier-ignore
}

function droneTold(drone: Drone, payloadKg: number, units: Units, shots: readonly Shot[], rig: Rig | undefined): Told {
  const found = droneFlight(drone, payloadKg);
  const minutes = flightMinutes(shots.map(({ timing }) => timing.durationS));
  const batteries = found.upwindMps <= 0 ? Infinity : batteriesFor(minutes, found.enduranceMin);
  return {
    facts: [
      fact('massKg', 'Take-off mass', `${sayMass(found.massKg, units)} of ${sayMass(drone.bodyMaxG / 1000, units)}`, found.massKg, gradeOf(found.massKg / (drone.bodyMaxG / 1000), 0.95), found.overMassKg > 0 ? `${sayMass(found.overMassKg, units)} over its maker’s limit: take something off.` : ''),
      fact('hoverShare', 'Hovers at', `${trim(found.hoverShare * 100, 0)}% of its thrust`, found.hoverShare, found.hoverShare >= 1 ? 'cannot' : found.hoverShare > 0.6 ? 'tight' : 'fits', found.hoverShare > 0.6 ? 'Little is left to hold against gusts.' : ''),
      fact('windMps', `Wind at ${sayLength(drone.heightM, units)}`, sayWind(found.windMps), found.windMps, found.upwindMps <= 0 ? 'cannot' : found.windMps > drone.speedMaxMps * 0.6 ? 'tight' : 'fits', found.upwindMps <= 0 ? 'It would be blown away: do not take off.' : found.windMps > drone.speedMaxMps * 0.6 ? 'It comes back slowly against this: fly out upwind.' : ''),
      fact('enduranceMin', 'In the air', found.upwindMps <= 0 ? 'cannot' : `${trim(found.enduranceMin, 1)} min to the reserve of ${trim(drone.reserveShare * 100, 0)}%; ${trim(found.stillMin, 1)} in still air`, found.upwindMps <= 0 ? null : found.enduranceMin),
      ...(shots.length === 0 ? [] : [fact('batteries', `Batteries for ${shots.length === 1 ? 'its shot' : `its ${shots.length} shots`}`, Number.isFinite(batteries) ? `${batteries}, for about ${trim(minutes, 0)} minutes in the air` : 'no number of them: none lasts for take-off and landing', batteries, Number.isFinite(batteries) ? null : 'cannot')]),
...(rig ? [fact('gimbalTilt', 'Its gimbal looks', `from ${trim(rig.tiltMinDeg, 0)}° to ${trim(rig.tiltMaxDeg, 0)}°, level is 0°${rig.rollMaxDeg > 0 ? `, and rolls ${trim(rig.rollMaxDeg, 0)}°` : ''}`, null)] : []),
fact('upwindMps', 'Left against the wind', found.upwindMps <= 0 ? 'nothing' : saySpeed(found.upwindMps, units), found.upwindMps),
    ],
    steps: ['Check air law, parks’ rules, and who may fly here.', 'Propellers, battery latch, gimbal cover off, card in.', 'Home point set, a clear circle for take-off, a spotter watching the sky.', 'Land at the reserve, whatever the shot.'],
  }; // prettier-ignore
}

function wheelsTold(wheels: Wheels, units: Units): Told {
  const found = wheelsStop(wheels);
  return {
    facts: [
      fact('stoppingM', 'Stops within', `${sayLength(found.stoppingM, units)}: ${sayLength(found.thinkingM, units)} to react, ${sayLength(found.brakingM, units)} to brake`, found.stoppingM),
      fact('energyJ', 'Energy at that speed', `${trim(found.energyJ, 0)} J: as a fall from ${sayLength(wheels.speedMps ** 2 / (2 * 9.80665), units)}`, found.energyJ),
      fact('wheelHz', 'An uneven wheel shakes', `${trim(found.wheelHz, 1)} times a second`, found.wheelHz, found.wheelHz > 4 ? 'tight' : null, found.wheelHz > 4 ? 'Shaking that a gimbal passes on: larger or softer wheels, smoother ground, go slower; strap the lens, adapters loosen.' : ''),
      fact('people', 'People', wheels.driver ? 'one drives and watches the way, one operates and watches the frame' : 'one does both', null, wheels.driver ? 'fits' : 'tight', wheels.driver ? '' : 'Two are better than one: nobody watches both the way and the frame.'),
    ],
    steps: ['Strap points: camera body, lens, battery and monitor, each to the mount; a line from the mount to the frame of the vehicle.', 'Tighten adapters, then again after the first run.', `Walk the way, clear ${sayLength(2 * found.stoppingM, units)} beyond its end.`, 'Agree the word that stops it. Batteries full.'],
  }; // prettier-ignore
}
