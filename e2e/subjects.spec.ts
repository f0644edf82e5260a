import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { openShot, reading, sentence, under, verdict } from './helpers';

/** Chooses a piece on the plan by key: others may lie over it. */
async function choosePiece(page: Page, name: string): Promise<void> {
  const piece = page.getByRole('button', { name, exact: true }).first();
  await piece.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of the piece')).toHaveValue(name);
}
async function type(page: Page, label: string, value: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(value);
  await field.press('Enter');
}

test('somebody is framed by name at the start and at the end: the push ends on the face', async ({ page }) => {
  await openShot(page, 'shot-leaves');
  await under(page, 'Aim');
  await page.getByLabel('Size', { exact: true }).selectOption({ label: 'from the knees up' });
  await page.getByRole('button', { name: 'Frame it so' }).click();
  await expect(sentence(page).getByLabel('Subject', { exact: true })).toContainText('Ansa’s face');
  await page.getByLabel('Size', { exact: true }).selectOption({ label: 'face alone' });
  await page.getByLabel('At which end').selectOption({ label: 'the end' });
  await page.getByLabel('Place', { exact: true }).selectOption({ label: 'in the middle' });
  await page.getByRole('button', { name: 'Frame it so' }).click();
  await under(page, 'Reading');
  await page.getByText(/things are fine/).click();
  await expect(
    page.getByText(/Ansa: from the knees up, on the left third at first; at last close-up, in the middle\./),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sentence(page).getByLabel('Subject', { exact: true })).not.toContainText('face');
});

test('what cannot be framed so is said, and nothing is changed', async ({ page }) => {
  await openShot(page, 'shot-drawn');
  await under(page, 'Aim');
  await page.getByRole('button', { name: 'Frame it so' }).click();
  await expect(page.getByText('Drawn path has no one distance at its start: frame it by the lens.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('a piece is turned and left out in one shot only; the other shots keep it', async ({ page }) => {
  await openShot(page, 'shot-lorry');
  await choosePiece(page, 'Tea lorry');
  await expect(page.getByText('Pieces are shared by all shots.')).toBeVisible();
  await page.getByRole('button', { name: 'in this one only' }).click();
  await type(page, 'Heading', '200');
  await expect(page.getByText('This shot has its own say of which way it faces.')).toBeVisible();
  await page.waitForTimeout(600);
  await openShot(page, 'shot-bicycle');
  await choosePiece(page, 'Tea lorry');
  await expect(page.getByLabel('Heading', { exact: true })).toHaveValue('285°');
  await page.getByRole('button', { name: 'Leave it out of this shot' }).click();
  await expect(page.locator('[data-piece="lorry"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: 'Tea lorry' }).click();
  await expect(page.locator('[data-piece="lorry"]')).toHaveCount(1);
  await openShot(page, 'shot-lorry');
  await choosePiece(page, 'Tea lorry');
  await expect(page.getByLabel('Heading', { exact: true })).toHaveValue('200°');
  await page.getByRole('button', { name: 'As in the other shots' }).click();
  await expect(page.getByLabel('Heading', { exact: true })).toHaveValue('285°');
});

test('a walk is told in metres, seconds and speeds; a speed is typed, a jump is added', async ({ page }) => {
  await openShot(page, 'shot-follow');
  await choosePiece(page, 'Ansa');
  await expect(page.getByText(/through 2 points,\s+13 m in 14 s, 0\.93 m\/s on average/)).toBeVisible();
  await type(page, 'Speed to point 2', '1.3');
  await expect(page.getByText(/through 2 points,\s+13 m in 10 s, 1\.3 m\/s on average/)).toBeVisible();
  await page.getByRole('button', { name: 'Add a jump' }).click();
  await type(page, 'Jump height, jump 1', '1.5');
  await expect(page.getByText(/1\.11 s in the air/)).toBeVisible();
  await type(page, 'Jump height, jump 1', '-1');
  await expect(page.getByText(/Jump height, jump 1 must be from/)).toBeVisible();
  await page.getByLabel('Heights', { exact: true }).selectOption({ label: 'over the ground' });
  await expect(page.getByRole('slider', { name: 'Height of point 1' })).toHaveCount(0);
});

test('a rider is put on a bicycle, and the bicycle carries the camera', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  for (const kind of ['Bicycle', 'Figure']) {
    await page.getByRole('button', { name: 'Add a piece' }).click();
    await page.getByRole('menuitem', { name: kind, exact: true }).click();
  }
  await page.getByLabel('Stands on').selectOption({ label: 'Bicycle' });
  await expect(page.getByLabel('Pose', { exact: true })).toHaveValue('ride');
  await choosePiece(page, 'Bicycle');
  await page.getByRole('button', { name: 'Make it the subject' }).click();
  await sentence(page).getByRole('button', { name: 'Slide', exact: true }).click();
  const chooser = page.getByRole('region', { name: 'Choose a move' });
  await chooser.getByRole('button', { name: 'Go along' }).click();
  await chooser.getByRole('button', { name: 'Carried along' }).click();
  await page.keyboard.press('Escape');
  await expect(sentence(page)).toContainText('Carried along on');
  await under(page, 'Move');
  await page.getByLabel('Where it is fixed').selectOption({ label: 'before the bar, looking back' });
  await expect(page.getByLabel('looks right of ahead by')).toHaveValue('180°');
  await under(page, 'Reading');
  await expect(
    reading(page)
      .getByText(/carries the camera; .* is not fixed to it\. Take a mount\./)
      .first(),
  ).toBeVisible();
  await expect(page.getByText(/The camera is fixed to Bicycle: crews usually add a second line/)).toBeVisible();
});

test('a shot becomes a time-lapse, with what it comes to, and is filmed again', async ({ page }) => {
  await openShot(page, 'shot-rows');
  await under(page, 'Time');
  await page.getByRole('button', { name: 'Make it a time-lapse' }).click();
  await expect(page.getByText(/of film, 120 times faster\s+than life/)).toBeVisible();
  await type(page, 'Interval', '10');
  await expect(page.getByText(/240 times faster/).first()).toBeVisible();
  await type(page, 'Hours', '2');
  await expect(page.getByText('721', { exact: true })).toBeVisible();
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('button', { name: 'Film it instead' }).click();
  await expect(sentence(page).getByLabel('Duration')).toHaveValue('8 s');
});

test('what is kept back for stabilising and the black bars are drawn, and stay with the shot', async ({ page }) => {
  await openShot(page, 'shot-leaves');
  await under(page, 'Camera');
  await type(page, 'Black bars', '7');
  await type(page, 'Kept back for stabilising', '6');
  await expect(page.locator('figure .bar')).toHaveCount(2);
  await page.waitForTimeout(700);
  await page.reload();
  await expect(page.locator('figure .bar')).toHaveCount(2);
  await page.getByRole('link', { name: 'Lens', exact: true }).click();
  await expect(page.getByText(/which leaves 2\.07:1/)).toBeVisible();
});

test('an own shoot starts with a small kit; a thing of the examples is copied in', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('link', { name: 'Kit', exact: true }).click();
  const rigs = page.getByRole('button', { name: 'Add an example: Rigs and supports' });
  await expect(page.getByRole('button', { name: 'Small jib', exact: true })).toHaveCount(0);
  await rigs.click();
  await page.getByRole('menuitem', { name: 'Small jib', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Small jib', exact: true })).toBeVisible();
  await rigs.click();
  await expect(page.getByRole('menuitem', { name: 'Small jib', exact: true })).toHaveCount(0);
});
