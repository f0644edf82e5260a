export const MOST_BYTES = 5 * 1024 * 1024;
/**
 * What comes after the limit is let pass by unread, so that the answer reaches whoever is still sending; but not for
 * ever.
 */
const MOST_DRAINED_BYTES = 20 * MOST_BYTES;

export class TooLarge extends Error {
  constructor() {
    super('The body must be at most 5 MB; send one shoot at a time.');
  }
}

/**
 * The body of a request as text, read piece by piece so that a large one is never held. Throws `TooLarge` above 5 MB,
 * once the sender has finished.
 */
export async function readBody(request: Request): Promise<string> {
  const reader = request.body?.getReader();
  if (!reader) return '';
  const decoder = new TextDecoder();
  let bytes = 0;
  let text = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    bytes += value.byteLength;
    if (bytes > MOST_DRAINED_BYTES) {
      await reader.cancel();
      break;
    }
    text = bytes > MOST_BYTES ? '' : text + decoder.decode(value, { stream: true });
  }
  if (bytes > MOST_BYTES) throw new TooLarge();
  return text + decoder.decode();
}

/** Lets a body pass by unread. */
export async function drained(request: Request): Promise<void> {
  try {
    await readBody(request);
  } catch (error) {
    if (!(error instanceof TooLarge)) throw error;
  }
}
