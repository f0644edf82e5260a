import type { Page } from '@playwright/test';

/**
 * What is in the fields of a screen, by section and name; a checkbox has its tick. What only asks (what the coach is
 * told until the next advice, the day and hour of a forecast, the day of a report) is left out. Runs in the page.
 */
export function heldHere(): Record<string, string> {
  const held: Record<string, string> = {};
  for (const field of document.querySelectorAll<HTMLInputElement | HTMLSelectElement>(
    'input:not([type=file]), select, textarea',
  )) {
    if (!field.checkVisibility()) continue;
    const label = field.getAttribute('aria-label') ?? field.labels?.[0]?.textContent.trim() ?? '';
    const name = `${field.closest('section[aria-label], [role=group][aria-label]')?.getAttribute('aria-label') ?? ''}: ${label}`;
    if (/^(Coach:|Now:|: Hour$|Weather: Hour$|: Day of the forecast$|Report: Day$)/.test(name)) continue;
    const ticked = field instanceof HTMLInputElement && /checkbox|radio/.test(field.type);
    held[name in held ? `${name} (again)` : name] = field.dataset.value ?? (ticked ? `${field.checked}` : field.value);
  }
  return held;
}

export const heldBy = (page: Page): Promise<Record<string, string>> => page.evaluate(heldHere);

/**
 * Walks every field of a screen that is on show, in the page itself, with the events that a person's keys make: a
 * number refuses nonsense with a sentence that names it and its range, and takes both ends of that range; of a choice
 * the first and the last other one are taken; and one Ctrl Z takes each act back, that and nothing else. Fields of the
 * names in `besides` were walked on another screen. Gives back what is wrong.
 */
export async function walkFields(
  page: Page,
  besides: readonly string[] = [],
): Promise<{ walked: string[]; faults: string[] }> {
  await page.evaluate(`window.heldHere = ${heldHere.toString()}`);
  return page.evaluate(async (known) => {
    const held = (window as unknown as { heldHere: () => Record<string, string> }).heldHere;
    const faults: string[] = [];
    const walked: string[] = [];
    const settled = () => new Promise((resolve) => setTimeout(resolve, 3));
    const key = (target: Element, name: string, more: KeyboardEventInit = {}) =>
      target.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true, ...more }));
    const undo = () => document.querySelector<HTMLButtonElement>('button[aria-label=Undo]');
    const visible = <T extends Element>(selector: string) =>
      [...document.querySelectorAll<T>(selector)].filter((field) => field.checkVisibility());
    const nameOf = (field: Element) => field.getAttribute('aria-label') ?? '';

    async function takenBack(act: string, before: Record<string, string>) {
      const wrong = /undefined|\bNaN\b|\[object|could not be shown/.exec(
        [...document.querySelectorAll('main')].map((main) => main.textContent).join(' '),
      );
      if (wrong) faults.push(`${act}: shows “${wrong[0]}”`);
      const refused = [...document.querySelectorAll('[role=alert]')].find((row) =>
        row.textContent.includes('This was not changed'),
      );
      if (refused) {
        faults.push(`${act}: ${refused.textContent}`);
        refused.querySelector('button')?.click();
      }
      if (undo()?.disabled) return;
      key(document.activeElement ?? document.body, 'z', { ctrlKey: true });
      await settled();
      const after = held();
      const differs = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
        (name) => before[name] !== after[name],
      );
      if (differs.length > 0)
        faults.push(
          `${act}: one undo leaves ${differs.map((name) => `${name} ${before[name]} → ${after[name]}`).join(', ')}`,
        );
      if (!undo()?.disabled) faults.push(`${act}: one undo was not all of it`);
      for (let i = 0; i < 5 && !undo()?.disabled; i += 1) {
        undo()?.click();
        await settled();
      }
    }
    async function type(field: HTMLInputElement, text: string) {
      field.focus();
      field.value = text;
      field.dispatchEvent(new InputEvent('input', { bubbles: true }));
      await settled();
      key(field, 'Enter');
      await settled();
    }

    const isNew = (label: string) => !known.includes(label);
    for (const label of visible('input[data-unit]').map(nameOf).filter(isNew)) {
      const find = () => visible<HTMLInputElement>('input[data-unit]').filter((field) => nameOf(field) === label);
      if (find().length !== 1) faults.push(`${label}: ${find().length} fields of this name`);
      const [field] = find();
      if (!field) continue;
      walked.push(label);
      await type(field, 'nonsense');
      const sentence = field.parentElement?.querySelector('[role=alert]')?.textContent ?? '';
      const ends = /type one from (.+) to (.+)\.$/.exec(sentence);
      if (!ends || !sentence.startsWith(`${label}: “nonsense”`))
        faults.push(`${label}: nonsense is answered with “${sentence}”`);
      key(field, 'Escape');
      await settled();
      const before = held();
      for (const end of ends?.slice(1) ?? []) {
        const [here] = find();
        await type(here, end);
        if (here.getAttribute('aria-invalid') === 'true') {
          faults.push(`${label}: the end ${end} of its range is refused`);
          key(here, 'Escape');
          await settled();
        }
        await takenBack(`${label} at ${end}`, before);
      }
    }
    for (const label of visible('select').map(nameOf).filter(isNew)) {
      const find = () => visible<HTMLSelectElement>('select').find((field) => nameOf(field) === label);
      const own = find()?.value;
      const others = [...(find()?.options ?? [])]
        .filter((option) => !option.disabled && option.value !== own && option.value !== '')
        .map(({ value }) => value);
      walked.push(label);
      const before = held();
      for (const value of new Set([others[0], others.at(-1)])) {
        const choice = find();
        if (value === undefined || !choice) continue;
        choice.focus();
        choice.value = value;
        choice.dispatchEvent(new Event('input', { bubbles: true }));
        choice.dispatchEvent(new Event('change', { bubbles: true }));
        await settled();
        await takenBack(`${label} “${value}”`, before);
        await settled();
      }
    }
    return { walked, faults };
  }, besides);
}

/** Names of the numbers and choices on show. */
export const namesOfFields = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('input[data-unit], select')]
      .filter((field) => field.checkVisibility())
      .map((field) => field.getAttribute('aria-label') ?? ''),
  );

/** Presses the arrow key up once on every number. */
export async function nudgeNumbers(page: Page): Promise<void> {
  await page.evaluate(async () => {
    for (const field of document.querySelectorAll<HTMLInputElement>('input[data-unit]')) {
      if (!field.checkVisibility()) continue;
      field.focus();
      field.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true, cancelable: true }));
      field.blur();
      await new Promise((resolve) => setTimeout(resolve, 3));
    }
  });
}

/**
 * Presses every button of a screen's main part once, as far as it is there. What a press changed in the shoot (Undo
 * comes alive) one undo takes back; what it opened is closed again. `stay`: the words of the screen are not pressed, so
 * that what lies under the open one is. Gives back what is wrong.
 */
export async function pressButtons(
  page: Page,
  path: string,
  stay = false,
): Promise<{ pressed: string[]; faults: string[] }> {
  const faults: string[] = [];
  const pressed: string[] = [];
  const undo = page.getByRole('button', { name: 'Undo', exact: true });
  const names = await page.evaluate(
    (leftOut) => {
      // Of a list's rows the first two: the others are the same again.
      const rowOf = (button: Element) => {
        const row = button.closest('li');
        return row?.parentElement ? [...row.parentElement.children].indexOf(row) : 0;
      };
      return [
        ...new Set(
          [...document.querySelectorAll('main button')]
            .filter((button) => button.checkVisibility() && rowOf(button) < 2)
            .filter((button) => leftOut === null || !button.closest(leftOut))
            .map((button) => button.getAttribute('aria-label') ?? button.textContent.trim()),
        ),
      ];
    },
    stay ? '[role=group][aria-label^="More of"]' : null,
  );
  for (const name of names) {
    const before = await heldBy(page);
    const found = await page.evaluate((wanted) => {
      const nameOf = (button: Element) => button.getAttribute('aria-label') ?? button.textContent.trim();
      const button = [...document.querySelectorAll<HTMLButtonElement>('main button')].find(
        (row) => row.checkVisibility() && !row.disabled && nameOf(row) === wanted,
      );
      button?.focus();
      button?.click();
      return button !== undefined;
    }, name);
    if (!found) continue;
    pressed.push(name);
    await page.waitForTimeout(60);
    const trouble = /undefined|\bNaN\b|\[object|could not be shown/.exec(
      await page.evaluate(() => document.body.textContent),
    );
    if (trouble) faults.push(`${name}: shows “${trouble[0]}”`);
    if (!page.url().endsWith(path)) {
      // It led elsewhere: what it changed there is taken back there, then the walk goes on here.
      if (await undo.isEnabled()) await undo.click();
      await page.waitForTimeout(300);
      await page.goto(path);
      await page.getByRole('heading', { level: 1 }).first().waitFor({ state: 'attached' });
      continue;
    }
    if (await undo.isEnabled()) {
      await page.keyboard.press('Escape');
      await undo.click({ timeout: 15_000 }).catch(() => faults.push(`${name}: Undo cannot be pressed`));
      if (await undo.isEnabled()) faults.push(`${name}: one undo was not all of it`);
      for (let i = 0; i < 5 && (await undo.isEnabled()); i += 1) await undo.click();
      const after = await heldBy(page);
      const differs = Object.keys(before).filter((field) => field in after && before[field] !== after[field]);
      if (differs.length > 0) faults.push(`${name}: one undo leaves ${differs.join(', ')}`);
    } else await page.keyboard.press('Escape');
  }
  return { pressed, faults };
}
