import * as Comlink from 'comlink';
import { plannedFilm } from '@gentle-arc/core/motion';
import { readFilm } from '@gentle-arc/core/reading';
import { easierWays, exerciseShot, flownFilm, fromKept, scoreTry } from '@gentle-arc/core/rehearse';
import { sceneOf } from '@gentle-arc/core/scene';
import { KeptShoot } from './kept-shoot';
import { ShotQuestionSchema } from './messages';
import { type RehearseWorker, TryQuestionSchema } from './rehearse-messages';

const kept = new KeptShoot();
const MOST_SAID = 5;

const worker: RehearseWorker = {
  sync: (patch) => kept.sync(patch),
  async judge(message) {
    const { shotId, exercise, held, pace, units, flown } = TryQuestionSchema.parse(message);
    const { shoot, shot } = exercise ? exerciseShot(exercise) : { shoot: kept.shoot, shot: kept.shot(shotId ?? '') };
    const plan = plannedFilm(sceneOf(shoot, shot));
    const path = fromKept(flown);
    const score = scoreTry(plan, path, units, { pace, held });
    // A slow try is seen at the speed it is meant for.
    const asMeant = pace === 1 ? path : { ...path, tS: path.tS.map((tS) => tS * pace) };
    const { findings } = readFilm(flownFilm(plan, asMeant), units);
    return {
      score,
      reading: findings.slice(0, MOST_SAID).map(({ id, grade, sentence }) => ({ id, grade, sentence })),
    };
  },
  async easier(message) {
    const { shotId, units } = ShotQuestionSchema.parse(message);
    return easierWays(kept.shoot, kept.shot(shotId), kept.shoot.practice, units);
  },
};

Comlink.expose(worker);
