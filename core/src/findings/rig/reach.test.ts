import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Move, newPiece, type Piece, type Shot } from '../../model';
import { readShot } from '../../reading';
import { curesFor } from '../../search';
import { filmed, usual } from '../../testing/filmed';
import { num } from '../../testing/any-move';
import { AROUND, plainPieces } from '../../testing/shoots';
import { ballAbout, ringMisfit, sphereMisfit, type Point } from './best-fit';
import { vehicleCouldGo } from './vehicle-way';

const TIMING = {
  durationS: 20,
  holdStartS: 0,
  featherInS: 4,
  featherOutS: 4,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
function reach(move: Move, rigId: string, more: Partial<Shot> = {}, pieces: Piece[] = plainPieces()) {
  const { shoot } = filmed(move, { timing: TIMING, rigId, ...more }, false, pieces);
  return readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'rig.reach');
}
const slide = (travelM: number, heightM = 1.3): Move => ({ ...usual('slide'), travelM, heightM });
const push = (fromDistanceM: number, toDistanceM: number): Move => ({
  kind: 'push',
  ...AROUND,
  fromDistanceM,
  toDistanceM,
  bearingDeg: 180,
});

describe('shapes that fit a path best', () => {
  const onSphere =
    (r: number, [cx, cy, cz]: Point) =>
    (turn: number, rise: number): Point => [
      cx + r * Math.cos(turn) * Math.cos(rise),
      cy + r * Math.sin(turn) * Math.cos(rise),
      cz + r * Math.sin(rise),
    ];
  it('a path on a sphere is found to be on it, wherever it stands', () => {
    fc.assert(
      fc.property(num(0.5, 4), num(-5, 5), num(0.3, 2.5), num(0.2, 1.5), num(-0.6, 0.6), (r, c, z, sweep, rise) => {
        const at = onSphere(r, [c, -c, z]);
        const path = Array.from({ length: 30 }, (_, i) => at((i / 29) * sweep, rise * Math.sin((i / 29) * 3)));
        expect(sphereMisfit(path, r, 0, 10).value).toBeLessThan(0.004 * r);
      }),
      { numRuns: 60 },
    );
  });
  // A line of length 2 with its middle at d from the centre lies between d and √(d² + 1): off a radius r by least
  // 1/(4r), at d = r − 1/(4r).
  it('a straight line lies off an arm as geometry says', () => {
    const line = Array.from({ length: 41 }, (_, i): Point => [(i / 40) * 2, 0, 1]);
    expect(sphereMisfit(line, 2.2, 0, 5).value).toBeCloseTo(1 / (4 * 2.2), 3);
    expect(ringMisfit(line, 2.2, 'level').value).toBeCloseTo(1 / (4 * 2.2), 3);
  });
  it('a level ring is not an upright one', () => {
    const ring = Array.from({ length: 40 }, (_, i): Point => [Math.cos(i / 10), Math.sin(i / 10), 1]);
    expect(ringMisfit(ring, 1, 'level').value).toBeLessThan(1e-3);
    expect(ringMisfit(ring, 1, 'upright').value).toBeGreaterThan(0.3);
    expect(
      ballAbout(Array.from({ length: 63 }, (_, i): Point => [Math.cos(i / 10), Math.sin(i / 10), 1])).value,
    ).toBeCloseTo(1, 2);
  });
});

describe('every rig has an envelope, tested on every move', () => {
  it.each<[string, Move, string]>([
    ['a table-top arm of 0.6 m, a straight pull of 3 m', push(2, 5), 'rig-table-arm'],
    ['a table-top arm, half a metre forward', push(3.5, 3), 'rig-table-arm'],
    ['a jib of 2.2 m, a push of 4 m', push(7, 3), 'rig-jib'],
    ['a hinged pole of 1 m, a slide of 3.5 m', slide(3.5), 'rig-roll-lever'],
    ['planted feet, 2 m', slide(2), 'rig-hand'],
    ['planted feet with a gimbal, 2 m', slide(2), 'rig-gimbal'],
    ['a shoulder with planted feet, 2 m', slide(2), 'rig-shoulder'],
    ['a rope of 5 m, up', { ...usual('rise'), toHeightM: 2.6 }, 'rig-rope'],
    ['a board, up', { ...usual('rise'), toHeightM: 1.9 }, 'rig-board'],
    ['a cart, down', { ...usual('drop') }, 'rig-cart'],
    ['a rail, an arc', { ...usual('arc') }, 'rig-slider-240'],
  ])('%s: cannot', (_, move, rigId) => {
    const found = reach(move, rigId, {
      gaitId:
        rigId === 'rig-gimbal' || rigId === 'rig-hand' || rigId === 'rig-shoulder' ? 'gait-planted' : 'gait-stand',
    });
    expect(found).toMatchObject({ grade: 'cannot' });
    expect(found?.sentence).toMatch(/\d/);
  });
  it.each<[string, Move, string, string?]>([
    ['a slide of 1 m with planted feet', slide(1), 'rig-hand', 'gait-planted'],
    ['a slide of 6 m walked', slide(6), 'rig-hand', 'gait-walk'],
    ['a jib on its own arm', usual('jib'), 'rig-jib'],
    ['a table-top arm on its own ring', { ...usual('tableTopArm'), radiusM: 0.6 }, 'rig-table-arm'],
    ['a board on the level', slide(5), 'rig-board', 'gait-board'],
    ['a rail, a slide', slide(1), 'rig-slider-120'],
    ['a drone anywhere', usual('helix'), 'rig-drone'],
    ['a still on a jib', usual('still'), 'rig-jib'],
  ])('%s: no word', (_, move, rigId, gaitId = 'gait-stand') => {
    expect(reach(move, rigId, { gaitId })).toBeUndefined();
  });
  it('says by how much and where: a bend is told at the point that is off most', () => {
    const found = reach({ ...usual('arc'), radiusM: 4, sweepDeg: 30 } as Move, 'rig-slider-240');
    // Sagitta of an arc of 30° with 4 m.
    expect(found?.value).toBeCloseTo(4 * (1 - Math.cos((15 * Math.PI) / 180)), 2);
    expect(found?.screenS).toBeGreaterThan(8);
    expect(found?.screenS).toBeLessThan(12);
  });
});

describe('cures do not offer what cannot reach', () => {
  const offered = (move: Move, more: Partial<Shot>, id: string) => {
    const { shoot } = filmed(move, { timing: TIMING, ...more });
    const [shot] = shoot.shots;
    const finding = readShot(shoot, shot).findings.find((row) => row.id === id);
    return finding ? curesFor(shoot, shot, finding) : [];
  };
  it('no hinged pole for an arc of 11 m, no table-top arm for a slide of 4 m', () => {
    const arc: Move = { ...usual('arc'), radiusM: 7, sweepDeg: 90 } as Move;
    for (const cure of [
      ...offered(arc, { rigId: 'rig-slider-120' }, 'rig.travel'),
      ...offered(slide(4), { rigId: 'rig-slider-120' }, 'rig.travel'),
    ]) {
      expect(cure.instruction).not.toMatch(/Hinged|Table-top|jib/);
    }
  });
  it('planted feet are told to walk, and then it reaches', () => {
    const cures = offered(slide(3), { rigId: 'rig-gimbal', gaitId: 'gait-planted' }, 'rig.reach');
    expect(cures.map(({ instruction }) => instruction)).toContain('Go with bent knees, heel to toe');
    const { shoot } = filmed(slide(3), { timing: TIMING });
    for (const { shot } of cures)
      expect(readShot(shoot, shot).findings.find(({ id }) => id === 'rig.reach')?.grade ?? 'fits').toBe('fits');
  });
});

describe('where a vehicle could go', () => {
  const could = (move: Move, pieces: Piece[] = [plainPieces()[0]]) =>
    vehicleCouldGo(filmed(move, { timing: TIMING, rigId: 'rig-gimbal', gaitId: 'gait-knees' }, false, pieces).scene);
  it('along open ground, not in a tight turn, up, through a hedge, over a step or for a metre', () => {
    const along: Move = { kind: 'slide', ...AROUND, distanceM: 6, bearingDeg: 180, travelM: 8, skewDeg: 0 };
    expect(could(along)).toBe(true);
    expect(could({ ...along, travelM: 1 })).toBe(false);
    expect(could({ ...usual('arc'), radiusM: 2.5, sweepDeg: 120 } as Move)).toBe(false);
    expect(could({ ...usual('rise'), toHeightM: 2 })).toBe(false);
    expect(
      could(along, [plainPieces()[0], { ...newPiece('hedge', 'row', 'Row', 1, -6, 0), lengthM: 2, headingDeg: 0 }]),
    ).toBe(false);
    expect(
      could(along, [
        plainPieces()[0],
        { ...newPiece('slab', 's', 'Slab', 3, -6, 0), lengthM: 6, depthM: 4, heightM: 0.2, headingDeg: 0 },
      ]),
    ).toBe(false);
  });
});
