import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';

const demo = readFileSync(new URL('../demo/first-flush.arc.json', import.meta.url), 'utf8');
const post = { headers: { 'content-type': 'application/json' } };

test('GET /api/health', async ({ request }) => {
  expect(await (await request.get('/api/health')).json()).toEqual({ status: 'ok', format: 'gentle-arc-shoot', version: 6 });
});

test('POST /api/reading answers with the reading of every shot', async ({ request }) => {
  const answer = await request.post('/api/reading', { ...post, data: demo });
  expect(answer.status()).toBe(200);
  const { shots } = (await answer.json()) as { shots: { findings: { id: string; grade: string }[] }[] };
  expect(shots).toHaveLength(28);
  expect(shots[1].findings[0]).toMatchObject({ id: 'stop', grade: 'jolt' });
});

test('bad bodies get a status, a path and a sentence', async ({ request }) => {
  const refused = async (data: string) => {
    const answer = await request.post('/api/reading', { ...post, data: Buffer.from(data) });
    return [answer.status(), ((await answer.json()) as { error: { path: string; sentence: string } }).error] as const;
  };
  expect(await refused('{"format"')).toMatchObject([400, { path: 'body', sentence: expect.stringContaining('not JSON') }]);
  expect(await refused(demo.replace('"durationS": 8', '"durationS": 0'))).toMatchObject([
    422,
    { path: 'shots[0].timing.durationS', sentence: 'shots[0].timing.durationS must be at least 0.2; it is 0.' },
  ]);
  expect(await refused(' '.repeat(5 * 1024 * 1024 + 1))).toMatchObject([413, { path: 'body', sentence: expect.stringContaining('at most 5 MB') }]);
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
          .then((sizes) => sizes.responseBodySize),
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

test('GET /api/wind answers with a day of wind that says it is made up, and refuses what is no day', async ({ request }) => {
  const answer = await request.get('/api/wind?place=garden&day=2026-04-12');
  const { source, hours } = (await answer.json()) as { source: string; hours: unknown[] };
  expect(source).toContain('simulated');
  expect(hours).toHaveLength(24);
  const refused = await request.get('/api/wind?place=garden&day=soon');
  expect(refused.status()).toBe(422);
  expect(((await refused.json()) as { error: { sentence: string } }).error.sentence).toBe('day must be a date such as 2026-04-12; it is "soon".');
});
