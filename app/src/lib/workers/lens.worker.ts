import * as Comlink from 'comlink';
import { compareLenses } from '@gentle-arc/core/reading/compare-lenses';
import { LensRequestSchema, type LensWorker } from './lens-messages';

const worker: LensWorker = {
  async compare(message) {
    const { shoot, shotId, units, focalLengthsMm, by } = LensRequestSchema.parse(message);
    const shot = shoot.shots.find((row) => row.id === shotId);
    if (!shot) throw new RangeError(`No shot ${shotId} in this shoot.`);
    return compareLenses(shoot, shot, focalLengthsMm, by, units);
  },
};

Comlink.expose(worker);
