import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { readShootFile } from '../formats';
import { run } from './arc';

const ROOT = new URL('../../../', import.meta.url).pathname;
const DEMO = join(ROOT, 'demo/first-flush.arc.json');
const arc = (...args: string[]) =>
  spawnSync('npm', ['run', '-s', 'arc', '--', ...args], { cwd: ROOT, encoding: 'utf8' });

interface PrintedShot {
  shot: number;
  samples: {
    t: number;
    position: number[];
    panDeg: number;
    tiltDeg: number;
    rollDeg: number;
    focalLengthMm: number;
    focusDistanceM: number;
    subject: { u: number; v: number; height: number };
    screenSpeed: Record<string, number | null>;
  }[];
  findings: { id: string; grade: string; sentence: string; cures: { sentence: string }[] }[];
}

describe('arc read', () => {
  it('prints every shot with its samples, subject, speeds and findings', async () => {
    const { shots } = JSON.parse(await run(['read', DEMO])) as { shots: PrintedShot[] };
    const demo = readShootFile(readFileSync(DEMO, 'utf8'));
    expect(shots.map((shot) => shot.shot)).toEqual(demo.shots.map((_, i) => i + 1));
    const [first] = shots;
    expect(first.samples.length).toBe(8 * 24 + 1);
    expect(Object.keys(first.samples[0])).toEqual(
      expect.arrayContaining([
        't',
        'position',
        'panDeg',
        'tiltDeg',
        'rollDeg',
        'focalLengthMm',
        'focusDistanceM',
        'subject',
        'screenSpeed',
      ]),
    );
    expect(first.samples[24].t).toBeCloseTo(1, 9);
    expect(first.samples[24].subject.u).toBeCloseTo(demo.shots[0].aim.place.u, 6);
    expect(Object.keys(first.samples[0].screenSpeed)).toEqual(['near', 'subject', 'far']);
  });
  it('prints one shot, with changes that help when asked', async () => {
    const { shots } = JSON.parse(await run(['read', DEMO, '--shot', '2', '--cures'])) as { shots: PrintedShot[] };
    expect(shots).toHaveLength(1);
    const stop = shots[0].findings.find((finding) => finding.id === 'stop');
    expect(stop?.grade).toBe('jolt');
    expect(stop?.cures[0].sentence).toMatch(/^Feather the stop/);
  });
});

describe('arc path and check', () => {
  it('writes CSV and glTF', async () => {
    expect((await run(['path', DEMO, '--shot', '1', '--format', 'csv'])).split('\r\n')[0]).toBe(
      'frame,t_s,x_m,y_m,z_m,pan_deg,tilt_deg,roll_deg,focal_length_mm,focus_distance_m',
    );
    expect(JSON.parse(await run(['path', DEMO, '--shot', '5', '--format', 'gltf']))).toMatchObject({
      asset: { version: '2.0' },
    });
  });
  it('says that a file is in order', async () => {
    expect(JSON.parse(await run(['check', DEMO]))).toMatchObject({ valid: true, name: 'First Flush', shots: 44 });
  });
});

describe('arc moves', () => {
  it('lists every move with its family and its parameters, units and ranges', async () => {
    const { moves } = JSON.parse(await run(['moves'])) as {
      moves: { name: string; family: string; sentence: string; parameters: Record<string, unknown>[] }[];
    };
    expect(moves.length).toBeGreaterThanOrEqual(40);
    expect(moves.find(({ name }) => name === 'helix')).toMatchObject({ family: 'Go round', title: 'Helix' });
    for (const { name, parameters, sentence } of moves) {
      expect(sentence).toMatch(/\.$/);
      expect(parameters.length, name).toBeGreaterThan(0);
      for (const parameter of parameters) {
        if (parameter.type !== 'number') continue;
        expect(parameter.unit).toMatch(/^(m|deg|mm|share)$/);
        expect(Number(parameter.min)).toBeLessThan(Number(parameter.max));
      }
    }
  });
});

describe('as a program', () => {
  it('prints JSON alone on standard output', () => {
    const { stdout, status } = arc('read', DEMO, '--shot', '1');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toHaveProperty('shots');
  });
  const broken = join(mkdtempSync(join(tmpdir(), 'arc-')), 'broken.arc.json');
  const raw = JSON.parse(readFileSync(DEMO, 'utf8')) as { shots: { timing: { durationS: number } }[] };
  raw.shots[0].timing.durationS = -4;
  writeFileSync(broken, JSON.stringify(raw));
  it('answers bad input with one line on standard error, exit status 2, and writes nothing', () => {
    const { stdout, stderr, status } = arc('read', broken);
    expect(stderr.replace(/^npm warn.*\n/gm, '')).toBe(
      'arc: shots[0].timing.durationS must be at least 0.2; it is -4.\n',
    );
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  });
  it.each<[string[], string]>([
    [['read', 'nowhere.json'], 'shoot file "nowhere.json" cannot be read (ENOENT).'],
    [['path', DEMO, '--shot', '99', '--format', 'csv'], '--shot must be a whole number from 1 to 44; it is "99".'],
    [['path', DEMO, '--shot', '1', '--format', 'fbx'], '--format must be csv or gltf; it is "fbx".'],
    [['score', DEMO, '--shot', '1'], '--flown is missing: give the CSV of a way, as arc path writes it.'],
    [['score', DEMO, '--shot', '1', '--flown', 'no.csv'], '--flown "no.csv" cannot be read (ENOENT).'],
    [['sticks', DEMO, '--shot', '1', '--layout', '5'], '--layout must be 1, 2, 3 or 4; it is "5".'],
    [
      ['fly', DEMO],
      'command must be read, path, lens, focus, exposure, time, light, balance, stand, board, joins, cut, day, marks, ' +
        'sticks, score, take, clip, check, moves or schema; it is "fly".',
    ],
  ])('%j is refused: %s', async (args, sentence) => {
    await expect(run(args)).rejects.toThrow(sentence);
  });
});

describe('arc light', () => {
  it('prints place, moment, sun, the light of the day, and over a shot its side and brightness', async () => {
    const light = JSON.parse(await run(['light', DEMO, '--shot', '1'])) as {
      place: object;
      at: string;
      sun: { altitudeDeg: number; azimuthDeg: number };
      windows: { name: string; start: string; end: string }[];
      samples: { ev100: number; side: { from: string } }[];
    };
    expect(light.at).toBe('2026-04-12T01:10:00.000Z');
    expect(light.place).toMatchObject({ latitudeDeg: 27.55, longitudeDeg: 88.13 });
    expect(light.sun.azimuthDeg).toBeGreaterThan(80);
    expect(light.sun.azimuthDeg).toBeLessThan(96);
    expect(light.windows.filter(({ name }) => name === 'low sun')).toHaveLength(2);
    expect(light.samples.length).toBeGreaterThan(100);
    expect(light.samples[0]).toMatchObject({ side: { from: 'right' } });
    expect(light.samples[0].ev100).toBeGreaterThan(8);
    expect(light.samples[0].ev100).toBeLessThan(14);
    const noon = JSON.parse(await run(['light', DEMO, '--at', '2026-06-21T06:00:00Z'])) as typeof light;
    expect(noon.sun.altitudeDeg).toBeGreaterThan(80);
    expect(noon.samples).toBeUndefined();
  });
  it.each([
    [['light', DEMO, '--at', 'noon'], '--at must be a moment such as 2026-06-01T18:00:00Z; it is "noon".'],
    [['light', DEMO], '--at is missing'],
    [['light', DEMO, '--shot', '2'], '--at is missing'],
  ])('%j is refused with a sentence', async (args, sentence) => {
    await expect(run(args)).rejects.toThrow(sentence);
  });
});

describe('arc lens, focus, exposure and time', () => {
  const json = async (...args: string[]): Promise<Record<string, unknown>> =>
    JSON.parse(await run(args)) as Record<string, unknown>;
  it('compare focal lengths, tell marks of focus, and what the light asks', async () => {
    const lens = (await json('lens', DEMO, '--shot', '1', '--focal', '24,70', '--by', 'spot')) as {
      by: string;
      lenses: { focalLengthMm: number; distanceM: number }[];
    };
    expect(lens.by).toBe('spot');
    expect(lens.lenses.map(({ focalLengthMm }) => focalLengthMm)).toEqual([24, 70]);
    expect(lens.lenses[0].distanceM).toBeCloseTo(lens.lenses[1].distanceM, 6);
    const focus = (await json('focus', DEMO, '--shot', '2')) as {
      marks: { atS: number; distanceM: number }[];
      samples: unknown[];
    };
    expect(focus.marks[0].distanceM).toBeGreaterThan(focus.marks[focus.marks.length - 1].distanceM);
    expect(focus.samples.length).toBe(7 * 24 + 1);
    // f/5.6, 1/48 s, ISO 100 in full sun (EV 15): 15 − log2(5.6² · 48) stops too many.
    const exposure = (await json('exposure', DEMO, '--shot', '1', '--ev', '15', '--nd', '3,6')) as {
      excessStops: number;
      nearest: { filters: { name: string; stops: number }[] };
    };
    expect(exposure.excessStops).toBeCloseTo(15 - Math.log2(5.6 ** 2 * 48), 9);
    expect(exposure.nearest.filters).toEqual([{ name: 'ND 8', stops: 3 }]);
    // 60 frames a second on a 24 timeline.
    const time = (await json('time', DEMO, '--shot', '22')) as { actionS: number; screenS: number; slowest: number };
    expect(time.screenS / time.actionS).toBeCloseTo(2.5, 9);
    expect(time.slowest).toBeCloseTo(0.4, 9);
  });
  it.each([
    [
      ['lens', DEMO, '--shot', '1', '--focal', '0'],
      '--focal must be numbers from 1 to 3000 with commas between them; "0" is not.',
    ],
    [['lens', DEMO, '--shot', '1', '--by', 'eye'], '--by must be spot or framing; it is "eye".'],
    [
      ['exposure', DEMO, '--shot', '1', '--iso', 'fast'],
      '--iso must be numbers from 6 to 1000000 with commas between them; "fast" is not.',
    ],
    [['focus', DEMO], '--shot is missing: choose a shot from 1 to 44.'],
  ])('%j is refused with a sentence', async (args, sentence) => {
    await expect(run(args)).rejects.toThrow(sentence);
  });
});

describe('arc balance and arc stand', () => {
  const json = async (...args: string[]) =>
    JSON.parse(await run(args)) as {
      name: string;
      facts: { key: string; value: number | null; said: string }[];
      steps: string[];
      cautions: string[];
      checklist: { done: boolean }[];
    };
  it('print the numbers of a build, what to do, and what to check', async () => {
    const sled = await json('balance', DEMO, '--build', '1');
    expect(sled.name).toBe('Sled with the 35');
    expect(sled.facts.find((row) => row.key === 'dropS')?.value).toBeGreaterThan(0.3);
    expect(sled.steps.at(-1)).toContain('2.5 s to upright');
    expect(sled.checklist.every((row) => !row.done)).toBe(true);
    const jib = await json('stand', DEMO, '--build', '12');
    expect(jib.facts.find((row) => row.key === 'counterKg')?.said).toMatch(/kg$/);
    expect(jib.cautions.join(' ')).toContain('Local law');
  });
  it.each([
    [['balance', DEMO], '--build must be a number from 1 to 25; it is missing.'],
    [['stand', DEMO, '--build', '99'], '--build must be a number from 1 to 25; it is "99".'],
    [['stand', DEMO, '--build', '1'], '--build 1, Sled with the 35, is for arc balance, not arc stand.'],
  ])('%j is refused with a sentence', async (args, sentence) => {
    await expect(run(args)).rejects.toThrow(sentence);
  });
});

describe('arc day', () => {
  interface PrintedDay {
    entries: { shot: number; startS: number; changeS: number; setUpS: number; takesS: number; reasons: string[] }[];
    totalS: number;
    startS: number;
    cannot: { shot: number; why: string }[];
  }
  const day = async (...args: string[]) => JSON.parse(await run(['day', DEMO, ...args])) as PrintedDay;

  it('prints the order that is kept, that of the story, and the best; and the rest of a day that runs late', async () => {
    const kept = await day();
    expect(kept.entries.length).toBeGreaterThan(15);
    const numbers = async (...args: string[]) =>
      (await run(['day', DEMO, '--format', 'csv', ...args]))
        .split('\n')
        .flatMap((line) => /^[\d:]+,[\d:]+,[\d:]+,(\d+),/.exec(line)?.[1] ?? [])
        .map(Number);
    expect(await numbers()).toEqual(kept.entries.map(({ shot }) => shot));
    const story = await numbers('--order', 'story');
    expect(story).toEqual([...story].sort((a, b) => a - b));
    const best = await numbers('--order', 'best');
    expect(best.length).toBeGreaterThanOrEqual(kept.entries.length);
    expect(best.length).toBeGreaterThan(story.length);
    expect(await run(['day', DEMO, '--late', '20', '--format', 'csv'])).toMatch(/\n4:30,/);
  });
  it('prints iCalendar and CSV', async () => {
    expect(await run(['day', DEMO, '--format', 'ics'])).toMatch(/^BEGIN:VCALENDAR\r\n/);
    expect(await run(['day', DEMO, '--format', 'csv'])).toMatch(/^begins,takes_from,ends,number,name/);
  });
  it.each([
    [['--order', 'random'], '--order must be story or best; it is "random".'],
    [['--late', 'soon'], '--late must be minutes from 0 to 1440; it is "soon".'],
    [['--late=-5'], '--late must be minutes from 0 to 1440; it is "-5".'],
    [['--format', 'pdf'], '--format must be json, ics or csv; it is "pdf".'],
  ])('refuses %j with a sentence', async (args, sentence) => {
    await expect(run(['day', DEMO, ...args])).rejects.toThrow(sentence);
  });
});
