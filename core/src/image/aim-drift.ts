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
  const { u, v } = scene.shot.aim.place;
  const drift = (mode: AimMode): number => {
    const given = sceneFrom({
      ...scene,
      shot: {
        ...scene.shot,
        captureRateHz: Math.min(MOST_RATE_HZ, scene.shot.captureRateHz),
        aim: { ...scene.shot.aim, mode },
      },
    });
    const samples = sampleShot(given, motionOf(given));
    const seen = subjectInFrame(samples, scene.subject);
    const aspect = samples.frameWidthMm / samples.frameHeightMm;
    let most = 0;
    for (let row = 0; row < samples.count; row += 1) {
      const away = Math.hypot(seen.u[row] - u, (seen.v[row] - v) / aspect);
      if (!(away <= most))
        most = Number.isNaN(away) || Math.abs(seen.u[row]) > 0.5 || Math.abs(seen.v[row]) > 0.5 ? Infinity : away;
      if (most === Infinity) break;
    }
    return most;
  };
  return Object.fromEntries(AIM_MODES.map((mode) => [mode, drift(mode)])) as Record<AimMode, number>;
}
