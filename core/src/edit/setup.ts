import { type Camera, type Kit, type Lens, type Shot, USUAL_GAIT } from '../model';

/** What a shot is made with. */

const clamped = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/** Another lens: a focal length that it has, a stop that it opens to. */
export const takeLens = (shot: Shot, lens: Lens): Shot => ({
  ...shot,
  lensId: lens.id,
  focalLengthMm: clamped(shot.focalLengthMm, lens.focalLengthMinMm, lens.focalLengthMaxMm),
  fNumber: Math.max(shot.fNumber, lens.fNumberMin),
});

/** A focal length through a lens that has it. */
export const takeFocalLength = (shot: Shot, focalLengthMm: number, lens: Lens): Shot => ({
  ...shot,
  focalLengthMm,
  lensId: lens.id,
  fNumber: Math.max(shot.fNumber, lens.fNumberMin),
});

/** Another camera: no more frames than it records. */
export function takeCamera(shot: Shot, { id, frameRatesHz }: Camera): Shot {
  const most = frameRatesHz.reduce((a, b) => Math.max(a, b));
  return {
    ...shot,
    cameraId: id,
    frameRateHz: Math.min(most, shot.frameRateHz),
    captureRateHz: Math.min(most, shot.captureRateHz),
  };
}

/** Another rig, carried as its kind usually is; of the same kind, as before. The shot itself where the kit lacks it. */
export function takeRig(shot: Shot, rigId: string, { rigs, gaits }: Pick<Kit, 'rigs' | 'gaits'>): Shot {
  const [before, rig] = [shot.rigId, rigId].map((id) => rigs.find((row) => row.id === id));
  if (!rig) return shot;
  const usual = gaits.find(({ id }) => id === USUAL_GAIT[rig.kind]);
  return { ...shot, rigId, gaitId: rig.kind === before?.kind || !usual ? shot.gaitId : usual.id };
}

/** Another frame rate: recorded frames keep to it where both were the same; otherwise slow motion stays slow. */
export const showAt = (shot: Shot, frameRateHz: number): Shot => ({
  ...shot,
  frameRateHz,
  captureRateHz: shot.captureRateHz === shot.frameRateHz ? frameRateHz : shot.captureRateHz,
});
