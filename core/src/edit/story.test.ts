import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { problemsIn, type Shoot } from '../model';
import { edgeOf, tell } from '../sequence';
import { fromOtherSide, moveShots, putInScene, removeShots } from './shots';
import { renameScene, tickOff, withShots } from './story';

const demo = demoShoot();
const ids = ({ shots }: Shoot) => shots.map(({ id }) => id);
const names = ({ shots }: Shoot) => shots.map(({ sceneName }) => sceneName);
/** A few shots of some scenes. */
const short = (scenes: readonly string[]): Shoot => ({
  ...demo,
  shots: scenes.map((sceneName, i) => ({ ...demo.shots[i], id: `s${i}`, sceneName })),
});

describe('shots moved together', () => {
  it('keep their order, stand before the one that was pointed at, and nothing else changes places', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 11 }), { maxLength: 6 }),
        fc.option(fc.integer({ min: 0, max: 11 })),
        (chosen, before) => {
          const shoot = short(Array.from({ length: 12 }, () => ''));
          const moved = chosen.map((i) => `s${i}`);
          const after = ids(moveShots(shoot, moved, before === null ? null : `s${before}`));
          expect([...after].sort()).toEqual([...ids(shoot)].sort());
          const keeps = (test: (id: string) => boolean) => expect(after.filter(test)).toEqual(ids(shoot).filter(test));
          keeps((id) => moved.includes(id));
          keeps((id) => !moved.includes(id));
          // They stand together.
          const places = moved.map((id) => after.indexOf(id)).sort((a, b) => a - b);
          places.forEach((place, i) => expect(place).toBe(places[0] + i));
          if (before !== null && !chosen.includes(before) && chosen.length > 0)
            expect(after.indexOf(`s${before}`)).toBe(places[places.length - 1] + 1);
        },
      ),
    );
  });
  it('before one of their own they stay behind what stood before that', () => {
    expect(ids(moveShots(short(['', '', '', '']), ['s1', 's2'], 's2'))).toEqual(['s0', 's1', 's2', 's3']);
    expect(ids(moveShots(short(['', '', '', '']), ['s0'], null))).toEqual(['s1', 's2', 's3', 's0']);
    expect(ids(moveShots(short(['', '', '', '']), ['s0'], 'nobody'))).toEqual(['s1', 's2', 's3', 's0']);
  });
});

describe('scenes', () => {
  it('are renamed from where they begin to where the next begins, and one of the same name elsewhere stays', () => {
    const shoot = short(['Yard', 'Yard', 'Lane', 'Yard']);
    expect(names(renameScene(shoot, 0, 'Court'))).toEqual(['Court', 'Court', 'Lane', 'Yard']);
    expect(names(renameScene(shoot, 3, 'Court'))).toEqual(['Yard', 'Yard', 'Lane', 'Court']);
    expect(names(renameScene(shoot, 1, 'Court'))).toEqual(['Yard', 'Court', 'Lane', 'Yard']);
    expect(names(renameScene(shoot, 2, ''))).toEqual(['Yard', 'Yard', '', 'Yard']);
  });
  it('take shots in, and the others keep theirs', () => {
    expect(names(putInScene(short(['A', 'B', 'C']), ['s0', 's2'], 'X'))).toEqual(['X', 'B', 'X']);
  });
});

it('shots are replaced by their ids; what is not there is left out', () => {
  const shoot = short(['A', 'B']);
  const next = withShots(shoot, [
    { ...shoot.shots[1], name: 'New' },
    { ...shoot.shots[0], id: 'gone', name: 'Nowhere' },
  ]);
  expect(next.shots.map(({ name }) => name)).toEqual([shoot.shots[0].name, 'New']);
  expect(next.shots[0]).toBe(shoot.shots[0]);
  expect(ids(removeShots(shoot, ['s0', 'gone']))).toEqual(['s1']);
});

it('a square is ticked off, and taken back', () => {
  const once = tickOff(demo, 'ansa.front.wide');
  expect(once.story.ticked).toContain('ansa.front.wide');
  expect(tickOff(once, 'ansa.front.wide')).toEqual(demo);
});

describe('the same from the other side', () => {
  it.each(['shot-rows', 'shot-sorting', 'shot-lane', 'shot-face', 'shot-lorry', 'shot-drawn'])(
    '%s begins opposite, as far off and as high, and stands behind the first',
    (id) => {
      const index = demo.shots.findIndex((shot) => shot.id === id);
      const next = fromOtherSide(demo, index, 'other');
      if (!next) throw new Error('it has another side');
      expect(problemsIn(next)).toEqual([]);
      expect(next.shots[index + 1].id).toBe('other');
      expect(next.shots).toHaveLength(demo.shots.length + 1);
      const [was, is] = [next.shots[index], next.shots[index + 1]].map((shot) => tell(next, shot));
      const [a, b] = [edgeOf(was, 'in'), edgeOf(is, 'in')];
      if (!a.subject || !b.subject) throw new Error('both have somebody');
      const far = (told: typeof was) => told.samples.subjectDistanceM[0];
      expect(far(is)).toBeCloseTo(far(was), 1);
      expect(is.samples.zM[0]).toBeCloseTo(was.samples.zM[0], 2);
      // What is laid out about the subject stands opposite; what is mirrored on the way there a little beside that.
      const turnDeg = Math.abs(((b.subject.bearingDeg - a.subject.bearingDeg + 540) % 360) - 180);
      expect(turnDeg).toBeGreaterThan(90);
    },
  );
  it('is none where somebody is led straight', () => {
    const index = demo.shots.findIndex(({ id }) => id === 'shot-stop');
    expect(fromOtherSide(demo, index, 'other')).toBeNull();
  });
});
