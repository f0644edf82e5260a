import type { Piece } from '@gentle-arc/core/model';
import { type Samples, sampleShot, withBody } from '@gentle-arc/core/motion';
import { type Scene, sceneFrom } from '@gentle-arc/core/scene';
import { Film, type Paper, type View } from './film';
import type { SceneMessage, ShowMessage } from './picture-messages';

/** What a sheet shows, kept from message to message: what is the same stays the same object. */
class Kept {
  private pieces: readonly Piece[] = [];
  private byId = new Map<string, Piece>();
  scene: Scene | null = null;
  samples: Samples | null = null;

  take({ setup, order, rows, body }: SceneMessage): void {
    for (const row of rows) this.byId.set(row.id, row);
    const pieces = order.flatMap((id) => this.byId.get(id) ?? []);
    const same = pieces.length === this.pieces.length && pieces.every((piece, i) => piece === this.pieces[i]);
    if (!same) {
      this.pieces = pieces;
      this.byId = new Map(pieces.map((piece) => [piece.id, piece]));
    }
    const before = this.scene;
    const as = <T>(was: T | undefined, is: T): T =>
      was !== undefined && JSON.stringify(was) === JSON.stringify(is) ? was : is;
    const { subjectId, ...rest } = setup;
    const shot = {
      ...rest.shot,
      walks: as(before?.shot.walks, rest.shot.walks),
      light: as(before?.shot.light, rest.shot.light),
    };
    this.scene = sceneFrom({
      ...rest,
      shot,
      place: as(before?.place, rest.place),
      pieces: this.pieces,
      subject: this.pieces.find(({ id }) => id === subjectId) ?? null,
      underlays: [],
    });
    const samples = sampleShot(this.scene);
    this.samples = body ? withBody(samples) : samples;
  }
}

/** At rest it is drawn finely after so long, ms; a few looks at a time, so that a new word is heard. */
const REST_MS = 200;
/** While it plays each frame may take so long, ms: twenty a second and some room. */
const PLAYED_MS = 42;
const COARSEST = 0.3;

/** Draws pictures on sheets that the page has given away: its own thread, whatever the page does meanwhile. */
export class PictureDesk {
  private readonly sheets = new Map<string, OffscreenCanvas>();
  private readonly kept = new Map<string, Kept>();
  private film: Film | null = null;
  private shown: { names: string[]; views: View[]; papers: Paper[]; message: ShowMessage } | null = null;
  private rest: ReturnType<typeof setTimeout> | undefined;
  /** Pixels drawn for each of a finely drawn picture while it plays: what this machine can hold. */
  private finest = 1;

  constructor(private readonly options: { many: boolean; dpr: number; software: boolean }) {}

  put(name: string, canvas: OffscreenCanvas): void {
    this.sheets.set(name, canvas);
  }

  drop(name: string): void {
    this.sheets.delete(name);
    this.kept.delete(name);
  }

  show(message: ShowMessage): number {
    const from = performance.now();
    clearTimeout(this.rest);
    for (const { name, scene } of message.views) {
      const kept = this.kept.get(name) ?? new Kept();
      this.kept.set(name, kept);
      if (scene) kept.take(scene);
    }
    const names: string[] = [];
    const views: View[] = [];
    const papers: Paper[] = [];
    for (const { name, row, width, height } of message.views) {
      const [canvas, kept] = [this.sheets.get(name), this.kept.get(name)];
      if (!canvas || !kept?.scene || !kept.samples) continue;
      names.push(name);
      views.push({ scene: kept.scene, samples: kept.samples, row: Math.min(row, kept.samples.count - 1) });
      papers.push({ canvas, width, height });
    }
    this.shown = { names, views, papers, message };
    if (views.length === 0) return 0;
    const film = this.filmFor(papers);
    film.setLook(message.dim, message.tint);
    const more = film.show(views, papers, message.blur, message.playing, message.playing ? this.finest : 1);
    const tookMs = performance.now() - from;
    if (message.playing) this.hold(tookMs);
    if (more) this.rest = setTimeout(() => this.refine(), REST_MS);
    return tookMs;
  }

  async still(name: string, widthPx: number): Promise<Blob> {
    const { shown } = this;
    const index = shown?.names.indexOf(name) ?? -1;
    if (!shown || index < 0) throw new RangeError('There is no picture to take.');
    const { width, height } = shown.papers[index];
    const size = { width: widthPx, height: Math.round((widthPx * height) / width) };
    const canvas = new OffscreenCanvas(size.width, size.height);
    const film = new Film(canvas, { simple: false, shadows: true, dpr: 1, direct: true });
    try {
      film.setLook(shown.message.dim, shown.message.tint);
      // Laid together from many looks it is smooth at its edges too.
      film.show([shown.views[index]], [{ canvas, ...size }], shown.message.blur, false, 1);
      film.refine(Infinity);
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
      simple,
      shadows: !many,
      dpr: Math.min(dpr, simple ? 1 : 2),
      direct: !many,
    });
    return this.film;
  }

  /** Coarser where a frame takes too long, finer again where there is room. */
  private hold(tookMs: number): void {
    if (tookMs > PLAYED_MS) this.finest = Math.max(COARSEST, this.finest * 0.85);
    else if (tookMs < PLAYED_MS * 0.55) this.finest = Math.min(1, this.finest * 1.06);
  }

  private refine(): void {
    if (this.film?.refine()) this.rest = setTimeout(() => this.refine());
  }
}
