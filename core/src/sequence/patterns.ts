import { chooseMove, frameSubject, type Framing, takeRig, takeSubject, turned, withTiming } from '../edit';
import {
  type Move,
  newShot,
  type Pattern,
  type PatternShot,
  type Piece,
  type RigKind,
  type Shoot,
  type Shot,
  ShotSchema,
} from '../model';
import { edgeOf, turnWithin } from './edge';
import { tell } from './told';

/** Patterns of shots that ship with the app: sets that tell something by themselves. Common practice, no published source. */

type Row = [
  name: string,
  purpose: PatternShot['purpose'],
  move: PatternShot['move'],
  size: PatternShot['size'],
  fromDeg: number,
  durationS: number,
  join?: PatternShot['join'],
];
const pattern = (id: string, name: string, rows: readonly Row[]): Pattern => ({
  id,
  name,
  shots: rows.map(([shot, purpose, move, size, fromDeg, durationS, join = 'cut']) => ({
    name: shot,
    purpose,
    move,
    size,
    fromDeg,
    durationS,
    join,
  })),
});

export const PATTERNS: readonly Pattern[] = [
  pattern('alone', 'Alone, with nobody at the camera', [
    ['The place, and who is in it', 'establishes', 'still', 'wide', 30, 6],
    ['From before', 'meets', 'still', 'waist', 0, 5],
    ['What the hands do', 'details', 'still', 'detail', 40, 4],
    ['From the side', 'shows', 'slide', 'full', 75, 7],
    ['The face', 'turns', 'still', 'face', 20, 4],
    ['The place again', 'ends', 'still', 'wide', 150, 6],
  ]),
  pattern('quarters', 'Four quarters of a vehicle', [
    ['Round the left side', 'establishes', 'arc', 'wide', -60, 8],
    ['Round the right side', 'shows', 'arc', 'wide', 60, 8],
    ['On towards the front', 'meets', 'push', 'full', 0, 6],
    ['Back from the rear', 'shows', 'pull', 'full', 180, 6],
    ['A lamp', 'details', 'slide', 'detail', 20, 4],
    ['A wheel', 'details', 'still', 'detail', 80, 3],
    ['At rest', 'ends', 'still', 'wide', 30, 5],
  ]),
  pattern('arrival', 'Arrival to ending', [
    ['The place', 'establishes', 'slide', 'wide', 40, 8],
    ['Somebody comes', 'meets', 'still', 'full', 15, 6],
    ['What is done here', 'shows', 'arc', 'waist', 50, 7],
    ['Closely', 'details', 'push', 'detail', 30, 5],
    ['The face', 'turns', 'push', 'face', 10, 6],
    ['Leaving', 'ends', 'pull', 'full', 20, 10],
  ]),
  pattern('product', 'A product on a table', [
    ['On its table', 'establishes', 'slide', 'wide', 25, 6],
    ['From before', 'meets', 'push', 'full', 0, 6],
    ['Round it', 'shows', 'arc', 'waist', -30, 8],
    ['A detail', 'details', 'slide', 'detail', 35, 4],
    ['Another detail', 'details', 'slide', 'detail', -50, 4],
    ['At rest', 'ends', 'still', 'full', 10, 5],
  ]),
  pattern('flown', 'Flown over a place', [
    ['Over it', 'establishes', 'overheadSlide', 'wide', 0, 8],
    ['Round it', 'shows', 'orbit', 'wide', 0, 14],
    ['Towards it', 'meets', 'push', 'wide', 30, 9],
    ['Past its side', 'shows', 'slide', 'wide', 90, 8],
    ['Away from it', 'ends', 'pull', 'wide', 20, 12],
  ]),
];

/** Who laid out a film tells: who it is about, where, what happens, how it ends. Any may be empty. */
export interface Answers {
  who: string;
  where: string;
  happens: string;
  ending: string;
}

const RIG_FOR: Record<PatternShot['move'], RigKind> = {
  still: 'tripod',
  whipPan: 'tripod',
  slide: 'slider',
  push: 'gimbal',
  pull: 'gimbal',
  arc: 'gimbal',
  orbit: 'gimbal',
  jib: 'jib',
  overheadSlide: 'drone',
};
const SIZE_FOR: Record<PatternShot['size'], Framing> = {
  wide: 'wide',
  full: 'full',
  waist: 'waist',
  face: 'face',
  detail: 'detail',
};

/** A rig of the kit that can make the move; what the shot has where the kit lacks it. */
function withRig(shoot: Shoot, shot: Shot, kind: RigKind): Shot {
  const rig = shoot.kit.rigs.find((row) => row.kind === kind);
  return rig ? takeRig(shot, rig.id, shoot.kit) : shot;
}

/** One shot of a pattern, planned about a piece that is there. */
function planned(shoot: Shoot, row: PatternShot, subject: Piece, flown: boolean, id: string, name: string): Shot {
  const empty = takeSubject(newShot(shoot.kit, id, name, subject.id), subject);
  let shot = withRig(shoot, chooseMove(empty, 0, row.move, subject), flown ? 'drone' : RIG_FOR[row.move]);
  shot = { ...shot, timing: withTiming(shot.timing, 'durationS', row.durationS), purpose: row.purpose };
  shot = { ...shot, join: { ...shot.join, kind: row.join } };
  const valid = (next: Shot): Shot => (ShotSchema.safeParse(next).success ? next : shot);
  shot = valid({ ...shot, move: atHeight(shot.move, subject, flown) });
  // What is filmed straight from above is as large as the height makes it.
  if (row.move === 'overheadSlide') return shot;
  // Seen from so far round the front where it begins.
  const seen = edgeOf(tell(shoot, shot), 'in').subject;
  if (seen) shot = valid({ ...shot, move: turned(shot.move, turnWithin(row.fromDeg - seen.fromFrontDeg)) });
  // As large as is wished where it ends, coming closer, and else where it begins.
  const wish = { size: SIZE_FOR[row.size], side: 'middle', end: row.move === 'push' ? 'end' : 'start' } as const;
  const framed = frameSubject(shoot, shot, { ...wish, by: 'distance' });
  if (framed.trouble !== null) return valid(frameSubject(shoot, shot, { ...wish, by: 'lens' }).shot);
  return valid({ ...framed.shot, move: spread(framed.shot.move) });
}

/** A small thing is filmed from its own height, a person from where the move is usually made; flown it is from above. */
function atHeight(move: Move, { kind, lengthM, depthM, heightM }: Piece, flown: boolean): Move {
  if (!('heightM' in move)) return move;
  const sizeM = Math.max(lengthM, depthM, heightM);
  const cm = (m: number) => Math.round(m * 100) / 100;
  if (move.kind === 'overheadSlide') return { ...move, heightM: cm(3 + 2.5 * sizeM) };
  if (flown) return { ...move, heightM: cm(2 + 1.5 * heightM) };
  return kind === 'figure' ? move : { ...move, heightM: cm(Math.max(0.05, Math.min(1.6, heightM * 0.6))) };
}

/** A push comes from, and a pull goes to, nearly twice as far as it is framed at. */
function spread(move: Move): Move {
  const times = 1.9;
  const cm = (m: number) => Math.round(m * 100) / 100;
  if (move.kind === 'push') return { ...move, fromDistanceM: cm(move.toDistanceM * times) };
  return move.kind === 'pull' ? { ...move, toDistanceM: cm(move.fromDistanceM * times) } : move;
}

/**
 * The shoot with a pattern's shots behind those that are there, planned on a piece of the site. Answers become names and
 * notes. Nothing where the piece is not there.
 */
export function layOut(
  shoot: Shoot,
  given: Pattern,
  subjectId: string,
  answers: Answers,
  idOf: () => string,
): { shoot: Shoot; ids: string[] } {
  const subject = shoot.site.pieces.find(({ id }) => id === subjectId);
  if (!subject) return { shoot, ids: [] };
  const flown = given.shots.some(({ move }) => move === 'overheadSlide');
  const who = answers.who.trim() || subject.name;
  const noteOf = ({ purpose }: PatternShot, i: number): string => {
    if (purpose === 'ends' || i === given.shots.length - 1) return answers.ending.trim();
    if (purpose === 'establishes') return answers.where.trim();
    return answers.happens.trim();
  };
  const shots = given.shots.map((row, i) => ({
    ...planned(shoot, row, subject, flown, idOf(), `${row.name}: ${who}`.slice(0, 120)),
    sceneName: (answers.where.trim() || given.name).slice(0, 60),
    note: noteOf(row, i).slice(0, 2000),
  }));
  return { shoot: { ...shoot, shots: [...shoot.shots, ...shots] }, ids: shots.map(({ id }) => id) };
}

/** Shots that are there as a pattern of one’s own: what they are for, their moves, sizes and sides. */
export function patternFrom(shoot: Shoot, ids: readonly string[], id: string, name: string): Pattern {
  const shots = shoot.shots.filter((shot) => ids.includes(shot.id)).slice(0, 24);
  return {
    id,
    name,
    shots: shots.map((shot): PatternShot => {
      const seen = edgeOf(tell(shoot, shot), 'in').subject;
      const share = seen?.share ?? 0.3;
      const move = PATTERN_LIKE[shot.move.kind] ?? 'still';
      return {
        name: shot.name.split(':')[0].slice(0, 80) || shot.name.slice(0, 80),
        purpose: shot.purpose,
        move,
        size: share < 0.5 ? 'wide' : share < 1.05 ? 'full' : share < 2.3 ? 'waist' : share < 7 ? 'face' : 'detail',
        fromDeg: Math.round(seen?.fromFrontDeg ?? 0),
        durationS: Math.min(120, Math.max(0.5, shot.timing.durationS)),
        join: shot.join.kind,
      };
    }),
  };
}

/** The move of a pattern that comes nearest to one of a shot. */
const PATTERN_LIKE: Partial<Record<Shot['move']['kind'], PatternShot['move']>> = {
  still: 'still',
  slide: 'slide',
  angledSlide: 'slide',
  alongside: 'slide',
  push: 'push',
  pull: 'pull',
  follow: 'push',
  lead: 'pull',
  arc: 'arc',
  orbit: 'orbit',
  lowOrbit: 'orbit',
  jib: 'jib',
  crane: 'jib',
  whipPan: 'whipPan',
  overheadSlide: 'overheadSlide',
};
