import {
  BufferTarget,
  CanvasSource,
  getFirstEncodableVideoCodec,
  Mp4OutputFormat,
  Output,
  QUALITY_HIGH,
  WebMOutputFormat,
} from 'mediabunny';
import type { Shoot } from '@gentle-arc/core/model';
import { plannedFilm } from '@gentle-arc/core/motion';
import { sceneOf } from '@gentle-arc/core/scene';
import { PlanPicture } from '@gentle-arc/core/take';
import type { VideoQuestion } from './frames-messages';
import { FilmSheet } from './film-sheet';
import { spoiling } from './spoiling';

const CODECS = { webm: ['vp9', 'vp8', 'av1'], mp4: ['avc', 'hevc', 'vp9', 'av1'] } as const;
const TELL_EVERY = 4;
/** A frame that can be shown by itself, every so many seconds. */
const KEY_EVERY_S = 2;

/**
 * Writes frames of a shoot's shots as a video file. A sentence where this browser cannot; null when it was called off.
 * `goesOn`: whether it is still wanted.
 */
export async function writeVideo(
  shoot: Shoot,
  { format, widthPx, rateHz, frames, guides, words, spoilt }: VideoQuestion,
  software: boolean,
  onStep: (done: number, of: number) => void,
  goesOn: () => boolean,
): Promise<Blob | string | null> {
  if (!('VideoEncoder' in globalThis))
    return 'This browser cannot write video. Take the frames as a zip of pictures, or the cut as OpenTimelineIO.';
  const sheet = new FilmSheet(shoot, widthPx, software);
  const { width, height } = sheet.canvas;
  const spoiltShot = spoilt && shoot.shots.find(({ id }) => id === spoilt.shotId);
  const worse =
    spoilt && spoiltShot
      ? spoiling(new PlanPicture(plannedFilm(sceneOf(shoot, spoiltShot)), width).all(), spoilt)
      : null;
  try {
    const codec = await getFirstEncodableVideoCodec([...CODECS[format]], { width, height });
    if (!codec)
      return (
        `This browser cannot write ${format === 'mp4' ? 'MP4' : 'WebM'} at ${width} × ${height}: take the other format, ` +
        'or a smaller size.'
      );
    const target = new BufferTarget();
    const output = new Output({ format: format === 'mp4' ? new Mp4OutputFormat() : new WebMOutputFormat(), target });
    const source = new CanvasSource(sheet.canvas, { codec, bitrate: QUALITY_HIGH, keyFrameInterval: KEY_EVERY_S });
    output.addVideoTrack(source, { frameRate: rateHz });
    await output.start();
    for (const [k, frame] of frames.entries()) {
      sheet.lay(frame.shotId, frame.row);
      if (worse) sheet.spoil(worse, k);
      if (guides) sheet.guide();
      if (words) sheet.say(frame.words);
      await source.add(k / rateHz, 1 / rateHz);
      if (k % TELL_EVERY !== 0) continue;
      onStep(k, frames.length);
      // A word to call it off comes in.
      await new Promise((resolve) => setTimeout(resolve));
      if (goesOn()) continue;
      await output.cancel();
      return null;
    }
    await output.finalize();
    onStep(frames.length, frames.length);
    if (!target.buffer) return 'The video came out empty.';
    return new Blob([target.buffer], { type: format === 'mp4' ? 'video/mp4' : 'video/webm' });
  } finally {
    sheet.dispose();
  }
}
