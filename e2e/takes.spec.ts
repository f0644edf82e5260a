import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures';

const TAKES = (shot: string) => `/shoot/first-flush/takes?shot=${shot}`;

test('takes are counted, judged with reasons, circled, taken back, and outlive a reload', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(TAKES('shot-leaves'));
  await page.getByRole('button', { name: 'Take 1 counts the first take' }).click();
  await expect(page.getByRole('heading', { name: /^Take 1 / })).toBeVisible();
  await page.getByRole('button', { name: 'No', exact: true }).click();
  await page.getByRole('button', { name: 'too fast', exact: true }).click();
  await page.getByRole('button', { name: 'bump at the stop', exact: true }).click();
  await page.getByLabel('A word on this take').fill('ran into the post <b>');
  await page.getByLabel('A word on this take').press('Enter');
  await page.getByRole('button', { name: /^Again/ }).click();
  await page.getByRole('button', { name: 'Good', exact: true }).click();
  await page.getByRole('button', { name: /Circle it/ }).click();
  await expect(page.getByRole('button', { name: /^Take 2 good, circled/ })).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^Take 1 no.*too fast, bump at the stop, “ran into the post <b>”/ }),
  ).toBeVisible();
  // A circle goes from one take to another.
  await page.getByRole('button', { name: /^Take 1 no/ }).click();
  await page.getByRole('button', { name: /Circle it/ }).click();
  await expect(page.getByRole('button', { name: /^Take 1 no, circled/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Take 2 good, circled/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Take 2 good, circled/ })).toBeVisible();
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Take 2 good, circled/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove take 1' }).click();
  await expect(page.getByRole('button', { name: /^Take 1 no/ })).toHaveCount(0);
});

test('a word that is typed stays with its take, though another shot is chosen before it is taken', async ({ page }) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await page.goto(TAKES('shot-map'));
  const word = page.getByLabel('A word on this take');
  await word.fill('the second third was best');
  await page.getByLabel('Shot', { exact: true }).selectOption('shot-overtake');
  await expect(word).toHaveCount(0);
  await page.getByLabel('Shot', { exact: true }).selectOption('shot-map');
  await expect(word).toHaveValue('the second third was best');
  expect(errors).toEqual([]);
});

test('an address of a shot that is gone says so, until another is chosen', async ({ page }) => {
  await page.goto(TAKES('shot-that-was'));
  const said = page.getByText('The shot of this address is not in this shoot');
  await expect(said).toBeVisible();
  await page.getByLabel('Shot', { exact: true }).selectOption({ index: 1 });
  await expect(said).toHaveCount(0);
  await page.goto(TAKES('shot-leaves'));
  await expect(page.getByRole('button', { name: 'Take 1 counts the first take' })).toBeVisible();
  await expect(said).toHaveCount(0);
  await page.goto(TAKES('shot-that-was'));
  await page.getByRole('button', { name: 'Stay with this one' }).click();
  await expect(said).toHaveCount(0);
});

test('getting ready is timed, and whoever has the rig is named with the take', async ({ page }) => {
  await page.goto(TAKES('shot-taste'));
  await page.getByLabel('Who has the rig').fill('Sanu');
  await page.getByLabel('Who has the rig').press('Enter');
  await page.getByRole('button', { name: 'setting it up' }).click();
  await expect(page.getByText(/Setting up “The taste” for 0 min/)).toBeVisible();
  await page.getByRole('button', { name: /counts the first take/ }).click();
  await expect(page.getByText(/Setting up “The taste”/)).toHaveCount(0);
  await expect(page.getByRole('heading', { name: /^Take 1 .*Sanu/ })).toBeVisible();
});

test('a recording from a file is laid on the plan, read, and put into words; bad files get a sentence', async ({
  page,
}) => {
  await page.goto(TAKES('shot-gallery'));
  await page.getByRole('button', { name: 'Motion', exact: true }).click();
  const open = page.getByLabel('A recording');
  const bad = async (text: string, said: RegExp) => {
    await open.setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await expect(page.getByText(said)).toBeVisible();
  };
  await bad('this is no table', /header must name at least two columns/);
  await bad('t_s,gx,gy,gz\n0,1,2,3\n0.1,1,2,3\n', /"gx" may be in radps or in degps; say which/);
  await bad('t_s,pan_deg,tilt_deg\n0,1,2\n', /at least two; there is one/);
  await bad('t_s,pan_deg\n0,1\n0,2\n', /row 3, t_s must come after the row before it/);
  // The unit that was asked for is said, and the file is read.
  await bad('t_s,gx,gy,gz\n0,1,2,3\n0.1,1,2,3\n', /"gx" may be in radps or in degps; say which/);
  await page.getByLabel('Unit of turning').selectOption('degps');
  await page.getByRole('button', { name: 'Read it like this' }).click();
  await expect(page.getByText('Recorded by a file, “log.csv”.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove the recording' }).click();
  // Dropped, it goes where it would be opened; and so does a clip, under its own word.
  const drop = async (name: string, type: string, text: string) => {
    const data = await page.evaluateHandle(
      (file) => {
        const transfer = new DataTransfer();
        transfer.items.add(new File([file.text], file.name, { type: file.type }));
        return transfer;
      },
      { name, type, text },
    );
    await page.locator('body').dispatchEvent('drop', { dataTransfer: data });
  };
  await drop('dropped.csv', 'text/csv', 't_s,pan_deg,tilt_deg\n0,1,2\n0.5,3,2\n');
  await expect(page.getByText('Recorded by a file, “dropped.csv”.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove the recording' }).click();
  await page.getByRole('button', { name: 'Footage', exact: true }).click();
  await drop('dropped.mp4', 'video/mp4', 'no film');
  await expect(page.getByRole('alert').filter({ hasText: 'dropped.mp4' })).toBeVisible();
  // The plan’s own path, a third faster.
  const [rows] = await Promise.all([
    page.waitForEvent('download'),
    (async () => {
      await page.goto('/shoot/first-flush/shot/shot-gallery');
      await page.getByRole('button', { name: /^Export/ }).click();
      await page.getByText('This camera path as CSV').click();
    })(),
  ]);
  const text = readFileSync(await rows.path(), 'utf8');
  const faster = text.replace(/^(\d+),([\d.]+),/gm, (_, frame: string, s: string) => `${frame},${Number(s) / 1.3},`);
  await page.goto(TAKES('shot-gallery'));
  await page.getByRole('button', { name: 'Motion', exact: true }).click();
  await open.setInputFiles({ name: 'faster.csv', mimeType: 'text/csv', buffer: Buffer.from(faster) });
  await expect(page.getByRole('status').filter({ hasText: /30% faster/ })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Speed: plan and take over time' })).toBeVisible();
  await page.getByRole('button', { name: 'too fast', exact: true }).click();
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Take \d+ .*too fast.*motion/ })).toBeVisible();
});

test('a device that pretends carries out the plan, or refuses with a sentence', async ({ page }) => {
  test.setTimeout(90_000);
  await page.goto(TAKES('shot-sorting'));
  await page.getByRole('button', { name: 'Motion', exact: true }).click();
  await page.getByRole('button', { name: 'Motor slider' }).click();
  await expect(page.getByText(/Motor slider: its rail is (3 m long|straight)/)).toBeVisible();
  await page.getByRole('button', { name: 'Gimbal', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Stop the gimbal' })).toBeVisible();
  await expect(page.getByText(/battery \d+%/)).toBeVisible();
  await expect(page.getByText('Recorded by the simulated gimbal.')).toBeVisible({ timeout: 40_000 });
  await expect(page.getByRole('img', { name: 'Pan: plan and take over time' })).toBeVisible();
});

test('a phone without sensors says so', async ({ page }) => {
  await page.goto(TAKES('shot-rows'));
  await page.getByRole('button', { name: 'Motion', exact: true }).click();
  await page.getByRole('button', { name: 'Record with this phone' }).click();
  await expect(page.getByText(/no sensors that tell how it moves|does not tell how the device moves/)).toBeVisible();
});

test('hands measured from recordings become a gait that readings go by', async ({ page }) => {
  await page.goto(TAKES('shot-rows'));
  await page.getByRole('button', { name: 'My hands', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Ilka: figures recording by recording' })).toBeVisible();
  await expect(page.getByText(/^Up and down \d+ mm/)).toBeVisible();
  await page.getByRole('button', { name: /Let every reading go by it, with Gimbal on foot/ }).click();
  await expect(page.getByText(/“Ilka, measured” is in the kit/)).toBeVisible();
  await page.waitForTimeout(500);
  await page.goto('/shoot/first-flush/shot/shot-lane');
  await expect(page.locator('body')).toContainText('Ilka, measured');
});

test('the report says what spoilt takes, what is open, and goes away as CSV', async ({ page }) => {
  await page.goto(TAKES('shot-rows'));
  await page.getByRole('button', { name: 'Report', exact: true }).click();
  await expect(page.getByText('12 takes of 4 shots; 3 good.')).toBeVisible();
  await expect(page.getByText(/Most takes were spoilt by: focus at the end/)).toBeVisible();
  await page.getByLabel('Day', { exact: true }).selectOption('2026-04-10');
  await expect(page.getByRole('heading', { name: 'Friday 10 April' })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'all days as CSV' }).click(),
  ]);
  const rows = readFileSync(await file.path(), 'utf8')
    .trim()
    .split('\r\n');
  expect(rows[0]).toBe('shot,name,take,at,verdict,best,reasons,word,who,rig,move');
  expect(rows).toHaveLength(28);
});

test('before there is a clip its course is foretold; what is no video gets a sentence', async ({ page }) => {
  await page.goto(TAKES('shot-rows'));
  await page.getByRole('button', { name: 'Footage', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'What a clip of it would show' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Speed: foretold over time' })).toBeVisible();
  await page
    .getByLabel('A clip', { exact: true })
    .setInputFiles({ name: 'notes.mp4', mimeType: 'video/mp4', buffer: Buffer.from('this is text') });
  await expect(page.getByText(/“notes\.mp4” is no video that can be read here/)).toBeVisible();
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  await page.getByRole('button', { name: /^Take 1 counts the first take|^Again/ }).click();
  await page
    .getByLabel('A picture or a clip of the screen')
    .setInputFiles({ name: 'screen.mp4', mimeType: 'video/mp4', buffer: Buffer.from('this is text') });
  await expect(page.getByText(/“screen\.mp4” .*attach a picture of the screen/)).toBeVisible();
});

test('a recording that runs goes on while something else is looked at, and is laid on the shot it was begun for', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await page.goto(TAKES('shot-sorting'));
  await page.getByRole('button', { name: 'Motion', exact: true }).click();
  await page.getByRole('button', { name: 'Gimbal', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Stop the gimbal' })).toBeVisible();
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  await page.getByRole('button', { name: 'The next shot' }).click();
  await page.waitForTimeout(8000);
  await page.getByRole('button', { name: 'The shot before' }).click();
  await expect(page.getByRole('button', { name: /^Take 3 counted.*motion/ })).toBeVisible({ timeout: 30_000 });
});
