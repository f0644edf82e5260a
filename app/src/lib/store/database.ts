import Dexie, { type Table } from 'dexie';
import { checkShoot } from '@gentle-arc/core/formats/shoot-file';
import type { Shoot } from '@gentle-arc/core/model/shoot';

/** A shoot as it lies in the browser. */
export interface StoredShoot {
  id: string;
  savedAtMs: number;
  shoot: unknown;
}

class Database extends Dexie {
  declare shoots: Table<StoredShoot, string>;
  declare photos: Table<{ shootId: string; photo: Blob }, string>;

  constructor() {
    super('gentle-arc');
    this.version(1).stores({ shoots: 'id, savedAtMs' });
    this.version(2).stores({ photos: 'shootId' });
  }
}

const database = new Database();

export async function saveShoot(shoot: Shoot): Promise<void> {
  await database.shoots.put({ id: shoot.id, savedAtMs: Date.now(), shoot });
}

/** The shoot with this id, checked; null when there is none. Throws a `Refusal` when what lies there is not a shoot. */
export async function loadShoot(id: string): Promise<Shoot | null> {
  const row = await database.shoots.get(id);
  return row ? checkShoot(row.shoot) : null;
}

/** Every shoot that can be read, last saved first. */
export async function allShoots(): Promise<Shoot[]> {
  const rows = await database.shoots.orderBy('savedAtMs').reverse().toArray();
  return rows.map((row) => checkShoot(row.shoot));
}

export async function deleteShoot(id: string): Promise<void> {
  await database.shoots.delete(id);
  await database.photos.delete(id);
}

/** Keeps the photograph that is measured in for a shoot; the one before it goes. */
export async function savePhoto(shootId: string, photo: Blob): Promise<void> {
  await database.photos.put({ shootId, photo });
}

export async function loadPhoto(shootId: string): Promise<Blob | null> {
  return (await database.photos.get(shootId))?.photo ?? null;
}
