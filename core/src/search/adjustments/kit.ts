import { heightOf, type Adjustment } from './adjustment';
import { type Kit, STICK_SPEEDS, trim, USUAL_GAIT } from '../../model';
import { takeLens } from '../../edit';
import { filmShot, motionOf, pathLengthM } from '../../motion';
import { envelopeOf, heightsM, reaches, RIDES, vehicleCouldGo } from '../../findings';
import type { Scene } from '../../scene';

/** Another lens, rig, camera, or way of carrying it. */
/** A drone is only offered where hands and stands do not reach: common practice, no published source. */
const HAND_REACH_M = 2.4;

/** A gentler way to go over the ground; riding only where something to ride could go. */
export function gentlerGait(scene: Scene, gaits: Scene['gait'][]): Adjustment {
  const { shot, gait } = scene;
  return gaits
    .filter((row) => row.bobMm < gait.bobMm && row.usualMps > 0 && row.id !== RIDES.wheels)
    .filter((row) => row.id !== RIDES.vehicle || vehicleCouldGo(scene))
    .sort((a, b) => b.bobMm - a.bobMm)
    .map((row) => ({ shot: { ...shot, gaitId: row.id }, instruction: `Go with ${row.name}` }));
}

/** Walking, for a camera that is held with the feet planted. */
export function walkIt({ shot, rig, gait }: Scene, gaits: Scene['gait'][]): Adjustment {
  if (envelopeOf(rig, gait).shape !== 'about') return [];
  return gaits
    .filter(({ id }) => id === 'gait-knees' || id === 'gait-walk')
    .map((row) => ({ shot: { ...shot, gaitId: row.id }, instruction: `Go with ${row.name}` }));
}

/** A slower or faster stick. */
export function stick({ shot }: Scene): Adjustment {
  return STICK_SPEEDS.slice(STICK_SPEEDS.indexOf(shot.stick) + 1).map((speed) => ({
    shot: { ...shot, stick: speed },
    instruction: `Fly or steer at ${speed} stick speed`,
  }));
}

export function shutter({ shot }: Scene, anglesDeg: number[]): Adjustment {
  return anglesDeg.map((shutterDeg) => ({
    shot: { ...shot, shutterDeg },
    instruction: `Set the shutter to ${shutterDeg}°`,
  }));
}

export function wider({ shot, lens }: Scene): Adjustment {
  return [0.85, 0.7, 0.6, 0.5, 0.4, 0.3]
    .map((share) => Math.round(shot.focalLengthMm * share))
    .filter((mm) => mm >= lens.focalLengthMinMm)
    .map((focalLengthMm) => ({ shot: { ...shot, focalLengthMm }, instruction: `Go wider, to ${focalLengthMm} mm` }));
}

export function longerLens({ shot, lens }: Scene): Adjustment {
  return [1.1, 1.2, 1.35, 1.5]
    .map((times) => Math.round(shot.focalLengthMm * times))
    .filter((mm) => mm <= lens.focalLengthMaxMm)
    .map((focalLengthMm) => ({ shot: { ...shot, focalLengthMm }, instruction: `Go longer, to ${focalLengthMm} mm` }));
}

export function insideLens({ shot, lens }: Scene): Adjustment {
  const focalLengthMm = Math.min(lens.focalLengthMaxMm, Math.max(lens.focalLengthMinMm, shot.focalLengthMm));
  return [{ shot: { ...shot, focalLengthMm }, instruction: `Set ${trim(focalLengthMm, 1)} mm` }];
}

/**
 * Another rig that reaches the path, carried as its kind usually is, or walked where planted feet would not get it
 * there.
 */
export function otherRig(scene: Scene, { rigs, gaits }: Pick<Kit, 'rigs' | 'gaits'>): Adjustment {
  const { shot, rig, gait, limits } = scene;
  const samples = filmShot(scene, motionOf(scene));
  const heights = heightsM(scene, samples);
  const walk = gaits.filter(({ id }) => id === 'gait-knees');
  const travelM = pathLengthM(samples);
  return rigs
    .filter(
      (row) =>
        row.travelM >= travelM - 1e-6 && row.id !== rig.id && (row.kind !== 'drone' || heightOf(shot) > HAND_REACH_M),
    )
    .flatMap((row) => {
      const usual = row.kind === rig.kind ? [gait] : gaits.filter(({ id }) => id === USUAL_GAIT[row.kind]);
      const ways = envelopeOf(row, { usualMps: 0 }).shape === 'about' ? [...usual, ...walk] : [...usual, gait];
      const way = ways.find((one) => reaches(row, one, limits.straightnessM, samples, heights));
      return way
        ? [
            {
              shot: { ...shot, rigId: row.id, gaitId: way.id },
              instruction: `Take ${row.name}${way === usual[0] ? '' : ` and go with ${way.name}`}`,
            },
          ]
        : [];
    });
}

export function otherLens({ shot, lens }: Scene, lenses: Scene['lens'][]): Adjustment {
  return lenses
    .filter((row) => row.id !== lens.id)
    .map((row) => ({
      shot: takeLens(shot, row),
      instruction: `Take ${row.name}`,
    }));
}

/** A camera that reads its sensor faster. */
export function otherCamera({ shot, camera }: Scene, cameras: Scene['camera'][]): Adjustment {
  return cameras
    .filter(
      (row) =>
        row.id !== camera.id && row.readOutMs < camera.readOutMs && row.frameRatesHz.includes(shot.captureRateHz),
    )
    .map((row) => ({ shot: { ...shot, cameraId: row.id }, instruction: `Take ${row.name}` }));
}

/** A camera that has the rate. */
export function anyCamera({ shot, camera }: Scene, cameras: Scene['camera'][]): Adjustment {
  return cameras
    .filter((row) => row.id !== camera.id && row.frameRatesHz.includes(shot.captureRateHz))
    .map((row) => ({ shot: { ...shot, cameraId: row.id }, instruction: `Take ${row.name}` }));
}
