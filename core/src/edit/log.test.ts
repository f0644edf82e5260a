import { describe, expect, it } from 'vitest';
import { migrated, problemsIn, type Shoot, ShootSchema } from '../model';
import { demoShoot } from '../testing/demo';
import { changeTake, countTake, endReady, readyNow, removeTake, sayWho, startReady } from './log';
import { patchBetween, patched } from './patch';
import { removeShots } from './shots';

const at = (minutes: number) => new Date(Date.UTC(2026, 3, 13, 6) + minutes * 60_000).toISOString();
const demo = demoShoot();
const empty: Shoot = { ...demo, log: { who: '', takes: [], readies: [] } };
const two = countTake(countTake(sayWho(empty, 'Ilka'), 'shot-rows', 'a', at(1)), 'shot-rows', 'b', at(2));

describe('the log', () => {
  it('counts a take with who, rig and move, and nothing of a shot that is not there', () => {
    expect(two.log.takes[0]).toMatchObject({
      shotName: 'First light along the rows',
      rigId: 'rig-slider-120',
      move: 'slide',
      who: 'Ilka',
      verdict: 'tried',
    });
    expect(countTake(empty, 'nobody', 'a', at(0))).toBe(empty);
    expect(problemsIn(two)).toEqual([]);
  });
  it('has one circle a shot', () => {
    const circled = changeTake(changeTake(two, 'a', { best: true }), 'b', { best: true });
    expect(circled.log.takes.map(({ best }) => best)).toEqual([false, true]);
    expect(changeTake(circled, 'b', { best: false }).log.takes.map(({ best }) => best)).toEqual([false, false]);
    expect(removeTake(circled, 'b').log.takes.map(({ id }) => id)).toEqual(['a']);
  });
  it('times getting ready until the next take, whatever the clock does meanwhile', () => {
    const ready = startReady(empty, 'setUp', 'shot-rows', 'r', at(10));
    expect(readyNow(ready)?.id).toBe('r');
    const taken = countTake(ready, 'shot-rows', 'a', at(22));
    expect(readyNow(taken)).toBeNull();
    expect(taken.log.readies[0].toAt).toBe(at(22));
    expect(endReady(ready, at(5)).log.readies[0].toAt).toBe(at(10));
    const next = startReady(ready, 'change', 'shot-leaves', 's', at(30));
    expect(next.log.readies.map(({ toAt }) => toAt)).toEqual([at(30), null]);
  });
  it('outlives its shot, its file and a patch', () => {
    const gone = removeShots(two, ['shot-rows']);
    expect(gone.log.takes).toHaveLength(2);
    expect(ShootSchema.parse(JSON.parse(JSON.stringify(two))).log).toEqual(two.log);
    const patch = patchBetween(empty, two);
    if (!patch || 'whole' in patch) throw new Error('no patch');
    expect(Object.keys(patch.lists)).toEqual(['takes']);
    expect(patched(empty, JSON.parse(JSON.stringify(patch)) as typeof patch)).toEqual(two);
    expect(patched(two, { ...patch, lists: {} }).log).toBe(two.log);
  });
  it('is empty in a file of version 12, and keeps so many recordings', () => {
    expect((migrated({ ...empty, version: 12, log: undefined }) as Shoot).version).toBe(16);
    const recorded = demo.log.takes.find((take) => take.recorded)?.recorded ?? null;
    const full = {
      ...empty,
      log: {
        ...empty.log,
        takes: Array.from({ length: 121 }, (_, i) => ({ ...two.log.takes[0], id: `t${i}`, recorded })),
      },
    };
    expect(problemsIn(full)[0].sentence).toMatch(/^log\.takes\[120\]\.recorded is one more than the 120 recordings/);
  });
  it('takes clips of files before version 14 for followed everywhere', () => {
    const old = structuredClone({ ...demo, version: 13 as number });
    for (const { clip } of old.log.takes) if (clip) Reflect.deleteProperty(clip, 'followed');
    expect(ShootSchema.safeParse({ ...old, version: 16 }).success).toBe(false);
    const brought = ShootSchema.parse(migrated(old));
    expect(brought.log.takes.flatMap(({ clip }) => (clip ? [clip.followed] : []))).toEqual([[]]);
    // What is out of order stays so for the check to find.
    for (const log of [null, 3, { takes: 7 }, { takes: [null, { clip: 'x' }] }])
      expect(ShootSchema.safeParse(migrated({ ...old, log })).success).toBe(false);
  });
});
