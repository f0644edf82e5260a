import { withVariant } from '../edit';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import * as defaults from '../model/defaults';
import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { drawnWalk, legsOf, newPiece, OWN_CHECK, SHOOT_VERSION } from '../model';
import { EFFECT_KINDS, RECIPES } from '../motion';
import { plainShoot } from '../testing/shoots';
import { checkShoot, readShootFile, shootJsonSchema, writeShootFile } from './shoot-file';
import { refusal } from '../testing/refusal';

const demo = demoShoot();

/** A file as version 1 wrote it. */
const OLD_FILE = JSON.stringify({
  format: 'gentle-arc-shoot',
  version: 1,
  id: 'old',
  name: 'Old',
  note: '',
  delivery: { widthPx: 3840, heightPx: 2160 },
  site: { pieces: [] },
  kit: {
    cameras: [
      {
        id: 'c',
        name: 'C',
        sensorWidthMm: 36,
        sensorHeightMm: 24,
        pictureWidthPx: 6000,
        pictureHeightPx: 3376,
        frameRatesHz: [24, 60],
      },
    ],
    lenses: [{ id: 'l', name: 'L', focalLengthMinMm: 24, focalLengthMaxMm: 70, closestFocusM: 0.38 }],
    rigs: [
      {
        id: 'r',
        name: 'Own slider',
        kind: 'slider',
        travelM: 0.9,
        heightMinM: 0.2,
        heightMaxM: 1.6,
        speedMaxMps: 0.5,
        panRateMaxDegps: 60,
        tiltMinDeg: -60,
        tiltMaxDeg: 60,
      },
    ],
  },
  shots: [
    { kind: 'slide', pivotEastM: 0, pivotNorthM: 0, heightM: 1, distanceM: 4, bearingDeg: 180, travelM: 1, skewDeg: 0 },
    { kind: 'push', pivotEastM: 0, pivotNorthM: 0, heightM: 1, fromDistanceM: 3, toDistanceM: 12, bearingDeg: 180 },
    { kind: 'dollyZoom', pivotEastM: 0, pivotNorthM: 0, heightM: 1, fromDistanceM: 3, toDistanceM: 5, bearingDeg: 180 },
  ].map((move, i) => ({
    id: `s${i}`,
    name: `S${i}`,
    note: '',
    subjectId: null,
    walks: [],
    cameraId: 'c',
    lensId: 'l',
    rigId: 'r',
    focalLengthMm: 35,
    frameRateHz: 24,
    shutterDeg: 180,
    move,
    timing: { durationS: 8, holdStartS: 0, featherInS: 1, featherOutS: 1, holdEndS: 0, featherShape: 'minimumJerk' },
    aim: { mode: 'locked', place: { u: 0.1, v: 0 } },
  })),
});

describe('shoot file', () => {
  it('export then import gives the same shoot, whatever its names', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 60 }).filter((name) => name.trim() !== ''),
        fc.string({ maxLength: 300 }),
        fc.double({ min: 0.5, max: 300, noNaN: true }),
        (name, note, distanceM) => {
          const shoot = {
            ...plainShoot((shot) => ({ ...shot, note, move: { ...shot.move, distanceM } as typeof shot.move })),
            name,
          };
          expect(readShootFile(writeShootFile(shoot))).toEqual(shoot);
        },
      ),
    );
    expect(writeShootFile(readShootFile(writeShootFile(demo)))).toBe(writeShootFile(demo));
  });
  it('the demo is a file in order, with every family of moves, a chain, a drawn path and slow motion', () => {
    const kinds = demo.shots.flatMap((shot) => legsOf(shot).map(({ move }) => move.kind));
    expect(new Set(kinds.map((kind) => RECIPES[kind].effect))).toEqual(new Set(EFFECT_KINDS));
    expect(demo.shots.some((shot) => shot.then.length > 0)).toBe(true);
    expect(demo.shots.some((shot) => shot.captureRateHz > shot.frameRateHz)).toBe(true);
    expect(demo.shots.filter((shot) => shot.note.length > 0).length).toBeGreaterThan(20);
  });
  it(
    'opens a file of version 5: what the app itself wrote and could not show is told apart, and the Lens bench ' +
      'and the pictures of a camera are the usual ones',
    () => {
      const present = plainShoot();
      const walk = {
        pieceId: 'figure',
        points: [
          { tS: 0, xM: 0, yM: 0, zM: 0 },
          { tS: 2, xM: 1, yM: 0, zM: 0 },
        ],
      };
      const ownChecks = [
        { id: 'battery', text: 'A' },
        { id: 'battery', text: 'B' },
        { id: 'c', text: ' ' },
      ];
      const [build] = defaults.DEFAULT_KIT.builds;
      const old = {
        ...present,
        version: 5,
        name: '   ',
        kit: {
          ...present.kit,
          builds: [{ ...build, ownChecks, ticked: ['battery', 'other'] }],
          cameras: present.kit.cameras.map((camera) =>
            Object.fromEntries(Object.entries(camera).filter(([key]) => key !== 'picturesFrom')),
          ),
        },
        shots: present.shots.map((shot) => ({
          ...Object.fromEntries(Object.entries(shot).filter(([key]) => key !== 'bench')),
          name: ' ',
          walks: [walk, { ...walk, points: walk.points.slice(1) }],
        })),
      };
      const opened = checkShoot(old);
      expect([opened.name, opened.shots[0].name]).toEqual(['Unnamed', 'Unnamed']);
      expect(opened.shots[0].walks).toEqual([{ ...walk, footing: 'drawn', jumps: [] }]);
      expect(opened.shots[0].bench).toEqual(present.shots[0].bench);
      expect(opened.kit.cameras.every(({ picturesFrom }) => picturesFrom.length === 0)).toBe(true);
      expect(opened.kit.builds[0].ownChecks.map(({ id }) => id)).toEqual(['battery', 'battery-2']);
      expect(opened.kit.builds[0].ticked).toEqual([`${OWN_CHECK}battery`, 'other']);
    },
  );
  it(
    'opens a file of version 3: the way kept beside a shot gets what its own fields get, a limit that ' +
      'is no more goes',
    () => {
      const present = plainShoot((shot) => withVariant(shot));
      const without = (row: object, keys: string[]) =>
        Object.fromEntries(Object.entries(row).filter(([key]) => !keys.includes(key)));
      const added = ['puller', 'light', 'filterIds', 'playback'];
      const old = {
        ...present,
        version: 3,
        limits: { focusRate: 1, wobble: 0.01 },
        kit: {
          ...without(present.kit, ['filters']),
          cameras: present.kit.cameras.map((camera) => without(camera, ['dataRateMbps', 'bufferAboveHz', 'bufferS'])),
          lenses: present.kit.lenses.map((lens) => without(lens, ['ringDeg'])),
        },
        shots: present.shots.map((shot) => ({ ...without(shot, added), other: without(shot.other ?? {}, added) })),
      };
      const opened = checkShoot(old);
      expect(opened.limits).toEqual({ wobble: 0.01 });
      expect(opened.shots[0].other).toMatchObject({
        puller: 'autofocus',
        light: { ev100: 15, iso: 100 },
        filterIds: [],
        playback: { reversed: false, ramp: [] },
      });
      expect(opened.shots).toEqual(present.shots);
      expect(opened.kit.filters.length).toBeGreaterThan(3);
      expect(opened.kit.lenses.every(({ ringDeg }) => ringDeg === 180)).toBe(true);
    },
  );
  it.each([
    [/^shots\[0\]\.filterIds\[0\] names "fog", which is not in kit\.filters/, { filterIds: ['fog'] }],
    [
      /^shots\[0\]\.focus\.racks\[0\]\.to\.pieceId names "gone", which is not in site\.pieces/,
      {
        focus: {
          mode: 'racks',
          from: { on: 'subject' },
          racks: [{ atS: 1, overS: 1, to: { on: 'piece', pieceId: 'gone', part: 'whole' } }],
        },
      },
    ],
    [
      /^shots\[0\]\.playback\.ramp\[1\]\.atS must come after the moment before it \(2 s\)/,
      {
        playback: {
          reversed: false,
          ramp: [
            { atS: 2, speed: 1 },
            { atS: 1, speed: 1 },
          ],
        },
      },
    ],
    [/^shots\[0\]\.fNumber must be at least 0\.5; it is 0/, { fNumber: 0 }],
    [/^shots\[0\]\.light\.iso/, { light: { ev100: 15, iso: 'fast' } }],
  ])('refuses with %s', (sentence, edit) => {
    const shoot = plainShoot();
    expect(() => checkShoot({ ...shoot, shots: [{ ...shoot.shots[0], ...edit }] })).toThrow(sentence);
  });
  it('opens a file of version 4: nothing is put together yet, and nothing else changes', () => {
    const present = plainShoot();
    const kit = Object.fromEntries(Object.entries(present.kit).filter(([key]) => key !== 'parts' && key !== 'builds'));
    expect(checkShoot({ ...present, version: 4, kit })).toEqual({
      ...present,
      kit: { ...present.kit, parts: [], builds: [] },
    });
  });
  it.each([
    [
      /^kit\.builds\[0\]\.parts\[0\]\.partId names "gone", which is not in kit\.parts/,
      { parts: [{ partId: 'gone', on: 'top', foreMm: 0, sideMm: 0, upMm: 0 }] },
    ],
    [/^kit\.builds\[0\]\.rigId names "gone", which is not in kit\.rigs/, { rigId: 'gone' }],
    [/^kit\.builds\[0\]\.focalLengthMm must be at least 1; it is 0/, { focalLengthMm: 0 }],
  ])('refuses a build with %s', (sentence, edit) => {
    const shoot = plainShoot();
    const { DEFAULT_KIT: kit } = defaults;
    const build = kit.builds.find(({ rigId }) => shoot.kit.rigs.some(({ id }) => id === rigId)) ?? kit.builds[0];
    expect(() =>
      checkShoot({
        ...shoot,
        kit: {
          ...shoot.kit,
          parts: kit.parts.map((part) => ({ ...part, of: null })),
          builds: [{ ...build, rigId: shoot.kit.rigs[0].id, ...edit }],
        },
      }),
    ).toThrow(sentence);
  });
  it('opens a file of version 1, each move as it was', () => {
    const old = JSON.parse(OLD_FILE) as { shots: { move: { fromDistanceM: number; toDistanceM: number } }[] };
    const shoot = checkShoot(old);
    expect(shoot.version).toBe(16);
    expect(shoot.shots[0]).toMatchObject({ fNumber: 5.6, focus: { mode: 'follow' }, variant: 'A', other: null });
    expect(shoot.kit.cameras[0].readOutMs).toBeGreaterThan(0);
    expect(shoot.shots.map(({ move }) => move.kind)).toEqual(['slide', 'pull', 'dollyZoom']);
    expect(shoot.shots[1].move).toMatchObject({ fromDistanceM: 3, toDistanceM: 12 });
    expect(shoot.shots[2].aim).toEqual({
      mode: 'locked',
      place: { u: 0.1, v: 0 },
      smoothingS: 0,
      deadBandDeg: 0,
      rateMaxDegps: 360,
    });
    expect(shoot.kit.rigs[0]).toMatchObject({ name: 'Own slider', travelM: 0.9, rollMaxDeg: 90 });
    expect(shoot.shots.every(({ captureRateHz, frameRateHz }) => captureRateHz === frameRateHz)).toBe(true);
  });
  const broken = (edit: (raw: ReturnType<typeof plainShoot>) => void): string => {
    const raw = structuredClone(plainShoot());
    edit(raw);
    return refusal(() => checkShoot(raw));
  };
  it.each<[string, () => string]>([
    [
      'shots[0].timing.durationS must be at least 0.2; it is 0.',
      () => broken((raw) => (raw.shots[0].timing.durationS = 0)),
    ],
    [
      'shots[0].timing.durationS must be at least the holds and feathers together; lengthen it or shorten them.',
      () => broken((raw) => (raw.shots[0].timing.durationS = 1)),
    ],
    [
      'shots[0].lensId names "nothing", which is not in kit.lenses; choose one that is.',
      () => broken((raw) => (raw.shots[0].lensId = 'nothing')),
    ],
    [
      'site.pieces[1].id repeats "figure"; give each its own.',
      () => broken((raw) => (raw.site.pieces[1].id = 'figure')),
    ],
    [
      'kit.lenses[1].focalLengthMaxMm must not be below focalLengthMinMm; swap the two.',
      () => broken((raw) => (raw.kit.lenses[1].focalLengthMaxMm = 12)),
    ],
    [
      'shots[0].focalLengthMm must be a number; it is "35".',
      () => broken((raw) => Object.assign(raw.shots[0], { focalLengthMm: '35' })),
    ],
    ['name must be a string; it is missing.', () => broken((raw) => Reflect.deleteProperty(raw, 'name'))],
    [
      'shots[0] has "colour", which this format does not know; take it out.',
      () => broken((raw) => Object.assign(raw.shots[0], { colour: 1 })),
    ],
    [
      'version must be at most 16; this file is version 17, made by a newer Gentle Arc: update this one.',
      () => broken((raw) => Object.assign(raw, { version: 17 })),
    ],
    ['version must be at least 1; this file says 0.', () => broken((raw) => Object.assign(raw, { version: 0 }))],
    ['kit.lenses must have at least 1 entry; it has 0.', () => broken((raw) => (raw.kit.lenses = []))],
    [
      'shots[0].move.points[1] is the same as the point before it; move it at least a centimetre away, or ' +
        'delete one of the two.',
      () =>
        broken(
          (raw) =>
            (raw.shots[0].move = {
              kind: 'free',
              pivotEastM: 0,
              pivotNorthM: 0,
              points: [0, 0, 3].map((eastM) => ({ eastM, northM: 1, heightM: 1, look: null })),
            }),
        ),
    ],
    [
      'format must be "gentle-arc-shoot"; this is another kind of file.',
      () => broken((raw) => Object.assign(raw, { format: 'other' })),
    ],
    [
      '(the whole file) must be a shoot: a JSON object with format, version, site, kit and shots.',
      () => refusal(() => readShootFile('[1, 2]')),
    ],
  ])('%s', (sentence, work) => {
    expect(work()).toBe(sentence);
  });
  it('names times out of order in a walk', () => {
    const walk = drawnWalk('figure', [
      { tS: 2, xM: 0, yM: 0, zM: 0 },
      { tS: 1, xM: 1, yM: 0, zM: 0 },
    ]);
    expect(broken((raw) => raw.shots[0].walks.push(walk))).toBe(
      'shots[0].walks[0].points[1].tS must come after the one before it (2 s); put them in order of time.',
    );
  });
  it('text that is not JSON is refused with a sentence', () => {
    expect(refusal(() => readShootFile('{"format": '))).toMatch(/^\(the whole file\) is not JSON: /);
  });
  it('docs/shoot.schema.json is the schema that checks', () => {
    const written: unknown = JSON.parse(
      readFileSync(new URL('../../../docs/shoot.schema.json', import.meta.url), 'utf8'),
    );
    expect(written).toEqual(JSON.parse(JSON.stringify(shootJsonSchema())));
  });
  it('docs/formats.md names the version that is written, and what came with it', () => {
    const text = readFileSync(new URL('../../../docs/formats.md', import.meta.url), 'utf8');
    expect(text).toContain(`"version": ${SHOOT_VERSION}\``);
    expect(text).toContain(`From ${SHOOT_VERSION - 1} to ${SHOOT_VERSION}: `);
  });
  it('a wall of version 14 has its openings as they were: with nothing in them', () => {
    const wall = newPiece('wall', 'wall', 'Wall', 0, 0, 0);
    const shoot = plainShoot(undefined, [wall]);
    const old = JSON.parse(writeShootFile(shoot).replaceAll(/,\s*"pane": "open"/g, '')) as Record<string, unknown>;
    expect(() => checkShoot(old)).toThrow('pane');
    expect(checkShoot({ ...old, version: 14 }).site.pieces[0]).toEqual(wall);
  });
});
