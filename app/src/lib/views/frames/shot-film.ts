import { type Samples, sampleShot } from '@gentle-arc/core/motion';
import { type Around, aroundOf, sameAround, type Shoot, type Shot } from '@gentle-arc/core/model';
import { type Scene, sceneOf } from '@gentle-arc/core/scene';
import { Film } from '$lib/views/picture/film';

/** Compiled shots that are kept: neighbours in the film follow each other. */
const MOST_KEPT = 4;
const PLAIN = { lens: false, motion: false, tone: false };

/** Draws frames of a shoot's shots on one canvas, whatever shot each is of. */
export class ShotFilm {
  readonly canvas = new OffscreenCanvas(16, 16);
  private readonly film: Film;
  private readonly kept = new Map<Shot, { around: Around; scene: Scene; samples: Samples }>();

  /** `fine`: as a picture to be taken away; otherwise as cheap as can be where there is no graphics processor. */
  constructor(software: boolean, fine: boolean) {
    this.film = new Film(this.canvas, { software, simple: software && !fine, shadows: fine, dpr: 1, direct: true });
  }

  /** How high a frame of a delivery is for its width, px. */
  static heightOf({ delivery }: Pick<Shoot, 'delivery'>, widthPx: number): number {
    return Math.round((widthPx * delivery.heightPx) / delivery.widthPx);
  }

  /** Draws frames of a shot, the first at the top. */
  draw(shoot: Shoot, shot: Shot, rows: readonly number[], widthPx: number, dim: boolean): void {
    const { scene, samples } = this.compiled(shoot, shot);
    const size = { canvas: this.canvas, width: widthPx, height: ShotFilm.heightOf(shoot, widthPx) };
    this.film.setLook(dim, false);
    const views = rows.map((row) => ({ scene, samples, row: Math.min(row, samples.count - 1) }));
    this.film.show(
      views,
      views.map(() => size),
      PLAIN,
      false,
    );
  }

  /**
   * What was just drawn: red, green, blue and opacity of each pixel, the lowest row first. It is asked for at once and
   * fetched when it is there: what is drawn meanwhile changes nothing of it.
   */
  async pixels(): Promise<Uint8Array> {
    const { width, height } = this.canvas;
    const pixels = new Uint8Array(4 * width * height);
    const gl = this.canvas.getContext('webgl2');
    if (!gl || gl.isContextLost()) throw new RangeError('The browser’s graphics are gone.');
    const taken = gl.createBuffer();
    gl.bindBuffer(gl.PIXEL_PACK_BUFFER, taken);
    gl.bufferData(gl.PIXEL_PACK_BUFFER, pixels.length, gl.STREAM_READ);
    gl.readPixels(0, 0, width, height, gl.RGBA, gl.UNSIGNED_BYTE, 0);
    gl.bindBuffer(gl.PIXEL_PACK_BUFFER, null);
    await this.film.drawn();
    gl.bindBuffer(gl.PIXEL_PACK_BUFFER, taken);
    gl.getBufferSubData(gl.PIXEL_PACK_BUFFER, 0, pixels);
    gl.bindBuffer(gl.PIXEL_PACK_BUFFER, null);
    gl.deleteBuffer(taken);
    return pixels;
  }

  dispose(): void {
    this.film.dispose();
  }

  private compiled(shoot: Shoot, shot: Shot) {
    const known = this.kept.get(shot);
    if (known && sameAround(known.around, shoot)) return known;
    const scene = sceneOf(shoot, shot);
    const made = { around: aroundOf(shoot), scene, samples: sampleShot(scene) };
    this.kept.delete(shot);
    this.kept.set(shot, made);
    const [oldest] = this.kept.keys();
    if (this.kept.size > MOST_KEPT && oldest) this.kept.delete(oldest);
    return made;
  }
}
