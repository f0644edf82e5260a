import Dexie from 'dexie';
import { checkShoot, Refusal } from '@gentle-arc/core/formats';
import { problemsIn, type Shoot, shootText } from '@gentle-arc/core/model';
import { database, type StoredPhoto, type StoredShoot, type StoredState, type StoredUndo } from './tables';
import { tellTabs } from './tabs';
import { keptStates, STATE_EVERY_MS } from './thinning';
import { keepUndo, type Undo, undoIsKept, undoOf } from './undo';
import { forgetUnsaved } from './unsaved';

/** A shoot with what it was made from and what can be undone. */
export interface Kept extends Undo {
  shoot: Shoot;
  rev: string | null;
}

/** A shoot of the list: whole, or one that cannot be read, with why. */
export type Listed =
  | { id: string; savedAtMs: number; name: string; shoot: Shoot; problem: null }
  | { id: string; savedAtMs: number; name: string; shoot: null; problem: string; raw: unknown };

const revOf = (row: StoredShoot | undefined): string | null => (row ? (row.rev ?? '') : null);

function nameIn(raw: unknown, id: string): string {
  const name: unknown = typeof raw === 'object' && raw !== null ? (raw as Record<string, unknown>).name : undefined;
  return typeof name === 'string' && name.trim() !== '' ? name.slice(0, 120) : id;
}

/** What lies in a row: JSON, or in rows of earlier versions a shoot as it is. What is no JSON stays the text it is. */
function contentOf({ shoot }: { shoot: unknown }): unknown {
  if (typeof shoot !== 'string') return shoot;
  try {
    return JSON.parse(shoot) as unknown;
  } catch (error) {
    if (error instanceof SyntaxError) return shoot;
    throw error;
  }
}

function listed(row: StoredShoot): Listed {
  const content = contentOf(row);
  const common = {
    id: String(row.id),
    savedAtMs: typeof row.savedAtMs === 'number' ? row.savedAtMs : 0,
    name: nameIn(content, String(row.id)),
  };
  try {
    return { ...common, shoot: checkShoot(content), problem: null };
  } catch (error) {
    return {
      ...common,
      shoot: null,
      problem: error instanceof Refusal ? error.message : (error as Error).message,
      raw: content,
    };
  }
}

/** Every shoot, last saved first; one that cannot be read hurts no other. */
export async function listShoots(): Promise<Listed[]> {
  return (await database.shoots.toArray()).map(listed).sort((a, b) => b.savedAtMs - a.savedAtMs);
}

/** One shoot of the list; null when there is none with this id. */
export async function findShoot(id: string): Promise<Listed | null> {
  const row = await database.shoots.get(id);
  return row ? listed(row) : null;
}

/** The shoot with this id, checked; null when there is none. Throws a `Refusal` when what lies there is not a shoot. */
export async function loadShoot(id: string): Promise<Kept | null> {
  const [row, undo] = await database.transaction('r', database.shoots, database.undos, () =>
    Promise.all([database.shoots.get(id), database.undos.get(id)]),
  );
  return row ? { shoot: checkShoot(contentOf(row)), rev: revOf(row), ...undoOf(row, undo) } : null;
}

/**
 * The state that a shoot has in the database now: changes with every save, null when there is none. Answered from the
 * index, without reading the shoot; rows of earlier versions are not in it.
 */
export async function stateOf(id: string): Promise<string | null> {
  const [key] = await database.shoots.where('[id+rev]').between([id, Dexie.minKey], [id, Dexie.maxKey]).keys();
  return Array.isArray(key) ? String(key[1]) : revOf(await database.shoots.get(id));
}

export type Saved = { outcome: 'saved'; rev: string } | { outcome: 'changed' } | { outcome: 'gone' };

/**
 * Saves a shoot that was made from the state `kept.rev` (null: from none), with its undo. When another state lies there
 * by now, nothing is written and the outcome says so. `before`: the shoot as this work began, for the list of earlier
 * states.
 */
export async function saveShoot(kept: Kept, before: Shoot | null = null): Promise<Saved> {
  const { shoot } = kept;
  const [problem] = problemsIn(shoot);
  if (problem) throw new Refusal([problem]);
  let undoRev = '';
  const saved = await database.transaction(
    'rw',
    database.shoots,
    database.undos,
    database.states,
    async (): Promise<Saved> => {
      const there = await stateOf(shoot.id);
      if (there !== kept.rev) return { outcome: there === null ? 'gone' : 'changed' };
      const rev = crypto.randomUUID();
      const nowMs = Date.now();
      undoRev = await keepUndo(shoot.id, kept);
      await database.shoots.put({ id: shoot.id, savedAtMs: nowMs, rev, undoRev, shoot: shootText(shoot) });
      await keepState(shoot, before, nowMs);
      return { outcome: 'saved', rev };
    },
  );
  if (saved.outcome === 'saved') {
    undoIsKept(kept, undoRev);
    tellTabs({ shootId: shoot.id, what: 'saved' });
  }
  return saved;
}

const ownStates = (shootId: string) => database.states.where('shootId').equals(shootId);
const stateTimes = async (shootId: string): Promise<number[]> =>
  (await ownStates(shootId).primaryKeys()).map(([, atMs]) => atMs);

/** Within a save: keeps the state before this work, and from then on one a minute; thins out what is older. */
async function keepState(shoot: Shoot, before: Shoot | null, nowMs: number): Promise<void> {
  const times = await stateTimes(shoot.id);
  const add = async (atMs: number, state: Shoot) => {
    await database.states.put({ shootId: shoot.id, atMs, shoot: shootText(state) });
    times.push(atMs);
  };
  if (before) await add(nowMs - 1, before);
  else if (nowMs - Math.max(0, ...times) >= STATE_EVERY_MS) await add(nowMs, shoot);
  else return;
  const kept = new Set(keptStates(times, nowMs));
  // The newest is never thinned away.
  kept.add(Math.max(...times));
  await database.states.bulkDelete(
    times.filter((atMs) => !kept.has(atMs)).map((atMs): [string, number] => [shoot.id, atMs]),
  );
}

/** Earlier states of a shoot, newest first. What cannot be read any more is left out. */
export async function statesOf(shootId: string): Promise<{ atMs: number; shoot: Shoot }[]> {
  const rows = await ownStates(shootId).toArray();
  return rows
    .flatMap((row) => {
      try {
        return [{ atMs: row.atMs, shoot: checkShoot(contentOf(row)) }];
      } catch (error) {
        if (error instanceof Refusal) return [];
        throw error;
      }
    })
    .sort((a, b) => b.atMs - a.atMs);
}

/** Gives up all earlier states, to make room. */
export const forgetStates = async (): Promise<void> => database.states.clear();

/** All that was kept of a shoot that is deleted. */
export interface Removed {
  row: StoredShoot | undefined;
  undo: StoredUndo | undefined;
  photo: StoredPhoto | undefined;
  states: StoredState[];
}

/** Deletes a shoot with its photograph, its undo and its earlier states; gives back what brings it all back. */
export async function removeShoot(id: string): Promise<Removed> {
  const removed = await database.transaction(
    'rw',
    database.shoots,
    database.undos,
    database.states,
    database.photos,
    async () => {
      const found: Removed = {
        row: await database.shoots.get(id),
        undo: await database.undos.get(id),
        photo: await database.photos.get(id),
        states: await ownStates(id).toArray(),
      };
      await Promise.all([
        database.shoots.delete(id),
        database.undos.delete(id),
        database.photos.delete(id),
        ownStates(id).delete(),
      ]);
      return found;
    },
  );
  forgetUnsaved(id);
  tellTabs({ shootId: id, what: 'deleted' });
  return removed;
}

/** Brings a deleted shoot back, unless another has taken its place meanwhile. */
export async function bringBack({ row, undo, photo, states }: Removed): Promise<void> {
  if (!row) return;
  await database.transaction('rw', database.shoots, database.undos, database.states, database.photos, async () => {
    if (await database.shoots.get(row.id)) return;
    await database.shoots.put(row);
    if (undo) await database.undos.put(undo);
    if (photo) await database.photos.put(photo);
    await database.states.bulkPut(states);
  });
  tellTabs({ shootId: row.id, what: 'saved' });
}

/** Keeps the photograph that is measured in for a shoot; the one before it goes. */
export async function savePhoto(shootId: string, photo: Blob): Promise<void> {
  await database.photos.put({ shootId, photo });
}

export async function loadPhoto(shootId: string): Promise<Blob | null> {
  return (await database.photos.get(shootId))?.photo ?? null;
}

/** Writes a row as it is, checked by nobody: for tests of what earlier versions and other programs left. */
export const putRow = async (row: object): Promise<unknown> => database.table('shoots').put(row);
