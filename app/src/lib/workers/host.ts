import * as Comlink from 'comlink';
import { patchBetween } from '@gentle-arc/core/edit';
import type { Shoot } from '@gentle-arc/core/model';
import type { KeepsShoot } from './kept-shoot';

/** A worker that could not be started, or that died while it worked. */
export class WorkerGone extends Error {
  override readonly name = 'WorkerGone';
}

/**
 * One worker behind its calls: started when first asked, ended when a call takes too long or it dies, and started again
 * by the next call. A call that dies with its worker is rejected; none waits for ever.
 */
export class WorkerHost<Api> {
  private worker: Worker | null = null;
  private remote: Comlink.Remote<Api> | null = null;
  private readonly pending = new Set<(reason: WorkerGone) => void>();

  /** `what`: who does not answer, as the beginning of a sentence. */
  constructor(
    private readonly start: () => Worker,
    private readonly what: string,
  ) {}

  /**
   * Calls the worker. What is sent is made plain first where it is not. Throws `WorkerGone` when it cannot be started,
   * dies, or takes longer than `mostMs`.
   */
  async call<Answer>(work: (remote: Comlink.Remote<Api>) => Promise<Answer>, mostMs?: number): Promise<Answer> {
    const remote = this.running();
    let give: (reason: WorkerGone) => void = () => undefined;
    const gone = new Promise<never>((_, reject) => (give = reject));
    this.pending.add(give);
    const timer =
      mostMs === undefined
        ? undefined
        : setTimeout(() => this.end(`${this.what} took longer than ${mostMs / 1000} s and was stopped.`), mostMs);
    try {
      return await Promise.race([work(remote), gone]);
    } finally {
      clearTimeout(timer);
      this.pending.delete(give);
    }
  }

  /** Ends it; what it was working on is rejected. */
  end(why = `${this.what} was ended.`): void {
    this.worker?.terminate();
    this.worker = null;
    this.remote = null;
    for (const give of this.pending) give(new WorkerGone(why));
    this.pending.clear();
  }

  private running(): Comlink.Remote<Api> {
    if (this.remote) return this.remote;
    try {
      this.worker = this.start();
    } catch (error) {
      throw new WorkerGone(`${this.what} cannot be started in this browser (${(error as Error).message}).`, {
        cause: error,
      });
    }
    this.worker.addEventListener('error', (event) => {
      event.preventDefault();
      this.end(
        `${this.what} stopped${event.message ? ` (${event.message.slice(0, 80)})` : ''}; it is started again with the next change.`,
      );
    });
    this.worker.addEventListener('messageerror', () => this.end(`${this.what} was asked something it cannot be told.`));
    this.remote = Comlink.wrap<Api>(this.worker);
    return this.remote;
  }
}

/** A worker that keeps the shoot: it is sent once, and then what changed since; all of it again to one that is new. */
export class ShootWorkerHost<Api extends KeepsShoot> extends WorkerHost<Api> {
  private sent: { to: unknown; shoot: Shoot } | null = null;

  /** Asks something about a shoot. */
  ask<Answer>(shoot: Shoot, work: (remote: Comlink.Remote<Api>) => Promise<Answer>): Promise<Answer> {
    return this.call(async (remote) => {
      const patch = patchBetween(this.sent?.to === remote ? this.sent.shoot : null, shoot);
      this.sent = { to: remote, shoot };
      try {
        // The worker takes its messages in order: what it is asked comes after what it is to know.
        const synced = patch ? (remote as unknown as Comlink.Remote<KeepsShoot>).sync(patch) : undefined;
        const [answer] = await Promise.all([work(remote), synced]);
        return answer;
      } catch (error) {
        this.sent = null;
        throw error;
      }
    });
  }
}
