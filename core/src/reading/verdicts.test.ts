import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawnWalk, DEFAULT_AIM, type Move, newPiece, type Piece, type Shot } from '../model';
import { filmed, usual } from '../testing/filmed';
import { reader } from '../testing/read';
import { AROUND, plainPieces } from '../testing/shoots';
import { timePlan } from './time-plan';

/**
 * Verdicts at every frame rate, between frames, reversed, ramped, with a walking subject and at the edges of the frame.
 */

const TIMING = {
  durationS: 8,
  holdStartS: 1,
  featherInS: 1.5,
  featherOutS: 1.5,
  holdEndS: 1,
  featherShape: 'minimumJerk' as const,
};
const { read, found } = reader(TIMING);
const all = (move: Move, more: Partial<Shot> = {}, pieces?: Piece[]) => read(move, more, pieces).findings;

describe('one dead stop has one hardness', () => {
  const pan: Move = { ...usual('pan'), fromDeg: -12, toDeg: 12 };
  const dead = (rateHz: number, laterS: number) =>
    found(pan, 'stop', {
      timing: { ...TIMING, durationS: 8 + laterS, holdStartS: 1 + laterS, featherInS: 1.5, featherOutS: 0 },
      frameRateHz: rateHz,
      captureRateHz: rateHz,
    });
  it('at 24, 25, 30, 50, 60 and 120 frames a second, and at phases between frames', () => {
    const values: number[] = [];
    const grades = new Set<string>();
    for (const rateHz of [24, 25, 30, 50, 60, 120])
      for (const phase of [0, 0.21, 0.5, 0.77]) {
        const stop = dead(rateHz, phase / rateHz);
        values.push(stop?.value ?? NaN);
        grades.add(stop?.grade ?? '');
      }
    expect(Math.max(...values) / Math.min(...values)).toBeLessThan(1.02);
    expect(grades.size).toBe(1);
    expect([...grades][0]).not.toBe('calm');
  });
  it('a feathered one likewise', () => {
    const soft = (rateHz: number) => found(pan, 'stop', { frameRateHz: rateHz, captureRateHz: rateHz })?.value ?? NaN;
    for (const rateHz of [25, 30, 50, 60, 120]) expect(Math.abs(soft(rateHz) / soft(24) - 1)).toBeLessThan(0.08);
  });
});

describe('gaps are not added up', () => {
  /** A fence: posts at even distances before the subject. */
  const fence = (wideM: number): Piece[] => [
    newPiece('figure', 'figure', 'Ansa', 0, 0, 0),
    ...[-2, -1, 0, 1, 2].map((x, i) => ({
      ...newPiece('post', `p${i}`, `Pole ${i}`, x, -1.5, 0),
      lengthM: wideM,
      depthM: wideM,
      heightM: 3,
    })),
  ];
  const past: Move = { kind: 'slide', ...AROUND, heightM: 0.9, distanceM: 4, bearingDeg: 180, travelM: 5, skewDeg: 0 };
  it('a fence that passes several times is judged by its longest pass, told with its start and how often', () => {
    const covered = found(past, 'covered', { timing: { ...TIMING, durationS: 16 } }, fence(0.5));
    expect(covered?.sentence).toMatch(/is covered for [\d.]+ s, from [\d.]+ s on, the longest of [2-9] times/);
    expect(covered?.value ?? 9).toBeLessThan(3);
  });
  it('never lasts 0.0 s', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.6, noNaN: true }),
        fc.double({ min: 2, max: 7, noNaN: true }),
        (wideM, travelM) => {
          for (const { sentence } of all({ ...past, travelM } as Move, {}, fence(wideM)))
            expect(sentence).not.toMatch(/for 0\.0 s/);
        },
      ),
      { numRuns: 12 },
    );
  });
});

describe('where the subject is', () => {
  it('it is never in the middle and never in the picture at once', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.6, max: 0.6, noNaN: true }),
        fc.double({ min: -0.6, max: 0.6, noNaN: true }),
        (u, v) => {
          const findings = all(
            { kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 },
            { aim: { ...DEFAULT_AIM, mode: 'subject', place: { u, v } } },
          );
          const never = findings.some(({ sentence }) => sentence.includes('is never in the picture'));
          expect(never && findings.some(({ id }) => id === 'composition')).toBe(false);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('a subject that crosses the frame is not at one edge throughout', () => {
    const there = found({ ...usual('pan'), fromDeg: -18, toDeg: 18 }, 'composition');
    expect(there?.sentence).not.toMatch(/throughout/);
  });
  it('a walking subject that has left the frame of an arc, a spiral, a helix or a drifting orbit is told', () => {
    const walks = [
      drawnWalk('figure', [
        { tS: 0, xM: 0, yM: 0, zM: 0 },
        { tS: 8, xM: 0, yM: -48, zM: 0 },
      ]),
    ];
    for (const kind of ['spiralOverhead', 'helix', 'arc', 'driftingOrbit'] as const) {
      const findings = all(usual(kind), { rigId: 'rig-drone', walks, aim: { ...DEFAULT_AIM, mode: 'locked' } });
      const cut = findings.find(({ id }) => id === 'cutoff');
      expect(cut?.grade, `${kind} ${cut?.sentence}`).not.toBe('calm');
      expect(cut?.sentence).toMatch(/out of the picture|never in the picture/);
    }
  });
});

describe('reveals', () => {
  const wall: Piece = {
    ...newPiece('box', 'screen', 'Screen', 0, -2, 0),
    lengthM: 3,
    depthM: 0.2,
    heightM: 2.4,
    headingDeg: 90,
  };
  it('one that ends hidden never happens, and that is a jolt', () => {
    const away: Move = { ...usual('slideOutReveal'), bearingDeg: 180, travelM: 7 };
    const reveal = found(away, 'reveal', {}, [plainPieces()[0], wall]);
    expect(reveal).toMatchObject({ grade: 'jolt' });
    expect(reveal?.sentence).not.toMatch(/given away early/);
  });
});

describe('ramped and slowed shots', () => {
  const orbit: Move = { ...usual('orbit'), radiusM: 6 };
  const turns = (more: Partial<Shot>) =>
    /at ([\d.]+)° a second on screen/.exec(
      found(orbit, 'turn.even', { rigId: 'rig-drone', ...more })?.sentence ?? '',
    )?.[1];
  const even = { ...TIMING, durationS: 30 };
  it(
    'degrees a second are those on screen: five times slower shown, five times fewer; shown at life ' +
      'speed, the same',
    () => {
      const life = Number(turns({ timing: even }));
      expect(Number(turns({ timing: even, captureRateHz: 120 })) * 5).toBeCloseTo(life, 0);
      expect(
        Number(
          turns({ timing: even, captureRateHz: 120, playback: { reversed: false, ramp: [{ atS: 0, speed: 1 }] } }),
        ),
      ).toBeCloseTo(life, 1);
    },
  );
  it('the rig’s own evenness does not depend on how it is shown', () => {
    const rig = (more: Partial<Shot>) => found(usual('slide'), 'even.rig', more)?.value ?? NaN;
    expect(rig({ captureRateHz: 120 })).toBeCloseTo(rig({}), 1);
    expect(rig({ captureRateHz: 60, playback: { reversed: true, ramp: [{ atS: 0, speed: 1 }] } })).toBeCloseTo(
      rig({}),
      1,
    );
  });
  it('a corner of a ramp is its own trouble, not the start’s', () => {
    const pan: Move = { ...usual('pan'), fromDeg: -40, toDeg: 40 };
    const ramp = {
      reversed: false,
      ramp: [
        { atS: 2.6, speed: 0.25 },
        { atS: 2.8, speed: 2 },
      ],
    };
    const findings = all(pan, { captureRateHz: 120, playback: ramp, timing: { ...TIMING, durationS: 10 } });
    expect(findings.find(({ id }) => id === 'ramp')?.sentence).toMatch(/change of speed/);
    expect(findings.find(({ id }) => id === 'start')?.grade).toBe('calm');
  });
  it('60 recorded and 25 shown at life speed goes in uneven steps; 50 and 25 does not', () => {
    const pan: Move = { ...usual('pan'), fromDeg: -12, toDeg: 12 };
    const life = { reversed: false, ramp: [{ atS: 0, speed: 1 }] };
    const uneven = found(pan, 'stagger', { captureRateHz: 60, frameRateHz: 25, playback: life });
    expect(uneven?.grade).not.toBe('calm');
    expect(uneven?.sentence).toContain('2, 2, 3, 2, 3');
    expect(found(pan, 'stagger', { captureRateHz: 50, frameRateHz: 25, playback: life })).toBeUndefined();
    expect(found(pan, 'stagger', { captureRateHz: 60, frameRateHz: 25 })).toBeUndefined();
    expect(
      found({ kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 }, 'stagger', {
        captureRateHz: 60,
        frameRateHz: 25,
        playback: life,
      }),
    ).toBeUndefined();
  });
  it('every finding’s moment is on screen: within what is shown, however it is played', () => {
    fc.assert(
      fc.property(
        fc.boolean(),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.constantFrom('slide', 'arc', 'push', 'pan', 'rise'),
        (reversed, speed, kind) => {
          const { findings, picture } = read(usual(kind), {
            captureRateHz: 96,
            playback: {
              reversed,
              ramp: [
                { atS: 1, speed },
                { atS: 5, speed: 1 },
              ],
            },
          });
          const last = picture.samples.screenS[picture.samples.count - 1];
          for (const { screenS, sentence } of findings) {
            expect(screenS, sentence).toBeGreaterThanOrEqual(-1e-9);
            expect(screenS, sentence).toBeLessThanOrEqual(last + 0.05);
          }
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('what is recorded and what is shown', () => {
  const pan: Move = { ...usual('pan'), fromDeg: -30, toDeg: 30 };
  it(
    '120 recorded at 180° and shown at life speed in a cut of 24 is open for 36° of a shown picture: it stutters; ' +
      'as slow motion it does not',
    () => {
      const quick = {
        timing: { ...TIMING, durationS: 4, holdStartS: 0.2, holdEndS: 0.2 },
        captureRateHz: 120,
        shutterDeg: 180,
      };
      const life = found(pan, 'blur.shutter', {
        ...quick,
        playback: { reversed: false, ramp: [{ atS: 0, speed: 1 }] },
      });
      expect(life).toMatchObject({ value: expect.closeTo(36, 1) as number });
      expect(life?.grade).not.toBe('calm');
      expect(life?.sentence).toMatch(/open for 36° of a shown picture only, 180° of what is recorded/);
      expect(found(pan, 'blur.shutter', quick)).toBeUndefined();
    },
  );
  it('a start out of focus is meant: no hand is asked to be even', () => {
    const soft = {
      focus: {
        mode: 'racks' as const,
        from: { on: 'distance' as const, distanceM: 1 },
        racks: [{ atS: 1, overS: 1.5, to: { on: 'subject' as const } }],
      },
    };
    const rack = found({ kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 }, 'focus.rack', {
      ...soft,
      lensId: 'lens-moss-85',
      focalLengthMm: 85,
      puller: 'hand',
    });
    expect(rack?.grade).toBe('calm');
  });
  it('frames are counted without a post too many, and the peaks of a ramp are its own', () => {
    const ramp = {
      reversed: false,
      ramp: [
        { atS: 2.013, speed: 1.5 },
        { atS: 4.027, speed: 0.25 },
      ],
    };
    const { shoot } = filmed(pan, { timing: { ...TIMING, durationS: 8 }, captureRateHz: 24, playback: ramp });
    const plan = timePlan(plannedFilm(sceneOf(shoot, shoot.shots[0])));
    expect(plan).toMatchObject({ recordedFrames: 192, slowest: 0.25, fastest: 1.5 });
  });
});

describe('near things that lurch', () => {
  it('a near layer that fills part of the frame is followed: the same move past a hedge starts harder than without', () => {
    const move: Move = {
      kind: 'slide',
      ...AROUND,
      heightM: 1,
      distanceM: 6,
      bearingDeg: 180,
      travelM: 1.5,
      skewDeg: 0,
    };
    const sharp = { timing: { ...TIMING, featherInS: 0.1, featherOutS: 0.1 } };
    const hedge: Piece = { ...newPiece('hedge', 'row', 'Row', 0, -5.2, 0), lengthM: 8, headingDeg: 90 };
    const open = found({ ...move, heightM: 1.6 } as Move, 'start', sharp, [plainPieces()[0]])?.value ?? NaN;
    const behind = found({ ...move, heightM: 1.1 } as Move, 'start', sharp, [plainPieces()[0], hedge])?.value ?? NaN;
    expect(behind).toBeGreaterThan(1.5 * open);
  });
});

describe('who is near whom', () => {
  const still: Move = { kind: 'still', ...AROUND, distanceM: 20, bearingDeg: 180 };
  const passing = (
    mps: number,
    asideM: number,
    kind: 'figure' | 'box' = 'figure',
  ): Piece[] & { walk: Shot['walks'][number] } => {
    const piece = { ...newPiece(kind, 'rider', 'Rider', 0, -20, 0), lengthM: 1, depthM: 1 } as Piece;
    const half = kind === 'figure' ? 0.5 : 0.5;
    const walk = drawnWalk('rider', [
      { tS: 0, xM: asideM + half, yM: -20 - 4 * mps, zM: 0 },
      { tS: 8, xM: asideM + half, yM: -20 + 4 * mps, zM: 0 },
    ]);
    return Object.assign([plainPieces()[0], piece], { walk });
  };
  const caution = (pieces: Piece[], walk: Shot['walks'][number] | null, more: Partial<Shot> = {}, move: Move = still) =>
    read(move, { walks: walk ? [walk] : [], rigId: 'rig-tripod', ...more }, pieces).cautions.find(
      ({ id }) => id === 'close.rider',
    );
  it.each(['figure', 'box'] as const)(
    'a %s at 15 m/s that passes a standing operator at 2.15 m gets the strongest caution there is, whatever the rig',
    (kind) => {
      const site = passing(15, 2.15, kind);
      for (const rigId of ['rig-tripod', 'rig-gimbal', 'rig-drone', 'rig-hand']) {
        const found15 = caution(site, site.walk, { rigId });
        expect(found15, rigId).toMatchObject({ strongest: true });
        expect(found15?.sentence).toMatch(/0\.1 s to step aside/);
        expect(found15?.sentence).toMatch(/decide\.$/);
      }
    },
  );
  it('at a walk far off there is none; at a walk close by the usual one', () => {
    const far = passing(1.3, 6);
    expect(caution(far, far.walk)).toBeUndefined();
    const close = passing(1.3, 0.7);
    expect(caution(close, close.walk)).toMatchObject({ strongest: false });
  });
  it('somebody who stands where a camera comes by fast is seen as well', () => {
    const standing: Piece[] = [plainPieces()[0], newPiece('figure', 'rider', 'Bystander', 2, -6, 0)];
    const rush: Move = { kind: 'push', ...AROUND, heightM: 1.6, fromDistanceM: 40, toDistanceM: 3, bearingDeg: 180 };
    expect(caution(standing, null, { rigId: 'rig-cart', timing: { ...TIMING, durationS: 7 } }, rush)).toMatchObject({
      strongest: true,
    });
  });
});
