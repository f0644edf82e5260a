import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { newShoot, type Shoot } from '@gentle-arc/core/model';
import { listShoots, loadShoot, removeShoot, saveShoot } from './database';
import { ShootStore } from './shoot-store.svelte';
import { unsavedOf } from './unsaved';

const named = (name: string): Shoot => ({ ...newShoot('s', 'First', 'one'), name });
const shoot = () => named('First');
const keep = (of: Shoot) => saveShoot({ shoot: of, rev: null, past: [], future: [] });
async function tab(): Promise<ShootStore> {
  const kept = await loadShoot('s');
  if (!kept) throw new Error('no shoot');
  return new ShootStore(kept);
}

beforeEach(async () => {
  for (const { id } of await listShoots()) await removeShoot(id);
});

describe('a page that is left before its save is over', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => void kept.set(key, text),
      removeItem: (key: string) => void kept.delete(key),
    });
    return () => vi.unstubAllGlobals();
  });
  /** What a page that is killed while it is left leaves behind: its save never happens. */
  function killed(store: ShootStore): void {
    vi.spyOn(store, 'saveNow').mockResolvedValue();
    store.leave();
  }
  async function next(): Promise<ShootStore> {
    const store = await tab();
    const unsaved = unsavedOf('s');
    if (unsaved) store.comeBack(unsaved);
    return store;
  }

  it('the next one takes up what was put away, as a change that can be undone, and saves it', async () => {
    await keep(shoot());
    const left = await tab();
    left.change(named('the last word'));
    killed(left);
    const store = await next();
    expect(store.shoot.name).toBe('the last word');
    await store.saveNow();
    expect((await loadShoot('s'))?.shoot.name).toBe('the last word');
    expect(kept.size).toBe(0);
    store.undo();
    expect(store.shoot.name).toBe('First');
  });
  it('nothing is put away where all is saved, and a save that came through forgets it', async () => {
    await keep(shoot());
    const store = await tab();
    store.leave();
    expect(kept.size).toBe(0);
    store.change(named('a'));
    store.leave();
    expect(kept.size).toBe(1);
    await vi.waitFor(() => expect(kept.size).toBe(0));
    expect((await next()).canUndo).toBe(true);
  });
  it('a save that had begun before does not take with it what was put away after', async () => {
    await keep(shoot());
    const left = await tab();
    left.change(named('the word before'));
    const begun = left.saveNow();
    left.change(named('the last word'));
    killed(left);
    await begun;
    expect(unsavedOf('s')?.shoot.name).toBe('the last word');
    const store = await next();
    expect(store.shoot.name).toBe('the last word');
    await store.saveNow();
    expect(store.elsewhere).toBeNull();
    expect((await loadShoot('s'))?.shoot.name).toBe('the last word');
    expect(kept.size).toBe(0);
  });
  it('where another tab has saved since, both are kept', async () => {
    await keep(shoot());
    const left = await tab();
    left.change(named('mine'));
    killed(left);
    const other = await tab();
    other.change(named('theirs'));
    await other.saveNow();
    const store = await next();
    await store.saveNow();
    expect(store.elsewhere).toMatchObject({ what: 'changed' });
    expect((await loadShoot('s'))?.shoot.name).toBe('theirs');
    expect((await listShoots()).map(({ name }) => name)).toContain('mine (this tab)');
  });
  it('nonsense that lies there is forgotten', async () => {
    await keep(shoot());
    for (const text of ['', '{', '{"rev":null}', JSON.stringify({ rev: null, shoot: { id: 's' } })]) {
      kept.set('gentle-arc-unsaved-s', text);
      expect((await next()).shoot.name).toBe('First');
      expect(kept.size).toBe(0);
    }
  });
  it('stays put away until it is saved, though the next page is killed as well', async () => {
    await keep(shoot());
    const left = await tab();
    left.change(named('the last word'));
    killed(left);
    vi.spyOn(await next(), 'saveNow').mockResolvedValue();
    expect((await next()).shoot.name).toBe('the last word');
  });
  it('goes with its shoot when that is deleted', async () => {
    await keep(shoot());
    const left = await tab();
    left.change(named('gone'));
    killed(left);
    await removeShoot('s');
    await keep(shoot());
    expect((await next()).shoot.name).toBe('First');
  });
});
