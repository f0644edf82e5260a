import type { LensColumn } from '@gentle-arc/core/reading/compare-lenses';
import { WorkerHost } from './host';
import { Latest } from './latest.svelte';
import type { LensRequest, LensWorker } from './lens-messages';

/**
 * A shot through several focal lengths, read off the page's main thread: `shown` for the pictures, `spread` for the
 * chart.
 */
export class LiveLenses {
  private readonly host = new WorkerHost<LensWorker>(
    () => new Worker(new URL('./lens.worker.ts', import.meta.url), { type: 'module' }),
    'The comparison',
  );

  readonly shown = new Latest<LensRequest, LensColumn[]>((request) =>
    this.host.call((remote) => remote.compare(request)),
  );
  readonly spread = new Latest<LensRequest, LensColumn[]>((request) =>
    this.host.call((remote) => remote.compare(request)),
  );

  close(): void {
    this.shown.close();
    this.spread.close();
    this.host.end();
  }
}
