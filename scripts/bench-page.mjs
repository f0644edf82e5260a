// What the page itself costs while something is dragged or played, in a real browser, with and without drawing in 3D:
// script a frame, tasks that hold the page up, and how many pictures a second the drawing gives meanwhile. Prints;
// nothing here passes or fails.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { chromium } from 'playwright-core';
import { build, CHROMIUM, CHROMIUM_ARGS, installChromium, root } from './prepare.mjs';

const PORT = 4393;
const FRAMES = 150;
const PLAYED_MS = 5000;
await installChromium();
await build();
const server = spawn('node', [join(root, 'scripts/serve.mjs')], { env: { ...process.env, PORT: String(PORT) } });
await new Promise((resolve) => server.stdout.once('data', resolve));

/** Counts tasks that hold the page up, and answers of the worker that draws. */
function watch() {
  window.longTasks = [];
  window.pictures = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.longTasks.push(duration);
  }).observe({ type: 'longtask' });
  const { Worker } = window;
  window.Worker = class extends Worker {
    constructor(url, options) {
      super(url, options);
      if (String(url).includes('picture')) this.addEventListener('message', () => (window.pictures += 1));
    }
  };
}

async function measured(threeD, manyPieces) {
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: [...CHROMIUM_ARGS, ...(threeD ? [] : ['--disable-3d-apis'])],
  });
  // The picture is 640 wide then.
  const page = await browser.newPage({ viewport: { width: 1060, height: 800 } });
  await page.addInitScript(watch);
  await page.goto(`http://localhost:${PORT}/shoot/first-flush/shot/shot-sorting`);
  await page.getByText('Reads smoothly').first().waitFor();
  if (manyPieces) {
    await page.goto(`http://localhost:${PORT}/shoot/first-flush/scout?shot=shot-sorting`);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Ground' }).click();
    await page.getByLabel('Find by name').fill('Lantern post');
    await page.keyboard.press('Enter');
    await page
      .getByRole('button', { name: /^Lantern post/ })
      .last()
      .click();
    for (const [label, value] of [
      ['How many more', '100'],
      ['Apart', '0.3'],
    ]) {
      await page.getByLabel(label, { exact: true }).fill(value);
      await page.keyboard.press('Enter');
    }
    await page.getByRole('button', { name: 'Repeat' }).click();
    await page.getByRole('button', { name: 'Repeat' }).click();
    await page.waitForTimeout(1500);
    await page.getByRole('link', { name: 'Shots' }).click();
    await page
      .getByRole('link', { name: /Round Ansa at the sorting table/ })
      .first()
      .click();
  }
  await page.waitForTimeout(4000);
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const scriptS = async () =>
    (await session.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'ScriptDuration').value;
  const counts = () =>
    page.evaluate(() => ({
      pictures: window.pictures,
      // As wide as the last one was drawn.
      widthPx: document.querySelector('figure canvas')?.width ?? 0,
      long: window.longTasks,
      ms: performance.now(),
    }));

  async function over(work) {
    await page.evaluate(() => (window.longTasks.length = 0));
    const [fromS, from] = [await scriptS(), await counts()];
    const frames = await work();
    const [toS, to] = [await scriptS(), await counts()];
    const seconds = (to.ms - from.ms) / 1000;
    return {
      scriptMs: ((toS - fromS) * 1000) / frames,
      long: to.long,
      widthPx: to.widthPx,
      picturesHz: (to.pictures - from.pictures) / seconds,
      framesHz: frames / seconds,
    };
  }
  /** A hand that sways about a point, once a frame: told in the page itself, for a driver's own mouse costs frames. */
  const sway = (from) => () =>
    page.evaluate(
      ([{ x, y }, frames]) =>
        new Promise((resolve) => {
          const held = document.elementFromPoint(x, y);
          let k = 0;
          const next = () => {
            if (k === frames) return resolve(frames);
            k += 1;
            const at = { clientX: x + 30 * Math.sin(k / 12), clientY: y + 20 * Math.sin(k / 9) };
            const how = { bubbles: true, pointerId: 1, buttons: 1, isPrimary: true, pointerType: 'mouse' };
            held.dispatchEvent(new PointerEvent('pointermove', { ...at, ...how }));
            requestAnimationFrame(next);
          };
          requestAnimationFrame(next);
        }),
      [from, FRAMES],
    );
  const say = (what, { scriptMs, long, picturesHz, widthPx, framesHz }) =>
    console.log(
      `${what.padEnd(58)} ${scriptMs.toFixed(2).padStart(7)} ms script a frame  ` +
        `${framesHz.toFixed(0).padStart(3)} of 60 frames a second  ` +
        (threeD ? `${picturesHz.toFixed(1).padStart(5)} pictures a second, ${widthPx} px wide  ` : '') +
        `${long.length} tasks over 50 ms${long.length ? `, the longest ${Math.max(...long).toFixed(0)} ms` : ''}`,
    );
  const how = `${manyPieces ? '300 pieces' : 'demo'}, ${threeD ? 'with' : 'without'} 3D`;
  for (const [what, name] of [
    ['the end of the path', 'Path end'],
    ['a piece', 'Sorting table'],
  ]) {
    const box = await page.getByRole('button', { name, exact: true }).boundingBox();
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    const result = await over(sway({ x, y }));
    await page.mouse.up();
    await page.waitForTimeout(1500);
    say(`${how}: dragging ${what}`, result);
  }
  await page.getByRole('button', { name: 'Play' }).click();
  const played = await over(async () => {
    const frames = await page.evaluate(
      (ms) =>
        new Promise((resolve) => {
          const until = performance.now() + ms;
          let count = 0;
          const next = () => {
            count += 1;
            if (performance.now() < until) requestAnimationFrame(next);
            else resolve(count);
          };
          requestAnimationFrame(next);
        }),
      PLAYED_MS,
    );
    return frames;
  });
  say(`${how}: playing`, played);
  await browser.close();
}
/** How long the board takes: its rows, the frames in sight, those of all shots; and coming back to it. */
async function board() {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const drawn = (least) =>
    page.waitForFunction((n) => document.querySelectorAll('li img.drawn').length >= n, least, { timeout: 120_000 });
  const since = (fromMs) => `${((Date.now() - fromMs) / 1000).toFixed(1)} s`;
  await page.goto(`http://localhost:${PORT}/shoot/first-flush/kit`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  for (const what of ['opened', 'opened again', 'after a reload']) {
    if (what === 'after a reload') {
      await page.waitForTimeout(4000);
      await page.reload();
      await page.getByRole('heading', { level: 1 }).waitFor();
    }
    const fromMs = Date.now();
    await page.getByRole('link', { name: 'Shots' }).click();
    await page.locator('ol li').first().waitFor();
    const rows = since(fromMs);
    await drawn(5);
    const seen = since(fromMs);
    const count = await page.locator('ol li').count();
    await drawn(count);
    console.log(
      `board of ${count} shots, ${what}:`.padEnd(58) +
        ` rows after ${rows}, frames in sight ${seen}, all ${since(fromMs)}`,
    );
    await page.getByRole('link', { name: 'Kit' }).click();
    await page.waitForTimeout(1000);
  }
  await browser.close();
}
/** Pictures a second while hands lead the camera, here without a graphics processor. */
async function practice() {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ]) {
    const page = await browser.newPage({ viewport: { width, height } });
    await page.goto(`http://localhost:${PORT}/shoot/first-flush/shot/shot-helix/rehearse`);
    await page.getByRole('button', { name: 'Practise', exact: true }).click();
    await page.waitForTimeout(4000);
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await page.waitForTimeout(4000);
    const rows = [];
    for (let i = 0; i < 6; i += 1) {
      await page.waitForTimeout(1000);
      rows.push(Number(await page.locator('[data-per-second]').getAttribute('data-per-second')));
    }
    console.log(
      `practice, ${width} × ${height}:`.padEnd(58) + ` ${Math.min(...rows)} to ${Math.max(...rows)} pictures a second`,
    );
    await page.close();
  }
  await browser.close();
}
/** Our own films measured, beside what their plans foretell: drawn, compressed, with noise and a rolling shutter. */
async function clips() {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  for (const shot of ['shot-map', 'shot-sorting', 'shot-leaves']) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`http://localhost:${PORT}/shoot/first-flush/takes?shot=${shot}`);
    await page.getByRole('button', { name: 'Footage', exact: true }).click();
    await page.getByRole('button', { name: 'Try it on our own film' }).click();
    const said = page.getByText('Of what was foretold this was measured');
    await said.waitFor({ timeout: 600_000 });
    console.log(`${shot}: ${(await said.innerText()).replace(/\s+/g, ' ')}`);
    await page.close();
  }
  await browser.close();
}
const parts = {
  clips,
  practice,
  board,
  drag: async () => {
    for (const many of [false, true]) for (const threeD of [false, true]) await measured(threeD, many);
  },
};
// All of them, or those that are named.
const named = process.argv.slice(2);
for (const [name, part] of Object.entries(parts)) if (named.length === 0 || named.includes(name)) await part();
server.kill();
