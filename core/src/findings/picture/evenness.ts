import { define, type FindingKinds } from '../definition';
import { gradeAbove, type FindingOf } from '../finding';
import { trim } from '../../model';
import { type Intent, rowAt, type Samples } from '../../motion';
import { logDimensionlessJerk, type Picture, spectralArcLength } from '../../image';

const KINDS = {
  'even.picture': {
    measures: 'unevenness of the motion in the picture, spectral arc length',
    limits: ['roughness', 'joltFactor'],
    about: 'layers',
    cures: ['tighterHead', 'softerBoth', 'takeLonger', 'standFarther'],
  },
  'even.rig': {
    measures: 'unevenness of the camera’s own motion, spectral arc length',
    limits: ['roughness', 'joltFactor'],
    about: 'layers',
    cures: ['softerBoth', 'takeLonger'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** How evenly one move runs, in the picture or in the rig: unit-free, and when it begins, s on screen. */
export interface Evenness {
  /** Spectral arc length, −1.41 at best. */
  spectral: number;
  /** Log dimensionless jerk, −5.32 at best; null where the speed never changes. */
  jerk: number | null;
  fromS: number;
}

/** The spectral measure looks no higher than 10 Hz: rows closer than this would only cost time. */
const ENOUGH_HZ = 24;

/**
 * The least even of the moves of a shot, from a speed a row and how many rows there are a second: of what is shown by
 * the frame rate, of what the rig did by the rate it was recorded at; null when nothing moves.
 */
export function leastEven({ strokes }: Intent, samples: Samples, speed: Float64Array, rateHz: number): Evenness | null {
  let worst: Evenness | null = null;
  for (const { startS, endS } of strokes) {
    const [from, end] = [rowAt(samples, startS), rowAt(samples, endS)].sort((a, b) => a - b);
    const to = Math.min(samples.count, end + 1);
    const part = speed.subarray(from, to);
    const stride = Math.max(1, Math.floor(rateHz / ENOUGH_HZ));
    const spectral = spectralArcLength(stride === 1 ? part : part.filter((_, i) => i % stride === 0), rateHz / stride);
    if (spectral !== null && (worst === null || spectral < worst.spectral))
      worst = {
        spectral,
        jerk: logDimensionlessJerk(part, rateHz),
        fromS: samples.screenS[Math.min(from, samples.count - 1)],
      };
  }
  return worst;
}

/** Speed of the camera along its path, m/s of action, one value a row. */
export function cameraSpeedMps({ count, tS, xM, yM, zM }: Samples): Float64Array {
  const speed = new Float64Array(count);
  for (let i = 1; i < count; i += 1)
    speed[i] =
      Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1]) / Math.abs(tS[i] - tS[i - 1] || Infinity);
  if (count > 1) speed[0] = speed[1];
  return speed;
}

const PICTURE = {
  evenly: 'The motion in the picture runs evenly',
  unevenly: 'The motion in the picture hurries and lingers',
};
const CAMERA = { evenly: 'The camera goes its way evenly', unevenly: 'The camera hurries and lingers on its way' };
const LEAST_SCREEN_SPEED = 1e-4;
const LEAST_CAMERA_MPS = 1e-3;

/** Whether each move runs evenly, in the picture and in the rig. */
function evennessFindings({ scene, intent, samples, filmed, screen }: Picture): Found[] {
  const { limits } = scene;
  const blurs = intent.meantToBlur;
  // On screen a ramp means to hurry and linger; the rig knows nothing of it.
  const ramped = scene.shot.playback.ramp.length > 1;
  const limit = limits.roughness;
  const say = (
    id: Found['id'],
    what: { evenly: string; unevenly: string },
    even: Evenness | null,
    meant: boolean,
  ): Found[] => {
    if (!even) return [];
    const value = -even.spectral;
    const grade = meant ? 'calm' : gradeAbove(value, limit, limit * limits.joltFactor);
    return [
      {
        id,
        grade,
        sentence: grade === 'calm' ? `${what.evenly}.` : `${what.unevenly}.`,
        reason:
          'Speed that rises and falls within one move draws the eye to the camera. ' +
          `Unevenness ${trim(value, 2)}; one plain feathered stroke has 1.4, up to ${trim(limit, 1)} runs evenly.` +
          (even.jerk === null ? '' : ` Log dimensionless jerk ${trim(even.jerk, 1)}; one plain stroke has −5.3.`),
        screenS: even.fromS,
        value,
        limit,
        unit: '',
        said: trim(value, 2),
        measure: 'unevenness',
      },
    ];
  };
  const cameraMps = cameraSpeedMps(filmed);
  const moves = (column: Float64Array, least: number) => column.some((value) => value > least);
  return [
    ...say(
      'even.picture',
      PICTURE,
      moves(screen.speed, LEAST_SCREEN_SPEED) ? leastEven(intent, samples, screen.speed, samples.frameRateHz) : null,
      blurs || ramped,
    ),
    ...say(
      'even.rig',
      CAMERA,
      moves(cameraMps, LEAST_CAMERA_MPS) ? leastEven(intent, filmed, cameraMps, filmed.captureRateHz) : null,
      blurs,
    ),
  ];
}

export const evenness = define(KINDS, evennessFindings);
