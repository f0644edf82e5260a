import type { Place } from '../model';
import { eased, type Scene, type Stance } from '../scene';
import { aimAt, type PanTilt } from './aim';
import { carriedLook } from './carried';
import type { Gone } from './going';
import type { ShotMotion } from './legs';
import type { AimRule, Look } from './moves/recipe';
import { nearestTurn } from '../site';
import { baseOf, middleM } from './stand-in';

/**
 * Where the hand wants the camera to look from a place at a moment, the subject being at a place, through a focal
 * length.
 */
export type LookAt = (tS: number, place: Float64Array, subject: Float64Array, focalLengthMm: number, out: Look) => void;

/** The look of a whole shot: each leg's own, passed softly from one leg to the next. */
export function lookOf(scene: Scene, motion: ShotMotion, frameWidthMm: number, frameHeightMm: number): LookAt {
  const looks = motion.legs.map((_, k) => legLook(scene, motion, k, frameWidthMm, frameHeightMm));
  const next: Look = { panDeg: 0, tiltDeg: 0, rollDeg: 0 };
  return (tS, place, subject, focalLengthMm, out) => {
    let begun = 0;
    for (let k = 1; k < looks.length; k += 1) if (tS > motion.legs[k].fromS) begun = k;
    let from = begun;
    while (from > 0 && tS < motion.legs[from].lookFromS) from -= 1;
    looks[from](tS, place, subject, focalLengthMm, out);
    for (let k = from + 1; k <= begun; k += 1) {
      const { fromS, lookFromS } = motion.legs[k];
      const share = eased((tS - fromS) / (lookFromS - fromS));
      looks[k](tS, place, subject, focalLengthMm, next);
      out.panDeg += (nearestTurn(next.panDeg, out.panDeg) - out.panDeg) * share;
      out.tiltDeg += (next.tiltDeg - out.tiltDeg) * share;
      out.rollDeg += (next.rollDeg - out.rollDeg) * share;
    }
  };
}

/**
 * Where the part belongs in the frame when a move begins and when it ends: each goes on from the one before it. One that
 * runs backwards ends where it would have begun.
 */
export function placesOf({ shot, timeline }: Scene, index: number): { from: Place; to: Place } {
  let from = shot.aim.place;
  for (let k = 0; k < index; k += 1) {
    const { look, backwards } = timeline[k].leg;
    if (!backwards) from = look.toPlace ?? from;
  }
  return { from, to: timeline[index].leg.look.toPlace ?? from };
}

function legLook(scene: Scene, motion: ShotMotion, index: number, frameWidthMm: number, frameHeightMm: number): LookAt {
  const { recipe, move, leg, pace, shareAt, moveFrame, gone, momentAt } = motion.legs[index];
  const mode = leg.look.mode ?? scene.shot.aim.mode;
  const { from: fromPlace, to: toPlace } = placesOf(scene, index);
  const placed = fromPlace !== toPlace;
  /** Where the part belongs in the frame at the moment. */
  const where = { ...fromPlace };
  const { fromRollDeg, toRollDeg } = leg.look;
  const rule = recipe.aim(move);
  const upM = middleM(scene, motion);
  const aim: PanTilt = { panDeg: 0, tiltDeg: 0 };
  const base = baseOf(motion, moveFrame);
  /** The place as an unrolled camera would see it, so that a rolled one has it where it is asked for. */
  const level = { u: 0, w: 0 };
  const aspect = frameHeightMm / frameWidthMm;
  const unroll = (rollDeg: number) => {
    const [cos, sin] = [Math.cos((rollDeg * Math.PI) / 180), Math.sin((rollDeg * Math.PI) / 180)];
    level.u = cos * where.u + sin * where.v * aspect;
    level.w = cos * where.v * aspect - sin * where.u;
  };
  unroll(0);
  const towards = (eye: Float64Array, at: Float64Array, heightM: number, focalLengthMm: number) =>
    aimAt(
      at[0] - eye[0],
      at[1] - eye[1],
      at[2] + heightM - eye[2],
      (level.u * frameWidthMm) / focalLengthMm,
      (level.w * frameWidthMm) / focalLengthMm,
      aim,
    );

  const timeOf = (share: number) => pace.startS + (leg.backwards ? 1 - share : share) * (pace.endS - pace.startS);
  const heldFrom = (share: number) => {
    const eye = new Float64Array(3);
    const at = new Float64Array(3);
    motion.placeAt(timeOf(share), eye);
    motion.partAt?.(timeOf(share), at);
    return { eye, at: Float64Array.from(base(at)) };
  };
  const held =
    rule.base === 'locked' ? heldFrom(rule.at) : rule.base === 'asked' && mode === 'locked' ? heldFrom(0.5) : null;
  const heldTilt = rule.base === 'asked' && mode === 'panFollow' ? heldFrom(leg.backwards ? 1 : 0) : null;
  const pivotPoint = new Float64Array(3);
  const moved: Gone = { eastM: 0, northM: 0, upM: 0, turnDeg: 0 };
  const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };

  return (tS, place, subject, focalLengthMm, out) => {
    if (placed) {
      const share = shareAt(tS);
      where.u = fromPlace.u + (toPlace.u - fromPlace.u) * share;
      where.v = fromPlace.v + (toPlace.v - fromPlace.v) * share;
      unroll(0);
    }
    turnFrom(tS, place, subject, focalLengthMm, out);
    if (out.rollDeg === 0 || (where.u === 0 && where.v === 0)) return;
    unroll(out.rollDeg);
    turnFrom(tS, place, subject, focalLengthMm, out);
    unroll(0);
  };

  function turnFrom(tS: number, place: Float64Array, subject: Float64Array, focalLengthMm: number, out: Look): void {
    if (rule.base === 'carried') {
      moveFrame.stanceAt(momentAt(tS), stance);
      carriedLook(stance, rule.panDeg, rule.tiltDeg, out);
    } else {
      begin(rule, tS, place, subject, focalLengthMm);
      out.panDeg = aim.panDeg;
      out.tiltDeg = aim.tiltDeg;
      out.rollDeg = 0;
      recipe.turn?.(move, shareAt(tS), out);
    }
    out.rollDeg += fromRollDeg + (toRollDeg - fromRollDeg) * shareAt(tS);
  }

  function begin(given: AimRule, tS: number, place: Float64Array, subject: Float64Array, focalLengthMm: number): void {
    gone?.(momentAt(tS), moved);
    if (given.base === 'down') {
      aim.panDeg = given.bottomDeg + moved.turnDeg + 180;
      aim.tiltDeg = -90;
    } else if (given.base === 'pivot') {
      const { xM, yM, zM } = moveFrame.pivot;
      pivotPoint[0] = xM + moved.eastM;
      pivotPoint[1] = yM + moved.northM;
      pivotPoint[2] = zM + moved.upM;
      towards(place, pivotPoint, given.heightM, focalLengthMm);
    } else if (held) towards(held.eye, held.at, upM, focalLengthMm);
    else if (heldTilt) {
      towards(heldTilt.eye, heldTilt.at, upM, focalLengthMm);
      const { tiltDeg } = aim;
      towards(place, base(subject), upM, focalLengthMm);
      aim.tiltDeg = tiltDeg;
    } else towards(place, base(subject), upM, focalLengthMm);
  }
}
