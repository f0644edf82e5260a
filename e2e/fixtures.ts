import { type BrowserContext, type Page, test as base } from '@playwright/test';

/**
 * A test begins with a new page in a browser that keeps nothing of the test before it, as ever; but the browser's own
 * processes and its cache of our scripts live on from test to test. Starting those costs more than most tests do.
 */
class Shelf {
  private readonly kept = new Map<string, { context: BrowserContext; keeper: Page }>();

  async take(key: string, make: () => Promise<BrowserContext>, origin: string): Promise<BrowserContext> {
    const known = this.kept.get(key);
    if (known) return known.context;
    const context = await make();
    const keeper = await context.newPage();
    // Something small of the same site keeps its process.
    await keeper.goto(`${origin}/icon.svg`);
    this.kept.set(key, { context, keeper });
    return context;
  }

  /** Takes away all that a test has left: pages, what they stored, routes, being offline. */
  async clear(key: string): Promise<void> {
    const shelved = this.kept.get(key);
    if (!shelved) return;
    const { context, keeper } = shelved;
    await context.setOffline(false);
    await context.unrouteAll({ behavior: 'ignoreErrors' });
    for (const page of context.pages()) if (page !== keeper) await page.close();
    await keeper.evaluate(async () => {
      for (const { name = '' } of await indexedDB.databases())
        await new Promise((resolve) => {
          const request = indexedDB.deleteDatabase(name);
          // A page that is just closing has it open for a moment: this waits for it.
          request.onsuccess = resolve;
          request.onerror = resolve;
        });
      // Last: a page puts away what it has not saved while it is being closed.
      localStorage.clear();
    });
  }

  async close(): Promise<void> {
    for (const { context } of this.kept.values()) await context.close();
  }
}

export const test = base.extend<object, { shelf: Shelf }>({
  shelf: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads the names of what is asked for.
    async ({}, use) => {
      const shelf = new Shelf();
      await use(shelf);
      await shelf.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ shelf, browser, viewport, hasTouch, isMobile, baseURL }, use) => {
    const origin = baseURL ?? '';
    const options = { viewport, hasTouch, isMobile, baseURL, acceptDownloads: true };
    const key = JSON.stringify(options);
    await use(await shelf.take(key, () => browser.newContext(options), origin));
    await shelf.clear(key);
  },
  page: async ({ context }, use) => {
    await use(await context.newPage());
  },
});
export { expect } from '@playwright/test';
