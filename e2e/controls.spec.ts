import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { heldBy, namesOfFields, nudgeNumbers, pressButtons, walkFields } from './audit';
import { under } from './helpers';

// Every number and every choice once, by what it calls itself: a new field is walked without being listed here.
test.setTimeout(240_000);

const SHOT = '/shoot/first-flush/shot/';
const DAY = '/shoot/first-flush/day';
const KIT = '/shoot/first-flush/kit?build=build-';
interface Screen {
  name: string;
  path: string;
  least: number;
  before?: (page: Page) => Promise<void>;
  /** Words under which parts of it lie: each is opened. */
  words?: readonly string[];
  imperial?: boolean;
  /** A screen whose test walks the fields that both have. */
  besides?: string;
}
const WORDS = ['Move', 'Time', 'Aim', 'Camera', 'Rig'] as const;
const SCREENS: Screen[] = [
  { name: 'Move', path: `${SHOT}shot-lane`, least: 30, words: WORDS },
  {
    name: 'Move with a rack of focus, in feet',
    path: `${SHOT}shot-rack`,
    least: 1,
    words: ['Move', 'Camera'],
    imperial: true,
    besides: `${SHOT}shot-lane`,
  },
  {
    name: 'Move with a chosen piece',
    path: `${SHOT}shot-rows`,
    least: 8,
    besides: `${SHOT}shot-lane`,
    before: async (page) => {
      await page.locator('[data-piece]').last().press('Enter');
      await expect(page.getByLabel('Name of the piece')).toBeVisible();
    },
  },
  { name: 'Move, a chain', path: `${SHOT}shot-stop`, least: 1, besides: `${SHOT}shot-lane`, words: ['Move', 'Time'] },
  { name: 'Lens', path: `${SHOT}shot-lane/lens`, least: 25 },
  { name: 'Kit, a sled', path: `${KIT}sled-35`, least: 40 },
  {
    name: 'Kit, a motor gimbal in feet',
    path: `${KIT}gimbal-zoom`,
    least: 8,
    imperial: true,
    besides: `${KIT}sled-35`,
  },
  { name: 'Kit, a slider', path: `${KIT}slider-one`, least: 12, besides: `${KIT}sled-35` },
  { name: 'Kit, a rope', path: `${KIT}rope`, least: 2, besides: `${KIT}sled-35` },
  { name: 'Day', path: DAY, least: 25, words: ['Order', 'Hours', 'Weather', 'Power'] },
  {
    name: 'Day with a chosen shot',
    path: DAY,
    least: 6,
    before: async (page) => {
      await page.getByRole('list', { name: 'Shots in the order of the day' }).locator('.open').nth(3).click();
      await expect(page.getByRole('region', { name: /^Shot \d+ in the day$/ })).toBeVisible();
    },
  },
  { name: 'Rehearse', path: `${SHOT}shot-lane/rehearse`, least: 8, words: ['Count', 'Hands'] },
  { name: 'Rehearse on a rail', path: `${SHOT}shot-rows/rehearse`, least: 2, words: ['Marks'] },
  {
    name: 'Takes',
    path: '/shoot/first-flush/takes?shot=shot-map',
    least: 3,
    words: ['Log', 'Motion', 'Footage', 'My hands', 'Report'],
  },
  { name: 'Limits', path: '/shoot/first-flush/limits', least: 30 },
];

/** The fields of screens whose tests walk those that others have as well: looked at once. */
const namesOn = new Map<string, string[]>();

for (const { name, path, least, before, imperial, besides, words = [] } of SCREENS)
  test(`${name}: every field says its range, takes its ends, is undone in one, and shows after a reload what was set`, async ({
    page,
  }) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    await page.addInitScript(
      (kept) => (localStorage['gentle-arc-preferences'] ??= kept),
      JSON.stringify(imperial ? { units: 'imperial' } : {}),
    );
    const show = async () => {
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
      await before?.(page);
    };
    /** What a screen has on show, word after word. */
    const each = async <T>(of: readonly string[], look: () => Promise<T>): Promise<T[]> => {
      const found: T[] = [];
      for (const word of of.length > 0 ? of : [null]) {
        if (word !== null) await under(page, word);
        found.push(await look());
      }
      return found;
    };
    if (besides && !namesOn.has(besides)) {
      await page.goto(besides);
      await expect.poll(async () => (await namesOfFields(page)).length).toBeGreaterThan(3);
      namesOn.set(besides, (await each(besides.includes('/shot/') ? WORDS : [], () => namesOfFields(page))).flat());
    }
    const known = namesOn.get(besides ?? '') ?? [];
    await page.goto(path);
    await show();
    let walked: string[] = [];
    await each(words, async () => {
      const step = await walkFields(page, [...known, ...walked]);
      walked = [...walked, ...step.walked];
      expect(step.faults).toEqual([]);
    });
    expect(walked.length).toBeGreaterThan(least);
    await each(words, () => nudgeNumbers(page));
    const set = await each(words, () => heldBy(page));
    await page.waitForTimeout(1500);
    await page.reload();
    await show();
    await expect.poll(() => each(words, () => heldBy(page))).toEqual(set);
    expect(errors).toEqual([]);
  });

const PRESSED = [
  '/shoot/first-flush',
  DAY,
  `${SHOT}shot-leaves`,
  `${SHOT}shot-lane/lens`,
  `${SHOT}shot-lane/rehearse`,
  '/shoot/first-flush/takes?shot=shot-rows',
  `${KIT}sled-35`,
  `${KIT}gimbal-zoom`,
];
for (const path of PRESSED)
  test(`every button of ${path} is pressed, breaks nothing, and one undo takes back what it changed`, async ({
    page,
  }) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
    await page.waitForTimeout(1500);
    const { pressed, faults } = await pressButtons(page, path);
    expect(faults).toEqual([]);
    expect(pressed.length).toBeGreaterThan(0);
    expect(errors).toEqual([]);
  });

for (const word of ['Motion', 'Footage', 'My hands', 'Report'])
  test(`every button under “${word}” of Takes is pressed, breaks nothing, and one undo takes back what it changed`, async ({
    page,
  }) => {
    const path = '/shoot/first-flush/takes?shot=shot-map';
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    await page.addInitScript(() => (window.print = () => undefined));
    await page.goto(path);
    await page
      .getByRole('group', { name: 'More of these takes' })
      .getByRole('button', { name: word, exact: true })
      .click();
    await page.waitForTimeout(1500);
    // Hands are measured first.
    const beside = page.locator('main button:enabled:visible:not([role=group][aria-label^="More of"] button)');
    await expect(beside.first()).toBeVisible();
    const { pressed, faults } = await pressButtons(page, path, true);
    expect(faults).toEqual([]);
    expect(pressed.length).toBeGreaterThan(0);
    expect(errors).toEqual([]);
  });
