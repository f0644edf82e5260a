import fc from 'fast-check';
import { PerspectiveCamera, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { chooseMove } from '../edit';
import { type Move, newPiece, newShoot, newShot, PatternSchema, problemsIn, type Shoot, type Shot } from '../model';
import {
  boardShot,
  bestCut,
  coverageOf,
  cutFrames,
  edgeOf,
  filmFindings,
  filmSeconds,
  joinCures,
  judgeJoin,
  layOut,
  patternFrom,
  PATTERNS,
  joinsOf,
  pictureMotion,
  shownAt,
  speedOf,
  tell,
  timecode,
  timelineOf,
} from '.';
import { sideOfLine } from './judge-subject';

const ANSA = { ...newPiece('figure', 'ansa', 'Ansa', 0, 0, 0), headingDeg: 180 };
const kit = newShoot('s', 'S', 'one').kit;

/** A shot of one move about Ansa, without holds. */
function shotOf(id: string, move: Partial<Move> & { kind: Move['kind'] }, change: Partial<Shot> = {}): Shot {
  const plain = newShot(kit, id, id, 'ansa');
  const shoot = { ...newShoot('s', 'S', 'x'), site: { pieces: [ANSA], place: null, underlays: [] }, shots: [plain] };
  const chosen = chooseMove(plain, 0, move.kind, shoot.site.pieces[0]);
  return {
    ...chosen,
    move: { ...chosen.move, ...move } as Move,
    timing: { ...chosen.timing, durationS: 2, holdStartS: 0, featherInS: 0, featherOutS: 0, holdEndS: 0 },
    lensId: 'lens-fern-2470',
    ...change,
  };
}
const shootOf = (shots: Shot[], pieces = [ANSA] as Shoot['site']['pieces']): Shoot => ({
  ...newShoot('s', 'S', 'x'),
  site: { pieces, place: null, underlays: [] },
  shots,
});
const meeting = (kind: Shot['join']['kind']): Partial<Shot> => ({ join: { kind, blackS: 0.5 } });
const firstJoin = (shots: Shot[], pieces?: Shoot['site']['pieces']) => joinsOf(shootOf(shots, pieces))[0];
const finding = (join: ReturnType<typeof firstJoin>, id: string) => join.findings.find((row) => row.id === id);
const whip = (id: string, toDeg: number, durationS = 0.4, change: Partial<Shot> = {}) => {
  const shot = shotOf(id, { kind: 'whipPan', fromDeg: 0, toDeg } as Move, change);
  return { ...shot, timing: { ...shot.timing, durationS } };
};

describe('motion of the whole picture', () => {
  it('is what three.js sees a pan, a roll and a zoom do to far points', () => {
    const told = tell(shootOf([whip('w', 80, 1)]), whip('w', 80, 1));
    const { samples } = told;
    const [from, to] = [10, 12];
    const motion = pictureMotion(samples, from, to, () => 1000);
    const seen = (row: number) => {
      const camera = new PerspectiveCamera();
      camera.rotation.order = 'YXZ';
      camera.filmGauge = samples.frameWidthMm;
      camera.aspect = samples.frameWidthMm / samples.frameHeightMm;
      camera.setFocalLength(samples.focalLengthMm[row]);
      camera.rotation.set(
        (samples.tiltDeg[row] * Math.PI) / 180,
        (-samples.panDeg[row] * Math.PI) / 180,
        (-samples.rollDeg[row] * Math.PI) / 180,
      );
      camera.updateMatrixWorld();
      camera.updateProjectionMatrix();
      return camera;
    };
    const [one, other] = [seen(from), seen(to)];
    let sum = 0;
    const us = [-0.375, -0.125, 0.125, 0.375];
    for (const u of us)
      for (const v of [-0.3, 0, 0.3]) {
        const point = new Vector3(2 * u, 2 * v, 0.5).unproject(one).multiplyScalar(1e6).project(other);
        sum += point.x / 2 - u;
      }
    const perS = sum / 12 / (2 / samples.frameRateHz);
    expect(motion.rightwards).toBeCloseTo(perS, 2);
    // The picture goes against the pan.
    expect(motion.rightwards).toBeLessThan(-1);
  });
  it('a roll turns the picture the other way, as fast; a zoom grows it by its logarithm', () => {
    const roll = shotOf('r', { kind: 'roll', fromDeg: 0, toDeg: 60 } as Move);
    const { samples } = tell(shootOf([roll]), roll);
    const rolled = (samples.rollDeg[21] - samples.rollDeg[20]) * samples.frameRateHz;
    expect(pictureMotion(samples, 20, 21, () => 50).turnDegps).toBeCloseTo(-rolled, 6);
    const still = shotOf('z', { kind: 'still' });
    const zoomed = tell(shootOf([still]), still).samples;
    const longer = { ...zoomed, cameras: zoomed.cameras.slice(), focalLengthMm: zoomed.focalLengthMm.slice() };
    for (let k = 0; k < 8; k += 1) longer.cameras[12 + k] = zoomed.cameras[k] * 1.1;
    for (let k = 8; k < 12; k += 1) longer.cameras[12 + k] = zoomed.cameras[k];
    expect(pictureMotion(longer, 0, 1, () => 20).growth).toBeCloseTo(Math.log(1.1) * zoomed.frameRateHz, 6);
  });
});

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
    expect(sideOfLine(0, 0, 0, { x: 3, y: 1 })).toBe(1);
    expect(sideOfLine(0, 0, 0, { x: -3, y: 1 })).toBe(-1);
    expect(sideOfLine(0, 0, 0, { x: 0.2, y: 5 })).toBe(0);
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

describe('cures, followed to the letter', () => {
  const still = (id: string, move: object, change: Partial<Shot> = {}) => {
    const shot = shotOf(id, { kind: 'still', ...move } as Move, change);
    return { ...shot, timing: { ...shot.timing, durationS: 5 } };
  };
  const at = (shot: Shot, u: number): Shot => ({ ...shot, aim: { ...shot.aim, place: { u, v: 0 } } });
  const roll = (id: string, deg: number, change: Partial<Shot> = {}) =>
    shotOf(id, { kind: 'roll', fromDeg: 0, toDeg: deg } as Move, change);
  const wall = { ...newPiece('box', 'wall', 'Wall', 0, -4.6, 0), headingDeg: 90, lengthM: 6, depthM: 0.4, heightM: 4 };
  const panned = (id: string, from: number, to: number, change: Partial<Shot> = {}) => {
    const shot = shotOf(id, { kind: 'tilt', fromDeg: from, toDeg: to } as Move, { subjectId: null, ...change });
    return { ...shot, timing: { ...shot.timing, durationS: 5 } };
  };
  it.each<[string, Shot[], Shoot['site']['pieces'], string]>([
    ['spin', [roll('a', 90, meeting('spin')), roll('b', -90)], [ANSA], 'Mirror the move of “b”'],
    ['roll', [roll('a', 90), still('b', { distanceM: 9 })], [ANSA], 'black'],
    [
      'dark',
      [still('a', { bearingDeg: 180, distanceM: 5.5 }, meeting('dark')), still('b', { bearingDeg: 0, distanceM: 9 })],
      [ANSA, wall],
      'Make it a plain cut',
    ],
    ['ground', [panned('a', -85, 20, meeting('ground')), panned('b', -85, -80)], [], 'Cut out of “a”'],
    ['place', [at(still('a', {}, meeting('place')), 0.2), at(still('b', { distanceM: 9 }), -0.2)], [ANSA], 'plain cut'],
    ['size', [still('a', { bearingDeg: 180 }), still('b', { bearingDeg: 190 })], [ANSA], 'further'],
    ['line', [still('a', { bearingDeg: 90 }), still('b', { bearingDeg: 270, distanceM: 9 })], [ANSA], 'Film “b” from'],
    ['eye', [at(still('a', {}), 0.4), at(still('b', { distanceM: 9 }), -0.4)], [ANSA], 'black'],
    [
      'motion',
      [
        shotOf('a', { kind: 'pan', fromDeg: -60, toDeg: 60 } as Move),
        shotOf('b', { kind: 'pan', fromDeg: 60, toDeg: -60 } as Move),
      ],
      [ANSA],
      'Mirror',
    ],
    [
      'light',
      [still('a', {}), still('b', { distanceM: 9 }, { light: { ev100: 8, iso: 100, at: null } })],
      [ANSA],
      'light',
    ],
    ['rate', [still('a', {}), still('b', { distanceM: 9 }, { shutterDeg: 20 })], [ANSA], 'shutter'],
    ['short', [still('a', {}, { cut: { inS: 0, outS: 20 } }), still('b', { distanceM: 9 })], [ANSA], 'Use all'],
  ])('%s', (id, shots, pieces, wanted) => {
    const shoot = shootOf(shots, pieces);
    const before = finding(joinsOf(shoot)[0], id);
    expect(before?.grade).not.toBe('calm');
    expect(before).toBeDefined();
    const cures = joinCures(shoot, 0).filter(({ findingId }) => findingId === id);
    expect(cures.map(({ instruction }) => instruction).join('; ')).toContain(wanted);
    for (const cure of cures) {
      const byId = new Map(cure.shots.map((shot) => [shot.id, shot]));
      const [after] = joinsOf({ ...shoot, shots: shots.map((shot) => byId.get(shot.id) ?? shot) });
      const left = finding(after, id)?.grade ?? 'calm';
      expect(left, cure.instruction).toBe(cure.removes ? 'calm' : 'ripple');
    }
  });
});

describe('the cut', () => {
  it('is frames of the shot, one at least, and never more than there are', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0.001, max: 50, noNaN: true }),
        fc.integer({ min: 1, max: 1000 }),
        fc.constantFrom(23.976, 24, 25, 29.97, 30, 60),
        (inS, forS, whole, rateHz) => {
          const { first, end, short } = cutFrames({ cut: { inS, outS: inS + forS } }, whole, rateHz);
          expect(first).toBeGreaterThanOrEqual(0);
          expect(end).toBeGreaterThan(first);
          expect(end).toBeLessThanOrEqual(whole);
          if (!short) expect(Math.abs((end - first) / rateHz - forS)).toBeLessThan(1.001 / rateHz);
        },
      ),
    );
  });
  it('that asks for more than the shot has says so, and using all of it mends it', () => {
    const shot = shotOf('a', { kind: 'still' }, { cut: { inS: 1, outS: 9 } });
    const shoot = shootOf([shot, shotOf('b', { kind: 'still', bearingDeg: 60, distanceM: 3 } as Move)]);
    expect(finding(joinsOf(shoot)[0], 'short')?.sentence).toBe('The cut asks for more of the first shot than its 2 s.');
    expect(joinCures(shoot, 0)[0]).toMatchObject({ instruction: 'Use all of “a”', removes: true });
  });
  it('every moment of the film shows a frame that is in some cut, in order', () => {
    const shots = [
      shotOf('a', { kind: 'still' }, { ...meeting('black'), cut: { inS: 0.5, outS: 1.5 } }),
      shotOf('b', { kind: 'still' }, { cut: { inS: 0.25, outS: 1 } }),
    ];
    const film = timelineOf(shots.map((shot) => tell(shootOf(shots), shot)));
    const rows = [0, 0.99, 1.2, 1.5, 2.24, 99].map((s) => shownAt(film, s));
    expect(rows.map((at) => [at?.stretch.index, at?.row])).toEqual([
      [0, 12],
      [0, 35],
      [null, 4],
      [1, 6],
      [1, 23],
      [1, 23],
    ]);
    expect(shownAt([], 1)).toBeNull();
  });
  it('is best where both motions agree', () => {
    // Both speed up and slow down: the first is left, and the second entered, at about one speed.
    const feathered = (id: string) => {
      const shot = shotOf(id, { kind: 'pan', fromDeg: 0, toDeg: 60 } as Move);
      return { ...shot, timing: { ...shot.timing, durationS: 4, featherInS: 2, featherOutS: 2 } };
    };
    const stopped = { ...feathered('b'), timing: { ...feathered('b').timing, featherInS: 0, featherOutS: 0 } };
    const shoot = shootOf([feathered('a'), stopped]);
    const [one, other] = shoot.shots.map((shot) => tell(shoot, shot));
    const { best, now } = bestCut(one, other);
    expect(best.misfit).toBeLessThan(now.misfit);
    const cut = (shot: Shot, change: Shot['cut']) => tell(shoot, { ...shot, cut: change });
    const [a, b] = [
      edgeOf(cut(shoot.shots[0], { inS: 0, outS: best.outS }), 'out'),
      edgeOf(cut(shoot.shots[1], { inS: best.inS, outS: 4 }), 'in'),
    ];
    expect(Math.abs(speedOf(a.motion) / speedOf(b.motion) - 1)).toBeLessThan(0.25);
  });
});

describe('timecode', () => {
  it.each([
    // SMPTE ST 12-1, the worked example of drop-frame (from memory): after 59 s and 29 frames come 1 min and frame 2.
    [1799, 29.97, '00:00:59;29'],
    [1800, 29.97, '00:01:00;02'],
    [17_981, 29.97, '00:09:59;29'],
    [17_982, 29.97, '00:10:00;00'],
    [107_892, 29.97, '01:00:00;00'],
    [3600, 59.94, '00:01:00;04'],
    [90_000, 25, '01:00:00:00'],
    [86_399, 24, '00:59:59:23'],
    [24, 23.976, '00:00:01:00'],
  ])('frame %i at %f is %s', (frame, rate, text) => {
    expect(timecode(frame, rate)).toBe(text);
  });
  it('at 29.97 keeps to the clock within five frames all day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2_589_407 }), (frame) => {
        const [h, m, s, f] = timecode(frame, 30_000 / 1001)
          .split(/[:;]/)
          .map(Number);
        const said = h * 3600 + m * 60 + s + f / 30;
        expect(Math.abs(said - (frame * 1001) / 30_000)).toBeLessThan(0.16);
      }),
    );
  });
});

describe('the film as a whole', () => {
  const near = (id: string, distanceM: number, change: Partial<Shot> = {}) =>
    shotOf(id, { kind: 'still', distanceM } as Move, change);
  const told = (shots: Shot[]) => {
    const shoot = shootOf(shots);
    const rows = shots.map((shot) => tell(shoot, shot));
    const board = rows.map((row, i) => boardShot(row, i + 1));
    return { shoot, board, findings: filmFindings(shoot, rows, board) };
  };
  it('one size after the other, no place shown, an ending that rests', () => {
    const { findings } = told([near('a', 4), near('b', 4), near('c', 4), near('d', 4)]);
    expect(findings.find(({ id }) => id === 'sizes')?.numbers).toEqual([1, 2, 3, 4]);
    expect(findings.some(({ id }) => id === 'establishing')).toBe(true);
    expect(findings.find(({ id }) => id === 'ending')?.grade).toBe('calm');
    const opened = told([near('a', 4, { purpose: 'establishes' }), near('b', 12)]).findings;
    expect(opened.some(({ id }) => id === 'establishing' || id === 'sizes')).toBe(false);
  });
  it('three whips in a row are a habit, and the last one is no ending', () => {
    const { findings } = told(['a', 'b', 'c'].map((id) => whip(id, 80)));
    expect(findings.find(({ id }) => id === 'showy')?.numbers).toEqual([1, 2, 3]);
    expect(findings.find(({ id }) => id === 'ending')?.grade).toBe('ripple');
  });
  it('what is seen of whom from where is ticked off', () => {
    const { shoot, board } = told([near('a', 4), near('b', 1.2)]);
    const cells = coverageOf(shoot, board)?.cells.filter(({ numbers }) => numbers.length > 0);
    expect(cells?.map(({ side, numbers }) => [side, numbers])).toEqual([
      ['front', [1]],
      ['front', [2]],
    ]);
  });
  it('the direction on screen is the camera’s own, or that of who walks', () => {
    expect(told([shotOf('s', { kind: 'slide', travelM: 2 } as Move)]).board[0].direction).toBe('right');
    expect(told([shotOf('s', { kind: 'slide', travelM: -2 } as Move)]).board[0].direction).toBe('left');
    expect(told([near('n', 4)]).board[0].direction).toBe('none');
    const push = told([shotOf('p', { kind: 'push' })]);
    expect(push.board[0].direction).toBe('in');
  });
  it('judging a join twice says the same', () => {
    const shoot = shootOf([near('a', 4), near('b', 8)]);
    const [one, other] = shoot.shots.map((shot) => tell(shoot, shot));
    expect(judgeJoin(one, other, 1)).toEqual(judgeJoin(one, other, 1));
  });
});

describe('a first set from a pattern', () => {
  const answers = { who: 'Mira', where: 'Harbour', happens: 'She mends a net', ending: 'She leaves' };
  const pieces = [ANSA, newPiece('lorry', 'lorry', 'Lorry', 20, 5, 0), newPiece('tin', 'tin', 'Tin', -6, 2, 0.8)];
  it.each(PATTERNS.flatMap((row) => pieces.map((piece) => [row.name, row, piece] as const)))(
    '%s is planned in order about whatever stands there',
    (_name, pattern, piece) => {
      const empty = { ...shootOf([], pieces), shots: [] };
      let count = 0;
      const { shoot, ids } = layOut(empty, pattern, piece.id, answers, () => `new-${(count += 1)}`);
      expect(ids).toHaveLength(pattern.shots.length);
      expect(problemsIn(shoot)).toEqual([]);
      // Seen, where it is framed at all, and from about where the pattern wants it.
      shoot.shots.forEach((shot, i) => {
        const told = tell(shoot, shot);
        const first = edgeOf(told, 'in');
        expect(boardShot(told, 1).sizes.some((size) => size !== null)).toBe(true);
        if (pattern.shots[i].move === 'overheadSlide') return;
        const off =
          (((((first.subject?.fromFrontDeg ?? NaN) - pattern.shots[i].fromDeg + 540) % 360) + 360) % 360) - 180;
        expect(Math.abs(off)).toBeLessThan(12);
      });
      expect(shoot.shots[0].note).toBe('Harbour');
      expect(shoot.shots.at(-1)?.note).toBe('She leaves');
    },
  );
  it('of a figure the sizes come as they were asked for', () => {
    const pattern = PATTERNS.find(({ id }) => id === 'arrival') ?? PATTERNS[0];
    let count = 0;
    const { shoot } = layOut({ ...shootOf([]), shots: [] }, pattern, 'ansa', answers, () => `n-${(count += 1)}`);
    const sizes = shoot.shots.map((shot, i) => {
      const which = pattern.shots[i].move === 'push' ? 'out' : 'in';
      return edgeOf(tell(shoot, shot), which).subject?.size;
    });
    expect(sizes[0]).toBe('wide');
    expect(sizes[4]).toMatch(/close-up/);
  });
  it('a board becomes a pattern that lays out the like', () => {
    let count = 0;
    const idOf = () => `n-${(count += 1)}`;
    const { shoot, ids } = layOut({ ...shootOf([]), shots: [] }, PATTERNS[0], 'ansa', answers, idOf);
    const own = patternFrom(shoot, ids, 'own', 'Own');
    expect(PatternSchema.safeParse(own).success).toBe(true);
    expect(own.shots.map(({ move, purpose }) => [move, purpose])).toEqual(
      PATTERNS[0].shots.map(({ move, purpose }) => [move, purpose]),
    );
  });
});
