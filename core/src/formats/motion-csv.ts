import Papa from 'papaparse';
import { clipped } from '../model';
import { type Columns3, emptyRecord, inCameraAxes, type MotionRecord, type Mount, unwrapped } from '../take';
import { quoted, withoutMark } from './parts-csv';
import { kindOf, namedColumn, type Role, ROLE_WORDS, shownName, type UnitKind, UNITS } from './motion-columns';
import { Refusal } from './refusal';

/** What a person says of a recording that its own head does not say. */
export interface MotionChoices {
  /** Names of columns by what they are; what is not named is recognised. */
  columns?: Partial<Record<Role, string>> | undefined;
  units?: Partial<Record<UnitKind, string>> | undefined;
  mount?: Mount | undefined;
}

const MOST_ROWS = 1_500_000;
const MOST_S = 90_000;
/** Numbers beyond these are no recording of a camera. */
const MOST: Record<UnitKind | 'plain', number> = {
  time: 1e18,
  gyro: 200,
  accel: 5000,
  angle: 100_000,
  length: 100_000,
  plain: 6000,
};

interface Column {
  name: string;
  values: Float64Array;
  unit: string | null;
}

/**
 * Reads a recording of motion from a CSV with a head: time, and at least one of gyroscope, accelerometer, bearing with tilt
 * and roll, places, a way along a rail, focus. Columns are recognised by their names (see `motion-columns.ts`), or chosen;
 * a unit stands in the name (`gyro_x_dps`), is chosen, or follows from what the numbers can only be. Throws a `Refusal`
 * that names the column or the row; where a unit is not clear it asks for it.
 */
export function readMotionCsv(text: string, name: string, choices: MotionChoices = {}): MotionRecord {
  const parsed = Papa.parse<string[]>(withoutMark(text).trim(), {
    skipEmptyLines: 'greedy',
    comments: '#',
    delimitersToGuess: [',', ';', '\t'],
  });
  quoted(parsed.errors);
  const [header, ...rows] = parsed.data;
  const names = (header ?? []).map((cell) => cell.trim());
  const found = columnsOf(names, choices);
  if (rows.length < 2)
    throw Refusal.of(
      'rows',
      `rows: a recording needs at least two; there ${rows.length === 1 ? 'is one' : 'are none'}.`,
    );
  if (rows.length > MOST_ROWS)
    throw Refusal.of('rows', `rows: the recording has ${rows.length}; at most ${MOST_ROWS} are read: cut it up.`);
  const read = (role: Role): Column | null => {
    const at = found[role];
    if (at === undefined) return null;
    const label = names[at.index];
    const kind = kindOf(role);
    const most = MOST[kind ?? 'plain'];
    const values = Float64Array.from(rows, (row, i) => {
      const cell = (row[at.index] ?? '').trim();
      const value = cell === '' ? NaN : Number(cell);
      if (!Number.isFinite(value) || Math.abs(value) > most)
        throw Refusal.of(
          `row ${i + 2}, ${label}`,
          Number.isFinite(value)
            ? `row ${i + 2}, ${label} must be from ${-most} to ${most}; it is ${clipped(cell)}.`
            : `row ${i + 2}, ${label} must be a number; it is ${shownName(cell)}.`,
        );
      return value;
    });
    return { name: label, values, unit: at.unit };
  };
  const scaled = (column: Column, kind: UnitKind, usual: string | null): Float64Array => {
    const unit = choices.units?.[kind] ?? column.unit ?? usual;
    if (unit === null) throw unclear(column.name, kind);
    const scale = (UNITS[kind] as Record<string, number>)[unit];
    if (scale === undefined)
      throw Refusal.of(
        'units',
        `units: ${kind} must be in ${Object.keys(UNITS[kind]).join(' or ')}; it is ${shownName(unit)}.`,
      );
    return scale === 1 ? column.values : column.values.map((v) => v * scale);
  };
  const three = (roles: [Role, Role, Role], kind: UnitKind, usual: (rows: Column[]) => string | null) => {
    const columns = roles.map(read);
    if (columns.every((column) => column === null)) return null;
    const missing = roles.filter((_, k) => columns[k] === null);
    if (missing.length > 0)
      throw Refusal.of(
        'header',
        `header has no column for ${missing.map((role) => ROLE_WORDS[role]).join(', ')}; all three axes are needed.`,
      );
    const all = columns as Column[];
    const unit = usual(all);
    return all.map((column) => scaled(column, kind, unit)) as Columns3;
  };

  const time = read('time');
  if (!time) throw Refusal.of('header', 'header has no column for time; name one t_s, or choose it.');
  const tS = timeOf(time, choices, scaled);
  const record = emptyRecord('file', name, tS);
  const mount = choices.mount ?? 'asCamera';
  const gyro = three(['gyroX', 'gyroY', 'gyroZ'], 'gyro', (rows) => (most(rows) > 40 ? 'degps' : null));
  const accel = three(['accelX', 'accelY', 'accelZ'], 'accel', (rows) => {
    const middle = middleSize(rows);
    return middle > 7 && middle < 13 ? 'mps2' : middle > 0.7 && middle < 1.3 ? 'g' : null;
  });
  record.gyroRadps = gyro && inCameraAxes(gyro, mount);
  record.accelMps2 = accel && inCameraAxes(accel, mount);
  record.anglesDeg = anglesIn(read, scaled);
  record.northKnown = record.anglesDeg !== null && found.pan !== undefined;
  record.placeM = three(['placeX', 'placeY', 'placeZ'], 'length', () => 'm');
  const [along, focal, focus] = [read('along'), read('focalLength'), read('focus')];
  record.alongM = along && scaled(along, 'length', 'm');
  record.focalLengthMm = focal?.values ?? null;
  record.focusM = focus && scaled(focus, 'length', 'm').map((m) => Math.max(0.01, m));
  if (
    ![record.gyroRadps, record.accelMps2, record.anglesDeg, record.placeM, record.alongM, record.focusM].some(Boolean)
  )
    throw Refusal.of(
      'header',
      'header has no column that tells of motion: gyroscope (gyro_x_dps …), accelerometer (accel_x_mps2 …), angles ' +
        '(pan_deg, tilt_deg, roll_deg), places (x_m, y_m, z_m) or focus_m; choose which column is what.',
    );
  return record;
}

/** Where each role’s column is: as chosen, else as its name says. */
function columnsOf(names: readonly string[], { columns = {} }: MotionChoices) {
  if (names.filter(Boolean).length < 2)
    throw Refusal.of('header', 'header must name at least two columns, one of them time; this may be no CSV.');
  const found: Partial<Record<Role, { index: number; unit: string | null }>> = {};
  for (const [role, name] of Object.entries(columns) as [Role, string][]) {
    const index = names.indexOf(name);
    if (index < 0)
      throw Refusal.of('columns', `columns: there is no column ${shownName(name)} for ${ROLE_WORDS[role]}.`);
    found[role] = { index, unit: namedColumn(name).unit };
  }
  const taken = new Set(Object.values(found).map(({ index }) => index));
  names.forEach((name, index) => {
    const { role, unit } = namedColumn(name);
    if (role === null || taken.has(index) || columns[role] !== undefined) return;
    if (found[role])
      throw Refusal.of(
        'header',
        `header has two columns for ${ROLE_WORDS[role]} (${shownName(names[found[role].index])} and ` +
          `${shownName(name)}); choose one.`,
      );
    found[role] = { index, unit };
  });
  return found;
}

/** Seconds from the first row on. Without a unit: what can only be one follows from how far apart rows are. */
function timeOf(
  time: Column,
  choices: MotionChoices,
  scaled: (column: Column, kind: UnitKind, usual: string | null) => Float64Array,
): Float64Array {
  const first = time.values[0];
  const fromFirst = { ...time, values: time.values.map((v) => v - first) };
  const steps = fromFirst.values.slice(1).map((v, i) => v - fromFirst.values[i]);
  const bad = steps.findIndex((step) => !(step > 0));
  if (bad >= 0)
    throw Refusal.of(
      `row ${bad + 3}, ${time.name}`,
      `row ${bad + 3}, ${time.name} must come after the row before it; put them in order of time.`,
    );
  const usual = steps.slice().sort()[steps.length >> 1];
  const tS = scaled(fromFirst, 'time', usual <= 1 ? 's' : usual < 1000 ? 'ms' : usual < 1e6 ? 'us' : 'ns');
  // A plan’s own times begin at 0; a clock’s at any moment.
  const keep = Math.abs(first) < 600 && (choices.units?.time ?? time.unit ?? 's') === 's' ? first : 0;
  if (tS[tS.length - 1] > MOST_S)
    throw Refusal.of(time.name, `${time.name}: the recording lasts longer than a day; is time in another unit?`);
  return keep === 0 ? tS : tS.map((s) => s + keep);
}

function anglesIn(
  read: (role: Role) => Column | null,
  scaled: (column: Column, kind: UnitKind, usual: string | null) => Float64Array,
): Columns3 | null {
  const [pan, tilt, roll] = [read('pan'), read('tilt'), read('roll')];
  if (!pan && !tilt && !roll) return null;
  const first = (pan ?? tilt ?? roll) as Column;
  const zeros = new Float64Array(first.values.length);
  const all = [pan, tilt, roll].flatMap((column) => (column ? [...column.values.slice(0, 5000)] : []));
  // More than a whole turn of radians are degrees; what stays within it could be either.
  const usual = all.some((v) => Math.abs(v) > 6.5) ? 'deg' : null;
  const column = (given: Column | null) => (given ? scaled(given, 'angle', usual) : zeros);
  return [unwrapped(column(pan)), column(tilt), column(roll)];
}

const most = (rows: readonly Column[]): number =>
  rows.reduce((all, { values }) => values.reduce((a, v) => Math.max(a, Math.abs(v)), all), 0);

function middleSize(rows: readonly Column[]): number {
  const sizes = rows[0].values.map((_, i) => Math.hypot(...rows.map(({ values }) => values[i]))).sort();
  return sizes[sizes.length >> 1];
}

const unclear = (name: string, kind: UnitKind): Refusal =>
  Refusal.of(
    'units',
    `units: ${shownName(name)} may be in ${Object.keys(UNITS[kind]).join(' or in ')}; say which (${kind}=` +
      `${Object.keys(UNITS[kind])[0]}), or write it into the name of the column.`,
  );
