import { expect, test } from './fixtures';
import { apartOf, cellsOf, drag, middleOf, openShot, under } from './helpers';

test('the Lens screen compares focal lengths on this very shot, and the shot takes the one that is picked', async ({
  page,
}) => {
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
  await under(page, 'Camera');
  await expect(page.getByLabel('Lens', { exact: true })).toHaveValue('lens-moss-35');
});

test('each focal length has its picture, and another one once what they are compared by is another', async ({
  page,
}) => {
  await page.goto('/shoot/first-flush/shot/shot-sorting/lens');
  const bench = page.getByRole('region', { name: 'Focal lengths' });
  const looks = async (name: string) => cellsOf(page, bench.getByRole('article', { name }).locator('canvas'));
  const colours = async (name: string) => new Set((await looks(name)).map(String)).size;
  const all = ['12 mm', '20 mm', '28 mm', '35 mm', '70 mm', '100 mm'];
  for (const name of all) await expect.poll(() => colours(name), { message: name }).toBeGreaterThan(40);
  const framed = await looks('100 mm');
  await bench.getByLabel('Compare by').selectOption({ label: 'same spot' });
  await expect.poll(async () => apartOf(await looks('100 mm'), framed).mean).toBeGreaterThan(10);
  // The shot goes over to another one, others stand beside it, and the pictures go on.
  await bench.getByRole('article', { name: '20 mm' }).getByRole('button', { name: 'Take it' }).click();
  for (const name of ['20 mm', '100 mm', '200 mm'])
    await expect.poll(() => colours(name), { message: name }).toBeGreaterThan(40);
  const spot = await looks('20 mm');
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect.poll(async () => apartOf(await looks('20 mm'), spot).mean).toBeGreaterThan(10);
});

test('focus: one setting for the whole move is offered, taken, and read by', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-leaves/lens');
  const focus = page.getByRole('region', { name: 'Focus' });
  await expect(focus.getByText(/One focus for the whole move: [\d.]+ m and f\/[\d.]+ or deeper/)).toBeVisible();
  await focus.getByRole('button', { name: 'Set it so' }).click();
  await expect(focus.getByRole('combobox', { name: 'Focus', exact: true })).toHaveValue('fixed');
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
  await expect(light.getByText('Dusk variable ND at 4.4 stops', { exact: true })).toBeVisible();
  await light.getByRole('button', { name: 'Put it on' }).click();
  await expect(light.getByText(/With Dusk variable ND at 4\.4 stops it is just right/)).toBeVisible();
  await light.getByRole('button', { name: 'Dew polariser' }).click();
  await expect(light.getByText('2.9 stops too bright behind the polariser.')).toBeVisible();
  await light.getByText('From the sun').click();
  await light.getByLabel('Sky').selectOption({ label: 'a closed sky' });
  await light.getByRole('button', { name: 'Take that' }).click();
  await expect(light.getByRole('combobox', { name: 'Light', exact: true })).toHaveValue('own');
  await light
    .getByRole('combobox', { name: 'Light', exact: true })
    .selectOption({ label: 'Room in the evening, lamps' });
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

test('focus from one thing to another: typed, held against who pulls, and printed as marks', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-leaves/lens');
  const focus = page.getByRole('region', { name: 'Focus' });
  await focus.getByRole('button', { name: 'Start out of focus' }).click();
  await expect(focus.getByRole('combobox', { name: 'Focus', exact: true })).toHaveValue('racks');
  const takes = focus.getByLabel('Rack 1 takes');
  await takes.fill('0.3');
  await takes.press('Enter');
  const hand = focus.getByRole('radio', { name: /^(jolt|ripple|cannot|tight|fits|calm)?\s*A hand/ });
  await expect(hand).toContainText(/of 45° a second/);
  await hand.click();
  await expect(hand).toHaveAttribute('aria-checked', 'true');
  const ring = focus.getByLabel('Focus ring turns');
  const before = await hand.textContent();
  await ring.fill('300');
  await ring.press('Enter');
  await expect(hand).not.toHaveText(before ?? '');
  await focus.getByLabel('Circle of confusion', { exact: true }).selectOption({ label: 'a 1500th of the diagonal' });
  // The diagonal of 36 × 20.25 mm is 41.3 mm.
  await expect(focus.getByLabel('Circle of confusion in millimetres')).toHaveValue('0.0275');
  await focus.getByRole('link', { name: 'Print them' }).click();
  await expect(page.getByRole('heading', { name: /^Focus marks/ })).toBeVisible();
  await expect(page.getByRole('row').nth(1)).toContainText('start');
  await expect(page.getByRole('row').last()).toContainText('end');
  await expect(page.getByRole('img', { name: /Strip for the focus ring/ })).toBeVisible();
});

test('time: more frames slow it down, a ramp changes it on the way, and the Move screen plays it so', async ({
  page,
}) => {
  await page.goto('/shoot/first-flush/shot/shot-rows/lens');
  const time = page.getByRole('region', { name: 'Time' });
  await expect(time.getByText('as in life')).toBeVisible();
  await time.getByLabel('Frames recorded').fill('120');
  await time.getByLabel('Frames recorded').press('Enter');
  await expect(time.getByText('5 times slower than life')).toBeVisible();
  await expect(time.getByRole('img', { name: /action: 8 become 40/ })).toBeVisible();
  await time.getByRole('button', { name: 'Ramp the speed' }).click();
  await expect(time.getByText(/from 5 times slower than life to as in life/)).toBeVisible();
  const at = time.getByLabel('Speed 2 at');
  await at.fill('1');
  await at.press('Enter');
  await expect(time.getByRole('alert')).toContainText(/Speed 2 at must be from/);
  await at.press('Escape');
  const wanted = time.getByLabel('Seconds on screen', { exact: true });
  await wanted.fill('2');
  await wanted.press('Enter');
  // It plays as in life until 3.2 s.
  await expect(time.getByText('2 s have to be filmed')).toBeVisible();
  const point = time.getByRole('slider', { name: 'Speed point 2' });
  const from = await middleOf(point);
  await drag(page, from, { x: from.x + 30, y: from.y - 20 });
  await expect(point).not.toHaveAttribute('aria-valuenow', '20');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(point).toHaveAttribute('aria-valuenow', '20');
  await point.press('ArrowUp');
  await expect(point).toHaveAttribute('aria-valuenow', '22');
  await time.getByRole('button', { name: 'Smear on purpose' }).click();
  await expect(time.getByText(/Each recorded frame is shown 4 times/)).toBeVisible();
  await time.getByRole('button', { name: 'Play it in reverse' }).click();
  await expect(time.getByRole('button', { name: 'Play it forwards' })).toBeVisible();
});

test('a photograph is measured by two lines, and is still there after a reload', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-rows/lens');
  const far = page.getByRole('region', { name: 'Distances' });
  await far.getByLabel('Photograph to measure in').setInputFiles('docs/screenshots/lens.png');
  await expect(far.getByText(/Between the lines is 50% of the height: it is/)).toBeVisible();
  const before = await far.getByRole('status').textContent();
  await far.getByRole('slider', { name: 'Its top' }).focus();
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('Shift+ArrowDown');
  await expect(far.getByText(/Between the lines is 30% of the height/)).toBeVisible();
  expect(await far.getByRole('status').textContent()).not.toBe(before);
  await page.reload();
  await expect(far.getByRole('slider', { name: 'Its foot' })).toBeVisible();
  await far.getByLabel('Photograph to measure in').setInputFiles('package.json');
  await expect(far.getByRole('alert')).toContainText('not a photograph');
});

test('the picture can be blurred as it will be, or show what is sharp', async ({ page }) => {
  await openShot(page, 'shot-rack');
  const picture = page.getByRole('figure', { name: 'Picture through the lens' });
  const plain = await picture.screenshot();
  const look = page.getByRole('combobox', { name: 'Picture shown' });
  for (const name of ['lens blur', 'what is sharp']) {
    await look.selectOption({ label: name });
    await expect.poll(async () => (await picture.screenshot()).equals(plain), { timeout: 40_000 }).toBe(false);
  }
});
