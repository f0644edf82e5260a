import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Vector3 } from 'three';
import { drawnWalk, newPiece, type Figure, type Move, type MoveKind, type Piece } from '../model';
import { project, CAMERA_SIZE } from '../optics';
import { turnedInto, type Stance } from '../scene';
import { num } from '../testing/any-move';
import { filmed, usual, WALK } from '../testing/filmed';
import { plainPieces } from '../testing/shoots';
import { threeCameraAt } from '../testing/three-camera';

const GOES = { goes: 'goes' as const };

describe('a move that goes with its subject', () => {
  it.each(['arc', 'orbit', 'lowOrbit'] as const)('%s keeps its radius to the walker at every sample', (kind) => {
    const film = filmed(usual(kind), GOES, true);
    const { radiusM } = film.motion.legs[0].move as Extract<Move, { kind: 'arc' }>;
    expect(film.rows((row) => Math.abs(film.toSubjectM(row) - radiusM) < 1e-9)).toBe(true);
    expect(film.rows((row) => Math.abs(film.subject.u[row]) < 1e-6)).toBe(true);
  });
  it('a spiral over a runner ends above the runner, and holds there', () => {
    const run = drawnWalk('figure', [
      { tS: -1, xM: 0, yM: 0, zM: 0 },
      { tS: 12, xM: 40, yM: 12, zM: 0 },
    ]);
    const move = { ...usual('spiralOverhead'), toRadiusM: 0.1 } as Move;
    const film = filmed(move, { ...GOES, walks: [run] });
    for (const row of [film.last - 10, film.last]) expect(film.toSubjectM(row)).toBeCloseTo(0.1, 6);
  });
  it('a push keeps coming although she walks', () => {
    const film = filmed(usual('push'), GOES, true);
    const { fromDistanceM, toDistanceM } = usual('push');
    expect(film.toSubjectM(0)).toBeCloseTo(fromDistanceM, 6);
    expect(film.toSubjectM(film.last)).toBeCloseTo(toDistanceM, 6);
    for (let row = 1; row < film.samples.count; row += 1)
      expect(film.toSubjectM(row)).toBeLessThanOrEqual(film.toSubjectM(row - 1) + 1e-9);
  });
  it('one that stays is as it was before moves could go along', () => {
    const film = filmed(usual('arc'), { goes: 'stays' }, true);
    const { radiusM } = usual('arc');
    expect(film.rows((row) => Math.abs(film.toPivotM(row) - radiusM) < 1e-9)).toBe(true);
  });
  it('turning as it turns, it keeps its side of the walker', () => {
    const film = filmed({ ...usual('rise') } as Move, { goes: 'turns' }, true);
    const [first, last] = [film.beside(0), film.beside(film.last)];
    expect(last.alongM).toBeCloseTo(first.alongM, 6);
    expect(last.sideM).toBeCloseTo(first.sideM, 6);
  });
  it('a jump of the subject does not lift the camera', () => {
    const walk = { ...WALK, jumps: [{ atS: 2, heightM: 1 }] };
    const film = filmed(usual('arc'), { ...GOES, walks: [walk] });
    expect(film.rows((row) => Math.abs(film.samples.zM[row] - film.samples.zM[0]) < 1e-9)).toBe(true);
  });
});

describe('a camera that its subject carries', () => {
  const bike = { ...newPiece('bicycle', 'figure', 'Bike', 0, 0, 0), headingDeg: 0 } as Piece;
  const way = drawnWalk('figure', [
    { tS: -2, xM: -14, yM: 0, zM: 0 },
    { tS: 2, xM: 6, yM: 2, zM: 0.6 },
    { tS: 6, xM: 12, yM: 20, zM: 1.4 },
    { tS: 9, xM: 4, yM: 30, zM: 0 },
  ]);
  it('what it is fixed to has no speed on screen: on a bicycle that leans, turns and climbs', () => {
    fc.assert(
      fc.property(
        num(-0.4, 0.6),
        num(-0.3, 0.3),
        num(0.6, 1.4),
        num(-120, 120),
        num(-50, 40),
        (along, side, up, pan, tilt) => {
          const move: Move = {
            ...usual('carried'),
            heightM: up,
            alongM: along,
            sideM: side,
            panDeg: pan,
            tiltDeg: tilt,
          };
          const film = filmed(move, { subjectId: 'figure', walks: [way] }, false, [bike]);
          const thing = film.scene.things[0];
          const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
          const [base, off] = [new Float64Array(3), new Float64Array(3)];
          const seen = (row: number, local: readonly number[]) => {
            thing.at(film.samples.tS[row], base);
            thing.stanceAt(film.samples.tS[row], stance);
            turnedInto(stance, local[0], local[1], local[2], off);
            const at = { u: 0, w: 0, depthM: 0 };
            project(film.samples.cameras, row * CAMERA_SIZE, base[0] + off[0], base[1] + off[1], base[2] + off[2], at);
            return at;
          };
          for (const local of [
            [0, 1.2, 1],
            [0.4, 0.5, 0.4],
            [-0.3, -0.7, 1.3],
          ]) {
            const first = seen(0, local);
            for (let row = 0; row < film.samples.count; row += 9) {
              const now = seen(row, local);
              expect(now.depthM).toBeCloseTo(first.depthM, 8);
              if (Math.abs(first.depthM) < 0.05) continue;
              expect(now.u).toBeCloseTo(first.u, 7);
              expect(now.w).toBeCloseTo(first.w, 7);
            }
          }
        },
      ),
      { numRuns: 30 },
    );
  });
  it('leans and climbs: the horizon rolls with the bicycle', () => {
    const film = filmed(usual('carried'), { subjectId: 'figure', walks: [way] }, false, [bike]);
    const roll = film.samples.rollDeg;
    expect(Math.max(...roll.map(Math.abs))).toBeGreaterThan(5);
    expect(Math.max(...film.samples.tiltDeg.map(Math.abs))).toBeGreaterThan(0.5);
  });
});

describe('the place in the frame, and the roll', () => {
  it('comes from a third to the middle with the feathers of the move, by three.js', () => {
    const toPlace = { u: 0, v: 0 };
    const film = filmed(usual('push'), {
      aim: { mode: 'subject', place: { u: -1 / 6, v: 0.1 }, smoothingS: 0, deadBandDeg: 0, rateMaxDegps: 1000 },
      look: { mode: null, toPlace, fromRollDeg: 0, toRollDeg: 0 },
    });
    const seen = (row: number) => {
      const at = new Vector3(0, 0.85, 0).project(threeCameraAt(film.samples, row));
      return { u: at.x / 2, v: at.y / 2 };
    };
    expect(seen(0).u).toBeCloseTo(-1 / 6, 9);
    expect(seen(0).v).toBeCloseTo(0.1, 9);
    expect(seen(film.last).u).toBeCloseTo(0, 9);
    const { pace } = film.motion.legs[0];
    const middle = Math.round(film.last / 2);
    expect(seen(middle).u).toBeCloseTo((-1 / 6) * (1 - pace.at(film.samples.tS[middle])), 9);
  });
  it.each(['dollyZoom', 'slide', 'arc', 'follow'] as const)(
    '%s can roll as well, and keeps the subject at its place',
    (kind) => {
      const film = filmed(
        usual(kind),
        {
          aim: { mode: 'subject', place: { u: 0.2, v: -0.1 }, smoothingS: 0, deadBandDeg: 0, rateMaxDegps: 1000 },
          look: { mode: null, toPlace: null, fromRollDeg: -20, toRollDeg: 15 },
        },
        true,
      );
      expect(film.samples.rollDeg[0]).toBeCloseTo(-20, 9);
      expect(film.samples.rollDeg[film.last]).toBeCloseTo(15, 9);
      expect(film.rows((row) => Math.abs(film.subject.u[row] - 0.2) < 1e-6)).toBe(true);
      expect(film.rows((row) => Math.abs(film.subject.v[row] + 0.1) < 1e-6)).toBe(true);
    },
  );
  it('a dolly zoom that leans keeps its held size', () => {
    const film = filmed(usual('dollyZoom'), { look: { mode: null, toPlace: null, fromRollDeg: 0, toRollDeg: 25 } });
    expect(film.rows((row) => Math.abs(film.subject.height[row] / film.subject.height[0] - 1) < 1e-6)).toBe(true);
  });
  it('the aim may change from move to move', () => {
    const { shoot } = filmed(usual('slide'));
    const [shot] = shoot.shots;
    const leg = { ...shot, overlapS: 0, move: usual('push') };
    const { move, timing, backwards, goes, overlapS } = leg;
    const film = filmed(usual('slide'), {
      aim: { ...shot.aim, mode: 'subject' },
      then: [{ move, timing, backwards, goes, overlapS, look: { ...shot.look, mode: 'locked' } }],
    });
    const { fromS, lookFromS } = film.motion.legs[1];
    const pan = (tS: number) => film.samples.panDeg[Math.round(tS * film.samples.captureRateHz)];
    expect(pan(fromS - 2)).not.toBeCloseTo(pan(1), 1);
    expect(pan(lookFromS + 0.5)).toBeCloseTo(pan(lookFromS + 3), 9);
  });
});

describe('nothing is not a number', () => {
  const figure = plainPieces()[0] as Figure;
  const KINDS: MoveKind[] = [
    'push',
    'arc',
    'spiralOverhead',
    'follow',
    'carried',
    'dollyZoom',
    'overheadSpin',
    'tilt',
    'jib',
  ];
  it.each(KINDS)('%s, for a subject that stands, walks, jumps, rides or lies, in every mode', (kind) => {
    for (const pose of ['stand', 'sit', 'crouch', 'lie', 'ride'] as const)
      for (const mode of ['subject', 'locked', 'panFollow', 'panTiltFollow', 'allFollow'] as const)
        for (const part of ['whole', 'face', 'hands', 'feet'])
          for (const walks of [[], [{ ...WALK, jumps: [{ atS: 3, heightM: 1.5 }] }]]) {
            const film = filmed(
              usual(kind),
              {
                walks,
                subjectPart: part,
                goes: 'turns',
                captureRateHz: 4,
                frameRateHz: 4,
                aim: { mode, place: { u: 0.1, v: 0 }, smoothingS: 0.2, deadBandDeg: 1, rateMaxDegps: 90 },
                look: { mode: null, toPlace: { u: -0.1, v: 0.1 }, fromRollDeg: 5, toRollDeg: -5 },
              },
              false,
              [{ ...figure, pose }],
            );
            const { samples } = film;
            for (const column of [
              samples.xM,
              samples.zM,
              samples.panDeg,
              samples.tiltDeg,
              samples.rollDeg,
              samples.focalLengthMm,
            ])
              expect(column.every(Number.isFinite)).toBe(true);
          }
  });
});
