import { AIM_MODES, type AimMode } from '../model';
import { sceneFrom, type Scene } from '../scene';
import { motionOf, sampleShot } from '../motion';
import { subjectInFrame } from './subject-in-frame';

/** Rows a second that drift is looked at: it is slow. */
const MOST_RATE_HZ = 24;

/**
 * How far the subject leaves its place under each way of turning the camera, for this very shot: the largest distance
 * on screen, frame widths; Infinity when it leaves the picture altogether, null without a subject, and where the moves
 * themselves say where to look.
 */
export function driftByAim(scene: Scene): Record<AimMode, number> | null {
  if (!scene.subject || motionOf(scene).intent.looksWhereMovesSay) return null;
  const drift = (mode: AimMode): number => {
    const given = sceneFrom({
      ...scene,
      shot: {
        ...scene.shot,
        captureRateHz: Math.min(MOST_RATE_HZ, scene.shot.captureRateHz),
        aim: { ...scene.shot.aim, mode },
        look: { ...scene.shot.look, mode: null },
        then: scene.shot.then.map((leg) => ({ ...leg, look: { ...leg.look, mode: null } })),
      },
    });
    const motion = motionOf(given);
    const samples = sampleShot(given, motion);
    const seen = subjectInFrame(samples, given);
    const wanted = { u: 0, v: 0 };
    const aspect = samples.frameWidthMm / samples.frameHeightMm;
    let most = 0;
    for (let row = 0; row < samples.count; row += 1) {
      motion.intent.placeAt(samples.tS[row], wanted);
      const away = Math.hypot(seen.u[row] - wanted.u, (seen.v[row] - wanted.v) / aspect);
      if (!(away <= most))
        most = Number.isNaN(away) || Math.abs(seen.u[row]) > 0.5 || Math.abs(seen.v[row]) > 0.5 ? Infinity : away;
      if (most === Infinity) break;
    }
    return most;
  };
  return Object.fromEntries(AIM_MODES.map((mode) => [mode, drift(mode)])) as Record<AimMode, number>;
}
