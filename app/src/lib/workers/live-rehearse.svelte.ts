import type { Shoot, Units } from '@gentle-arc/core/model';
import { ShootWorkerHost } from './host';
import { Latest } from './latest.svelte';
import type { EasierWay, JudgedTry, RehearseWorker, TryQuestion } from './rehearse-messages';

/** Tries judged, and gentler ways looked for, off the page's main thread. */
export class LiveRehearse {
  private readonly host = new ShootWorkerHost<RehearseWorker>(
    () => new Worker(new URL('./rehearse.worker.ts', import.meta.url), { type: 'module' }),
    'Judging the try',
  );

  readonly judged = new Latest<TryQuestion & { shoot: Shoot }, JudgedTry>(({ shoot, ...question }) =>
    this.host.ask(shoot, (remote) => remote.judge(question)),
  );
  readonly easier = new Latest<{ shoot: Shoot; shotId: string; units: Units }, EasierWay[]>(({ shoot, ...question }) =>
    this.host.ask(shoot, (remote) => remote.easier(question)),
  );

  close(): void {
    this.judged.close();
    this.easier.close();
    this.host.end();
  }
}
