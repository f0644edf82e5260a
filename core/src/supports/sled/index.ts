import type { Sled } from '../../model';
import type { SupportDefinition } from '../definition';
import { dragSled, drawSled } from './drawing';
import { BELOW_GIMBAL_MM } from './solver';
import { sledTold } from './told';

/** A sled: a post that hangs on a gimbal and rests by its own weight. */
export const sled: SupportDefinition<Sled> = {
  name: 'sled',
  group: 'carried',
  sentences: [
    'Stage {stageForeMm} forward and {stageSideMm} to the right of its middle; it goes {stageTravelMm} either way.',
    'Pivot {gimbalMm} below the plate, no higher than {gimbalMinMm}.',
    'Post {postMm} long, from {postMinMm} to {postMaxMm}, {postMassG}.',
    'A drop of {wishS} is wished, looking {wishLeanDeg} up (below 0: down) at rest. Walking at {walkMps}, in a ' +
      'side wind of {windMps}.',
    'On a deck that rolls {deckRollDeg} to each side in {deckPeriodS}, {deckHeightM} above its axis; 0° ' +
      'is firm ground.',
  ],
  tell: sledTold,
  draw: drawSled,
  drag: dragSled,
  range: (sled, field) => {
    const { postMm, postMinMm, postMaxMm, gimbalMinMm, stageTravelMm } = sled;
    if (field === 'postMinMm') return [-Infinity, postMaxMm];
    if (field === 'postMaxMm') return [postMinMm, Infinity];
    if (field === 'postMm') return [postMinMm, postMaxMm];
    if (field === 'gimbalMm') return [gimbalMinMm, Math.max(gimbalMinMm, postMm - BELOW_GIMBAL_MM)];
    return field === 'stageForeMm' || field === 'stageSideMm' ? [-stageTravelMm, stageTravelMm] : null;
  },
  checks: ['restsLevel', 'wind', 'clear'],
  caution:
    'A sled is carried at arm’s length and swings: crews usually keep a free path, take turns, and put it on ' +
    'its stand between takes.',
  refits: {
    camera: { redo: 'balance the sled from the beginning', minutes: 25 },
    lens: { redo: 'stage fore and aft, pivot, drop time', minutes: 12 },
    filter: { redo: 'stage fore and aft', minutes: 5 },
    zoom: { redo: 'stage fore and aft, then tape the zoom', minutes: 6 },
  },
};
