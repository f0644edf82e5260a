import * as Comlink from 'comlink';
import { plannedFilm } from '@gentle-arc/core/motion';
import { litWhen, lookFor } from '@gentle-arc/core/reading';
import { sceneOf } from '@gentle-arc/core/scene';
import { nearTheLens } from '@gentle-arc/core/search';
import { KeptShoot } from './kept-shoot';
import { LitQuestionSchema, LookQuestionSchema, NearQuestionSchema, type ScoutWorker } from './scout-messages';

const kept = new KeptShoot();
const filmOf = (shotId: string) => plannedFilm(sceneOf(kept.shoot, kept.shot(shotId)));

const worker: ScoutWorker = {
  sync: (patch) => kept.sync(patch),
  async look(message) {
    const { shotId, units, row } = LookQuestionSchema.parse(message);
    const film = filmOf(shotId);
    return lookFor(film, Math.min(row, film.samples.count - 1), units);
  },
  async near(message) {
    const { shotId, units, id } = NearQuestionSchema.parse(message);
    return nearTheLens(sceneOf(kept.shoot, kept.shot(shotId)), units, id);
  },
  async litWhen(message) {
    const { shotId, place, day, wish } = LitQuestionSchema.parse(message);
    return litWhen(filmOf(shotId), place, day, wish);
  },
};

Comlink.expose(worker);
