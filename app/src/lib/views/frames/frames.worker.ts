import * as Comlink from 'comlink';
import { heardOut } from '$lib/workers/heard-out';
import { KeptShoot } from '$lib/workers/kept-shoot';
import { FramesQuestionSchema, type FramesWorker, StillsQuestionSchema, VideoQuestionSchema } from './frames-messages';
import { bitmapFile } from './bitmap-file';
import { ShotFilm } from './shot-film';

const kept = new KeptShoot();
let software = true;
let film: ShotFilm | null = null;
/** Counts what was begun: what was called off is not the latest any more. */
let work = 0;

const worker: FramesWorker = {
  sync: (patch) => kept.sync(patch),
  async start() {
    const gl = new OffscreenCanvas(1, 1).getContext('webgl2');
    if (!gl) return false;
    const info = gl.getExtension('WEBGL_debug_renderer_info');
    const renderer = info ? String(gl.getParameter(info.UNMASKED_RENDERER_WEBGL)) : '';
    gl.getExtension('WEBGL_lose_context')?.loseContext();
    software = /swiftshader|llvmpipe|software/i.test(renderer);
    return true;
  },
  async frames(message) {
    const { shotId, rows, widthPx, dim } = FramesQuestionSchema.parse(message);
    film ??= new ShotFilm(software, false);
    film.draw(kept.shoot, kept.shot(shotId), rows, widthPx, dim);
    const heightPx = film.canvas.height / rows.length;
    // Another question may be drawn meanwhile.
    return new Blob([bitmapFile(await film.pixels(), widthPx, heightPx, rows.length)], { type: 'image/bmp' });
  },
  video: (message, onStep) =>
    heardOut(onStep, async (tell) => {
      const question = VideoQuestionSchema.parse(message);
      work += 1;
      const number = work;
      const { writeVideo } = await import('./write-video');
      return writeVideo(kept.shoot, question, software, tell, () => number === work);
    }),
  stills: (message, onStep) =>
    heardOut(onStep, async (tell) => {
      const question = StillsQuestionSchema.parse(message);
      work += 1;
      const number = work;
      const { writeStills } = await import('./write-stills');
      return writeStills(kept.shoot, question, software, tell, () => number === work);
    }),
  async callOff() {
    work += 1;
  },
};

Comlink.expose(worker);
