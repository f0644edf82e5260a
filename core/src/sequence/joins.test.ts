import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LIMIT_NAMES, limitRange, LIMITS, type Move, newPiece, type OwnLimits, type Shot } from '../model';
import { ANSA, shotOf, shootOf, meeting, firstJoin, finding, whip } from '../testing/joined';
import { filmSeconds, joinCures, joinsOf, tell, timelineOf } from '.';
import { sideOfLine } from './judge-subject';

describe('two whips', () => {
  it('of one direction and one speed are one; mirrored they jolt; slower by half they ripple at least', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 85 }), fc.boolean(), (deg, left) => {
        const way = left ? -deg : deg;
        const one = whip('a', way, 0.4, { ...meeting('whip'), cut: { inS: 0, outS: 0.3 } });
        const other = { ...whip('b', way, 0.4), cut: { inS: 0.1, outS: 0.4 } };
        expect(finding(firstJoin([one, other]), 'whip')?.grade).toBe('calm');
        const against = { ...whip('b', -way, 0.4), cut: { inS: 0.1, outS: 0.4 } };
        expect(finding(firstJoin([one, against]), 'whip')?.grade).toBe('jolt');
        const slow = { ...whip('b', way, 1.6), cut: { inS: 0.4, outS: 1.6 } };
        expect(finding(firstJoin([one, slow]), 'whip')?.grade).not.toBe('calm');
      }),
      { numRuns: 12 },
    );
  });
  it('against each other are cured by mirroring one, and followed to the letter the jolt is gone', () => {
    const shoot = shootOf([
      whip('a', 80, 0.4, { ...meeting('whip'), cut: { inS: 0, outS: 0.3 } }),
      { ...whip('b', -80, 0.4), cut: { inS: 0.1, outS: 0.4 } },
    ]);
    const cures = joinCures(shoot, 0).filter(({ findingId }) => findingId === 'whip');
    expect(cures.map(({ instruction }) => instruction)).toContain('Mirror the move of “b”');
    for (const { shots, removes } of cures) {
      const byId = new Map(shots.map((shot) => [shot.id, shot]));
      const [after] = joinsOf({ ...shoot, shots: shoot.shots.map((shot) => byId.get(shot.id) ?? shot) });
      expect(finding(after, 'whip')?.grade ?? 'calm').toBe(removes ? 'calm' : 'ripple');
    }
  });
  it('of different speed are cured by time for the slower', () => {
    const shoot = shootOf([
      whip('a', 80, 0.4, { ...meeting('whip'), cut: { inS: 0, outS: 0.3 } }),
      { ...whip('b', 80, 1.2), cut: { inS: 0.3, outS: 1.2 } },
    ]);
    expect(joinCures(shoot, 0).find(({ instruction }) => instruction.startsWith('Take 0.4 s for “b”'))).toBeDefined();
  });
});

describe('the line of action and the 30° rule, by hand', () => {
  const from = (bearingDeg: number, distanceM: number, id = 'x', change: Partial<Shot> = {}) =>
    shotOf(id, { kind: 'still', bearingDeg, distanceM } as Move, {
      timing: shotOf('t', { kind: 'still' }).timing,
      ...change,
    });

  it.each([
    // She looks south; a camera in the east and one in the west stand on both sides.
    [90, 270, 'jolt'],
    [100, 150, 'calm'],
    [210, 300, 'calm'],
    // From straight before her, from neither side.
    [180, 90, 'calm'],
  ])('from %i° and then from %i°: %s', (a, b, grade) => {
    expect(finding(firstJoin([from(a, 4, 'a'), from(b, 8, 'b')]), 'line')?.grade).toBe(grade);
  });
  it.each([
    [180, 4, 190, 4, 'jolt'],
    [180, 4, 205, 4.5, 'jolt'],
    [180, 4, 215, 4, 'calm'],
    [180, 4, 185, 8, 'calm'],
  ])('%i° at %f m, then %i° at %f m: %s', (a, m, b, n, grade) => {
    expect(finding(firstJoin([from(a, m, 'a'), from(b, n, 'b')]), 'size')?.grade).toBe(grade);
  });
  it('a line due north has east on its right', () => {
    expect(sideOfLine(0, 0, 0, { x: 3, y: 1 }, 15)).toBe(1);
    expect(sideOfLine(0, 0, 0, { x: -3, y: 1 }, 15)).toBe(-1);
    expect(sideOfLine(0, 0, 0, { x: 0.2, y: 5 }, 15)).toBe(0);
  });
  it('a mirrored site crosses the same lines', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 0, max: 359 }), (a, b) => {
        const plain = finding(firstJoin([from(a, 4, 'a'), from(b, 8, 'b')]), 'line')?.grade;
        // She looks south: east and west change places.
        const turned = finding(firstJoin([from(360 - a, 4, 'a'), from(360 - b, 8, 'b')]), 'line')?.grade;
        expect(turned).toBe(plain);
      }),
      { numRuns: 40 },
    );
  });
  it('who passes from left to right goes on so, or the direction is lost', () => {
    const walks = (tS: number) => [
      {
        pieceId: 'ansa',
        points: [
          { tS: 0, xM: 0, yM: 0, zM: 0 },
          { tS, xM: 3, yM: 0, zM: 0 },
        ],
        footing: 'drawn' as const,
        jumps: [],
      },
    ];
    const [south, north] = [from(180, 6, 'a', { walks: walks(2) }), from(0, 9, 'b', { walks: walks(2) })];
    const lost = finding(firstJoin([south, north]), 'line');
    expect(lost?.sentence).toBe(
      'Ansa goes to the right on screen, and after the cut to the left: the line of action is crossed.',
    );
    expect(finding(firstJoin([south, { ...south, id: 'c' }]), 'line')?.grade).toBe('calm');
  });
});

describe('every kind of join', () => {
  const post = { ...newPiece('box', 'wall', 'Wall', 0, -4.6, 0), headingDeg: 90, lengthM: 6, depthM: 0.4, heightM: 4 };
  const dark = (id: string, change: Partial<Shot> = {}) =>
    shotOf(id, { kind: 'still', bearingDeg: 180, distanceM: 5.5 } as Move, change);
  const clear = (id: string, change: Partial<Shot> = {}) =>
    shotOf(id, { kind: 'still', bearingDeg: 0, distanceM: 5 } as Move, change);

  it('dark into dark hides; one side that is open does not, and a plain cut mends it', () => {
    expect(finding(firstJoin([dark('a', meeting('dark')), dark('b')], [ANSA, post]), 'dark')?.grade).toBe('calm');
    const shoot = shootOf([dark('a', meeting('dark')), clear('b')], [ANSA, post]);
    expect(finding(joinsOf(shoot)[0], 'dark')?.grade).toBe('jolt');
    expect(joinCures(shoot, 0).length).toBeGreaterThan(0);
  });
  it('ground into ground, sky into sky, and neither', () => {
    const looking = (id: string, deg: number, change: Partial<Shot> = {}) =>
      shotOf(id, { kind: 'tilt', fromDeg: deg, toDeg: deg } as Move, { subjectId: null, ...change });
    expect(finding(firstJoin([looking('a', -80, meeting('ground')), looking('b', -85)], []), 'ground')?.grade).toBe(
      'calm',
    );
    expect(finding(firstJoin([looking('a', 75, meeting('ground')), looking('b', 80)], []), 'ground')?.grade).toBe(
      'calm',
    );
    expect(finding(firstJoin([looking('a', -80, meeting('ground')), looking('b', 75)], []), 'ground')?.grade).toBe(
      'jolt',
    );
  });
  it('spin into spin: one way, one speed', () => {
    const spin = (id: string, deg: number, change: Partial<Shot> = {}) =>
      shotOf(id, { kind: 'roll', fromDeg: 0, toDeg: deg } as Move, change);
    expect(finding(firstJoin([spin('a', 90, meeting('spin')), spin('b', 90)]), 'spin')?.grade).toBe('calm');
    expect(finding(firstJoin([spin('a', 90, meeting('spin')), spin('b', -90)]), 'spin')?.grade).toBe('jolt');
    expect(finding(firstJoin([spin('a', 90, meeting('spin')), spin('b', 6)]), 'spin')?.sentence).toMatch(/no spin/);
  });
  it('a matched place is matched, or said to be so far off', () => {
    const at = (id: string, u: number, change: Partial<Shot> = {}) => {
      const shot = shotOf(id, { kind: 'still' }, change);
      return { ...shot, aim: { ...shot.aim, place: { u, v: 0 } } };
    };
    expect(finding(firstJoin([at('a', 0.2, meeting('place')), at('b', 0.2)]), 'place')?.grade).toBe('calm');
    const off = finding(firstJoin([at('a', 0.2, meeting('place')), at('b', -0.2)]), 'place');
    expect(off?.grade).toBe('jolt');
    expect(off?.value).toBeCloseTo(0.4, 1);
  });
  it('how far the eye leaps counts in widths of the picture, whatever its shape', () => {
    const at = (id: string, v: number, distanceM: number) => {
      const shot = shotOf(id, { kind: 'still', distanceM } as Move);
      return { ...shot, aim: { ...shot.aim, place: { u: 0, v } } };
    };
    const leap = (widthPx: number, heightPx: number) => {
      const shoot = shootOf([at('a', 0.3, 8), at('b', -0.3, 16)]);
      const [join] = joinsOf({ ...shoot, delivery: { ...shoot.delivery, widthPx, heightPx } });
      const { from, to } = join;
      // By hand: so many frame heights, times the height over the width.
      const heights = (from.subject?.v ?? NaN) - (to.subject?.v ?? NaN);
      expect(Math.abs(heights)).toBeGreaterThan(0.5);
      expect(finding(join, 'eye')?.value).toBeCloseTo((Math.abs(heights) * heightPx) / widthPx, 6);
      return finding(join, 'eye')?.grade;
    };
    expect(leap(3840, 2160)).toBe('ripple');
    expect(leap(1080, 1920)).toBe('jolt');
  });
  it('a matched action goes on where it was', () => {
    const walk = (from: number, to: number) => [
      {
        pieceId: 'ansa',
        points: [
          { tS: 0, xM: from, yM: 0, zM: 0 },
          { tS: 2, xM: to, yM: 0, zM: 0 },
        ],
        footing: 'drawn' as const,
        jumps: [],
      },
    ];
    const one = clear('a', { ...meeting('action'), walks: walk(0, 2.4) });
    const goesOn = shotOf('b', { kind: 'still', bearingDeg: 60, distanceM: 3 } as Move, { walks: walk(2.4, 4.8) });
    expect(finding(firstJoin([one, goesOn]), 'action')?.grade).toBe('calm');
    expect(finding(firstJoin([one, { ...goesOn, walks: walk(5, 7.4) }]), 'action')?.grade).toBe('jolt');
    expect(finding(firstJoin([clear('a', meeting('action')), clear('b')]), 'action')?.sentence).toMatch(/no action/);
  });
  it('over black hides what a cut would show, and lasts in the film', () => {
    const shots = [clear('a', meeting('black')), clear('b')];
    expect(firstJoin(shots).grade).toBe('calm');
    const told = shots.map((shot) => tell(shootOf(shots), shot));
    expect(filmSeconds(timelineOf(told))).toBeCloseTo(4.5, 9);
  });
  it('rates and light that differ are told, and cured by showing, or filming, both alike', () => {
    const one = clear('a', { light: { ev100: 15, iso: 100, at: null } });
    const other = shotOf('b', { kind: 'still', bearingDeg: 60, distanceM: 3 } as Move, {
      frameRateHz: 25,
      captureRateHz: 25,
      light: { ev100: 9, iso: 100, at: null },
    });
    const join = firstJoin([one, other]);
    expect(finding(join, 'rate')?.sentence).toBe('The first is shown at 24 frames a second and the second at 25.');
    expect(finding(join, 'light')?.sentence).toBe('At the cut the light falls by 6 stops.');
    const cured = joinCures(shootOf([one, other]), 0).map(({ instruction }) => instruction);
    expect(cured).toEqual(expect.arrayContaining(['Show “b” at 24 frames a second', 'Film “b” in the light of “a”']));
  });
});

describe('the limits of joins', () => {
  const whips = [
    whip('a', 60, 0.4, { ...meeting('whip'), cut: { inS: 0, outS: 0.3 } }),
    { ...whip('b', 60, 0.4), cut: { inS: 0.1, outS: 0.4 } },
  ];
  const judged = (limits: OwnLimits) => joinsOf({ ...shootOf(whips), limits })[0];

  it('are those of the shoot: what the user calls no whip is none', () => {
    expect(finding(judged({}), 'whip')?.grade).toBe('calm');
    const strict = finding(judged({ joinWhipSpeed: 50 }), 'whip');
    expect(strict?.grade).not.toBe('calm');
    expect(strict?.limit).toBe(50);
    expect(strict?.sentence).toContain('nothing blurs');
    // Reasons and sentences say the shoot's own number as well.
    const brief = ['a', 'b'].map((id) => ({ ...whip(id, 60, 2), cut: { inS: 0, outS: 1 } }));
    const [join] = joinsOf({ ...shootOf(brief), limits: { joinSeenS: 1.25 } });
    expect(finding(join, 'short')?.reason).toBe('A picture takes 1.25 s at least to be taken in.');
  });
  it('are all asked for: each one, set so that nothing passes or everything does, changes some judgement', () => {
    // Two looks at one subject, cut together in every way that a join can be meant.
    const at = (id: string, over: Partial<Move>, change: Partial<Shot> = {}) =>
      shotOf(id, { kind: 'slide', ...over } as Move, change);
    const kinds = ['cut', 'whip', 'dark', 'ground', 'spin', 'action', 'place'] as const;
    const lit = (shot: Shot, ev100: number): Shot => ({ ...shot, light: { ...shot.light, ev100 } });
    const shoots = kinds.flatMap((kind) => [
      shootOf([{ ...whips[0], ...meeting(kind) }, whips[1]]),
      shootOf([lit(at('a', {}, meeting(kind)), 14), lit({ ...at('b', {}), shutterDeg: 45 }, 11)]),
    ]);
    // Slow rolls that end tipped, and somebody who goes on slower and by another way.
    const goes = (to: [number, number], paceMps: number): Shot['walks'] => [
      {
        pieceId: 'ansa',
        points: [
          { tS: 0, xM: 0, yM: 0, zM: 0 },
          { tS: Math.hypot(...to) / paceMps, xM: to[0], yM: to[1], zM: 0 },
        ],
        footing: 'drawn',
        jumps: [],
      },
    ];
    const walking = (id: string, walks: Shot['walks']) =>
      shotOf(id, { kind: 'still', distanceM: 6 } as Move, { ...meeting('action'), walks });
    shoots.push(
      shootOf([shotOf('a', { kind: 'roll', fromDeg: 0, toDeg: 8 } as Move), at('b', {})]),
      shootOf([walking('a', goes([0, 2.4], 1.2)), walking('b', goes([0, 2.4], 0.5))]),
      shootOf([walking('a', goes([0, 2.4], 1.2)), walking('b', goes([2.4, 2.4], 1.2))]),
    );
    const said = (limits: OwnLimits) =>
      JSON.stringify(shoots.flatMap((shoot) => joinsOf({ ...shoot, limits }).map(({ findings }) => findings)));
    const usual = said({});
    const unheard = LIMIT_NAMES.filter((name) => LIMITS[name].group === 'Joins').filter((name) => {
      const [least, most] = limitRange(name);
      return said({ [name]: least }) === usual && said({ [name]: most }) === usual;
    });
    expect(unheard).toEqual([]);
  });
});
