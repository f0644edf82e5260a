import { describe, expect, it } from 'vitest';
import { newPiece } from '../model';
import { demoShoot } from '../testing/demo';
import { patchBetween, patched } from './patch';
import { addPiece, removePiece } from './pieces';
import { duplicateShot, moveShots, removeShots, withShot } from './shots';

const demo = demoShoot();
const sent = (before: typeof demo, after: typeof demo) => {
  const patch = patchBetween(before, after);
  return patch && patched(before, structuredClone(patch));
};

describe('a change on its way to a worker', () => {
  it.each([
    ['a shot changed', withShot(demo, demo.shots[3].id, (shot) => ({ ...shot, note: 'x' }))],
    ['a shot copied', duplicateShot(demo, 2, 'copy')],
    ['a shot earlier', moveShots(demo, [demo.shots[5].id], demo.shots[2].id)],
    ['a shot taken away', removeShots(demo, [demo.shots[0].id])],
    ['a piece put', addPiece(demo, 'post', 'new-post', 1, 2)],
    ['a piece taken away', removePiece(demo, demo.site.pieces[1].id)],
    [
      'another place on earth',
      { ...demo, site: { ...demo.site, place: { latitudeDeg: 1, longitudeDeg: 2, utcOffsetH: 3 } } },
    ],
    ['another name', { ...demo, name: 'Second Flush' }],
    [
      'a lens renamed',
      { ...demo, kit: { ...demo.kit, lenses: demo.kit.lenses.map((lens) => ({ ...lens, name: `${lens.name}!` })) } },
    ],
  ])('%s: arrives as it was sent, and is small', (_, after) => {
    expect(sent(demo, after)).toEqual(after);
    expect(JSON.stringify(patchBetween(demo, after)).length).toBeLessThan(JSON.stringify(demo).length / 2);
  });
  it('what did not change stays the same object, so that it is not checked or read again', () => {
    const after = withShot(demo, demo.shots[3].id, (shot) => ({ ...shot, note: 'x' }));
    const there = sent(demo, after);
    expect(there?.shots[2]).toBe(demo.shots[2]);
    expect(there?.shots[3]).not.toBe(demo.shots[3]);
    expect(there?.site.pieces[0]).toBe(demo.site.pieces[0]);
    for (const key of ['kit', 'delivery', 'limits'] as const) expect(there?.[key]).toBe(demo[key]);
    expect(there?.site.place).toBe(demo.site.place);
  });
  it('nothing is sent where nothing changed, all of it where there was nothing', () => {
    expect(patchBetween(demo, demo)).toBeNull();
    expect(patchBetween(null, demo)).toEqual({ whole: demo });
    expect(() => patched(null, { shell: demo, lists: {} })).toThrow('no shoot yet');
  });
  it('a row that is not there is refused', () => {
    const lists = { pieces: { order: ['nobody'], rows: [newPiece('post', 'p', 'P', 0, 0, 0)] } };
    expect(() => patched(demo, { shell: demo, lists })).toThrow('pieces has no nobody');
  });
});
