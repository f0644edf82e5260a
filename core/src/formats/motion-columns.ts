import { clipped } from '../model';

/** What a column of a recording may be, and the names that such columns go by (small letters, no units). */
export const ROLES = {
  time: ['t', 'time', 'timestamp', 'seconds', 'elapsed', 'secondselapsed', 'timesec', 'clock'],
  gyroX: ['gx', 'gyrox', 'gyroscopex', 'wx', 'rotationratex', 'angularvelocityx', 'omegax', 'rotationx'],
  gyroY: ['gy', 'gyroy', 'gyroscopey', 'wy', 'rotationratey', 'angularvelocityy', 'omegay', 'rotationy'],
  gyroZ: ['gz', 'gyroz', 'gyroscopez', 'wz', 'rotationratez', 'angularvelocityz', 'omegaz', 'rotationz'],
  accelX: ['ax', 'accx', 'accelx', 'accelerationx', 'accelerometerx'],
  accelY: ['ay', 'accy', 'accely', 'accelerationy', 'accelerometery'],
  accelZ: ['az', 'accz', 'accelz', 'accelerationz', 'accelerometerz'],
  pan: ['pan', 'yaw', 'heading', 'bearing', 'azimuth', 'compass'],
  tilt: ['tilt', 'pitch', 'elevation'],
  roll: ['roll', 'bank'],
  placeX: ['x', 'posx', 'positionx', 'east'],
  placeY: ['y', 'posy', 'positiony', 'north'],
  placeZ: ['z', 'posz', 'positionz', 'up', 'height', 'altitude'],
  along: ['along', 'travel', 'carriage', 'distance'],
  focalLength: ['focallength', 'focal', 'zoom'],
  focus: ['focus', 'focusdistance'],
} as const;
export type Role = keyof typeof ROLES;
export const ROLE_WORDS: Record<Role, string> = {
  time: 'time',
  gyroX: 'turning about x',
  gyroY: 'turning about y',
  gyroZ: 'turning about z',
  accelX: 'acceleration along x',
  accelY: 'acceleration along y',
  accelZ: 'acceleration along z',
  pan: 'bearing',
  tilt: 'tilt',
  roll: 'roll',
  placeX: 'east',
  placeY: 'north',
  placeZ: 'height',
  along: 'way along the rail',
  focalLength: 'focal length',
  focus: 'focus distance',
};

/** Units that a column may be in, and what one of them is in ours: seconds, rad/s, m/s², degrees, metres, millimetres. */
export const UNITS = {
  time: { s: 1, ms: 1e-3, us: 1e-6, ns: 1e-9 },
  gyro: { radps: 1, degps: Math.PI / 180 },
  accel: { mps2: 1, g: 9.80665 },
  angle: { deg: 1, rad: 180 / Math.PI },
  length: { m: 1, mm: 1e-3, cm: 1e-2, ft: 0.3048 },
} as const;
export type UnitKind = keyof typeof UNITS;
export const kindOf = (role: Role): UnitKind | null =>
  role === 'time'
    ? 'time'
    : role.startsWith('gyro')
      ? 'gyro'
      : role.startsWith('accel')
        ? 'accel'
        : ['pan', 'tilt', 'roll'].includes(role)
          ? 'angle'
          : role === 'focalLength'
            ? null
            : 'length';

/** Endings of names that say a unit. */
const ENDINGS: [RegExp, UnitKind, string][] = [
  [/(deg|degrees|°)(_?per_?s|ps|\/s)$|dps$/, 'gyro', 'degps'],
  [/rad(ians)?(_?per_?s|ps|\/s)$/, 'gyro', 'radps'],
  [/m(_?per_?s2|ps2|\/s\^?2|\/s²)$/, 'accel', 'mps2'],
  [/(^|_)g$/, 'accel', 'g'],
  [/(^|_)(deg|degrees|°)$/, 'angle', 'deg'],
  [/(^|_)(rad|radians)$/, 'angle', 'rad'],
  [/(^|_)(ns|nanos|nanoseconds)$/, 'time', 'ns'],
  [/(^|_)(us|µs|micros|microseconds)$/, 'time', 'us'],
  [/(^|_)(ms|millis|milliseconds)$/, 'time', 'ms'],
  [/(^|_)(s|sec|secs|seconds)$/, 'time', 's'],
  [/(^|_)mm$/, 'length', 'mm'],
  [/(^|_)cm$/, 'length', 'cm'],
  [/(^|_)(ft|feet)$/, 'length', 'ft'],
  [/(^|_)m$/, 'length', 'm'],
];

/** What a name at the head of a column says: what the column is, and in which unit; null where it does not say. */
export function namedColumn(name: string): { role: Role | null; unit: string | null } {
  const small = name
    .trim()
    .replace(/([a-z])([A-Z])/g, '$1_$2')
    .toLowerCase()
    .replace(/[[(]\s*(.*?)\s*[\])]/g, '_$1')
    .replace(/[\s.-]+/g, '_')
    .replace(/_+/g, '_');
  for (const role of Object.keys(ROLES) as Role[]) {
    const names = ROLES[role] as readonly string[];
    if (names.includes(small.replace(/_/g, ''))) return { role, unit: null };
    const kind = kindOf(role);
    for (const [ending, of, unit] of ENDINGS) {
      if (!ending.test(small) || (of !== kind && !(role === 'focalLength' && unit === 'mm'))) continue;
      if (names.includes(small.replace(ending, '').replace(/_/g, ''))) return { role, unit };
    }
  }
  return { role: null, unit: null };
}

export const shownName = (name: string): string => `"${clipped(name, 40)}"`;
