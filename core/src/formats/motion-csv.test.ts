import { describe, expect, it } from 'vitest';
import { refusal } from '../testing/refusal';
import { namedColumn } from './motion-columns';
import { readMotionCsv } from './motion-csv';
import { readMotionGpx } from './motion-gpx';

const csv = (head: string, rows: number[][]) => [head, ...rows.map((row) => row.join(','))].join('\n');

describe('names of columns', () => {
  it.each([
    ['t_s', 'time', 's'],
    ['timestamp_ms', 'time', 'ms'],
    ['Time (s)', 'time', 's'],
    ['seconds_elapsed', 'time', null],
    ['gyro_x_dps', 'gyroX', 'degps'],
    ['gyroX', 'gyroX', null],
    ['wz', 'gyroZ', null],
    ['accel_y_mps2', 'accelY', 'mps2'],
    ['Acceleration Z [g]', 'accelZ', 'g'],
    ['yaw_deg', 'pan', 'deg'],
    ['Pitch (rad)', 'tilt', 'rad'],
    ['roll', 'roll', null],
    ['x_m', 'placeX', 'm'],
    ['along_mm', 'along', 'mm'],
    ['focus_distance_m', 'focus', 'm'],
    ['focal_length_mm', 'focalLength', 'mm'],
    ['frame', null, null],
    ['notes', null, null],
  ])('“%s” is %s in %s', (name, role, unit) => {
    expect(namedColumn(name)).toEqual({ role, unit });
  });
});

describe('a recording as CSV', () => {
  it('is read by its names, in its units', () => {
    const record = readMotionCsv(
      csv('timestamp_ms,gyro_x_dps,gyro_y_dps,gyro_z_dps,accel_x_g,accel_y_g,accel_z_g', [
        [1_700_000_000_000, 180, 0, 0, 0, 1, 0],
        [1_700_000_000_010, 0, 90, 0, 0, 1, 0],
      ]),
      'log.csv',
    );
    expect([...record.tS]).toEqual([0, 0.01]);
    expect(record.gyroRadps?.[0][0]).toBeCloseTo(Math.PI, 12);
    expect(record.accelMps2?.[1][0]).toBeCloseTo(9.80665, 12);
  });
  it('takes what an accelerometer can only be, and asks where a unit is not clear', () => {
    const rows = [
      [0, 0.1, 9.8, 0.2],
      [0.1, 0.1, 9.8, 0.2],
    ];
    expect(readMotionCsv(csv('t,ax,ay,az', rows), 'x').accelMps2?.[1][0]).toBe(9.8);
    expect(refusal(() => readMotionCsv(csv('t,gx,gy,gz', rows), 'x'))).toMatch(
      /"gx" may be in radps or in degps; say which/,
    );
    expect(readMotionCsv(csv('t,gx,gy,gz', rows), 'x', { units: { gyro: 'radps' } }).gyroRadps?.[1][0]).toBe(9.8);
    expect(
      refusal(() =>
        readMotionCsv(
          csv('t,yaw', [
            [0, 1],
            [1, 2],
          ]),
          'x',
        ),
      ),
    ).toMatch(/"yaw" may be in deg or in rad/);
    expect(refusal(() => readMotionCsv(csv('t,gx,gy,gz', rows), 'x', { units: { gyro: 'turns' } }))).toMatch(
      /gyro must be in/,
    );
  });
  it('takes columns that are chosen, bearings past north, and semicolons', () => {
    const text = 'when;how far;extra\n0;350;1\n1;10;2\n';
    const record = readMotionCsv(text, 'x', { columns: { time: 'when', pan: 'how far' }, units: { angle: 'deg' } });
    expect([...(record.anglesDeg?.[0] ?? [])]).toEqual([350, 370]);
    expect(refusal(() => readMotionCsv(text, 'x', { columns: { time: 'never' } }))).toMatch(
      /no column "never" for time/,
    );
  });
  it.each<[RegExp, string]>([
    [/header must name at least two columns/, 'what is this'],
    [/no column for time/, 'a,b\n1,2\n2,3\n'],
    [/no column that tells of motion/, 't,b\n1,2\n2,3\n'],
    [/there is one/, 't,x,y,z\n1,2,3,4\n'],
    [/no column for turning about y/, 't_s,gx_dps,gz_dps\n1,2,3\n2,3,4\n'],
    [/row 3, t must come after/, 't,x,y,z\n1,2,3,4\n1,2,3,4\n'],
    [/row 3, y must be a number; it is "abc"/, 't,x,y,z\n1,2,3,4\n2,2,abc,4\n'],
    [/two columns for time/, 't,time,x,y,z\n1,1,2,3,4\n2,2,2,3,4\n'],
    [/row 2, x must be from -100000 to 100000/, 't,x,y,z\n1,1e9,3,4\n2,2,3,4\n'],
  ])('%s', (said, text) => {
    expect(refusal(() => readMotionCsv(text, 'x'))).toMatch(said);
  });
  it('keeps the clock of a plan’s own times', () => {
    expect([
      ...readMotionCsv(
        csv('t_s,along_m', [
          [0.4, 0],
          [0.5, 1],
        ]),
        'x',
      ).tS,
    ]).toEqual([0.4, 0.5]);
  });
});

describe('a recording as GPX', () => {
  const gpx = (times: string[]) =>
    `<gpx version="1.1" creator="t"><trk><trkseg>${times
      .map(
        (time, i) => `<trkpt lat="27.02" lon="${88.13 + i * 1e-4}"><ele>${100 + i}</ele><time>${time}</time></trkpt>`,
      )
      .join('')}</trkseg></trk></gpx>`;
  it('is places from the site’s own on, with heights', () => {
    const record = readMotionGpx(gpx(['2026-04-10T06:00:00Z', '2026-04-10T06:00:02Z']), 'x', null);
    expect([...record.tS]).toEqual([0, 2]);
    // A ten-thousandth of a degree of longitude at 27° north is 9.93 m (WGS 84).
    expect(record.placeM?.[0][1]).toBeCloseTo(9.93, 1);
    expect(record.placeM?.[2][1]).toBe(1);
  });
  it('without times, with one point, or backwards is refused with a sentence', () => {
    expect(refusal(() => readMotionGpx(gpx(['2026-04-10T06:00:00Z']), 'x', null))).toMatch(
      /one track point; a motion needs at least two/,
    );
    expect(refusal(() => readMotionGpx(gpx(['soon', 'later']), 'x', null))).toMatch(/trkpt 1, time must be a date/);
    expect(refusal(() => readMotionGpx(gpx(['2026-04-10T06:00:02Z', '2026-04-10T06:00:00Z']), 'x', null))).toMatch(
      /trkpt 2, time must come after/,
    );
  });
});
