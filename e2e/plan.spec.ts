import { expect, test } from './fixtures';
import { drag, middleOf, openShot, reading, under, verdict } from './helpers';

test('pieces are dragged, resized and nudged; the pivot leaves the subject; each is one undo', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  const table = page.getByRole('button', { name: 'Sorting table', exact: true });
  await table.focus();
  await page.keyboard.press('Enter');
  const east = page.getByLabel('East', { exact: true });
  await expect(east).toHaveValue('−8 m');

  const at = await middleOf(table);
  await drag(page, at, { x: at.x + 60, y: at.y - 20 });
  await expect(east).not.toHaveValue('−8 m');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(east).toHaveValue('−8 m');

  await table.focus();
  await page.keyboard.press('ArrowRight');
  await expect(east).toHaveValue('−7.9 m');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(east).toHaveValue('−6.9 m');

  const length = page.getByLabel('Length', { exact: true });
  await expect(length).toHaveValue('1.8 m');
  const grip = await middleOf(page.getByRole('button', { name: 'Resize Sorting table' }));
  await drag(page, grip, { x: grip.x + 40, y: grip.y + 5 });
  await expect(length).not.toHaveValue('1.8 m');
  await page.getByRole('button', { name: 'Turn Sorting table' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Heading', { exact: true })).toHaveValue('95°');

  await under(page, 'Reading');
  await page.getByText(/things are fine/).click();
  await expect(reading(page).getByText(/Ansa stays in place in the frame/)).toBeVisible();
  const pivot = page.getByRole('button', { name: 'Pivot' });
  const start = page.getByRole('button', { name: 'Path start' });
  const before = await middleOf(start);
  const middle = await middleOf(pivot);
  await drag(page, middle, { x: middle.x - 50, y: middle.y + 10 });
  await expect.poll(async () => Math.round((await middleOf(start)).x - before.x)).toBeLessThan(-30);
});

test('the path’s ends move with the arrow keys', async ({ page }) => {
  await openShot(page, 'shot-leaves');
  const to = page.getByLabel('to', { exact: true });
  await expect(to).toHaveValue('2.2 m');
  await page.getByRole('button', { name: 'Path end' }).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(to).toHaveValue('2.4 m');
});

test('what is said follows while something is still held, and says what is there once it is let go', async ({
  page,
}) => {
  await openShot(page, 'shot-leaves');
  const to = page.getByLabel('to', { exact: true });
  const east = page.getByLabel('East', { exact: true });
  const said = async (field: typeof to) => field.inputValue();
  const end = await middleOf(page.getByRole('button', { name: 'Path end' }));
  await page.mouse.move(end.x, end.y);
  await page.mouse.down();
  for (let k = 1; k <= 8; k += 1) await page.mouse.move(end.x, end.y + 3 * k);
  await expect(to).not.toHaveValue('2.2 m');
  // Held still, the last of it is said.
  await page.waitForTimeout(400);
  const held = await said(to);
  await page.mouse.up();
  await expect(to).toHaveValue(held);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(to).toHaveValue('2.2 m');

  // So do the words of a piece, on the Scout screen, too.
  await page.getByRole('link', { name: 'Scout' }).click();
  await page.getByRole('button', { name: 'Ground' }).click();
  const piece = page.getByRole('button', { name: 'Sorting table', exact: true });
  await piece.focus();
  await page.keyboard.press('Enter');
  const before = await said(east);
  const from = await middleOf(piece);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let k = 1; k <= 8; k += 1) await page.mouse.move(from.x + 4 * k, from.y);
  await expect(east).not.toHaveValue(before);
  await page.waitForTimeout(400);
  const there = await said(east);
  await page.mouse.up();
  await expect(east).toHaveValue(there);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(east).toHaveValue(before);
});

test('an upright delivery turns the picture and the reading with it', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  const frame = page.getByRole('figure', { name: 'Picture through the lens' });
  await under(page, 'Camera');
  await page.getByLabel('Delivery shape').selectOption('2160 × 3840');
  await expect
    .poll(async () => {
      const box = await frame.boundingBox();
      return box ? Math.round((100 * box.width) / box.height) : 0;
    })
    .toBe(56);
  await under(page, 'Reading');
  await page.getByText(/things are fine/).click();
  await expect(reading(page).getByText(/of 2160 pixels/)).toBeVisible();
});

test('choosing lens, camera and rig from the kit changes what the reading says of them', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  await under(page, 'Rig');
  await page.getByLabel('Rig', { exact: true }).selectOption({ label: 'Slider 1.2 m' });
  await under(page, 'Reading');
  await expect(reading(page).getByText(/The path bends by .* is straight/)).toBeVisible();
  await reading(page)
    .getByRole('button', { name: /Take Gimbal on foot/ })
    .first()
    .click();
  await expect(verdict(page)).toHaveText('Reads smoothly');
  await under(page, 'Camera');
  await page.getByLabel('Lens', { exact: true }).selectOption({ label: 'Moss 85 (85 mm)' });
  await expect(page.getByLabel('Focal length')).toHaveValue('85 mm');
  await under(page, 'Reading');
  await expect(reading(page).getByText(/Ansa’s top is cut off/)).toBeVisible();
  await under(page, 'Camera');
  await page.getByLabel('Camera', { exact: true }).selectOption({ label: 'Wren crop' });
  await expect(page.getByLabel('Frame rate')).toHaveValue('24');
});

test('a finding leads the playhead to where it happens', async ({ page }) => {
  await openShot(page, 'shot-leaves');
  await reading(page).getByRole('button', { name: 'Show it at 6.0 seconds' }).first().click();
  await expect(page.getByRole('slider', { name: 'Time in the shot' })).toHaveAttribute('aria-valuenow', '6');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  test('the picture stays in sight while the reading is read, and a cure can be tapped', async ({ page }) => {
    await openShot(page, 'shot-leaves');
    const cure = reading(page).getByRole('button', { name: /Feather the stop .* removes the jolt, hardness/ });
    await cure.scrollIntoViewIfNeeded();
    await cure.tap();
    await expect(reading(page).getByText(/The stop jerks/)).toHaveCount(0);
    await expect(page.getByRole('figure', { name: 'Picture through the lens' })).toBeInViewport();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
  });
});
