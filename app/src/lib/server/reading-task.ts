import { checkShoot, jsonOf, readingJson, Refusal } from '@gentle-arc/core/formats';
import { clipped } from '@gentle-arc/core/model';
import { framesToRead, readShot } from '@gentle-arc/core/reading';

/** What a thread is asked: the body of a request, and which shot of it. */
export interface ReadingTask {
  text: string;
  /** Number of the shot from 1, as it was asked; null for all. */
  wanted: string | null;
}
export interface ReadingAnswer {
  status: number;
  body: string;
}

/**
 * Most frames that one request may ask for: a hundred shots of a minute at 24 a second. Each frame is about a kilobyte
 * of answer.
 */
export const MOST_FRAMES = 150_000;

export const refusal = (status: number, path: string, sentence: string): ReadingAnswer => ({
  status,
  body: JSON.stringify({ error: { path, sentence } }),
});

/** Reads the shots of a shoot file. Runs in a thread of its own: whatever it takes, nobody else waits for it. */
export default function read({ text, wanted }: ReadingTask): ReadingAnswer {
  try {
    const value = bodyOf(text);
    if (value instanceof Refusal) return refusal(400, 'body', value.message);
    const shoot = checkShoot(value);
    const all = shoot.shots.map((shot, i) => ({ shot, number: i + 1 }));
    const chosen = wanted === null ? all : all.filter(({ number }) => String(number) === wanted);
    if (wanted !== null && chosen.length === 0)
      return refusal(422, 'shot', `shot must be a whole number from 1 to ${all.length}; it is "${clipped(wanted)}".`);
    const frames = framesToRead(chosen.map(({ shot }) => shot));
    if (frames > MOST_FRAMES)
      return refusal(
        413,
        'shots',
        `This comes to ${frames} frames; at most ${MOST_FRAMES} are read at once: ask for one shot at a time with ?shot=, or make it shorter or at a lower rate.`,
      );
    return {
      status: 200,
      body: JSON.stringify({
        shoot: shoot.name,
        shots: chosen.map(({ shot, number }) => readingJson(number, shot, readShot(shoot, shot))),
      }),
    };
  } catch (error) {
    if (error instanceof Refusal) return refusal(422, error.problems[0].path, error.message);
    throw error;
  }
}

function bodyOf(text: string): unknown {
  try {
    return jsonOf(text);
  } catch (error) {
    if (error instanceof Refusal) return Refusal.of('body', error.message.replace('(the whole file)', 'The body'));
    throw error;
  }
}
