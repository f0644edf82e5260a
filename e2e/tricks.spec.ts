import { Document, NodeIO } from '@gltf-transform/core';
import { TorusKnotGeometry } from 'three';
import { expect, test } from './fixtures';
import { openShot, reading, under, verdict } from './helpers';

/** A knot of a tube as a GLB file, `around` by `tube` quads. */
async function knot(around: number, tube: number): Promise<Buffer> {
  const geometry = new TorusKnotGeometry(0.5, 0.2, around, tube);
  const document = new Document();
  const buffer = document.createBuffer();
  const positions = Float32Array.from(geometry.getAttribute('position').array);
  const indices = Uint32Array.from(geometry.getIndex()?.array ?? []);
  const primitive = document
    .createPrimitive()
    .setAttribute('POSITION', document.createAccessor().setType('VEC3').setArray(positions).setBuffer(buffer))
    .setIndices(document.createAccessor().setType('SCALAR').setArray(indices).setBuffer(buffer));
  document.createScene().addChild(document.createNode().setMesh(document.createMesh().addPrimitive(primitive)));
  return Buffer.from(await new NodeIO().writeBinary(document));
}

test('a model of one’s own is taken in, kept, and refused where it is too fine', async ({ page }) => {
  await openShot(page, 'shot-rows');
  const file = page.getByLabel('Model file');
  await file.setInputFiles({ name: 'knot.glb', mimeType: 'model/gltf-binary', buffer: await knot(400, 40) });
  await expect(page.getByRole('alert')).toContainText('more than 20,000 triangles');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await file.setInputFiles({ name: 'not.glb', mimeType: 'model/gltf-binary', buffer: Buffer.from('no model') });
  await expect(page.getByRole('alert')).toContainText('Save it as GLB');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await file.setInputFiles({ name: 'knot.glb', mimeType: 'model/gltf-binary', buffer: await knot(60, 10) });
  await expect(page.getByText(/Own model of 1,200 triangles/)).toBeVisible();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('knot');
  await page.waitForTimeout(700);
  await page.reload();
  await expect(page.getByRole('button', { name: 'knot', exact: true }).first()).toBeAttached();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'knot', exact: true })).toHaveCount(0);
});

test('a part is added by pressing on a thing in the picture, and the shot can be after it', async ({ page }) => {
  await openShot(page, 'shot-face');
  const figure = page.getByRole('button', { name: 'Ansa', exact: true }).first();
  await figure.focus();
  await page.keyboard.press('Enter');
  await page.getByText(/^Its parts:/).click();
  await page.getByRole('button', { name: 'Add one by pressing on it' }).click();
  const picture = page.getByRole('figure', { name: 'Picture through the lens' });
  const box = await picture.boundingBox();
  if (!box) throw new Error('The picture is not on the page.');
  // Beside her nothing is added; on her it is.
  await page.mouse.click(box.x + 8, box.y + 8);
  await expect(page.getByLabel('Name of the part Part 1')).toHaveCount(0);
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await expect(page.getByLabel('Name of the part Part 1')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add one by pressing on it' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Name of the part Part 1')).toHaveCount(0);
});

test('a camera that is dropped has its numbers, and its time is set as the fall that it is', async ({ page }) => {
  await openShot(page, 'shot-fall');
  await under(page, 'Rig');
  const asks = page.getByRole('region', { name: 'What this rig asks for' });
  await expect(asks.getByText(/Recorded on the way/)).toBeVisible();
  await under(page, 'Time');
  await page.getByLabel('Duration', { exact: true }).last().fill('3');
  await page.keyboard.press('Enter');
  await under(page, 'Reading');
  await expect(reading(page).getByText(/let go it falls that far in 0\.4\d s/)).toBeVisible();
  await under(page, 'Rig');
  await asks.getByRole('button', { name: 'Time the move as the fall that it is' }).click();
  await under(page, 'Reading');
  await expect(reading(page).getByText(/let go it falls that far/)).toBeHidden();
  await expect(verdict(page)).not.toContainText('cannot');
});

test('what is set in the camera is held against the shot', async ({ page }) => {
  await openShot(page, 'shot-rows');
  await under(page, 'Camera');
  await page.getByLabel('Exposure', { exact: true }).selectOption({ label: 'left to the camera' });
  await expect(page.getByText(/the picture brightens and darkens while it moves\. Lock it/)).toBeVisible();
  await page.getByLabel('Exposure', { exact: true }).selectOption({ label: 'locked' });
  await expect(page.getByText(/Exposure locked: set it for the brightest/)).toBeVisible();
});

test('a wheel against frame rate and shutter: it stands still, turns back, or is a veil', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-bicycle/lens');
  const turns = page.getByRole('region', { name: 'What turns' });
  await turns.getByRole('button', { name: /^As the wheels of/ }).click();
  const set = async (label: string, value: string) => {
    await turns.getByLabel(label).fill(value);
    await turns.getByLabel(label).press('Enter');
  };
  await set('Spokes or blades that look alike', '1');
  // The shot records 120 frames a second.
  await set('Turns or swings a second', '120');
  await expect(turns.getByText(/seems to stand still: each frame/)).toBeVisible();
  await set('Turns or swings a second', '119');
  await expect(turns.getByText(/seems to turn backwards, 1 times a second/)).toBeVisible();
  await set('Turns or swings a second', '0.5');
  await expect(turns.getByText(/seems to turn forwards, 0\.5 times a second/)).toBeVisible();
});
