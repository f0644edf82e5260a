import type { Scene } from '../scene';
import type { Intent } from './intent';
import { motionOf, type ShotMotion } from './legs';
import { playingOf } from './playback';
import { filmShot, type Samples } from './sample';
import { asShown } from './shown';

/**
 * A camera's way through a scene, planned or recorded: what was filmed, what of it is shown, and what it was meant to
 * do. Whoever measures and judges asks for this and not for how it came about.
 */
export interface Film {
  scene: Scene;
  /** What the audience sees, one row a frame shown. */
  samples: Samples;
  /** What the camera did, one row a frame recorded. The same unless the shot is ramped or reversed. */
  filmed: Samples;
  intent: Intent;
}

/** The film that a shot's plan gives. */
export function plannedFilm(scene: Scene, motion: ShotMotion = motionOf(scene)): Film {
  return recordedFilm(scene, filmShot(scene, motion), motion.intent);
}

/** The film of a way that was recorded, one row a frame, as the scene's shot plays it. */
export function recordedFilm(scene: Scene, filmed: Samples, intent: Intent): Film {
  return { scene, filmed, samples: asShown(filmed, scene.shot, playingOf(scene.shot, scene.durationS)), intent };
}
