import { DECIDES, type Rig, type RigKind, sayLength, saySpeed, type Units } from '../../model';
import type { Scene } from '../../scene';
import { largest, pathLengthM, type Samples } from '../../motion';
import { groundHeightM, groundPieces } from '../../site';
import { concernOf, type Approach } from './approaches';
import { crossingOf, type Pass, type Sweep } from './passes';
import { rollsOn } from '../rig/riding';
import { wheelsStop } from '../../supports';

/** A risk that the plan makes relevant, what people usually do about it, and who decides. Never graded. */
export interface Caution {
  id: string;
  sentence: string;
  /** People can be hurt within the time it takes to step aside: shown first, and apart. */
  strongest: boolean;
}

const ON_FOOT = new Set<RigKind>(['gimbal', 'sled', 'hand', 'bodyMount']);
/** In the air or on an arm over whatever is below. */
const OVERHEAD = new Set<RigKind>(['drone', 'jib', 'rope', 'rollLever', 'tableTopArm', 'drop', 'hoist']);
const STANDS = new Set<RigKind>(['slider', 'jib', 'tableTopArm', 'rollLever', 'rope']);
const IN_WIND = new Set<RigKind>(['drone', 'sled', 'jib', 'rope', 'hoist', 'float']);

/** Who comes near whom in a shot. */
export interface Near {
  approaches: readonly Approach[];
  passes: readonly Pass[];
  sweeps: readonly Sweep[];
}

/** From this speed on somebody who is hit is hurt, m/s: a run. Common practice, no published source. */
const FAST_MPS = 3;

/** The cautions of a shot: common practice, no published source. */
export function cautionsOf(
  scene: Scene,
  samples: Samples,
  heights: Float64Array,
  { approaches, passes, sweeps }: Near,
  units: Units,
): Caution[] {
  const { limits } = scene;
  const { rig } = scene;
  const length = (m: number) => sayLength(m, units);
  const cautions: Caution[] = [];
  const add = (id: string, sentence: string) =>
    cautions.push({ id, sentence: `${sentence} ${DECIDES}`, strongest: false });
  const strongest = (id: string, sentence: string) =>
    cautions.unshift({ id, sentence: `${sentence} ${DECIDES}`, strongest: true });

  const held = isHandHeldDrone(rig);
  if (rig.kind === 'drone')
    add(
      'drone',
      held
        ? 'A drone held in the hand: crews usually take the propellers off and make sure that the motors cannot start.'
        : 'Spinning rotors near or above people: crews usually keep everyone clear of the whole path, keep a ' +
            'spotter watching the sky, and check airspace, airfields, parks’ rules, wind and battery first.',
    );
  const under = OVERHEAD.has(rig.kind) || rig.armM > 0 ? personUnder(scene, samples) : null;
  if (under)
    add(
      'overhead',
      `The camera passes above ${under}: crews usually tie camera and lens to the rig with a second line of ` +
        'their own, and keep people from standing below.',
    );
  if (rig.kind === 'rope')
    add(
      'rope',
      'A camera on a rope: crews usually add a second, independent line without exception, and have a qualified ' +
        'rigger judge every knot and point.',
    );
  if (rig.kind === 'drop')
    add(
      'drop',
      'A camera that falls: crews usually try net or cushion with something of the same weight, keep everybody out ' +
        'from under and beside it, guide it by strings, and fix a mirror so that it cannot come down.',
    );
  if (rig.kind === 'hoist')
    add(
      'hoist',
      'A camera on a hoist: crews usually add a second line to a point of its own, have a qualified rigger judge ' +
        'pulley, knots and points, and nobody stands below.',
    );
  if (rig.kind === 'float')
    add(
      'water',
      'A camera on water: crews usually keep mains and chargers away from it, a line on plate and camera, and ' +
        'somebody who watches whoever leans over or wades.',
    );
  const rolls = rollsOn(scene);
  if (rolls)
    add(
      'wheels',
      `A moving ${rolls === 'vehicle' ? 'vehicle' : 'board'} near people: crews usually have one to drive who ` +
        'watches the way and one to operate who watches the frame, clear the way, strap the lens, and agree a ' +
        `word that stops it. ${stopping(samples, heights, length)} Sand, mud, wet grass and water are not on ` +
        'the plan and not counted.',
    );
  if (STANDS.has(rig.kind))
    add(
      'stands',
      'Arms and rails at full reach can tip: crews usually put bags on the feet, level again after every move ' +
        'of the rig, and tape down cables.',
    );
  if (scene.carries)
    add(
      'mount',
      `The camera is fixed to ${scene.subject?.name ?? 'whoever carries it'}: crews usually add a second line of its ` +
        'own to camera and lens, strap the lens against the shaking, keep the carrier’s view and grip free, and ask ' +
        'people who will be in the picture.',
    );
  if (ON_FOOT.has(rig.kind) && walksBackwards(samples))
    add(
      'backwards',
      'The operator walks backwards: crews usually walk the path once looking, clear it, and have a helper ' +
        'guide by the shoulder.',
    );
  if (ON_FOOT.has(rig.kind) || held) {
    const edge = edgeNear(scene, samples);
    if (edge)
      add(
        'edge',
        `The path comes within a step of a drop of ${length(edge)}: crews usually mark the edge, keep eyes off ` +
          'the screen there, and have somebody hold the operator’s belt.',
      );
  }
  const minutes = samples.tS[samples.count - 1] / 60;
  if (rig.runMin > 0 && minutes > rig.runMin * limits.tightShare)
    add(
      'battery',
      `One take lasts ${minutes.toFixed(1)} minutes and ${rig.name} about ${rig.runMin}: crews usually land, or ` +
        'put it down, with a good part left.',
    );
  if ((rig.kind === 'hand' || rig.kind === 'gimbal') && (largest(heights)?.value ?? 0) > 1.9)
    add(
      'arms',
      'Held above the head: arms tire within a minute, and a tired arm drops things. Crews usually rest between ' +
        'takes and keep people out from under it.',
    );
  if (IN_WIND.has(rig.kind) && !held)
    add(
      'wind',
      'Wind moves this rig: crews usually measure it where the camera will be, not on the ground, and wait or ' +
        'take another rig.',
    );
  for (const pass of passes) {
    const concern = concernOf(pass, limits);
    if (concern === null) continue;
    const fastest = saySpeed(Math.max(pass.closingMps, pass.passingMps), units);
    const meets = pass.distanceM < 0.05 ? 'meets' : `passes within ${length(pass.distanceM)} of`;
    const said = `${pass.mover} ${meets} ${pass.who} at ${pass.screenS.toFixed(1)} s, at up to ${fastest}`;
    if (concern === 'strongest')
      strongest(
        `pass.${pass.moverId}.${pass.whoId}`,
        `${said}: ${(pass.toStepAsideS ?? 0).toFixed(1)} s to step aside. Crews usually move one of the two ways ` +
          'apart, rehearse it slowly, and have a word that stops it.',
      );
    else
      add(
        `pass.${pass.moverId}.${pass.whoId}`,
        `${said}: crews usually plan the miss, say who goes when, and try it at a walk first.`,
      );
  }
  for (const sweep of sweeps) {
    if (sweep.pieceId === null || (scene.carries && sweep.pieceId === scene.subject?.id)) continue;
    const crossing = crossingOf(sweep, scene.durationS, samples);
    if (!crossing || sweep.fastestMps < FAST_MPS) continue;
    const { gapS, row } = crossing;
    const gap = `${Math.abs(gapS).toFixed(1)} s`;
    const when = `at ${samples.screenS[row].toFixed(1)} s`;
    if (gapS < 0)
      strongest(
        `cross.${sweep.pieceId}`,
        `The camera is in the way of ${sweep.name} ${when}, ${gap} before it comes at up to ` +
          `${saySpeed(sweep.fastestMps, units)}. Crews usually wait beside the way until it has passed.`,
      );
    else
      add(
        `cross.${sweep.pieceId}`,
        `The camera steps into the way of ${sweep.name} ${when}, ${gap} after it has passed: crews usually agree who ` +
          'is the last to come, and somebody watches the way behind.',
      );
  }
  for (const approach of approaches) {
    const { pieceId, name, person, distanceM, closingMps, passingMps, toStepAsideS, screenS } = approach;
    const concern = concernOf(approach, limits);
    if (concern === null) continue;
    const near =
      `The camera ${distanceM < 0.05 ? 'meets' : `comes within ${length(distanceM)} of`} ${name} at ` +
      `${screenS.toFixed(1)} s`;
    const pace =
      closingMps > 0.05
        ? `, closing at up to ${saySpeed(closingMps, units)}`
        : passingMps > 0.3
          ? `, passing at ${saySpeed(passingMps, units)}`
          : '';
    if (concern === 'strongest')
      strongest(
        `close.${pieceId}`,
        `${near}, passing at up to ${saySpeed(Math.max(closingMps, passingMps), units)}: ` +
          `${(toStepAsideS ?? 0).toFixed(1)} s to step aside. ` +
          `Crews usually do not put a ${person ? 'person' : 'camera with a person'} there: they clear the way, ` +
          'leave the camera alone or far off on a long lens, and rehearse it slowly with a stop word.',
      );
    else
      add(
        `close.${pieceId}`,
        `${near}${pace}: crews usually plan the miss, walk it through slowly with the person first and agree a ` +
          'word that stops it.',
      );
  }
  return cautions;
}

/** Grip of tyres on dry hard ground, and the time until somebody brakes: common practice, no published source. */
const DRY = { grip: 0.5, reactionS: 1 };

/** How far it takes to stop at the fastest of the plan, on the steepest way down. */
function stopping(samples: Samples, heights: Float64Array, length: (m: number) => string): string {
  let [speedMps, downhillDeg] = [0, 0];
  const groundM = (row: number) => samples.zM[row] - heights[row];
  for (let row = 1; row < samples.count; row += 1) {
    const alongM = Math.hypot(samples.xM[row] - samples.xM[row - 1], samples.yM[row] - samples.yM[row - 1]);
    speedMps = Math.max(speedMps, alongM * samples.captureRateHz);
    const fallM = groundM(row - 1) - groundM(row);
    if (alongM > 1e-4 && fallM > 1e-6 && fallM < alongM)
      downhillDeg = Math.max(downhillDeg, (Math.atan2(fallM, alongM) * 180) / Math.PI);
  }
  const { stoppingM } = wheelsStop({ speedMps, downhillDeg, ...DRY, massKg: 1, wheelMm: 200 });
  if (!Number.isFinite(stoppingM))
    return `Down ${downhillDeg.toFixed(0)}° brakes do not stop it even on dry hard ground.`;
  return (
    `From its fastest it needs ${length(stoppingM)} to stop on dry hard ` +
    `ground${downhillDeg > 0.5 ? `, ${downhillDeg.toFixed(0)}° downhill` : ''}.`
  );
}

/** A drone that cannot climb or travel as one flies. */
function isHandHeldDrone(rig: Rig): boolean {
  return rig.kind === 'drone' && rig.bankMaxDeg === 0;
}

/** Somebody the camera passes above, within a metre and a half on the ground; null when there is nobody. */
function personUnder({ things }: Scene, samples: Samples): string | null {
  const spot = new Float64Array(3);
  for (const { piece, at: walk } of things) {
    if (piece.kind !== 'figure') continue;
    for (let row = 0; row < samples.count; row += 4) {
      walk(samples.tS[row], spot);
      if (
        samples.zM[row] > spot[2] + piece.heightM &&
        Math.hypot(samples.xM[row] - spot[0], samples.yM[row] - spot[1]) < 1.5
      )
        return piece.name;
    }
  }
  return null;
}

const EDGE_REACH_M = 0.6;
const EDGE_DROP_M = 0.5;

/** The deepest drop of the ground within a step of the path, metres; 0 when there is none. */
function edgeNear(scene: Scene, samples: Samples): number {
  const ground = groundPieces(scene.pieces);
  if (ground.length === 0) return 0;
  const stride = Math.max(1, Math.ceil(samples.count / 60));
  let deepest = 0;
  for (let row = 0; row < samples.count; row += stride) {
    const here = groundHeightM(ground, samples.xM[row], samples.yM[row]);
    for (let k = 0; k < 8; k += 1) {
      const angle = (k * Math.PI) / 4;
      const dropM =
        here -
        groundHeightM(
          ground,
          samples.xM[row] + EDGE_REACH_M * Math.sin(angle),
          samples.yM[row] + EDGE_REACH_M * Math.cos(angle),
        );
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
