export const MOST_BYTES = 5 * 1024 * 1024;

export class TooLarge extends Error {
  constructor() {
    super('The body must be at most 5 MB; send one shoot at a time.');
  }
}

/** The body of a request as text, read piece by piece so that a large one is refused before it is held. Throws `TooLarge` above 5 MB. */
export async function readBody(request: Request): Promise<string> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) throw new TooLarge();
  const reader = request.body?.getReader();
  if (!reader) return '';
  const decoder = new TextDecoder();
  let bytes = 0;
  let text = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    bytes += value.byteLength;
    if (bytes > MOST_BYTES) throw new TooLarge();
    text += decoder.decode(value, { stream: true });
  }
}
