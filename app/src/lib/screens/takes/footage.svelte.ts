import type { Shoot, Shot } from '@gentle-arc/core/model';
import { plannedFilm } from '@gentle-arc/core/motion';
import { sceneOf } from '@gentle-arc/core/scene';
import type { ShotFrames } from '$lib/views/frames/shot-frames.svelte';
import type { MeasuredClip } from '$lib/workers/clip-messages';
import type { LiveClip } from '$lib/workers/live-clip.svelte';

/** What our own film is made worse by before it is compressed: noise of a small sensor, and a shutter that rolls. */
const SPOILT = { noise: 0.03, rollingS: 0.012 } as const;
const FILMED_WIDTH_PX = 640;
/** Longer shots are not filmed: it would take minutes. */
const MOST_FILMED_S = 20;

/** What of a clip is being looked at; and the measuring tried on a film of our own. */
export class Footage {
  said: string | null = $state(null);
  /** What the clip just measured comes to; of older ones only their motion is kept. */
  measured = $state.raw<{ takeId: string; found: MeasuredClip } | null>(null);
  /** Our own film: being drawn, or measured; and what came of it. */
  filming = $state.raw<{ done: number; of: number } | null>(null);
  tried = $state.raw<{ shotId: string; found: MeasuredClip } | null>(null);

  constructor(private readonly live: LiveClip) {}

  /** Films a plan, measures the film, and holds it against what the plan foretells. */
  async tryOnOwnFilm(shoot: Shoot, shot: Shot, frames: ShotFrames): Promise<void> {
    this.said = null;
    this.tried = null;
    this.filming = { done: 0, of: 1 };
    try {
      const film = plannedFilm(sceneOf(shoot, shot));
      const { frameRateHz, count } = film.samples;
      if (count > MOST_FILMED_S * frameRateHz) {
        const lasts = Math.round(count / frameRateHz);
        this.said = `This shot lasts ${lasts} s on screen; try it on one of up to ${MOST_FILMED_S} s.`;
        return;
      }
      const made = await frames.video(
        shoot,
        {
          format: 'webm',
          widthPx: FILMED_WIDTH_PX,
          rateHz: frameRateHz,
          guides: false,
          words: false,
          spoilt: { shotId: shot.id, ...SPOILT },
          frames: Array.from({ length: count }, (_, row) => ({ shotId: shot.id, row, words: '' })),
        },
        (done, of) => (this.filming = { done, of }),
      );
      if (!(made instanceof Blob)) {
        this.said = made ?? 'Filming was called off.';
        return;
      }
      const found = await this.live.measure(shoot, {
        file: made,
        name: `${shot.name}, our own film`,
        shotId: shot.id,
        own: true,
      });
      if (typeof found === 'string') this.said = found;
      else this.tried = { shotId: shot.id, found };
    } catch (error) {
      this.said = (error as Error).message;
    } finally {
      this.filming = null;
    }
  }
}
