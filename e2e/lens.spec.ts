import { expect, test } from '@playwright/test';
import { openShot } from './helpers';

test('the Lens screen compares focal lengths on this very shot, and the shot takes the one that is picked', async ({ page }) => {
  await openShot(page, 'shot-sorting');
  await page.getByRole('link', { name: 'Lens', exact: true }).click();
  const bench = page.getByRole('region', { name: 'Focal lengths' });
  await expect(bench.getByRole('heading', { name: /^Here .* (wins|alike)/ })).toBeVisible();
  await expect(bench.getByRole('article')).toHaveCount(6);
  await expect(bench.getByText('taken so')).toHaveCount(1);
  const longest = bench.getByRole('article').last();
  await expect(longest.getByText(/stands [\d.]+ m away/)).toBeVisible();
  const framing = await longest.getByText(/stands [\d.]+ m away/).textContent();
  await bench.getByLabel('Compare by').selectOption({ label: 'same spot' });
  await expect(longest.getByText(/stands [\d.]+ m away/)).not.toHaveText(framing ?? '');
  const wide = bench.getByRole('article', { name: '20 mm' });
  await wide.getByRole('button', { name: 'Take it' }).click();
  await expect(wide.getByText('taken so')).toBeVisible();
  await page.getByRole('link', { name: 'Move', exact: true }).click();
  await expect(page.getByLabel('Focal length', { exact: true })).toHaveValue('20 mm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Lens', { exact: true })).toHaveValue('lens-moss-35');
});

test('focus: one setting for the whole move is offered, taken, and read by', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-leaves/lens');
  const focus = page.getByRole('region', { name: 'Focus' });
  await expect(focus.getByText(/One focus for the whole move: [\d.]+ m and f\/[\d.]+ or deeper/)).toBeVisible();
  await focus.getByRole('button', { name: 'Set it so' }).click();
  await expect(focus.getByLabel('Focus', { exact: true })).toHaveValue('fixed');
  const stop = focus.getByLabel('Stop', { exact: true });
  await stop.fill('0');
  await stop.press('Enter');
  await expect(focus.getByRole('alert')).toContainText(/Stop must be from/);
  await expect(page.getByRole('region', { name: 'Light' })).toBeVisible();
});

test('light: says how many stops too bright, and which filters of those at hand come nearest', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-rows/lens');
  const light = page.getByRole('region', { name: 'Light' });
  // f/5.6, 1/48 s, ISO 100 in full sun: 15 − log2(5.6² · 48) = 4.4 stops.
  await expect(light.getByText('4.4 stops too bright.')).toBeVisible();
  await expect(light.getByText('ND 2 (0.3) and ND 8 (0.9)')).toBeVisible();
  await light.getByRole('button', { name: 'ND 16 (1.2)' }).click();
  await expect(light.getByRole('status').getByText('ND 16 (1.2)')).toBeVisible();
  await light.getByLabel('Light', { exact: true }).selectOption({ label: 'Room in the evening, lamps' });
  await expect(light.getByText(/stops too dark/)).toBeVisible();
});

test('pixels and distances: cuts leave frames inside frames, and a size tells how far a thing is', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-rows/lens');
  const pixels = page.getByRole('region', { name: 'Pixels' });
  await expect(pixels.getByText(/The picture is enough/)).toBeVisible();
  const bars = pixels.getByLabel('Black bars');
  await bars.fill('7');
  await bars.press('Enter');
  await expect(pixels.getByText(/leaves 2\.07:1/)).toBeVisible();
  const kept = pixels.getByLabel('Kept back for stabilising');
  await kept.fill('40');
  await kept.press('Enter');
  await expect(pixels.getByText(/The picture is softened/)).toBeVisible();
  const far = page.getByRole('region', { name: 'Distances' });
  const share = far.getByLabel('Share of the frame height');
  await share.fill('none');
  await share.press('Enter');
  await expect(far.getByRole('alert')).toContainText('is not a number');
  await share.fill('100');
  await share.press('Enter');
  // A 20.25 mm high frame at 35 mm: as far as 35 / 20.25 times its height.
  const known = parseFloat(await far.getByLabel('Known height').inputValue());
  await expect(far.getByText(`${((known * 35) / 20.25).toFixed(2)} m`, { exact: true })).toBeVisible();
});
