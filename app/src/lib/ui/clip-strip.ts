import { smallPicture, type SmallPicture } from './small-picture';

/** Stills of a clip, row by row, each so wide. */
const STRIP = { across: 4, down: 2, stillPx: 320 } as const;
/** Larger files are not opened at all, MB. */
const MOST_MB = 500;

/**
 * A clip that a person made of a screen, as one picture small enough to be kept: stills at even times from its first to
 * its last, row by row. Gives a sentence where it cannot be taken.
 */
export async function clipStrip(file: File, most: number): Promise<SmallPicture | string> {
  const name = `“${file.name.slice(0, 60)}”`;
  if (file.size > MOST_MB * 1024 * 1024)
    return `${name} has ${Math.round(file.size / 1024 / 1024)} MB; clips of a screen of up to ${MOST_MB} MB are taken.`;
  if (!('VideoDecoder' in globalThis)) return 'This browser cannot read the pictures of a video: attach a picture.';
  const { ALL_FORMATS, BlobSource, CanvasSink, Input } = await import('mediabunny');
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  try {
    const track = await input.getPrimaryVideoTrack();
    if (!track || !(await track.canDecode()))
      return `${name} is no video that this browser can read; attach a picture of the screen.`;
    if (await track.canBeTransparent())
      return `${name} carries see-through parts, which cannot be read here; export it without them.`;
    const [firstS, lastS] = [await track.getFirstTimestamp(), await track.computeDuration()];
    const { across, down, stillPx } = STRIP;
    const count = across * down;
    const heightPx = Math.max(1, Math.round((stillPx * track.displayHeight) / track.displayWidth));
    const canvas = new OffscreenCanvas(across * stillPx, down * heightPx);
    const paper = canvas.getContext('2d');
    if (!paper) return 'This browser gives no sheet to draw the clip on.';
    // Just before the end: at the end itself there is no picture any more.
    const times = Array.from({ length: count }, (_, i) => firstS + ((lastS - firstS) * (i + 0.02)) / (count - 0.9));
    const sink = new CanvasSink(track, { width: stillPx, height: heightPx, fit: 'fill' });
    let i = 0;
    for await (const still of sink.canvasesAtTimestamps(times)) {
      if (still) paper.drawImage(still.canvas, (i % across) * stillPx, Math.floor(i / across) * heightPx);
      i += 1;
    }
    const png = await canvas.convertToBlob({ type: 'image/png' });
    return await smallPicture(new File([png], file.name, { type: 'image/png' }), most);
  } catch (error) {
    return `${name} could not be read (${(error as Error).message.slice(0, 120)}); attach a picture of the screen.`;
  } finally {
    input.dispose();
  }
}
