import { drawnView, Film, type Paper, type View } from './film';
import { KeptScene } from './kept-scene';
import type { ShowMessage } from './picture-messages';

/** At rest it is drawn finely after so long, ms; a few looks at a time, so that a new word is heard. */
const REST_MS = 200;
/** While it plays or something is dragged each frame may take so long, ms: sixteen a second. */
const MOVING_MS = 60;
/** While something is dragged the page wants the processor, too: the next one waits as long. */
const DRAGGED_APART_MS = 58;
const COARSEST = 0.3;
/** By so much coarser, and finer again where there is room. */
const COARSER = 0.8;
const FINER = 1.06;
/** It is drawn in steps of as much: another size costs about a picture. */
const stepOf = (scale: number): number =>
  Math.max(COARSEST, COARSER ** Math.ceil(Math.log(scale) / Math.log(COARSER) - 1e-9));
/** What comes sooner than this after the frame before is one of many, ms. */
const HURRY_MS = 250;

/** Draws pictures on sheets that the page has given away: its own thread, whatever the page does meanwhile. */
export class PictureDesk {
  private readonly sheets = new Map<string, OffscreenCanvas>();
  private readonly kept = new Map<string, KeptScene>();
  private film: Film | null = null;
  private shown: { names: string[]; views: View[]; papers: Paper[]; message: ShowMessage } | null = null;
  private rest: ReturnType<typeof setTimeout> | undefined;
  /** Pixels drawn for each of a finely drawn picture while it plays: what this machine can hold. */
  private finest = 1;
  private lastMs = -Infinity;
  /** A look at rest that is being drawn. */
  private underWay: Promise<void> | undefined;

  constructor(private readonly options: { many: boolean; dpr: number; software: boolean }) {}

  put(name: string, canvas: OffscreenCanvas): void {
    this.sheets.set(name, canvas);
  }

  drop(name: string): void {
    this.sheets.delete(name);
    this.kept.delete(name);
  }

  /** Draws what is asked for; resolves when it is drawn, to how long that took, ms. */
  async show(message: ShowMessage): Promise<number> {
    const askedMs = performance.now();
    clearTimeout(this.rest);
    for (const { name, scene } of message.views) {
      const kept = this.kept.get(name) ?? new KeptScene();
      this.kept.set(name, kept);
      if (scene) kept.take(scene);
    }
    const names: string[] = [];
    const views: View[] = [];
    const papers: Paper[] = [];
    for (const { name, row, width, height, live } of message.views) {
      const [canvas, kept] = [this.sheets.get(name), this.kept.get(name)];
      if (!canvas || !kept?.scene || !kept.samples) continue;
      names.push(name);
      views.push(
        drawnView({ scene: kept.scene, samples: kept.samples, row: Math.min(row, kept.samples.count - 1), live }),
      );
      papers.push({ canvas, width, height });
    }
    this.shown = { names, views, papers, message };
    if (views.length === 0) return 0;
    // What follows at once upon another one is one of a drag or of a film, too.
    const hurried = this.options.software && (message.playing || message.held || askedMs - this.lastMs < HURRY_MS);
    // A look at rest that is on its way says nothing about what this one takes.
    await this.underWay;
    const fromMs = performance.now();
    const film = this.filmFor(papers);
    film.setLook(message.dim, message.tint);
    const moving = message.playing || hurried;
    const more = film.show(views, papers, message.blur, message.playing, moving ? stepOf(this.finest) : 1, hurried);
    await film.drawn();
    this.lastMs = performance.now();
    const tookMs = this.lastMs - fromMs;
    if (moving) this.hold(tookMs, message.pageWaits);
    if (hurried && !message.playing) await new Promise((resolve) => setTimeout(resolve, DRAGGED_APART_MS - tookMs));
    this.later(() => (hurried ? this.settle() : this.refine(more)), REST_MS);
    return tookMs;
  }

  /** Draws on when nothing new has come so long. What goes wrong is told as if it had been asked for. */
  private later(draw: () => Promise<void>, afterMs = 0): void {
    this.rest = setTimeout(() => void draw().catch(reportError), afterMs);
  }

  /**
   * Draws a step of the picture that is shown, and then the next: not before the first is there, for what a hand asks
   * for meanwhile has to wait until all is drawn that was asked for.
   */
  private async step(draw: () => boolean): Promise<void> {
    const { film, shown } = this;
    const more = draw();
    await (this.underWay = film?.drawn());
    if (this.shown === shown) this.later(() => this.refine(more));
  }

  /** Nothing new has come: what was drawn in a hurry is drawn as it should be, then ever finer. */
  private async settle(): Promise<void> {
    const { film, shown } = this;
    if (!film || !shown || shown.message.playing) return;
    await this.step(() => film.show(shown.views, shown.papers, shown.message.blur, false));
  }

  async still(name: string, widthPx: number): Promise<Blob> {
    const { shown } = this;
    const index = shown?.names.indexOf(name) ?? -1;
    if (!shown || index < 0) throw new RangeError('There is no picture to take.');
    const { delivery } = shown.views[index].scene;
    const size = { width: widthPx, height: Math.round((widthPx * delivery.heightPx) / delivery.widthPx) };
    const canvas = new OffscreenCanvas(size.width, size.height);
    const film = new Film(canvas, {
      software: false,
      simple: false,
      shadows: true,
      dpr: 1,
      direct: true,
    });
    try {
      film.setLook(shown.message.dim, shown.message.tint);
      if (film.show([shown.views[index]], [{ canvas, ...size }], shown.message.blur, false)) film.refine(Infinity);
      return await canvas.convertToBlob({ type: 'image/png' });
    } finally {
      film.dispose();
    }
  }

  /** One sheet is drawn on by itself; several are drawn one after the other and handed out. */
  private filmFor(papers: readonly Paper[]): Film {
    const { many, dpr, software } = this.options;
    const simple = many && software;
    this.film ??= new Film(many ? new OffscreenCanvas(1, 1) : papers[0].canvas, {
      software,
      simple,
      shadows: !many,
      dpr: Math.min(dpr, simple ? 1 : 2),
      direct: !many,
    });
    return this.film;
  }

  /** Coarser where a frame takes too long or the page waits for it, finer again where there is room. */
  private hold(tookMs: number, pageWaits: boolean): void {
    if (tookMs > MOVING_MS || pageWaits) this.finest = Math.max(COARSEST, this.finest * COARSER);
    else if (tookMs < MOVING_MS * 0.8) this.finest = Math.min(1, this.finest * FINER);
  }

  /** A few looks more; when there are enough, time to get ready for what moves. */
  private async refine(more: boolean): Promise<void> {
    const { film, shown } = this;
    if (!film) return;
    if (more) return this.step(() => film.refine());
    if (shown?.message.playing) return;
    film.getReady();
    await (this.underWay = film.drawn());
  }
}
