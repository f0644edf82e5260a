import type { Setup } from '../model/shoot';
import { sayLength, type Units } from '../model/units';
import type { Samples } from '../motion/sample';
import { largest } from '../motion/columns';

/** A risk that the plan makes relevant, what people usually do about it, and who decides. Never graded. */
export interface Caution {
  id: string;
  sentence: string;
}

const DECIDES = 'Local law, the location’s rules and licensed or qualified people decide.';
const CLOSE_M = 1;

/** The cautions of a shot: common practice, no published source. */
export function cautionsOf({ rig, subject }: Setup, samples: Samples, units: Units): Caution[] {
  const cautions: Caution[] = [];
  if (rig.kind === 'drone')
    cautions.push({
      id: 'drone',
      sentence: `Spinning rotors near or above people: crews usually keep everyone clear of the whole path, keep a spotter watching the sky, and check airspace, wind and battery first. ${DECIDES}`,
    });
  if (rig.kind === 'gimbal' && walksBackwards(samples))
    cautions.push({
      id: 'backwards',
      sentence: `The operator walks backwards: crews usually walk the path once looking, clear it, and have a helper guide by the shoulder. ${DECIDES}`,
    });
  if (rig.kind === 'slider') cautions.push({ id: 'slider', sentence: `A rail at full reach can tip: crews usually put bags on the stands and tape down cables. ${DECIDES}` });
  const closest = largest(samples.focusDistanceM.map((m) => -m));
  if (subject?.kind === 'figure' && closest && -closest.value < CLOSE_M)
    cautions.push({
      id: 'close',
      sentence: `The camera comes within ${sayLength(-closest.value, units)} of ${subject.name}: crews usually walk it through slowly with the person first and agree a word that stops it. ${DECIDES}`,
    });
  return cautions;
}

/** Whether the camera ever travels mostly away from where it looks. */
function walksBackwards({ count, xM, yM, panDeg }: Samples): boolean {
  for (let i = 1; i < count; i += 1) {
    const dx = xM[i] - xM[i - 1];
    const dy = yM[i] - yM[i - 1];
    const travel = Math.hypot(dx, dy);
    if (travel < 1e-4) continue;
    const pan = (panDeg[i] * Math.PI) / 180;
    if ((dx * Math.sin(pan) + dy * Math.cos(pan)) / travel < -0.7) return true;
  }
  return false;
}
