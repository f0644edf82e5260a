import { readFileSync } from 'node:fs';
import { expect, type Download, type Locator, type Page } from '@playwright/test';

/** Opens a shot of the demo and waits for its reading. */
export async function openShot(page: Page, id: string): Promise<void> {
  await page.goto(`/shoot/first-flush/shot/${id}`);
  await expect(verdict(page)).toBeVisible();
}

export const reading = (page: Page): Locator => page.getByRole('region', { name: 'Reading' });
export const verdict = (page: Page): Locator => page.getByRole('region', { name: 'Verdict' }).getByRole('heading');

export const sentence = (page: Page): Locator => page.getByRole('group', { name: 'The shot in one sentence' });

/** Opens one of the words of a screen, under which the rest of a shot or a day lies, and waits until its part is there. */
export async function under(page: Page, word: string): Promise<void> {
  const button = page
    .getByRole('group', { name: /^More of (this (shot|day)|these takes)$/ })
    .getByRole('button', { name: word, exact: true });
  await button.click();
  await expect(button).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('.words > *').first()).toBeAttached();
}

/** The middle of something on the page. */
export async function middleOf(locator: Locator): Promise<{ x: number; y: number }> {
  const box = await locator.boundingBox();
  if (!box) throw new Error('not on the page');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** Drags from one point to another in steps, as a hand does. */
export async function drag(page: Page, from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
}

export async function textOf(download: Download): Promise<string> {
  return readFileSync(await download.path(), 'utf8');
}

/** What a part of the page looks like: the mean colour of each cell of a grid over it. */
export async function cellsOf(page: Page, part: Locator): Promise<number[][]> {
  const png = (await part.screenshot()).toString('base64');
  return page.evaluate(async (data) => {
    const bytes = Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0));
    const bitmap = await createImageBitmap(new Blob([bytes]));
    // A small sheet takes the mean of what it covers.
    const sheet = new OffscreenCanvas(16, 9);
    const context = sheet.getContext('2d');
    if (!context) return [];
    context.imageSmoothingQuality = 'high';
    context.drawImage(bitmap, 0, 0, 16, 9);
    const { data: rgba } = context.getImageData(0, 0, 16, 9);
    return Array.from({ length: 16 * 9 }, (_, i) => [...rgba.slice(4 * i, 4 * i + 3)]);
  }, png);
}

/** How far apart two looks at a part of the page are: the mean over its cells, and the most. */
export function apartOf(one: number[][], other: number[][]): { mean: number; most: number } {
  const apart = one.map((cell, i) => Math.max(...cell.map((value, k) => Math.abs(value - other[i][k]))));
  return { mean: apart.reduce((a, b) => a + b, 0) / apart.length, most: Math.max(...apart) };
}
