import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { migrated, type Shoot } from '../../model';
import { demoShoot } from '../../testing/demo';
import { FollowedPlacesCounter, momentShare, PLACES, wasFollowed } from './followed-places';

const ASPECT = 16 / 9;
const middleOf = (place: number) => ({
  u: ((place % PLACES.across) + 0.5) / PLACES.across - 0.5,
  w: (0.5 - (Math.floor(place / PLACES.across) + 0.5) / PLACES.down) / ASPECT,
});
const ALL = Array.from({ length: PLACES.across * PLACES.down }, (_, place) => place);
const placesOf = (moment: string) => ALL.filter(wasFollowed(moment));

describe('where something could be followed', () => {
  it('comes back place by place, picture by picture', () => {
    const pictures = fc.array(fc.uniqueArray(fc.constantFrom(...ALL), { maxLength: 60 }), {
      minLength: 1,
      maxLength: 12,
    });
    fc.assert(
      fc.property(pictures, (rows) => {
        const counter = new FollowedPlacesCounter(ASPECT);
        for (const row of rows) counter.add(row.map(middleOf));
        const moments = counter.moments();
        for (const moment of moments) expect(moment).toMatch(/^[A-Za-z0-9+/]{256}$/);
        expect(moments.map(placesOf)).toEqual(rows.map((row) => [...row].sort((a, b) => a - b)));
      }),
      { numRuns: 40 },
    );
  });
  it('of a long clip is kept at moments equally far apart', () => {
    const counter = new FollowedPlacesCounter(ASPECT);
    for (let picture = 0; picture < 1200; picture += 1) counter.add([middleOf(picture)]);
    const moments = counter.moments();
    expect(moments).toHaveLength(400);
    // The middle one of each three pictures.
    expect(moments.map(placesOf)).toEqual(moments.map((_, k) => [3 * k + 1]));
    expect(momentShare(0, 400) * 1200).toBeCloseTo(1.5, 9);
  });
  it('is everywhere in what stays the same, nowhere beside the picture, and nothing of no clip', () => {
    const counter = new FollowedPlacesCounter(ASPECT);
    expect(counter.moments()).toEqual([]);
    counter.addEverywhere();
    counter.add([
      { u: 0.6, w: 0 },
      { u: 0, w: -0.3 },
      { u: -0.5001, w: 0 },
    ]);
    const [same, beside] = counter.moments();
    expect(placesOf(same)).toEqual(ALL);
    expect(placesOf(beside)).toEqual([]);
  });
  it('tells the cells of version 15 four times as finely each way', () => {
    const old = structuredClone({ ...demoShoot(), version: 15 as number });
    // The upper left cell, the last of the first row, the first of the second.
    for (const { clip } of old.log.takes) if (clip) clip.followed = [`801800${'0'.repeat(18)}`, 'ffff'];
    const [coarse, broken] = (migrated(old) as Shoot).log.takes.flatMap(({ clip }) => clip?.followed ?? []);
    expect(broken).toBe('ffff');
    const places = placesOf(coarse).map((place) => [place % 48, Math.floor(place / 48)]);
    const wanted = ALL.map((place) => [place % 48, Math.floor(place / 48)]).filter(
      ([x, y]) => (y < 4 && (x < 4 || x >= 44)) || (y >= 4 && y < 8 && x < 4),
    );
    expect(wanted).toHaveLength(3 * 16);
    expect(places).toEqual(wanted);
  });
});
