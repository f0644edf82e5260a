import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawnWalk, type Move, newPiece, type Piece, type Shot } from '../../model';
import { readShot } from '../../reading';
import { num } from '../../testing/any-move';
import { filmed, usual, WALK } from '../../testing/filmed';
import { reader } from '../../testing/read';
import { AROUND, plainPieces } from '../../testing/shoots';
import { bankDeg } from './angles';
import { ropePeriodS } from './own-pace';

const TIMING = {
  durationS: 8,
  holdStartS: 0,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
const { read, found } = reader(TIMING);
const cautions = (move: Move, more: Partial<Shot> = {}, pieces?: Piece[]) =>
  read(move, more, pieces).cautions.map(({ id }) => id);

describe('against the world outside', () => {
  it('bank of a level turn: 8 m/s on 20 m is 18.07° (tan φ = v²/(g r), any flight-mechanics text)', () => {
    expect(bankDeg(8, 20)).toBeCloseTo(18.07, 2);
  });
  it('a 5 m rope swings there and back in 4.486 s (T = 2π √(L/g), g = 9.80665)', () => {
    expect(ropePeriodS(5)).toBeCloseTo(4.486, 3);
  });
  it('the bank that the reading finds is that of the circle that is flown', () => {
    const orbit: Move = { kind: 'orbit', ...AROUND, heightM: 4, radiusM: 20, startBearingDeg: 0, sweepDeg: 360 };
    // 2π·20 m at 8 m/s takes 15.708 s of cruising; without feathers the whole flight is at that speed.
    const timing = { ...TIMING, durationS: (2 * Math.PI * 20) / 8, featherInS: 0, featherOutS: 0 };
    const bank = found(orbit, 'rig.bank', {
      rigId: 'rig-drone',
      stick: 'fast',
      timing,
      captureRateHz: 60,
      frameRateHz: 60,
    });
    expect(bank?.value).toBeCloseTo(18.07, 1);
    expect(bank?.grade).toBe('fits');
  });
});

describe('what a rig can do', () => {
  const push: Move = { kind: 'push', ...AROUND, fromDistanceM: 9, toDistanceM: 3, bearingDeg: 180 };
  it('says where and by how much it fails, and still computes', () => {
    const { findings, picture } = read(push, { rigId: 'rig-slider-120' });
    const travel = findings.find(({ id }) => id === 'rig.travel');
    expect(travel).toMatchObject({ grade: 'cannot', limit: 1.2 });
    expect(travel?.value).toBeCloseTo(6, 6);
    expect(travel?.sentence).toBe('The path is 6 m long; Slider 1.2 m travels 1.2 m.');
    expect(picture.samples.xM.every(Number.isFinite)).toBe(true);
  });
  it('flies within its stick speed', () => {
    const fly = (stick: Shot['stick']) =>
      found({ ...push, heightM: 3 }, 'rig.speed', { rigId: 'rig-drone', stick, timing: { ...TIMING, durationS: 2.5 } });
    expect(fly('slow')).toMatchObject({ grade: 'cannot', limit: 3 });
    expect(fly('fast')?.grade).toBe('fits');
    expect(fly('slow')?.sentence).toMatch(/in its slow mode\.$/);
  });
  it('climbs, starts, tilts and rolls only so quickly and so far', () => {
    expect(
      found({ ...usual('rise'), toHeightM: 2.2 }, 'rig.climb', {
        rigId: 'rig-gimbal',
        timing: { ...TIMING, durationS: 2 },
      })?.grade,
    ).toBe('cannot');
    expect(
      found(push, 'rig.acceleration', { rigId: 'rig-board', timing: { ...TIMING, durationS: 4, featherInS: 0.4 } })
        ?.grade,
    ).toBe('cannot');
    expect(found(usual('groundStart'), 'rig.tilt', { rigId: 'rig-sled' })).toMatchObject({
      grade: 'cannot',
      limit: -30,
    });
    expect(found(usual('roll'), 'rig.roll', { rigId: 'rig-tripod' })).toMatchObject({ grade: 'cannot', limit: 0 });
    expect(found(usual('roll'), 'rig.roll', { rigId: 'rig-slider-120' })?.grade).toBe('fits');
    expect(
      found(usual('dropTiltUp'), 'rig.tiltRate', { rigId: 'rig-tripod', timing: { ...TIMING, durationS: 2 } })?.value,
    ).toBeGreaterThan(3);
  });
  it('keeps the camera on the circle of its arm', () => {
    expect(found(usual('jib'), 'rig.arm', { rigId: 'rig-jib' })?.grade).toBe('fits');
    expect(found({ ...usual('jib'), armM: 4 }, 'rig.arm', { rigId: 'rig-jib' })).toMatchObject({
      grade: 'cannot',
      limit: 2.2,
    });
    expect(found(usual('jib'), 'rig.arm', { rigId: 'rig-drone' })).toBeUndefined();
  });
  // 33 1/3 turns a minute are 200° a second: "far too fast to sweep a room" (common practice, no published source).
  it('a turntable’s sweep of a room at 24 mm reads jolt', () => {
    const timing = { ...TIMING, durationS: 1.8, featherInS: 0, featherOutS: 0 };
    const sweep = read(
      { ...usual('pan'), fromDeg: -360, toDeg: 0 },
      { rigId: 'rig-turntable', timing, lensId: 'lens-fern-2470', focalLengthMm: 24 },
    );
    expect(sweep.findings.find(({ id }) => id === 'speed.far')).toMatchObject({ grade: 'jolt' });
    expect(sweep.findings.find(({ id }) => id === 'skew')?.grade).not.toBe('calm');
  });
  it('a turntable turns at its own rate: a slow pan and a sweep at 200°/s', () => {
    expect(found(usual('pan'), 'rig.turntable', { rigId: 'rig-turntable' })?.grade).toBe('cannot');
    const timing = { ...TIMING, durationS: 1.8, featherInS: 0, featherOutS: 0 };
    expect(
      found({ ...usual('pan'), fromDeg: -360, toDeg: 0 }, 'rig.turntable', { rigId: 'rig-turntable', timing })?.grade,
    ).toBe('fits');
  });
  it('a rope swings at its own pace', () => {
    const swing: Move = { ...usual('slide'), travelM: 3 };
    const onRope = (durationS: number) =>
      found(swing, 'rig.rope', {
        rigId: 'rig-rope',
        timing: { ...TIMING, durationS, featherInS: durationS / 2, featherOutS: durationS / 2 },
      })?.grade;
    expect(onRope(2.4)).toBe('fits');
    expect(onRope(8)).toBe('cannot');
  });
  it('goes at the pace of real time, however slowly it is shown', () => {
    const real = found(push, 'rig.speed', { rigId: 'rig-gimbal' });
    const slow = found(push, 'rig.speed', { rigId: 'rig-gimbal', captureRateHz: 120 });
    expect(slow?.value).toBeCloseTo(real?.value ?? 0, 2);
  });
  it.each<[string, Move, Partial<Shot>, RegExp]>([
    [
      'a slide of no length',
      { ...usual('slide'), travelM: 0 },
      {},
      /^The slide goes nowhere: its length is 0\. Type a length, or drag one of its ends\.$/,
    ],
    [
      'a move with no time',
      usual('push'),
      { timing: { ...TIMING, durationS: 1, holdStartS: 0.5, holdEndS: 0.5, featherInS: 0, featherOutS: 0 } },
      /has no time to happen: the holds fill the whole duration/,
    ],
    ['a rack from a thing to itself', usual('rackFocus'), {}, /The focus has nowhere to go/],
  ])('%s gets a sentence', (_, move, more, sentence) => {
    expect(
      read(move, more)
        .findings.map((finding) => finding.sentence)
        .some((text) => sentence.test(text)),
    ).toBe(true);
  });
});

describe('what is in the way', () => {
  const past: Move = { ...usual('slide'), travelM: 4, bearingDeg: 180, distanceM: 4 };
  const post = (xM: number, yM: number): Piece => ({
    ...newPiece('post', 'pole', 'Pole', xM, yM, 0),
    lengthM: 0.2,
    depthM: 0.2,
  });
  it('finds the piece the camera goes through, and when', () => {
    const hit = found(past, 'rig.clear', { rigId: 'rig-gimbal', gaitId: 'gait-knees' }, [
      ...plainPieces(),
      post(1, -4),
    ]);
    expect(hit).toMatchObject({ grade: 'cannot', sentence: 'The camera goes through Pole.' });
    expect(hit?.screenS).toBeGreaterThan(4.5);
    expect(hit?.screenS).toBeLessThan(6.5);
  });
  it('may come close to its subject, but not through it', () => {
    const through: Move = {
      kind: 'slide',
      ...AROUND,
      heightM: 1,
      distanceM: 0.1,
      bearingDeg: 180,
      travelM: 4,
      skewDeg: 0,
    };
    expect(found(through, 'rig.subject', { rigId: 'rig-gimbal' })?.sentence).toBe('The camera goes through Ansa.');
    expect(found(usual('darkEnd'), 'rig.subject', { rigId: 'rig-gimbal' })).toBeUndefined();
  });
  it('keeps the rotors clear where the lens would pass', () => {
    const beside = [...plainPieces(), post(1, -3.5)];
    expect(found(past, 'rig.clear', { rigId: 'rig-drone' }, beside)?.grade).toBe('cannot');
    expect(found(past, 'rig.clear', { rigId: 'rig-slider-240' }, beside)).toBeUndefined();
  });
  it('lets a camera over a hedge, but not the legs below it', () => {
    const hedge: Piece = { ...newPiece('hedge', 'row', 'Row', 1, -4, 0), lengthM: 1, headingDeg: 0 };
    expect(
      found({ ...past, heightM: 1.6 }, 'rig.way', { rigId: 'rig-gimbal' }, [...plainPieces(), hedge])?.sentence,
    ).toBe('Whoever carries Gimbal on foot would have to walk through Row.');
    expect(
      found({ ...past, heightM: 1.6 }, 'rig.way', { rigId: 'rig-drone' }, [...plainPieces(), hedge]),
    ).toBeUndefined();
  });
  it('goes through the opening of a wall', () => {
    const wall = { ...newPiece('wall', 'door', 'Door', 0, -4, 0), headingDeg: 90 } as Piece;
    const through: Move = { kind: 'push', ...AROUND, fromDistanceM: 6, toDistanceM: 2.5, bearingDeg: 180 };
    const at = (xM: number) =>
      found(through, 'rig.clear', { rigId: 'rig-gimbal' }, [
        ...plainPieces().filter(({ kind }) => kind !== 'post'),
        { ...wall, xM },
      ])?.grade;
    expect(at(0)).toBeUndefined();
    expect(at(1)).toBe('cannot');
  });
  it('feels steps and slopes under feet and wheels', () => {
    const step: Piece = {
      ...newPiece('slab', 'slab', 'Slab', 3, -4, 0),
      lengthM: 6,
      depthM: 4,
      heightM: 0.2,
      headingDeg: 0,
    };
    const over = { ...past, heightM: 1.5 };
    expect(found(over, 'rig.step', { rigId: 'rig-gimbal' }, [...plainPieces(), step])?.grade).toBe('tight');
    expect(found(over, 'rig.step', { rigId: 'rig-board' }, [...plainPieces(), step])?.grade).toBe('cannot');
    const hill: Piece = {
      ...newPiece('ridge', 'hill', 'Hill', 0, -4, 0),
      lengthM: 20,
      depthM: 10,
      heightM: 1.5,
      headingDeg: 0,
    };
    expect(
      found({ ...past, heightM: 3 }, 'rig.slope', { rigId: 'rig-board' }, [...plainPieces(), hill])?.value,
    ).toBeCloseTo((Math.atan2(1.5, 5) * 180) / Math.PI, 1);
  });
});

describe('people', () => {
  it('closest approach to somebody who walks: when, how near, how fast', () => {
    // Two meet head on: the camera stands, she walks past it at 1 m/s, 0.5 m aside. Distance to her side is 0.5 less
    // half her width.
    const walk = drawnWalk('figure', [
      { tS: 0, xM: 0.5, yM: 0, zM: 0 },
      { tS: 10, xM: 0.5, yM: -10, zM: 0 },
    ]);
    const still: Move = { kind: 'still', ...AROUND, pivotEastM: -0.5, distanceM: 5, bearingDeg: 180 };
    const { approaches } = read(still, { walks: [walk], timing: { ...TIMING, durationS: 10 } });
    expect(approaches[0]).toMatchObject({ name: 'Ansa' });
    // Her first step is a soft one, so the pivot, and with it the camera, is 8 cm further on.
    expect(approaches[0].screenS).toBeCloseTo(5.08, 1);
    expect(approaches[0].distanceM).toBeCloseTo(0.25, 2);
    expect(approaches[0].closingMps).toBeCloseTo(1, 1);
  });
  it('cautions follow the plan', () => {
    expect(cautions(usual('overheadStill'), { rigId: 'rig-drone' })).toEqual(
      expect.arrayContaining(['drone', 'overhead', 'wind']),
    );
    expect(cautions(usual('slide'), { rigId: 'rig-rope' })).toContain('rope');
    expect(cautions(usual('push'), { rigId: 'rig-cart' })).toContain('wheels');
    expect(cautions(usual('crane'), { rigId: 'rig-gimbal' })).toContain('arms');
    expect(cautions(usual('lead'), { rigId: 'rig-gimbal', walks: [WALK] })).toContain('backwards');
    const terrace: Piece = {
      ...newPiece('slab', 't', 'Terrace', 0, -5, 0),
      lengthM: 8,
      depthM: 1,
      heightM: 1,
      headingDeg: 90,
    };
    expect(
      cautions({ ...usual('slide'), bearingDeg: 180, heightM: 2.4 }, { rigId: 'rig-gimbal' }, [
        ...plainPieces(),
        terrace,
      ]),
    ).toContain('edge');
    expect(cautions(usual('slide'), { rigId: 'rig-tripod' })).toEqual([]);
  });
  it('no caution calls a thing safe, and each says who decides', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('rig-drone', 'rig-rope', 'rig-cart', 'rig-jib', 'rig-gimbal', 'rig-hand', 'rig-table-arm'),
        num(0.5, 6),
        (rigId, distanceM) => {
          for (const { sentence } of read({ ...usual('push'), toDistanceM: distanceM, heightM: 2.4 }, { rigId })
            .cautions) {
            expect(sentence).toMatch(/decide\.$/);
            expect(sentence).not.toMatch(/\bsafe/i);
          }
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('a full circle', () => {
  const circle = (pieces: Piece[]) => {
    const { shoot } = filmed(
      { kind: 'orbit', ...AROUND, heightM: 2, radiusM: 5, startBearingDeg: 0, sweepDeg: 360 },
      { rigId: 'rig-drone' },
      false,
      pieces,
    );
    return readShot(shoot, shoot.shots[0]).findings.filter(({ id }) => id === 'rig.circle' || id === 'rig.clear');
  };
  const figure = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
  it('is told free, with what stands nearest; and not where something stands in it', () => {
    expect(circle([figure]).map(({ sentence }) => sentence)).toEqual([
      'The whole circle is free: nothing stands within 5 m of it.',
    ]);
    const [free] = circle([figure, { ...newPiece('post', 'post', 'Pole', 0, -8, 0), heightM: 4 }]);
    expect(free.sentence).toMatch(/^The whole circle is free: nearest to the lens is Pole at 2\.9\d? m\.$/);
    expect(circle([figure, { ...newPiece('post', 'post', 'Pole', 0, -5, 0), heightM: 4 }]).map(({ id }) => id)).toEqual(
      ['rig.clear'],
    );
  });
  it('is not asked of an arc', () => {
    const { shoot } = filmed(
      { kind: 'arc', ...AROUND, radiusM: 5, startBearingDeg: 0, sweepDeg: 200 },
      { rigId: 'rig-drone' },
    );
    expect(readShot(shoot, shoot.shots[0]).findings.some(({ id }) => id === 'rig.circle')).toBe(false);
  });
});

describe('a lens near the ground', () => {
  const low = (heightM: number, rigId: string) => found({ ...usual('slide'), heightM }, 'rig.held', { rigId });
  it('a motor gimbal on foot at 0.3 m is tight: it has to be slung or turned over', () => {
    expect(low(0.3, 'rig-gimbal')).toMatchObject({ grade: 'tight' });
    expect(low(0.3, 'rig-gimbal')?.sentence).toContain('The lens is 0.3 m above the ground: below 0.5 m');
    expect(low(0.5, 'rig-gimbal')).toBeUndefined();
  });
  it('what stands on a tripod is not held', () => {
    expect(low(0.3, 'rig-tripod')).toBeUndefined();
  });
});

describe('a push in through an opening of a wall', () => {
  const through = (pane: 'open' | 'glass') => {
    const wall = newPiece('wall', 'wall', 'Gallery wall', 0, -3, 0);
    if (wall.kind !== 'wall') throw new Error('no wall');
    const openings = [{ offsetM: 0, widthM: 3, heightM: 2.9, sillM: 0, pane }];
    const pieces = [
      newPiece('figure', 'figure', 'Ansa', 0, 0, 0),
      { ...wall, headingDeg: 90, lengthM: 6, heightM: 3, openings },
    ];
    const move = { ...usual('push'), ...AROUND, fromDistanceM: 5, toDistanceM: 1.5, bearingDeg: 180 } as Move;
    return read(move, {}, pieces).findings.find(({ id }) => id === 'rig.clear');
  };
  it('goes where nothing stands in it, and cannot be done where glass does', () => {
    expect(through('open')).toBeUndefined();
    expect(through('glass')).toMatchObject({ grade: 'cannot', sentence: 'The camera goes through Gallery wall.' });
  });
});

describe('a thin wall in the way of a fast flight', () => {
  const flight = (holdStartS: number) => {
    const wall = newPiece('wall', 'wall', 'Screen', 0, -30, 0);
    const pieces = [newPiece('figure', 'figure', 'Ansa', 0, 0, 0), { ...wall, headingDeg: 90, lengthM: 6, heightM: 6 }];
    const move = {
      ...usual('push'),
      ...AROUND,
      fromDistanceM: 61.3,
      toDistanceM: 6,
      bearingDeg: 180,
      heightM: 3,
    } as Move;
    const timing = { ...TIMING, holdStartS, durationS: holdStartS + 6 };
    return read(move, { rigId: 'rig-drone', timing }, pieces).findings.find(({ id }) => id === 'rig.clear');
  };
  it('is seen however long the shot rests before it flies', () => {
    for (const holdStartS of [0, 60, 200, 590]) expect(flight(holdStartS)).toMatchObject({ grade: 'cannot' });
  });
});
