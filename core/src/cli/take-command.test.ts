import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { encode } from 'fast-png';
import { describe, expect, it } from 'vitest';
import { run } from './arc';

const DEMO = new URL('../../../demo/first-flush.arc.json', import.meta.url).pathname;
const folder = mkdtempSync(join(tmpdir(), 'arc-take-'));
const told = async <T>(...args: string[]) => JSON.parse(await run(args)) as T;
const kept = (text: string, name = `${Math.random()}.csv`): string => {
  const file = join(folder, name);
  writeFileSync(file, text);
  return file;
};

interface Told {
  delayS: number;
  stretch: number;
  said: string;
  differences: { id: string; reason: string; sentence: string; measured: number }[];
  smoothness: Record<'plan' | 'take', { spectralArcLength: number; logDimensionlessJerk: number }>;
  notes: string[];
  reading: { sentence: string }[];
}
const take = (shot: string, file: string, ...more: string[]) =>
  told<Told>('take', DEMO, '--shot', shot, '--motion', file, ...more);
const pathOf = async (shot: string) =>
  (await run(['path', DEMO, '--shot', shot, '--format', 'csv']))
    .trim()
    .split('\r\n')
    .map((row) => row.split(','));
const csvOf = (rows: string[][]) => kept(rows.map((row) => row.join(',')).join('\n'));

describe('arc take', () => {
  it.each(['1', '3', '18'])('has nothing to say of the path that arc path writes of shot %s', async (shot) => {
    const found = await take(shot, csvOf(await pathOf(shot)));
    expect(found).toMatchObject({
      delayS: 0,
      stretch: 1,
      differences: [],
      said: expect.stringMatching(/^As planned/) as string,
    });
    expect(found.smoothness.take.spectralArcLength).toBeCloseTo(found.smoothness.plan.spectralArcLength, 3);
    expect(found.reading.length).toBeGreaterThan(3);
  });

  it('says when the plan began on the recording’s own clock, and at what pace', async () => {
    const [head, ...rows] = await pathOf('3');
    const later = rows.map(([frame, t, ...rest]) => [frame, String(1.2 * Number(t) + 0.6), ...rest]);
    const found = await take('3', csvOf([head, ...later]));
    expect(found.delayS).toBeCloseTo(0.6, 1);
    expect(found.stretch).toBeCloseTo(1.2, 2);
    expect(found.differences.map(({ id, reason }) => [id, reason])).toEqual([['pace', 'tooSlow']]);
    expect(found.differences[0].sentence).toMatch(/20% slower/);
  });

  it('does not hold another shot’s way against the plan stroke by stroke', async () => {
    const found = await take('6', csvOf(await pathOf('14')));
    expect(found.said).toMatch(/does not look like the planned move/);
    expect(found.differences.filter(({ id }) => /-(total|rate|start|stop|overshoot|evenness)$/.test(id))).toEqual([]);
  });

  it('reads sensors with the units that are said, in the axes of a phone that lies flat', async () => {
    const rows = Array.from({ length: 900 }, (_, i) => [i / 100, 0, 0, 0, 0, 0, 1].join(','));
    const text = ['time,wx,wy,wz,ax,ay,az', ...rows].join('\n');
    const found = await take('23', kept(text), '--units', 'gyro=degps,accel=g', '--mount', 'flat');
    expect(found.notes.join()).toMatch(/Where it was is not recorded/);
    // It lay level: nothing leans.
    expect(found.differences.map(({ id }) => id)).not.toContain('level');
    await expect(take('23', kept(text))).rejects.toThrow(/"wx" may be in radps or in degps; say which/);
  });

  it.each<[string[], RegExp]>([
    [[], /--motion is missing/],
    [['--motion', 'no.csv'], /--motion "no\.csv" cannot be read/],
    [['--motion', DEMO, '--units', 'gyro'], /--units must be pairs such as gyro=degps/],
    [['--motion', DEMO, '--mount', 'sideway'], /--mount must be upright, sideways, flat, asCamera/],
  ])('refuses %j with a sentence', async (more, said) => {
    await expect(run(['take', DEMO, '--shot', '1', ...more])).rejects.toThrow(said);
  });
});

describe('arc clip', () => {
  const SIZE = { width: 160, height: 96 };
  /** Soft blobs that go to the right by a quarter of a pixel a picture, and darker by nothing. */
  const picture = (i: number) => {
    const data = new Uint8Array(SIZE.width * SIZE.height * 3);
    for (let y = 0; y < SIZE.height; y += 1)
      for (let x = 0; x < SIZE.width; x += 1) {
        const u = x - 0.8 * i;
        const value =
          128 + 50 * Math.sin(u / 5) * Math.cos(y / 4) + 40 * Math.sin((u + y) / 7) + 20 * Math.cos((u - 2 * y) / 9);
        data.fill(Math.max(0, Math.min(255, value)), (y * SIZE.width + x) * 3, (y * SIZE.width + x) * 3 + 3);
      }
    return encode({ ...SIZE, data, channels: 3, depth: 8 });
  };
  const clip = (name: string, files: [string, Uint8Array | string][]) => {
    const at = join(folder, name);
    mkdirSync(at, { recursive: true });
    for (const [file, bytes] of files) writeFileSync(join(at, file), bytes);
    return at;
  };

  it('measures numbered pictures in the order of their numbers', async () => {
    const at = clip(
      'ten',
      Array.from({ length: 11 }, (_, i) => [`frame ${i}.png`, picture(i)]),
    );
    const { frames, summary } = await told<{
      frames: { tS: number; rightwards: number; upwards: number; turnDegps: number; growthPerS: number }[];
      summary: { frames: number; notes: string[]; peak: { speed: number } };
    }>('clip', at, '--fps', '25');
    expect(frames).toHaveLength(11);
    // 0.8 pixels of 160, 25 times a second.
    for (const { rightwards, upwards } of frames) {
      expect(rightwards).toBeCloseTo((0.8 / 160) * 25, 2);
      expect(upwards).toBeCloseTo(0, 2);
    }
    expect(frames[10].tS).toBeCloseTo(0.4, 9);
    expect(summary).toMatchObject({ frames: 11, notes: [] });
  });

  it('refuses what is no clip with a sentence', async () => {
    await expect(run(['clip'])).rejects.toThrow(/folder is missing/);
    await expect(run(['clip', join(folder, 'nowhere')])).rejects.toThrow(/cannot be read \(ENOENT\)/);
    await expect(run(['clip', clip('empty', [])])).rejects.toThrow(/has no PNG; a clip needs at least two/);
    await expect(run(['clip', clip('one', [['1.png', picture(0)]])])).rejects.toThrow(/has one PNG/);
    await expect(run(['clip', clip('plain', [['a.png', picture(0)]])])).rejects.toThrow(
      /a\.png has no number in its name/,
    );
    const text = clip('text', [
      ['1.png', picture(0)],
      ['2.png', 'not a picture'],
    ]);
    await expect(run(['clip', text])).rejects.toThrow(/^2\.png is no PNG that can be read/);
    await expect(run(['clip', text, '--fps', '0'])).rejects.toThrow(/--fps must be a number from 1 to 1000/);
  });
});
