import { type Film, mostRepeats, pathLengthM, playingOf } from '../motion';
import { exposureTimeS } from '../optics';

/** How long a shot takes, on the ground and on screen, and what it fills. */
export interface TimePlan {
  /** Seconds of action that are recorded, and seconds that the audience sees. */
  actionS: number;
  screenS: number;
  /** Slowest and fastest that it plays, as shares of life. */
  slowest: number;
  fastest: number;
  exposureS: number;
  recordedFrames: number;
  shownFrames: number;
  /** For how many frames each recorded one is shown at most: above 1 motion staggers. */
  repeats: number;
  /** Of a thing that moves, the share of its way from one recorded frame to the next that is smeared: 0.5 at 180°. */
  smearShare: number;
  cardGB: number;
  /** How long the camera records at this rate without a break, s; null as long as its card lasts. */
  bufferS: number | null;
  /** How far the subject goes meanwhile, and the camera, m; null without a subject. */
  subjectM: number | null;
  cameraM: number;
  /** Seconds on screen over seconds of action, from first to last. */
  curve: { actionS: number; screenS: number }[];
}

const CURVE_POINTS = 64;
const STEP_S = 0.05;

/**
 * Works out the times of a shot. Card use grows with the frame rate from what the camera writes at its first: common
 * practice, no published source.
 */
export function timePlan({ scene, filmed, samples }: Film): TimePlan {
  const { camera, shot, durationS } = scene;
  const playing = playingOf(shot, durationS);
  const share = shot.captureRateHz / camera.frameRatesHz[0];
  return {
    actionS: durationS,
    screenS: playing.lengthS,
    slowest: playing.slowest,
    fastest: playing.fastest,
    exposureS: exposureTimeS(shot.shutterDeg, shot.captureRateHz),
    recordedFrames: Math.round(durationS * shot.captureRateHz),
    shownFrames: Math.round(playing.lengthS * shot.frameRateHz),
    repeats: mostRepeats(samples),
    smearShare: shot.shutterDeg / 360,
    cardGB: (camera.dataRateMbps * share * durationS) / 8 / 1000,
    bufferS: shot.captureRateHz > camera.bufferAboveHz ? camera.bufferS : null,
    subjectM: scene.subjectAt ? walkedM(scene.subjectAt, durationS) : null,
    cameraM: pathLengthM(filmed),
    curve: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => ({
      actionS: (i / CURVE_POINTS) * durationS,
      screenS: playing.screenAt((i / CURVE_POINTS) * durationS),
    })),
  };
}

function walkedM(at: (tS: number, out: Float64Array) => void, durationS: number): number {
  const steps = Math.max(1, Math.ceil(durationS / STEP_S));
  const [a, b] = [new Float64Array(3), new Float64Array(3)];
  let sumM = 0;
  at(0, a);
  for (let i = 1; i <= steps; i += 1) {
    at((i / steps) * durationS, b);
    sumM += Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
    a.set(b);
  }
  return sumM;
}
