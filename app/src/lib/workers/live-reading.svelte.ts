import * as Comlink from 'comlink';
import { severity } from '@gentle-arc/core/findings';
import type { Shoot, Units } from '@gentle-arc/core/model';
import type { Cure, SearchStep } from '@gentle-arc/core/search';
import { ShootWorkerHost } from './host';
import { Latest } from './latest.svelte';
import type { Drifts, ReadingWorker, ShotQuestion, ShownReading } from './messages';

const REST_MS = 350;

type Asked = ShotQuestion & { shoot: Shoot };

const start = (what: string) =>
  new ShootWorkerHost<ReadingWorker>(
    () => new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' }),
    what,
  );

/**
 * The reading of the shown shot, kept in step off the page's main thread: one worker reads, one looks for changes that
 * help.
 */
export class LiveReading {
  cures: ReadonlyMap<string, Cure[]> = $state.raw(new Map());
  /** How many changes have been looked at, of how many, while a search runs. */
  progress: { done: number; of: number } | null = $state.raw(null);
  /** The last search was called off before its end. */
  calledOff = $state(false);

  /** How far the subject leaves its place under each way of turning the camera, once it was asked for. */
  drifts: Drifts | null = $state.raw(null);

  private searchProblem: string | null = $state(null);
  private readonly reader = start('The reading');
  private readonly searcher: ShootWorkerHost<ReadingWorker> | null;
  private readonly latest = new Latest<Asked, ShownReading>(({ shoot, ...question }) =>
    this.reader.ask(shoot, (remote) => remote.read(question)),
  );
  private searching = false;
  private asked = 0;
  private askedDrifts = 0;
  private rest: ReturnType<typeof setTimeout> | undefined;

  /** `withCures`: changes that help are looked for whenever the shot rests, and nobody is at it (`isHeld`). */
  constructor(
    withCures = true,
    private readonly isHeld = () => false,
  ) {
    this.searcher = withCures ? start('The search for changes that help') : null;
  }

  get reading(): ShownReading | null {
    return this.latest.answer;
  }
  get problem(): string | null {
    return this.latest.problem === null ? this.searchProblem : `The reading could not be made. ${this.latest.problem}`;
  }

  /** Asks for a reading. While one is being made only the latest request is kept. */
  ask(shoot: Shoot, shotId: string, units: Units): void {
    this.asked += 1;
    const number = this.asked;
    this.cures = new Map();
    this.stop();
    this.calledOff = false;
    const request = { shoot, shotId, units };
    void this.latest.ask(request).then((answered) => {
      if (answered && number === this.asked && this.searcher) this.searchAtRest(request, number);
    });
  }

  close(): void {
    this.asked += 1;
    clearTimeout(this.rest);
    this.latest.close();
    this.reader.end();
    this.searcher?.end();
  }

  /** Asks how each way of turning the camera keeps the subject; the answer to what was asked last is shown. */
  async askDrifts(shoot: Shoot, shotId: string): Promise<void> {
    this.askedDrifts += 1;
    const number = this.askedDrifts;
    try {
      const drifts = await this.reader.ask(shoot, (remote) => remote.drifts({ shotId, units: 'metric' }));
      if (number === this.askedDrifts) this.drifts = drifts;
    } catch (error) {
      // A worker that is gone says so with the reading; the ways are then named without their drift.
      if (number === this.askedDrifts && (error as Error).name === 'WorkerGone') this.drifts = null;
      else throw error;
    }
  }

  /** Calls the search off. What it has found so far stays. */
  callOff(): void {
    this.asked += 1;
    this.stop();
    this.calledOff = true;
  }

  /** Takes the search up again. */
  searchAgain(): void {
    if (!this.latest.question || this.searching) return;
    this.calledOff = false;
    void this.search(this.latest.question, this.asked);
  }

  private searchAtRest(request: Asked, number: number): void {
    this.rest = setTimeout(() => {
      if (this.isHeld()) this.searchAtRest(request, number);
      else void this.search(request, number);
    }, REST_MS);
  }

  private stop(): void {
    clearTimeout(this.rest);
    if (this.searching) this.searcher?.call((remote) => remote.callOff()).catch(() => undefined);
    this.searching = false;
    this.progress = null;
  }

  private async search(request: Asked, number: number): Promise<void> {
    if (!this.searcher || !this.reading?.findings.some((finding) => severity(finding) > 0)) return;
    this.searching = true;
    this.progress = { done: 0, of: 0 };
    const tell = (step: SearchStep) => {
      if (number !== this.asked) return;
      this.progress = { done: step.done, of: step.of };
      if (step.found) this.cures = new Map(this.cures).set(step.found.findingId, step.found.cures);
    };
    try {
      const { shoot, ...question } = request;
      await this.searcher.ask(shoot, (remote) => remote.search(question, Comlink.proxy(tell)));
      this.searchProblem = null;
    } catch (error) {
      if (number === this.asked)
        this.searchProblem = `Changes that would help could not be looked for. ${(error as Error).message}`;
    }
    if (number !== this.asked) return;
    this.searching = false;
    this.progress = null;
  }
}
