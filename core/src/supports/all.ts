import type { Support, SupportKind } from '../model/build';
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

/** What is known of a kind of support. The pair always belongs together, which the compiler cannot follow. */
export const supportOf = (kind: SupportKind): SupportDefinition => SUPPORTS[kind] as unknown as SupportDefinition;
