import type { Jib } from '../../model';
import { GRAVITY } from '../elliptic';
import { feetAround, worstMarginM } from '../feet';

const RAD = Math.PI / 180;
/** Young's modulus of aluminium, Pa (handbook value; from memory). */
const ALUMINIUM_PA = 69e9;

export interface JibStand {
  /** Mass at the rear that holds the arm where it is left, kg. */
  counterKg: number;
  /** What pulls the camera end down (positive) or up with the weight that is on, N. */
  tipForceN: number;
  reachM: number;
  cameraHeightM: number;
  heightMinM: number;
  heightMaxM: number;
  /** The camera's own tilt when it is bolted on without a parallelogram, degrees. */
  cameraTiltDeg: number;
  deflectionMm: number;
  /** Circles on the ground under the arm that nobody stands in: camera end and weight end, m. */
  keepOutM: number;
  keepOutRearM: number;
  pivotLoadKg: number;
  /** Least over the whole turn and every angle of the arm: what is left over pulls hardest when the arm is level. */
  marginM: number;
}

/**
 * Levers of an arm with a camera of `headKg` at its front end: moments about the pivot (the beam's own weight acts at
 * its middle), a tube bent by its end load as a cantilever, F L³ / 3EI.
 */
export function jibStand(jib: Jib, headKg: number): JibStand {
  const [front, rear, beamKg, onKg] = [
    jib.frontMm / 1000,
    jib.rearMm / 1000,
    jib.beamMassG / 1000,
    jib.counterG / 1000,
  ];
  const cos = Math.cos(jib.angleDeg * RAD);
  const counterKg = Math.max(0, (headKg * front + (beamKg * (front - rear)) / 2) / rear);
  const levelNm = GRAVITY * (headKg * front + (beamKg * (front - rear)) / 2 - onKg * rear);
  const frontNm = levelNm * cos;
  const outer = jib.tubeMm / 1000;
  const inner = Math.max(0, outer - (2 * jib.wallMm) / 1000);
  const momentOfArea = (Math.PI / 64) * (outer ** 4 - inner ** 4);
  const ofBeam = (beamKg * front) / (front + rear);
  const deflectionM =
    (GRAVITY * cos * (headKg * front ** 3)) / (3 * ALUMINIUM_PA * momentOfArea) +
    (GRAVITY * cos * ofBeam * front ** 3) / (8 * ALUMINIUM_PA * momentOfArea);
  const pivotM = jib.pivotMm / 1000;
  const steepest = 60 * RAD;
  const pivotLoadKg = headKg + beamKg + onKg;
  const overM = pivotLoadKg > 0 ? Math.abs(levelNm) / GRAVITY / pivotLoadKg : 0;
  return {
    counterKg,
    tipForceN: frontNm / (front * cos || Infinity),
    reachM: front * cos,
    cameraHeightM: pivotM + front * Math.sin(jib.angleDeg * RAD),
    heightMinM: Math.max(0, pivotM - front * Math.sin(steepest)),
    heightMaxM: pivotM + front * Math.sin(steepest),
    cameraTiltDeg: jib.parallel ? 0 : jib.angleDeg,
    deflectionMm: deflectionM * 1000,
    keepOutM: front + 1,
    keepOutRearM: rear + 1,
    pivotLoadKg,
    marginM: worstMarginM(feetAround(3, jib.footMm / 1000), overM),
  };
}
