import type { LensColumn } from '@gentle-arc/core/reading';
import type { Shoot } from '@gentle-arc/core/model';
import { ShootWorkerHost } from './host';
import { Latest } from './latest.svelte';
import type { LensQuestion, LensWorker } from './lens-messages';

type Asked = LensQuestion & { shoot: Shoot };

/**
 * A shot through several focal lengths, read off the page's main thread: `shown` for the pictures, `spread` for the
 * chart.
 */
export class LiveLenses {
  private readonly host = new ShootWorkerHost<LensWorker>(
    () => new Worker(new URL('./lens.worker.ts', import.meta.url), { type: 'module' }),
    'The comparison',
  );

  readonly shown = new Latest<Asked, LensColumn[]>((asked) => this.compare(asked));
  readonly spread = new Latest<Asked, LensColumn[]>((asked) => this.compare(asked));

  private compare({ shoot, ...question }: Asked): Promise<LensColumn[]> {
    return this.host.ask(shoot, (remote) => remote.compare(question));
  }

  close(): void {
    this.shown.close();
    this.spread.close();
    this.host.end();
  }
}
