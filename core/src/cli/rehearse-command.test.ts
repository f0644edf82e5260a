import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { run } from './arc';

const DEMO = new URL('../../../demo/first-flush.arc.json', import.meta.url).pathname;
const folder = mkdtempSync(join(tmpdir(), 'arc-rehearse-'));
const told = async <T>(...args: string[]) => JSON.parse(await run(args)) as T;
const kept = (text: string): string => {
  const file = join(folder, `${Math.random()}.csv`);
  writeFileSync(file, text);
  return file;
};

interface Scored {
  score: number;
  parts: { part: string; score: number; measured: number; sentence: string; mend: string }[];
}

describe('arc score', () => {
  it.each(['1', '3', '6', '17', '22'])('gives 100 for the path that arc path writes of shot %s', async (shot) => {
    const file = kept(await run(['path', DEMO, '--shot', shot, '--format', 'csv']));
    const { score, parts } = await told<Scored>('score', DEMO, '--shot', shot, '--flown', file);
    expect(score).toBe(100);
    expect(parts.length).toBeGreaterThan(2);
    for (const { measured, sentence } of parts) {
      expect(measured).toBeTypeOf('number');
      expect(sentence).toMatch(/\.$/);
    }
  });

  it('takes columns in any order, and says what a path that is off did', async () => {
    const rows = (await run(['path', DEMO, '--shot', '2', '--format', 'csv']))
      .trim()
      .split('\r\n')
      .map((row) => row.split(','));
    const swapped = rows.map((row, i) => {
      const [, t, x, y, z, pan, tilt] = row;
      return [tilt, pan, z, y, x, i === 0 ? t : String(Number(t) + 0.8)].join(';');
    });
    const { score, parts } = await told<Scored>('score', DEMO, '--shot', '2', '--flown', kept(swapped.join('\n')));
    expect(score).toBeLessThan(97);
    expect(parts.find(({ part }) => part === 'timing')?.mend).toContain('0.8 s late');
    expect(parts.find(({ part }) => part === 'path')?.score).toBe(100);
  });

  it.each([
    ['', 'header must have t_s'],
    ['t_s,x_m,y_m,z_m,pan_deg\n0,0,0,0,0\n1,0,0,0,0', 'tilt_deg is missing'],
    ['t_s,x_m,y_m,z_m,pan_deg,tilt_deg\n0,0,0,0,0,0', 'at least two rows; there is one'],
    ['t_s,x_m,y_m,z_m,pan_deg,tilt_deg\n0,0,0,0,0,0\n1,0,b,0,0,0', 'row 3, y_m must be a number; it is "b"'],
    ['t_s,x_m,y_m,z_m,pan_deg,tilt_deg\n1,0,0,0,0,0\n1,0,0,0,0,0', 'row 3, t_s must come after the row before it'],
    ['t_s,x_m,y_m,z_m,pan_deg,tilt_deg\n0,0,0,0,0,0\n1,1e9,0,0,0,0', 'row 3, x_m must be from -60000 to 60000'],
    ['t_s,t_s,x_m,y_m,z_m,pan_deg,tilt_deg\n0,0,0,0,0,0,0\n1,1,0,0,0,0,0', 't_s twice'],
  ])('refuses what is no way: %j', async (text, sentence) => {
    await expect(run(['score', DEMO, '--shot', '1', '--flown', kept(text)])).rejects.toThrow(sentence);
  });
});

describe('arc marks', () => {
  it('prints the count and the marks of a slide', async () => {
    const { count, rail, aim, edges } = await told<{
      count: { cues: { atS: number; said: string | null }[] };
      rail: { atS: number; placeM: number; readM: number }[];
      aim: object[];
      edges: { sentence: string }[];
    }>('marks', DEMO, '--shot', '1');
    expect(count.cues[0]).toMatchObject({ said: 'three' });
    expect(rail.at(-1)?.placeM).toBeCloseTo(1.05, 3);
    // 20 mm off the scale, seen from 1.5 m away at the start: 1.05 / (1 − 0.02 / 1.5).
    expect(rail.at(-1)?.readM).toBeCloseTo(1.0642, 3);
    expect(aim.length).toBe(rail.length);
    expect(edges.length).toBeGreaterThan(1);
  });
});

describe('arc sticks', () => {
  it('prints each layout with its hands', async () => {
    const of = (layout: string) =>
      told<{
        layout: number;
        sticks: Record<string, string>;
        rows: { forward: number }[];
        controls: { id: string; hand: string }[];
      }>('sticks', DEMO, '--shot', '17', '--layout', layout);
    const [one, two] = [await of('1'), await of('2')];
    expect(one.sticks.forward).toBe('left');
    expect(two.sticks.forward).toBe('right');
    expect(one.rows).toEqual(two.rows);
    expect(two.controls.find(({ id }) => id === 'forward')?.hand).toBe('right thumb');
  });
});
