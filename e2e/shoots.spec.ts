import { expect, test } from './fixtures';
import { validateString } from 'gltf-validator';
import { drag, middleOf, openShot, reading, textOf, verdict } from './helpers';

test('an own shoot from empty ground: pieces, walk, subject, and everything is there after closing', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  await expect(page.getByText('Empty ground.')).toBeVisible();
  await expect(
    reading(page)
      .getByText(/things are fine|no subject yet|hardly shows/)
      .first(),
  ).toBeVisible();

  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByText('Figure', { exact: true }).click();
  await expect(page.getByLabel('Subject', { exact: true })).toHaveValue(/piece-/);
  await page.getByLabel('Name of the piece').fill('Mira');
  await page.getByLabel('Name of the piece').press('Enter');

  await page.getByRole('button', { name: 'Draw a walk' }).click();
  const plan = await middleOf(page.getByRole('application', { name: 'Plan from above' }));
  await page.mouse.click(plan.x + 60, plan.y - 50);
  await page.mouse.click(plan.x + 90, plan.y + 20);
  await expect(page.getByText(/Walks through 3 points/)).toBeVisible();
  await page.getByLabel('Time of point 3').fill('9');
  await page.getByLabel('Time of point 3').press('Enter');
  await page.getByRole('button', { name: 'Walk is done' }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();

  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByText('Wall with an opening').click();
  await page.getByLabel('Height', { exact: true }).fill('3.1');
  await page.getByLabel('Height', { exact: true }).press('Enter');
  const wall = page.getByRole('button', { name: 'Wall with an opening', exact: true });
  const at = await middleOf(page.getByRole('button', { name: 'Turn Wall with an opening' }));
  await drag(page, at, { x: at.x - 50, y: at.y - 60 });
  await expect(page.getByLabel('Heading', { exact: true })).not.toHaveValue('90°');
  const heading = await page.getByLabel('Heading', { exact: true }).inputValue();
  await expect(wall).toBeVisible();
  await page.waitForTimeout(700);

  await page.reload();
  await expect(verdict(page)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Mira at 9 seconds' })).toBeVisible();
  await wall.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('3.1 m');
  await expect(page.getByLabel('Heading', { exact: true })).toHaveValue(heading);
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(wall).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(wall).toBeVisible();
});

test('export, delete, import: the shoot comes back unchanged; a malformed file is refused and nothing is lost', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByText('Figure', { exact: true }).click();
  await page.getByLabel('Name of the shoot').fill('Kept, “quoted”');
  await page.getByLabel('Name of the shoot').press('Enter');
  const exportShoot = async () => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export' }).click();
    await page.getByText('The whole shoot (.arc.json)').click();
    return textOf(await download);
  };
  const before = await exportShoot();
  await page.getByRole('link', { name: 'All shoots' }).click();
  await page.getByRole('button', { name: 'Delete Kept, “quoted”' }).click();
  await expect(page.getByText('“Kept, “quoted”” is deleted.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Kept/ })).toHaveCount(0);

  const choose = (name: string, text: string) =>
    page.getByLabel('Shoot file').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await choose('broken.arc.json', before.replace('"durationS": 8', '"durationS": "eight"'));
  await expect(page.getByRole('alert').first()).toContainText(
    '“broken.arc.json” was not taken in, and nothing here has changed. ' +
      'shots[0].timing.durationS must be a number; it is "eight".',
  );
  await choose('half.arc.json', before.slice(0, 100));
  await expect(page.getByRole('alert').first()).toContainText('is not JSON');
  await expect(page.getByRole('heading', { name: 'First Flush' })).toBeVisible();

  await choose('kept.arc.json', before);
  await expect(verdict(page)).toBeVisible();
  expect(await exportShoot()).toBe(before);
});

test('a camera path is taken away as CSV and as glTF', async ({ page }) => {
  await openShot(page, 'shot-rows');
  const take = async (item: RegExp) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export' }).click();
    await page.getByText(item).click();
    return textOf(await download);
  };
  const rows = (await take(/as CSV/)).trim().split('\r\n');
  expect(rows[0]).toContain('t_s,x_m,y_m,z_m,pan_deg');
  expect(rows.length).toBe(8 * 24 + 2);
  await expectValid(await take(/as glTF/));
});

/** What a validator says of a glTF: nothing. */
async function expectValid(gltf: string): Promise<void> {
  const { issues } = await validateString(gltf);
  expect(issues.messages.filter(({ severity }) => severity <= 1)).toEqual([]);
}

test('a shot that is played in reverse and ramped is taken away as it was recorded', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-rows/lens');
  const time = page.getByRole('region', { name: 'Time' });
  await time.getByLabel('Frames recorded').fill('120');
  await time.getByLabel('Frames recorded').press('Enter');
  await time.getByRole('button', { name: 'Ramp the speed' }).click();
  await time.getByRole('button', { name: 'Play it in reverse' }).click();
  const take = async (item: RegExp) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export' }).click();
    await page.getByText(item).click();
    return textOf(await download);
  };
  const rows = (await take(/as CSV/))
    .trim()
    .split('\r\n')
    .slice(1)
    .map((row) => Number(row.split(',')[1]));
  expect(rows).toHaveLength(8 * 120 + 1);
  expect(rows.every((tS, i) => i === 0 || tS > rows[i - 1])).toBe(true);
  await expectValid(await take(/as glTF/));
});

test('a walk comes in from CSV and GPX; a bad one is refused with a sentence', async ({ page }) => {
  await openShot(page, 'shot-rows');
  await page.getByRole('button', { name: 'Ansa', exact: true }).focus();
  await page.keyboard.press('Enter');
  const choose = (name: string, text: string) =>
    page.getByLabel('Walk file').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await choose('walk.csv', 't,x,y,z\n0,0,3.75,0\nsoon,1,4,0\n');
  await expect(page.getByRole('alert')).toContainText('row 3, t must be a number; it is "soon".');
  await choose('walk.csv', 't,x,y,z\n0,0,3.75,0\n4,1,3.75,0\n8,2.5,3.75,0\n');
  await expect(page.getByText(/Walks through 3 points/)).toBeVisible();
  const track = ['06:30:00', '06:30:05']
    .map((time, i) => `<trkpt lat="${45 + i * 1e-5}" lon="7"><time>2026-04-02T${time}Z</time></trkpt>`)
    .join('');
  await choose(
    'walk.gpx',
    `<gpx version="1.1" creator="t" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${track}</trkseg></trk></gpx>`,
  );
  await expect(page.getByText(/Walks through 2 points/)).toBeVisible();
});

test('where the demo’s plan is not drawn yet a word says so, and a sentence where it cannot be', async ({ page }) => {
  let answer: (drawn: boolean) => void = () => undefined;
  const answered = new Promise<boolean>((resolve) => (answer = resolve));
  await page.route('**/*.js', async (route) => {
    const response = await route.fetch();
    const isPlan = (await response.text()).includes('with the path of every shot');
    if (isPlan && !(await answered)) await route.abort();
    else await route.fulfill({ response });
  });
  await page.goto('/');
  await expect(page.getByText('Drawing its plan…')).toBeVisible();
  // The demo can be opened meanwhile.
  await expect(page.getByRole('link', { name: 'Open “First Flush”' })).toBeVisible();
  answer(false);
  await expect(page.getByText('Its plan cannot be drawn.')).toBeVisible();
});
