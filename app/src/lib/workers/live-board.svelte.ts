import * as Comlink from 'comlink';
import { SvelteMap } from 'svelte/reactivity';
import type { PictureGrade } from '@gentle-arc/core/findings';
import type { Shoot } from '@gentle-arc/core/model';
import type { BestCut, JoinCure } from '@gentle-arc/core/sequence';
import { ShootWorkerHost } from './host';
import { Latest } from './latest.svelte';
import type { BoardWorker, Story } from './board-messages';

const REST_MS = 400;

const start = (what: string) =>
  new ShootWorkerHost<BoardWorker>(
    () => new Worker(new URL('./board.worker.ts', import.meta.url), { type: 'module' }),
    what,
  );

/** The shots as a story, kept in step off the page's main thread: one worker looks at the film, one reads and tries. */
export class LiveBoard {
  /** As much of the film as is known; of a change what was known before stays until it is known anew. */
  story: Story | null = $state.raw(null);
  problem: string | null = $state(null);
  /** The worst of each shot's own reading, by its id. */
  readonly grades = new SvelteMap<string, PictureGrade>();

  private readonly teller = start('Looking at the film');
  private readonly reader = start('Reading the shots');
  private asked = 0;
  private closed = false;

  /** `drawing`: frames are being drawn, which is what a person waits for first. */
  constructor(private readonly drawing: () => boolean = () => false) {}

  readonly cures = new Latest<{ shoot: Shoot; index: number }, JoinCure[]>(({ shoot, index }) =>
    this.reader.ask(shoot, (remote) => remote.cures({ index })),
  );
  readonly best = new Latest<{ shoot: Shoot; index: number }, BestCut>(({ shoot, index }) =>
    this.teller.ask(shoot, (remote) => remote.best({ index })),
  );

  async ask(shoot: Shoot, coverOf: string | null): Promise<void> {
    this.asked += 1;
    const number = this.asked;
    const tell = (story: Story) => {
      // Fewer shots than are shown already say nothing new.
      const fewer = !story.whole && story.board.length < (this.story?.board.length ?? 0);
      if (number === this.asked && !this.closed && !fewer) this.story = story;
    };
    try {
      tell(await this.teller.ask(shoot, (remote) => remote.story({ coverOf }, Comlink.proxy(tell))));
      if (number !== this.asked || this.closed) return;
      this.problem = null;
      // Frames that are in sight are drawn first.
      do await new Promise((resolve) => setTimeout(resolve, REST_MS));
      while (this.drawing() && number === this.asked && !this.closed);
      if (number !== this.asked || this.closed) return;
      const onGrade = (shotId: string, grade: PictureGrade) => {
        if (number === this.asked) this.grades.set(shotId, grade);
      };
      await this.reader.ask(shoot, (remote) => remote.grades(Comlink.proxy(onGrade)));
    } catch (error) {
      if (number === this.asked && !this.closed)
        this.problem = `The film could not be looked at. ${(error as Error).message}`;
    }
  }

  close(): void {
    this.closed = true;
    this.cures.close();
    this.best.close();
    this.teller.end();
    this.reader.end();
  }
}
