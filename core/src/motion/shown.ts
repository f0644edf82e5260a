import { CAMERA_SIZE, writeCamera } from '../optics';
import type { Scene } from '../scene';
import type { Shot } from '../model';
import { motionOf, type ShotMotion } from './legs';
import { playingOf, type Playing } from './playback';
import { filmShot, rowCount, type Samples } from './sample';

/**
 * A shot as the audience sees it, one row per frame shown. Equal to what was filmed unless it is ramped or played in
 * reverse.
 */
export function sampleShot(scene: Scene, motion: ShotMotion = motionOf(scene)): Samples {
  return asShown(filmShot(scene, motion), scene.shot, playingOf(scene.shot, motion.durationS));
}

/** The frames that are shown, each between the two that were filmed about its moment. */
export function asShown(filmed: Samples, { playback }: Pick<Shot, 'playback'>, playing: Playing): Samples {
  if (playback.ramp.length === 0 && !playback.reversed) return filmed;
  const { captureRateHz, frameRateHz } = filmed;
  const count = rowCount(playing.lengthS, frameRateHz);
  const tS = Float64Array.from({ length: count }, (_, i) => playing.actionAt(i / frameRateHz));
  const between = (column: Float64Array): Float64Array =>
    tS.map((moment) => {
      const at = Math.min(filmed.count - 1, moment * captureRateHz);
      const row = Math.min(filmed.count - 2, Math.floor(at));
      if (row < 0) return column[0];
      const share = at - row;
      return share === 0 ? column[row] : column[row] + (column[row + 1] - column[row]) * share;
    });
  const { body } = filmed;
  const shown: Samples = {
    ...filmed,
    count,
    tS,
    screenS: Float64Array.from({ length: count }, (_, i) => i / frameRateHz),
    slow: tS.map((moment) => playing.slowAt(moment)),
    xM: between(filmed.xM),
    yM: between(filmed.yM),
    zM: between(filmed.zM),
    panDeg: between(filmed.panDeg),
    tiltDeg: between(filmed.tiltDeg),
    rollDeg: between(filmed.rollDeg),
    focalLengthMm: between(filmed.focalLengthMm),
    wantedFocalLengthMm: between(filmed.wantedFocalLengthMm),
    crop: between(filmed.crop),
    focusDistanceM: between(filmed.focusDistanceM),
    subjectDistanceM: between(filmed.subjectDistanceM),
    subjectXM: between(filmed.subjectXM),
    subjectYM: between(filmed.subjectYM),
    subjectZM: between(filmed.subjectZM),
    cameras: new Float64Array(count * CAMERA_SIZE),
    body: {
      bobM: between(body.bobM),
      swayM: between(body.swayM),
      leanDeg: between(body.leanDeg),
      panDeg: between(body.panDeg),
      tiltDeg: between(body.tiltDeg),
      rollDeg: between(body.rollDeg),
    },
  };
  for (let i = 0; i < count; i += 1)
    writeCamera(
      shown.cameras,
      i * CAMERA_SIZE,
      shown.xM[i],
      shown.yM[i],
      shown.zM[i],
      shown.panDeg[i],
      shown.tiltDeg[i],
      shown.rollDeg[i],
      shown.focalLengthMm[i],
      filmed.frameWidthMm,
    );
  return shown;
}

/** The row shown nearest to a moment of action. */
export function rowAt({ tS, count }: Samples, momentS: number): number {
  const forward = tS[count - 1] >= tS[0];
  let [low, high] = [0, count - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (tS[middle] <= momentS === forward) low = middle;
    else high = middle;
  }
  return Math.abs(tS[low] - momentS) <= Math.abs(tS[high] - momentS) ? low : high;
}

/** How many frames each recorded one is shown for where it is shown longest: above 1 it staggers. */
export function mostRepeats({ slow, captureRateHz, frameRateHz }: Samples): number {
  return slow.reduce((most, value) => Math.max(most, value), 0) * (frameRateHz / captureRateHz);
}
