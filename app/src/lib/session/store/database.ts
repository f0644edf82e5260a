import Dexie, { type Table } from 'dexie';
import { checkShoot, Refusal } from '@gentle-arc/core/formats';
import { problemsIn, type Shoot, SHOOT_VERSION } from '@gentle-arc/core/model';
import { tellTabs } from './tabs';
import { keptStates, STATE_EVERY_MS } from './thinning';
import { forgetUnsaved } from './unsaved';

/** A shoot as it lies in the browser. What is in a row is checked whenever it is read. */
interface StoredShoot {
  id: string;
  savedAtMs?: number;
  /** Another one with every save: what a tab has was made from this. Missing in rows of earlier versions. */
  rev?: string;
  shoot: unknown;
}
interface StoredUndo {
  shootId: string;
  rev: string;
  past: unknown[];
  future: unknown[];
}
interface StoredState {
  shootId: string;
  atMs: number;
  shoot: unknown;
}
interface StoredPhoto {
  shootId: string;
  photo: Blob;
}

class Database extends Dexie {
  declare shoots: Table<StoredShoot, string>;
  declare photos: Table<StoredPhoto, string>;
  declare undos: Table<StoredUndo, string>;
  declare states: Table<StoredState, [string, number]>;

  constructor() {
    super('gentle-arc');
    this.version(1).stores({ shoots: 'id, savedAtMs' });
    this.version(2).stores({ photos: 'shootId' });
    this.version(3).stores({ undos: 'shootId', states: '[shootId+atMs], shootId' });
  }
}

const database = new Database();
const MOST_STEPS_KEPT = 100;

/** A shoot with what it was made from and what can be undone. */
export interface Kept {
  shoot: Shoot;
  rev: string | null;
  past: Shoot[];
  future: Shoot[];
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

function listed(row: StoredShoot): Listed {
  const common = {
    id: String(row.id),
    savedAtMs: typeof row.savedAtMs === 'number' ? row.savedAtMs : 0,
    name: nameIn(row.shoot, String(row.id)),
  };
  try {
    return { ...common, shoot: checkShoot(row.shoot), problem: null };
  } catch (error) {
    return {
      ...common,
      shoot: null,
      problem: error instanceof Refusal ? error.message : (error as Error).message,
      raw: row.shoot,
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

/** Steps of undo that were kept: as far back as they are in order. */
function steps(rows: unknown[] | undefined): Shoot[] {
  const shoots = (rows ?? []) as Shoot[];
  const broken = shoots.findLastIndex((shoot) => shoot?.version !== SHOOT_VERSION || problemsIn(shoot).length > 0);
  return shoots.slice(broken + 1);
}

/** The shoot with this id, checked; null when there is none. Throws a `Refusal` when what lies there is not a shoot. */
export async function loadShoot(id: string): Promise<Kept | null> {
  const [row, undo] = await Promise.all([database.shoots.get(id), database.undos.get(id)]);
  if (!row) return null;
  const own = undo !== undefined && undo.rev === revOf(row);
  return {
    shoot: checkShoot(row.shoot),
    rev: revOf(row),
    past: own ? steps(undo.past) : [],
    future: own ? [...steps([...undo.future].reverse())].reverse() : [],
  };
}

/** The state that a shoot has in the database now: changes with every save, null when there is none. */
export const stateOf = async (id: string): Promise<string | null> => revOf(await database.shoots.get(id));

export type Saved = { outcome: 'saved'; rev: string } | { outcome: 'changed' } | { outcome: 'gone' };

/**
 * Saves a shoot that was made from the state `kept.rev` (null: from none), with its undo. When another state lies there
 * by now, nothing is written and the outcome says so. `before`: the shoot as this work began, for the list of earlier
 * states.
 */
export async function saveShoot(kept: Kept, before: Shoot | null = null): Promise<Saved> {
  const { shoot, past, future } = kept;
  const [problem] = problemsIn(shoot);
  if (problem) throw new Refusal([problem]);
  const saved = await database.transaction(
    'rw',
    database.shoots,
    database.undos,
    database.states,
    async (): Promise<Saved> => {
      const row = await database.shoots.get(shoot.id);
      if (revOf(row) !== kept.rev) return { outcome: row ? 'changed' : 'gone' };
      const rev = crypto.randomUUID();
      const nowMs = Date.now();
      await database.shoots.put({ id: shoot.id, savedAtMs: nowMs, rev, shoot });
      await database.undos.put({
        shootId: shoot.id,
        rev,
        past: past.slice(-MOST_STEPS_KEPT),
        future: future.slice(0, MOST_STEPS_KEPT),
      });
      await keepState(shoot, before, nowMs);
      return { outcome: 'saved', rev };
    },
  );
  if (saved.outcome === 'saved') tellTabs({ shootId: shoot.id, what: 'saved' });
  return saved;
}

const ownStates = (shootId: string) => database.states.where('shootId').equals(shootId);
const stateTimes = async (shootId: string): Promise<number[]> =>
  (await ownStates(shootId).primaryKeys()).map(([, atMs]) => atMs);

/** Within a save: keeps the state before this work, and from then on one a minute; thins out what is older. */
async function keepState(shoot: Shoot, before: Shoot | null, nowMs: number): Promise<void> {
  const times = await stateTimes(shoot.id);
  const add = async (atMs: number, state: Shoot) => {
    await database.states.put({ shootId: shoot.id, atMs, shoot: state });
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
    .flatMap(({ atMs, shoot }) => {
      try {
        return [{ atMs, shoot: checkShoot(shoot) }];
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
