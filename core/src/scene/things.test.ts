import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawnWalk, newPiece, type Figure, type Piece, type Walk, type WalkPoint } from '../model';
import { num } from '../testing/any-move';
import { plainPieces, plainShoot } from '../testing/shoots';
import { airtimeS, sceneOf, stepLengthM, type Stance } from '.';

const still = (): Stance => ({ headingDeg: 0, leanDeg: 0, pitchDeg: 0 });
const thingOf = (pieces: Piece[], walks: Walk[], id: string) => {
  const shoot = plainShoot((shot) => ({ ...shot, walks }), [...plainPieces(), ...pieces]);
  const scene = sceneOf(shoot, shoot.shots[0]);
  const thing = scene.things.find(({ piece }) => piece.id === id);
  if (!thing) throw new Error(id);
  const at = (tS: number) => {
    const out = new Float64Array(3);
    thing.at(tS, out);
    return [...out];
  };
  const stance = (tS: number) => {
    const out = still();
    thing.stanceAt(tS, out);
    return out;
  };
  return { thing, at, stance, scene };
};
const points = (...rows: [number, number, number, number?][]): WalkPoint[] =>
  rows.map(([tS, xM, yM, zM = 0]) => ({ tS, xM, yM, zM }));

describe('a jump', () => {
  it('of 1.5 m is 1.106 s in the air (t = 2 √(2h/g)) and 1.5 m high at its middle', () => {
    expect(airtimeS(1.5)).toBeCloseTo(1.106, 3);
    const walk = { ...drawnWalk('figure', points([0, 0, 0], [6, 6, 0])), jumps: [{ atS: 2, heightM: 1.5 }] };
    const { at } = thingOf([], [walk], 'figure');
    expect(at(2)[2]).toBeCloseTo(0, 9);
    expect(at(2 + airtimeS(1.5) / 2)[2]).toBeCloseTo(1.5, 9);
    expect(at(2 + airtimeS(1.5))[2]).toBeCloseTo(0, 9);
    // Going on meanwhile, at the same pace.
    expect(at(3)[0] - at(2.5)[0]).toBeCloseTo(0.5, 9);
  });
  it('falls at 9.81 m/s² all the while', () => {
    const walk = { ...drawnWalk('figure', points([0, 0, 0])), jumps: [{ atS: 1, heightM: 0.8 }] };
    const { at } = thingOf([], [walk], 'figure');
    for (let tS = 1.1; tS < 1.7; tS += 0.1)
      expect((at(tS + 0.01)[2] - 2 * at(tS)[2] + at(tS - 0.01)[2]) / 1e-4).toBeCloseTo(-9.80665, 4);
  });
});

describe('something that drives', () => {
  const round = (radiusM: number, mps: number, steps = 72) =>
    Array.from({ length: 3 * steps + 1 }, (_, k): [number, number, number] => {
      const angle = (k / steps) * 2 * Math.PI;
      return [(k * 2 * Math.PI * radiusM) / steps / mps, radiusM * Math.sin(angle), radiusM * Math.cos(angle)];
    });
  it('leans by atan(v²/(g r)) to the inside: 8 m/s on 20 m is 18.07°', () => {
    const bike = newPiece('bicycle', 'bike', 'Bike', 0, 20, 0);
    const { stance } = thingOf([bike], [drawnWalk('bike', points(...round(20, 8)))], 'bike');
    const leans = Array.from({ length: 200 }, (_, k) => stance(10 + k * 0.05).leanDeg);
    expect(leans.reduce((sum, deg) => sum + deg, 0) / leans.length).toBeCloseTo(18.07, 0);
    expect(Math.min(...leans)).toBeGreaterThan(0);
  });
  it('a car does not lean', () => {
    const car = newPiece('car', 'car', 'Car', 0, 20, 0);
    const { stance } = thingOf([car], [drawnWalk('car', points(...round(20, 8)))], 'car');
    expect(stance(12).leanDeg).toBe(0);
  });
  it('rounds a corner on its radius, no tighter, and brakes no harder than it can', () => {
    fc.assert(
      fc.property(num(4, 30), num(4, 30), num(-150, 150), num(1, 12), (a, b, turnDeg, mps) => {
        const turn = (turnDeg * Math.PI) / 180;
        const [x, y] = [b * Math.sin(turn), a + b * Math.cos(turn)];
        const way = points([0, 0, 0], [a / mps, 0, a], [(a + b) / mps, x, y]);
        const car = newPiece('car', 'car', 'Car', 0, 0, 0);
        const { at, thing } = thingOf([car], [drawnWalk('car', way)], 'car');
        const step = 0.02;
        let [before, hardest] = [NaN, 0];
        for (let tS = -4; tS < (a + b) / mps + 4; tS += step) {
          const [p, q] = [at(tS), at(tS + step)];
          const speed = Math.hypot(q[0] - p[0], q[1] - p[1]) / step;
          if (!Number.isNaN(before)) hardest = Math.max(hardest, Math.abs(speed - before) / step);
          before = speed;
        }
        expect(hardest).toBeLessThan(3.5 * 1.12);
        const tan = Math.tan(Math.abs(turn) / 2);
        fc.pre(Math.abs(turnDeg) > 0.1 || turnDeg === 0);
        expect(thing.turn?.tightestM ?? 0).toBeCloseTo(
          turnDeg === 0 ? Infinity : Math.min(Math.max(5.5, (mps * mps) / 2.5), Math.min(a, b) / 2 / tan),
          4,
        );
      }),
      { numRuns: 40 },
    );
  });
  it('turns its wheels by its way over their circumference', () => {
    const lorry = newPiece('lorry', 'lorry', 'Lorry', 0, 0, 0);
    const { thing, at } = thingOf([lorry], [drawnWalk('lorry', points([0, 0, 0], [10, 0, 30]))], 'lorry');
    const [from, to] = [thing.goingAt?.(3).turned ?? 0, thing.goingAt?.(7).turned ?? 0];
    expect(to - from).toBeCloseTo((at(7)[1] - at(3)[1]) / (2 * Math.PI * 0.17 * 2.9), 6);
  });
});

describe('steps', () => {
  it('fit the speed: 1.4 m/s is about 0.73 m a step, 1.9 steps a second (gait literature, from memory)', () => {
    expect(stepLengthM(1.4, 1.7)).toBeCloseTo(0.73, 1);
    expect(1.4 / stepLengthM(1.4, 1.7)).toBeGreaterThan(1.8);
    expect(1.4 / stepLengthM(1.4, 1.7)).toBeLessThan(2.05);
  });
  it('carry who walks as far as the way is', () => {
    const { thing, at } = thingOf([], [drawnWalk('figure', points([0, 0, 0], [10, 13, 0]))], 'figure');
    const [from, to] = [at(3)[0], at(7)[0]];
    const turns = Array.from({ length: 401 }, (_, k) => thing.goingAt?.(3 + k / 100).step.through ?? 0).reduce(
      (sum, through, i, all) => (i === 0 ? 0 : sum + ((through - all[i - 1] + 1) % 1)),
      0,
    );
    expect(turns * 2 * stepLengthM(1.3, 1.7)).toBeCloseTo(to - from, 1);
  });
});

describe('over steps and slopes', () => {
  it('feet and wheels stand on the ground under them, softened over a step', () => {
    const slab: Piece = {
      ...newPiece('slab', 'slab', 'Slab', 0, 8, 0),
      lengthM: 8,
      depthM: 8,
      heightM: 0.4,
      headingDeg: 0,
    };
    const walk: Walk = { ...drawnWalk('figure', points([0, 0, 0], [10, 0, 10])), footing: 'ground' };
    const { at } = thingOf([slab], [walk], 'figure');
    expect(at(2)[2]).toBe(0);
    expect(at(8)[2]).toBeCloseTo(0.4, 9);
    for (let tS = 3; tS < 6; tS += 0.02) expect(Math.abs(at(tS + 0.02)[2] - at(tS)[2])).toBeLessThan(0.1);
  });
  it('heights that are drawn stay as they are drawn', () => {
    const { at } = thingOf([], [drawnWalk('figure', points([0, 0, 0, 0.3], [10, 10, 0, 1.3]))], 'figure');
    expect(at(5)[2]).toBeCloseTo(0.8, 9);
  });
});

describe('what stands on something', () => {
  it('goes, turns and leans as that does: a rider keeps the saddle', () => {
    const bike = { ...newPiece('bicycle', 'bike', 'Bike', 0, 0, 0), headingDeg: 0 } as Piece;
    const rider = { ...newPiece('figure', 'rider', 'Rider', 0, -0.26, 0.33), headingDeg: 0, on: 'bike' } as Figure;
    const walks = [drawnWalk('bike', points([0, 0, 0], [4, 0, 20], [8, 20, 20]))];
    const { at, stance } = thingOf([bike, rider], walks, 'rider');
    const carrier = thingOf([bike, rider], walks, 'bike');
    for (let tS = 0; tS < 8; tS += 0.25) {
      expect(stance(tS)).toEqual(carrier.stance(tS));
      const [a, b] = [at(tS), carrier.at(tS)];
      expect(Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])).toBeCloseTo(Math.hypot(0.26, 0.33), 9);
    }
  });
  it('on a turntable it turns by so many degrees a second', () => {
    const plate = { ...newPiece('turntable', 'plate', 'Plate', 2, 2, 0), headingDeg: 0, turnDegps: 30 } as Piece;
    const tin = { ...newPiece('tin', 'tin', 'Tin', 2.1, 2, 0.06), headingDeg: 0, on: 'plate' } as Piece;
    const { at, stance } = thingOf([plate, tin], [], 'tin');
    expect(stance(3).headingDeg).toBeCloseTo(90, 9);
    const [x, y] = at(3);
    expect(x).toBeCloseTo(2, 9);
    expect(y).toBeCloseTo(1.9, 9);
  });
});
