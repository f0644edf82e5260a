import { handMm, type MotorGimbal, sayMass, sayMm, trim, type Units } from '../../model';
import type { Lump } from '../masses';
import { FELT_MM, gimbalBalance, gimbalSlides, PLATE_REACH_MM, platesOut } from './statics';
import { fact, type Fact, type Told } from '../fact';
import { gradeOf } from '../grade';
import { saySlide } from './slides';

/** A motor that holds more than this of what it can works all the time. */
const WORKING_SHARE = 0.04;
const capital = (name: string) => name[0].toUpperCase() + name.slice(1);

/** A motor gimbal as it stands, and what hands slide, one after the other. */
export function gimbalTold(gimbal: MotorGimbal, placed: readonly Lump[], units: Units): Told {
  const found = gimbalBalance(gimbal, placed);
  const { slides } = gimbalSlides(gimbal, placed, units);
  const over = found.payloadShare > 1;
  const near = found.payloadShare > 0.9;
  const facts: Fact[] = [
    fact(
      'payloadKg',
      'Payload',
      `${sayMass(found.massKg, units)} of ${sayMass(gimbal.payloadMaxG / 1000, units)}`,
      found.massKg,
      gradeOf(found.payloadShare, 0.9),
      over
        ? 'Over its maker’s payload: a lighter lens, or the monitor and battery off the camera.'
        : near
          ? 'Near its maker’s payload: motors shudder when anything is off balance.'
          : '',
    ),
    ...found.axes.map(({ name, slideMm, leftoverNm, shareOfMotor }, i) => {
      const still = Math.abs(slideMm) < FELT_MM;
      const mended = !still && slides[i].byMm === 0;
      const holds = `the motor holds ${trim(leftoverNm, 2)} N m, ${trim(shareOfMotor * 100, 0)}%`;
      const said = still
        ? 'stays where it is left'
        : `off by ${handMm(Math.abs(slideMm), units).said} ` +
          `${mended ? 'until the tilt is balanced' : 'as it is'}; ${holds}`;
      const why =
        shareOfMotor > 1
          ? 'More than the motor can hold.'
          : `The motor works all the time: balance ${mended ? 'the tilt' : 'this axis'}.`;
      return fact(
        `${name.replace(/[^a-z]+/g, '-')}Mm`,
        capital(name),
        said,
        -slideMm,
        gradeOf(shareOfMotor, WORKING_SHARE),
        shareOfMotor > WORKING_SHARE ? why : '',
      );
    }),
    fact(
      'runMin',
      'Battery, balanced so',
      `about ${trim(gimbal.runMin * found.runShare, 0)} of ${trim(gimbal.runMin, 0)} minutes`,
      gimbal.runMin * found.runShare,
      found.runShare > 0.8 ? 'fits' : found.runShare > 0.4 ? 'tight' : 'cannot',
      found.runShare > 0.8 ? '' : 'The rest goes into holding what is off balance.',
    ),
  ];
  const steps = [
    'Motors off. Everything on as it will shoot: battery and card in, quick-release locked, zoom set and taped.',
  ];
  const out = platesOut(gimbal, placed);
  if (out.length > 0) {
    const goes = out.map(({ name, toMm }) => `${name} would have to go to ${sayMm(toMm, units)}`).join(', ');
    return {
      facts,
      steps: [
        ...steps,
        `${goes}, and goes ${sayMm(PLATE_REACH_MM, units)} either way: move the camera on its plate first, then ` +
          'look here again.',
      ],
    };
  }
  for (const { name, byMm } of slides)
    steps.push(
      `${capital(name)}: ` +
        `${byMm === 0 ? 'leave it' : `${saySlide(name, byMm, units)}, until it stays where it is left`}.`,
    );
  return { facts, steps };
}
