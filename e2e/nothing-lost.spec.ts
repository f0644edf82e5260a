import { readFileSync } from 'node:fs';
// A browser of its own for each test: what it keeps, and what it loads, is what is tested.
import { expect, test, type Page } from '@playwright/test';
import { openShot, verdict } from './helpers';

const demo = readFileSync(new URL('../demo/first-flush.arc.json', import.meta.url), 'utf8');
const NAME = 'Name of the shoot';

async function rename(page: Page, name: string): Promise<void> {
  await page.getByLabel(NAME).fill(name);
  await page.getByLabel(NAME).press('Enter');
}
/** Goes back to the earliest of the states of today. */
async function goBackToFirst(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'View', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Go back to…' }).click();
  await page
    .getByRole('button', { name: /^Go back to today/ })
    .last()
    .click();
}
/** Puts a row into the browser's store as it is, behind the app's back. */
async function putRow(page: Page, row: object): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'First Flush' })).toBeVisible();
  await page.evaluate(
    (given) =>
      new Promise<void>((resolve, reject) => {
        const asked = indexedDB.open('gentle-arc');
        asked.onerror = () => reject(asked.error ?? new Error('no store'));
        asked.onsuccess = () => {
          const work = asked.result.transaction('shoots', 'readwrite');
          work.objectStore('shoots').put(given);
          work.oncomplete = () => {
            asked.result.close();
            resolve();
          };
        };
      }),
    row,
  );
  await page.reload();
}
const brokenShoot = () => {
  const shoot = JSON.parse(demo) as { id: string; name: string; shots: { timing: object }[] };
  return {
    ...shoot,
    id: 'bad',
    name: 'Wet week',
    shots: [{ ...shoot.shots[0], timing: { ...shoot.shots[0].timing, durationS: 90_000 } }, ...shoot.shots.slice(1, 3)],
  };
};

test('a shoot that cannot be read is listed by its name, hurts no other, and opens as far as it can be read', async ({
  page,
}) => {
  await putRow(page, { id: 'bad', shoot: brokenShoot() });
  await expect(page.getByRole('heading', { name: 'First Flush' })).toBeVisible();
  await page.getByRole('link', { name: /Wet week/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('“Wet week” cannot be read');
  await expect(page.getByRole('alert')).toContainText('shots[0].timing.durationS must be at most 86400; it is 90000.');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export it as it is' }).click();
  expect(JSON.parse(readFileSync(await (await download).path(), 'utf8'))).toEqual(brokenShoot());
  await page.getByRole('button', { name: 'Open what can be read' }).click();
  await expect(page.getByRole('listitem').first()).toContainText('shots[0]');
  await page.getByRole('button', { name: 'Open it as a shoot of its own' }).click();
  await expect(page.getByLabel(NAME)).toHaveValue('Wet week (what could be read)');
});

test('what is changed in one tab arrives in the other, and a shoot that was deleted there is not brought back by itself', async ({
  page,
  context,
}) => {
  await openShot(page, 'shot-lane');
  const other = await context.newPage();
  await other.goto('/shoot/first-flush');
  await rename(other, 'Second Flush');
  await expect(page.getByLabel(NAME)).toHaveValue('Second Flush');
  await page.bringToFront();
  await rename(page, 'Third Flush');
  await expect(other.getByLabel(NAME)).toHaveValue('Third Flush');
  await other.goto('/');
  await other.getByRole('button', { name: 'Put it back as it was' }).click();
  await expect(page.getByText('Another tab deleted “Third Flush”.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.waitForTimeout(300);
  await page.reload();
  await expect(page.getByLabel(NAME)).toHaveValue('Third Flush');
});

test('what both tabs change is kept twice, and the person chooses', async ({ page, context }) => {
  await openShot(page, 'shot-lane');
  await page.getByLabel(NAME).fill('Mine');
  const other = await context.newPage();
  await other.goto('/shoot/first-flush');
  await rename(other, 'Theirs');
  await other.waitForTimeout(500);
  // What is being typed is not swept away by the other tab.
  await expect(page.getByLabel(NAME)).toHaveValue('Mine');
  await page.getByLabel(NAME).press('Enter');
  await expect(page.getByText('Another tab changed “Mine” as well.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep both' }).click();
  await expect(page.getByLabel(NAME)).toHaveValue('Theirs');
  await page.getByRole('link', { name: 'All shoots' }).click();
  await expect(page.getByRole('link', { name: /^Mine \(this tab\)/ })).toBeVisible();
});

test('the last change survives a tab that is gone 0.3 s later, undo survives it too, and an earlier state is a press away', async ({
  page,
}) => {
  await openShot(page, 'shot-lane');
  const duration = page.getByLabel('Duration', { exact: true });
  await duration.fill('9');
  await duration.press('Enter');
  await page.keyboard.press('Control+z');
  await expect(duration).toHaveValue('12 s');
  await duration.fill('8');
  await duration.press('Enter');
  await page.waitForTimeout(300);
  await page.goto('about:blank');
  await openShot(page, 'shot-lane');
  await expect(duration).toHaveValue('8 s');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(duration).toHaveValue('12 s');
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await goBackToFirst(page);
  await expect(duration).toHaveValue('12 s');
  // The list gives the focus back when it is gone.
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // In one breath: no save can be over before the page is gone.
  await duration.fill('7');
  await expect(duration).toBeFocused();
  await Promise.all([
    page.waitForEvent('load'),
    page.evaluate(() => {
      document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
      location.reload();
    }),
  ]);
  await expect(duration).toHaveValue('7 s');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(duration).toHaveValue('12 s');
});

test('what the store of an earlier version kept is there, with its undo and its earlier states', async ({ page }) => {
  const shoot = { ...(JSON.parse(demo) as Record<string, unknown>), id: 'old', name: 'As it was' };
  await page.goto('/api/health');
  // Version 3 of the store, as its library numbers it, with rows as they were written then.
  await page.evaluate(
    (now) =>
      new Promise<void>((resolve, reject) => {
        const asked = indexedDB.open('gentle-arc', 30);
        asked.onerror = () => reject(asked.error ?? new Error('no store'));
        asked.onupgradeneeded = () => {
          const store = asked.result;
          store.createObjectStore('shoots', { keyPath: 'id' }).createIndex('savedAtMs', 'savedAtMs');
          store.createObjectStore('photos', { keyPath: 'shootId' });
          store.createObjectStore('undos', { keyPath: 'shootId' });
          store.createObjectStore('states', { keyPath: ['shootId', 'atMs'] }).createIndex('shootId', 'shootId');
        };
        asked.onsuccess = () => {
          const work = asked.result.transaction(['shoots', 'undos', 'states'], 'readwrite');
          const named = (name: string) => ({ ...now, name });
          work.objectStore('shoots').put({ id: 'old', savedAtMs: 1, rev: 'one', shoot: now });
          work.objectStore('undos').put({ shootId: 'old', rev: 'one', past: [named('Before')], future: [] });
          work.objectStore('states').put({ shootId: 'old', atMs: Date.now(), shoot: named('First of all') });
          work.oncomplete = () => {
            asked.result.close();
            resolve();
          };
        };
      }),
    shoot,
  );
  await page.goto('/');
  await page.getByRole('link', { name: /^As it was/ }).click();
  const name = page.getByLabel(NAME);
  await expect(name).toHaveValue('As it was');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(name).toHaveValue('Before');
  await goBackToFirst(page);
  await expect(name).toHaveValue('First of all');
  await page.waitForTimeout(300);
  await page.reload();
  await expect(name).toHaveValue('First of all');
});

test('without a store the demo opens, and what is made is said to be lost with the tab and offered as a file', async ({
  page,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', { get: () => undefined });
    Object.defineProperty(window, 'localStorage', {
      get: () => {
        throw new DOMException('denied', 'SecurityError');
      },
    });
  });
  await page.goto('/');
  await expect(page.getByRole('alert').first()).toContainText('Your own shoots cannot be shown.');
  await page.getByRole('link', { name: 'Open “First Flush”' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
  await expect(page.getByRole('alert').first()).toContainText('take it away as a file');
  await page.goto('/');
  await page.getByRole('button', { name: 'Start an own shoot' }).click();
  await expect(page.getByLabel(NAME)).toHaveValue('My shoot');
});

test('a full disk is said in our words, the change stays and is offered as a file', async ({ page }) => {
  await openShot(page, 'shot-lane');
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await rename(page, 'Kept in the tab');
  await expect(page.getByRole('alert').first()).toContainText('The storage of this browser is full.');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Take it away as a file', exact: true }).click();
  expect(readFileSync(await (await download).path(), 'utf8')).toContain('"Kept in the tab"');
});

test('files: a photograph, nonsense, and a file of the same name again; dropped on any screen', async ({ page }) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await page.goto('/');
  const files = page.getByLabel('Shoot file');
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  await files.setInputFiles({ name: 'garden.png', mimeType: 'image/png', buffer: png });
  await expect(page.getByRole('alert').last()).toContainText(/picture.*Lens/s);
  await files.setInputFiles({ name: 'a.arc.json', mimeType: 'application/json', buffer: Buffer.from('{"format": 1}') });
  await expect(page.getByRole('alert').last()).toContainText('“a.arc.json” was not taken in');
  const mended = demo
    .replace('"id": "first-flush"', '"id": "second"')
    .replace('"name": "First Flush"', '"name": "Mended"');
  await files.setInputFiles({ name: 'a.arc.json', mimeType: 'application/json', buffer: Buffer.from(mended) });
  await expect(page.getByLabel(NAME)).toHaveValue('Mended');

  // The same shoot, another state: dropped on a screen it is asked about, and both are kept.
  const other = mended.replace('"name": "Mended"', '"name": "Mended otherwise"');
  await openShot(page, 'shot-lane');
  const data = await page.evaluateHandle((text) => {
    const transfer = new DataTransfer();
    transfer.items.add(new File([text], 'dropped.arc.json', { type: 'application/json' }));
    return transfer;
  }, other);
  await page.locator('body').dispatchEvent('drop', { dataTransfer: data });
  const question = page.getByRole('dialog');
  await expect(question).toContainText('The file and what lies in this browser differ.');
  await question.getByRole('button', { name: 'Keep both' }).click();
  await expect(page.getByLabel(NAME)).toHaveValue(/^Mended otherwise/);
  expect(errors).toEqual([]);
});

test('a wrong address has a page of ours with a way back', async ({ page }) => {
  for (const [path, heading] of [
    ['/nowhere', 'There is nothing at this address'],
    ['/shoot/%E0%A4%A', 'There is nothing at this address'],
    ['/shoot/nobody', 'No shoot is open'],
    ['/shoot/first-flush/shot/none', /./],
  ] as const) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
    await expect(page.locator('main').getByRole('link').first()).toBeVisible();
  }
});

test('the list of focal lengths that is edited on Lens is compared, and kept', async ({ page }) => {
  await page.goto('/shoot/first-flush/shot/shot-lane/lens');
  const first = page.getByLabel('Focal length 1', { exact: true });
  await first.fill('14');
  await first.press('Enter');
  await expect(page.getByRole('heading', { level: 2 }).first()).toContainText('mm', { timeout: 30_000 });
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.waitForTimeout(300);
  await page.reload();
  await expect(first).toHaveValue('14 mm');
  await page.keyboard.press('End');
  await expect(
    page
      .getByRole('slider', { name: 'Time in the shot' })
      .or(page.getByText(/12\.0\d? s of/))
      .first(),
  ).toBeAttached();
});

test('one act is one step of undo: keys and then typing, and Escape keeps what was there', async ({ page }) => {
  await openShot(page, 'shot-lane');
  const duration = page.getByLabel('Duration', { exact: true });
  await duration.focus();
  await duration.press('ArrowUp');
  const nudged = await duration.inputValue();
  expect(nudged).not.toBe('12 s');
  await duration.fill('7');
  await duration.press('Enter');
  await page.keyboard.press('Control+z');
  await expect(duration).toHaveValue(nudged);
  await page.keyboard.press('Control+z');
  await expect(duration).toHaveValue('12 s');
  const name = page.getByLabel(NAME);
  await name.fill('No');
  await name.press('Escape');
  await expect(name).toHaveValue('First Flush');
  await name.fill('   ');
  await name.press('Enter');
  await expect(name).toHaveValue('First Flush');
  await expect(verdict(page)).toBeVisible();
});
