import * as Comlink from 'comlink';
import { severity } from '@gentle-arc/core/model/finding';
import type { Shoot } from '@gentle-arc/core/model/shoot';
import type { Units } from '@gentle-arc/core/model/units';
import type { Cure } from '@gentle-arc/core/search/cures';
import type { ReadingRequest, ReadingWorker, ShownReading } from './messages';

const REST_MS = 350;

function start(): { worker: Worker; proxy: Comlink.Remote<ReadingWorker> } {
  const worker = new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });
  return { worker, proxy: Comlink.wrap<ReadingWorker>(worker) };
}

/** The reading of the shown shot, kept in step off the page's main thread: one worker reads, one looks for changes that help. */
export class LiveReading {
  reading: ShownReading | null = $state.raw(null);
  cures: ReadonlyMap<string, Cure[]> = $state.raw(new Map());
  /** Changes are still being tried. */
  searching = $state(false);
  problem: string | null = $state(null);

  private readonly reader = start();
  private readonly searcher = start();
  private wanted: ReadingRequest | null = null;
  private busy = false;
  private asked = 0;
  private rest: ReturnType<typeof setTimeout> | undefined;

  /** Asks for a reading. While one is being made only the latest request is kept. */
  ask(shoot: Shoot, shotId: string, units: Units): void {
    this.asked += 1;
    this.cures = new Map();
    this.searching = false;
    clearTimeout(this.rest);
    this.wanted = { shoot, shotId, units };
    if (!this.busy) void this.run();
  }

  close(): void {
    this.asked += 1;
    clearTimeout(this.rest);
    this.reader.worker.terminate();
    this.searcher.worker.terminate();
  }

  private async run(): Promise<void> {
    this.busy = true;
    while (this.wanted) {
      const request = this.wanted;
      const number = this.asked;
      this.wanted = null;
      try {
        this.reading = await this.reader.proxy.read(request);
        this.problem = null;
      } catch (error) {
        this.problem = `The reading could not be made: ${(error as Error).message}`;
        break;
      }
      if (number === this.asked) this.rest = setTimeout(() => void this.search(request, number), REST_MS);
    }
    this.busy = false;
  }

  private async search(request: ReadingRequest, number: number): Promise<void> {
    this.searching = true;
    for (const finding of this.reading?.findings ?? []) {
      if (severity(finding) === 0) continue;
      const found = await this.searcher.proxy.cures(request, finding.id);
      if (number !== this.asked) return;
      this.cures = new Map(this.cures).set(finding.id, found);
    }
    this.searching = false;
  }
}
