import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import type { Fact } from './facts';
import { FIELDS } from './fields';
import { newPiece } from './piece';
import { problemsIn, saidOf } from './in-order';
import { ShootSchema, type Shoot } from './shoot';

const demo = demoShoot();

/** Changes as careless hands make them: most of them are out of order. */
const edits: ((shoot: Shoot, k: number) => Shoot)[] = [
  (shoot, k) => ({ ...shoot, name: ['', '  ', 'Fine'][k % 3] }),
  (shoot, k) => ({
    ...shoot,
    shots: shoot.shots.map((shot, i) =>
      i === k % 35 ? { ...shot, timing: { ...shot.timing, durationS: [0, 8, 90_000][k % 3] } } : shot,
    ),
  }),
  (shoot, k) => ({
    ...shoot,
    shots: shoot.shots.map((shot, i) => (i === k % 35 ? { ...shot, lensId: ['gone', shot.lensId][k % 2] } : shot)),
  }),
  (shoot, k) => ({ ...shoot, shots: [...shoot.shots, { ...shoot.shots[0], id: [shoot.shots[3].id, 'new'][k % 2] }] }),
  (shoot, k) => ({
    ...shoot,
    site: {
      ...shoot.site,
      pieces: [
        ...shoot.site.pieces,
        newPiece('post', ['post-1', '..', 'p', ' '][k % 4], 'Post', [0, 5100][k % 2], 0, 0),
      ],
    },
  }),
  (shoot, k) => ({ ...shoot, site: { ...shoot.site, pieces: k % 2 ? shoot.site.pieces.slice(3) : shoot.site.pieces } }),
  (shoot, k) => ({
    ...shoot,
    kit: {
      ...shoot.kit,
      parts: shoot.kit.parts.map((part, i) => (i === k % 20 ? { ...part, massG: [NaN, 0, 300][k % 3] } : part)),
    },
  }),
  (shoot, k) => ({ ...shoot, kit: { ...shoot.kit, lenses: k % 3 ? shoot.kit.lenses : [] } }),
  (shoot, k) => ({
    ...shoot,
    shots: shoot.shots.map((shot, i) => (i === k % 35 ? { ...shot, walks: [...shot.walks, ...shot.walks] } : shot)),
  }),
  (shoot, k) => ({ ...shoot, limits: [{}, { wobble: 99 }, { wobble: 0.01 }][k % 3] }),
  (shoot) => Object.assign({ ...shoot }, { colour: 'red' }) as Shoot,
];

describe('a changed shoot', () => {
  it('is in order just when the whole schema says so, whatever was looked at before', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(edits.length - 1), fc.nat(200)), { minLength: 1, maxLength: 4 }),
        (steps) => {
          let shoot = demo;
          for (const [which, k] of steps) {
            const next = edits[which](shoot, k);
            const inOrder = ShootSchema.safeParse(next).success;
            expect(problemsIn(next).length === 0).toBe(inOrder);
            // Told what it was made from, it looks at less and finds the same.
            expect(problemsIn(next, shoot).length === 0).toBe(inOrder);
            if (inOrder) shoot = next;
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('is said by what people call its things', () => {
    const [shot] = demo.shots;
    const longer = { ...demo, shots: [{ ...shot, timing: { ...shot.timing, durationS: 90_000 } }] };
    expect(saidOf(longer, problemsIn(longer)[0])).toBe(
      '“First light along the rows”: Duration must be at most 86400 s; it is 90000 s.',
    );
    const many = { ...demo, shots: Array.from({ length: 501 }, (_, i) => ({ ...shot, id: `s${i}` })) };
    expect(saidOf(many, problemsIn(many)[0])).toBe('shots must have at most 500 entries; it has 501.');
    const unnamed = { ...demo, name: '   ' };
    expect(problemsIn(unnamed)[0].sentence).toBe('name must be more than white space; type a name.');
  });
  it('is said by the labels of its fields, wherever they lie', () => {
    const said = (next: Shoot) => saidOf(next, problemsIn(next)[0]);
    expect(said({ ...demo, practice: { ...demo.practice, countIn: 2.5 } })).toBe(
      'Beats counted in must be a whole number; it is 2.5.',
    );
    // Numbers have their unit: a share's is per cent, a clock's are hours and minutes.
    expect(said({ ...demo, kit: { ...demo.kit, lenses: [{ ...demo.kit.lenses[0], breathingShare: 0.45 }] } })).toMatch(
      /Narrower when focused near must be at most 30%; it is 45%\.$/,
    );
    const wraps = (wrapMin: number) => said({ ...demo, day: { ...demo.day, wrapMin } });
    expect(wraps(2170)).toBe('Everybody gone by must be at most 12:00 +1; it is 12:10 +1.');
    expect(wraps(600.5)).toBe('Everybody gone by must be a whole number; it is 600.5.');
    const [cloud] = demo.day.weather ?? [];
    expect(said({ ...demo, day: { ...demo.day, weather: [{ ...cloud, windMps: -3 }] } })).toBe(
      'Wind must be at least 0 m/s; it is −3 m/s.',
    );
    // Where the label says what is counted, the name does not tell the unit: “luxAt1M” is no length.
    const lamp = { ...newPiece('lamp', 'lamp', 'Lamp', 0, 0, 0), luxAt1M: -3 };
    expect(said({ ...demo, site: { ...demo.site, pieces: [...demo.site.pieces, lamp] } })).toBe(
      '“Lamp”: Light at one metre, lux must be at least 0.1; it is −3.',
    );
    // Nothing is told of it: it stays as a file calls it.
    expect(said({ ...demo, delivery: { ...demo.delivery, widthPx: 7 } })).toMatch(
      /^delivery\.widthPx must be at least/,
    );
  });
  it('tells of what can be counted only that it is a whole number', () => {
    const told = ['tries', 'chargers', 'count', 'countIn', 'beatsPerMin', 'pictureWidthPx', 'bodySeed'];
    const fields = Object.values(FIELDS).flatMap((facts) => Object.entries(facts as Record<string, Fact>));
    for (const name of told) expect(fields.find(([key]) => key === name)?.[1], name).toMatchObject({ unit: 'count' });
  });
});
