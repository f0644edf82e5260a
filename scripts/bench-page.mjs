// What the page itself costs while something is dragged, in a real browser that cannot draw in 3D: script a frame, and
// tasks that hold the page up. Prints; nothing here passes or fails.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { chromium } from 'playwright-core';
import { build, CHROMIUM, CHROMIUM_ARGS, installChromium, root } from './prepare.mjs';

const PORT = 4393;
const FRAMES = 150;
installChromium();
build();
const server = spawn('node', [join(root, 'scripts/serve.mjs')], { env: { ...process.env, PORT: String(PORT) } });
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({ executablePath: CHROMIUM, args: [...CHROMIUM_ARGS, '--disable-3d-apis'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript(() => {
  window.longTasks = [];
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.longTasks.push(duration);
  }).observe({ type: 'longtask' });
});
await page.goto(`http://localhost:${PORT}/shoot/first-flush/shot/shot-sorting`);
await page.getByText('Reads smoothly').first().waitFor();
await page.waitForTimeout(3000);
const session = await page.context().newCDPSession(page);
await session.send('Performance.enable');
const scriptS = async () =>
  (await session.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'ScriptDuration').value;
const frame = () => page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => resolve())));

/** Script a frame without a drag: what asking for frames costs by itself, and what goes on anyway. */
async function scriptMs(move) {
  await page.evaluate(() => (window.longTasks.length = 0));
  const from = await scriptS();
  for (let k = 0; k < FRAMES; k += 1) {
    await move(k);
    await frame();
  }
  const spent = ((await scriptS()) - from) * 1000;
  const long = await page.evaluate(() => window.longTasks);
  return { ms: spent / FRAMES, long };
}
const idle = await scriptMs(() => Promise.resolve());
for (const [what, name] of [
  ['the end of the path', 'Path end'],
  ['a piece', 'Sorting table'],
]) {
  const box = await page.getByRole('button', { name, exact: true }).boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const { ms, long } = await scriptMs((k) => page.mouse.move(x + 30 * Math.sin(k / 12), y + 20 * Math.sin(k / 9)));
  await page.mouse.up();
  await page.waitForTimeout(1500);
  console.log(
    `${`dragging ${what}: script a frame`.padEnd(50)} ${(ms - idle.ms).toFixed(2).padStart(8)} ms  ` +
      `${long.length} tasks over 50 ms${long.length ? `, the longest ${Math.max(...long).toFixed(0)} ms` : ''}`,
  );
}
await browser.close();
server.kill();
