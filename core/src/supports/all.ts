import { type Fact, factsOf, type Support, type SupportKind, SupportSchema } from '../model';
import { arm } from './arm';
import type { SupportDefinition } from './definition';
import { drone } from './drone';
import { improvised } from './improvised';
import { jib } from './jib';
import { motorGimbal } from './motor-gimbal';
import { rope } from './rope';
import { sled } from './sled';
import { slider } from './slider';
import { wheels } from './wheels';

const SUPPORTS: { [K in SupportKind]: SupportDefinition<Extract<Support, { kind: K }>> } = {
  sled,
  motorGimbal,
  jib,
  slider,
  arm,
  rope,
  drone,
  wheels,
  improvised,
};

/** Every kind, in the order in which they are offered. */
export const SUPPORT_KINDS = Object.keys(SUPPORTS) as SupportKind[];

/** What is known of a kind of support. The pair always belongs together, which the compiler cannot follow. */
export const supportOf = (kind: SupportKind): SupportDefinition => SUPPORTS[kind] as unknown as SupportDefinition;

const factsByKind = new Map(SupportSchema.options.map((schema) => [schema.shape.kind.value, factsOf(schema)]));

/** What a person is told of each field of a kind of support. */
export const supportFacts = (kind: SupportKind): Record<string, Fact> => factsByKind.get(kind) ?? {};
