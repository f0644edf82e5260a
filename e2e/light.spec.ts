import { expect, test } from './fixtures';
import { openShot, reading, under } from './helpers';

test('the sun of a place and a moment: told, drawn on the plan, and moved along the day', async ({ page }) => {
  await openShot(page, 'shot-rows');
  await under(page, 'Light');
  await expect(page.getByText(/day, the sun \d\d°\s+high in the east/)).toBeVisible();
  await expect(page.getByRole('img', { name: 'The sun' })).toBeVisible();
  const day = page.getByRole('slider', { name: 'Time of day' });
  await expect(day).toHaveAttribute('aria-valuetext', '06:40');
  await day.focus();
  await page.keyboard.press('PageUp');
  await page.keyboard.press('ArrowRight');
  await expect(day).toHaveAttribute('aria-valuetext', '07:45');
  await under(page, 'Reading');
  await page.getByText(/things are fine/).click();
  await expect(reading(page).getByText(/Ansa is lit .*from the right/)).toBeVisible();
  await under(page, 'Light');
  await page.getByLabel('Filmed at').fill('20:30');
  await page.getByLabel('Filmed at').blur();
  await expect(page.getByText(/below the horizon/).first()).toBeVisible();
  await expect(page.getByRole('img', { name: 'The sun' })).toHaveCount(0);
  await page.waitForTimeout(700);
  await page.reload();
  await under(page, 'Light');
  await expect(page.getByLabel('Filmed at')).toHaveValue('20:30');
});

test('when she is lit as it is wished is told by the clock there, and taken', async ({ page }) => {
  await openShot(page, 'shot-rows');
  await under(page, 'Light');
  await page.getByLabel('Hand of the light').selectOption({ label: 'from the left' });
  await page.getByLabel('Height of the light').selectOption({ label: 'low' });
  const stretch = page.getByRole('button', { name: /^1[67]:\d\d–17:\d\d$/ });
  await stretch.click();
  await expect(page.getByText(/in the west/)).toBeVisible();
  await page.getByLabel('Side of the light').selectOption({ label: 'from behind' });
  await page.getByLabel('Hand of the light').selectOption({ label: 'either hand' });
  await expect(page.getByText('Not on this day')).toBeVisible();
});

test('an own shoot: where it is said first, then when; nonsense and a refused device lose nothing', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  await under(page, 'Light');
  await page.getByRole('button', { name: 'Where this device is' }).click();
  await expect(page.getByRole('alert')).toContainText('Type latitude and longitude instead');
  await page.getByRole('button', { name: 'Type where it is' }).click();
  const latitude = page.getByLabel('Latitude, north positive');
  await latitude.fill('100');
  await latitude.press('Enter');
  await expect(page.getByText(/from −90 .*to 90|−90 … 90|90/).first()).toBeVisible();
  await latitude.fill('-33.5');
  await latitude.press('Enter');
  await expect(latitude).toHaveValue('-33.5');
  await page.getByRole('button', { name: 'Say when it is filmed' }).click();
  await expect(page.getByLabel('Filmed at')).toHaveValue('09:00');
  await page.getByRole('button', { name: 'Leave the time open' }).click();
  await expect(page.getByRole('button', { name: 'Say when it is filmed' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave it away' }).click();
  await expect(page.getByRole('button', { name: 'Type where it is' })).toBeVisible();
});

test('a lamp is put, typed, refused below nothing, and told in the reading', async ({ page }) => {
  await openShot(page, 'shot-face');
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: 'Lamp on a stand' }).click();
  const lux = page.getByLabel('Light at one metre, lux');
  await lux.fill('-3');
  await lux.press('Enter');
  await expect(page.getByText(/Light at one metre, lux.*0\.1/)).toBeVisible();
  await lux.fill('40000');
  await lux.press('Enter');
  await page.getByLabel('Pulses a second (0: even)').fill('130');
  await page.getByLabel('Pulses a second (0: even)').press('Enter');
  await under(page, 'Reading');
  await expect(reading(page).getByText(/Lamp on a stand \d pulses 130 times a second/)).toBeVisible();
});
