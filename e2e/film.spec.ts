import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { ALL_FORMATS, BufferSource, EncodedPacketSink, Input } from 'mediabunny';
import { expect, test } from './fixtures';

test.setTimeout(180_000);

test('frames of all shots are drawn, those below the screen as well; a shot is taken away as video, and as pictures that its frames are like', async ({
  page,
}) => {
  await page.goto('/shoot/first-flush');
  await expect(page.locator('li img.drawn')).toHaveCount(await page.locator('li a.open').count());
  await page
    .getByRole('group', { name: 'More of this film' })
    .getByRole('button', { name: 'Take away', exact: true })
    .click();
  const away = page.getByRole('region', { name: 'Take away' });
  await away.getByLabel('What is taken away').selectOption({ label: '37 Whip off the table' });
  await away.getByLabel('How large').selectOption('640');
  await away.getByLabel('Kind of video').selectOption('webm');
  const take = async (name: string) => {
    const download = page.waitForEvent('download', { timeout: 90_000 });
    await away.getByRole('button', { name, exact: true }).click();
    return readFileSync(await (await download).path());
  };
  const video = await take('Video as');
  const input = new Input({ formats: ALL_FORMATS, source: new BufferSource(new Uint8Array(video)) });
  const track = await input.getPrimaryVideoTrack();
  expect([track?.displayWidth, track?.displayHeight]).toEqual([640, 360]);
  if (!track) return;
  const stamps: number[] = [];
  for await (const { timestamp } of new EncodedPacketSink(track).packets()) stamps.push(timestamp);
  // In the cut from 0.6 to 2 s, at 24 frames a second.
  expect(stamps).toHaveLength(34);
  expect(await input.computeDuration()).toBeCloseTo(34 / 24, 1);

  const stills = unzipSync(new Uint8Array(await take('Frames as PNG in a zip')));
  const [first] = Object.keys(stills);
  expect(Object.keys(stills)).toHaveLength(3);
  expect(first).toBe('037-whip-off-the-table-1-start.png');
  // An empty page may show what is handed to it.
  const other = await page.context().newPage();
  const apart = await other.evaluate(
    async ([film, still]) => {
      const pixels = async (source: HTMLVideoElement | HTMLImageElement) => {
        const paper = new OffscreenCanvas(64, 36).getContext('2d');
        paper?.drawImage(source, 0, 0, 64, 36);
        return paper?.getImageData(0, 0, 64, 36).data ?? new Uint8ClampedArray();
      };
      const image = new Image();
      image.src = `data:image/png;base64,${still}`;
      await image.decode();
      const shown = document.createElement('video');
      shown.src = `data:video/webm;base64,${film}`;
      await new Promise((resolve, reject) => {
        shown.onloadeddata = resolve;
        shown.onerror = reject;
      });
      const seen = new Promise((resolve) => shown.requestVideoFrameCallback(resolve));
      shown.currentTime = 0.01;
      await seen;
      const [a, b] = [await pixels(shown), await pixels(image)];
      return a.reduce((sum, value, i) => sum + Math.abs(value - b[i]), 0) / a.length;
    },
    [video.toString('base64'), Buffer.from(stills[first]).toString('base64')],
  );
  expect(apart).toBeLessThan(6);
  await other.close();

  // The film goes with a take: as stills of the screen, and measured as a clip of the camera.
  await page.goto('/shoot/first-flush/takes?shot=shot-cut-whip-off');
  await page.getByRole('button', { name: 'Take 1 counts the first take' }).click();
  const clip = { name: 'screen.webm', mimeType: 'video/webm', buffer: video };
  await page.getByLabel('A picture or a clip of the screen').setInputFiles(clip);
  const strip = page.getByRole('img', { name: 'Of this take' });
  await expect(strip).toBeVisible();
  const sheet = await strip.evaluate((image: HTMLImageElement) => image.naturalWidth / image.naturalHeight);
  // Four stills a row, two rows of them.
  expect(sheet).toBeCloseTo((4 * 16) / (2 * 9), 1);
  await page.getByRole('button', { name: 'Show large what is attached' }).click();
  await page.getByRole('button', { name: 'Remove the picture' }).click();
  await expect(strip).toHaveCount(0);
  await page.getByRole('button', { name: 'Measure its footage' }).click();
  await page.getByLabel('A clip', { exact: true }).setInputFiles(clip);
  await expect(page.getByText('“screen.webm” is with this take: 1.4 s, 640 × 360.')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('heading', { name: 'The clip by itself' })).toBeVisible();
  await expect(page.getByText(/At its fastest a thing crosses the picture in/)).toBeVisible();
});

test('a video is called off', async ({ page }) => {
  await page.goto('/shoot/first-flush');
  await page
    .getByRole('group', { name: 'More of this film' })
    .getByRole('button', { name: 'Take away', exact: true })
    .click();
  const away = page.getByRole('region', { name: 'Take away' });
  await away.getByRole('button', { name: 'Video as', exact: true }).click();
  await away.getByRole('button', { name: 'Call it off' }).click();
  await expect(away.getByText('The video was called off.')).toBeVisible({ timeout: 30_000 });
  await expect(away.getByRole('button', { name: 'Video as', exact: true })).toBeEnabled();
});

test('frames that were kept and cannot be shown are drawn anew', async ({ page }) => {
  /** Spoils every kept frame of this browser; how many there were. */
  const spoil = () =>
    page.evaluate(
      () =>
        new Promise<number>((resolve, reject) => {
          const opening = indexedDB.open('gentle-arc-frames');
          opening.onerror = () => reject(new Error('not opened'));
          opening.onsuccess = () => {
            const database = opening.result;
            const change = database.transaction('sheets', 'readwrite');
            const sheets = change.objectStore('sheets');
            let spoilt = 0;
            sheets.openCursor().onsuccess = ({ target }) => {
              const cursor = (target as IDBRequest<IDBCursorWithValue | null>).result;
              if (!cursor) return;
              spoilt += 1;
              cursor.update({ ...(cursor.value as object), picture: new Blob(['no picture'], { type: 'image/webp' }) });
              cursor.continue();
            };
            change.oncomplete = () => {
              database.close();
              resolve(spoilt);
            };
          };
        }),
    );
  await page.goto('/shoot/first-flush');
  const drawn = page.locator('li img.drawn');
  await expect(drawn.nth(3)).toBeAttached();
  // They are put away when there is nothing left to draw.
  await expect.poll(async () => (await spoil()) - (await drawn.count())).toBe(0);
  await page.reload();
  await expect(drawn.nth(3)).toBeAttached();
  const shown = await drawn.evaluateAll((pictures) => pictures.map((img) => (img as HTMLImageElement).naturalWidth));
  for (const width of shown) expect(width).toBeGreaterThan(100);
});

test('the plan of a shot is filmed, measured as a clip is, and comes out as it was foretold', async ({ page }) => {
  await page.goto('/shoot/first-flush/takes?shot=shot-cut-spin');
  await page.getByRole('button', { name: 'Footage', exact: true }).click();
  const film = page.getByRole('button', { name: 'Try it on our own film' });
  await film.click();
  await page.getByRole('button', { name: 'Call it off' }).click();
  await film.click();
  const said = page.getByRole('status').filter({ hasText: 'Of what was foretold this was measured' });
  await expect(said).toContainText('73 frames', { timeout: 150_000 });
  const whole = /whole picture moves ([\d.]+)%/.exec(await said.innerText())?.[1];
  expect(Math.abs(Number(whole) - 100)).toBeLessThan(2);
});
