import type { Finding } from '../finding';
import { LEAST_TRAVEL_M, type Intent } from '../../motion/intent';
import type { Samples } from '../../motion/sample';
import { rowAt } from '../../motion/shown';

/** A move that lives from travel and has none: its length, or its time, is nothing. */
export function travelFindings({ strokes }: Intent, samples: Samples): Finding[] {
  return strokes.flatMap(({ goesNowhere, fromS }, k) => {
    if (!goesNowhere) return [];
    const { name, lengthM, noTime } = goesNowhere;
    return {
      id: strokes.length > 1 ? `travel.${k + 1}` : 'travel',
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
