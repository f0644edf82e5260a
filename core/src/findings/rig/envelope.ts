import type { Gait, Rig } from '../../model';
import type { Samples } from '../../motion';
import { ballAbout, lineMisfit, ringMisfit, sphereMisfit, type Misfit, type Point } from './best-fit';

/**
 * Where a rig can bring the camera without being set up again. A rail draws a straight line; an arm or a rope a sphere
 * about its pivot; a table-top arm a level ring, a hinged pole an upright one; planted feet leave the reach of arms;
 * wheels keep their height above the floor; a stand stays. Feet that walk and rotors go anywhere.
 */
export type Envelope =
  | { shape: 'anywhere' | 'line' | 'floor' | 'spot' }
  | { shape: 'sphere' | 'hanging' | 'levelRing' | 'uprightRing' | 'about'; radiusM: number };

/**
 * Arms, hips and knees carry a camera about this far about a body whose feet stay: common practice, no published
 * source.
 */
export const ARMS_REACH_M = 0.6;
/** Where an arm's pivot can stand above the ground, m: common practice, no published source. */
const PIVOT_FROM_M = 0.2;
const PIVOT_TO_M = 3;
/** An arm's clamp can be moved in: its shorter lengths are tried as well. */
const LENGTHS = [1, 0.75, 0.5];
/** An arm's own arc is told apart from the plan by as much of its length: up to here it is tight, beyond it cannot. */
const GIVE_SHARE = 0.04;
const MOST_POINTS = 32;

/** What a rig reaches when it is carried in a certain way. */
export function envelopeOf(rig: Rig, gait: Pick<Gait, 'usualMps'>): Envelope {
  switch (rig.kind) {
    case 'tripod':
    case 'turntable':
      return { shape: 'spot' };
    case 'slider':
    case 'drop':
    case 'hoist':
      return { shape: 'line' };
    case 'jib':
      return { shape: 'sphere', radiusM: rig.armM };
    case 'tableTopArm':
      return { shape: 'levelRing', radiusM: rig.armM };
    case 'rollLever':
      return { shape: 'uprightRing', radiusM: rig.armM };
    case 'rope':
      return { shape: 'hanging', radiusM: rig.armM };
    case 'wheels':
    case 'vehicle':
    case 'float':
      return { shape: 'floor' };
    case 'gimbal':
    case 'sled':
    case 'hand':
    case 'bodyMount':
      // A pole in the hands reaches as much farther as it is long.
      return gait.usualMps > 0 ? { shape: 'anywhere' } : { shape: 'about', radiusM: ARMS_REACH_M + rig.armM };
    case 'mount':
      return { shape: 'anywhere' };
    case 'drone':
      // One that cannot lean does not fly: it is held.
      return rig.bankMaxDeg === 0 && gait.usualMps === 0
        ? { shape: 'about', radiusM: ARMS_REACH_M }
        : { shape: 'anywhere' };
  }
}

/**
 * How far the path lies outside what the rig reaches, m, and the row where it does most. `heights` are those of the
 * lens above the ground.
 */
export function outsideReach(
  envelope: Envelope,
  samples: Samples,
  heights: Float64Array,
): { value: number; row: number } {
  const stride = Math.max(1, Math.ceil(samples.count / MOST_POINTS));
  const rows: number[] = [];
  for (let row = 0; row < samples.count; row += stride) rows.push(row);
  if (rows[rows.length - 1] !== samples.count - 1) rows.push(samples.count - 1);
  const points = rows.map((row): Point => [samples.xM[row], samples.yM[row], samples.zM[row]]);
  const at = ({ value, index }: Misfit) => ({ value, row: rows[index] });
  const groundM = rows.map((row) => samples.zM[row] - heights[row]);
  const ofLengths = (misfit: (radiusM: number) => Misfit) => (radiusM: number) =>
    LENGTHS.map((share) => misfit(share * radiusM)).reduce((least, next) => (next.value < least.value ? next : least));
  const about = ballAbout(points);
  switch (envelope.shape) {
    case 'anywhere':
      return { value: 0, row: 0 };
    case 'spot':
      return at(about);
    case 'line':
      return at(lineMisfit(points));
    case 'floor': {
      const level = rows.map((row): Point => [0, 0, heights[row]]);
      const off = ballAbout(level);
      return { value: off.value, row: rows[off.index] };
    }
    case 'about': {
      // Knees and arms lift as high as the rig's own heights say; about the body it is the way over the ground that
      // counts.
      const over = ballAbout(points.map(([x, y]): Point => [x, y, 0]));
      return at({ ...over, value: Math.max(0, over.value - envelope.radiusM) });
    }
    default: {
      // What hardly moves is anybody's reach.
      if (about.value < 1e-3) return { value: 0, row: 0 };
      const { radiusM } = envelope;
      if (radiusM <= 0) return at(about);
      if (envelope.shape === 'hanging') {
        const low = Math.min(...points.map(([, , z]) => z));
        return at(sphereMisfit(points, radiusM, low + radiusM * 0.7, Infinity));
      }
      if (envelope.shape === 'sphere')
        return at(
          ofLengths((length) =>
            sphereMisfit(points, length, Math.min(...groundM) + PIVOT_FROM_M, Math.max(...groundM) + PIVOT_TO_M),
          )(radiusM),
        );
      return at(
        ofLengths((length) => ringMisfit(points, length, envelope.shape === 'levelRing' ? 'level' : 'upright'))(
          radiusM,
        ),
      );
    }
  }
}

/** How far off its shape a path may be: [fits up to, tight up to], m. Arms are guided along a path they nearly draw. */
export function reachGiveM(envelope: Envelope, straightnessM: number): [number, number] {
  switch (envelope.shape) {
    case 'sphere':
    case 'hanging':
    case 'levelRing':
    case 'uprightRing':
      return [straightnessM, Math.max(straightnessM, envelope.radiusM * GIVE_SHARE)];
    case 'about':
      return [0, envelope.radiusM * 0.1];
    default:
      return [straightnessM, straightnessM];
  }
}

/** Whether a rig, as it is carried, reaches all of a path: used where a rig is only thought of. */
export function reaches(
  rig: Rig,
  gait: Pick<Gait, 'usualMps'>,
  straightnessM: number,
  samples: Samples,
  heights: Float64Array,
): boolean {
  const envelope = envelopeOf(rig, gait);
  return outsideReach(envelope, samples, heights).value <= reachGiveM(envelope, straightnessM)[1] + 1e-9;
}
