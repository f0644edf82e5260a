import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import * as z from 'zod';
import { demoShoot } from '../testing/demo';
import { takeShotRows } from '../edit';
import { JOIN_KINDS, newShoot, newShot, PurposeField, type Shoot } from '../model';
import { filmSeconds, tell, timelineOf } from '../sequence';
import { readAnyFile } from './any-file';
import { boardJson, joinsJson } from './board-json';
import { writeCutCsv } from './cut-csv';
import { writeCutOtio } from './cut-otio';
import { readShotsCsv, writeShotsCsv } from './shots-csv';

const demo = demoShoot();

/** OpenTimelineIO, “Serialized Data Documentation” of the project (fields of the schemas used here, from memory). */
const RationalTime = z.strictObject({ OTIO_SCHEMA: z.literal('RationalTime.1'), value: z.number(), rate: z.number() });
const TimeRange = z.strictObject({
  OTIO_SCHEMA: z.literal('TimeRange.1'),
  start_time: RationalTime,
  duration: RationalTime,
});
const item = {
  name: z.string(),
  source_range: TimeRange.nullable(),
  effects: z.array(z.unknown()),
  markers: z.array(z.unknown()),
  enabled: z.boolean(),
  metadata: z.record(z.string(), z.unknown()),
};
const Clip = z.strictObject({
  OTIO_SCHEMA: z.literal('Clip.2'),
  ...item,
  media_references: z.record(
    z.string(),
    z.strictObject({
      OTIO_SCHEMA: z.literal('MissingReference.1'),
      name: z.string(),
      available_range: TimeRange.nullable(),
      available_image_bounds: z.null(),
      metadata: z.record(z.string(), z.unknown()),
    }),
  ),
  active_media_reference_key: z.string(),
});
const Gap = z.strictObject({ OTIO_SCHEMA: z.literal('Gap.1'), ...item });
const Track = z.strictObject({
  OTIO_SCHEMA: z.literal('Track.1'),
  ...item,
  kind: z.enum(['Video', 'Audio']),
  children: z.array(z.union([Clip, Gap])),
});
const Timeline = z.strictObject({
  OTIO_SCHEMA: z.literal('Timeline.1'),
  name: z.string(),
  global_start_time: RationalTime.nullable(),
  metadata: z.record(z.string(), z.unknown()),
  tracks: z.strictObject({ OTIO_SCHEMA: z.literal('Stack.1'), ...item, children: z.array(Track) }),
});

describe('the cut as OpenTimelineIO', () => {
  it('has the fields of its schemas, and lasts as long as the film', () => {
    const { tracks } = Timeline.parse(JSON.parse(writeCutOtio(demo)));
    const { children } = tracks.children[0];
    expect(children.filter(({ OTIO_SCHEMA }) => OTIO_SCHEMA === 'Clip.2')).toHaveLength(demo.shots.length);
    const seconds = children.reduce((sum, { source_range: range }) => {
      if (!range) return NaN;
      return sum + range.duration.value / range.duration.rate;
    }, 0);
    const film = timelineOf(demo.shots.map((shot) => tell(demo, shot)));
    expect(seconds).toBeCloseTo(filmSeconds(film), 1);
  });
  it('what is in the cut lies within what there is', () => {
    const { tracks } = Timeline.parse(JSON.parse(writeCutOtio(demo)));
    for (const clip of tracks.children[0].children) {
      if (clip.OTIO_SCHEMA !== 'Clip.2') continue;
      const there = clip.media_references[clip.active_media_reference_key].available_range;
      const [from, frames] = [clip.source_range?.start_time.value ?? NaN, clip.source_range?.duration.value ?? NaN];
      expect(frames).toBeGreaterThan(0);
      expect(from + frames).toBeLessThanOrEqual(there?.duration.value ?? NaN);
    }
  });
});

describe('the cut as CSV', () => {
  it('has a row a shot, each beginning where the one before it ended, or after its black', () => {
    const { data } = Papa.parse<Record<string, string>>(writeCutCsv(demo).trim(), { header: true });
    expect(data).toHaveLength(demo.shots.length);
    data.slice(1).forEach((row, i) => {
      if (data[i].meets_next !== 'over black') expect(row.film_in).toBe(data[i].film_out);
    });
  });
});

describe('a shot list', () => {
  const told = fc.record({
    name: fc.string({ minLength: 1, maxLength: 60 }).filter((text) => text.trim() === text && text !== ''),
    sceneName: fc.string({ maxLength: 60 }).filter((text) => text.trim() === text && text !== ''),
    note: fc.string({ maxLength: 200 }).filter((text) => text.trim() === text && text !== '' && !text.includes('\r')),
    purpose: fc.constantFrom(...PurposeField.options),
    join: fc.record({
      kind: fc.constantFrom(...JOIN_KINDS),
      blackS: fc.integer({ min: 1, max: 300 }).map((n) => n / 10),
    }),
  });
  it('comes back as it was, whatever the words', () => {
    fc.assert(
      fc.property(fc.array(told, { minLength: 1, maxLength: 6 }), (rows) => {
        const empty = newShoot('s', 'S', 'x');
        const shoot: Shoot = {
          ...empty,
          shots: rows.map((row, i) => ({ ...newShot(empty.kit, `shot-${i}`, 'x', null), ...row })),
        };
        const back = takeShotRows(shoot, readShotsCsv(writeShotsCsv(shoot)), () => 'new');
        expect(back.shoot).toEqual(shoot);
        expect([back.added, back.left]).toEqual([[], []]);
      }),
    );
  });
  it('orders, renames, adds, and loses nothing that it does not name', () => {
    const text = 'name;scene;duration_s;meets_next\nThe taste;Pavilion;6;over\nNew one;Pavilion;;cut\n'.replace(
      'over',
      'black',
    );
    const { shoot, added, left } = takeShotRows(demo, readShotsCsv(text), () => 'new-1');
    expect(shoot.shots.slice(0, 2).map(({ id, name, sceneName }) => [id, name, sceneName])).toEqual([
      ['shot-taste', 'The taste', 'Pavilion'],
      ['new-1', 'New one', 'Pavilion'],
    ]);
    expect(shoot.shots[0].timing.durationS).toBe(6);
    expect(shoot.shots[0].join.kind).toBe('black');
    expect(added).toEqual(['New one']);
    expect(left).toHaveLength(demo.shots.length - 1);
    expect(shoot.shots).toHaveLength(demo.shots.length + 1);
  });
  it.each([
    ['header must have a column name; it is a,b.', 'a,b\n1,2'],
    [
      'row 2, purpose must be one of none, establishes, meets, follows, shows, details, turns, passes, ends; it is "nice".',
      'name,purpose\nA,nice',
    ],
    ['row 3, cut_in_s must be a number from 0 to 86400; it is "-1".', 'name,cut_in_s\nA,1\nB,-1'],
    ['row 2, cut_out_s must come after cut_in_s (3); it is 2.', 'name,cut_in_s,cut_out_s\nA,3,2'],
    ['row 3, name is empty: give the shot a name.', 'shot,name\n1,A\n2,'],
    ['row 3, id "x" is there twice: leave one of them empty.', 'id,name\nx,A\nx,B'],
    ['There is no row under the header: write one for each shot.', 'name,note\n'],
  ])('%s', (sentence, text) => {
    expect(() => readShotsCsv(text)).toThrow(sentence);
  });
  it('where it says only one end of a cut, the other stays, or is the shot’s own', () => {
    const take = (text: string) => takeShotRows(demo, readShotsCsv(text), () => 'new').shoot.shots[0].cut;
    expect(take('name,cut_in_s\nThe taste,2\n')).toEqual({ inS: 2, outS: 11 });
    expect(take('name,cut_out_s\nThe taste,4\n')).toEqual({ inS: 0, outS: 4 });
    expect(take('name,cut_out_s\nPast her shoulder,8\n')).toEqual({ inS: 3, outS: 8 });
    expect(take('name,cut_in_s,duration_s\nThe taste,2,6\n')).toEqual({ inS: 2, outS: 6 });
  });
  it('is known by its first column', () => {
    expect(readAnyFile('list.csv', writeShotsCsv(demo), null, { xM: 0, yM: 0, zM: 0 }).kind).toBe('shots');
  });
});

describe('what the terminal prints', () => {
  it('the board has every shot, its cut as long as the film has it; joins are one fewer', () => {
    const board = boardJson(demo);
    expect(board.shots.map(({ shot }) => shot)).toEqual(demo.shots.map((_, i) => i + 1));
    for (const { cutS, inS, outS } of board.shots) expect(outS - inS).toBeCloseTo(cutS, 9);
    const { joins } = joinsJson(demo);
    expect(joins).toHaveLength(demo.shots.length - 1);
    for (const { kind, grade, findings } of joins) {
      expect(JOIN_KINDS).toContain(kind);
      if (findings[0]) expect(findings[0].grade).toBe(grade);
      for (const { sentence } of findings) expect(sentence).not.toMatch(/undefined|NaN|Infinity/);
    }
  });
});
