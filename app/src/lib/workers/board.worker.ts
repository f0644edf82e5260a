import * as Comlink from 'comlink';
import { type PictureGrade, severity } from '@gentle-arc/core/findings';
import { type Around, aroundOf, limitsOf, PLAIN_JOIN, sameAround, type Shoot, type Shot } from '@gentle-arc/core/model';
import { readShot } from '@gentle-arc/core/reading';
import {
  bestCut,
  type BoardShot,
  boardShot,
  coverageOf,
  type Ends,
  endsOf,
  filmFindings,
  joinCures,
  judgeEnds,
  tell,
  timelineOf,
} from '@gentle-arc/core/sequence';
import {
  JoinQuestionSchema,
  StoryQuestionSchema,
  type BoardWorker,
  type ShownJoin,
  type Story,
} from './board-messages';
import { heardOut } from './heard-out';
import { KeptShoot } from './kept-shoot';

const TELL_MS = 150;
const kept = new KeptShoot();

interface Chapter {
  board: BoardShot;
  ends: Ends;
}
/** What was looked at, by its shot: it stays as long as the shot, the site and the kit are the same. */
let chapters = new WeakMap<Shot, Chapter>();
const grades = new Map<string, PictureGrade>();
let around: Around | null = null;
let asked = 0;
let asking = 0;

const breathe = () => new Promise((resolve) => setTimeout(resolve));

/** Forgets what another site or kit would change. */
function settle(shoot: Shoot): void {
  if (around && sameAround(around, shoot)) return;
  around = aroundOf(shoot);
  chapters = new WeakMap();
  grades.clear();
}

function chapterOf(shoot: Shoot, shot: Shot, number: number): Chapter {
  const known = chapters.get(shot);
  const chapter = known ?? chapterFrom(shoot, shot, number);
  chapters.set(shot, chapter);
  return { ...chapter, board: { ...chapter.board, number } };
}

function chapterFrom(shoot: Shoot, shot: Shot, number: number): Chapter {
  const told = tell(shoot, shot);
  return { board: boardShot(told, number), ends: endsOf(told) };
}

function storyOf(shoot: Shoot, rows: readonly Chapter[], joins: ShownJoin[], coverOf: string | null): Story {
  const whole = rows.length === shoot.shots.length;
  const board = rows.map((row) => row.board);
  const ends = rows.map((row) => row.ends);
  return {
    board,
    joins: [...joins],
    film: timelineOf(ends),
    findings: whole ? filmFindings(shoot, ends, board) : [],
    coverage: whole ? coverageOf(shoot, board, coverOf ?? undefined) : null,
    whole,
  };
}

const worker: BoardWorker = {
  sync: (patch) => kept.sync(patch),
  story: (message, onStep) =>
    heardOut(onStep, async (tellOf) => {
      const { coverOf } = StoryQuestionSchema.parse(message);
      const { shoot } = kept;
      settle(shoot);
      asked += 1;
      const number = asked;
      const limits = limitsOf(shoot.limits);
      const rows: Chapter[] = [];
      const joins: ShownJoin[] = [];
      let toldMs = performance.now();
      for (const [i, shot] of shoot.shots.entries()) {
        const row = chapterOf(shoot, shot, i + 1);
        const before = rows.at(-1);
        if (before) {
          const { fromId, toId, kind, grade, findings, from, to } = judgeEnds(
            before.ends,
            row.ends,
            shoot.story.handlesS,
            limits,
          );
          joins.push({ fromId, toId, kind, grade, findings, fromRow: from.row, toRow: to.row });
        }
        rows.push(row);
        if (performance.now() - toldMs < TELL_MS) continue;
        tellOf(storyOf(shoot, rows, joins, coverOf));
        await breathe();
        // Overtaken by another question: that one tells.
        if (number !== asked) return storyOf(shoot, rows, joins, coverOf);
        toldMs = performance.now();
      }
      return storyOf(shoot, rows, joins, coverOf);
    }),
  grades: (onGrade) =>
    heardOut(onGrade, async (tellGrade) => {
      const { shoot } = kept;
      settle(shoot);
      asking += 1;
      const number = asking;
      for (const shot of shoot.shots) {
        const key = JSON.stringify({
          ...shot,
          ...{ name: '', note: '', sceneName: '', purpose: 'none', cut: null, join: PLAIN_JOIN },
        });
        let grade = grades.get(key);
        if (grade === undefined) {
          const [worst] = readShot(shoot, shot).findings;
          const rank = worst ? severity(worst) : 0;
          grade = (['calm', 'ripple', 'jolt'] as const)[rank];
          grades.set(key, grade);
          await breathe();
          if (number !== asking) return;
        }
        tellGrade(shot.id, grade);
      }
    }),
  async cures(message) {
    const { index } = JoinQuestionSchema.parse(message);
    return joinCures(kept.shoot, index);
  },
  async best(message) {
    const { index } = JoinQuestionSchema.parse(message);
    const { shoot } = kept;
    const [one, other] = [shoot.shots[index], shoot.shots[index + 1]];
    if (!one || !other) throw new RangeError('There is no join there.');
    return bestCut(tell(shoot, one), tell(shoot, other));
  },
};

Comlink.expose(worker);
