import type { Film } from '../motion';
import { exposureTimeS } from '../optics';

/** What a time-lapse comes to: pictures, film, steps of the camera, card and battery. */
export interface TimeLapse {
  /** From one picture to the next, s. */
  intervalS: number;
  /** The shutter is open, and what is left to move and to settle, s. */
  exposureS: number;
  restS: number;
  frames: number;
  /** Length of the film, s. */
  filmS: number;
  /** Times faster than life. */
  faster: number;
  /** How far the camera goes and turns from one picture to the next, at most; m and degrees. */
  stepM: number;
  stepDeg: number;
  cardGB: number;
  batteries: number;
}

/** Below this many pictures a second a camera takes stills: common practice, no published source. */
export const STILLS_BELOW_HZ = 1;

/** Works out a time-lapse; null for a shot that is filmed. */
export function timeLapseOf({ scene, filmed, samples }: Film): TimeLapse | null {
  const { shot, camera } = scene;
  const { captureRateHz: hz } = shot;
  if (hz >= STILLS_BELOW_HZ) return null;
  const exposureS = exposureTimeS(shot.shutterDeg, hz);
  const { count, xM, yM, zM, panDeg, tiltDeg } = filmed;
  let [stepM, stepDeg] = [0, 0];
  for (let i = 1; i < count; i += 1) {
    stepM = Math.max(stepM, Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1]));
    stepDeg = Math.max(stepDeg, Math.hypot(panDeg[i] - panDeg[i - 1], tiltDeg[i] - tiltDeg[i - 1]));
  }
  return {
    intervalS: 1 / hz,
    exposureS,
    restS: 1 / hz - exposureS,
    frames: count,
    filmS: samples.count / samples.frameRateHz,
    faster: shot.frameRateHz / hz,
    stepM,
    stepDeg,
    cardGB: (count * camera.stillMB) / 1000,
    batteries: Math.ceil(count / camera.stillsPerBattery),
  };
}
