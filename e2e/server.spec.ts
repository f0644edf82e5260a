import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
// A browser of its own for each test: what it keeps, and what it loads, is what is tested.
import { expect, test } from '@playwright/test';

const demo = readFileSync(new URL('../demo/first-flush.arc.json', import.meta.url), 'utf8');
const BASE = 'http://localhost:4391';
const post = { headers: { 'content-type': 'application/json' } };

test('GET /api/health', async ({ request }) => {
  expect(await (await request.get('/api/health')).json()).toEqual({
    status: 'ok',
    format: 'gentle-arc-shoot',
    version: 16,
  });
});

test('POST /api/reading answers with the reading of every shot', async ({ request }) => {
  const answer = await request.post('/api/reading', { ...post, data: demo });
  expect(answer.status()).toBe(200);
  const { shots } = (await answer.json()) as { shots: { findings: { id: string; grade: string }[] }[] };
  expect(shots).toHaveLength(44);
  expect(shots[1].findings[0]).toMatchObject({ id: 'stop', grade: 'jolt' });
});

test('bad bodies get a status, a path and a sentence', async ({ request }) => {
  const refused = async (data: string) => {
    const answer = await request.post('/api/reading', { ...post, data: Buffer.from(data) });
    return [answer.status(), ((await answer.json()) as { error: { path: string; sentence: string } }).error] as const;
  };
  expect(await refused('{"format"')).toMatchObject([
    400,
    { path: 'body', sentence: expect.stringContaining('not JSON') },
  ]);
  expect(await refused(demo.replace('"durationS": 8', '"durationS": 0'))).toMatchObject([
    422,
    { path: 'shots[0].timing.durationS', sentence: 'shots[0].timing.durationS must be at least 0.2; it is 0.' },
  ]);
  expect(await refused(' '.repeat(5 * 1024 * 1024 + 1))).toMatchObject([
    413,
    { path: 'body', sentence: expect.stringContaining('at most 5 MB') },
  ]);
});

test('a body of another type is read for what it is, and one of none is told what to name', async () => {
  const answered = async (headers: Record<string, string>) => {
    const answer = await fetch(`${BASE}/api/reading?shot=1`, { method: 'POST', headers, body: Buffer.from(demo) });
    return [answer.status, ((await answer.json()) as { error?: { sentence: string } }).error?.sentence];
  };
  expect(await answered({ 'content-type': 'application/x-www-form-urlencoded' })).toEqual([200, undefined]);
  expect(await answered({ 'content-type': 'text/plain' })).toEqual([200, undefined]);
  expect(await answered({})).toEqual([415, 'content-type must be application/json; the request names none.']);
  expect((await answered({ 'content-type': 'text/plain', origin: 'https://elsewhere.example' }))[0]).toBe(403);
});

test('the page may load from nowhere else, and the home page is light', async ({ page }) => {
  const scripts: Promise<number>[] = [];
  const elsewhere: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith('http://localhost:')) elsewhere.push(request.url());
  });
  page.on('response', (response) => {
    if (response.request().resourceType() === 'script')
      scripts.push(
        response
          .request()
          .sizes()
          // What comes after all that was asked for may find the page closed.
          .then(
            (sizes) => sizes.responseBodySize,
            () => 0,
          ),
      );
  });
  const answer = await page.goto('/');
  await expect(page.getByRole('heading', { name: 'First Flush' })).toBeVisible();
  const policy = answer?.headers()['content-security-policy'] ?? '';
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toMatch(/https?:|\*/);
  expect(elsewhere.filter((url) => !/^(data|blob):/.test(url))).toEqual([]);
  const bytes = (await Promise.all(scripts)).reduce((sum, size) => sum + size, 0);
  expect(bytes).toBeGreaterThan(10_000);
  expect(bytes).toBeLessThan(200_000);
});

test('GET /api/weather answers with a day of wind that says it is made up, and refuses what is no day', async ({
  request,
}) => {
  const answer = await request.get('/api/weather?place=garden&day=2026-04-12');
  const { source, hours } = (await answer.json()) as { source: string; hours: unknown[] };
  expect(source).toContain('simulated');
  expect(hours).toHaveLength(24);
  const refused = await request.get('/api/weather?place=garden&day=soon');
  expect(refused.status()).toBe(422);
  expect(((await refused.json()) as { error: { sentence: string } }).error.sentence).toBe(
    'day must be a date such as 2026-04-12; it is "soon".',
  );
});

type Row = Record<string, unknown>;
/** The demo with one shot made as long as it may be, so often. */
function longShoot(times: number, rateHz: number): string {
  const shoot = JSON.parse(demo) as { shots: (Row & { timing: Row })[] };
  const [shot] = shoot.shots;
  const shots = Array.from({ length: times }, (_, i) => ({
    ...shot,
    id: `long-${i}`,
    captureRateHz: rateHz,
    frameRateHz: rateHz,
    timing: { ...shot.timing, durationS: 600 },
  }));
  return JSON.stringify({ ...shoot, shots });
}
const read = async (body: string | ReadableStream, more: RequestInit & { duplex?: 'half' } = {}, query = '') => {
  const answer = await fetch(`${BASE}/api/reading${query}`, {
    method: 'POST',
    ...post,
    body,
    ...more,
    headers: { ...post.headers, ...more.headers },
  });
  return {
    status: answer.status,
    sentence: ((await answer.json()) as { error?: { sentence: string } }).error?.sentence ?? '',
  };
};

test('what is too long to read is known before any work, and a body that streams too far is answered', async () => {
  const long = await read(longShoot(10, 1000));
  expect(long.status).toBe(413);
  expect(long.sentence).toMatch(/frames/);
  const piece = new Uint8Array(65_536).fill(32);
  let left = 8 * 16;
  const stream = new ReadableStream({
    pull(controller) {
      if (left-- > 0) controller.enqueue(piece);
      else controller.close();
    },
  });
  const streamed = await read(stream, { duplex: 'half' });
  expect(streamed.status).toBe(413);
  expect(streamed.sentence).toContain('at most 5 MB');
});

test('while readings run others are answered, and when too many wait the rest are told to come back', async () => {
  const running = Array.from({ length: 80 }, () => read(demo, {}, '?shot=2'));
  const waits: number[] = [];
  for (let i = 0; i < 15; i += 1) {
    const fromMs = performance.now();
    expect((await fetch(`${BASE}/api/health`)).status).toBe(200);
    waits.push(performance.now() - fromMs);
    await new Promise((resolve) => setTimeout(resolve, 40));
  }
  const answers = await Promise.all(running);
  expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200, 503]));
  expect(answers.find(({ status }) => status === 503)?.sentence).toMatch(/again/);
  expect(waits.sort((a, b) => a - b)[7], `health, ms: ${waits.map(Math.round).join(' ')}`).toBeLessThan(1000);
});

test('every answer says what a browser may do with it, and a page of another origin may not post', async () => {
  for (const path of ['/', '/icon.svg', '/_app/version.json', '/api/health', '/api/nothing', '/nowhere']) {
    const { headers } = await fetch(BASE + path);
    expect(headers.get('x-content-type-options'), path).toBe('nosniff');
    expect(headers.get('referrer-policy'), path).toBeTruthy();
    expect(headers.get('permissions-policy'), path).toContain('camera=()');
    expect(headers.get('content-security-policy'), path).toContain("default-src 'self'");
  }
  expect((await read(demo, { headers: { origin: 'https://elsewhere.example' } })).status).toBe(403);
});

test('a server that is told to stop finishes the reading that runs', async () => {
  const port = 4392;
  const server = spawn('node', ['scripts/serve.mjs'], { env: { ...process.env, PORT: `${port}` } });
  const gone = new Promise((resolve) => server.once('exit', resolve));
  const up = async () => (await fetch(`http://localhost:${port}/api/health`).catch(() => null))?.status ?? 0;
  await expect.poll(up).toBe(200);
  const running = fetch(`http://localhost:${port}/api/reading`, { method: 'POST', ...post, body: demo });
  await new Promise((resolve) => setTimeout(resolve, 150));
  server.kill('SIGTERM');
  const answer = await running;
  expect(answer.status).toBe(200);
  expect(((await answer.json()) as { shots: unknown[] }).shots).toHaveLength(44);
  await gone;
});

test('docs/licences.md lists what ships, each under terms that are free for all, and nothing of the chart package', () => {
  const file = (path: string) => readFileSync(new URL(`../${path}`, import.meta.url), 'utf8');
  const listed = file('docs/licences.md');
  const shipped = JSON.parse(file('app/.svelte-kit/shipped.json')) as Record<string, string>;
  expect(Object.keys(shipped).length).toBeGreaterThan(30);
  for (const [key, terms] of Object.entries(shipped)) {
    expect(listed).toMatch(new RegExp(`\\| ${key.split(' ')[0].replace('/', '\\/')} +\\| ${terms} +\\|`));
    expect(['MIT', 'ISC', 'Apache-2.0', 'BSD-2-Clause', 'BSD-3-Clause', '0BSD', 'OFL-1.1', 'MPL-2.0']).toContain(terms);
  }
  expect(Object.keys(shipped).join()).not.toContain('apexcharts');
  expect(file('package-lock.json')).not.toMatch(/"node_modules\/apexcharts": \{\s+"version": "[1-9]\d*\./);
});
