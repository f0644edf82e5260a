import { expect, test, type Page } from '@playwright/test';
import { CHROMIUM, CHROMIUM_ARGS } from '../scripts/prepare.mjs';
import { choices, heldBy, numbers, undo, walkChoice, walkNumber } from './audit';

// Every control once, by what it calls itself: a new field is walked without being listed here. The pictures are not what is looked at.
test.use({ launchOptions: { executablePath: CHROMIUM, args: [...CHROMIUM_ARGS, '--disable-3d-apis'] } });
test.setTimeout(300_000);

const SHOT = '/shoot/first-flush/shot/';
const SCREENS: { name: string; path: string; open?: (page: Page) => Promise<void> }[] = [
  { name: 'Shots', path: '/shoot/first-flush' },
  { name: 'Move', path: `${SHOT}shot-lane` },
  { name: 'Lens', path: `${SHOT}shot-lane/lens` },
  { name: 'Kit, a sled', path: '/shoot/first-flush/kit?build=build-sled-35' },
  { name: 'Limits', path: '/shoot/first-flush/limits' },
];

async function show(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
  await expect(undo(page)).toBeDisabled();
}

for (const { name, path } of SCREENS) {
  test(`${name}: every number says its range, takes both ends of it, and one undo takes each back`, async ({ page }) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(`page error: ${error.message}`));
    await show(page, path);
    const labels = await numbers(page).evaluateAll((fields) => fields.map((field) => field.getAttribute('aria-label') ?? ''));
    for (const label of labels) {
      const field = numbers(page).and(page.getByLabel(label, { exact: true }));
      if ((await field.count()) !== 1) faults.push(`${label}: ${await field.count()} fields of this name`);
      await walkNumber(page, field.first(), faults);
    }

    expect(faults).toEqual([]);
  });
  test(`${name}: every choice is taken, and one undo takes it back`, async ({ page }) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(`page error: ${error.message}`));
    await show(page, path);
    const labels = await choices(page).evaluateAll((fields) => fields.map((field) => field.getAttribute('aria-label') ?? ''));
    for (const label of labels)
      await walkChoice(
        page,
        choices(page)
          .and(page.getByLabel(label, { exact: true }))
          .first(),
        faults,
      );

    expect(faults).toEqual([]);
  });
  test(`${name}: what a nudge of every number leaves is there after a reload`, async ({ page }) => {
    await show(page, path);
    for (let i = 0; i < (await numbers(page).count()); i += 1) {
      const field = numbers(page).nth(i);
      await field.focus();
      await field.press('ArrowUp');
      await field.blur();
    }
    // What the coach is told is an observation: kept when the next advice is asked for.
    const held = async () => Object.fromEntries(Object.entries(await heldBy(page)).filter(([name]) => !name.startsWith('Coach:')));
    const before = await held();
    await page.waitForTimeout(400);
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
    await expect.poll(held).toEqual(before);
  });
}
