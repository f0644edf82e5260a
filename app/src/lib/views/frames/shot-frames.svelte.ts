import * as Comlink from 'comlink';
import { type Around, aroundOf, sameAround, type Shoot, type Shot } from '@gentle-arc/core/model';
import { hasWebGl2 } from '$lib/views/picture/webgl';
import { ShootWorkerHost } from '$lib/workers/host';
import { aroundKey, dropSheet, keepSheet, sheetOf, shortOf } from './frame-shelf';
import type { FramesWorker, StillsQuestion, VideoQuestion } from './frames-messages';

/** What is drawn of a shot, kept as long as nothing that shows in it differs. */
interface Kept {
  key: string;
  around: Around;
  picture: Blob;
}
/** Whether frames are waited for: they are in sight, will be before long, or are not any more. */
export type Wanted = 'now' | 'soon' | 'not';
interface Waiting {
  work: () => Promise<void>;
  wanted: () => Wanted;
}
const MOST_KEPT = 600;
const MOST_HANDS = 2;
const HANDED_OUT_EVERY_MS = 100;
/** So long after the last was drawn what was drawn is put on the shelf. */
const REST_MS = 500;
/** How wide a frame is that only makes ready. */
const READY_PX = 16;
/** Told on with every change of how frames are drawn: those of before are drawn anew. */
const FRAMES_LOOK = 3;
/** Kept from screen to screen. */
const kept = new Map<string, Kept>();

/** Of a shot's fields, those that show: not its name, nor what the story says of it. */
const keyOf = (shot: Shot, rows: readonly number[], widthPx: number, dim: boolean): string =>
  JSON.stringify([{ ...shot, name: '', note: '', sceneName: '', purpose: '', cut: 0, join: 0 }, rows, widthPx, dim]);

/**
 * Frames of many shots, drawn in the background by a worker, one shot after the other, what is in sight first; what
 * nobody wants any more when its turn comes is passed over.
 */
export class ShotFrames {
  /** This browser cannot draw them. */
  unable = $state(false);
  problem: string | null = $state(null);

  private readonly host = new ShootWorkerHost<FramesWorker>(
    () => new Worker(new URL('./frames.worker.ts', import.meta.url), { type: 'module' }),
    'Drawing the frames',
  );
  private able: Promise<boolean> | null = null;
  private waiting: Waiting[] = [];
  private readonly inHand = new Set<Waiting>();
  /** What is drawn and not on the shelf yet: put there when there is nothing to draw. */
  private drawn: (() => Promise<void>)[] = [];
  /** What is drawn and not handed out yet: the page is laid out anew for several at a time. */
  private ready: (() => void)[] = [];
  private handsOutAt: ReturnType<typeof setTimeout> | undefined;
  private shelvesAt: ReturnType<typeof setTimeout> | undefined;
  /** So many are being drawn: while one is handed over the worker is at the next. */
  private hands = 0;
  private closed = false;

  /** Frames that are in sight are not all drawn yet. */
  get busy(): boolean {
    return [...this.inHand, ...this.waiting].some(({ wanted }) => wanted() === 'now');
  }

  /** What of a shot is drawn already, if anything. */
  known(shoot: Shoot, shot: Shot, rows: readonly number[], widthPx: number, dim: boolean): Blob | null {
    const row = kept.get(`${shoot.id} ${shot.id} ${widthPx}`);
    return row?.key === keyOf(shot, rows, widthPx, dim) && sameAround(row.around, shoot) ? row.picture : null;
  }

  /** Gets ready to draw while nobody knows yet which frames: most of the first one's time goes into that. */
  async getReady(shoot: Shoot): Promise<void> {
    const [first] = shoot.shots;
    if (!first || [...kept.keys()].some((id) => id.startsWith(`${shoot.id} `))) return;
    try {
      if (await this.canDraw())
        await this.host.ask(shoot, (remote) =>
          remote.frames({ shotId: first.id, rows: [0], widthPx: READY_PX, dim: false }),
        );
    } catch (error) {
      // Whoever asks for frames is told.
      if ((error as Error).name !== 'WorkerGone') throw error;
    }
  }

  /** Draws frames of a shot when its turn comes. Resolves to null when they are not wanted any more. */
  ask(
    shoot: Shoot,
    shot: Shot,
    rows: readonly number[],
    widthPx: number,
    dim: boolean,
    wanted: () => Wanted,
  ): Promise<Blob | null> {
    const known = this.known(shoot, shot, rows, widthPx, dim);
    if (known) return Promise.resolve(known);
    const id = `${shoot.id} ${shot.id} ${widthPx}`;
    const key = keyOf(shot, rows, widthPx, dim);
    const shelfKey = `${FRAMES_LOOK} ${shortOf(key)} ${aroundKey(shoot)}`;
    const keep = (picture: Blob): Blob => {
      kept.delete(id);
      kept.set(id, { key, around: aroundOf(shoot), picture });
      const [oldest] = kept.keys();
      if (kept.size > MOST_KEPT && oldest) kept.delete(oldest);
      return picture;
    };
    const draw = (resolve: (picture: Blob | null) => void) => {
      const work = async () => {
        if (wanted() === 'not' || !(await this.canDraw())) {
          resolve(null);
          return;
        }
        const picture = await this.host.ask(shoot, (remote) =>
          remote.frames({ shotId: shot.id, rows: [...rows], widthPx, dim }),
        );
        keep(picture);
        this.handOut(() => resolve(picture));
        this.drawn.push(() => keepSheet(id, shelfKey, picture));
      };
      this.waiting.push({ work, wanted });
      void this.run();
    };
    return sheetOf(id, shelfKey).then((stored) => (stored ? keep(stored) : new Promise(draw)));
  }

  /** What was kept of a shot cannot be shown: it is forgotten, so that the next who asks has it drawn anew. */
  async forget(shoot: Shoot, shot: Shot, widthPx: number): Promise<void> {
    const id = `${shoot.id} ${shot.id} ${widthPx}`;
    kept.delete(id);
    await dropSheet(id);
  }

  /** The film as a video; see the worker. */
  async video(shoot: Shoot, question: VideoQuestion, onStep: (done: number, of: number) => void) {
    if (!(await this.canDraw())) return NO_DRAWING;
    return this.host.ask(
      shoot,
      (remote) => remote.video(question, Comlink.proxy(onStep)) as Promise<Blob | string | null>,
    );
  }

  async stills(shoot: Shoot, question: StillsQuestion, onStep: (done: number, of: number) => void) {
    if (!(await this.canDraw())) return NO_DRAWING;
    return this.host.ask(shoot, (remote) => remote.stills(question, Comlink.proxy(onStep)) as Promise<Blob | null>);
  }

  callOff(): void {
    void this.host.call((remote) => remote.callOff()).catch(() => undefined);
  }

  close(): void {
    this.closed = true;
    this.waiting = [];
    this.host.end();
  }

  /** At once when nothing else is drawn, else with what is drawn meanwhile. */
  private handOut(hand: () => void): void {
    this.ready.push(hand);
    const all = () => {
      clearTimeout(this.handsOutAt);
      this.handsOutAt = undefined;
      for (const one of this.ready.splice(0)) one();
    };
    if (this.waiting.length === 0) all();
    else this.handsOutAt ??= setTimeout(all, HANDED_OUT_EVERY_MS);
  }

  private canDraw(): Promise<boolean> {
    this.able ??= this.begin();
    return this.able;
  }

  private async begin(): Promise<boolean> {
    if (!('OffscreenCanvas' in window) || !hasWebGl2()) this.unable = true;
    else
      try {
        this.unable = !(await this.host.call((remote) => remote.start()));
      } catch (error) {
        if ((error as Error).name !== 'WorkerGone') throw error;
        this.unable = true;
      }
    return !this.unable;
  }

  private async run(): Promise<void> {
    if (this.hands === MOST_HANDS) return;
    this.hands += 1;
    for (let next = this.next(); next && !this.closed; next = this.next()) {
      this.inHand.add(next);
      try {
        await next.work();
        this.problem = null;
      } catch (error) {
        if (!this.closed) this.problem = `Frames could not be drawn. ${(error as Error).message}`;
      }
      this.inHand.delete(next);
    }
    this.hands -= 1;
    clearTimeout(this.shelvesAt);
    if (this.hands === 0) this.shelvesAt = setTimeout(() => void this.shelve(), REST_MS);
  }

  /** Puts on the shelf what is drawn, as long as nothing else is to be. */
  private async shelve(): Promise<void> {
    while (this.hands === 0 && this.drawn.length > 0) await this.drawn.shift()?.();
  }

  /** What is not wanted any more is passed over; of the rest the first that is in sight, else the first. */
  private next(): Waiting | undefined {
    const gone = this.waiting.filter(({ wanted }) => wanted() === 'not');
    for (const row of gone) void row.work();
    this.waiting = this.waiting.filter((row) => !gone.includes(row));
    const seen = this.waiting.findIndex(({ wanted }) => wanted() === 'now');
    return this.waiting.splice(Math.max(0, seen), 1)[0];
  }
}

const NO_DRAWING =
  'This browser cannot draw in three dimensions, so there are no frames to take. The cut can be taken as OpenTimelineIO or CSV.';
