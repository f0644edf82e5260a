import { define, type FindingKinds, type Numbered } from '../definition';
import type { FindingOf } from '../finding';
import { type Intent, LEAST_TRAVEL_M, rowAt, type Samples } from '../../motion';
import type { RigCase } from './rig-case';

const KINDS = {
  travel: { measures: 'length of a move that lives from travel, m', limits: [], about: 'frame', cures: [] },
} satisfies FindingKinds;
type Found = FindingOf<Numbered<keyof typeof KINDS>>;

/** A move that lives from travel and has none: its length, or its time, is nothing. */
function travelFindings({ strokes }: Intent, samples: Samples): Found[] {
  return strokes.flatMap(({ goesNowhere, fromS }, k) => {
    if (!goesNowhere) return [];
    const { name, lengthM, noTime } = goesNowhere;
    return {
      id: strokes.length > 1 ? (`travel.${k + 1}` as const) : ('travel' as const),
      grade: noTime ? ('cannot' as const) : ('tight' as const),
      sentence: noTime
        ? `${name} has no time to happen: the holds fill the whole duration. Shorten the holds or take longer.`
        : `${name} goes nowhere: its length is 0. Type a length, or drag one of its ends.`,
      reason: noTime
        ? 'The camera would have to jump.'
        : 'Without travel this is a still frame; if that is meant, choose “Still”.',
      screenS: samples.screenS[rowAt(samples, fromS)],
      value: lengthM,
      limit: LEAST_TRAVEL_M,
      unit: 'm',
      said: `${lengthM.toFixed(2)} m`,
      measure: 'travel',
    };
  });
}

export const goesNowhere = define(KINDS, ({ intent, filmed }: RigCase) => travelFindings(intent, filmed));
