import { expect, test } from './fixtures';
import { drag, middleOf, openShot, reading, sentence, under, verdict } from './helpers';

test('the first screen shows the demo and how to start an own shoot', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'First Flush' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start an own shoot' })).toBeVisible();
  await page.getByRole('link', { name: 'Open “First Flush”' }).click();
  await expect(verdict(page)).toHaveText(/Reads smoothly/);
  await expect(page.locator('figure canvas')).toBeVisible();
});

test('dragging an orbit’s radius changes the reading, the numbers and the plan together', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  const radius = page.getByLabel('radius', { exact: true });
  await expect(radius).toHaveValue('3.4 m');
  await page.getByText(/things are fine/).click();
  const before = await reading(page)
    .getByText(/The path is .* long/)
    .textContent();
  const start = await middleOf(page.getByRole('button', { name: 'Path start' }));
  const pivot = await middleOf(page.getByRole('button', { name: 'Pivot' }));
  await drag(page, start, { x: start.x + (start.x - pivot.x) * 0.4, y: start.y + (start.y - pivot.y) * 0.4 });
  await expect(radius).not.toHaveValue('3.4 m');
  expect(parseFloat(await radius.inputValue())).toBeCloseTo(4.76, 0);
  await expect(reading(page).getByText(/The path is .* long/)).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(radius).toHaveValue('3.4 m');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('a jolt is cured with one press, and undo brings it back', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  await expect(verdict(page)).toHaveText('Reads smoothly');
  const feather = page.getByLabel('Feather out', { exact: true });
  await under(page, 'Time');
  await feather.fill('0');
  await feather.press('Enter');
  await under(page, 'Reading');
  await expect(reading(page).getByText(/The stop jerks/)).toBeVisible();
  await reading(page)
    .getByRole('button', { name: /Feather the stop over/ })
    .click();
  await expect(verdict(page)).toHaveText('Reads smoothly');
  await under(page, 'Time');
  await expect(feather).not.toHaveValue('0 s');
  await under(page, 'Reading');
  await page.keyboard.press('Control+z');
  await expect(reading(page).getByText(/The stop jerks/)).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(verdict(page)).toHaveText('Reads smoothly');
});

test('play, pause, step, scrub and loop move one playhead', async ({ page }) => {
  await openShot(page, 'shot-rows');
  const time = page.getByRole('slider', { name: 'Time in the shot' });
  await page.getByRole('button', { name: 'One frame on' }).click();
  await expect(page.getByText(/0\.04 s/)).toBeVisible();
  await expect(time).toHaveAttribute('aria-valuenow', '0.04');
  await page.getByRole('button', { name: 'Play' }).click();
  await expect.poll(async () => Number(await time.getAttribute('aria-valuenow'))).toBeGreaterThan(0.5);
  await page.getByRole('button', { name: 'Pause' }).click();
  const box = await time.boundingBox();
  if (!box) throw new Error('no strip');
  await page.mouse.click(box.x + box.width * 0.6, box.y + 60);
  const scrubbed = Number(await time.getAttribute('aria-valuenow'));
  expect(scrubbed).toBeGreaterThan(3);
  expect(scrubbed).toBeLessThan(6);
  await time.press('ArrowLeft');
  expect(Number(await time.getAttribute('aria-valuenow'))).toBeCloseTo(scrubbed - 1 / 24, 1);
});

test('plays in real time', async ({ page }) => {
  await openShot(page, 'shot-rows');
  const time = page.getByRole('slider', { name: 'Time in the shot' });
  await page.getByRole('button', { name: 'Play' }).click();
  // Both read in the page at the moment it goes on: what asks may have to wait, and so may the next frame.
  const look = () =>
    time.evaluate(
      (slider) =>
        new Promise<{ s: number; clockS: number }>((done) => {
          const watch = new MutationObserver(() => {
            watch.disconnect();
            done({ s: Number(slider.getAttribute('aria-valuenow')), clockS: performance.now() / 1000 });
          });
          watch.observe(slider, { attributeFilter: ['aria-valuenow'] });
        }),
    );
  const from = await look();
  await page.waitForTimeout(2000);
  const to = await look();
  expect(Math.abs(to.s - from.s - (to.clockS - from.clockS))).toBeLessThan(0.7);
});

test('choosing another move keeps the camera’s place, and typing out of range says so and loses nothing', async ({
  page,
}) => {
  await openShot(page, 'shot-rows');
  await sentence(page).getByRole('button', { name: 'Slide', exact: true }).click();
  await page.getByRole('button', { name: 'Bend depth' }).click();
  await page.getByRole('button', { name: 'Dolly zoom', exact: true }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByLabel('from', { exact: true })).toHaveValue('4.6 m');
  await under(page, 'Reading');
  // The fold is kept open while readings come in.
  const fold = reading(page).locator('details', { hasText: 'things are fine' }).last();
  await fold.locator('summary').click();
  await expect(fold.getByText(/The move needs .* mm/)).toBeVisible();
  const duration = page.getByLabel('Duration');
  await duration.fill('quick');
  await duration.press('Enter');
  await expect(page.getByRole('alert')).toContainText(
    'Duration: “quick” is not a number; type one from 0.2 s to 25000 s.',
  );
  await duration.fill('99999');
  await duration.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Duration must be from 0.2 s to 25000 s');
  await duration.press('Escape');
  await expect(duration).toHaveValue('8 s');
});

test('without WebGL the plan, the strip and the reading still work, and the picture says why it is missing', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const plain = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, ...args: Parameters<typeof plain>) {
      return String(args[0]).startsWith('webgl') ? null : plain.apply(this, args);
    } as typeof plain;
  });
  await openShot(page, 'shot-leaves');
  await expect(page.getByText(/cannot draw the picture through the lens: WebGL 2 is missing/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Path end' })).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Time in the shot' })).toBeVisible();
  await expect(reading(page).getByText(/The stop jerks/)).toBeVisible();
});

test('feet and inches, and the dim light, are kept', async ({ page }) => {
  await openShot(page, 'shot-rows');
  await page.getByRole('button', { name: 'View' }).click();
  await page.getByText('Show feet and inches').click();
  await expect(page.getByLabel('distance', { exact: true })).toHaveValue('15′ 1.1″');
  await page.getByRole('button', { name: 'View' }).click();
  await page.getByText('Dim, for a dark stage').click();
  await page.reload();
  await expect(page.getByLabel('distance', { exact: true })).toHaveValue('15′ 1.1″');
  await expect(page.locator('html')).toHaveClass(/dim/);
});
