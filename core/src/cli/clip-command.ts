import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { clipJson, readFramePng, Refusal } from '../formats';
import { ClipReader, clipSummary, openCvTracker } from '../take';

/** `arc clip`: the motion in a folder of numbered pictures, as a value to be printed. */
export async function clipCommand(folder: string, fps: string | undefined): Promise<unknown> {
  const frameRateHz = Number(fps ?? '25');
  if (!(frameRateHz >= 1 && frameRateHz <= 1000))
    throw Refusal.of('--fps', `--fps must be a number from 1 to 1000; it is "${fps}".`);
  const names = numberedPictures(folder);
  const tracker = await openCvTracker();
  const reader = new ClipReader(tracker);
  let widthPx = 0;
  try {
    names.forEach((name, i) => {
      const frame = readFramePng(readFileSync(join(folder, name)), name);
      widthPx = frame.fullWidthPx;
      try {
        reader.add(frame, i / frameRateHz);
      } catch (error) {
        if (error instanceof RangeError) throw Refusal.of(name, `${name}: ${error.message}`);
        throw error;
      }
    });
  } finally {
    tracker.close();
  }
  const frames = reader.frames();
  return clipJson(basename(folder), frames, clipSummary(frames, frameRateHz, widthPx));
}

/** PNG files of a folder in the order of the last number in their names. */
function numberedPictures(folder: string): string[] {
  let all: string[];
  try {
    all = readdirSync(folder);
  } catch (error) {
    throw Refusal.of('folder', `folder "${folder}" cannot be read (${(error as NodeJS.ErrnoException).code ?? ''}).`);
  }
  const rows = all
    .filter((name) => /\.png$/i.test(name))
    .map((name) => ({ name, number: Number(/(\d+)\D*$/.exec(name.replace(/\.png$/i, ''))?.[1] ?? NaN) }));
  const plain = rows.find(({ number }) => Number.isNaN(number));
  if (plain) throw Refusal.of('folder', `folder: ${plain.name} has no number in its name; number the frames.`);
  if (rows.length < 2)
    throw Refusal.of(
      'folder',
      `folder "${folder}" has ${rows.length === 1 ? 'one PNG' : 'no PNG'}; a clip needs at least two.`,
    );
  return rows.sort((a, b) => a.number - b.number || a.name.localeCompare(b.name)).map(({ name }) => name);
}
