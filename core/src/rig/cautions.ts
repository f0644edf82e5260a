import type { Rig, RigKind } from '../model/kit';
import type { Setup } from '../model/shoot';
import { sayLength, saySpeed, type Units } from '../model/units';
import { largest } from '../motion/columns';
import { pathLengthM, type Samples } from '../motion/sample';
import { placeOverTime } from '../motion/walk';
import { groundHeightM, groundPieces } from '../site/ground';
import type { Approach } from './people';

/** A risk that the plan makes relevant, what people usually do about it, and who decides. Never graded. */
export interface Caution {
  id: string;
  sentence: string;
}

/** Every caution ends with who decides. */
export const DECIDES = 'Local law, the location’s rules and licensed or qualified people decide.';
const ON_FOOT = new Set<RigKind>(['gimbal', 'sled', 'hand', 'bodyMount']);
/** In the air or on an arm over whatever is below. */
const OVERHEAD = new Set<RigKind>(['drone', 'jib', 'rope', 'rollLever', 'tableTopArm']);
const STANDS = new Set<RigKind>(['slider', 'jib', 'tableTopArm', 'rollLever', 'rope']);
/** What cannot stop within a step. */
const FAST = new Set<RigKind>(['drone', 'wheels', 'vehicle', 'rope']);
const IN_WIND = new Set<RigKind>(['drone', 'sled', 'jib', 'rope']);

/** The cautions of a shot: common practice, no published source. */
export function cautionsOf(setup: Setup, samples: Samples, heights: Float64Array, approaches: readonly Approach[], units: Units): Caution[] {
  const { limits } = setup;
  const { rig } = setup;
  const length = (m: number) => sayLength(m, units);
  const cautions: Caution[] = [];
  const add = (id: string, sentence: string) => cautions.push({ id, sentence: `${sentence} ${DECIDES}` });

  const held = isHandHeldDrone(rig);
  if (rig.kind === 'drone')
    add(
      'drone',
      held
        ? 'A drone held in the hand: crews usually take the propellers off and make sure that the motors cannot start.'
        : 'Spinning rotors near or above people: crews usually keep everyone clear of the whole path, keep a spotter watching the sky, and check airspace, airfields, parks’ rules, wind and battery first.',
    );
  const under = OVERHEAD.has(rig.kind) || rig.armM > 0 ? personUnder(setup, samples) : null;
  if (under)
    add('overhead', `The camera passes above ${under}: crews usually tie camera and lens to the rig with a second line of their own, and keep people from standing below.`);
  if (rig.kind === 'rope')
    add('rope', 'A camera on a rope: crews usually add a second, independent line without exception, and have a qualified rigger judge every knot and point.');
  if (rig.kind === 'vehicle' || rig.kind === 'wheels')
    add(
      'wheels',
      `A moving ${rig.kind === 'vehicle' ? 'vehicle' : 'board'} near people: crews usually have one to drive who watches the way and one to operate who watches the frame, clear the way, strap the lens, and agree a word that stops it.`,
    );
  if (STANDS.has(rig.kind))
    add('stands', 'Arms and rails at full reach can tip: crews usually put bags on the feet, level again after every move of the rig, and tape down cables.');
  if (ON_FOOT.has(rig.kind) && walksBackwards(samples))
    add('backwards', 'The operator walks backwards: crews usually walk the path once looking, clear it, and have a helper guide by the shoulder.');
  if (ON_FOOT.has(rig.kind) || held) {
    const edge = edgeNear(setup, samples);
    if (edge)
      add(
        'edge',
        `The path comes within a step of a drop of ${length(edge)}: crews usually mark the edge, keep eyes off the screen there, and have somebody hold the operator’s belt.`,
      );
  }
  const minutes = samples.tS[samples.count - 1] / 60;
  if (rig.runMin > 0 && minutes > rig.runMin * limits.tightShare)
    add('battery', `One take lasts ${minutes.toFixed(1)} minutes and ${rig.name} about ${rig.runMin}: crews usually land, or put it down, with a good part left.`);
  if ((rig.kind === 'hand' || rig.kind === 'gimbal') && (largest(heights)?.value ?? 0) > 1.9)
    add('arms', 'Held above the head: arms tire within a minute, and a tired arm drops things. Crews usually rest between takes and keep people out from under it.');
  if (IN_WIND.has(rig.kind) && !held) add('wind', 'Wind moves this rig: crews usually measure it where the camera will be, not on the ground, and wait or take another rig.');
  for (const { pieceId, name, distanceM, closingMps, tS } of approaches)
    if (distanceM < limits.closePersonM || (distanceM < (FAST.has(rig.kind) ? limits.closingFastM : limits.closingPersonM) && closingMps > 0.3))
      add(
        `close.${pieceId}`,
        `The camera comes within ${length(distanceM)} of ${name} at ${tS.toFixed(1)} s${closingMps > 0.05 ? `, closing at up to ${saySpeed(closingMps, units)}` : ''}: crews usually plan the miss, walk it through slowly with the person first and agree a word that stops it.`,
      );
  return cautions;
}

/** A drone that cannot climb or travel as one flies. */
function isHandHeldDrone(rig: Rig): boolean {
  return rig.kind === 'drone' && rig.bankMaxDeg === 0;
}

/** Somebody the camera passes above, within a metre and a half on the ground; null when there is nobody. */
function personUnder({ pieces, shot }: Setup, samples: Samples): string | null {
  const spot = new Float64Array(3);
  for (const piece of pieces) {
    if (piece.kind !== 'figure') continue;
    const walk = placeOverTime(shot.walks, piece.id, piece);
    for (let row = 0; row < samples.count; row += 4) {
      walk(samples.tS[row], spot);
      if (samples.zM[row] > spot[2] + piece.heightM && Math.hypot(samples.xM[row] - spot[0], samples.yM[row] - spot[1]) < 1.5) return piece.name;
    }
  }
  return null;
}

const EDGE_REACH_M = 0.6;
const EDGE_DROP_M = 0.5;

/** The deepest drop of the ground within a step of the path, metres; 0 when there is none. */
function edgeNear(setup: Setup, samples: Samples): number {
  const ground = groundPieces(setup.pieces);
  if (ground.length === 0) return 0;
  const stride = Math.max(1, Math.ceil(samples.count / 60));
  let deepest = 0;
  for (let row = 0; row < samples.count; row += stride) {
    const here = groundHeightM(ground, samples.xM[row], samples.yM[row]);
    for (let k = 0; k < 8; k += 1) {
      const angle = (k * Math.PI) / 4;
      const dropM = here - groundHeightM(ground, samples.xM[row] + EDGE_REACH_M * Math.sin(angle), samples.yM[row] + EDGE_REACH_M * Math.cos(angle));
      if (dropM > EDGE_DROP_M) deepest = Math.max(deepest, dropM);
    }
  }
  return deepest;
}

/** Whether the camera ever travels mostly away from where it looks. */
function walksBackwards(samples: Samples): boolean {
  if (pathLengthM(samples) < 0.3) return false;
  const { count, xM, yM, panDeg } = samples;
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
