import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Shoot } from '@gentle-arc/core/model';
import {
  bringBack,
  findShoot,
  listShoots,
  loadPhoto,
  loadShoot,
  putRow,
  removeShoot,
  savePhoto,
  statesOf,
} from './database';
import { ShootStore } from './shoot-store.svelte';
import { emptyStore, fresh, keep, named, shoot, tab } from './testing';
import { database } from './tables';
import { keptStates } from './thinning';

beforeEach(emptyStore);

/** Not the shoot of the other tests: what is left to be saved of one test touches no other. */
const open = (name: string): Shoot => named(name, 'open');

describe('the open shoot', () => {
  let store: ShootStore;
  beforeEach(() => {
    store = new ShootStore(fresh(shoot('open')));
  });

  it('undoes and redoes every change in turn', () => {
    for (const name of ['a', 'b', 'c']) store.change(open(name));
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
    store.change(open('a'));
    store.undo();
    store.change(open('b'));
    expect(store.canRedo).toBe(false);
    store.undo();
    expect(store.shoot.name).toBe('First');
  });
  it('a drag is one step, the next drag another', () => {
    for (const name of ['a', 'b', 'c']) store.change(open(name), 'drag');
    store.settle();
    for (const name of ['d', 'e']) store.change(open(name), 'drag');
    store.undo();
    expect(store.shoot.name).toBe('c');
    store.undo();
    expect(store.shoot.name).toBe('First');
  });
  it('presses of a key that follow each other are one step; a pause ends it, but not while a pointer holds on', () => {
    vi.useFakeTimers({ toFake: ['performance'] });
    store.change(open('a'), 'key');
    vi.advanceTimersByTime(300);
    store.change(open('b'), 'key');
    vi.advanceTimersByTime(5000);
    store.change(open('c'), 'key');
    store.undo();
    expect(store.shoot.name).toBe('b');
    store.hold(true);
    store.change(open('d'), 'drag');
    vi.advanceTimersByTime(5000);
    store.change(open('e'), 'drag');
    store.undo();
    expect(store.shoot.name).toBe('b');
    vi.useRealTimers();
  });
  it('what a pointer drags is a rush from its first change until it lets go; what keys do is none', () => {
    store.change(open('a'), 'drag');
    store.change(open('b'), 'drag');
    expect(store.rushing).toBe(false);
    store.settle();
    store.hold(true, false);
    store.change(open('c'), 'typed');
    store.change(open('d'), 'typed');
    expect(store.rushing).toBe(false);
    store.settle();
    store.hold(true);
    store.change(open('e'));
    expect(store.rushing).toBe(false);
    store.change(open('f'), 'drag');
    expect(store.rushing).toBe(true);
    store.hold(false);
    expect(store.rushing).toBe(false);
  });
  it('whoever wants to know is told of a rush before its first change, once, until they do not', () => {
    const told: string[] = [];
    const end = store.onRush(() => told.push(store.shoot.name));
    store.hold(true);
    store.change(open('a'), 'drag');
    store.change(open('b'), 'drag');
    expect(told).toEqual(['First']);
    store.hold(false);
    store.hold(true);
    store.change(open('c'), 'drag');
    expect(told).toEqual(['First', 'b']);
    store.hold(false);
    end();
    store.hold(true);
    store.change(open('d'), 'drag');
    expect(told).toEqual(['First', 'b']);
    store.hold(false);
  });
  it('a hand that rests while it holds something is in no rush until it goes on', () => {
    vi.useFakeTimers();
    store.hold(true);
    store.change(open('a'), 'drag');
    store.change(open('b'), 'drag');
    vi.advanceTimersByTime(200);
    store.change(open('c'), 'drag');
    vi.advanceTimersByTime(200);
    expect(store.rushing).toBe(true);
    vi.advanceTimersByTime(100);
    expect(store.rushing).toBe(false);
    store.change(open('d'), 'drag');
    expect(store.rushing).toBe(true);
    store.hold(false);
    vi.useRealTimers();
  });
  it('changes of two shots under one name are two steps', () => {
    store.change({ ...store.shoot, shots: [...store.shoot.shots, { ...store.shoot.shots[0], id: 'two' }] });
    store.changeShot('one', (shot) => ({ ...shot, note: 'x' }), 'note');
    store.changeShot('two', (shot) => ({ ...shot, note: 'y' }), 'note');
    store.undo();
    expect(store.shoot.shots.map(({ note }) => note)).toEqual(['x', '']);
    expect(store.wayBackTo('two')).toBe(null === store.wayBackTo('nobody') ? 'Redo' : 'never');
  });
  it('refuses a change that could not be read back, says which and why, and keeps what was there', () => {
    const before = store.shoot;
    const timing = { ...before.shots[0].timing, durationS: 90_000 };
    expect(store.changeShot('one', (shot) => ({ ...shot, timing }))).toBe(false);
    expect(store.shoot).toBe(before);
    expect(store.canUndo).toBe(false);
    expect(store.refusal).toBe('This was not changed. “First shot”: Duration must be at most 86400 s; it is 90000 s.');
    expect(
      store.change({ ...before, shots: Array.from({ length: 501 }, (_, i) => ({ ...before.shots[0], id: `${i}` })) }),
    ).toBe(false);
    expect(store.refusal).toContain('shots must have at most 500 entries; it has 501.');
    store.change(open('good'));
    expect(store.refusal).toBeNull();
  });
  it('refuses what would be too large to be opened again, and takes what makes it smaller', () => {
    const underlay = {
      ...{ name: 'Survey', widthPx: 10, heightPx: 10, mPerPx: 1, xM: 0, yM: 0, turnDeg: 0, opacity: 1, shown: true },
      image: `data:image/png;base64,${'A'.repeat(299_000)}`,
    };
    const photo = `data:image/png;base64,${'A'.repeat(199_000)}`;
    const take = {
      ...{
        at: '2026-04-11T06:00:00Z',
        shotId: 'one',
        shotName: 'One',
        rigId: 'r',
        rigName: 'R',
        move: 'push',
        who: '',
      },
      ...{ verdict: 'tried' as const, reasons: [], word: '', best: false, photo, recorded: null },
    };
    const clip = {
      ...{ name: 'long', frameRateHz: 25, durationS: 96, widthPx: 640, heightPx: 360, rateHz: 25, followed: [] },
      ...Object.fromEntries(
        ['rightwards', 'upwards', 'turnDegps', 'growthPerS', 'near', 'far'].map((key) => [
          key,
          Array.from({ length: 2400 }, () => -0.1234),
        ]),
      ),
    } as unknown as NonNullable<Shoot['log']['takes'][number]['clip']>;
    const heavy = (clips: number): Shoot => {
      const plain = open('heavy');
      const takes = Array.from({ length: clips }, (_, i) => ({
        ...take,
        id: `take-${i}`,
        photo: i < 60 ? photo : null,
        clip,
      }));
      const underlays = Array.from({ length: 6 }, (_, i) => ({ ...underlay, id: `under-${i}` }));
      return { ...plain, site: { ...plain.site, underlays }, log: { ...plain.log, takes } };
    };
    expect(store.change(heavy(60))).toBe(false);
    expect(store.refusal).toMatch(/^This was not changed\. The shoot would hold \d+\.\d MB, of at most 16\.0: remove /);
    expect(store.change(heavy(12))).toBe(true);
    // What an older version kept may be larger: it can be made smaller step by step.
    const old = new ShootStore(fresh(heavy(61)));
    expect(old.change(heavy(60))).toBe(true);
    expect(old.change(heavy(61))).toBe(false);
  });
});

describe('keeping it', () => {
  it('comes back as it was, with its undo', async () => {
    await keep(shoot());
    const store = await tab();
    store.change(named('a'));
    store.change(named('b'));
    store.undo();
    await store.saveNow();
    const again = await tab();
    expect(again.shoot).toEqual(named('a'));
    again.redo();
    expect(again.shoot.name).toBe('b');
    again.undo();
    again.undo();
    expect(again.shoot.name).toBe('First');
    await again.saveNow();
  });
  it('a drag of many saves is one step of undo after a reload, and what can be undone is written once', async () => {
    await keep(shoot());
    const store = await tab();
    store.change(named('before'));
    await store.saveNow();
    const put = vi.spyOn(IDBObjectStore.prototype, 'put');
    for (const name of ['a', 'b', 'c']) {
      store.change(named(name), 'drag');
      await store.saveNow();
    }
    const tables = (put.mock.contexts as IDBObjectStore[]).map(({ name }) => name);
    put.mockRestore();
    expect(tables.filter((name) => name === 'shoots')).toHaveLength(3);
    expect(tables.filter((name) => name === 'undos')).toHaveLength(1);
    const again = await tab();
    expect(again.shoot.name).toBe('c');
    again.undo();
    expect(again.shoot.name).toBe('before');
    again.undo();
    expect(again.shoot.name).toBe('First');
    again.redo();
    await again.saveNow();
    const third = await tab();
    third.redo();
    expect(third.shoot.name).toBe('c');
    // What is left to be saved of one test touches no other.
    await third.saveNow();
  });
  it('reads the undo of a row as earlier versions left it, and none that belongs to another state', async () => {
    await putRow({ id: 's', rev: 'r1', shoot: named('now') });
    await database.undos.put({ shootId: 's', rev: 'r1', past: [named('then')], future: [] });
    expect((await loadShoot('s'))?.past.map(({ name }) => name)).toEqual(['then']);
    await database.undos.put({ shootId: 's', rev: 'r2', past: [named('else')], future: [] });
    expect((await loadShoot('s'))?.past).toEqual([]);
    await putRow({ id: 's', shoot: named('oldest') });
    const store = await tab();
    store.change(named('newest'));
    await store.saveNow();
    expect(store.saveProblem).toBeNull();
    expect((await loadShoot('s'))?.past.map(({ name }) => name)).toEqual(['oldest']);
  });
  it('saves while changes keep coming, at least once a second, and the last one within a third of a second', async () => {
    await keep(shoot());
    const store = await tab();
    const inDatabase = async () => (await loadShoot('s'))?.shoot.name;
    for (let i = 0; i < 30; i += 1) {
      store.change(named(`n${i}`));
      await new Promise((resolve) => setTimeout(resolve, 40));
    }
    expect(Number((await inDatabase())?.slice(1))).toBeGreaterThan(15);
    store.change(named('last'));
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(await inDatabase()).toBe('last');
  });
  it('says so when the browser is full, frees earlier states first, and keeps the change in memory', async () => {
    await keep(shoot());
    const store = await tab();
    const put = IDBObjectStore.prototype.put;
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
      if (this.name === 'shoots') throw new DOMException('no room', 'QuotaExceededError');
      return put.apply(this, args as Parameters<typeof put>);
    });
    store.change(named('unkept'));
    await store.saveNow();
    full.mockRestore();
    expect(store.saveProblem).toContain('The storage of this browser is full.');
    const { fromMemory } = await import('./memory');
    expect(fromMemory('s')?.name).toBe('unkept');
    await store.saveNow();
    expect(store.saveProblem).toBeNull();
    expect(fromMemory('s')).toBeNull();
  });
});

describe('the browser’s database', () => {
  it('lists the last saved first; a row that cannot be read is listed by its name and hurts no other; so is one without a time', async () => {
    await keep(shoot('old'));
    await new Promise((resolve) => setTimeout(resolve, 5));
    await keep(shoot('new'));
    await putRow({
      id: 'broken',
      savedAtMs: Date.now() + 1000,
      shoot: { ...shoot('broken'), name: 'Sunk', shots: [{ ...shoot().shots[0], focalLengthMm: -1 }] },
    });
    await putRow({ id: 'timeless', shoot: named('Timeless', 'timeless') });
    await putRow({ id: 'nothing', savedAtMs: 1 });
    const rows = await listShoots();
    expect(rows.map(({ id }) => id)).toEqual(['broken', 'new', 'old', 'nothing', 'timeless']);
    expect(rows[0]).toMatchObject({
      name: 'Sunk',
      shoot: null,
      problem: 'shots[0].focalLengthMm must be at least 1; it is -1.',
    });
    expect(rows[3]).toMatchObject({ name: 'nothing', shoot: null });
    expect(rows[4]).toMatchObject({ name: 'Timeless', problem: null });
    await expect(loadShoot('broken')).rejects.toThrow('shots[0].focalLengthMm must be at least 1; it is -1.');
    // Text that breaks off is given out as it is.
    await putRow({ id: 'torn', savedAtMs: 2, shoot: '{"name":"To' });
    expect(await findShoot('torn')).toMatchObject({ name: 'torn', shoot: null, raw: '{"name":"To' });
    await putRow({ id: 'sunk', savedAtMs: 2, shoot: JSON.stringify({ ...shoot('sunk'), name: 'Sunk', shots: 3 }) });
    expect(await findShoot('sunk')).toMatchObject({ name: 'Sunk', shoot: null, raw: { shots: 3 } });
    expect((await loadShoot('timeless'))?.rev).toBe('');
  });
  it('never takes what could not be read back', async () => {
    await expect(keep({ ...shoot('bad'), shots: [{ ...shoot().shots[0], focalLengthMm: -1 }] })).rejects.toThrow(
      'shots[0].focalLengthMm must be at least 1',
    );
    expect(await findShoot('bad')).toBeNull();
  });
  it('undo of a delete brings back the shoot, its photograph, its undo and its earlier states', async () => {
    await keep(shoot());
    const store = await tab();
    store.change(named('changed'));
    await store.saveNow();
    await savePhoto('s', new Blob(['photo']));
    const removed = await removeShoot('s');
    expect([await loadShoot('s'), await loadPhoto('s'), await statesOf('s')]).toEqual([null, null, []]);
    await bringBack(removed);
    expect((await loadShoot('s'))?.past).toHaveLength(1);
    expect(await loadPhoto('s')).not.toBeNull();
    expect((await statesOf('s')).map((row) => row.shoot.name)).toContain('First');
  });
});

describe('earlier states', () => {
  it('begin with the state that work began from', async () => {
    await keep(named('as it was'));
    const store = await tab();
    store.change(named('changed'));
    await store.saveNow();
    store.change(named('changed again'));
    await store.saveNow();
    expect((await statesOf('s')).map((row) => row.shoot.name)).toContain('as it was');
  });
  it('are one a minute, then one an hour, then one a day, and no more than some dozens', () => {
    const MINUTE = 60_000;
    const now = 100 * 24 * 60 * MINUTE;
    const every = Array.from({ length: 30 * 24 * 60 }, (_, i) => now - i * MINUTE);
    const kept = keptStates(every, now);
    expect(kept.length).toBeGreaterThan(40);
    expect(kept.length).toBeLessThan(75);
    const ages = kept.map((timeMs) => (now - timeMs) / MINUTE);
    expect(ages.filter((age) => age <= 20)).toHaveLength(21);
    expect(Math.max(...ages)).toBeLessThanOrEqual(21 * 24 * 60);
    expect(Math.max(...ages)).toBeGreaterThan(19 * 24 * 60);
  });
});
