import { type Scene, distanceToThingM, type Thing } from '../../scene';
import type { Samples } from '../../motion';
import { playingMoment } from './playing-moment';

/** How near something that goes comes to somebody: when, how near and how fast. */
export interface Pass {
  moverId: string;
  mover: string;
  whoId: string;
  who: string;
  /** Seconds on screen. */
  screenS: number;
  distanceM: number;
  closingMps: number;
  passingMps: number;
  /** Time left to step aside at that speed, s; null where nothing moves. */
  toStepAsideS: number | null;
}

/** The strip of ground that something sweeps, and where people usually stand back to. */
export interface Sweep {
  /** The piece that sweeps it; null: the camera and whatever carries it. */
  pieceId: string | null;
  name: string;
  /** Its middle, x and y after each other, metres. */
  way: Float64Array;
  /** Half as wide as what goes there. */
  halfM: number;
  /** From its edge to the line behind which people usually stand. */
  standBackM: number;
  fastestMps: number;
}

const STEP_S = 0.1;
const MOST_STEPS = 1200;
const BODY_M = 0.25;
const STANDING_M = 1.7;
const NEAR_ENOUGH_M = 12;
/** What goes slower than this is seen and stepped round, m/s: common practice, no published source. */
const SLOW_MPS = 1.5;
const FAST_MPS = 3;
/**
 * How far from the edge of a way people usually stand: an arm's length from what goes at a walk, five metres from
 * whatever is faster than a run. Common practice, no published source.
 */
export const standBackM = (mps: number): number => (mps < SLOW_MPS ? 1 : mps < FAST_MPS ? 2 : 5);

const goes = (thing: Thing, { shot }: Scene) =>
  shot.walks.some(({ pieceId, points }) => pieceId === thing.piece.id && points.length > 1);
const isPerson = ({ piece }: Thing) => piece.kind === 'figure';
/** Whoever stands on or rides a thing is not passed by it. */
const together = (a: Thing, b: Thing) => a.piece.on === b.piece.id || b.piece.on === a.piece.id;

/** Every pass of something that goes by somebody who stands or goes, the nearest first. */
export function passesOf(scene: Scene, samples: Samples): Pass[] {
  const movers = scene.things.filter((thing) => goes(thing, scene));
  const people = scene.things.filter(isPerson);
  const passes: Pass[] = [];
  for (const mover of movers)
    for (const who of people) {
      if (mover === who || together(mover, who)) continue;
      // Two who walk are told once, by who is the faster or first.
      if (isPerson(mover) && movers.indexOf(who) !== -1 && movers.indexOf(who) < movers.indexOf(mover)) continue;
      const pass = passOf(mover, who, scene, samples);
      if (pass) passes.push(pass);
    }
  return passes.sort((a, b) => a.distanceM - b.distanceM);
}

function passOf(mover: Thing, who: Thing, { durationS }: Scene, samples: Samples): Pass | null {
  const steps = Math.min(MOST_STEPS, Math.max(2, Math.ceil(durationS / STEP_S)));
  const stepS = durationS / steps;
  const [here, there, before, then] = Array.from({ length: 4 }, () => new Float64Array(3));
  let closest = { distanceM: Infinity, tS: 0, passingMps: 0 };
  let closingMps = 0;
  const distances = new Float64Array(steps + 1);
  for (let k = 0; k <= steps; k += 1) {
    const tS = k * stepS;
    who.at(tS, here);
    mover.at(tS, there);
    const distanceM = Math.max(
      0,
      distanceToThingM(mover, tS, here[0], here[1], here[2], here[2] + STANDING_M) - BODY_M,
    );
    distances[k] = distanceM;
    const apart =
      k === 0
        ? 0
        : Math.hypot(
            there[0] - here[0] - (then[0] - before[0]),
            there[1] - here[1] - (then[1] - before[1]),
            there[2] - here[2] - (then[2] - before[2]),
          ) / stepS;
    if (distanceM < closest.distanceM - 1e-9) closest = { distanceM, tS, passingMps: apart };
    else if (tS - closest.tS < 0.35) closest.passingMps = Math.max(closest.passingMps, apart);
    before.set(here);
    then.set(there);
  }
  if (closest.distanceM > NEAR_ENOUGH_M) return null;
  const at = Math.round(closest.tS / stepS);
  for (let k = Math.max(1, at - Math.round(2 / stepS)); k <= at; k += 1)
    closingMps = Math.max(closingMps, (distances[k - 1] - distances[k]) / stepS);
  const fastest = Math.max(closest.passingMps, closingMps);
  if (fastest < 0.3) return null;
  return {
    moverId: mover.piece.id,
    mover: mover.piece.name,
    whoId: who.piece.id,
    who: who.piece.name,
    screenS: playingMoment(samples, closest.tS),
    distanceM: closest.distanceM,
    closingMps,
    passingMps: closest.passingMps,
    toStepAsideS: closest.distanceM / fastest,
  };
}

/** What rolls or flies by itself with the camera on it. */
const CARRIES_ALONG = new Set(['wheels', 'vehicle', 'drone']);

/** The strips of ground that are swept in a shot by whatever is faster than a stroll. */
export function sweepsOf(scene: Scene, samples: Samples): Sweep[] {
  const sweeps: Sweep[] = [];
  const spot = new Float64Array(3);
  for (const thing of scene.things) {
    if (!goes(thing, scene)) continue;
    const steps = Math.min(MOST_STEPS, Math.max(2, Math.ceil(scene.durationS / STEP_S)));
    const way = new Float64Array(2 * (steps + 1));
    for (let k = 0; k <= steps; k += 1) {
      thing.at((scene.durationS * k) / steps, spot);
      way.set([spot[0], spot[1]], 2 * k);
    }
    const fastestMps = fastestOf(way, scene.durationS / steps);
    if (fastestMps < SLOW_MPS) continue;
    const { id, name, depthM } = thing.piece;
    sweeps.push({ pieceId: id, name, way, halfM: depthM / 2, standBackM: standBackM(fastestMps), fastestMps });
  }
  if (CARRIES_ALONG.has(scene.rig.kind) && !scene.carries) {
    const stride = Math.max(1, Math.ceil(samples.count / 400));
    const rows = Array.from({ length: Math.ceil(samples.count / stride) }, (_, k) => k * stride);
    const way = Float64Array.from(rows.flatMap((row) => [samples.xM[row], samples.yM[row]]));
    const fastestMps = fastestOf(way, stride / samples.captureRateHz);
    if (fastestMps >= SLOW_MPS)
      sweeps.push({
        pieceId: null,
        name: scene.rig.name,
        way,
        halfM: Math.max(0.3, scene.rig.clearM),
        standBackM: standBackM(fastestMps),
        fastestMps,
      });
  }
  return sweeps;
}

function fastestOf(way: Float64Array, stepS: number): number {
  let most = 0;
  for (let i = 2; i < way.length; i += 2)
    most = Math.max(most, Math.hypot(way[i] - way[i - 2], way[i + 1] - way[i - 1]) / stepS);
  return most;
}

/**
 * The camera crosses the way of something that goes: how many seconds after it has passed there, or (below 0) before it
 * comes. The narrowest such moment; null where it does not cross.
 */
export function crossingOf(
  { way, halfM }: Sweep,
  durationS: number,
  samples: Samples,
): { gapS: number; row: number } | null {
  const count = way.length / 2;
  let narrowest: { gapS: number; row: number } | null = null;
  const stride = Math.max(1, Math.ceil(samples.count / 240));
  for (let row = 0; row < samples.count; row += stride) {
    for (let k = 0; k < count; k += 1) {
      if (Math.hypot(samples.xM[row] - way[2 * k], samples.yM[row] - way[2 * k + 1]) > halfM + BODY_M) continue;
      const gapS = samples.tS[row] - (durationS * k) / (count - 1);
      if (narrowest === null || Math.abs(gapS) < Math.abs(narrowest.gapS)) narrowest = { gapS, row };
    }
  }
  return narrowest;
}
