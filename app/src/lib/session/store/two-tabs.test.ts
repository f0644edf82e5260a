import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { listShoots, loadShoot, removeShoot } from './database';
import { emptyStore, keep, named, shoot, tab } from './testing';

beforeEach(emptyStore);

describe('two tabs', () => {
  it('an idle tab saves nothing, and takes over what the other saved', async () => {
    await keep(shoot());
    const [one, two] = [await tab(), await tab()];
    one.change(named('newer'));
    await one.saveNow();
    await two.saveNow();
    expect((await loadShoot('s'))?.shoot.name).toBe('newer');
    await two.lookAgain();
    expect(two.shoot.name).toBe('newer');
    two.undo();
    expect(two.shoot.name).toBe('First');
    await two.saveNow();
  });
  it('an own save that is heard of while the next one goes through never puts the older state back', async () => {
    await keep(shoot());
    const store = await tab();
    store.change(named('first'));
    await store.saveNow();
    for (let i = 0; i < 20; i += 1) {
      const heard = store.lookAgain();
      store.change(named(`n${i}`));
      const saved = store.saveNow();
      const again = store.lookAgain();
      await Promise.all([heard, saved, again]);
      expect(store.shoot.name).toBe(`n${i}`);
    }
    expect((await loadShoot('s'))?.shoot.name).toBe('n19');
  });
  it('several that ask to save while a save goes through are not taken for another tab', async () => {
    await keep(shoot());
    const store = await tab();
    for (let i = 0; i < 10; i += 1) {
      store.change(named(`a${i}`));
      const first = store.saveNow();
      store.change(named(`b${i}`));
      await Promise.all([first, store.saveNow(), store.saveNow(), store.saveNow()]);
      expect(store.elsewhere).toBeNull();
      expect((await loadShoot('s'))?.shoot.name).toBe(`b${i}`);
    }
    expect(await listShoots()).toHaveLength(1);
  });
  it('nothing comes in while something is typed or dragged; it does when that ends', async () => {
    await keep(shoot());
    const [one, two] = [await tab(), await tab()];
    two.hold(true);
    one.change(named('newer'));
    await one.saveNow();
    await two.lookAgain();
    expect(two.shoot.name).toBe('First');
    two.hold(false);
    await vi.waitFor(() => expect(two.shoot.name).toBe('newer'));
  });
  it.each(['mine', 'theirs', 'both'] as const)(
    'where both changed it both are kept, and the person chooses: %s',
    async (which) => {
      await keep(shoot());
      const [one, two] = [await tab(), await tab()];
      one.change(named('theirs'));
      await one.saveNow();
      two.change({ ...shoot(), note: 'mine' });
      await two.saveNow();
      if (two.elsewhere?.what !== 'changed') throw new Error('not asked');
      expect(two.elsewhere.differences.join()).toContain('theirs');
      const beside = two.elsewhere.keptAs.id;
      expect((await loadShoot(beside))?.shoot.note).toBe('mine');
      // Work that goes on before the answer is kept as well.
      two.change({ ...two.shoot, note: 'mine, more' });
      await two.saveNow();
      expect((await loadShoot(beside))?.shoot.note).toBe('mine, more');
      expect((await loadShoot('s'))?.shoot.name).toBe('theirs');
      await two.choose(which);
      expect((await loadShoot('s'))?.shoot).toMatchObject(
        which === 'mine' ? { name: 'First', note: 'mine, more' } : { name: 'theirs', note: '' },
      );
      expect((await loadShoot(beside)) !== null).toBe(which === 'both');
      if (which === 'theirs') {
        two.undo();
        expect(two.shoot.note).toBe('mine, more');
        await two.saveNow();
      }
    },
  );
  it('what can be undone is written again where another tab has written its own over it', async () => {
    await keep(shoot());
    const one = await tab();
    one.change(named('a'), 'drag');
    await one.saveNow();
    const two = await tab();
    two.change(named('theirs'));
    await two.saveNow();
    one.change(named('b'), 'drag');
    await one.saveNow();
    await one.choose('mine');
    const again = await tab();
    expect(again.shoot.name).toBe('b');
    again.undo();
    expect(again.shoot.name).toBe('First');
    await again.saveNow();
  });
  it('a shoot that the other tab deleted is not brought back by itself', async () => {
    await keep(shoot());
    const two = await tab();
    await removeShoot('s');
    await two.saveNow();
    expect(await loadShoot('s')).toBeNull();
    two.change(named('late'));
    await two.saveNow();
    expect(await loadShoot('s')).toBeNull();
    expect(two.elsewhere).toEqual({ what: 'deleted' });
    await two.putBack();
    expect((await loadShoot('s'))?.shoot.name).toBe('late');
  });
  it('what is put back unchanged is kept as well', async () => {
    await keep(shoot());
    const two = await tab();
    await removeShoot('s');
    await two.lookAgain();
    expect(two.elsewhere).toEqual({ what: 'deleted' });
    await two.putBack();
    expect((await loadShoot('s'))?.shoot.name).toBe('First');
  });
});
