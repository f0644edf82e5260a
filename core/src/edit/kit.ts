import type * as z from 'zod';
import {
  CameraSchema,
  DEFAULT_GAITS,
  DEFAULT_KIT,
  DEFAULT_RIGS,
  FilterSchema,
  type Gait,
  GaitSchema,
  type Kit,
  LensSchema,
  problemsOf,
  type Rig,
  RigSchema,
  type Shoot,
  usualRig,
} from '../model';

/** Cameras, lenses, filters, rigs and gaits that shots name: copied, typed over, taken out. */

export type ThingList = 'cameras' | 'lenses' | 'filters' | 'rigs' | 'gaits';
export interface Thing {
  id: string;
  name: string;
}

/** What each list of the kit holds: a thing's schema, and what one of them is called. */
export const THINGS = {
  cameras: { one: 'camera', schema: CameraSchema },
  lenses: { one: 'lens', schema: LensSchema },
  filters: { one: 'filter', schema: FilterSchema },
  rigs: { one: 'rig', schema: RigSchema },
  gaits: { one: 'gait', schema: GaitSchema },
} as const satisfies Record<ThingList, { one: string; schema: z.ZodType }>;

/** Lower ends stay below upper ones: when one of a pair is typed past the other, the other gives way. */
const PAIRS = [
  ['heightMinM', 'heightMaxM'],
  ['tiltMinDeg', 'tiltMaxDeg'],
] as const;

/** The thing with another number or name; a sentence when it is then out of order, and nothing is changed. */
export function changedThing(list: ThingList, thing: Thing, change: Record<string, unknown>): Thing | string {
  // Pixels are whole.
  const whole = Object.fromEntries(
    Object.entries(change).map(([key, value]) => [key, key.endsWith('Px') ? Math.round(Number(value)) : value]),
  );
  const next = { ...thing, ...whole };
  const checked = THINGS[list].schema.safeParse(next);
  return checked.success ? next : `${thing.name}: ${problemsOf(checked.error, next)[0].sentence}`;
}

/** A rig with one figure set, and its other end where that has to give way. */
export function rigWith(rig: Rig, key: string, value: number): Rig {
  const next: Record<string, number> = { [key]: value };
  for (const [least, most] of PAIRS) {
    if (key === least && value > rig[most]) next[most] = value;
    if (key === most && value < rig[least]) next[least] = value;
  }
  return { ...rig, ...next };
}

/** The kit with one of its lists replaced. */
export const withThings = (kit: Kit, list: ThingList, things: readonly Thing[]): Kit =>
  ({ ...kit, [list]: things }) as Kit;

/** The kit with one thing of a list replaced. */
export const withThing = (kit: Kit, list: ThingList, thing: Thing): Kit =>
  withThings(
    kit,
    list,
    kit[list].map((row: Thing) => (row.id === thing.id ? thing : row)),
  );

/** A copy of a thing at the end of its list. */
export const copyThing = (kit: Kit, list: ThingList, thing: Thing, id: string): Kit =>
  withThings(kit, list, [...kit[list], { ...thing, id, name: `${thing.name}, again`.slice(0, 80) }]);

/** Things of the made-up kit that a list has not: what can be copied in. */
export const examplesFor = (kit: Kit, list: ThingList): readonly Thing[] =>
  (DEFAULT_KIT[list] as readonly Thing[]).filter(({ id }) => !kit[list].some((own: Thing) => own.id === id));

/** The kit with one of the examples at the end of its list. */
export const takeExample = (kit: Kit, list: ThingList, thing: Thing): Kit =>
  withThings(kit, list, [...kit[list], thing]);

/** What names a thing, so that it cannot go: shots by name, either way of them, and builds and parts. */
export function namedBy(shoot: Shoot, list: ThingList, id: string): string[] {
  const key = NAMED_AS[list];
  const shots = shoot.shots.filter((shot) =>
    [shot, shot.other].some(
      (plan) => plan !== null && (key === null ? plan.filterIds.includes(id) : plan[key as 'rigId'] === id),
    ),
  );
  const parts = shoot.kit.parts.filter(({ of }) => of === id);
  const builds = list === 'rigs' ? shoot.kit.builds.filter(({ rigId }) => rigId === id) : [];
  return [...shots, ...builds, ...parts].map(({ name }) => `“${name}”`);
}

const NAMED_AS = { cameras: 'cameraId', lenses: 'lensId', rigs: 'rigId', gaits: 'gaitId', filters: null } as const;

/** The kit without a thing, or a sentence where something names it or it is the only one. */
export function removeThing(shoot: Shoot, list: ThingList, thing: Thing): Kit | string {
  const by = namedBy(shoot, list, thing.id);
  if (by.length > 0) {
    const more = by.length > 4 ? ` and ${by.length - 4} more` : '';
    return `${thing.name} is named by ${by.slice(0, 4).join(', ')}${more}: choose another there first, then it can go.`;
  }
  const things: readonly Thing[] = shoot.kit[list];
  if (list !== 'filters' && things.length === 1) return `${thing.name} is the only ${THINGS[list].one}: copy it first.`;
  return withThings(
    shoot.kit,
    list,
    things.filter(({ id }) => id !== thing.id),
  );
}

/** Rig, gait, camera and lens of a shot with the figures they have usually; names stay. */
export function usualFigures(kit: Kit, used: { rig: Rig; gait: Gait; cameraId: string; lensId: string }): Kit {
  const { rig, gait, cameraId, lensId } = used;
  const known =
    DEFAULT_RIGS.find(({ id }) => id === rig.id) ?? usualRig(rig.kind, { id: rig.id, name: rig.name, way: rig.way });
  const usualGait = DEFAULT_GAITS.find(({ id }) => id === gait.id);
  const camera = DEFAULT_KIT.cameras.find(({ id }) => id === cameraId);
  const lens = DEFAULT_KIT.lenses.find(({ id }) => id === lensId);
  return {
    ...kit,
    cameras: kit.cameras.map((row) => (row.id === cameraId && camera ? { ...row, readOutMs: camera.readOutMs } : row)),
    lenses: kit.lenses.map((row) =>
      row.id === lensId && lens ? { ...row, fNumberMin: lens.fNumberMin, closestFocusM: lens.closestFocusM } : row,
    ),
    rigs: kit.rigs.map((row) => (row.id === rig.id ? { ...known, name: rig.name } : row)),
    gaits: kit.gaits.map((row) => (row.id === gait.id && usualGait ? { ...usualGait, name: gait.name } : row)),
  };
}
