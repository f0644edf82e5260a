import type { Finding } from '../finding';
import type { ShotMotion } from '../../motion/legs';
import type { Samples } from '../../motion/sample';
import { rowAt } from '../../motion/shown';

const LEAST_M = 0.005;

/** A move that lives from travel and has none: its length, or its time, is nothing. */
export function travelFindings({ legs }: ShotMotion, samples: Samples): Finding[] {
  const at = new Float64Array(6);
  return legs.flatMap(({ recipe, track, momentAt, pace, shareAt, fromS }, k) => {
    if (!recipe.travels) return [];
    let lengthM = 0;
    track.write(0, momentAt(pace.startS), at, 0);
    for (let i = 1; i <= 8; i += 1) {
      track.write(i / 8, momentAt(pace.startS + ((pace.endS - pace.startS) * i) / 8), at, 3);
      lengthM += Math.hypot(at[3] - at[0], at[4] - at[1], at[5] - at[2]);
      at.copyWithin(0, 3, 6);
    }
    const which =
      legs.length > 1 ? `Move ${k + 1}, ${recipe.title.toLowerCase()},` : `The ${recipe.title.toLowerCase()}`;
    const noTime = pace.endS - pace.startS < 1e-6 && shareAt(-Infinity) !== shareAt(Infinity);
    if (lengthM >= LEAST_M && !noTime) return [];
    return {
      id: legs.length > 1 ? `travel.${k + 1}` : 'travel',
      grade: noTime ? ('cannot' as const) : ('tight' as const),
      sentence: noTime
        ? `${which} has no time to happen: the holds fill the whole duration. Shorten the holds or take longer.`
        : `${which} goes nowhere: its length is 0. Type a length, or drag one of its ends.`,
      reason: noTime
        ? 'The camera would have to jump.'
        : 'Without travel this is a still frame; if that is meant, choose “Still”.',
      screenS: samples.screenS[rowAt(samples, fromS)],
      value: lengthM,
      limit: LEAST_M,
      unit: 'm',
      said: `${lengthM.toFixed(2)} m`,
      measure: 'travel',
    };
  });
}
