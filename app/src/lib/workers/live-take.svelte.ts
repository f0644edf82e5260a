import type { Recorded, Shoot, Units } from '@gentle-arc/core/model';
import type { HandFigures, MotionRecord } from '@gentle-arc/core/take';
import { ShootWorkerHost } from './host';
import { Latest } from './latest.svelte';
import type { MotionFile, RecordQuestion, ShownTake, TakenIn, TakeWorker } from './take-messages';

/** Recordings taken in and compared, and hands measured, off the page’s main thread. */
export class LiveTake {
  private readonly host = new ShootWorkerHost<TakeWorker>(
    () => new Worker(new URL('./take.worker.ts', import.meta.url), { type: 'module' }),
    'Comparing the take',
  );

  readonly shown = new Latest<{ shoot: Shoot; shotId: string; units: Units; recorded: Recorded }, ShownTake>(
    ({ shoot, ...question }) => this.host.ask(shoot, (remote) => remote.compare(question)),
  );
  readonly hands = new Latest<{ shoot: Shoot }, { id: string; figures: HandFigures }[]>(({ shoot }) =>
    this.host.ask(shoot, (remote) => remote.hands()),
  );

  takeIn(shoot: Shoot, shotId: string, units: Units, record: MotionRecord): Promise<TakenIn> {
    return this.host.ask(
      shoot,
      (remote) => remote.takeIn({ shotId, units, record } as RecordQuestion) as Promise<TakenIn>,
    );
  }

  takeInFile(shoot: Shoot, question: MotionFile): Promise<TakenIn> {
    return this.host.ask(shoot, (remote) => remote.takeInFile(question) as Promise<TakenIn>);
  }

  close(): void {
    this.shown.close();
    this.hands.close();
    this.host.end();
  }
}
