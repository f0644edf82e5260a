/** Answers to questions that come faster than they can be answered: while one is worked on only the latest waits. */
export class Latest<Question, Answer> {
  answer: Answer | null = $state.raw(null);
  problem: string | null = $state(null);

  private waiting: Question | null = null;
  private busy = false;

  constructor(private readonly work: (question: Question) => Promise<Answer>) {}

  ask(question: Question): void {
    this.waiting = question;
    if (!this.busy) void this.run();
  }

  private async run(): Promise<void> {
    this.busy = true;
    while (this.waiting !== null) {
      const question = this.waiting;
      this.waiting = null;
      try {
        this.answer = await this.work(question);
        this.problem = null;
      } catch (error) {
        this.problem = (error as Error).message;
      }
    }
    this.busy = false;
  }
}
