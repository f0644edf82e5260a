import * as Comlink from 'comlink';
import type { DayAim, Shoot } from '@gentle-arc/core/model';
import type { Alternative, DayQuestion, DayWorker, ShownDay, WayToFit } from './day-messages';
import { ShootWorkerHost } from './host';
import { Latest } from './latest.svelte';

const start = (what: string) =>
  new ShootWorkerHost<DayWorker>(
    () => new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' }),
    what,
  );

/** A question about a day of a shoot. */
export interface Asked extends DayQuestion {
  shoot: Shoot;
}

/** The day kept in step off the page's main thread: one worker plans, another one searches. */
export class LiveDay {
  private readonly planner = start('Planning the day');
  private readonly searcher = start('Searching the order');
  /** What is searched, and how far it has come; null when nothing is. */
  progress: { what: string; done: number; of: number } | null = $state.raw(null);
  problem: string | null = $state(null);

  readonly day = new Latest<Asked, ShownDay>(({ shoot, ...question }) =>
    this.planner.ask(shoot, (remote) => remote.day(question)),
  );

  /** The best order that is found; null when it could not be looked for. */
  order(
    { shoot, ...question }: Asked,
    aim: DayAim,
    quick: boolean,
  ): Promise<{ ids: string[]; changes: string[] } | null> {
    return this.search('Trying orders', shoot, (remote, onStep) => remote.order({ ...question, aim, quick }, onStep));
  }
  alternatives({ shoot, ...question }: Asked): Promise<Alternative[] | null> {
    return this.search('Looking for other days', shoot, (remote, onStep) => remote.alternatives(question, onStep));
  }
  ways({ shoot, ...question }: Asked): Promise<WayToFit[] | null> {
    return this.search('Trying what would make it fit', shoot, (remote, onStep) => remote.ways(question, onStep));
  }
  file({ shoot, ...question }: Asked, format: 'ics' | 'csv'): Promise<string> {
    return this.planner.ask(shoot, (remote) => remote.file(question, format));
  }
  callOff(): void {
    void this.searcher.call((remote) => remote.callOff()).catch(() => undefined);
  }
  close(): void {
    this.day.close();
    this.planner.end();
    this.searcher.end();
  }

  private async search<Answer>(
    what: string,
    shoot: Shoot,
    ask: (remote: Comlink.Remote<DayWorker>, onStep: (done: number, of: number) => void) => Promise<Answer>,
  ): Promise<Answer | null> {
    this.problem = null;
    this.progress = { what, done: 0, of: 1 };
    try {
      return await this.searcher.ask(shoot, (remote) =>
        ask(
          remote,
          Comlink.proxy((done: number, of: number) => (this.progress = { what, done, of })),
        ),
      );
    } catch (error) {
      this.problem = (error as Error).message;
      return null;
    } finally {
      this.progress = null;
    }
  }
}
