import type { Piece } from '../model';
import type { Scene } from '../scene';
import type { Samples } from '../motion';
import { visibleShare } from './visible-share';

/** Directions of the sky that are looked in, evenly by what they give to level ground. */
const DIRECTIONS = 28;
const FAR_M = 3000;
/** A closed room still gets some light, from what its walls throw back: common practice, no published source. */
const THROWN_BACK = 0.02;
const GOLDEN = Math.PI * (3 - Math.sqrt(5));

// It does not depend on the camera: a search that tries another one finds what was looked for before.
const known = new WeakMap<readonly Piece[], WeakMap<object, Map<string, Map<number, number>>>>();

/** What is known of a part by the moment of action. Pieces and walks are never changed in place. */
function momentsOf({ pieces, shot, subject, part }: Scene): Map<number, number> {
  const byWalks = known.get(pieces) ?? new WeakMap<object, Map<string, Map<number, number>>>();
  known.set(pieces, byWalks);
  const byPart = byWalks.get(shot.walks) ?? new Map<string, Map<number, number>>();
  byWalks.set(shot.walks, byPart);
  const key = `${subject?.id} ${part?.id}`;
  const moments = byPart.get(key) ?? new Map<number, number>();
  byPart.set(key, moments);
  return moments;
}

/**
 * How much of the sky's light reaches the subject's part at some rows, 0.02 (a closed room) to 1 (open ground): directions
 * over the half-sphere, weighted by the cosine that level ground sees it with, each held against what stands there.
 * Empty without a subject.
 */
export function skyShare(scene: Scene, samples: Samples, rows: readonly number[]): number[] {
  if (!scene.subject) return [];
  const directions = Array.from({ length: DIRECTIONS }, (_, k) => {
    // Evenly over the disc below the sky (Vogel's spiral): that is by the cosine.
    const radius = Math.sqrt((k + 0.5) / DIRECTIONS);
    return [radius * Math.cos(k * GOLDEN), radius * Math.sin(k * GOLDEN), Math.sqrt(1 - radius * radius)] as const;
  });
  const moments = momentsOf(scene);
  return rows.map((row) => {
    const before = moments.get(samples.tS[row]);
    if (before !== undefined) return before;
    const column = (values: Float64Array) => new Float64Array(DIRECTIONS).fill(values[row]);
    const far = (values: Float64Array, axis: 0 | 1 | 2) =>
      Float64Array.from(directions, (direction) => values[row] + direction[axis] * FAR_M);
    const looks: Samples = {
      ...samples,
      count: DIRECTIONS,
      // Each is looked at by itself.
      captureRateHz: 1,
      tS: column(samples.tS),
      subjectXM: column(samples.subjectXM),
      subjectYM: column(samples.subjectYM),
      subjectZM: column(samples.subjectZM),
      xM: far(samples.subjectXM, 0),
      yM: far(samples.subjectYM, 1),
      zM: far(samples.subjectZM, 2),
    };
    const open = visibleShare(scene, looks);
    const share = Math.max(THROWN_BACK, open.reduce((sum, part) => sum + part, 0) / DIRECTIONS);
    moments.set(samples.tS[row], share);
    return share;
  });
}
