import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planDay, dayNotes, packList, sunWords } from '../day';
import { newPiece, PIECE_KINDS, type PieceKind, type Shoot, type Units } from '../model';
import { type Film, plannedFilm } from '../motion';
import { lookFor, readFilm, setUpNote } from '../reading';
import { cardsFor, controlsOf, countOf, marksOf, sayHands, tooMuchIn } from '../rehearse';
import { sceneOf } from '../scene';
import { bestCut, boardShot, filmFindings, joinCures, judgeJoin, tell } from '../sequence';
import { num } from '../testing/any-move';
import { anyShot } from '../testing/any-shot';
import { plainPieces, plainShoot } from '../testing/shoots';

/** Nothing that a person reads, and no number that is shown, may be like this. */
const BAD_WORDS = /NaN|undefined|\bnull\b|Infinity|\[object| {2}| [,;:](?!\d)|(^|[^\w.])[-−]0(\.0+)?(?![\d.])/;
const ONE_OF_MANY = /(^|[^\d.])1 (seconds|shots|takes|frames|metres|minutes|steps|hands|people|degrees|things|tries)\b/;

function wrongIn(value: unknown, path: string): string[] {
  if (typeof value === 'string') return BAD_WORDS.test(value) || ONE_OF_MANY.test(value) ? [`${path}: ${value}`] : [];
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path}: ${value}`];
  if (ArrayBuffer.isView(value)) return [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, own]) => wrongIn(own, `${path}.${key}`));
}

const anyPieces = fc.array(
  fc
    .record({
      kind: fc.constantFrom(...(Object.keys(PIECE_KINDS) as PieceKind[])),
      xM: num(-6, 6),
      yM: num(-6, 6),
      headingDeg: fc.integer({ min: 0, max: 359 }),
    })
    .map(({ kind, xM, yM, headingDeg }) => ({ ...newPiece(kind, kind, `A ${kind}`, xM, yM, 0), headingDeg })),
  { maxLength: 4 },
);
/** Two shots on a site with a place, filmed at some hour of a June day. */
const anyShoot: fc.Arbitrary<Shoot> = fc
  .tuple(anyShot, anyShot, anyPieces, fc.integer({ min: 0, max: 23 }))
  .map(([one, two, more, hour]) => {
    const apart = more.map((piece, i) => ({ ...piece, id: `more-${i}` }));
    const pieces = [...plainPieces(), ...apart];
    const shoot = plainShoot(one, pieces);
    const [other] = plainShoot(two, pieces).shots;
    const at = `2026-06-01T${String(hour).padStart(2, '0')}:07:00Z`;
    const shots = [shoot.shots[0], { ...other, id: 'shot-2', name: 'Two' }];
    return {
      ...shoot,
      site: { ...shoot.site, place: { latitudeDeg: 27, longitudeDeg: 88, utcOffsetH: 5.5 } },
      shots: shots.map((shot) => ({ ...shot, light: { ...shot.light, at } })),
    };
  });
const anyUnits = fc.constantFrom<Units>('metric', 'imperial');

function ofShot(shoot: Shoot, film: Film, units: Units) {
  const controls = controlsOf(film, shoot.practice, units);
  const tooMuch = tooMuchIn(controls);
  const { findings, cautions } = readFilm(film, units);
  return {
    reading: { findings, cautions },
    count: countOf(film, shoot.practice),
    marks: marksOf(film, shoot.practice, units),
    controls: { controls, tooMuch, said: sayHands(tooMuch, controls) },
    cards: cardsFor(film, shoot.kit, units),
    setUp: setUpNote(film),
    scouted: lookFor(film, Math.floor(film.samples.count / 2), units),
  };
}

describe('whatever two shots are planned', () => {
  it('what reading, rehearsal and scouting say of each is in whole words and numbers', () => {
    fc.assert(
      fc.property(anyShoot, anyUnits, (shoot, units) => {
        for (const shot of shoot.shots)
          expect(wrongIn(ofShot(shoot, plannedFilm(sceneOf(shoot, shot)), units), shot.id)).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });
  it('so is what the board says of them and of their join, with its cures', () => {
    fc.assert(
      fc.property(anyShoot, (shoot) => {
        const told = shoot.shots.map((shot) => tell(shoot, shot));
        const board = told.map((row, i) => boardShot(row, i + 1));
        const join = judgeJoin(told[0], told[1], 1);
        expect(
          wrongIn({ board, join, best: bestCut(told[0], told[1]), film: filmFindings(shoot, told, board) }, 'board'),
        ).toEqual([]);
        expect(
          wrongIn(
            joinCures(shoot, 1).map(({ instruction, effect, costs }) => ({ instruction, effect, costs })),
            'cures',
          ),
        ).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });
  it('so is the day that they make', () => {
    fc.assert(
      fc.property(anyShoot, (shoot) => {
        const { given, plan } = planDay(shoot, 'story');
        const words = [
          dayNotes(given),
          sunWords(given),
          packList(given, plan),
          plan.entries.map(({ reasons, notes, tries }) => ({ reasons, notes, tries })),
          plan.cannot.map(({ why }) => why),
        ];
        expect(wrongIn(words, 'day')).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });
});
