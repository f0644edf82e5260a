import { describe, expect, it } from 'vitest';
import { type Finding, severity } from '../findings';
import { PLAIN_LOOK, DEFAULT_AIM, type Move, newPiece, type Piece, type Shoot, type Shot } from '../model';
import { curesFor } from '../search';
import { filmed, usual, wallBetween, WALK } from '../testing/filmed';
import { followed } from '../testing/followed';
import { AROUND, plainPieces } from '../testing/shoots';
import { readShot } from './read-shot';

const timing = (durationS: number, featherInS: number, featherOutS = featherInS) => ({
  timing: { durationS, holdStartS: 0.2, featherInS, featherOutS, holdEndS: 0.2, featherShape: 'minimumJerk' as const },
});
const DRONE = { rigId: 'rig-drone', stick: 'fast' as const };
const place = (u: number, v: number) => ({ aim: { ...DEFAULT_AIM, place: { u, v } } });
const facing = (headingDeg: number): Piece[] =>
  plainPieces().map((piece) => (piece.kind === 'figure' ? { ...piece, headingDeg } : piece));
const full = (kind: 'slide' | 'still'): Move =>
  kind === 'slide'
    ? { kind, ...AROUND, heightM: 0.85, distanceM: 5, bearingDeg: 180, travelM: 0.8, skewDeg: 0 }
    : { kind, ...AROUND, heightM: 0.85, distanceM: 5, bearingDeg: 180 };
const push = (fromDistanceM: number, toDistanceM: number): Move => ({
  kind: 'push',
  ...AROUND,
  fromDistanceM,
  toDistanceM,
  bearingDeg: 180,
});
const arc = (sweepDeg: number, radiusM = 5): Move => ({
  kind: 'arc',
  ...AROUND,
  radiusM,
  startBearingDeg: 180 - sweepDeg / 2,
  sweepDeg,
});
const wall: Piece = {
  ...newPiece('box', 'screen', 'Screen', 0, -2, 0),
  lengthM: 1.2,
  depthM: 0.2,
  heightM: 1.6,
  headingDeg: 90,
};

const leg = (move: Move, featherS: number): Shot['then'][number] => ({
  move,
  ...timing(4, featherS),
  backwards: false,
  goes: 'stays',
  look: PLAIN_LOOK,
  overlapS: 0,
});
const LAGS = { aim: { ...DEFAULT_AIM, mode: 'panTiltFollow' as const, smoothingS: 0.6, deadBandDeg: 6 } };
const alone = (): Piece[] => plainPieces().filter(({ kind }) => kind === 'figure');

type Case = [string, Move, Partial<Shot>?, Piece[]?, Partial<Shoot['delivery']>?];

/**
 * Every kind of finding on several moves; each must be found, and at least one change that was tried must take it away
 * or soften it.
 */
const PROVOKED: Case[] = [
  [
    'speed.near',
    { kind: 'slide', ...AROUND, heightM: 0.4, distanceM: 3, bearingDeg: 180, travelM: 3, skewDeg: 0 },
    timing(3, 0.8),
  ],
  ['speed.near', arc(120, 3), { ...timing(4, 1), ...DRONE }],
  ['speed.subject', { ...usual('pan'), fromDeg: -30, toDeg: 30 }, timing(2, 0.6)],
  ['speed.subject', { ...usual('tilt') }, timing(0.9, 0.3)],
  ['speed.far', arc(160), { ...timing(4, 1.2), ...DRONE }],
  ['speed.far', { ...usual('orbit') }, { ...timing(6, 1.2), ...DRONE }],
  ['blur.subject', { ...usual('pan'), fromDeg: -30, toDeg: 30 }, timing(2, 0.6)],
  ['blur.shutter', arc(80), { ...timing(6, 1.5), shutterDeg: 20 }],
  ['blur.shutter', { ...usual('pan'), fromDeg: -15, toDeg: 15 }, { ...timing(6, 1.5), shutterDeg: 30 }],
  [
    'parallax',
    { kind: 'slide', ...AROUND, heightM: 1.7, distanceM: 12, bearingDeg: 180, travelM: 0.5, skewDeg: 0 },
    timing(8, 2),
  ],
  ['parallax', push(12, 11.5), { ...timing(8, 2), lensId: 'lens-moss-85', focalLengthMm: 85 }],
  ['place', arc(90), { ...timing(5, 1), aim: { ...DEFAULT_AIM, mode: 'panFollow', smoothingS: 1.5, deadBandDeg: 3 } }],
  [
    'place',
    usual('alongside'),
    { ...timing(8, 1), walks: [WALK], aim: { ...DEFAULT_AIM, mode: 'panFollow', smoothingS: 1.2, deadBandDeg: 4 } },
  ],
  [
    'cutoff',
    { kind: 'slide', ...AROUND, distanceM: 4, bearingDeg: 180, travelM: 6, skewDeg: 0 },
    { ...timing(10, 2), aim: { ...DEFAULT_AIM, mode: 'locked' } },
  ],
  ['cutoff', push(5, 1.5), timing(9, 2)],
  [
    'opening.covered',
    { ...full('slide'), travelM: 0.3 } as Move,
    timing(8, 2),
    [...plainPieces(), { ...newPiece('post', 'pole', 'Pole', 0, -3.6, 0), lengthM: 0.34, depthM: 0.34 }],
  ],
  [
    'closing.covered',
    push(6, 4),
    timing(8, 2),
    [
      ...plainPieces().filter(({ kind }) => kind !== 'post'),
      { ...newPiece('post', 'pole', 'Pole', 0.02, -3.2, 0), lengthM: 0.22, depthM: 0.22 },
    ],
  ],
  ['closing.face', push(5, 1), timing(9, 2), alone()],
  [
    'opening.face',
    { ...usual('pull'), fromDistanceM: 1.5, toDistanceM: 5, bearingDeg: 180 } as Move,
    timing(9, 2),
    alone(),
  ],
  ['covered', { ...full('slide'), travelM: 0.3 } as Move, timing(8, 2), [...plainPieces(), wall]],
  ['covered', push(5, 4), timing(8, 2), [...plainPieces(), wall]],
  ['reveal', { ...usual('slideOutReveal'), bearingDeg: 180, travelM: 1.6 }, timing(8, 2), wallBetween()],
  ['reveal', { ...usual('riseOverReveal'), bearingDeg: 180 } as Move, timing(8, 3.6), wallBetween()],
  ['size', push(9, 2.6), { ...timing(2.6, 0.5), ...DRONE }],
  ['size', { ...usual('pull'), fromDistanceM: 2.5, toDistanceM: 9 } as Move, { ...timing(2.6, 0.5), ...DRONE }],
  ['start', push(5, 3), timing(5, 0, 2)],
  ['start', { ...usual('pan'), fromDeg: -12, toDeg: 12 }, timing(6, 0.1, 2)],
  ['stop', push(5, 3), timing(5, 2, 0)],
  ['stop', { ...usual('orbit'), sweepDeg: 120 } as Move, { ...timing(9, 2, 0.2), ...DRONE }],
  ['turn.even', { ...usual('orbit'), pivotEastM: 2.5 }, { ...timing(30, 4), ...DRONE }],
  ['turn.centre', { ...usual('lowOrbit'), pivotNorthM: -2.2 }, timing(20, 4)],
  ['turn.centre', { ...usual('orbit'), pivotNorthM: 2.5 }, { ...timing(30, 4), ...DRONE }],
  [
    'shake',
    push(6, 4),
    { ...timing(8, 2), rigId: 'rig-hand', gaitId: 'gait-walk', lensId: 'lens-moss-85', focalLengthMm: 85 },
  ],
  ['skew', { ...usual('pan'), fromDeg: -40, toDeg: 40 }, { ...timing(2, 0.5), cameraId: 'cam-wren' }],
  ['skew', arc(150), { ...timing(3, 0.8), ...DRONE, cameraId: 'cam-wren' }],
  ['headRoom', full('slide'), { ...timing(8, 2), ...place(0, 0.185) }],
  ['headRoom', { ...full('still'), distanceM: 2.1, heightM: 1.4 } as Move, { ...timing(8, 2), ...place(0, -0.5) }],
  ['lookRoom', full('slide'), { ...timing(8, 2), ...place(0.2, 0) }, facing(90)],
  ['lookRoom', push(5, 4), { ...timing(8, 2), ...place(-0.2, 0) }, facing(-90)],
  [
    'joints',
    { kind: 'still', ...AROUND, heightM: 0.285 * 1.7 + 0.868, distanceM: 3, bearingDeg: 180 },
    { ...timing(8, 2), ...place(0, (0.85 - 0.285 * 1.7 - 0.868) / 1.736) },
  ],
  ['alsoShape', full('slide'), { ...timing(8, 2), ...place(0.25, 0) }, plainPieces(), { alsoShape: 'upright' }],
  [
    'horizon',
    push(9, 3),
    { ...timing(8, 2), rigId: 'rig-hand', gaitId: 'gait-run', aim: { ...DEFAULT_AIM, mode: 'allFollow' } },
  ],
  [
    'horizon',
    arc(60),
    { ...timing(8, 2), rigId: 'rig-hand', gaitId: 'gait-run', aim: { ...DEFAULT_AIM, mode: 'allFollow' } },
  ],
  ['focus.sharp', push(6, 3), { ...timing(8, 2), fNumber: 2.8, focus: { mode: 'fixed', distanceM: 3 } }],
  [
    'focus.sharp',
    usual('follow'),
    { ...timing(8, 2), walks: [WALK], fNumber: 2.8, focus: { mode: 'fixed', distanceM: 9 } },
  ],
  [
    'focus.rack',
    { ...usual('rackFocus'), distanceM: 2, bearingDeg: 180, fromPieceId: 'post', toPieceId: 'back' },
    { ...timing(1.2, 0.2), puller: 'hand' },
  ],
  [
    'focus.rack',
    push(3, 2.4),
    {
      ...timing(8, 2),
      lensId: 'lens-moss-85',
      focalLengthMm: 85,
      puller: 'hand',
      focus: {
        mode: 'racks',
        from: { on: 'piece', pieceId: 'back', part: 'whole' },
        racks: [{ atS: 2, overS: 0.3, to: { on: 'subject' } }],
      },
    },
  ],
  ['focus.pull', push(4, 0.45), { ...timing(3, 0.6), lensId: 'lens-moss-35', focalLengthMm: 35 }],
  ['focus.pull', push(6, 1.4), { ...timing(3, 0.8), puller: 'hand', lensId: 'lens-moss-85', focalLengthMm: 85 }],
  [
    'zoom.rate',
    { ...usual('dollyZoom'), fromDistanceM: 4, toDistanceM: 7 },
    { ...timing(3, 0.7), lensId: 'lens-fern-2470' },
  ],
  [
    'zoom.range',
    { ...usual('dollyZoom'), fromDistanceM: 6, toDistanceM: 3, bearingDeg: 180 },
    { ...timing(8, 2), lensId: 'lens-fern-2470', focalLengthMm: 40 },
  ],
  [
    'zoom.background',
    { ...usual('dollyZoom'), fromDistanceM: 5, toDistanceM: 4.6 },
    { ...timing(8, 2), lensId: 'lens-fern-2470', focalLengthMm: 50 },
  ],
  [
    'zoom.rate',
    { ...usual('dollyZoom'), fromDistanceM: 7, toDistanceM: 4, bearingDeg: 180 },
    { ...timing(3, 0.7), lensId: 'lens-fern-2470', focalLengthMm: 50 },
  ],
  [
    'zoom.range',
    { ...usual('dollyZoom'), fromDistanceM: 2.5, toDistanceM: 9, bearingDeg: 180 },
    { ...timing(12, 3), lensId: 'lens-fern-2470', focalLengthMm: 50 },
  ],
  [
    'focus.rack',
    { ...usual('rackFocus'), distanceM: 1.2, bearingDeg: 180, fromPieceId: null, toPieceId: 'back' },
    { ...timing(0.9, 0.1), lensId: 'lens-moss-85', focalLengthMm: 85, puller: 'hand' },
  ],
  [
    'joints',
    { kind: 'slide', ...AROUND, heightM: 0.285 * 1.7 + 0.868, distanceM: 3, bearingDeg: 180, travelM: 0.3, skewDeg: 0 },
    { ...timing(8, 2), ...place(0, (0.85 - 0.285 * 1.7 - 0.868) / 1.736) },
  ],
  ['alsoShape', push(5, 4), { ...timing(8, 2), ...place(-0.25, 0) }, plainPieces(), { alsoShape: 'upright' }],
  ['alsoShape', arc(40, 4), { ...timing(8, 2), ...place(0.3, 0) }, plainPieces(), { alsoShape: 'square' }],
  ['even.picture', usual('driftingOrbit'), { ...timing(10, 1), ...LAGS }],
  ['even.picture', usual('arc'), { ...timing(10, 1), ...LAGS }],
  ['even.rig', usual('crane'), { timing: { ...timing(20, 0.3).timing, featherShape: 'constantAcceleration' } }],
  ['even.rig', usual('overtake'), { ...timing(10, 1), walks: [WALK] }],
  ['empty', { ...usual('pan'), fromDeg: 120, toDeg: 150 }, timing(6, 2), alone()],
  ['empty', { ...usual('tilt'), fromDeg: 60, toDeg: 85 }, timing(6, 2), alone()],
  ['join', push(6, 5), { ...timing(4, 1), then: [leg(arc(40), 0.1)] }],
  [
    'join',
    { ...full('slide'), distanceM: 3 } as Move,
    { ...timing(4, 1), then: [leg({ ...usual('pan'), fromDeg: 0, toDeg: 25 }, 0.1)] },
  ],
  [
    'zoom.background',
    { ...usual('dollyZoom'), fromDistanceM: 4, toDistanceM: 4.6 },
    { ...timing(8, 2), lensId: 'lens-fern-2470' },
  ],
];

function provoke([id, move, more = {}, pieces = plainPieces(), delivery = {}]: Case): {
  shoot: Shoot;
  found: Finding | undefined;
} {
  const { shoot: filmedShoot } = filmed(move, { gaitId: 'gait-stand', ...more }, false, pieces);
  const shoot = { ...filmedShoot, delivery: { ...filmedShoot.delivery, ...delivery } };
  return { shoot, found: readShot(shoot, shoot.shots[0]).findings.find((finding) => finding.id === id) };
}

/** Instructions that were followed by hand. */
const read: string[] = [];

describe('every kind of finding, on several moves', () => {
  it.each(PROVOKED.map((row, i) => [`${row[0]} in a ${row[1].kind} (${i})`, row] as const))(
    '%s is provoked and cured',
    (_, row) => {
      const { shoot, found } = provoke(row);
      if (!found) throw new Error(`${row[0]} is not found at all`);
      expect(severity(found), found.sentence).toBeGreaterThan(0);
      const cures = curesFor(shoot, shoot.shots[0], found);
      expect(cures.length, found.sentence).toBeGreaterThan(0);
      expect(cures.length).toBeLessThanOrEqual(3);
      const others = readShot(shoot, shoot.shots[0]).findings.filter(
        (row) => row.id !== found.id && severity(row) > 0 && row.limit > 0 && row.value > row.limit,
      );
      for (const cure of cures) {
        // No standing trouble gets worse unsaid.
        const after = readShot(
          cure.pieces ? { ...shoot, site: { ...shoot.site, pieces: cure.pieces } } : shoot,
          cure.shot,
        ).findings;
        for (const other of others) {
          const now = after.find(({ id, limit }) => id === other.id && limit === other.limit);
          if (!now || severity(now) < severity(other) || now.value < other.value * 1.05 || now.said === other.said)
            continue;
          expect(cure.costs.join('; '), `${cure.sentence} ${other.sentence}`).toContain(`${other.measure} gets worse`);
        }
      }
      for (const cure of cures) {
        // As a person follows it: the sentence is read and its number typed, as it is printed.
        const typed = followed(shoot, cure.shot, cure.instruction);
        if (!typed) continue;
        read.push(cure.instruction);
        const after = readShot(
          cure.pieces ? { ...shoot, site: { ...shoot.site, pieces: cure.pieces } } : shoot,
          typed,
        ).findings.find(({ id }) => id === found.id);
        expect(after ? severity(after) : 0, cure.sentence).toBeLessThan(severity(found));
        const promised = /: removes/.test(cure.sentence);
        if (promised) expect(after ? severity(after) : 0, cure.sentence).toBe(0);
      }
      expect(cures.map(({ weight }) => weight)).toEqual(cures.map(({ weight }) => weight).sort((a, b) => a - b));
    },
  );
  it('most instructions were followed by hand, of many kinds', () => {
    expect(read.length).toBeGreaterThan(60);
    expect(new Set(read.map((instruction) => instruction.replace(/[\d.−]+/g, '#'))).size).toBeGreaterThan(10);
  });
  it('none of them in a locked-off still of a still site', () => {
    for (const distanceM of [3, 5, 9, 20])
      for (const lens of [
        { lensId: 'lens-moss-35', focalLengthMm: 35 },
        { lensId: 'lens-fern-1635', focalLengthMm: 16 },
      ]) {
        const { shoot } = filmed(
          { kind: 'still', ...AROUND, heightM: 1.2, distanceM, bearingDeg: 180 },
          { ...lens, ...timing(6, 1) },
        );
        const troubles = readShot(shoot, shoot.shots[0]).findings.filter(
          (finding) =>
            severity(finding) > 0 &&
            finding.id !== 'cutoff' &&
            finding.id !== 'joints' &&
            finding.id !== 'headRoom' &&
            !finding.id.endsWith('.face'),
        );
        expect(
          troubles.map(({ sentence }) => sentence),
          `${distanceM} m`,
        ).toEqual([]);
      }
  });
});
