import fc from 'fast-check';
import { LEAST_APART_M, type Move, type MoveKind, MoveSchema, type NumberParameter, parametersOf } from '../model';
import { MOVE_KINDS } from '../motion';

export const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Usual ranges of each unit, inside what the schema allows. */
function usual({ key, unit, min, max }: NumberParameter): fc.Arbitrary<number> {
  const within = (least: number, most: number) => num(Math.max(min, least), Math.min(max, most));
  if (unit === 'deg') return within(-180, 180);
  if (unit === 'mm') return within(10, 200);
  if (unit === 'share') return within(0, 1);
  if (key.startsWith('pivot')) return within(-3, 3);
  return key === 'heightM' || key === 'toHeightM' ? within(0.1, 12) : within(-20, 20);
}

const point = fc.record({
  eastM: num(-10, 10),
  northM: num(-10, 10),
  heightM: num(0.2, 6),
  // Never straight away from the subject: a head may turn either way then.
  look: fc.oneof(
    fc.constant(null),
    fc.record({ panDeg: num(-180, 179).map((deg) => deg + 0.123), tiltDeg: num(-80, 80), rollDeg: num(-40, 40) }),
  ),
});

/** Any move of a kind, with parameters of the size people use. */
export function anyMoveOf(kind: MoveKind): fc.Arbitrary<Move> {
  if (kind === 'free')
    return fc
      .record({
        kind: fc.constant(kind),
        pivotEastM: num(-3, 3),
        pivotNorthM: num(-3, 3),
        points: fc.array(point, { minLength: 2, maxLength: 6 }),
      })
      .filter(({ points }) =>
        points.every(
          (row, i) =>
            i === 0 ||
            Math.hypot(
              row.eastM - points[i - 1].eastM,
              row.northM - points[i - 1].northM,
              row.heightM - points[i - 1].heightM,
            ) > LEAST_APART_M,
        ),
      )
      .map((move) => MoveSchema.parse(move));
  const fields: Record<string, fc.Arbitrary<unknown>> = { kind: fc.constant(kind) };
  for (const parameter of parametersOf(kind))
    fields[parameter.key] =
      parameter.type === 'number'
        ? usual(parameter)
        : parameter.type === 'choice'
          ? fc.constantFrom(...Object.keys(parameter.names))
          : fc.constantFrom(null, 'post', 'back');
  return fc.record(fields).map((move) => MoveSchema.parse(move));
}

export const anyMove: fc.Arbitrary<Move> = fc.constantFrom(...MOVE_KINDS).chain(anyMoveOf);
