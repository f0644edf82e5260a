import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { toTheOtherSide } from '../edit';
import { severity } from '../findings';
import { JOIN_KINDS, type JoinKind, legsOf, type Shoot, type Shot, withLeg } from '../model';
import { type JoinReading, joinCures, joinsOf, speedOf, tell, edgeOf } from '.';

/** Verdicts hold at every frame rate, mirrored, reversed and slowed down; what is advised does what it says. */

const demo = demoShoot();
const by = (id: string): Shot => demo.shots.find((shot) => shot.id === id) ?? demo.shots[0];
const pair = (one: Shot, other: Shot): Shoot => ({ ...demo, shots: [one, other] });
const [off, on] = [by('shot-cut-whip-off'), by('shot-cut-whip-on')];
const grades = ({ findings }: JoinReading, but: string[] = []) =>
  Object.fromEntries(findings.filter(({ id }) => !but.includes(id)).map(({ id, grade }) => [id, grade]));
const atRate = (shot: Shot, hz: number): Shot => ({ ...shot, frameRateHz: hz, captureRateHz: hz });
const mirrored = (shot: Shot): Shot => legsOf(shot).reduce((next, _, i) => withLeg(next, i, toTheOtherSide), shot);

describe('a join', () => {
  it.each([24, 25, 30, 50, 60])('of whips, of spins and of walks says the same at %i frames a second', (hz) => {
    for (const [a, b] of [
      [off, on],
      [by('shot-cut-spin'), by('shot-cut-spin-back')],
      [by('shot-cut-walk'), by('shot-cut-walk-on')],
      [by('shot-cut-dark-in'), by('shot-cut-dark-out')],
    ]) {
      const [plain] = joinsOf(pair(a, b));
      const [other] = joinsOf(pair(atRate(a, hz), atRate(b, hz)));
      expect(grades(other, ['handles'])).toEqual(grades(plain, ['handles']));
    }
  });
  it('of whips that are both mirrored is as good; of one mirrored, or one played in reverse, it jolts', () => {
    const join = (a: Shot, b: Shot) => joinsOf(pair(a, b))[0].findings.find(({ id }) => id === 'whip')?.grade;
    expect(join(off, on)).toBe('calm');
    expect(join(mirrored(off), mirrored(on))).toBe('calm');
    expect(join(off, mirrored(on))).toBe('jolt');
    const reversed = { ...on, playback: { ...on.playback, reversed: true }, cut: { inS: 1.95, outS: 3.8 } };
    expect(join(off, reversed)).toBe('jolt');
  });
  it('a whip that is shown five times slower moves a fifth as fast, and is told so', () => {
    const slow = { ...on, captureRateHz: 120, cut: { inS: 1.95 * 5, outS: 19 } };
    const speed = (shot: Shot) => speedOf(edgeOf(tell(demo, shot), 'in').motion);
    // Over a twelfth of a second on screen: of the quick one a longer stretch of the whip.
    expect(speed(on) / speed(slow)).toBeGreaterThan(3.5);
    expect(speed(on) / speed(slow)).toBeLessThan(6.5);
    expect(joinsOf(pair(off, slow))[0].findings.find(({ id }) => id === 'whip')?.grade).not.toBe('calm');
  });
  it('a matched action goes at the pace that is seen: slow motion on one side breaks it', () => {
    const [a, b] = [by('shot-cut-walk'), by('shot-cut-walk-on')];
    const halved = (shot: Shot): Shot => ({
      ...shot,
      walks: shot.walks.map((walk) => ({
        ...walk,
        points: walk.points.map((point) => ({ ...point, tS: point.tS / 2 })),
      })),
      timing: { ...shot.timing, durationS: 2 },
    });
    const action = (one: Shot, other: Shot) => joinsOf(pair(one, other))[0].findings.find(({ id }) => id === 'action');
    expect(action(halved(a), halved(b))?.grade).toBe('calm');
    expect(action(halved(a), { ...halved(b), captureRateHz: 96 })?.sentence).toMatch(
      /is seen to go at 0.\d m\/s where/,
    );
  });
});

describe('what is advised on any join', () => {
  it('does what it says, makes no other trouble here, and leaves the joins beside it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: demo.shots.length - 3 }),
        fc.constantFrom<JoinKind>(...JOIN_KINDS),
        (index, kind) => {
          const shots = demo.shots.map((shot, i) => (i === index ? { ...shot, join: { kind, blackS: 0.5 } } : shot));
          const shoot = { ...demo, shots };
          const around = (row: Shoot) => joinsOf({ ...row, shots: row.shots.slice(index - 1, index + 3) });
          const [before, join, after] = around(shoot);
          for (const cure of joinCures(shoot, index)) {
            const byId = new Map(cure.shots.map((shot) => [shot.id, shot]));
            const next = around({ ...shoot, shots: shots.map((shot) => byId.get(shot.id) ?? shot) });
            const left = Math.max(
              0,
              ...next[1].findings.filter(({ id }) => id === cure.findingId).map((row) => severity(row)),
            );
            expect(left, cure.instruction).toBe(cure.removes ? 0 : 1);
            expect(severity(next[1]), cure.instruction).toBeLessThanOrEqual(severity(join));
            expect(severity(next[0]), cure.instruction).toBeLessThanOrEqual(severity(before));
            expect(severity(next[2]), cure.instruction).toBeLessThanOrEqual(severity(after));
          }
        },
      ),
      { numRuns: 8 },
    );
  }, 60_000);
  it('every sentence of every join reads as one: no gaps, no raw numbers', () => {
    for (const kind of JOIN_KINDS) {
      const shoot = { ...demo, shots: demo.shots.map((shot) => ({ ...shot, join: { kind, blackS: 0.5 } })) };
      for (const { findings } of joinsOf(shoot))
        for (const { sentence, reason } of findings) {
          expect(sentence).toMatch(/^[A-Z“\d].*\.$/);
          expect(sentence).not.toMatch(/NaN|undefined|Infinity|\d\.\d{3}|- /);
          expect(reason).toMatch(/\.$/);
        }
    }
  });
});
