import * as Comlink from 'comlink';
import { type MotionChoices, readMotionCsv, readMotionGpx, Refusal } from '@gentle-arc/core/formats';
import type { Shot, Units } from '@gentle-arc/core/model';
import { plannedFilm } from '@gentle-arc/core/motion';
import { readFilm } from '@gentle-arc/core/reading';
import { toKeep } from '@gentle-arc/core/rehearse';
import { sceneOf } from '@gentle-arc/core/scene';
import {
  type Comparison,
  compareTake,
  fromKeptTaken,
  handFigures,
  type MotionRecord,
  recordNotes,
  takenFilm,
  takenFrom,
  takenWay,
  toKeepTaken,
} from '@gentle-arc/core/take';
import { KeptShoot } from './kept-shoot';
import {
  CompareQuestionSchema,
  type Course,
  MotionFileSchema,
  RecordQuestionSchema,
  type ShownTake,
  type TakenIn,
  type TakeWorker,
} from './take-messages';

const kept = new KeptShoot();
const MOST_SAID = 6;
/** Less is no bob. */
const LEAST_BOB_M = 0.001;
/** Rows a second of the way that is drawn. */
const DRAWN_HZ = 50;
/** What is kept of a recording before and after the move, s. */
const AROUND_S = 1.5;

const filmOf = (shot: Shot) => plannedFilm(sceneOf(kept.shoot, shot));

function shownOf(film: ReturnType<typeof filmOf>, found: Comparison, units: Units): ShownTake {
  const { held, aligned } = found;
  const courses: Course[] = [];
  const add = (name: string, unit: string, plan: Float64Array | null, take: Float64Array | null, scale = 1) => {
    if (plan && take) courses.push({ name, unit, plan: plan.map((v) => v * scale), take: take.map((v) => v * scale) });
  };
  const speed = (of: typeof held.plan) => {
    const { xM, yM, zM } = of;
    if (!xM || !yM || !zM) return null;
    return xM.map((_, i) => {
      const [a, b] = [Math.max(0, i - 3), Math.min(xM.length - 1, i + 3)];
      return (Math.hypot(xM[b] - xM[a], yM[b] - yM[a], zM[b] - zM[a]) * held.rateHz) / (b - a);
    });
  };
  add('Speed', 'm/s', speed(held.plan), speed(held.take));
  add('Pan', '°', held.plan.panDeg, held.take.panDeg);
  add('Tilt', '°', held.plan.tiltDeg, held.take.tiltDeg);
  add('Roll', '°', held.plan.rollDeg, held.take.rollDeg);
  const bobs = [held.plan.bobM, held.take.bobM].some((column) => column?.some((v) => Math.abs(v) > LEAST_BOB_M));
  if (bobs) add('Up and down', 'mm', held.plan.bobM, held.take.bobM, 1000);
  add('Focus', 'm', held.plan.focusM, held.take.focusM);
  const { findings } = readFilm(takenFilm(film, held.taken, aligned), units);
  return {
    said: found.said,
    differences: found.differences,
    untold: found.untold,
    smoothnessOf: found.smoothnessOf,
    smoothness: found.smoothness,
    delayS: aligned.delayS,
    stretch: aligned.stretch,
    tremor: held.taken.tremor,
    rateHz: held.rateHz,
    fromS: -held.first / held.rateHz,
    courses,
    flown: toKeep(takenWay(film, held.taken, aligned), DRAWN_HZ),
    reading: findings.slice(0, MOST_SAID).map(({ id, grade, sentence }) => ({ id, grade, sentence })),
  };
}

function takenIn(record: MotionRecord, shotId: string, units: Units, names: string[]): TakenIn {
  const film = filmOf(kept.shot(shotId));
  try {
    const taken = takenFrom(record, film);
    const found = compareTake(film, taken);
    const { delayS, stretch } = found.aligned;
    const lastS = film.filmed.tS[film.filmed.count - 1];
    const recorded = toKeepTaken(taken, delayS - AROUND_S, delayS + stretch * lastS + AROUND_S);
    // What is kept is what is shown from now on: it is compared as it will be.
    const again = compareTake(film, fromKeptTaken(recorded));
    return { recorded, notes: recordNotes(record), shown: shownOf(film, again, units) };
  } catch (error) {
    if (error instanceof RangeError) return { refused: error.message, names };
    throw error;
  }
}

const worker: TakeWorker = {
  sync: (patch) => kept.sync(patch),
  async compare(message) {
    const { shotId, recorded, units } = CompareQuestionSchema.parse(message);
    const film = filmOf(kept.shot(shotId));
    return shownOf(film, compareTake(film, fromKeptTaken(recorded)), units);
  },
  async takeIn(message) {
    const { shotId, units, record } = RecordQuestionSchema.parse(message);
    return takenIn(record, shotId, units, []);
  },
  async takeInFile(message) {
    const { shotId, units, name, text, columns, inUnits, mount } = MotionFileSchema.parse(message);
    const names = (text.slice(0, 4000).split(/\r?\n/)[0] ?? '').split(/[,;\t]/).map((cell) => cell.trim());
    try {
      const record = /\.gpx$/i.test(name)
        ? readMotionGpx(text, name, kept.shoot.site.place)
        : readMotionCsv(text, name, {
            columns: columns as MotionChoices['columns'],
            units: inUnits as MotionChoices['units'],
            mount,
          });
      return takenIn(record, shotId, units, names);
    } catch (error) {
      if (error instanceof Refusal) return { refused: error.message, names: names.slice(0, 60) };
      throw error;
    }
  },
  async hands() {
    const { log, shots, kit } = kept.shoot;
    return log.takes.flatMap(({ id, at, shotId, rigId, recorded }) => {
      const shot = shots.find((row) => row.id === shotId);
      const rig = kit.rigs.find((row) => row.id === rigId);
      if (!recorded || !shot || !rig) return [];
      const found = compareTake(filmOf(shot), fromKeptTaken(recorded));
      // Of another move nothing is said; what only feels may have nothing to be laid by, and still feels steps.
      const feels = recorded.by === 'recorder' || recorded.by === 'phone';
      return found.aligned.by === 'nothing' && !feels ? [] : [{ id, figures: handFigures(found, rig, at) }];
    });
  },
};

Comlink.expose(worker);
