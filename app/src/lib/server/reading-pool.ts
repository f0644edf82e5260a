import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import { refusal, type ReadingAnswer, type ReadingTask } from './reading-task';

/** One processor is left for everybody else's answers. */
const THREADS = Math.max(1, availableParallelism() - 1);
const MOST_WAITING = 40;
const MOST_MS = 20_000;
const MOST_HEAP_MB = 512;

let pool: Piscina<ReadingTask, ReadingAnswer> | null = null;
/** Readings that run or wait. */
let inHand = 0;

function threads(): Piscina<ReadingTask, ReadingAnswer> {
  pool ??= new Piscina({
    // The build puts the thread's script beside the server; see vite.thread.config.ts.
    filename: resolve(process.env.READING_THREAD ?? 'build/reading-thread.js'),
    minThreads: 1,
    maxThreads: THREADS,
    maxQueue: MOST_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: MOST_HEAP_MB },
    niceIncrement: 5,
  });
  return pool;
}

/**
 * Reads in one of a few threads: waits in a short line, works within limits of time and memory, and is answered with a
 * sentence when that is not enough.
 */
export async function readInPool(task: ReadingTask): Promise<ReadingAnswer> {
  if (threads().queueSize >= MOST_WAITING) return busy();
  inHand += 1;
  try {
    // The time counts from when the work may begin, however long the line before it.
    return await readWithin(MOST_MS * Math.ceil(inHand / THREADS), task);
  } finally {
    inHand -= 1;
  }
}

async function readWithin(limitMs: number, task: ReadingTask): Promise<ReadingAnswer> {
  const signal = new AbortController();
  let late = false;
  const timer = setTimeout(() => {
    late = true;
    signal.abort();
  }, limitMs);
  try {
    return await threads().run(task, { signal: signal.signal });
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    if (late)
      return refusal(
        413,
        'shots',
        `Reading this takes longer than ${MOST_MS / 1000} s here: ask for one shot at a time with ?shot=, or shorter ones.`,
      );
    if (code === 'ERR_WORKER_OUT_OF_MEMORY')
      return refusal(
        413,
        'shots',
        'Reading this takes more memory than there is here: ask for one shot at a time with ?shot=, or shorter ones.',
      );
    if (/queue/i.test(message)) return busy();
    throw error;
  } finally {
    clearTimeout(timer);
  }
}

const busy = (): ReadingAnswer =>
  refusal(503, 'server', 'The server has enough to read for now: try again in a few seconds.');
