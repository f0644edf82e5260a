import type { Problem } from '../model';

/** Something from outside that cannot be taken in. The message is a sentence that names the field and the mend. */
export class Refusal extends Error {
  override readonly name = 'Refusal';
  /** Every problem found, the first of which is the message. */
  readonly problems: Problem[];

  constructor(problems: Problem[]) {
    super(problems[0].sentence);
    this.problems = problems;
  }

  static of(path: string, sentence: string): Refusal {
    return new Refusal([{ path, sentence }]);
  }
}
