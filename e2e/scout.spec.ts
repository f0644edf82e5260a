import { crc32, deflateSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { drag, middleOf, textOf } from './helpers';

const plan = (page: Page) => page.getByRole('application', { name: 'Plan from above' });
const word = (page: Page, name: string) =>
  page.getByRole('group', { name: 'More of this place' }).getByRole('button', { name, exact: true });

async function openScout(page: Page, shot = 'shot-rows') {
  await page.goto(`/shoot/first-flush/scout?shot=${shot}`);
  await expect(plan(page)).toBeVisible();
}
/** Chooses something by its name in the list of everything. */
async function choose(page: Page, name: string) {
  await word(page, 'Ground').click();
  await page.getByLabel('Find by name').fill(name);
  await page.getByLabel('Find by name').press('Enter');
  await page.getByRole('region', { name: 'Everything here' }).getByRole('button', { name }).first().click();
}

test('the ground fills the screen, changes places with the picture, and is seen from the side', async ({ page }) => {
  await openScout(page);
  await expect(page.getByRole('link', { name: 'Scout' })).toHaveAttribute('aria-current', 'page');
  const wide = async () => (await plan(page).boundingBox())?.width ?? 0;
  const before = await wide();
  expect(before).toBeGreaterThan(600);
  await page.getByRole('button', { name: 'Plan and picture change places' }).click();
  await expect.poll(wide).toBeLessThan(before * 0.7);
  await page.getByRole('button', { name: 'Plan and picture change places' }).click();
  await expect.poll(wide).toBe(before);
  await page.getByRole('button', { name: 'From the side' }).click();
  const side = page.getByRole('application', { name: 'The place from the side' });
  await expect(side).toBeVisible();
  await page.getByLabel('Seen from').selectOption('east');
  await side.getByRole('button', { name: 'Row marker west' }).press('Enter');
  await side.getByRole('button', { name: 'Row marker west' }).press('ArrowUp');
  await expect(page.getByLabel('Base height')).toHaveValue('0.1 m');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Base height')).toHaveValue('0 m');
});

test('the Move screen’s plan grows the same way', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-rows');
  const wide = async () => (await plan(page).boundingBox())?.width ?? 0;
  await expect.poll(wide).toBeGreaterThan(100);
  const before = await wide();
  await page.getByRole('button', { name: 'Plan and picture change places' }).click();
  await expect.poll(wide).toBeGreaterThan(before * 1.4);
});

test('says what the place offers from here, points at it, and puts something near the lens', async ({ page }) => {
  await openScout(page);
  await expect(page.getByText(/^Three layers from here/)).toBeVisible();
  await page.getByText(/^The background is .* times as far as Ansa/).click();
  await expect(plan(page).locator('.piece.selected')).toHaveCount(1);
  await page.getByRole('button', { name: 'Find what could stand there' }).click();
  const offer = page.getByRole('region', { name: 'Something near the lens' }).getByRole('button').first();
  await expect(offer).toContainText('before the lens');
  await offer.click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue(/^(Post|Bush|Rock|Stand)/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveCount(0);
});

test('several at once: chosen, grouped, moved, lined up, locked, hidden, repeated', async ({ page }) => {
  await openScout(page);
  const west = plan(page).getByRole('button', { name: 'Row marker west', exact: true });
  const east = plan(page).getByRole('button', { name: 'Row marker east', exact: true });
  await page.getByRole('button', { name: 'Closer' }).click();
  await west.press('Enter');
  await east.press('Shift+Enter');
  await expect(page.getByRole('heading', { name: '2 pieces' })).toBeVisible();
  await page.getByRole('button', { name: 'Group', exact: true }).click();
  await page.keyboard.press('Escape');
  // One of the group brings the other.
  await west.press('Enter');
  await expect(page.getByRole('heading', { name: '2 pieces' })).toBeVisible();
  const [from, other] = [await middleOf(west), await middleOf(east)];
  await drag(page, from, { x: from.x + 60, y: from.y + 30 });
  const moved = await middleOf(east);
  expect(moved.x - other.x).toBeCloseTo(60, -1);
  expect(moved.y - other.y).toBeCloseTo(30, -1);
  await page.getByRole('button', { name: 'Line up' }).click();
  await page.getByRole('menuitem', { name: 'Beside each other (same north)' }).click();
  await expect.poll(async () => (await middleOf(west)).y - (await middleOf(east)).y).toBeCloseTo(0, 0);
  await page.getByRole('button', { name: 'Lock' }).click();
  const locked = await middleOf(west);
  await drag(page, locked, { x: locked.x + 50, y: locked.y });
  await expect(page.getByRole('button', { name: 'Lock' })).toBeVisible();
  await page.getByRole('button', { name: 'Lock' }).click();
  await page.getByRole('button', { name: 'Hide on the plan' }).click();
  await expect(west).toHaveCount(0);
  await word(page, 'Ground').click();
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(west).toHaveCount(1);
  await choose(page, 'Lantern post');
  await page.getByLabel('How many more').fill('3');
  await page.getByLabel('How many more').press('Enter');
  await page.getByRole('button', { name: 'Repeat' }).click();
  await expect(page.getByRole('heading', { name: '4 pieces' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(plan(page).getByRole('button', { name: 'Lantern post 2', exact: true })).toHaveCount(0);
});

test('copied in one shoot, put in another', async ({ page }) => {
  await openScout(page);
  await choose(page, 'Picking basket');
  await page.getByRole('button', { name: 'Copy', exact: true }).click();
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  await page.getByRole('link', { name: 'Scout' }).click();
  await page.getByRole('button', { name: 'Put what was copied' }).click();
  await expect(plan(page).getByRole('button', { name: 'Picking basket', exact: true })).toHaveCount(1);
});

test('a picture under the plan is set to scale by two points and a length, and kept in browser and file', async ({
  page,
}) => {
  await openScout(page);
  await word(page, 'Ground').click();
  const drawing = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    Object.assign(canvas, { width: 3000, height: 1500 });
    const context = canvas.getContext('2d');
    context?.fillRect(500, 500, 2000, 20);
    return canvas.toDataURL('image/png').split(',')[1];
  });
  await page
    .getByLabel('Picture of the place')
    .setInputFiles({ name: 'lane.png', mimeType: 'image/png', buffer: Buffer.from(drawing, 'base64') });
  await expect(page.getByText(/Press on one end of something in “lane”/)).toBeVisible();
  const box = await plan(page).boundingBox();
  if (!box) throw new Error('no plan');
  await page.mouse.click(box.x + 300, box.y + 400);
  await page.mouse.click(box.x + 500, box.y + 400);
  await page.getByLabel('Length in life').fill('20');
  await page.getByLabel('Length in life').press('Enter');
  await expect(page.getByLabel('Length in life')).toHaveValue('20 m');
  await expect(page.getByLabel('Runs towards')).toHaveValue('90°');
  await page.getByRole('button', { name: 'It fits' }).click();
  await page.waitForTimeout(700);
  await page.reload();
  await expect(plan(page).locator('image')).toHaveCount(2);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export: take it away as a file' }).click();
  await page.getByRole('menuitem', { name: /The whole shoot/ }).click();
  const file = JSON.parse(await textOf(await download)) as { site: { underlays: { name: string; image: string }[] } };
  expect(file.site.underlays.map(({ name }) => name)).toEqual(['Survey of the garden', 'lane']);
  expect(file.site.underlays[1].image.startsWith('data:image/')).toBe(true);
});

test('a tape between two points; GeoJSON in and out, and what is wrong with it in a sentence', async ({ page }) => {
  await openScout(page);
  await page.getByRole('button', { name: 'Tape' }).click();
  const box = await plan(page).boundingBox();
  if (!box) throw new Error('no plan');
  await page.mouse.click(box.x + 200, box.y + 500);
  await page.mouse.click(box.x + 420, box.y + 500);
  await expect(page.getByText(/ m, towards 90° from north, level/)).toBeVisible();
  await page.getByRole('button', { name: 'Roll it up' }).click();

  await word(page, 'Ground').click();
  const out = page.waitForEvent('download');
  await page.getByRole('button', { name: 'GeoJSON', exact: true }).click();
  const geo = await textOf(await out);
  expect(geo).toContain('"FeatureCollection"');
  const file = (name: string, text: string) => ({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  const ring = (x: number) => [0, 0.001, 0.002].map((d) => [x + d, 27 + (d === 0.001 ? 0.001 : 0)]).concat([[x, 27]]);
  const crossing = {
    type: 'Feature',
    properties: { name: 'Court' },
    geometry: { type: 'Polygon', coordinates: [ring(88.13), ring(88.131)] },
  };
  await page.getByLabel('Place from a file').setInputFiles(file('court.geojson', JSON.stringify(crossing)));
  await expect(page.getByRole('alert')).toContainText(/“Court”\), its outline and hole 1 cross/);
  await page.getByRole('alert').getByRole('button', { name: 'Close' }).click();
  const shed = {
    type: 'Feature',
    properties: { name: 'New shed', building: 'yes', height: 3 },
    geometry: { type: 'Point', coordinates: [88.13005, 27.55005] },
  };
  await page.getByLabel('Place from a file').setInputFiles(file('shed.geojson', JSON.stringify(shed)));
  await expect(page.getByText('1 piece came in.')).toBeVisible();
  await expect(plan(page).getByRole('button', { name: 'New shed', exact: true })).toHaveCount(1);
});

test('a place can be scouted before there is any shot', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  await page.getByRole('link', { name: 'Shots' }).click();
  await page.getByRole('button', { name: 'Choose First shot' }).click();
  await page.getByRole('button', { name: 'Delete this shot' }).click();
  await page.getByRole('link', { name: 'Scout' }).click();
  await expect(page.getByText('There is no shot yet.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: 'Room with door and window' }).click();
  await expect(page.getByRole('heading', { name: '5 pieces' })).toBeVisible();
});

/** A black PNG of two hundred million pixels, one bit each: a file of a few kilobytes. */
function hugePng(width: number, height: number): Buffer {
  const chunk = (name: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(name), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header[8] = 1;
  const rows = deflateSync(Buffer.alloc((width / 8 + 1) * height));
  const name = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([name, chunk('IHDR', header), chunk('IDAT', rows), chunk('IEND', Buffer.alloc(0))]);
}

test('a picture that is too large, or none, is refused in a sentence; a plan is printed to scale', async ({ page }) => {
  const errors: string[] = [];
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  await page.addInitScript(() => {
    window.print = () => {
      window.top?.document.body.setAttribute(
        'data-printed',
        document.querySelector('svg')?.getAttribute('width') ?? '',
      );
    };
  });
  await openScout(page);
  await word(page, 'Ground').click();
  const picture = page.getByLabel('Picture of the place');
  await picture.setInputFiles({ name: 'aerial.png', mimeType: 'image/png', buffer: hugePng(20_000, 10_000) });
  await expect(page.getByRole('alert')).toContainText(
    /“aerial\.png” has 200 million pixels; up to 100 million are taken/,
  );
  await page.getByRole('alert').getByRole('button', { name: 'Close' }).click();
  await picture.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('“notes.png” is not a picture that this browser can show');
  await page.getByRole('alert').getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'print it to scale' }).click();
  await expect(page.locator('body')).toHaveAttribute('data-printed', /^[\d.]+mm$/);
  expect(errors).toEqual([]);
});

test('an address of a shot that is gone says so, until another is chosen', async ({ page }) => {
  await openScout(page, 'shot-that-was');
  const said = page.getByText('The shot of this address is not in this shoot');
  await expect(said).toBeVisible();
  await page.getByLabel('Shot', { exact: true }).selectOption('shot-leaves');
  await expect(said).toHaveCount(0);
  // The one that stands in for it may be the very one that is wanted.
  await openScout(page, 'shot-that-was');
  await page.getByRole('button', { name: 'Stay with this one' }).click();
  await expect(said).toHaveCount(0);
  await expect(page).toHaveURL(/shot=shot-rows$/);
});

test('the window of a room has glass; what stands in an opening is chosen, and undone', async ({ page }) => {
  await openScout(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: 'Room with door and window' }).click();
  // One wall of the room is set by itself, and the room stays one.
  await page.getByTitle('Choose this one alone').filter({ hasText: 'far wall' }).click();
  await expect(page.getByRole('button', { name: 'Ungroup' })).toHaveCount(0);
  const pane = page.getByLabel('Opening pane', { exact: true });
  await expect(pane).toHaveValue('glass');
  await pane.selectOption('open');
  await expect(pane).toHaveValue('open');
  await page.keyboard.press('Control+z');
  await expect(pane).toHaveValue('glass');
  await page.keyboard.press('Escape');
  await choose(page, 'Room with door and window, far wall');
  await expect(page.getByRole('button', { name: 'Ungroup' })).toBeVisible();
});
