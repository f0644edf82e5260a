import * as Comlink from 'comlink';
import { compareLenses } from '@gentle-arc/core/reading';
import { KeptShoot } from './kept-shoot';
import { LensQuestionSchema, type LensWorker } from './lens-messages';

const kept = new KeptShoot();

const worker: LensWorker = {
  sync: (patch) => kept.sync(patch),
  async compare(message) {
    const { shotId, units, focalLengthsMm, by } = LensQuestionSchema.parse(message);
    return compareLenses(kept.shoot, kept.shot(shotId), focalLengthsMm, by, units);
  },
};

Comlink.expose(worker);
