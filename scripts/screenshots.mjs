// Takes the pictures in docs/screenshots from the demo, at a desk's and a phone's size: all, or those that are named.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { chromium } from 'playwright-core';
import { build, CHROMIUM, CHROMIUM_ARGS, installChromium, installPackages, root } from './prepare.mjs';

const PORT = 4392;
const SHOT = '/shoot/first-flush/shot';
const VIEWS = [
  { name: 'home', path: '/' },
  { name: 'shots', path: '/shoot/first-flush', press: [/^Join: The yard tips over/], restMs: 5000 },
  { name: 'day', path: '/shoot/first-flush/day', restMs: 4000 },
  { name: 'day-phone', path: '/shoot/first-flush/day', phone: true, restMs: 4000 },
  { name: 'rehearse', path: `${SHOT}/shot-lane/rehearse`, press: ['Count it'], restMs: 5200 },
  { name: 'rehearse-practise', path: `${SHOT}/shot-helix/rehearse`, press: ['Practise', 'Start'], restMs: 4600 },
  { name: 'takes', path: '/shoot/first-flush/takes?shot=shot-rows', press: [/^Take 1/, 'What moved'], restMs: 5000 },
  { name: 'takes-phone', path: '/shoot/first-flush/takes?shot=shot-rows', phone: true, restMs: 1500 },
  { name: 'move-calm', path: `${SHOT}/shot-rows`, atS: 2.6 },
  { name: 'move-choose', path: `${SHOT}/shot-sorting`, atS: 5, press: ['Arc', 'Hide and show'] },
  { name: 'move-jolt', path: `${SHOT}/shot-leaves`, atS: 2 },
  { name: 'scout', path: '/shoot/first-flush/scout?shot=shot-sorting', forward: 60 },
  {
    name: 'side-by-side',
    path: `${SHOT}/shot-leaves`,
    press: ['Try a second way', /^Feather the stop over/, 'Side by side'],
    atS: 0.1,
    afterS: 5.9,
  },
  { name: 'kit', path: '/shoot/first-flush/kit?build=build-sled-zoom' },
  { name: 'move-light', path: `${SHOT}/shot-rows`, atS: 3, press: ['Light'] },
  { name: 'lens', path: `${SHOT}/shot-sorting/lens`, forward: 100 },
  { name: 'lens-bench', path: `${SHOT}/shot-overtake/lens`, at: 'Focus' },
  { name: 'move-carried', path: `${SHOT}/shot-bar`, atS: 3 },
  { name: 'move-phone', path: `${SHOT}/shot-leaves`, atS: 2, phone: true },
];

const wanted = process.argv.slice(2);
await installPackages();
await installChromium();
await build();
const server = spawn('node', [join(root, 'scripts/serve.mjs')], { env: { ...process.env, PORT: String(PORT) } });
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: CHROMIUM_ARGS,
});
for (const { name, path, restMs, atS, dim, phone, press, open, afterS, forward, at, look } of VIEWS.filter(
  ({ name }) => wanted.length === 0 || wanted.includes(name),
)) {
  const context = await browser.newContext({
    viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    hasTouch: Boolean(phone),
    isMobile: Boolean(phone),
  });
  const page = await context.newPage();
  const preferences = JSON.stringify({ ...(dim ? { light: 'dim' } : {}), ...look });
  await page.addInitScript((kept) => localStorage.setItem('gentle-arc-preferences', kept), preferences);
  await page.goto(`http://localhost:${PORT}${path}`);
  if (atS !== undefined) {
    await page.locator('figure canvas').waitFor();
    await page.getByRole('region', { name: 'Verdict' }).getByRole('heading').waitFor();
    await page.waitForTimeout(1500);
    await page.keyboard.press('Home');
    for (let frame = 0; frame < Math.round(atS * 24); frame += 1) await page.keyboard.press('ArrowRight');
  }
  if (forward) await page.waitForTimeout(4000);
  for (let frame = 0; frame < (forward ?? 0); frame += 1) await page.keyboard.press('ArrowRight');
  for (const button of press ?? []) await page.getByRole('button', { name: button }).first().click();
  for (const text of open ?? []) {
    await page.getByText(text).click();
    await page.getByText(text).evaluate((summary) => summary.scrollIntoView({ block: 'start' }));
  }
  for (let frame = 0; frame < Math.round((afterS ?? 0) * 24); frame += 1) await page.keyboard.press('ArrowRight');
  if (at) {
    await page.waitForTimeout(3000);
    await page.getByRole('region', { name: at }).evaluate((section) => section.scrollIntoView({ block: 'start' }));
  }
  await page.waitForTimeout(restMs ?? 3500);
  await page.screenshot({ path: join(root, `docs/screenshots/${name}.png`) });
  await context.close();
}
await browser.close();
server.kill();
