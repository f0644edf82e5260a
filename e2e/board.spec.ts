import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { textOf, verdict } from './helpers';

const list = (page: Page) => page.getByRole('list', { name: 'Shots in order' });
const names = (page: Page) => list(page).locator('a .name b').allTextContents();
const words = (page: Page, name: string) =>
  page.getByRole('group', { name: 'More of this film' }).getByRole('button', { name, exact: true });

async function openBoard(page: Page): Promise<void> {
  await page.goto('/shoot/first-flush');
  await expect(page.getByRole('heading', { name: 'Shots', level: 1 })).toBeVisible();
  await expect(list(page).getByRole('listitem')).toHaveCount(44);
}

test('shots are chosen, moved, copied, seen from the other side and deleted; each is one undo', async ({ page }) => {
  await openBoard(page);
  const [first, second, third] = await names(page);
  const undo = page.getByRole('button', { name: 'Undo' });
  await page.getByRole('button', { name: `Choose ${first}` }).click();
  const chosen = page.getByRole('region', { name: 'Chosen shots' });
  await chosen.getByRole('button', { name: 'Later' }).click();
  expect((await names(page)).slice(0, 2)).toEqual([second, first]);
  await undo.click();
  await chosen.getByRole('button', { name: 'Another like this from the other side' }).click();
  expect((await names(page)).slice(0, 3)).toEqual([first, `${first}, from the other side`, second]);
  await undo.click();
  await page.getByRole('button', { name: `Choose ${second}` }).click();
  await page.getByRole('button', { name: `Choose ${third}` }).click({ modifiers: ['Shift'] });
  await expect(chosen.getByText('2 shots are chosen.')).toBeVisible();
  await chosen.getByLabel('Scene', { exact: true }).fill('Leaves');
  await chosen.getByLabel('Scene', { exact: true }).press('Enter');
  await expect(page.getByLabel('Scene that begins with shot 2', { exact: true })).toHaveValue('Leaves');
  await chosen.getByRole('button', { name: 'Delete these 2 shots' }).click();
  expect((await names(page)).slice(0, 2)).not.toContain(second);
  await undo.click();
  await undo.click();
  expect((await names(page)).slice(0, 3)).toEqual([first, second, third]);
  await page.getByRole('button', { name: 'Add a shot' }).click();
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('link', { name: 'Shots' }).click();
  await expect(page.getByRole('link', { name: /Shot 45/ })).toBeVisible();
});

test('a row is dragged by keys to another place, and the whole row opens the shot', async ({ page }) => {
  await openBoard(page);
  const [first, second] = await names(page);
  await page.getByLabel(`Move ${first}`).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  expect((await names(page)).slice(0, 2)).toEqual([second, first]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await names(page)).slice(0, 2)).toEqual([first, second]);
  await page.getByText('Slide past the row markers').click();
  await expect(page).toHaveURL(/shot-rows$/);
});

test('the join that is wrong on purpose says why, is cured with one press, and undo brings it back', async ({
  page,
}) => {
  await openBoard(page);
  const join = page.getByRole('button', { name: /^Join: The yard tips over to And comes to rest/ });
  await expect(join).toContainText('they turn against each other');
  await join.click();
  const seen = page.getByRole('region', { name: 'Join' });
  await seen.getByRole('button', { name: /Mirror the move of “And comes to rest”/ }).click({ timeout: 30_000 });
  await expect(seen.getByText(/: one turn\./)).toBeVisible();
  await expect(join).not.toContainText('against each other');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(join).toContainText('they turn against each other');
  await seen.getByLabel('Meets the next').selectOption('black');
  await expect(seen.getByLabel('Black for')).toHaveValue('0.5 s');
  await expect(join).toContainText('0.5 s of black');
  await expect(join).not.toContainText('against each other');
});

test('a cut is typed, and what does not fit is refused in a sentence', async ({ page }) => {
  await openBoard(page);
  await page.getByRole('button', { name: /^Join: Into the dark/ }).click();
  const seen = page.getByRole('region', { name: 'Join' });
  const out = seen.getByLabel('Cut out at');
  await expect(out).toHaveValue('6 s');
  await out.fill('9');
  await out.press('Enter');
  await expect(seen.getByRole('alert')).toContainText('Cut out at');
  await out.fill('5');
  await out.press('Enter');
  await expect(out).toHaveValue('5 s');
  await page.waitForTimeout(500);
  await page.reload();
  await page.getByRole('button', { name: /^Join: Into the dark/ }).click();
  await expect(seen.getByLabel('Cut out at')).toHaveValue('5 s');
});

test('the film as a whole: what is not covered is ticked off, and kept', async ({ page }) => {
  await openBoard(page);
  const film = page.getByRole('region', { name: 'The film' });
  await expect(film.getByText(/s in all: the picture moves in/)).toBeVisible();
  const square = film.getByRole('button', { name: 'from behind, wide: not covered' });
  await square.click();
  await expect(film.getByRole('button', { name: 'from behind, wide: ticked off' })).toBeVisible();
  await page.waitForTimeout(500);
  await page.reload();
  await expect(film.getByRole('button', { name: 'from behind, wide: ticked off' })).toBeVisible();
});

test('an empty board asks and lays out a set; own patterns are kept', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  await page.getByRole('link', { name: 'Shots' }).click();
  await page.getByRole('button', { name: 'Choose First shot' }).click();
  await page.getByRole('button', { name: 'Delete this shot' }).click();
  await expect(page.getByText('No shots yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Lay out' }).last().click();
  const lay = page.getByRole('region', { name: 'Lay out' });
  await expect(lay.getByText('The site is empty')).toBeVisible();
  await lay.getByLabel('How does it end?').fill('The boat is gone');
  await lay.getByRole('link', { name: 'Scout' }).click();
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByText('Figure', { exact: true }).click();
  await page.getByRole('link', { name: 'Shots' }).click();
  await words(page, 'Lay out').click();
  // What was answered before is still there.
  await expect(lay.getByLabel('How does it end?')).toHaveValue('The boat is gone');
  await lay.getByLabel('How does it end?').fill('');
  await lay.getByLabel('Who is it about?').fill('Mira');
  await lay.getByLabel('Where is it?').fill('Harbour');
  await lay.getByLabel('Pattern', { exact: true }).selectOption('arrival');
  await lay.getByRole('checkbox', { name: 'Closely' }).uncheck();
  await lay.getByRole('button', { name: 'Keep as my own pattern' }).click();
  await expect(lay.getByLabel('Name of the pattern')).toHaveValue('Arrival to ending (own)');
  await lay.getByRole('button', { name: 'Lay out 5 shots' }).click();
  await expect(lay.getByRole('status')).toContainText('5 shots were planned about Figure');
  expect(await names(page)).toEqual([
    'The place: Mira',
    'Somebody comes: Mira',
    'What is done here: Mira',
    'The face: Mira',
    'Leaving: Mira',
  ]);
  await expect(page.getByLabel('Scene that begins with shot 1')).toHaveValue('Harbour');
});

test('the cut and the shot list are taken away; a list comes in, and a broken one is refused', async ({ page }) => {
  await openBoard(page);
  await words(page, 'Take away').click();
  const away = page.getByRole('region', { name: 'Take away' });
  const take = async (name: string) => {
    const download = page.waitForEvent('download');
    await away.getByRole('button', { name, exact: true }).click();
    return textOf(await download);
  };
  expect(JSON.parse(await take('Cut as OpenTimelineIO'))).toMatchObject({ OTIO_SCHEMA: 'Timeline.1' });
  expect((await take('Cut as CSV')).split('\n')[1]).toMatch(/^1,First light along the rows,First light,00:00:00:00/);
  const rows = await take('Shot list as CSV');
  const choose = (text: string) =>
    away
      .getByLabel('Shot list to take in')
      .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await choose(rows.replace('First light along the rows', 'Dawn along the rows'));
  await expect(away.getByText('44 rows were taken in.')).toBeVisible();
  expect((await names(page))[0]).toBe('Dawn along the rows');
  await choose('name,cut_in_s\nA,-4\n');
  await expect(page.getByText('row 2, cut_in_s must be a number from 0 to 86400; it is "-4".')).toBeVisible();
  expect((await names(page))[0]).toBe('Dawn along the rows');
  await expect(away.getByRole('button', { name: 'Print 6 to a page' })).toBeEnabled();
  await away.getByLabel('What is taken away').selectOption({ index: 1 });
  await away.getByRole('button', { name: 'Video as' }).click();
  await expect(away.getByText(/cannot draw in three dimensions/)).toBeVisible();
});

test('the film is played and scrubbed over cuts, and one join is played over and over', async ({ page }) => {
  await openBoard(page);
  await page.getByRole('button', { name: 'Play the film' }).click();
  const head = page.getByRole('slider', { name: 'Time in the film' });
  await expect(head).toHaveAttribute('aria-valuetext', /^0:0[1-9]/);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.keyboard.press('.');
  await page.keyboard.press('.');
  await expect(head).toHaveAttribute('aria-valuetext', /shot 2, In to the two leaves$/);
  await head.press('ArrowLeft');
  await head.press('ArrowLeft');
  await expect(page.getByRole('region', { name: 'The film' }).getByText('black', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the board' }).click();
  await page.getByRole('button', { name: /^Join: Whip off the table/ }).click();
  await page.getByRole('button', { name: 'Play this join over and over' }).click();
  await expect(page.getByRole('button', { name: 'Over and over', exact: true })).toBeVisible();
  await page.waitForTimeout(3500);
  await expect(head).toHaveAttribute('aria-valuetext', /shot 3[78]/);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  test('frames and names come first, and the words lie folded at the foot', async ({ page }) => {
    await openBoard(page);
    const film = page.getByRole('region', { name: 'The film' });
    await expect(film).toBeHidden();
    await words(page, 'Film').tap();
    await expect(film).toBeVisible();
    await words(page, 'Film').tap();
    await expect(film).toBeHidden();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});
