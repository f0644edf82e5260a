import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { drag, middleOf, openShot, reading, sentence, under, verdict } from './helpers';

const chooser = (page: Page) => page.getByRole('region', { name: 'Choose a move' });

test('a move is chosen by what it does on screen, and shows at once', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  await sentence(page).getByRole('button', { name: 'Arc', exact: true }).click();
  await expect(chooser(page).getByRole('heading', { name: 'What should happen on screen?' })).toBeFocused();
  await chooser(page).getByRole('button', { name: 'Look down' }).click();
  await expect(chooser(page).getByText('Look straight down and stay')).toBeVisible();
  await chooser(page).getByRole('button', { name: 'Overhead spin' }).click();
  await page.keyboard.press('Escape');
  await expect(chooser(page)).toHaveCount(0);
  await expect(sentence(page)).toContainText('Overhead spin');
  await expect(page.getByLabel('spin, + clockwise')).toHaveValue('90°');
  await under(page, 'Reading');
  // A gimbal on foot does not hang in the air: what it cannot do is said, and marked where it happens.
  await expect(reading(page).getByText(/tilts from −80° to 80°/)).toBeVisible();
  const trouble = page.getByRole('button', { name: /^Trouble here: .*tilt/ });
  await expect(trouble).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sentence(page)).toContainText('Arc round');
});

test('a move is added, shaped from where the one before ended, and taken out again', async ({ page }) => {
  await openShot(page, 'shot-rows');
  await under(page, 'Move');
  await page.getByRole('button', { name: 'Then another move' }).click();
  await chooser(page).getByRole('button', { name: 'Come closer' }).click();
  await chooser(page).getByRole('button', { name: 'Push in', exact: true }).click();
  await chooser(page).getByRole('button', { name: 'Done' }).click();
  await expect(sentence(page)).toContainText('Then push in to');
  // It has no beginning of its own: only where it goes.
  await expect(page.getByLabel('from', { exact: true })).toHaveCount(0);
  await expect(page.getByLabel('to', { exact: true })).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Time in the shot' })).toHaveAttribute('aria-valuemax', '13');
  await under(page, 'Time');
  const overlap = page.getByLabel('Overlap with the move before');
  await overlap.fill('2');
  await overlap.press('Enter');
  await expect(page.getByRole('slider', { name: 'Time in the shot' })).toHaveAttribute('aria-valuemax', '11');
  await under(page, 'Move');
  await page.getByRole('button', { name: 'Slide 0 to 8 s' }).click();
  await expect(sentence(page)).toContainText('Slide past');
  await page.getByRole('button', { name: /^Push in/ }).click();
  await page.getByRole('button', { name: 'Take out Push in' }).click();
  await expect(page.getByRole('slider', { name: 'Time in the shot' })).toHaveAttribute('aria-valuemax', '8');
});

test('a path is drawn: points are dragged, added, raised and given a look', async ({ page }) => {
  await openShot(page, 'shot-drawn');
  await under(page, 'Move');
  const points = page.getByRole('list', { name: 'Points of the drawn path' });
  await expect(points.getByRole('listitem')).toHaveCount(4);
  await page.getByRole('button', { name: 'Add a point' }).click();
  await expect(points.getByRole('listitem')).toHaveCount(5);
  const second = page.getByRole('button', { name: 'Path 2' });
  const at = await middleOf(second);
  await drag(page, at, { x: at.x - 25, y: at.y + 15 });
  await expect.poll(async () => Math.round((await middleOf(second)).x - at.x)).toBeLessThan(-15);
  await points.getByRole('listitem').nth(1).getByRole('button', { name: 'looks as the shot aims' }).click();
  await expect(page.getByLabel('Pan at point 2')).toBeVisible();
  const height = page.getByLabel('Lens height at point 3');
  await height.fill('1.9');
  await height.press('Enter');
  await expect(height).toHaveValue('1.9 m');
  await page.getByRole('button', { name: 'Delete point 5' }).click();
  await expect(points.getByRole('listitem')).toHaveCount(4);
  await expect(verdict(page)).toBeVisible();
  // Pressed onto the plan, one after the other.
  await page.getByRole('button', { name: 'Draw on the plan' }).click();
  const box = await page.getByRole('application', { name: 'Plan from above' }).boundingBox();
  if (!box) throw new Error('no plan');
  await page.mouse.click(box.x + box.width * 0.2, box.y + box.height * 0.5);
  await page.mouse.click(box.x + box.width * 0.2, box.y + box.height * 0.25);
  await expect(points.getByRole('listitem')).toHaveCount(6);
  await page.getByRole('button', { name: 'The path is done' }).click();
  await page.mouse.click(box.x + box.width * 0.2, box.y + box.height * 0.6);
  await expect(points.getByRole('listitem')).toHaveCount(6);
});

test('a rack goes between two things that are chosen by name', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  await sentence(page).getByRole('button', { name: 'Arc', exact: true }).click();
  await chooser(page).getByRole('button', { name: 'Bend depth' }).click();
  await chooser(page).getByRole('button', { name: 'Rack focus' }).click();
  await chooser(page).getByRole('button', { name: 'Done' }).click();
  await under(page, 'Reading');
  await expect(reading(page).getByText(/The focus has nowhere to go/)).toBeVisible();
  await under(page, 'Move');
  await page.getByLabel('focus from').selectOption({ label: 'Sorting table' });
  await under(page, 'Reading');
  await expect(reading(page).getByText(/The focus has nowhere to go/)).toHaveCount(0);
  await page.getByText(/things are fine/).click();
  await expect(reading(page).getByText(/The focus goes from .* dioptres a second/)).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Time in the shot' })).toContainText('Focus at');
});

test('a reveal is told with its moment, and missed when nothing is in the way', async ({ page }) => {
  await openShot(page, 'shot-column');
  await expect(verdict(page)).toHaveText('Reads smoothly');
  await page.getByText(/things are fine/).click();
  await expect(reading(page).getByText(/Ansa comes into sight at \d\.\d s, within \d\.\d s\./)).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Time in the shot' })).toContainText('In sight');
  const post = page.getByRole('button', { name: 'Gallery post 4' });
  await post.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Delete');
  await expect(
    reading(page).getByText('Nothing hides Ansa at the start: all of it can be seen from the first frame.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(verdict(page)).toHaveText('Reads smoothly');
});

test('lag, gait and slow motion reach the reading, and a gentler gait is offered', async ({ page }) => {
  await openShot(page, 'shot-follow');
  await under(page, 'Rig');
  await page.getByLabel('Gait').selectOption({ label: 'a run' });
  await under(page, 'Reading');
  await expect(reading(page).getByText(/The picture bobs by .* with a run on Gimbal on foot/)).toBeVisible();
  await reading(page)
    .getByRole('button', { name: /Go with (a plain walk|bent knees)/ })
    .click();
  await expect(reading(page).getByText(/The picture bobs by .* with a run/)).toHaveCount(0);
  await under(page, 'Camera');
  await page.getByLabel('Capture rate').fill('60');
  await page.getByLabel('Capture rate').press('Enter');
  await expect(page.getByText('(2.5 times slower than life)')).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Time in the shot' })).toHaveAttribute('aria-valuemax', '22.5');
  await under(page, 'Rig');
  await page.getByText('Why it shakes so').click();
  const body = page.getByLabel('Body number');
  await body.fill('7');
  await body.press('Enter');
  await expect(body).toHaveValue('7');
  await page.getByRole('button', { name: 'Body' }).click();
  await expect(page.getByRole('button', { name: 'Body' })).toHaveAttribute('aria-pressed', 'true');
  await under(page, 'Aim');
  const smoothing = page.getByLabel('Smoothing time');
  await smoothing.fill('3');
  await smoothing.press('Enter');
  await expect(smoothing).toHaveValue('3 s');
});

test('the figures of rig and gait are typed over, in a unit a person reads, and restored', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  await under(page, 'Rig');
  await page.getByRole('button', { name: 'Their figures' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByText(/common practice, no published source/)).toBeVisible();
  const steady = sheet.getByLabel('Steady up to');
  await expect(steady).toHaveValue('1.6 m/s');
  await steady.fill('0.4 m/s');
  await steady.press('Enter');
  await expect(steady).toHaveValue('0.4 m/s');
  await page.keyboard.press('Escape');
  await expect(sheet).toHaveCount(0);
  await under(page, 'Reading');
  await expect(reading(page).getByText(/Gimbal on foot keeps steady up to 0.4 m\/s/)).toBeVisible();
  await under(page, 'Rig');
  await page.getByRole('button', { name: 'Their figures' }).click();
  await sheet.getByRole('button', { name: 'Back to the usual figures' }).click();
  await expect(steady).toHaveValue('1.6 m/s');
});

test('trouble on the path leads the playhead to where it happens', async ({ page }) => {
  await openShot(page, 'shot-pavilion');
  const trouble = page.getByRole('button', { name: /^Trouble here: .*leans/ });
  await trouble.click();
  expect(
    Number(await page.getByRole('slider', { name: 'Time in the shot' }).getAttribute('aria-valuenow')),
  ).toBeGreaterThan(1);
});

test('to the other side, and backwards', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  await under(page, 'Move');
  await page.getByRole('button', { name: 'To the other side' }).click();
  await expect(page.getByLabel('sweep, + clockwise')).toHaveValue('−130°');
  const start = await middleOf(page.getByRole('button', { name: 'Path start' }));
  await page.getByRole('button', { name: 'Run it backwards' }).click();
  await expect(page.getByRole('button', { name: 'Forwards again' })).toBeVisible();
  const end = await middleOf(page.getByRole('button', { name: 'Path end' }));
  // The same spot; its name stands below now instead of above.
  expect(Math.abs(end.x - start.x)).toBeLessThan(2);
  expect(Math.abs(end.y - start.y)).toBeLessThan(14);
});

test.describe('with fingers', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  /** Two fingers put down, moved and lifted, as the browser sees them. */
  async function twoFingers(page: Page, from: [number, number][], to: [number, number][]) {
    const session = await page.context().newCDPSession(page);
    const points = (rows: [number, number][]) => rows.map(([x, y], id) => ({ x, y, id }));
    await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: points(from) });
    for (let k = 1; k <= 6; k += 1)
      await session.send('Input.dispatchTouchEvent', {
        type: 'touchMove',
        touchPoints: points(from.map(([x, y], i) => [x + ((to[i][0] - x) * k) / 6, y + ((to[i][1] - y) * k) / 6])),
      });
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  }

  test('a pinch brings the plan closer, a turn turns the move about its pivot', async ({ page }) => {
    await openShot(page, 'shot-sorting');
    const box = await page.getByRole('application', { name: 'Plan from above' }).boundingBox();
    if (!box) throw new Error('no plan');
    const [x, y] = [box.x + box.width * 0.25, box.y + box.height * 0.35];
    const radius = async () => {
      const [a, b] = [
        await middleOf(page.getByRole('button', { name: 'Path start' })),
        await middleOf(page.getByRole('button', { name: 'Pivot' })),
      ];
      return Math.hypot(a.x - b.x, a.y - b.y);
    };
    const before = await radius();
    await twoFingers(
      page,
      [
        [x, y],
        [x + 40, y],
      ],
      [
        [x - 20, y],
        [x + 60, y],
      ],
    );
    await expect.poll(radius).toBeGreaterThan(before * 1.5);
    await twoFingers(
      page,
      [
        [x, y],
        [x + 60, y],
      ],
      [
        [x, y],
        [x + 52, y + 30],
      ],
    );
    await under(page, 'Move');
    await expect(page.getByLabel('from bearing')).toHaveValue('140°');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('from bearing')).toHaveValue('110°');
  });

  test('a move is chosen with a thumb, the picture in sight', async ({ page }) => {
    await openShot(page, 'shot-leaves');
    const current = sentence(page).getByRole('button', { name: 'Push in', exact: true });
    await current.scrollIntoViewIfNeeded();
    await current.tap();
    await chooser(page).getByRole('button', { name: 'Go round' }).tap();
    await chooser(page).getByRole('button', { name: 'Low orbit, looking up' }).tap();
    await expect(page.getByRole('figure', { name: 'Picture through the lens' })).toBeInViewport();
    await chooser(page).getByRole('button', { name: 'Done' }).tap();
    await expect(sentence(page)).toContainText('Low orbit, looking up round');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
  });
});
