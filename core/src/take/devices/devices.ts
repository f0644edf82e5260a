import { trim } from '../../model';
import type { Film } from '../../motion';
import { GRAVITY_MPS2, writeAttitude } from '../recorded/attitude';
import { carriedColumn, carriedPose, noiseOf } from './carried-out';
import type { Device } from './device';

/** Figures of devices that do not exist; common practice for their kind, no published source. */

const RAD = Math.PI / 180;

/** The greatest change a second of a column, and when. */
function fastest(
  { filmed }: Film,
  keys: readonly ('xM' | 'yM' | 'zM' | 'panDeg' | 'tiltDeg')[],
): { value: number; tS: number } {
  let best = { value: 0, tS: 0 };
  for (let i = 1; i < filmed.count; i += 1) {
    const h = filmed.tS[i] - filmed.tS[i - 1];
    const value = Math.hypot(...keys.map((key) => (filmed[key][i] - filmed[key][i - 1]) / h));
    if (value > best.value) best = { value, tS: filmed.tS[i] };
  }
  return best;
}

/** Fixed to the camera, whatever carries it: feels turning and acceleration, as the sensors of a phone do. */
const recorder: Device = {
  kind: 'recorder',
  name: 'Recorder',
  does: 'feels turning and acceleration, fixed to the camera; drives nothing',
  rateHz: 100,
  northKnown: false,
  batteryS: 4 * 3600,
  refuses: () => null,
  rows(film, faults) {
    const poseAt = carriedPose(film, faults);
    const noise = noiseOf(faults.seed + 5);
    const bias = [noise(), noise(), noise()].map((v) => v * 0.4 * RAD * faults.noise);
    const h = 0.004;
    const matrix = new Float64Array(27);
    return (tS) => {
      const poses = [tS - h, tS, tS + h].map(poseAt);
      poses.forEach(({ anglesDeg: [pan, tilt, roll] }, k) => writeAttitude(matrix, k, pan, tilt, roll));
      const axis = (k: number, a: number) => [0, 1, 2].map((n) => matrix[k * 9 + a * 3 + n]);
      const change = (a: number) => axis(2, a).map((v, n) => (v - axis(0, a)[n]) / (2 * h));
      const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, v, n) => sum + v * b[n], 0);
      const [right, up, back] = [0, 1, 2].map((a) => axis(1, a));
      const turning = [dot(back, change(1)), dot(right, change(2)), dot(up, change(0))];
      const push = [0, 1, 2].map(
        (n) =>
          (poses[0].placeM[n] - 2 * poses[1].placeM[n] + poses[2].placeM[n]) / (h * h) + (n === 2 ? GRAVITY_MPS2 : 0),
      );
      const felt = [right, up, back].map((a) => dot(a, push));
      const three = (values: readonly number[], size: number): [number, number, number] => [
        values[0] + size * noise() * faults.noise,
        values[1] + size * noise() * faults.noise,
        values[2] + size * noise() * faults.noise,
      ];
      return {
        tS,
        gyroRadps: three(
          turning.map((v, k) => v + bias[k]),
          0.15 * RAD,
        ),
        accelMps2: three(felt, 0.05),
      };
    };
  },
};

/** A motor gimbal: turns the camera as planned, and says where it looks. */
const gimbal: Device = {
  kind: 'gimbal',
  name: 'Gimbal',
  does: 'turns the camera as planned, and says where it looks',
  rateHz: 50,
  northKnown: false,
  batteryS: 6 * 3600,
  refuses(film) {
    const { value, tS } = fastest(film, ['panDeg', 'tiltDeg']);
    if (value > 360) return `it turns at most 360° a second; the plan asks for ${trim(value, 0)} at ${trim(tS, 1)} s.`;
    const { tiltDeg } = film.filmed;
    const most = tiltDeg.reduce((a, v) => Math.max(a, v), -90);
    return most > 75 ? `it looks up to 75° at most; the plan looks up ${trim(most, 0)}°.` : null;
  },
  rows(film, faults) {
    const poseAt = carriedPose(film, faults);
    const noise = noiseOf(faults.seed + 6);
    // It counts from where it looked when it was switched on.
    const [from] = poseAt(0).anglesDeg;
    return (tS) => {
      const [pan, tilt, roll] = poseAt(tS).anglesDeg.map((v) => v + 0.02 * faults.noise * noise());
      return { tS, anglesDeg: [pan - from, tilt, roll] };
    };
  },
};

/** Flies the way and looks as planned; says both, by satellites and compass. */
const drone: Device = {
  kind: 'drone',
  name: 'Drone',
  does: 'flies the way and looks as planned, and says both',
  rateHz: 10,
  northKnown: true,
  batteryS: 22 * 60,
  refuses(film) {
    const { value, tS } = fastest(film, ['xM', 'yM', 'zM']);
    if (value > 14) return `it flies at most 14 m/s; the plan asks for ${trim(value, 1)} at ${trim(tS, 1)} s.`;
    const most = film.filmed.tiltDeg.reduce((a, v) => Math.max(a, v), -90);
    if (most > 30) return `its camera looks up to 30° above level at most; the plan looks up ${trim(most, 0)}°.`;
    const low = film.filmed.zM.reduce((a, v) => Math.min(a, v), Infinity);
    return low < 0.3 ? `it keeps 0.3 m above the ground; the plan goes down to ${trim(low, 2)} m.` : null;
  },
  rows(film, faults) {
    const poseAt = carriedPose(film, { ...faults, tremorDeg: 0, bobMm: 0 });
    const noise = noiseOf(faults.seed + 7);
    let drift = [0, 0, 0];
    return (tS) => {
      const { placeM, anglesDeg } = poseAt(tS);
      // Satellites drift slowly and tremble little.
      drift = drift.map((v) => v * 0.995 + 0.004 * noise() * faults.noise);
      const place = placeM.map((v, k) => v + drift[k] + 0.008 * noise() * faults.noise);
      const angles = anglesDeg.map((v) => v + 0.05 * noise() * faults.noise);
      return { tS, placeM: [place[0], place[1], place[2]], anglesDeg: [angles[0], angles[1], angles[2]] };
    };
  },
};

/** Pulls a carriage along a straight rail, and says how far it is. */
const slider: Device = {
  kind: 'slider',
  name: 'Motor slider',
  does: 'pulls the carriage along its rail as planned, and says how far it is',
  rateHz: 50,
  northKnown: false,
  batteryS: 2 * 3600,
  refuses(film) {
    const { filmed } = film;
    const end = filmed.count - 1;
    const way = (['xM', 'yM', 'zM'] as const).map((key) => filmed[key][end] - filmed[key][0]);
    const lengthM = Math.hypot(...way);
    if (lengthM > 3) return `its rail is 3 m long; the plan travels ${trim(lengthM, 1)} m.`;
    if (lengthM < 0.01) return 'the plan does not travel: there is nothing for it to do.';
    let bend = 0;
    for (let i = 0; i <= end; i += 1) {
      const [x, y, z] = (['xM', 'yM', 'zM'] as const).map((key) => filmed[key][i] - filmed[key][0]);
      const along = (x * way[0] + y * way[1] + z * way[2]) / lengthM;
      bend = Math.max(bend, Math.sqrt(Math.max(0, x * x + y * y + z * z - along * along)));
    }
    if (bend > 0.02) return `its rail is straight; the plan’s way bends by ${trim(bend, 2)} m.`;
    const { value, tS } = fastest(film, ['xM', 'yM', 'zM']);
    return value > 0.6 ? `it goes at most 0.6 m/s; the plan asks for ${trim(value, 2)} at ${trim(tS, 1)} s.` : null;
  },
  rows(film, faults) {
    const columns = (['xM', 'yM', 'zM'] as const).map((key) => carriedColumn(film, key, faults));
    const noise = noiseOf(faults.seed + 8);
    const { filmed } = film;
    const from = [filmed.xM[0], filmed.yM[0], filmed.zM[0]];
    const end = filmed.count - 1;
    const way = [filmed.xM[end] - from[0], filmed.yM[end] - from[1], filmed.zM[end] - from[2]];
    const lengthM = Math.hypot(...way) || 1;
    return (tS) => {
      const along = columns.reduce((sum, at, k) => sum + ((at(tS) - from[k]) * way[k]) / lengthM, 0);
      return { tS, alongM: along + 0.0004 * noise() * faults.noise };
    };
  },
};

/** Turns the focus ring, and says where focus is. */
const focusMotor: Device = {
  kind: 'focusMotor',
  name: 'Focus motor',
  does: 'turns the focus ring as planned, and says where focus is',
  rateHz: 25,
  northKnown: false,
  batteryS: 8 * 3600,
  refuses(film) {
    const { focusDistanceM: focus } = film.filmed;
    const dioptres = focus.map((m) => 1 / Math.max(0.05, m));
    const range = dioptres.reduce((a, v) => Math.max(a, v), 0) - dioptres.reduce((a, v) => Math.min(a, v), 1e9);
    return range < 0.005 ? 'focus stays where it is in this plan: there is nothing for it to do.' : null;
  },
  rows(film, faults) {
    const at = carriedColumn(film, 'focusDistanceM', faults);
    const noise = noiseOf(faults.seed + 9);
    let ring = 1 / Math.max(0.05, at(0));
    return (tS) => {
      // What turns has play: the ring moves when the motor has taken it up. In dioptres.
      const wish = 1 / Math.max(0.05, at(tS));
      const play = 0.002 * faults.noise;
      ring = Math.min(wish + play, Math.max(wish - play, ring));
      return { tS, focusM: 1 / Math.max(1e-4, ring + 0.0003 * noise() * faults.noise) };
    };
  },
};

/** Devices that ship with the app: none of them exists. */
export const DEVICES: readonly Device[] = [recorder, gimbal, drone, slider, focusMotor];
