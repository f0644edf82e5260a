import * as Comlink from 'comlink';
import * as z from 'zod';
import type { Clip } from '@gentle-arc/core/model';
import { plannedFilm } from '@gentle-arc/core/motion';
import { sceneOf } from '@gentle-arc/core/scene';
import { bestClip, clipAgainstPlan, coursesForetold, PlanPicture } from '@gentle-arc/core/take';
import { AgainstQuestionSchema, ClipQuestionSchema, type ClipWorker } from './clip-messages';
import { heardOut } from './heard-out';
import { KeptShoot } from './kept-shoot';
import { measureClip } from './measure-clip';

const kept = new KeptShoot();

const filmOf = (shotId: string) => plannedFilm(sceneOf(kept.shoot, kept.shot(shotId)));

/** What is foretold without a clip is foretold of one so wide. */
const USUAL_WIDTH_PX = 1920;

const worker: ClipWorker = {
  sync: (patch) => kept.sync(patch),
  measure(message, onStep) {
    const question = ClipQuestionSchema.parse(message);
    return heardOut(onStep, (tell) => measureClip(question, filmOf(question.shotId), tell));
  },
  async against(message) {
    const { shotId, clip, clips } = AgainstQuestionSchema.parse(message);
    const film = filmOf(shotId);
    const pictures = new Map<number, PlanPicture>();
    const against = (one: Clip) => {
      const ofThisWidth = pictures.get(one.widthPx) ?? new PlanPicture(film, one.widthPx);
      pictures.set(one.widthPx, ofThisWidth);
      return clipAgainstPlan(ofThisWidth, one);
    };
    const { said, differences, rateHz, fromS, courses } = against(clip);
    return {
      said,
      differences: differences.map(({ id, sentence, mend }) => ({ id, sentence, mend })),
      rateHz,
      fromS,
      courses,
      best: clips.length < 2 ? null : bestClip(clips.map((row) => ({ id: row.id, against: against(row.clip) }))),
    };
  },
  async foretold(message) {
    const plan = new PlanPicture(filmOf(z.string().parse(message)), USUAL_WIDTH_PX).all();
    return { rateHz: plan.rateHz, fromS: plan.tS[0], courses: coursesForetold(plan) };
  },
};

Comlink.expose(worker);
