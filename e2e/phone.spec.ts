import { expect, test } from './fixtures';

// Nothing lies beyond the edge of a phone, and every word at its foot can be pressed.
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
test.setTimeout(150_000);

const SCREENS = [
  '/',
  '/shoot/first-flush',
  '/shoot/first-flush/scout?shot=shot-lane',
  '/shoot/first-flush/shot/shot-rows',
  '/shoot/first-flush/shot/shot-rows/lens',
  '/shoot/first-flush/shot/shot-rows/marks',
  '/shoot/first-flush/shot/shot-rows/rehearse',
  '/shoot/first-flush/kit?build=build-sled-35',
  '/shoot/first-flush/day',
  '/shoot/first-flush/takes?shot=shot-rows',
  '/shoot/first-flush/limits',
];

test('every screen and all that lies under its words is as wide as a phone', async ({ page }) => {
  const faults: string[] = [];
  for (const path of SCREENS) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
    const words = page.getByRole('group', { name: /^More of / }).getByRole('button');
    const count = await words.count();
    for (let i = 0; i < Math.max(1, count); i += 1) {
      const word = words.nth(i);
      if (count > 0 && (await word.getAttribute('aria-pressed')) !== 'true') await word.tap({ timeout: 30_000 });
      // What a worker says of it comes a little later.
      await page.waitForTimeout(path.includes('takes') ? 1500 : 400);
      const tooWide = await page.evaluate(() => document.documentElement.scrollWidth - 390);
      if (tooWide > 0) faults.push(`${path}, ${count > 0 ? await word.innerText() : ''}: ${tooWide} px too wide`);
    }
  }
  expect(faults).toEqual([]);
});

test('a word of Takes opens what lies under it and folds it away; where there is room nothing is folded', async ({
  page,
}) => {
  await page.goto('/shoot/first-flush/takes?shot=shot-rows');
  const words = page.getByRole('group', { name: 'More of these takes' });
  const lies = (name: string) => words.getByRole('button', { name, exact: true });
  for (const [word, seen] of [
    ['Motion', page.getByRole('button', { name: 'Record with this phone' })],
    ['Footage', page.getByRole('button', { name: 'Open a clip' })],
    ['My hands', page.getByText('As the body goes, before the rig takes its share.')],
    ['Report', page.getByRole('button', { name: 'Print it' })],
  ] as const) {
    await lies(word).tap();
    await expect(seen.first()).toBeInViewport();
  }
  await lies('Report').tap();
  await expect(page.getByRole('button', { name: 'Print it' })).toBeHidden();
  // The log is counted on its stage: the list of shots lies folded until it is asked for.
  await lies('Log').tap();
  await expect(page.getByRole('heading', { name: 'All shots' })).toBeHidden();
  await lies('Log').tap();
  await expect(page.getByRole('heading', { name: 'All shots' })).toBeInViewport();

  await page.goto('/shoot/first-flush/shot/shot-rows/rehearse');
  await page.getByRole('button', { name: 'Practise', exact: true }).tap();
  await expect(page.getByRole('button', { name: 'Ghost of the plan' })).toBeInViewport();
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeInViewport();
});

test('why a number is refused can be read whole beside the edge of a phone', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-lane/rehearse');
  await page
    .getByRole('group', { name: /^More of/ })
    .getByRole('button', { name: 'Count', exact: true })
    .click();
  const beats = page.getByLabel('Beats a minute (0: as the shot steps)');
  await beats.fill('2.5');
  await beats.press('Enter');
  const why = page.getByText('“2.5” is not a whole number; type one from 0 to 240.');
  await expect(why).toBeVisible();
  const box = await why.boundingBox();
  expect(box && box.x >= 0 && box.x + box.width <= 390 - 11).toBe(true);
});
