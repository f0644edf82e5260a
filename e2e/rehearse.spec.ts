import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { middleOf, under } from './helpers';

const REHEARSE = (shot: string) => `/shoot/first-flush/shot/${shot}/rehearse`;

/** Where sounds begin in a WAV, s: after a hundredth of silence it is loud again. */
function onsetsIn(file: string): number[] {
  const bytes = readFileSync(file);
  const rateHz = bytes.readUInt32LE(24);
  const found: number[] = [];
  let quiet = rateHz;
  for (let i = 0; 44 + i * 2 + 1 < bytes.length; i += 1) {
    const loud = Math.abs(bytes.readInt16LE(44 + i * 2)) > 300;
    if (loud && quiet > rateHz * 0.01) found.push(i / rateHz);
    quiet = loud ? 0 : quiet + 1;
  }
  return found;
}

test('a shot is led to from its header, counted by a press, slowly first, and goes back to one by itself', async ({
  page,
}) => {
  await page.goto('/shoot/first-flush/shot/shot-rows');
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/count First light/);
  await page.getByLabel('Back to one takes').fill('0');
  await page.getByLabel('Back to one takes').press('Enter');
  await page.getByRole('button', { name: 'Count it' }).click();
  await expect(page.getByRole('img', { name: /^(three|two|one), counting in/ })).toBeVisible();
  await expect(page.getByText('Time 1, at 50% of the speed')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Ease in/ })).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Ready/ })).toBeVisible();
});

test('clicks come within 5 ms of the plan: worked out by an offline audio context and kept as a sound', async ({
  page,
}) => {
  await page.goto(REHEARSE('shot-rows'));
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Keep the count as a sound (WAV)' }).click();
  const onsets = onsetsIn(await (await waiting).path());
  // The slide holds half a second, is counted in for three seconds, and beats once a second from where it sets off.
  const startS = 0.5 + 3;
  for (const dueS of [0, 1, 2, 3, startS, startS + 1, startS + 3, startS + 4, startS + 6, startS + 7])
    expect(Math.min(...onsets.map((at) => Math.abs(at - dueS)))).toBeLessThan(0.005);
  await page.getByLabel('Beats a minute (0: as the shot steps)').fill('120');
  await page.getByLabel('Beats a minute (0: as the shot steps)').press('Enter');
  await expect(page.getByText('The beat is 120 a minute, as typed.')).toBeVisible();
});

test('marks of a rail are corrected for where the helper’s eye is, and are printed on one sheet', async ({ page }) => {
  await page.goto(REHEARSE('shot-rows'));
  await under(page, 'Marks');
  const end = page.getByRole('region', { name: 'Rail' }).getByRole('row', { name: /End 1\.05 m/ });
  // 20 mm off the scale, 1.5 m away, the eye at the start: 1.05 / (1 − 0.02 / 1.5).
  await expect(end).toContainText('1.064 m');
  await page.getByLabel('Pointer stands off its scale').fill('0');
  await page.getByLabel('Pointer stands off its scale').press('Enter');
  await expect(end).toContainText('1.05 m');
  await expect(end).not.toContainText('1.064 m');
  await page.evaluate(() => {
    window.print = () => undefined;
  });
  await page.getByRole('button', { name: 'Print the sheet' }).click();
  await expect
    .poll(() => page.evaluate(() => document.querySelector('iframe')?.contentDocument?.body.textContent ?? ''))
    .toMatch(/On the rail.*Seen from the helper.*In the frame.*What is called/);
});

test('too much for one pair of hands is said, an easier way that was tried is taken, and comes back with undo', async ({
  page,
}) => {
  await page.goto(REHEARSE('shot-jib'));
  await under(page, 'Hands');
  await expect(page.getByText(/One pair of hands does not do it/)).toBeVisible();
  const ways = page.getByRole('region', { name: 'Hands' }).getByRole('button', { name: /^Take it/ });
  await expect(ways.first()).toBeVisible();
  await ways.first().click();
  await expect(page.getByText('One pair of hands does it.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText(/One pair of hands does not do it/)).toBeVisible();
});

test('sticks lie as the layout has them, and a joystick is set on the scale that was measured once', async ({
  page,
}) => {
  await page.goto(REHEARSE('shot-edge'));
  await under(page, 'Hands');
  await expect(page.getByText('Right stick, forward and back')).toBeVisible();
  await page.getByLabel('Sticks', { exact: true }).selectOption('1');
  await expect(page.getByText('Left stick, forward and back')).toBeVisible();
  await page.goto(REHEARSE('shot-sorting'));
  await under(page, 'Hands');
  await expect(page.getByText(/speed 18, smoothing 100/)).toBeVisible();
  await page.getByLabel('A full turn then takes').fill('16');
  await page.getByLabel('A full turn then takes').press('Enter');
  await expect(page.getByText(/speed 35, smoothing 100/)).toBeVisible();
});

test('how to hold and step is offered for what the shot does', async ({ page }) => {
  await page.goto(REHEARSE('shot-follow'));
  await under(page, 'Hold');
  await expect(page.getByRole('heading', { name: 'Heel to toe' })).toBeVisible();
  await expect(page.getByText(/Because it walks/).first()).toBeVisible();
});

/** A gamepad of the tests’ own, at the browser’s border. */
async function withGamepad(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const state = window as unknown as { padAxes: number[] };
    state.padAxes = [0, 0, 0, 0];
    Object.defineProperty(navigator, 'getGamepads', {
      value: () => [
        {
          id: 'Test pad',
          connected: true,
          axes: state.padAxes,
          buttons: Array.from({ length: 12 }, () => ({ pressed: false, value: 0 })),
        },
      ],
    });
  });
}

test('a gamepad leads an exercise; the try is scored, kept, played beside the plan, and counts as progress', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await withGamepad(page);
  await page.goto(REHEARSE('shot-rows'));
  await under(page, 'Course');
  await expect(page.getByText(/“One motion”: best 62, passed from 70/)).toBeVisible();
  await page.getByRole('button', { name: 'A try', exact: true }).click();
  await expect(page.getByText('the gamepad is heard')).toBeVisible();
  // The right stick forward while it is to go, and let go before the end.
  await expect(page.getByText(/^[1-3]\.\d of 10 s/)).toBeVisible();
  await page.evaluate(() => ((window as unknown as { padAxes: number[] }).padAxes = [0, 0, 0, -0.6]));
  await expect(page.getByText(/^[7-9]\.\d of 10 s/)).toBeVisible();
  await page.evaluate(() => ((window as unknown as { padAxes: number[] }).padAxes = [0, 0, 0, 0]));
  const score = page.getByRole('region', { name: 'Practise' }).getByRole('status');
  await expect(score).toContainText('of 100');
  await expect(score).toContainText('Timing');
  await page.getByRole('button', { name: 'Keep this try' }).click();
  await expect(page.getByRole('button', { name: 'Kept' })).toBeDisabled();
  await page.getByRole('button', { name: 'Play it beside the plan' }).click();
  await expect(page.getByRole('heading', { name: 'One motion: the plan and the try' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to practice' }).click();
  await page.getByRole('button', { name: 'All of the course' }).click();
  await expect(page.getByRole('button', { name: /^One motion 3 tries/ })).toBeVisible();
  await page.reload();
  await under(page, 'Course');
  await expect(page.getByRole('button', { name: /^One motion 3 tries/ })).toBeVisible();
  await page.getByRole('button', { name: /^One motion 3 tries/ }).click();
  await page
    .getByRole('button', { name: /^Remove the try/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^One motion 2 tries/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: /^One motion 3 tries/ })).toBeVisible();
});

test('keys push a carriage and a hand that does nothing is told so', async ({ page }) => {
  test.setTimeout(90_000);
  await page.goto(REHEARSE('shot-rows'));
  await under(page, 'Practise');
  await expect(page.getByText(/Probably \d+, as usual/)).toBeVisible();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByText(/^\d\.?\d? of 8 s/)).toBeVisible();
  await page.keyboard.down('ArrowRight');
  await expect(page.getByRole('img', { name: /^Carriage, 0\.\d+ m of 1\.05 m/ })).toBeVisible();
  await page.keyboard.up('ArrowRight');
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Carriage, 0 m of 1.05 m' })).toBeVisible();
  // Its own try: nobody touches it.
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const score = page.getByRole('region', { name: 'Practise' }).getByRole('status');
  await expect(score).toContainText(/It never set off|Only 0% of the way/, { timeout: 30_000 });
  await page.getByRole('button', { name: /^Reckon with \d+ in the day/ }).click();
  await expect(page.getByText('The day reckons with them.')).toBeVisible();
});

test('a sled is balanced by looking: each move counts, and it is worth what it took', async ({ page }) => {
  await page.goto(REHEARSE('shot-rows'));
  await under(page, 'Course');
  await page.getByRole('button', { name: /^A motor gimbal balanced/ }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  // Each axis is slid the way it falls until it holds: what hands do.
  const PLATES = ['Camera plate forward', 'Camera plate up', 'Cage to the right', 'Roll arm forward'];
  await page.getByRole('button', { name: '1 mm', exact: true }).click();
  const axes = page.getByRole('list').filter({ hasText: 'tilt, fore and aft' }).getByRole('listitem');
  for (const [i, plate] of PLATES.entries())
    for (let k = 0; k < 16; k += 1) {
      const look = page.getByRole('button', { name: 'Look', exact: true });
      if ((await look.count()) === 0) break;
      await look.click();
      if ((await look.count()) === 0) break;
      const said = await axes.nth(i).innerText();
      if (said.includes('stays where')) break;
      const back = /The lens falls|falls back over|The right side|swings down/.test(said);
      await page.getByRole('button', { name: `${plate}, ${back ? 'less' : 'more'}` }).click();
    }
  await expect(page.getByText('It holds on all axes')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the course' }).click();
  await expect(page.getByRole('button', { name: /^A motor gimbal balanced 1 try/ })).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a finger leads a stick, which springs back when it lets go', async ({ page }) => {
    test.setTimeout(90_000);
    await page.goto(REHEARSE('shot-sorting'));
    await under(page, 'Practise');
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(page.getByText(/^0\.\d of 14 s/)).toBeVisible();
    const stick = page.getByRole('img', { name: 'Joystick' });
    const knob = stick.locator('.knob');
    const { x, y } = await middleOf(stick);
    const session = await page.context().newCDPSession(page);
    await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] });
    await session.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [{ x: x + 30, y }] });
    await expect.poll(() => knob.evaluate((element) => Number.parseFloat(element.style.left))).toBeGreaterThan(65);
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await expect.poll(() => knob.evaluate((element) => Number.parseFloat(element.style.left))).toBeCloseTo(50, 0);
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
  });
});
