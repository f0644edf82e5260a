import * as z from 'zod';
import { AROUND_SCHEMAS } from './moves/around';
import { DOLLY_ZOOM_SCHEMAS } from './moves/dolly-zoom';
import { FreeSchema } from './moves/free';
import { LINE_SCHEMAS } from './moves/line';
import { factsOf, type Fact, type NumberFact } from './facts';
import { REVEAL_SCHEMAS } from './moves/reveals';
import { TURNING_SCHEMAS } from './moves/turning';
import { VERTICAL_SCHEMAS } from './moves/vertical';
import { WITH_SUBJECT_SCHEMAS } from './moves/with-subject';

/** The human parameters of every move of the vocabulary. */
export const MOVE_SCHEMAS = [
  ...LINE_SCHEMAS,
  ...AROUND_SCHEMAS,
  ...VERTICAL_SCHEMAS,
  ...TURNING_SCHEMAS,
  ...WITH_SUBJECT_SCHEMAS,
  ...REVEAL_SCHEMAS,
  ...DOLLY_ZOOM_SCHEMAS,
  FreeSchema,
] as const;

export const MoveSchema = z.discriminatedUnion('kind', MOVE_SCHEMAS);

export type Move = z.infer<typeof MoveSchema>;
export type MoveKind = Move['kind'];
export type MoveOf<K extends MoveKind> = Extract<Move, { kind: K }>;

/** What a person is told of one parameter of a move. */
export type Parameter = Fact & { key: string };
export type NumberParameter = NumberFact & { key: string };

const HEIGHT_ORDER = ['heightM', 'toHeightM'];
const parametersByKind = new Map<string, Parameter[]>(
  MOVE_SCHEMAS.map((schema) => {
    const parameters = Object.entries(factsOf(schema)).map(([key, fact]) => ({ ...fact, key }));
    // A person says how high last.
    parameters.sort((a, b) => HEIGHT_ORDER.indexOf(a.key) - HEIGHT_ORDER.indexOf(b.key));
    return [schema.shape.kind.value, parameters];
  }),
);

/**
 * The parameters of a kind of move, in the order a person says them; the two pivot offsets come first, heights last.
 */
export function parametersOf(kind: MoveKind): readonly Parameter[] {
  return parametersByKind.get(kind) ?? [];
}

/** The numbers among them. */
export function numbersOf(kind: MoveKind): readonly NumberParameter[] {
  return parametersOf(kind).filter((parameter) => parameter.type === 'number');
}
