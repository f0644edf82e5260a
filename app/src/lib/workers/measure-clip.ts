import { ALL_FORMATS, BlobSource, Input, VideoSampleSink } from 'mediabunny';
import type { Clip } from '@gentle-arc/core/model';
import type { Film } from '@gentle-arc/core/motion';
import {
  ClipReader,
  clipSummary,
  measuredByPlan,
  numbersAsFilmed,
  openCvTracker,
  PlanPicture,
} from '@gentle-arc/core/take';
import type { ClipQuestion, MeasuredClip } from './clip-messages';
import { ClipPictures } from './clip-pictures';

/** Longer clips are measured at fewer pictures a second, so that an hour of film is over before the day is. */
const MOST_FRAMES = 30_000;
const MOST_KEPT = 2400;

/**
 * Reads a video picture by picture and follows what moves in it; of a long one no more is kept than of one of some
 * minutes. A sentence where this browser cannot read it. `film`: of the shot it is a clip of.
 */
export async function measureClip(
  { file, name, own }: ClipQuestion,
  film: Film,
  onStep: (share: number) => void,
): Promise<MeasuredClip | string> {
  const began = performance.now();
  const said = `“${name.slice(0, 60)}”`;
  if (!('VideoDecoder' in globalThis)) return 'This browser cannot read the pictures of a video.';
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  try {
    const track = await input.getPrimaryVideoTrack().catch(() => null);
    if (!track) return `${said} is no video that can be read here; export it as MP4 or WebM.`;
    if (!(await track.canDecode()))
      return `${said} is written in a way this browser cannot read; export it as H.264 or VP9.`;
    if (await track.canBeTransparent())
      return `${said} carries see-through parts, which cannot be read here; export it without them.`;
    const { averagePacketRate } = await track.computePacketStats(200);
    const durationS = await input.computeDuration();
    const frameRateHz = Math.min(1000, Math.max(1, averagePacketRate));
    const every = Math.max(1, Math.ceil((durationS * frameRateHz) / MOST_FRAMES));
    const tracker = await openCvTracker();
    const plan = new PlanPicture(film, track.displayWidth);
    const reader = new ClipReader(tracker);
    const pictures = new ClipPictures(track.displayWidth, track.displayHeight);
    let [seen, firstS] = [0, 0];
    try {
      for await (const sample of new VideoSampleSink(track).samples()) {
        try {
          seen += 1;
          if ((seen - 1) % every !== 0) continue;
          if (reader.count === 0) firstS = sample.timestamp;
          const grey = await pictures.greyOf(sample);
          if (!grey) return 'This browser gives no sheet to draw the video on.';
          reader.add(grey, sample.timestamp - firstS);
          if (reader.count % 10 === 0) onStep(durationS > 0 ? Math.min(1, sample.timestamp / durationS) : 0);
        } finally {
          sample.close();
        }
      }
    } finally {
      tracker.close();
    }
    if (reader.count < 2)
      return `${said} has ${reader.count === 1 ? 'one picture' : 'no pictures'}: nothing moves in it.`;
    const { frames, followed } = measuredByPlan(plan, reader, own);
    const rateHz = frameRateHz / every;
    const summary = clipSummary(frames, rateHz, track.displayWidth);
    const step = Math.max(1, Math.ceil(frames.length / MOST_KEPT));
    const column = (key: 'rightwards' | 'upwards' | 'turnDegps' | 'growthPerS', digits: number, most: number) =>
      frames
        .filter((_, i) => i % step === 0)
        .map((frame) => Number(Math.min(most, Math.max(-most, frame[key])).toFixed(digits)));
    const clip: Clip = {
      name: name.slice(0, 200),
      frameRateHz,
      durationS: Math.min(100_000, Math.max(0, durationS)),
      widthPx: track.displayWidth,
      heightPx: track.displayHeight,
      rateHz: rateHz / step,
      rightwards: column('rightwards', 4, 100),
      upwards: column('upwards', 4, 100),
      turnDegps: column('turnDegps', 2, 10_000),
      growthPerS: column('growthPerS', 4, 100),
      near: layer(frames, 'near', step),
      far: layer(frames, 'far', step),
      followed: [...followed],
    };
    onStep(1);
    const lastS = frames[frames.length - 1].tS;
    const onScreenS = (share: number) => share * lastS;
    const tookS = (performance.now() - began) / 1000;
    return {
      clip,
      summary,
      tookS,
      asFilmed: own ? numbersAsFilmed(plan.ofFollowed(clip.followed, onScreenS), frames) : null,
    };
  } catch (error) {
    return `${said} could not be read to its end (${(error as Error).message.slice(0, 120)}).`;
  } finally {
    input.dispose();
  }
}

/** A layer’s speed; 0 where nothing was seen of it. */
const layer = (frames: readonly { near: number; far: number }[], key: 'near' | 'far', step: number): number[] =>
  frames.filter((_, i) => i % step === 0).map((frame) => Number((frame[key] || 0).toFixed(4)));
