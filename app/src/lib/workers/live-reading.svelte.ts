import * as Comlink from 'comlink';
import { severity } from '@gentle-arc/core/model/finding';
import type { Shoot } from '@gentle-arc/core/model/shoot';
import type { Units } from '@gentle-arc/core/model/units';
import type { Cure, SearchStep } from '@gentle-arc/core/search/cures';
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
  /** How many changes have been looked at, of how many, while a search runs. */
  progress: { done: number; of: number } | null = $state.raw(null);
  /** The last search was called off before its end. */
  calledOff = $state(false);
  problem: string | null = $state(null);

  private readonly reader = start();
  private readonly searcher: ReturnType<typeof start> | null;
  private wanted: ReadingRequest | null = null;
  /** What the shown reading was made of. */
  private last: ReadingRequest | null = null;
  private busy = false;
  private searching = false;
  private asked = 0;
  private rest: ReturnType<typeof setTimeout> | undefined;

  /** `withCures`: changes that help are looked for whenever the shot rests. */
  constructor(withCures = true) {
    this.searcher = withCures ? start() : null;
  }

  /** Asks for a reading. While one is being made only the latest request is kept. */
  ask(shoot: Shoot, shotId: string, units: Units): void {
    this.asked += 1;
    this.cures = new Map();
    this.stop();
    this.calledOff = false;
    this.wanted = { shoot, shotId, units };
    if (!this.busy) void this.run();
  }

  close(): void {
    this.asked += 1;
    clearTimeout(this.rest);
    this.reader.worker.terminate();
    this.searcher?.worker.terminate();
  }

  /** Calls the search off. What it has found so far stays. */
  callOff(): void {
    this.asked += 1;
    this.stop();
    this.calledOff = true;
  }

  /** Takes the search up again. */
  searchAgain(): void {
    if (!this.last || this.searching) return;
    this.calledOff = false;
    void this.search(this.last, this.asked);
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
        this.last = request;
      } catch (error) {
        this.problem = `The reading could not be made: ${(error as Error).message}`;
        break;
      }
      if (number === this.asked && this.searcher) this.rest = setTimeout(() => void this.search(request, number), REST_MS);
    }
    this.busy = false;
  }

  private stop(): void {
    clearTimeout(this.rest);
    if (this.searching) void this.searcher?.proxy.callOff();
    this.searching = false;
    this.progress = null;
  }

  private async search(request: ReadingRequest, number: number): Promise<void> {
    if (!this.searcher || !this.reading?.findings.some((finding) => severity(finding) > 0)) return;
    this.searching = true;
    this.progress = { done: 0, of: 0 };
    const tell = (step: SearchStep) => {
      if (number !== this.asked) return;
      this.progress = { done: step.done, of: step.of };
      if (step.found) this.cures = new Map(this.cures).set(step.found.findingId, step.found.cures);
    };
    try {
      await this.searcher.proxy.search(request, Comlink.proxy(tell));
    } catch (error) {
      if (number === this.asked) this.problem = `Changes that would help could not be looked for: ${(error as Error).message}`;
    }
    if (number !== this.asked) return;
    this.searching = false;
    this.progress = null;
  }
}
