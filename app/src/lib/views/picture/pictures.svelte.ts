import * as Comlink from 'comlink';
import { onDestroy, untrack } from 'svelte';
import type { Attachment } from 'svelte/attachments';
import { SvelteMap } from 'svelte/reactivity';
import { preferences } from '$lib/ui/preferences.svelte';
import { WorkerHost } from '$lib/workers/host';
import type { View } from './film';
import type { PageDrawing } from './page-drawing';
import { PagePace } from './page-pace';
import type { PictureWorker, ShowMessage } from './picture-messages';
import { ToldScenes } from './told-scenes';

interface Sheet {
  canvas: HTMLCanvasElement;
  width: number;
  height: number;
}

type Shown = { name: string; view: View; sheet: Sheet };
type Look = Omit<ShowMessage, 'views' | 'pageWaits'>;

const NO_DRAWING = 'The picture cannot be drawn here.';

/**
 * Sheets that pictures of one site are drawn on, each a canvas of the page. They are drawn by a worker, off the page's
 * thread; where the browser cannot do that, by the page.
 */
export class Pictures {
  /** Why nothing is drawn any more. */
  problem: string | null = $state(null);
  /** How many pictures were drawn so far: what a hand that leads the camera sees in a second. */
  count = 0;
  /** What is on the sheets, by their names: what lies over a picture goes with it. Null: nothing is. */
  drawn: ReadonlyMap<string, View> | null = $state.raw(null);

  private readonly sheets = new SvelteMap<string, Sheet>();
  private readonly host = new WorkerHost<PictureWorker>(
    () => new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' }),
    'Drawing the picture',
  );
  private readonly told = new ToldScenes();
  private readonly given = new Set<string>();
  private readonly attachments = new Map<string, Attachment<HTMLCanvasElement>>();
  private readonly off: Promise<boolean>;
  /** Drawn on the page; null: by the worker, or nobody knows yet. */
  private page: PageDrawing | null = null;
  private next: { shown: Shown[]; message: Look } | null = null;
  private readonly pace = new PagePace();
  private pageWaits = false;
  private busy = false;
  private closed = false;

  /**
   * Call while a component is being set up. `views`: what each sheet shows, by its name. `held`: a hand is changing it.
   */
  constructor(
    views: () => Record<string, View>,
    playing: () => boolean,
    held: () => boolean,
    private readonly many = false,
  ) {
    this.off = this.startWorker();
    $effect(() => {
      const shown = Object.entries(views()).flatMap(([name, view]) => {
        const sheet = this.sheets.get(name);
        return sheet ? [{ name, view, sheet }] : [];
      });
      const { lensBlur: lens, motionBlur: motion, sharpTone: tone, light, depthTint: tint } = preferences;
      this.next = {
        shown,
        message: { blur: { lens, motion, tone }, dim: light === 'dim', tint, playing: playing(), held: untrack(held) },
      };
      void this.draw();
    });
    onDestroy(() => {
      this.closed = true;
      this.host.end();
      this.page?.dispose();
    });
  }

  /**
   * The attachment for the canvas that is the sheet of a name: the same one each time, for a canvas can be given away
   * only once.
   */
  sheet(name: string): Attachment<HTMLCanvasElement> {
    const attach = this.attachments.get(name) ?? ((canvas) => this.attach(name, canvas));
    this.attachments.set(name, attach);
    return attach;
  }

  private attach(name: string, canvas: HTMLCanvasElement): () => void {
    const seen = new ResizeObserver(() => {
      const { clientWidth: width, clientHeight: height } = canvas;
      if (width > 0 && height > 0) this.sheets.set(name, { canvas, width, height });
    });
    seen.observe(canvas);
    return () => {
      seen.disconnect();
      this.sheets.delete(name);
      this.told.forget(name);
      // A worker that is gone has dropped it already, and says so with the next picture.
      if (this.given.delete(name) && !this.closed) this.host.call((remote) => remote.drop(name)).catch(() => undefined);
    };
  }

  /** The picture of a sheet as it is now, as a PNG; null where it cannot be taken. */
  async still(name: string, widthPx: number): Promise<Blob | null> {
    if (!(await this.off)) {
      const sheet = this.sheets.get(name);
      return new Promise((resolve) => (sheet ? sheet.canvas.toBlob(resolve, 'image/png') : resolve(null)));
    }
    return this.host.call((remote) => remote.still(name, widthPx));
  }

  /** Whether a worker draws. */
  private async startWorker(): Promise<boolean> {
    const able = 'OffscreenCanvas' in window && 'transferControlToOffscreen' in HTMLCanvasElement.prototype;
    try {
      if (able && (await this.host.call((remote) => remote.start({ many: this.many, dpr: window.devicePixelRatio }))))
        return true;
    } catch (error) {
      // It cannot be started, or died on the way: the page draws.
      if ((error as Error).name !== 'WorkerGone') throw error;
    }
    if (this.closed) return false;
    const { PageDrawing } = await import('./page-drawing');
    this.page = new PageDrawing(this.many, Math.min(window.devicePixelRatio, 2));
    return false;
  }

  /** Shows the latest; what comes while it is drawn waits, and only the last of it is drawn. */
  private async draw(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    try {
      const off = await this.off;
      while (this.next && !this.closed) {
        const { shown, message } = this.next;
        this.next = null;
        if (off) await this.show(shown, message);
        else
          this.page?.show(
            shown.map(({ view }) => view),
            shown.map(({ sheet }) => sheet),
            message.blur,
            message,
          );
        this.problem = null;
        if (shown.length > 0) this.drawn = new Map(shown.map(({ name, view }) => [name, view]));
      }
    } catch (error) {
      // The sheets went with the worker that had them.
      this.drawn = null;
      if (!this.closed)
        this.problem = `${NO_DRAWING} ${(error as Error).message} Leave this screen and come back to have it drawn again.`;
    }
    this.busy = false;
  }

  private async show(shown: Shown[], message: Look): Promise<void> {
    for (const { name, sheet } of shown) {
      if (this.given.has(name)) continue;
      this.given.add(name);
      const away = sheet.canvas.transferControlToOffscreen();
      await this.host.call((remote) => remote.sheet(name, Comlink.transfer(away, [away])));
    }
    const views = shown.map(({ name, view, sheet: { width, height } }) => ({
      name,
      row: view.row,
      width,
      height,
      live: view.live ?? null,
      scene: this.told.changed(name, view),
    }));
    const told: ShowMessage = { ...message, views, pageWaits: this.pageWaits };
    this.pace.begin();
    try {
      await this.tell(told);
    } finally {
      this.pageWaits = this.pace.end();
    }
    this.count += 1;
  }

  private tell(message: ShowMessage): Promise<number> {
    return this.host
      .call((remote) => remote.show(message))
      .catch((error: Error) => {
        // What a component watches is copied for the worker: it takes plain data only.
        if (error.name !== 'DataCloneError') throw error;
        return this.host.call((remote) => remote.show($state.snapshot(message) as ShowMessage));
      });
  }
}
