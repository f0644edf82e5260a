import { newShoot, type Shoot } from '@gentle-arc/core/model';
import { listShoots, loadShoot, removeShoot, saveShoot } from './database';
import { ShootStore } from './shoot-store.svelte';

/** What tests of the store have in common. */

export const shoot = (id = 's'): Shoot => newShoot(id, 'First', 'one');
export const named = (name: string, id = 's'): Shoot => ({ ...shoot(id), name });
export const fresh = (of: Shoot) => ({ shoot: of, rev: null, past: [], future: [] });
export const keep = (of: Shoot) => saveShoot(fresh(of));
/** A tab that has just opened a shoot. */
export async function tab(id = 's'): Promise<ShootStore> {
  const kept = await loadShoot(id);
  if (!kept) throw new Error(`no ${id}`);
  return new ShootStore(kept);
}

/** Leaves the store as if nothing had ever been kept. */
export async function emptyStore(): Promise<void> {
  for (const { id } of await listShoots()) await removeShoot(id);
}
