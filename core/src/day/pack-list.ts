import { type Shoot, trim } from '../model';
import { needOf } from '../supports';
import type { DayCase } from './day-problem';
import type { DayPlan } from './day-plan';
import { powerPlan } from './power-plan';
import { RAIN_MMPH } from './usual';

/** One thing to take along. */
export interface PackItem {
  key: string;
  said: string;
  /** The shots that want it; empty: all. */
  numbers: number[];
}
export interface PackGroup {
  name: string;
  items: PackItem[];
}

/** What people forget: common practice, no published source. */
const FORGOTTEN: readonly [string, string][] = [
  ['spareCards', 'A spare card, empty: forgetting one once cost a whole day’s resolution'],
  ['plates', 'Plates for every head, and one more'],
  ['screws', 'Adapter screws, a coin or key to turn them'],
  ['tape', 'Tape for marks, and for what can loosen'],
  ['cloth', 'Cloth and blower for the lens'],
  ['bags', 'Bags for the feet of stands'],
  ['charger', 'Chargers and their cables'],
  ['level', 'Bubble level'],
];

/** All that the day's shots take, from their builds; in the order in which a case is packed. */
export function packList(given: DayCase, plan: DayPlan): PackGroup[] {
  const { shoot } = given;
  const { kit, day } = shoot;
  const works = [
    ...plan.entries.map(({ work }) => work),
    ...given.works.filter(({ shot }) => plan.cannot.some(({ shotId }) => shotId === shot.id)),
  ];
  const rows = new Map<string, Map<string, PackItem>>();
  const put = (group: string, key: string, said: string, number: number | null) => {
    const items = rows.get(group) ?? new Map<string, PackItem>();
    rows.set(group, items);
    const item = items.get(key) ?? { key, said, numbers: [] };
    if (number !== null && !item.numbers.includes(number)) item.numbers.push(number);
    items.set(key, item);
  };
  const nameOf = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((row) => row.id === id)?.name ?? id;
  for (const { shot, number, rigId, rigName } of works) {
    put('Cameras', `camera.${shot.cameraId}`, nameOf(kit.cameras, shot.cameraId), number);
    put('Lenses', `lens.${shot.lensId}`, nameOf(kit.lenses, shot.lensId), number);
    for (const id of shot.filterIds) put('Filters', `filter.${id}`, nameOf(kit.filters, id), number);
    put('Rigs', `rig.${rigId}`, rigName, number);
    for (const { partId } of needOf(kit, shot).build?.parts ?? []) {
      const part = kit.parts.find(({ id }) => id === partId);
      // What is a camera, a lens or a filter of the kit is on the list already.
      if (part && part.of === null) put('Goes on the rigs', `part.${partId}`, part.name, number);
    }
  }
  for (const { forId, name, needs, count } of powerPlan(given, plan))
    put('Power and cards', `battery.${forId}`, `Batteries for ${name}: ${Math.max(count ?? 0, needs)}, full`, null);
  put('Power and cards', 'cards', `Cards: ${day.cards.count} of ${trim(day.cards.gigabytes, 0)} GB, empty`, null);
  for (const lamp of shoot.site.pieces.filter(({ kind }) => kind === 'lamp'))
    put('Power and cards', `lamp.${lamp.id}`, `${lamp.name}, with its cable or battery`, null);
  for (const [key, said] of FORGOTTEN) put('What people forget', key, said, null);
  if (given.weather?.some(({ rainMmph }) => rainMmph >= RAIN_MMPH))
    put('What people forget', 'cover', 'Rain covers, dry cloths and a bin bag: rain is forecast', null);
  return [...rows].map(([name, items]) => ({
    name,
    items: [...items.values()].map((item) => ({ ...item, numbers: item.numbers.sort((a, b) => a - b) })),
  }));
}

/** How many things of the list are not ticked yet. */
export const leftToPack = ({ day }: Pick<Shoot, 'day'>, groups: readonly PackGroup[]): number =>
  groups.flatMap(({ items }) => items).filter(({ key }) => !day.packed.includes(key)).length;
