import * as Comlink from 'comlink';
import * as z from 'zod';
import { ClipSchema } from '@gentle-arc/core/model';
import { plannedFilm } from '@gentle-arc/core/motion';
import { sceneOf } from '@gentle-arc/core/scene';
import { clipAgainstPlan, foretold, framesOfClip, timesOf } from '@gentle-arc/core/take';
import { type ClipWorker, ClipQuestionSchema } from './clip-messages';
import { KeptShoot } from './kept-shoot';
import { measureClip } from './measure-clip';

const kept = new KeptShoot();
const AgainstSchema = z.object({ shotId: z.string(), clip: ClipSchema });

const worker: ClipWorker = {
  sync: (patch) => kept.sync(patch),
  measure: (message, onStep) => measureClip(ClipQuestionSchema.parse(message), onStep),
  async against(message) {
    const { shotId, clip } = AgainstSchema.parse(message);
    const plan = foretold(plannedFilm(sceneOf(kept.shoot, kept.shot(shotId))));
    const frames = framesOfClip(clip);
    const found = clipAgainstPlan(plan, frames);
    return {
      said: found.said,
      differences: found.differences.map(({ id, sentence, mend }) => ({ id, sentence, mend })),
      rateHz: found.rateHz,
      foretoldSpeed: found.foretoldSpeed,
      seenSpeed: found.seenSpeed,
      delayS: found.aligned.delayS,
      stretch: found.aligned.stretch,
      times: timesOf(plan, frames, found.aligned),
      timesAsFilmed: timesOf(plan, frames, { ...found.aligned, delayS: 0, stretch: 1 }),
    };
  },
};

Comlink.expose(worker);
