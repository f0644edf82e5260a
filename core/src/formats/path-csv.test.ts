import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { sceneOf } from '../scene';
import { filmShot } from '../motion';
import { PATH_COLUMNS, writePathCsv } from './path-csv';

const demo = demoShoot();

describe('camera path as CSV', () => {
  const samples = filmShot(sceneOf(demo, demo.shots[4]));
  it('has units in its header and one row per frame, read back by papaparse (RFC 4180)', () => {
    const parsed = Papa.parse<Record<(typeof PATH_COLUMNS)[number], number>>(
      writePathCsv(sceneOf(demo, demo.shots[4])),
      {
        header: true,
        dynamicTyping: true,
        skipEmptyLines: true,
      },
    );
    expect(parsed.errors).toEqual([]);
    expect(parsed.meta.fields).toEqual([...PATH_COLUMNS]);
    expect(parsed.data.length).toBe(samples.count);
    for (const i of [0, 100, samples.count - 1]) {
      expect(parsed.data[i].frame).toBe(i);
      expect(parsed.data[i].x_m).toBeCloseTo(samples.xM[i], 6);
      expect(parsed.data[i].focal_length_mm).toBeCloseTo(samples.focalLengthMm[i], 6);
      expect(parsed.data[i].pan_deg).toBeCloseTo(samples.panDeg[i], 6);
    }
  });
});
