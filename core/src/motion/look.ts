import { eased, type Scene } from '../scene';
import { aimAt, type PanTilt } from './aim';
import type { LegMotion, ShotMotion } from './legs';
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
  const looks = motion.legs.map((leg) => legLook(scene, motion, leg, frameWidthMm, frameHeightMm));
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

function legLook(
  scene: Scene,
  motion: ShotMotion,
  { recipe, move, leg, pace, shareAt, moveFrame }: LegMotion,
  frameWidthMm: number,
  frameHeightMm: number,
): LookAt {
  const { mode, place: where } = scene.shot.aim;
  const rule = recipe.aim(move);
  const upM = middleM(scene, motion);
  const offCentre = Math.abs(where.u) + Math.abs(where.v);
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
    motion.subjectAt?.(timeOf(share), at);
    return { eye, at: Float64Array.from(base(at)) };
  };
  const held =
    rule.base === 'locked' ? heldFrom(rule.at) : rule.base === 'asked' && mode === 'locked' ? heldFrom(0.5) : null;
  const heldTilt = rule.base === 'asked' && mode === 'panFollow' ? heldFrom(leg.backwards ? 1 : 0) : null;
  const pivotPoint = Float64Array.of(moveFrame.pivot.xM, moveFrame.pivot.yM, moveFrame.pivot.zM);

  return (tS, place, subject, focalLengthMm, out) => {
    turnFrom(tS, place, subject, focalLengthMm, out);
    if (out.rollDeg === 0 || offCentre === 0) return;
    unroll(out.rollDeg);
    turnFrom(tS, place, subject, focalLengthMm, out);
    unroll(0);
  };

  function turnFrom(tS: number, place: Float64Array, subject: Float64Array, focalLengthMm: number, out: Look): void {
    begin(rule, place, subject, focalLengthMm);
    out.panDeg = aim.panDeg;
    out.tiltDeg = aim.tiltDeg;
    out.rollDeg = 0;
    recipe.turn?.(move, shareAt(tS), out);
  }

  function begin(given: AimRule, place: Float64Array, subject: Float64Array, focalLengthMm: number): void {
    if (given.base === 'down') {
      aim.panDeg = given.bottomDeg + 180;
      aim.tiltDeg = -90;
    } else if (given.base === 'pivot') towards(place, pivotPoint, given.heightM, focalLengthMm);
    else if (held) towards(held.eye, held.at, upM, focalLengthMm);
    else if (heldTilt) {
      towards(heldTilt.eye, heldTilt.at, upM, focalLengthMm);
      const { tiltDeg } = aim;
      towards(place, base(subject), upM, focalLengthMm);
      aim.tiltDeg = tiltDeg;
    } else towards(place, base(subject), upM, focalLengthMm);
  }
}
