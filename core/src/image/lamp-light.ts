import type { Lamp } from '../model';
import { luxFrom, throughShare } from '../light';
import { partFootOf, type Scene, type Stance, type Thing } from '../scene';
import { partOf } from '../site';
import type { Samples } from '../motion';
import { visibleShare } from './visible-share';

const RAD = Math.PI / 180;

/** About what a clear night without a moon has, lux (from memory): less is no light. */
const DARK_LUX = 0.001;

/** What one lamp does over a shot. */
export interface LampLight {
  lamp: Lamp;
  /** Light on the subject's part, lux, one value a row; what stands between is counted. */
  lux: Float64Array;
  /** The way on the ground from the part to the lamp, degrees clockwise from north. */
  azimuthDeg: Float64Array;
  /** How high above the part the lamp stands, degrees. */
  altitudeDeg: Float64Array;
}

/** How far off the axis of a lamp's beam the way (dx, dy, dz) from its light goes, degrees. */
export function offAxisDeg(lamp: Lamp, headingDeg: number, dx: number, dy: number, dz: number): number {
  const [tilt, heading] = [lamp.tiltDeg * RAD, headingDeg * RAD];
  const along =
    (Math.cos(tilt) * (dx * Math.sin(heading) + dy * Math.cos(heading)) + dz * Math.sin(tilt)) /
    Math.max(1e-9, Math.hypot(dx, dy, dz));
  return Math.acos(Math.min(1, Math.max(-1, along))) / RAD;
}

/** Every lamp of the scene on the subject's part; empty without lamps or subject. The part is taken to face the lamp. */
export function lampLights(scene: Scene, samples: Samples): LampLight[] {
  if (!scene.subject) return [];
  return scene.things.flatMap((thing) =>
    thing.piece.kind === 'lamp' ? [lightOf(scene, samples, thing, thing.piece)] : [],
  );
}

function lightOf(scene: Scene, samples: Samples, thing: Thing, lamp: Lamp): LampLight {
  const { count } = samples;
  const bulb = partOf(lamp, 'light');
  const foot = partFootOf(thing, bulb);
  const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  const spot = new Float64Array(3);
  const [xM, yM, zM] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  const [lux, azimuthDeg, altitudeDeg] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  const half = (scene.part?.heightM ?? 0) / 2;
  // Of what breaks its light up the part gets light and dark: on the whole as much as is let through.
  const through = throughShare(lamp.pattern);
  for (let row = 0; row < count; row += 1) {
    foot(samples.tS[row], spot);
    thing.stanceAt(samples.tS[row], stance);
    spot[2] += bulb.heightM / 2;
    const [dx, dy, dz] = [
      samples.subjectXM[row] - spot[0],
      samples.subjectYM[row] - spot[1],
      samples.subjectZM[row] + half - spot[2],
    ];
    const distanceM = Math.hypot(dx, dy, dz);
    lux[row] = through * luxFrom(lamp, distanceM, offAxisDeg(lamp, stance.headingDeg, dx, dy, dz));
    altitudeDeg[row] = Math.atan2(-dz, Math.hypot(dx, dy)) / RAD;
    azimuthDeg[row] = Math.atan2(-dx, -dy) / RAD;
    // From outside its own housing.
    const out = Math.min(0.9, (Math.max(lamp.depthM, lamp.lengthM, bulb.heightM) * 0.6) / Math.max(0.05, distanceM));
    xM[row] = spot[0] + dx * out;
    yM[row] = spot[1] + dy * out;
    zM[row] = spot[2] + dz * out;
  }
  const toldOf = { lamp, azimuthDeg, altitudeDeg };
  // Most lamps of a shoot are far from most of its shots, or turned away: what is not lit need not be looked for.
  if (lux.every((value) => value < DARK_LUX)) return { ...toldOf, lux: new Float64Array(count) };
  const seen = visibleShare(scene, { ...samples, xM, yM, zM });
  return { ...toldOf, lux: lux.map((value, row) => value * (Number.isNaN(seen[row]) ? 1 : seen[row])) };
}
