import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './fixtures';

// What software can find of what keeps people out (WCAG 2.2 A and AA, and axe's best practices): every screen, both
// themes, both sizes.
test.setTimeout(240_000);

const SCREENS = [
  '/',
  '/shoot/first-flush',
  '/shoot/first-flush/scout?shot=shot-lane',
  '/shoot/first-flush/shot/shot-lane',
  '/shoot/first-flush/shot/shot-lane/lens',
  '/shoot/first-flush/shot/shot-lane/marks',
  '/shoot/first-flush/shot/shot-lane/rehearse',
  '/shoot/first-flush/kit?build=build-sled-35',
  '/shoot/first-flush/day',
  '/shoot/first-flush/takes?shot=shot-rows',
  '/shoot/first-flush/limits',
  '/shoot/first-flush/shot/none',
  '/shoot/nobody',
  '/nowhere',
];

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
const ALL = {
  runOnly: { type: 'tag' as const, values: TAGS },
  rules: { 'label-content-name-mismatch': { enabled: true } },
};
/** All that a theme can change. */
const COLOURS = { runOnly: { type: 'rule' as const, values: ['color-contrast', 'link-in-text-block'] } };
/** Rows of a list, and pieces of the plan, from this one on are left out: the same again. */
const MANY = 5;
const SIZES = [
  { viewport: { width: 1280, height: 800 }, hasTouch: false, isMobile: false },
  { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
];
for (const size of SIZES)
  test.describe(`${size.viewport.width} px wide`, () => {
    test.use(size);
    test('axe finds nothing, on paper and in the dim', async ({ page }) => {
      const faults: string[] = [];
      for (const path of SCREENS) {
        await page.goto(path);
        await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
        // What is seen of whom comes when all shots were looked at.
        if (path === '/shoot/first-flush') await expect(page.locator('main table').first()).toBeAttached();
        await page.waitForTimeout(400);
        for (const [light, rules] of [
          ['paper', ALL],
          ['dim', COLOURS],
        ] as const) {
          // What the preference does to the page: colours hang on this class alone.
          await page.evaluate((dim) => document.documentElement.classList.toggle('dim', dim), light === 'dim');
          await page.evaluate((many) => {
            const rows = [...document.querySelectorAll('main ul, main ol, main tbody')].flatMap((list) =>
              [...list.children].slice(many),
            );
            for (const row of [...rows, ...[...document.querySelectorAll('[data-piece]')].slice(many)])
              row.setAttribute('data-again', '');
          }, MANY);
          // No page of ours has frames: axe need not open a page of its own to put their answers together.
          const builder = new AxeBuilder({ page })
            .options({ ...rules, resultTypes: ['violations'], preload: false })
            .setLegacyMode();
          const { violations } = await builder.exclude('[data-again]').analyze();
          for (const { id, nodes } of violations)
            for (const { target, html } of nodes.slice(0, 6))
              faults.push(`${path}, ${light}, ${id}: ${target.join(' ')} ${html.slice(0, 140)}`);
        }
      }
      expect(faults).toEqual([]);
    });
  });
