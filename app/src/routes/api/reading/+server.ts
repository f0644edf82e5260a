import { readBody, TooLarge } from '$lib/server/body';
import { readInPool } from '$lib/server/reading-pool';
import { refusal } from '$lib/server/reading-task';

/** `POST /api/reading`: a shoot file in, the reading of every shot (or of `?shot=n`) out. */
export async function POST({ request, url }) {
  const { status, body } = await answer(request, url.searchParams.get('shot'));
  return new Response(body, {
    status,
    headers: { 'content-type': 'application/json', ...(status === 503 ? { 'retry-after': '5' } : {}) },
  });
}

async function answer(request: Request, wanted: string | null) {
  // The server hands on no body whose type it is not told.
  if (request.headers.get('content-type') === null)
    return refusal(415, 'content-type', 'content-type must be application/json; the request names none.');
  try {
    return await readInPool({ text: await readBody(request), wanted });
  } catch (error) {
    if (error instanceof TooLarge) return refusal(413, 'body', error.message);
    throw error;
  }
}
