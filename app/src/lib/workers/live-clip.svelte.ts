import * as Comlink from 'comlink';
import type { Shoot } from '@gentle-arc/core/model';
import type {
  AgainstQuestion,
  ClipQuestion,
  ClipWorker,
  MeasuredClip,
  ShownClip,
  ShownForetold,
} from './clip-messages';
import { ShootWorkerHost } from './host';
import { Latest } from './latest.svelte';

/** Clips measured and held against their plans, off the page’s main thread. */
export class LiveClip {
  private readonly host = new ShootWorkerHost<ClipWorker>(
    () => new Worker(new URL('./clip.worker.ts', import.meta.url), { type: 'module' }),
    'Measuring the clip',
  );
  /** Share of the clip that is measured; null: none is. */
  share: number | null = $state(null);

  readonly against = new Latest<AgainstQuestion & { shoot: Shoot }, ShownClip>(({ shoot, ...question }) =>
    this.host.ask(shoot, (remote) => remote.against(question)),
  );

  /** Of a shot whose clip is still to come. */
  readonly foretold = new Latest<{ shoot: Shoot; shotId: string }, ShownForetold>(({ shoot, shotId }) =>
    this.host.ask(shoot, (remote) => remote.foretold(shotId)),
  );

  async measure(shoot: Shoot, question: ClipQuestion): Promise<MeasuredClip | string> {
    this.share = 0;
    try {
      return await this.host.ask(
        shoot,
        (remote) =>
          remote.measure(
            question,
            Comlink.proxy((share: number) => {
              if (this.share !== null) this.share = share;
            }),
          ) as Promise<MeasuredClip | string>,
      );
    } catch (error) {
      return (error as Error).message;
    } finally {
      this.share = null;
    }
  }

  /** Stops what is being measured; nothing of it is kept. */
  callOff(): void {
    this.host.end('Measuring was called off.');
  }

  close(): void {
    this.against.close();
    this.foretold.close();
    this.host.end();
  }
}
