import { describe, expect, it } from 'vitest';
import { type Move, newPiece, type Shoot, type Shot } from '../model';
import { ANSA, shotOf, shootOf, meeting, finding } from '../testing/joined';
import { joinCures, joinsOf } from '.';

/** One that ends looking up, where the next begins looking down. */
const tiltedPair = [
  shotOf('a', { kind: 'tilt', fromDeg: -85, toDeg: 20 } as Move, { subjectId: null, ...meeting('ground') }),
  shotOf('b', { kind: 'tilt', fromDeg: -85, toDeg: -80 } as Move, { subjectId: null }),
].map((shot) => ({ ...shot, timing: { ...shot.timing, durationS: 5 } }));

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
  it('say the moment that they cut at, as it is set', () => {
    const shoot = shootOf([tiltedPair[0], tiltedPair[1]], []);
    const said = joinCures(shoot, 0).filter(({ instruction }) => instruction.startsWith('Cut'));
    expect(said.length).toBeGreaterThan(0);
    for (const { instruction, shots } of said)
      for (const { id, cut } of shots) {
        const moment = id === 'a' ? cut?.outS : cut?.inS;
        expect(instruction).toContain(`at ${moment} s`);
      }
  });
});
