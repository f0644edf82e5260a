import { Refusal } from '../formats';

/** The sentence with which something is refused. */
export function refusal(work: () => unknown): string {
  try {
    work();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'not refused';
}
