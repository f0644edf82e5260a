import { describe, expect, it } from 'vitest';
import type { ShownReading } from '$lib/workers/messages';
import { lanesOf, sayAt } from './lanes';

const column = (...values: number[]) => Float64Array.from(values);

describe('the lanes of the strip', () => {
  it('say a value with its unit, and a dash where there is none', () => {
    expect(sayAt(column(0.123, NaN), 0, 100, ' %/s')).toBe('12 %/s');
    expect(sayAt(column(0.0123, NaN), 0, 100, ' %/s')).toBe('1.2 %/s');
    expect(sayAt(column(0.123, NaN), 1, 100, ' %/s')).toBe('–');
  });

  it('say a dash in rows that the reading has not come to: the shot has just become longer', () => {
    const rows = column(1, 2, 3);
    const reading = {
      racks: true,
      columns: {
        nearSpeed: rows,
        subjectSpeed: rows,
        farSpeed: rows,
        subjectHeight: rows,
        visible: column(0, 0.5, 1),
        cameraSpeedMps: rows,
        cameraHeightM: rows,
        focusDistanceM: rows,
        focalLengthMm: rows,
      },
    } as unknown as ShownReading;
    const lanes = lanesOf(reading, 'metric');
    expect(lanes.map(({ label }) => label)).toContain('Lens height');
    for (const { label, say } of lanes.slice(1)) {
      expect(say(2), label).toMatch(/\d/);
      expect(say(12_000), label).toBe('–');
    }
  });
});
