import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures';
import { apartOf, cellsOf, middleOf, openShot, reading } from './helpers';

test('a finding leads the playhead to where it happens and points at what it is about', async ({ page }) => {
  await openShot(page, 'shot-pavilion');
  const picture = page.getByRole('figure', { name: 'Picture through the lens' });
  const finding = reading(page).getByRole('button', { name: /Far things cross the frame/ });
  await finding.click();
  await expect(finding).toHaveAttribute('aria-pressed', 'true');
  const time = page.getByRole('slider', { name: 'Time in the shot' });
  const said = (await finding.getAttribute('aria-label'))?.match(/at ([\d.]+) seconds/)?.[1];
  expect(Number(await time.getAttribute('aria-valuenow'))).toBeCloseTo(Number(said), 0);
  await expect(picture.locator('[data-about="far"]')).toBeVisible();
  // What lies over the picture goes with the one that is drawn.
  await expect.poll(() => picture.locator('[data-about="far"] path').count()).toBeGreaterThan(10);
  await page.keyboard.press('Escape');
  await expect(picture.locator('[data-about]')).toHaveCount(0);
});

// Beside the drawing the search takes long enough to be stopped by hand.
test('the search for changes shows how far it is, can be stopped and taken up again', async ({ page }) => {
  // The rest of the search beside the drawing, in software, with other tests at work.
  test.setTimeout(150_000);
  await openShot(page, 'shot-pavilion');
  const stop = reading(page).getByRole('button', { name: 'Stop', exact: true });
  await expect(stop).toBeVisible();
  await expect(reading(page).getByText(/Trying changes that would help: \d+ of \d+/)).toBeVisible();
  await stop.click();
  await expect(reading(page).getByText(/Stopped before every change was tried/)).toBeVisible();
  await reading(page).getByRole('button', { name: 'Go on' }).click();
  await expect(stop).toBeVisible();
  await expect(stop).toBeHidden({ timeout: 100_000 });
  await expect(
    reading(page)
      .getByRole('button', { name: /removes the/ })
      .first(),
  ).toBeVisible();
});

test('the picture can be taken away as a PNG, as large as a film’s', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Take this picture as PNG' }).click();
  const bytes = readFileSync(await (await download).path());
  // PNG (W3C): its name, then width and height in the header.
  expect(bytes.subarray(1, 4).toString()).toBe('PNG');
  expect([bytes.readUInt32BE(16), bytes.readUInt32BE(20)]).toEqual([1920, 1080]);
  // A blank sheet would be a few kilobytes.
  expect(bytes.length).toBeGreaterThan(100_000);
});

test('where sheets cannot be given away the page draws the picture itself', async ({ page }) => {
  await page.addInitScript(() => {
    Reflect.deleteProperty(HTMLCanvasElement.prototype, 'transferControlToOffscreen');
  });
  await openShot(page, 'shot-sorting');
  const colours = () =>
    page.locator('figure canvas').evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height) ?? { data: [] };
      const seen = new Set<number>();
      for (let i = 0; i < data.length; i += 400) seen.add(data[i] * 65536 + data[i + 1] * 256 + data[i + 2]);
      return seen.size;
    });
  await expect.poll(colours).toBeGreaterThan(50);
});

for (const [what, shot, preferences] of [
  ['', 'shot-sorting', {}],
  [' by the light of a lamp', 'shot-gallery', {}],
  [' with the tones of depth over it', 'shot-rows', { depthTint: true }],
  [' with the tones of sharpness over it', 'shot-sorting', { sharpTone: true }],
] as const)
  test(`a picture that is drawn in a hurry looks like the one at rest, but for shadows and surfaces${what}`, async ({
    page,
  }) => {
    await page.addInitScript(
      (kept) => localStorage.setItem('gentle-arc-preferences', kept),
      JSON.stringify(preferences),
    );
    await openShot(page, shot);
    const canvas = page.locator('figure canvas');
    const { x, y } = await middleOf(page.getByRole('button', { name: 'Path end', exact: true }));
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 12, y);
    // As often as a slow machine needs to have drawn either.
    await expect(async () => {
      await page.waitForTimeout(2500);
      const resting = await cellsOf(page, canvas);
      // Held, and never still for as long as a picture needs to be drawn as it should be.
      let shaken = true;
      const shaking = (async () => {
        for (let i = 1; shaken; i += 1) await page.mouse.move(x + 12 + (i % 2), y);
        await page.mouse.move(x + 12, y);
      })();
      await page.waitForTimeout(500);
      const hurried = await cellsOf(page, canvas);
      shaken = false;
      await shaking;
      const { mean, most } = apartOf(hurried, resting);
      // The same places have the same colours, and there are shadows at rest.
      expect(mean).toBeLessThan(12);
      expect(most).toBeLessThan(110);
      expect(mean).toBeGreaterThan(0.3);
    }).toPass({ timeout: 40_000 });
    await page.mouse.up();
  });
