import { gradeAbove, percent, type Finding } from '../finding';
import { trim } from '../../model/units';
import type { Intent, Stroke } from '../../motion/intent';
import type { Samples } from '../../motion/sample';
import { rowAt } from '../../motion/shown';
import type { Picture } from '../../image/picture';
import { logDimensionlessJerk, spectralArcLength } from '../../image/smoothness';

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
export function evennessFindings({ scene, intent, samples, filmed, screen }: Picture): Finding[] {
  const { limits } = scene;
  const blurs = intent.meantToBlur;
  // On screen a ramp means to hurry and linger; the rig knows nothing of it.
  const ramped = scene.shot.playback.ramp.length > 1;
  const limit = limits.roughness;
  const say = (
    id: string,
    what: { evenly: string; unevenly: string },
    even: Evenness | null,
    meant: boolean,
  ): Finding[] => {
    if (!even) return [];
    const value = -even.spectral;
    const grade = meant ? 'calm' : gradeAbove(value, limit, limit * limits.joltFactor);
    return [
      {
        id,
        grade,
        sentence:
          grade === 'calm'
            ? `${what.evenly} (unevenness ${trim(value, 2)}; one plain feathered stroke has 1.4).`
            : `${what.unevenly} (unevenness ${trim(value, 2)}; up to ${trim(limit, 1)} runs evenly).`,
        reason: `Speed that rises and falls within one move draws the eye to the camera.${even.jerk === null ? '' : ` Log dimensionless jerk ${trim(even.jerk, 1)}; one plain stroke has −5.3.`}`,
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

const RAD = Math.PI / 180;
/** Nearer to its centre than this nothing goes round it, m. */
const LEAST_RADIUS_M = 0.1;
/** From here on a sweep counts as once round. */
const ONCE_ROUND_DEG = 350;

/**
 * How a leg turns: its angle in every row, degrees, and its distance from what it turns about; null for a leg that does
 * not go round.
 */
function turning(
  { turns }: Stroke,
  { filmed: samples, scene, intent }: Picture,
): { angleDeg: Float64Array; distanceM: Float64Array | null } | null {
  if (turns === null) return null;
  if (turns === 'onTheSpot') return { angleDeg: samples.panDeg, distanceM: null };
  const { count, xM, yM, subjectXM, subjectYM } = samples;
  const { pivot } = intent;
  const angleDeg = new Float64Array(count);
  const distanceM = new Float64Array(count);
  for (let i = 0; i < count; i += 1) {
    const [x, y] = scene.subject ? [subjectXM[i], subjectYM[i]] : [pivot.xM, pivot.yM];
    const raw = Math.atan2(xM[i] - x, yM[i] - y) / RAD;
    angleDeg[i] = i === 0 ? raw : raw - 360 * Math.round((raw - angleDeg[i - 1]) / 360);
    distanceM[i] = Math.hypot(xM[i] - x, yM[i] - y);
  }
  return { angleDeg, distanceM };
}

/** Of a move that goes round or spins: whether it turns evenly, and keeps its distance to the centre. */
export function turningFindings(picture: Picture): Finding[] {
  const { intent, filmed: samples, scene } = picture;
  const { limits } = scene;
  const findings: Finding[] = [];
  for (const stroke of intent.strokes) {
    const turn = turning(stroke, picture);
    if (!turn) continue;
    const { cruiseFromS, cruiseToS, startS, endS } = stroke;
    const row = (tS: number) => rowAt(samples, tS);
    const [first, last] = [row(startS), row(endS)];
    const [from, to] = cruiseToS > cruiseFromS ? [row(cruiseFromS), row(cruiseToS)] : [first, last];
    const sweepDeg = Math.abs(turn.angleDeg[last] - turn.angleDeg[first]);
    if (sweepDeg < 5 || to - from < 3) continue;
    const meanDeg = (turn.angleDeg[to] - turn.angleDeg[from]) / (to - from);
    if (Math.abs(meanDeg) * (to - from) < 1) continue;
    let worst = { value: 0, row: from };
    if (cruiseToS > cruiseFromS)
      for (let i = from + 1; i <= to; i += 1) {
        const value = Math.abs((turn.angleDeg[i] - turn.angleDeg[i - 1]) / meanDeg - 1);
        if (value > worst.value) worst = { value, row: i };
      }
    // As it is shown: slow motion and ramps change how quickly it turns.
    const degps =
      Math.abs(turn.angleDeg[to] - turn.angleDeg[from]) /
      Math.max(1e-6, Math.abs(samples.screenS[to] - samples.screenS[from]));
    findings.push({
      id: 'turn.even',
      grade: gradeAbove(worst.value, limits.turnEvenness, limits.turnEvenness * limits.joltFactor),
      sentence: `It turns ${trim(sweepDeg, 0)}°${sweepDeg >= ONCE_ROUND_DEG ? ', once round or more,' : ''} at ${trim(degps, 1)}° a second on screen, ${worst.value < 0.005 ? 'evenly' : `faster or slower by up to ${percent(worst.value)} on the way`}${worst.value > limits.turnEvenness ? `; up to ${percent(limits.turnEvenness)} looks even` : ''}.`,
      reason: 'Going round has to look like one motion: the world behind passes at one pace.',
      screenS: samples.screenS[worst.row],
      value: worst.value,
      limit: limits.turnEvenness,
      unit: 'share',
      said: percent(worst.value),
      measure: 'change of pace',
    });
    const { angleDeg, distanceM } = turn;
    if (!distanceM) break;
    // A helix means to change its distance: what is judged is whether it does so steadily.
    const steadyM = (i: number) =>
      distanceM[first] +
      ((distanceM[last] - distanceM[first]) * (angleDeg[i] - angleDeg[first])) / (angleDeg[last] - angleDeg[first]);
    let off = { value: 0, row: first };
    for (let i = first; i <= last; i += 1) {
      const value = Math.abs(distanceM[i] - steadyM(i)) / Math.max(LEAST_RADIUS_M, steadyM(i));
      if (value > off.value) off = { value, row: i };
    }
    findings.push({
      id: 'turn.centre',
      grade: gradeAbove(off.value, limits.centreKept, limits.centreKept * limits.joltFactor),
      sentence:
        off.value <= limits.centreKept
          ? `The centre is kept: the distance strays by ${percent(off.value)}.`
          : `The circle is not about ${scene.subject?.name ?? 'its centre'}: the distance strays by ${percent(off.value)}; up to ${percent(limits.centreKept)} is not noticed.`,
      reason: 'Round a centre that lies elsewhere the subject grows and shrinks on the way.',
      screenS: samples.screenS[off.row],
      value: off.value,
      limit: limits.centreKept,
      unit: 'share',
      said: percent(off.value),
      measure: 'straying from the circle',
    });
    break;
  }
  return findings;
}
