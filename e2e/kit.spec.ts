import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures';
import { openShot, under } from './helpers';

const KIT = '/shoot/first-flush/kit';

test('a sled is put together, set as the steps say, and rests level', async ({ page }) => {
  await page.goto(`${KIT}?build=build-sled-35`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nearly: drop from level');
  await page.getByRole('button', { name: 'Set it as the steps say' }).click();
  const balance = page.getByRole('region', { name: 'Balance' });
  // What is set is what the steps print, to the last digit.
  await expect(balance).toContainText(/2\.[45]\d? s, wished 2\.5 s/);
  await expect(balance).toContainText(/fits Leans at rest: (level|0\.[12]° \w+)/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(balance).toContainText('0.52 s, wished 2.5 s');
});

test('a part dragged in the picture, or moved with the arrow keys, moves in the numbers at once', async ({ page }) => {
  await page.goto(`${KIT}?build=build-gimbal-35`);
  const lens = page.getByRole('figure', { name: 'From the side' }).getByRole('button', { name: 'Move Moss 35' });
  const field = page.getByRole('textbox', { name: 'Moss 35 forward' });
  await expect(field).toHaveValue('52 mm');
  await lens.focus();
  await page.keyboard.press('ArrowRight');
  await expect(field).toHaveValue('53 mm');
  const box = await lens.boundingBox();
  if (!box) throw new Error('The lens is not drawn.');
  await page.mouse.move(box.x + box.width - 6, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width + 90, box.y + box.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(field).not.toHaveValue('53 mm');
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('slide the camera’s plate back');
});

test('what cannot be is said, and a number outside is refused at its field', async ({ page }) => {
  await page.goto(`${KIT}?build=build-gimbal-long`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Over its maker’s payload');
  await page.getByRole('link', { name: 'Small drone' }).click();
  const wind = page.getByRole('textbox', { name: 'Wind', exact: true });
  await wind.fill('60');
  await wind.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Wind must be from 0 m/s to 40 m/s');
  await wind.fill('20');
  await wind.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('blown away');
  await expect(page.locator('body')).not.toContainText('NaN');
  await page.getByRole('button', { name: 'ask for it' }).click();
  await page.getByRole('button', { name: 'Reckon with the gusts' }).click();
  await expect(wind).not.toHaveValue('20 m/s');
  await expect(page.getByText('measure the wind where you are')).toBeVisible();
});

test('parts come in from CSV; a wrong row is named and nothing is lost', async ({ page }) => {
  await page.goto(KIT);
  const parts = page.getByRole('region', { name: 'Parts of the kit' });
  const header = 'id,name,kind,massG,lengthMm,widthMm,heightMm\n';
  await parts.getByLabel('Parts file').setInputFiles({
    name: 'own.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`${header}a,Clamp,other,-5,40,40,60\n`),
  });
  await expect(parts.getByRole('alert')).toContainText('row 2, massG must be at least 0.1; it is -5.');
  await parts.getByLabel('Parts file').setInputFiles({
    name: 'own.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`${header}a,Clamp,other,125,40,40,60\n`),
  });
  await expect(parts.getByRole('textbox', { name: 'Mass of Clamp' })).toHaveValue('125 g');
  await page.getByRole('combobox', { name: 'Put a part on' }).selectOption({ label: 'Clamp' });
  await expect(page.getByRole('region', { name: 'On it' })).toContainText('Clamp');
  await parts.getByRole('button', { name: 'Clamp' }).click();
  await parts.getByRole('button', { name: 'Delete' }).click();
  await expect(parts.getByRole('alert')).toContainText('take it off there first');
});

test('an own shoot of an older file has an empty bench that teaches the next step', async ({ page }) => {
  const demo = JSON.parse(readFileSync('demo/first-flush.arc.json', 'utf8')) as { kit: object };
  const old = {
    ...demo,
    id: 'older',
    name: 'Older',
    version: 4,
    kit: Object.fromEntries(Object.entries(demo.kit).filter(([key]) => key !== 'parts' && key !== 'builds')),
  };
  await page.goto('/');
  await page
    .getByLabel('Shoot file')
    .setInputFiles({ name: 'older.arc.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(old)) });
  await expect(page.getByRole('status').getByText('“Older” is open.')).toBeVisible();
  await page.getByRole('link', { name: 'Kit' }).click();
  await page.getByRole('button', { name: 'Start with the made-up kit' }).click();
  await expect(page.getByRole('navigation', { name: 'Builds' }).getByRole('link').first()).toBeVisible();
});

test('a shot says which build it takes and what to balance again, and leads there', async ({ page }) => {
  await openShot(page, 'shot-lane');
  await under(page, 'Rig');
  await expect(page.getByText('balance again tilt fore and aft')).toBeVisible();
  await page.getByRole('link', { name: 'Gimbal with the 24–70' }).click();
  await expect(page.getByRole('region', { name: 'Shots for it' })).toContainText(
    'slide the camera’s plate back by 1.1 mm',
  );
});

test.describe('on a phone beside the rig', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('the coach asks what is seen, gives one adjustment at a time, and keeps its log', async ({ page }) => {
    await page.goto(`${KIT}?build=build-sled-35`);
    const coach = page.getByRole('region', { name: 'Coach' });
    await coach.getByRole('combobox', { name: 'Leans forward or back' }).selectOption({ label: 'forward, a little' });
    await coach.getByRole('button', { name: 'Let go' }).tap();
    await page.waitForTimeout(600);
    await coach.getByRole('button', { name: 'Upright' }).tap();
    await expect(coach).toContainText('The drop took');
    await coach.getByRole('button', { name: 'What now?' }).tap();
    await expect(coach).toContainText(
      /Move the stage back by .*, to .*: it leans forward\.|(Raise|Lower) the pivot .*: /,
    );
    await expect(coach).toContainText('Learnt from 1 look');
    await coach.getByRole('button', { name: 'Done, look again' }).tap();
    await expect(coach).toContainText('Set. What does it do now?');
    await page.waitForTimeout(600);
    await page.reload();
    await expect(page.getByRole('region', { name: 'Coach' })).toContainText('Learnt from 1 look');
  });

  test('the checklist is ticked with a thumb, takes an own item, and is still ticked after a reload', async ({
    page,
  }) => {
    await page.goto(`${KIT}?build=build-rope`);
    const list = page.getByRole('region', { name: 'Checklist' });
    await list.getByRole('checkbox', { name: 'Second, independent line on camera and lens' }).tap();
    await list.getByRole('textbox', { name: 'Own item' }).fill('Whistle');
    await list.getByRole('button', { name: 'Add' }).tap();
    await expect(list).toContainText('1 of');
    await page.waitForTimeout(600);
    await page.reload();
    await expect(list.getByRole('checkbox', { name: 'Second, independent line on camera and lens' })).toBeChecked();
    await expect(list.getByRole('checkbox', { name: 'Whistle' })).toBeVisible();
    await list.getByRole('button', { name: 'Untick all' }).tap();
    await expect(list).toContainText('0 of');
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  });
});

test('a new rig is started empty and says what is missing; a lens is copied, typed over, and kept while something names it', async ({
  page,
}) => {
  await page.goto(KIT);
  const another = page.getByRole('combobox', { name: 'Put another together' });
  // The words that ask for a choice are none.
  const build = page.getByRole('textbox', { name: 'Name of the build' });
  const before = await build.inputValue();
  await another.selectOption({ label: 'Put together…' });
  await expect(build).toHaveValue(before);
  await another.selectOption({ label: 'a new rope' });
  await expect(page.getByRole('textbox', { name: 'Name of the build' })).toHaveValue('New rope');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Put the camera on');
  const things = page.getByRole('region', { name: 'Cameras, lenses, filters, rigs' });
  await things.getByRole('button', { name: 'Moss 85' }).click();
  await things.getByRole('button', { name: 'Delete' }).click();
  await expect(things.getByRole('alert')).toContainText('Moss 85 is named by');
  await things.getByRole('button', { name: 'Copy' }).click();
  const longest = things.getByRole('textbox', { name: 'Moss 85, again, longest focal length' });
  await longest.fill('20');
  await longest.press('Enter');
  await expect(things.getByRole('alert')).toContainText('swap the two');
  await longest.fill('90');
  await longest.press('Enter');
  await expect(longest).toHaveValue('90 mm');
});
