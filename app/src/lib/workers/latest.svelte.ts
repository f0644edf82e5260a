/** While questions keep coming the worker rests so many times as long as it worked, but no longer than this, ms. */
const RESTS = 6;
const MOST_REST_MS = 350;
/** No other question came for so long, ms: the hand rests, and wants to know. */
const QUIET_MS = 70;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Answers to questions that come faster than they can be answered: while one is worked on only the latest waits. */
export class Latest<Question extends object, Answer> {
  answer: Answer | null = $state.raw(null);
  /** What the answer answers. */
  question: Question | null = $state.raw(null);
  /** Why the latest question has no answer; null when it has, or is still worked on. */
  problem: string | null = $state(null);

  private waiting: { question: Question; tell: (answered: boolean) => void } | null = null;
  private busy = false;
  private closed = false;

  constructor(private readonly work: (question: Question) => Promise<Answer>) {}

  /**
   * Resolves to whether this very question was answered: not when it was overtaken, or could not be. What is asked is
   * made plain first.
   */
  ask(question: Question): Promise<boolean> {
    return new Promise((tell) => {
      this.waiting?.tell(false);
      this.waiting = { question, tell };
      if (!this.busy) void this.run();
    });
  }

  /** Nothing is told any more. */
  close(): void {
    this.closed = true;
  }

  private async run(): Promise<void> {
    this.busy = true;
    while (this.waiting !== null && !this.closed) {
      const { question, tell } = this.waiting;
      this.waiting = null;
      let answered = false;
      const fromMs = performance.now();
      try {
        const answer = await this.answered(question);
        if (this.closed) return;
        this.answer = answer;
        this.question = question;
        this.problem = null;
        answered = true;
      } catch (error) {
        if (!this.closed) this.problem = (error as Error).message;
      }
      tell(answered);
      if (this.waiting !== null) await this.rest(Math.min(MOST_REST_MS, RESTS * (performance.now() - fromMs)));
    }
    this.busy = false;
  }

  /** Something is being dragged: the hand wants the processor more than half an answer, until it holds still. */
  private async rest(ms: number): Promise<void> {
    const untilMs = performance.now() + ms;
    for (let left = ms; left > 0; left = untilMs - performance.now()) {
      const asked = this.waiting;
      await pause(Math.min(QUIET_MS, left));
      if (this.waiting === asked) return;
    }
  }

  /**
   * A worker takes plain data only: a value that a component watches is copied for it. One that died is given a second
   * chance.
   */
  private async answered(question: Question): Promise<Answer> {
    try {
      return await this.work(question);
    } catch (error) {
      const { name } = error as Error;
      if (name === 'DataCloneError') return this.work($state.snapshot(question) as Question);
      if (name === 'WorkerGone' && !this.closed) return this.work(question);
      throw error;
    }
  }
}
