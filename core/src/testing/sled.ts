import type { Sled } from '../model';

/** A made-up sled for tests, nothing on it yet. */
export const PLAIN_SLED: Sled = {
  kind: 'sled',
  postMm: 500,
  postMinMm: 400,
  postMaxMm: 700,
  postMassG: 450,
  gimbalMm: 100,
  gimbalMinMm: 60,
  stageForeMm: 0,
  stageSideMm: 0,
  stageTravelMm: 40,
  wishS: 2.5,
  wishLeanDeg: 0,
  deckRollDeg: 0,
  deckPeriodS: 8,
  deckHeightM: 3,
  walkMps: 1.4,
  windMps: 0,
  log: [],
};
