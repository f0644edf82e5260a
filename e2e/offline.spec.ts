import { expect, test } from '@playwright/test';

test.use({ serviceWorkers: 'allow' });

const SCREENS: [string, RegExp][] = [
  ['/', /First Flush/],
  ['/shoot/first-flush/scout', /Ansa/],
  ['/shoot/first-flush', /First light along the rows/],
  ['/shoot/first-flush/kit', /Slider 1\.2 m/],
  ['/shoot/first-flush/day', /Order/],
  ['/shoot/first-flush/limits', /Limits/],
  ['/shoot/first-flush/takes', /has the rig/],
  ['/shoot/first-flush/shot/shot-rows', /First light along the rows/],
  ['/shoot/first-flush/shot/shot-rows/lens', /mm/],
  ['/shoot/first-flush/shot/shot-rows/rehearse', /Count/],
];

test('every screen opens with the network cut on a phone, and takes are counted and kept', async ({ browser }) => {
  test.setTimeout(180_000);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  try {
    const first = await context.newPage();
    await first.goto('/');
    await first.evaluate(async () => {
      const registration = await navigator.serviceWorker.ready;
      if (registration.active?.state === 'activated') return;
      await new Promise((done) => registration.active?.addEventListener('statechange', done));
    });
    await first.close();
    await context.setOffline(true);
    for (const [path, words] of SCREENS) {
      const page = await context.newPage();
      const broken: string[] = [];
      page.on('pageerror', ({ message }) => broken.push(message));
      await page.goto(path);
      await expect(page.locator('body')).toContainText(words);
      await expect(page.getByText('Something went wrong')).toHaveCount(0);
      expect(broken, path).toEqual([]);
      await page.close();
    }
    // A reading is worked out, and a take is counted, without a network; a new page has it.
    const log = await context.newPage();
    await log.goto('/shoot/first-flush/takes?shot=shot-rows');
    await log.getByRole('button', { name: /^Again/ }).click();
    await expect(log.getByRole('heading', { name: /^Take 5/ })).toBeVisible();
    await log.getByRole('button', { name: 'Good', exact: true }).click();
    await expect(log.getByRole('button', { name: 'Good', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await log.waitForTimeout(400);
    await log.close();
    const again = await context.newPage();
    await again.goto('/shoot/first-flush/takes?shot=shot-rows');
    await expect(again.getByRole('button', { name: /^Take 5 good/ })).toBeVisible();
    const answer = await again.evaluate(async () => {
      const said = await fetch('/api/weather?place=First%20Flush&day=2026-04-12');
      return { status: said.status, words: await said.text() };
    });
    expect(answer.status).toBe(503);
    expect(answer.words).toContain('There is no network');
  } finally {
    await context.close();
  }
});
