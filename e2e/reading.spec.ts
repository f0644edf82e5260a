import { expect, test } from './fixtures';
import { openShot, reading, under, textOf, verdict } from './helpers';

test('cures come lightest first, say what they cost, and can be unfolded, taken and undone', async ({ page }) => {
  await openShot(page, 'shot-gallery');
  await expect(verdict(page)).toHaveText('Nearly: 1 thing to look at');
  const ways = reading(page).getByRole('button', { name: /removes the ripple/ });
  await expect(ways.first()).toBeVisible();
  await reading(page)
    .getByText(/Why, and \d more ways? to mend it/)
    .click();
  await expect(
    reading(page)
      .getByText(/the subject becomes \d+% larger/)
      .first(),
  ).toBeVisible();
  await ways.first().click();
  await expect(verdict(page)).toHaveText('Reads smoothly');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(verdict(page)).toHaveText('Nearly: 1 thing to look at');
});

test('a second way to make a shot is kept, flicked to, and seen side by side under one playhead', async ({ page }) => {
  await openShot(page, 'shot-leaves');
  await page.getByRole('button', { name: 'Try a second way' }).first().click();
  await expect(page.getByRole('button', { name: 'Way B', exact: true }).first()).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  const feather = page.getByLabel('Feather out', { exact: true });
  await under(page, 'Time');
  await feather.fill('2');
  await feather.press('Enter');
  await under(page, 'Reading');
  await expect(reading(page).getByText(/The stop jerks/)).toBeHidden();
  await page.getByRole('button', { name: 'Way A', exact: true }).first().click();
  await expect(reading(page).getByText(/The stop jerks/)).toBeVisible();
  await under(page, 'Time');
  await expect(feather).toHaveValue('0 s');
  await page.keyboard.press('v');
  await expect(feather).toHaveValue('2 s');

  await page.getByRole('button', { name: 'Side by side' }).first().click();
  const [a, b] = [
    page.getByRole('region', { name: 'Way A', exact: true }),
    page.getByRole('region', { name: 'Way B', exact: true }),
  ];
  await expect(a.getByRole('figure')).toBeVisible();
  await expect(b.getByRole('figure')).toBeVisible();
  await expect(a.getByRole('listitem').filter({ hasText: 'The stop jerks' })).toBeVisible();
  await expect(b.getByRole('listitem').filter({ hasText: 'The stop jerks' })).toHaveCount(0);
  const sliders = page.getByRole('slider', { name: 'Time in the shot' });
  await sliders.first().focus();
  await page.keyboard.press('PageUp');
  for (const slider of [sliders.first(), sliders.last()]) await expect(slider).toHaveAttribute('aria-valuenow', '0.42');
  await b.getByRole('button', { name: 'Take B' }).click();
  await expect(feather).toHaveValue('2 s');
  await page.getByRole('button', { name: 'Keep B only' }).first().click();
  await expect(page.getByRole('button', { name: 'Try a second way' }).first()).toBeVisible();
});

test('limits are shown with their sources, changed, read by, kept in the file, and restored with one press', async ({
  page,
}) => {
  await openShot(page, 'shot-gallery');
  await expect(verdict(page)).toHaveText('Nearly: 1 thing to look at');
  await reading(page).getByText('The numbers, and marks for a hand move').click();
  await expect(reading(page).getByText(/At the start:/)).toBeVisible();
  await reading(page).getByRole('link', { name: 'What they are held against' }).click();
  await expect(page.getByRole('heading', { name: 'What the reading is held against' })).toBeVisible();
  await expect(page.getByText(/crossing-time rule in camera handbooks/)).toBeVisible();
  const depth = page.getByLabel('Near or far against the subject: below this depth hardly shows');
  await expect(depth).toHaveValue('3');
  await depth.fill('900');
  await depth.press('Enter');
  await expect(page.getByRole('alert')).toContainText('must be from');
  await depth.fill('1');
  await depth.press('Enter');
  await expect(page.getByText('1 differs from what ships.')).toBeVisible();
  await page.getByRole('button', { name: 'Export' }).click();
  const download = page.waitForEvent('download');
  await page.getByText('The whole shoot (.arc.json)').click();
  expect(JSON.parse(await textOf(await download))).toMatchObject({ limits: { parallaxWeak: 0.01 } });
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await page.getByRole('link', { name: /The yard, empty/ }).click();
  await expect(verdict(page)).toHaveText('Reads smoothly');
  await page.getByRole('button', { name: 'View', exact: true }).click();
  await page.getByText('Limits of the reading').click();
  await page.getByRole('button', { name: 'Back to the usual limits' }).click();
  await expect(depth).toHaveValue('3');
  await expect(page.getByText('All are as they ship.')).toBeVisible();
});

test('focus that stays, a second shape and a pinned piece change the reading', async ({ page }) => {
  await openShot(page, 'shot-leaves');
  await under(page, 'Camera');
  await page.getByLabel('Focus', { exact: true }).selectOption({ label: 'stays at one distance' });
  const stop = page.getByLabel('Stop', { exact: true });
  await stop.fill('2.8');
  await stop.press('Enter');
  await under(page, 'Reading');
  await expect(
    reading(page)
      .getByText(/is (soft|out of focus) at the start/)
      .first(),
  ).toBeVisible();
  await under(page, 'Camera');
  await page.getByLabel('Also cut as').selectOption({ label: 'and cut upright later' });
  await under(page, 'Reading');
  await reading(page)
    .getByText(/things are fine/)
    .click();
  await expect(
    reading(page)
      .getByText(/stays inside the upright cut as well/)
      .first(),
  ).toBeVisible();
});

test('a browser that starts no workers is told what cannot be done, and nothing is said to be under way', async ({
  page,
}) => {
  await page.addInitScript(() => Reflect.deleteProperty(window, 'Worker'));
  await page.goto('/shoot/first-flush/shot/shot-leaves');
  await expect(page.getByText('The reading cannot be started in this browser (Worker is not defined).')).toBeVisible();
  await expect(page.getByRole('group', { name: 'The shot in one sentence' })).toBeVisible();
  await page.goto('/shoot/first-flush');
  await expect(page.getByText('Looking at the film cannot be started in this browser')).toBeVisible();
  await expect(page.getByLabel('Handles before and after')).toBeVisible();
  await expect(page.getByText('Looking at the film…')).toBeHidden();
});

test('a reading whose worker dies says so, and is there again with the next change', async ({ page }) => {
  await page.addInitScript(() => {
    document.addEventListener('memory', () => (full = false));
    let full = true;
    const { Worker } = window;
    window.Worker = class extends Worker {
      private readonly reads: boolean;
      constructor(url: string | URL, options?: WorkerOptions) {
        super(url, options);
        this.reads = String(url).includes('reading');
      }
      override postMessage(message: unknown, transfer?: unknown): void {
        super.postMessage(message, transfer as Transferable[]);
        if (!this.reads || !full) return;
        this.terminate();
        this.dispatchEvent(new ErrorEvent('error', { message: 'out of memory' }));
      }
    };
  });
  await page.goto('/shoot/first-flush/shot/shot-leaves');
  await expect(page.getByText('The reading stopped (out of memory); it is started again')).toBeVisible();
  await page.evaluate(() => document.dispatchEvent(new Event('memory')));
  await under(page, 'Time');
  const feather = page.getByLabel('Feather out', { exact: true });
  await feather.fill('2');
  await feather.press('Enter');
  await expect(verdict(page)).toBeVisible();
  await expect(page.getByText('The reading stopped')).toBeHidden();
});
