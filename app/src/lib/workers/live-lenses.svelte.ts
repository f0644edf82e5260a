import * as Comlink from 'comlink';
import type { LensColumn } from '@gentle-arc/core/reading/compare-lenses';
import { Latest } from './latest.svelte';
import type { LensRequest, LensWorker } from './lens-messages';

/** A shot through several focal lengths, read off the page's main thread: `shown` for the pictures, `spread` for the chart. */
export class LiveLenses {
  private readonly worker = new Worker(new URL('./lens.worker.ts', import.meta.url), { type: 'module' });
  private readonly proxy = Comlink.wrap<LensWorker>(this.worker);

  readonly shown = new Latest<LensRequest, LensColumn[]>((request) => this.proxy.compare(request));
  readonly spread = new Latest<LensRequest, LensColumn[]>((request) => this.proxy.compare(request));

  close(): void {
    this.worker.terminate();
  }
}
