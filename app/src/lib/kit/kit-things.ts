import type * as z from 'zod';
import { CameraSchema, FilterSchema, LensSchema, RigSchema, type Kit } from '@gentle-arc/core/model/kit';
import { problemsOf } from '@gentle-arc/core/model/problems';
import type { Shoot } from '@gentle-arc/core/model/shoot';
import type { Unit } from '$lib/parts/quantities';

export type ThingList = 'cameras' | 'lenses' | 'filters' | 'rigs';
export interface Thing {
  id: string;
  name: string;
}

interface Field {
  key: string;
  said: string;
  unit: Unit;
  min: number;
  max: number;
  step: number;
}
const field = (key: string, said: string, unit: Unit, min: number, max: number, step: number): Field => ({
  key,
  said,
  unit,
  min,
  max,
  step,
});

/**
 * What is typed of each thing of the kit that shots name. A rig's further figures are on the Move screen, where its
 * moves are.
 */
export const THINGS: Record<ThingList, { title: string; one: string; schema: z.ZodType; fields: Field[] }> = {
  cameras: {
    title: 'Cameras',
    one: 'camera',
    schema: CameraSchema,
    fields: [
      field('sensorWidthMm', 'sensor wide', 'mm', 1, 120, 0.1),
      field('sensorHeightMm', 'sensor high', 'mm', 1, 120, 0.1),
      field('pictureWidthPx', 'pixels wide', 'plain', 160, 20_000, 1),
      field('pictureHeightPx', 'pixels high', 'plain', 120, 20_000, 1),
      field('readOutMs', 'ms to read out', 'plain', 0, 200, 1),
      field('dataRateMbps', 'Mb a second', 'plain', 1, 20_000, 10),
      field('bufferAboveHz', 'frames a second before it buffers', 'plain', 1, 2000, 1),
      field('bufferS', 'of buffer', 's', 0.1, 3600, 1),
    ],
  },
  lenses: {
    title: 'Lenses',
    one: 'lens',
    schema: LensSchema,
    fields: [
      field('focalLengthMinMm', 'at its shortest', 'mm', 1, 3000, 1),
      field('focalLengthMaxMm', 'at its longest', 'mm', 1, 3000, 1),
      field('closestFocusM', 'nearest focus', 'm', 0, 50, 0.05),
      field('fNumberMin', 'widest f-number', 'plain', 0.5, 45, 0.1),
      field('ringDeg', 'of focus ring', 'deg', 10, 720, 5),
    ],
  },
  filters: {
    title: 'Filters',
    one: 'filter',
    schema: FilterSchema,
    fields: [
      field('stopsMin', 'stops at least', 'plain', 0, 24, 0.5),
      field('stopsMax', 'stops at most', 'plain', 0, 24, 0.5),
    ],
  },
  rigs: {
    title: 'Rigs and supports',
    one: 'rig',
    schema: RigSchema,
    fields: [
      field('travelM', 'of travel', 'm', 0, 5000, 0.1),
      field('heightMinM', 'lens at its lowest', 'm', 0, 500, 0.05),
      field('heightMaxM', 'at its highest', 'm', 0, 500, 0.05),
      field('armM', 'of arm, pole or rope', 'm', 0, 50, 0.1),
    ],
  },
};

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

/** The kit with one of its lists replaced. */
export const withThings = (kit: Kit, list: ThingList, things: readonly Thing[]): Kit =>
  ({ ...kit, [list]: things }) as Kit;

/** What names a thing, so that it cannot go: shots by name, either way of them, and builds and parts. */
export function namedBy(shoot: Shoot, list: ThingList, id: string): string[] {
  const key = { cameras: 'cameraId', lenses: 'lensId', rigs: 'rigId', filters: null }[list];
  const shots = shoot.shots.filter((shot) =>
    [shot, shot.other].some(
      (plan) => plan !== null && (key === null ? plan.filterIds.includes(id) : plan[key as 'rigId'] === id),
    ),
  );
  const parts = shoot.kit.parts.filter(({ of }) => of === id);
  const builds = list === 'rigs' ? shoot.kit.builds.filter(({ rigId }) => rigId === id) : [];
  return [...shots, ...builds, ...parts].map(({ name }) => `“${name}”`);
}
