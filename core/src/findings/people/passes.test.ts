import { describe, expect, it } from 'vitest';
import { drawnWalk, newPiece, type Figure, type Move, type Piece, type PieceKind, type Shot } from '../../model';
import { readShot } from '../../reading';
import { filmed, usual } from '../../testing/filmed';
import { reader } from '../../testing/read';
import { plainPieces } from '../../testing/shoots';
import { standBackM } from './passes';

const TIMING: Shot['timing'] = {
  durationS: 8,
  holdStartS: 0,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0,
  featherShape: 'minimumJerk',
};
const { read, found } = reader(TIMING);
const ansa = plainPieces()[0];
const at = (kind: PieceKind, id: string, x: number, y: number, more: object = {}): Piece =>
  ({ ...newPiece(kind, id, id, x, y, 0), ...more }) as Piece;
/** Straight by, so far to the east of the middle of the site, at a speed, in the middle of the shot. */
const by = (pieceId: string, asideM: number, mps: number) =>
  drawnWalk(pieceId, [
    { tS: -6, xM: asideM, yM: -10 * mps, zM: 0 },
    { tS: 14, xM: asideM, yM: 10 * mps, zM: 0 },
  ]);
const still: Move = { ...usual('still'), distanceM: 9, bearingDeg: 270 } as Move;

describe('who passes whom', () => {
  it.each([
    ['walking', 'figure', 1.2, 0.6],
    ['running', 'figure', 5, 1.5],
    ['riding', 'bicycle', 6, 1.2],
    ['driving', 'lorry', 9, 2.5],
  ] as const)('%s past somebody who stands: how near, how fast, when', (_, kind, mps, asideM) => {
    const mover = at(kind, 'mover', 0, 0);
    const half = mover.depthM / 2;
    const { passes } = read(still, { walks: [by('mover', asideM + half + 0.25, mps)] }, [ansa, mover]);
    expect(passes).toHaveLength(1);
    const [pass] = passes;
    expect(pass).toMatchObject({ mover: 'mover', who: 'Ansa' });
    expect(pass.distanceM).toBeCloseTo(asideM, kind === 'figure' ? 1 : 2);
    expect(pass.passingMps).toBeCloseTo(mps, 1);
    expect(pass.screenS).toBeCloseTo(4, 0);
    expect(pass.toStepAsideS).toBeCloseTo(pass.distanceM / Math.max(pass.passingMps, pass.closingMps), 6);
  });
  it('somebody who rides is not passed by what they ride', () => {
    const bike = at('bicycle', 'bike', 0, 5);
    const rider = { ...at('figure', 'rider', 0, 5), on: 'bike' } as Figure;
    const { passes } = read(still, { walks: [by('bike', 3, 4)] }, [ansa, bike, rider]);
    expect(passes.map(({ whoId }) => whoId)).toEqual(['figure']);
  });
  it('two who walk towards each other are told once, with the speed of both', () => {
    const other = at('figure', 'other', 0, 20);
    const head = (id: string, x: number, sign: number) =>
      drawnWalk(id, [
        { tS: -2, xM: x, yM: sign * 9, zM: 0 },
        { tS: 10, xM: x, yM: -sign * 9, zM: 0 },
      ]);
    const { passes } = read(still, { walks: [head('figure', 0, 1), head('other', 1.2, -1)] }, [ansa, other]);
    expect(passes).toHaveLength(1);
    expect(passes[0].passingMps).toBeCloseTo(3, 1);
  });
  it('what goes fast near somebody is cautioned about strongest; a stroll is not', () => {
    const lorry = at('lorry', 'Lorry', 0, 0);
    const near = read(still, { walks: [by('Lorry', 3, 8)] }, [ansa, lorry]).cautions.filter(({ id }) =>
      id.startsWith('pass.'),
    );
    expect(near[0]).toMatchObject({ strongest: true });
    expect(near[0].sentence).toMatch(
      /Lorry passes within .* of Ansa at \d\.\d s, at up to 8 m\/s: 0\.\d s to step aside/,
    );
    const far = read(still, { walks: [by('Lorry', 11, 1)] }, [ansa, lorry]).cautions;
    expect(far.filter(({ id }) => id.startsWith('pass.'))).toEqual([]);
  });
});

describe('the ground that is swept', () => {
  it('is as wide as what goes there; people stand farther back from what is fast', () => {
    expect([1, 2, 6].map(standBackM)).toEqual([1, 2, 5]);
    const { sweeps } = read(still, { walks: [by('Lorry', 6, 8)] }, [ansa, at('lorry', 'Lorry', 0, 0)]);
    expect(sweeps).toHaveLength(1);
    expect(sweeps[0]).toMatchObject({ name: 'Lorry', halfM: 1.2, standBackM: 5 });
    expect(sweeps[0].fastestMps).toBeCloseTo(8, 1);
  });
  it('the operator who steps behind a passing rider is told how long after; before it comes, strongest', () => {
    // The camera slides across the way of the bicycle, four seconds into the shot or a little later.
    const bike = at('bicycle', 'Bike', 0, 0);
    const across = { ...usual('slide'), distanceM: 6, bearingDeg: 180, travelM: 6, skewDeg: 0 } as Move;
    const crossing = (shiftS: number) => {
      const walk = by('Bike', 0, 5);
      const shifted = { ...walk, points: walk.points.map((point) => ({ ...point, tS: point.tS + shiftS })) };
      const { shoot } = filmed(across, { timing: TIMING, walks: [shifted], rigId: 'rig-gimbal' }, false, [
        at('figure', 'figure', 12, 0),
        bike,
      ]);
      const shot = { ...shoot.shots[0], subjectId: null };
      return readShot({ ...shoot, shots: [shot] }, shot).cautions.find(({ id }) => id === 'cross.Bike');
    };
    const behind = crossing(-1.2);
    expect(behind).toMatchObject({ strongest: false });
    expect(behind?.sentence).toMatch(/steps into the way of Bike at \d\.\d s, \d\.\d s after it has passed/);
    const before = crossing(2.6);
    expect(before).toMatchObject({ strongest: true });
    expect(before?.sentence).toMatch(/is in the way of Bike at \d\.\d s, \d\.\d s before it comes at up to 5 m\/s/);
  });
});

describe('a subject that passes the lens', () => {
  const bike = at('bicycle', 'figure', 0, 0);
  /** Where it is before the lens four seconds into the shot. */
  const close = (mps: number) => ({ ...usual('still'), distanceM: 3, bearingDeg: 270, pivotNorthM: 4 * mps }) as Move;
  const subject = { subjectId: 'figure', walks: [by('figure', 0, 9)], rigId: 'rig-tripod' };
  it('autofocus loses it at 9 m/s, told from how far on, and a focus that is set beforehand does not', () => {
    const lost = found(
      { ...close(9), distanceM: 1 } as Move,
      'passing',
      { ...subject, puller: 'autofocus', focus: { mode: 'follow' } },
      [bike],
    );
    expect(lost?.grade).not.toBe('calm');
    expect(lost?.sentence).toMatch(
      /passes at 0\.7\d? m and 9 m\/s: .* autofocus keeps up to 1\.5 dioptres a second and loses it from \d\.\d+ m on\./,
    );
    const set = found(
      { ...close(9), distanceM: 1 } as Move,
      'passing',
      { ...subject, focus: { mode: 'fixed', distanceM: 3 } },
      [bike],
    );
    expect(set?.grade).toBe('calm');
    expect(set?.sentence).toMatch(/it is set beforehand\./);
  });
  it('smears by speed, open time and focal length over distance', () => {
    const seen = found(close(9), 'passing', { ...subject, focalLengthMm: 35, shutterDeg: 180 }, [bike]);
    const share = Number(/smears it over ([\d.]+)% of the width/.exec(seen?.sentence ?? '')?.[1]);
    expect(share / 100).toBeCloseTo((9 * (1 / 48) * 35) / (2.7 * 36), 2);
  });
  it('enters and leaves: when, and how much handle there is', () => {
    const crossing = found(close(3), 'handles', { ...subject, walks: [by('figure', 0, 3)] }, [bike]);
    expect(crossing?.sentence).toMatch(/enters at \d\.\d s and leaves at \d\.\d s: \d\.\d s before, \d\.\d s after/);
    const [, enter, leave] = /enters at (\d\.\d) s and leaves at (\d\.\d) s/.exec(crossing?.sentence ?? '') ?? [];
    // In the middle of the shot it is before the lens.
    expect((Number(enter) + Number(leave)) / 2).toBeCloseTo(4, 0);
  });
});

describe('what drives', () => {
  it('a lorry that turns tighter than lorries do is told', () => {
    const way = drawnWalk('Lorry', [
      { tS: 0, xM: 0, yM: 0, zM: 0 },
      { tS: 3, xM: 0, yM: 6, zM: 0 },
      { tS: 6, xM: 6, yM: 6, zM: 0 },
    ]);
    const tight = found(still, 'way.turn', { walks: [way] }, [ansa, at('lorry', 'Lorry', 0, 0)]);
    expect(tight).toMatchObject({ grade: 'cannot' });
    expect(tight?.sentence).toBe('Lorry turns on 3 m; such a thing needs about 9 m.');
    expect(
      found(still, 'way.turn', { walks: [by('Lorry', 3, 4)] }, [ansa, at('lorry', 'Lorry', 0, 0)]),
    ).toBeUndefined();
  });
  it('a carried camera wants a mount, and a mount a carried camera', () => {
    const carried = { ...usual('carried') } as Move;
    expect(found(carried, 'rig.carried', { rigId: 'rig-tripod' })?.grade).toBe('cannot');
    expect(found(carried, 'rig.carried', { rigId: 'rig-mount' })).toBeUndefined();
    expect(found(usual('slide'), 'rig.carried', { rigId: 'rig-mount' })?.grade).toBe('cannot');
    const { cautions, findings } = read(carried, {
      rigId: 'rig-mount',
      gaitId: 'gait-walk',
      walks: [by('figure', 0, 1.4)],
    });
    expect(cautions.map(({ id }) => id)).toContain('mount');
    expect(cautions.some(({ id }) => id === 'close.figure')).toBe(false);
    expect(findings.some(({ id }) => id === 'rig.subject')).toBe(false);
    expect(findings.find(({ id }) => id === 'cutoff')?.sentence).toMatch(/carries the camera/);
  });
});
