import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { newShoot } from '@gentle-arc/core/model/defaults';
import type { Shoot } from '@gentle-arc/core/model/shoot';
import { allShoots, deleteShoot, loadPhoto, loadShoot, savePhoto, saveShoot } from './database';
import { ShootStore } from './shoot-store.svelte';

const shoot = (id = 's'): Shoot => newShoot(id, 'First', 'one');
const named = (name: string): Shoot => ({ ...shoot(), name });

describe('the open shoot', () => {
  let store: ShootStore;
  beforeEach(() => {
    store = new ShootStore(shoot());
  });

  it('undoes and redoes every change in turn', () => {
    for (const name of ['a', 'b', 'c']) store.change(named(name));
    store.undo();
    expect(store.shoot.name).toBe('b');
    store.undo();
    store.undo();
    expect(store.shoot.name).toBe('First');
    expect(store.canUndo).toBe(false);
    store.undo();
    expect(store.shoot.name).toBe('First');
    store.redo();
    store.redo();
    store.redo();
    expect(store.shoot.name).toBe('c');
    expect(store.canRedo).toBe(false);
  });

  it('a change after undo forgets what was undone', () => {
    store.change(named('a'));
    store.undo();
    store.change(named('b'));
    expect(store.canRedo).toBe(false);
    store.undo();
    expect(store.shoot.name).toBe('First');
  });

  it('a drag is one step, the next drag another', () => {
    for (const name of ['a', 'b', 'c']) store.change(named(name), 'drag');
    store.settle();
    for (const name of ['d', 'e']) store.change(named(name), 'drag');
    store.undo();
    expect(store.shoot.name).toBe('c');
    store.undo();
    expect(store.shoot.name).toBe('First');
  });

  it('two different things that follow each other are two steps', () => {
    store.change(named('a'), 'one');
    store.change(named('b'), 'two');
    store.undo();
    expect(store.shoot.name).toBe('a');
  });

  it('changes one shot and leaves the others as they are', () => {
    store.change({ ...store.shoot, shots: [...store.shoot.shots, { ...store.shoot.shots[0], id: 'two' }] });
    const [, second] = store.shoot.shots;
    store.changeShot('one', (shot) => ({ ...shot, name: 'Renamed' }));
    expect(store.shoot.shots[0].name).toBe('Renamed');
    expect(store.shoot.shots[1]).toBe(second);
  });

  it('is saved, and comes back as it was', async () => {
    store.change(named('kept'));
    await store.saveNow();
    expect(store.saveProblem).toBeNull();
    expect(await loadShoot('s')).toEqual(store.shoot);
  });
});

describe('the browser’s database', () => {
  it('lists the last saved first and forgets what is deleted', async () => {
    await saveShoot(shoot('old'));
    await new Promise((resolve) => setTimeout(resolve, 5));
    await saveShoot(shoot('new'));
    const ids = (await allShoots()).map((row) => row.id);
    expect(ids.indexOf('new')).toBeLessThan(ids.indexOf('old'));
    await deleteShoot('old');
    expect(await loadShoot('old')).toBeNull();
  });

  it('says what is wrong with a shoot that has been tampered with', async () => {
    await saveShoot({ ...shoot('bad'), shots: [{ ...shoot().shots[0], focalLengthMm: -1 }] });
    await expect(loadShoot('bad')).rejects.toThrow('shots[0].focalLengthMm must be at least 1; it is -1.');
    await deleteShoot('bad');
  });
});

describe('the photograph that is measured in', () => {
  it('is kept for its shoot, replaced by the next, and goes with the shoot', async () => {
    await saveShoot(shoot('photo'));
    expect(await loadPhoto('photo')).toBeNull();
    await savePhoto('photo', new Blob(['first']));
    await savePhoto('photo', new Blob(['second!']));
    expect(await loadPhoto('photo')).not.toBeNull();
    expect(await loadPhoto('another')).toBeNull();
    await deleteShoot('photo');
    expect(await loadPhoto('photo')).toBeNull();
  });
});
