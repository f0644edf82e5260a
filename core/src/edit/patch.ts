import { KitSchema, type Log, type Practice, type Shoot } from '../model';

/** What changed in a list: its ids in their order, and the rows that are new or different. */
interface RowsPatch {
  order: string[];
  rows: Row[];
}
interface Row {
  id: string;
}

/** What of a shoot is in no list. */
type Shell = Omit<Shoot, 'site' | 'kit' | 'shots' | 'practice' | 'log'> & {
  site: Omit<Shoot['site'], 'pieces' | 'underlays'>;
  practice: Omit<Shoot['practice'], 'tries'>;
  log: Omit<Shoot['log'], 'takes' | 'readies'>;
};

/** What turns one state of a shoot into another: all of it, or what differs. */
export type ShootPatch = { whole: Shoot } | { shell: Shell; lists: Record<string, RowsPatch> };

const KIT_LISTS = Object.keys(KitSchema.shape) as (keyof Shoot['kit'])[];

/** Every list of a shoot by its name. */
const listsOf = ({ site, kit, shots, practice, log }: Shoot): Record<string, readonly Row[]> => ({
  pieces: site.pieces,
  underlays: site.underlays,
  shots,
  tries: practice.tries,
  takes: log.takes,
  readies: log.readies,
  ...Object.fromEntries(KIT_LISTS.map((name) => [name, kit[name]])),
});

/**
 * What differs between two states of a shoot, by identity: a shoot is never changed in place, so what is the same object
 * is the same. Null when nothing differs; the whole shoot where there was none, or another.
 */
export function patchBetween(before: Shoot | null, after: Shoot): ShootPatch | null {
  if (before === after) return null;
  if (before?.id !== after.id) return { whole: after };
  const was = listsOf(before);
  const lists: Record<string, RowsPatch> = {};
  for (const [name, rows] of Object.entries(listsOf(after))) {
    if (rows === was[name]) continue;
    const known = new Set(was[name]);
    lists[name] = { order: rows.map(({ id }) => id), rows: rows.filter((row) => !known.has(row)) };
  }
  const { format, version, id, name, note, delivery, story, day, limits } = after;
  const { place } = after.site;
  const practice = Object.fromEntries(
    Object.entries(after.practice).filter(([key]) => key !== 'tries'),
  ) as Shell['practice'];
  const shell = { format, version, id, name, note, delivery, story, day, practice, limits, site: { place } };
  return { shell: { ...shell, log: { who: after.log.who } }, lists };
}

/** Practice after a patch: the same object where nothing of it differs. */
function practiceAfter(before: Practice, shell: Shell['practice'], tries: Practice['tries']): Practice {
  const same =
    tries === before.tries && Object.entries(shell).every(([key, value]) => before[key as keyof Practice] === value);
  return same ? before : { ...shell, tries };
}

/** The log after a patch: the same object where nothing of it differs. */
const logAfter = (before: Log, who: string, takes: Log['takes'], readies: Log['readies']): Log =>
  who === before.who && takes === before.takes && readies === before.readies ? before : { who, takes, readies };

/**
 * A shoot after a patch; rows that did not change stay the same objects. Throws a RangeError when the patch names a row
 * that is neither there nor in it.
 */
export function patched(before: Shoot | null, patch: ShootPatch): Shoot {
  if ('whole' in patch) return patch.whole;
  if (!before) throw new RangeError('There is no shoot yet that this could change.');
  const lists = { ...listsOf(before) };
  for (const [name, { order, rows }] of Object.entries(patch.lists)) {
    const byId = new Map([...(lists[name] ?? []), ...rows].map((row) => [row.id, row]));
    lists[name] = order.map((id) => {
      const row = byId.get(id);
      if (!row) throw new RangeError(`${name} has no ${id}.`);
      return row;
    });
  }
  const { pieces, underlays, shots, tries, takes, readies, ...kit } = lists;
  // What says the same stays the same object: readings are kept by what they follow from.
  const kept = <T>(was: T, is: T): T => (JSON.stringify(was) === JSON.stringify(is) ? was : is);
  const { shell } = patch;
  return {
    ...shell,
    delivery: kept(before.delivery, shell.delivery),
    story: kept(before.story, shell.story),
    day: kept(before.day, shell.day),
    practice: practiceAfter(before.practice, shell.practice, tries as Practice['tries']),
    log: logAfter(before.log, shell.log.who, takes as Log['takes'], readies as Log['readies']),
    limits: kept(before.limits, shell.limits),
    site: { place: kept(before.site.place, shell.site.place), pieces, underlays },
    shots,
    kit: KIT_LISTS.some((name) => name in patch.lists) ? kit : before.kit,
  } as Shoot;
}
