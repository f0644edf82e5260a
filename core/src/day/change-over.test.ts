import { describe, expect, it } from 'vitest';
import { changeDay } from '../edit';
import { NO_LOG } from '../model';
import { demoShoot } from '../testing/demo';
import { changeOver, gearChange, wayBetween } from './change-over';
import { ShotLooks } from './shot-facts';
import { shotWork, type ShotWork } from './shot-work';

// What the demo’s log teaches of changing over is left out: the kit’s own minutes are worked by hand here.
const demo = { ...demoShoot(), log: NO_LOG };
const looks = new ShotLooks();
function workOf(shotId: string): ShotWork {
  const at = demo.shots.findIndex(({ id }) => id === shotId);
  return shotWork(demo, looks.facts(demo, demo.shots[at]), at + 1, null);
}
const minutes = (seconds: number) => seconds / 60;

describe('changing over, worked by hand from the kit’s own minutes', () => {
  const sorting = workOf('shot-sorting');
  it('another lens on a motor gimbal: 6 minutes, tilt fore and aft, then pan', () => {
    const hedge = { ...workOf('shot-hedge'), xM: sorting.xM, yM: sorting.yM };
    const { seconds, parts, lens, rig } = gearChange(demo, sorting, hedge);
    expect(minutes(seconds)).toBe(6);
    expect(parts).toEqual(['Fern 24–70 for Moss 35: tilt fore and aft, then pan, 6 min']);
    expect([lens, rig]).toEqual([true, false]);
  });
  it('onto the gimbal from elsewhere: 5 to mount, 12 for all four balances, 1 for the lens meanwhile', () => {
    const rows = workOf('shot-rows');
    expect(minutes(gearChange(demo, rows, sorting).seconds)).toBe(5 + 12 + 1);
    expect(minutes(gearChange(demo, null, sorting).seconds)).toBe(5 + 12);
  });
  it('the same rig, lens, zoom and filters: nothing', () => {
    expect(gearChange(demo, sorting, sorting)).toEqual({ seconds: 0, parts: [], lens: false, rig: false });
  });
  it('a filter that is on or off is seen, whatever order they are in', () => {
    const map = workOf('shot-map');
    const bare = { ...map, shot: { ...map.shot, filterIds: [] } };
    expect(minutes(gearChange(demo, bare, map).seconds)).toBe(2);
    const two = (...filterIds: string[]) => ({ ...map, shot: { ...map.shot, filterIds } });
    expect(gearChange(demo, two('filter-nd2', 'filter-pol'), two('filter-pol', 'filter-nd2')).seconds).toBe(0);
  });
  it('another camera is picked up in 2 minutes, and set up from what it was last on', () => {
    const map = workOf('shot-map');
    const spiral = { ...workOf('shot-spiral'), xM: sorting.xM, yM: sorting.yM };
    const { seconds, parts } = changeOver(demo, sorting, map, spiral);
    expect(parts[0]).toBe('the other camera, 2 min');
    expect(minutes(seconds)).toBe(2 + minutes(gearChange(demo, map, spiral).seconds));
  });
});

describe('the way to the next spot', () => {
  const from = { ...workOf('shot-sorting'), xM: 0, yM: 0 };
  const at = (xM: number, id = 'shot-sorting') => ({ ...workOf(id), xM, yM: 0 });
  it('nearer than 5 m is the same spot; 16 m take 16 s and no word', () => {
    expect(wayBetween(demo, from, at(4)).seconds).toBe(0);
    expect(wayBetween(demo, from, at(16))).toMatchObject({ seconds: 16, parts: [] });
  });
  it('60 m take a minute, and two to pack and unpack', () => {
    const { seconds, parts } = wayBetween(demo, from, at(60));
    expect(seconds).toBe(60 + 120);
    expect(parts[0]).toBe('60 m to the next spot, packed and unpacked, 3 min');
    expect(wayBetween(demo, from, at(60), 'imperial').parts[0]).toMatch(/^196′.* to the next spot/);
  });
  it('25 kg are carried by three in one go, by one in two: there, back, and there again', () => {
    const alone = changeDay(demo, { people: [] });
    expect(wayBetween(demo, from, at(60, 'shot-jib')).seconds).toBe(60 + 120);
    expect(wayBetween(alone, from, at(60, 'shot-jib')).seconds).toBe(3 * 60 + 120);
    expect(wayBetween(alone, from, at(60, 'shot-jib')).carriedKgM).toBe(25 * 60);
  });
});
