import type { Shoot, Units } from '@gentle-arc/core/model';
import type { LitMinutes, Scouted } from '@gentle-arc/core/reading';
import type { NearOffer } from '@gentle-arc/core/search';
import { ShootWorkerHost } from './host';
import { Latest } from './latest.svelte';
import type { LitQuestion, LookQuestion, ScoutWorker } from './scout-messages';

/** A place seen through the camera of a shot, looked at off the page's main thread. */
export class LiveScout {
  private readonly host = new ShootWorkerHost<ScoutWorker>(
    () => new Worker(new URL('./scout.worker.ts', import.meta.url), { type: 'module' }),
    'Looking at the place',
  );

  /** What the place offers from where the camera is at a moment. */
  readonly look = new Latest<LookQuestion & { shoot: Shoot }, Scouted[]>(({ shoot, ...question }) =>
    this.host.ask(shoot, (remote) => remote.look(question)),
  );
  /** When the subject is lit as it is wished. */
  readonly lit = new Latest<LitQuestion & { shoot: Shoot }, LitMinutes[]>(({ shoot, ...question }) =>
    this.host.ask(shoot, (remote) => remote.litWhen(question)),
  );

  /** What could stand near the lens; `id`: of the piece that is offered. */
  near(shoot: Shoot, shotId: string, units: Units, id: string): Promise<NearOffer[]> {
    return this.host.ask(shoot, (remote) => remote.near({ shotId, units, id }));
  }

  close(): void {
    this.look.close();
    this.lit.close();
    this.host.end();
  }
}
