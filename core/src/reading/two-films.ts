import { subjectInFrame } from '../image';
import type { Film } from '../motion';

/** A dolly zoom put together from two films: what each is, so that they fit. */
export interface TwoFilms {
  /** Whoever stays the same size: filmed still, before an even ground that can be keyed. */
  person: { distanceM: number; focalLengthMm: number; lensHeightM: number; tiltDeg: number; heightShare: number };
  /** What comes closer or goes: filmed from one place, its zoom running or made afterwards. */
  background: {
    fromMm: number;
    toMm: number;
    overS: number;
    /** Times as large at the end as at the start. */
    times: number;
    /** How deep behind the person it is right: the real move would show nearer things otherwise. */
    depthM: number;
  };
}

/**
 * Works out the two films of a dolly zoom; null where nothing is held. In the real move a thing at depth D behind the
 * person grows by f₁/f₀ · (d₀ + D)/(d₁ + D); one zoom gives every depth the same, so that it is right for one: `depthM`. The person is told by the
 * part that the shot is after, the lens by its height above the person's feet.
 */
export function twoFilmsOf({ scene, samples }: Pick<Film, 'scene' | 'samples'>, depthM: number): TwoFilms | null {
  if (!scene.subjectAt) return null;
  const end = samples.count - 1;
  const [d0, d1] = [samples.subjectDistanceM[0], samples.subjectDistanceM[end]];
  const [f0, f1] = [samples.focalLengthMm[0], samples.focalLengthMm[end]];
  if (!(d0 > 0 && d1 > 0) || Math.abs(f1 / f0 - 1) < 0.01) return null;
  const times = ((f1 / f0) * (d0 + depthM)) / (d1 + depthM);
  const feet = new Float64Array(3);
  scene.subjectAt(samples.tS[0], feet);
  return {
    person: {
      distanceM: d0,
      focalLengthMm: f0,
      lensHeightM: samples.zM[0] - feet[2],
      tiltDeg: samples.tiltDeg[0],
      heightShare: subjectInFrame(samples, scene).height[0],
    },
    background: { fromMm: f0, toMm: f0 * times, overS: samples.screenS[end] - samples.screenS[0], times, depthM },
  };
}
