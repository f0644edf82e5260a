import { expect, type Locator, type Page } from '@playwright/test';

/** Everything on a screen that holds something of the shoot, by its name. */
export async function heldBy(page: Page): Promise<Record<string, string>> {
  return page.evaluate(() => {
    const held: Record<string, string> = {};
    for (const field of document.querySelectorAll<HTMLInputElement | HTMLSelectElement>('input:not([type=file]), select, textarea')) {
      if (!field.checkVisibility()) continue;
      const label = field.getAttribute('aria-label') ?? field.labels?.[0]?.textContent?.trim() ?? '';
      const name = `${field.closest('section[aria-label], [role=group][aria-label]')?.getAttribute('aria-label') ?? ''}: ${label}`;
      const twin = name in held ? `${name} (again)` : name;
      held[twin] = field.dataset.value ?? (field instanceof HTMLInputElement && /checkbox|radio/.test(field.type) ? `${field.checked}` : field.value);
    }
    return held;
  });
}

export const numbers = (page: Page): Locator => page.locator('input[data-unit]:visible');
export const choices = (page: Page): Locator => page.locator('select:visible');
export const undo = (page: Page): Locator => page.getByRole('button', { name: 'Undo', exact: true });

/** What is wrong with a screen as a whole: words that no screen may show. */
async function broken(page: Page): Promise<string | null> {
  const text = await page.locator('body').innerText();
  return /undefined|\bNaN\b|\[object|This screen|could not be shown/.exec(text)?.[0] ?? null;
}

/** One Ctrl Z takes exactly the last act back: what is held is as before, and nothing is left to undo. */
async function takenBack(page: Page, what: string, before: Record<string, string>, faults: string[]): Promise<void> {
  const wrong = await broken(page);
  if (wrong) faults.push(`${what}: shows “${wrong}”`);
  await page.keyboard.press('Control+z');
  try {
    await expect.poll(() => heldBy(page), { timeout: 4000 }).toEqual(before);
  } catch {
    const after = await heldBy(page);
    const differs = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter((key) => before[key] !== after[key]);
    faults.push(`${what}: one undo leaves ${differs.map((key) => `${key} ${before[key]} → ${after[key]}`).join(', ')}`);
  }
  if (await undo(page).isEnabled()) {
    faults.push(`${what}: one undo was not all of it`);
    for (let i = 0; i < 5 && (await undo(page).isEnabled()); i += 1) await undo(page).click();
  }
}

/** Types over a number and presses Enter. */
async function type(field: Locator, text: string): Promise<void> {
  await field.focus();
  await field.fill(text);
  await field.press('Enter');
}

/** Nonsense is refused with a sentence that names the field; both ends that it gives are taken; one undo takes each back. */
export async function walkNumber(page: Page, field: Locator, faults: string[]): Promise<void> {
  const label = (await field.getAttribute('aria-label')) ?? '';
  const before = await heldBy(page);
  const kept = await field.getAttribute('data-value');
  await type(field, 'nonsense');
  const sentence =
    (await field
      .locator('xpath=following-sibling::*[@role="alert"]')
      .textContent({ timeout: 3000 })
      .catch(() => null)) ?? '';
  const ends = /type one from (.+) to (.+)\.$/.exec(sentence);
  if (!ends || !sentence.startsWith(`${label}: “nonsense”`)) faults.push(`${label}: nonsense is answered with “${sentence}”`);
  await field.press('Escape');
  for (const end of ends?.slice(1) ?? []) {
    await type(field, end);
    const refused = await field.getAttribute('aria-invalid', { timeout: 3000 }).catch(() => null);
    if (refused === 'true') {
      faults.push(`${label}: the end ${end} of its range is refused`);
      await field.press('Escape');
    }
    const notice = page.getByText(/^This was not changed/);
    if (await notice.count()) faults.push(`${label} at ${end}: ${await notice.first().textContent()}`);
    if (await undo(page).isEnabled()) await takenBack(page, `${label} at ${end}`, before, faults);
    else if (!notice && (await field.getAttribute('data-value')) !== kept) faults.push(`${label} at ${end}: cannot be undone`);
  }
}

/** Another choice is taken and shown; one undo takes it back. */
export async function walkChoice(page: Page, choice: Locator, faults: string[]): Promise<void> {
  const label = (await choice.getAttribute('aria-label')) ?? '';
  const before = await heldBy(page);
  const own = await choice.inputValue();
  const values = await choice.locator('option:not([disabled])').evaluateAll((options) => options.map((option) => (option as HTMLOptionElement).value));
  const others = values.filter((value) => value !== own && value !== '');
  for (const value of [...new Set([others[0], others.at(-1)])].filter((value) => value !== undefined)) {
    await choice.selectOption(value);
    if (await undo(page).isEnabled()) await takenBack(page, `${label} “${value}”`, before, faults);
  }
}
