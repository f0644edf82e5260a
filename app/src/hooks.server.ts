import type { Handle } from '@sveltejs/kit';
import { drained } from '$lib/server/body';

const CHANGES = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/** Whether a request comes from a page of somebody else. Programs send no origin; a browser always does. */
function fromElsewhere(request: Request, url: URL): boolean {
  if (request.headers.get('sec-fetch-site') === 'cross-site') return true;
  const origin = request.headers.get('origin');
  if (origin === null) return false;
  const host = request.headers.get('host');
  return origin !== url.origin && origin !== `http://${host}` && origin !== `https://${host}`;
}

/** Whether every percent sign of an address stands for something: a page cannot find out where it is otherwise. */
function isReadable(pathname: string): boolean {
  try {
    return decodeURI(pathname) !== '';
  } catch {
    return false;
  }
}

/** A request that asks for work is refused when a page of another origin sends it. */
export const handle: Handle = async ({ event, resolve }) => {
  if (!isReadable(event.url.pathname)) return new Response(null, { status: 307, headers: { location: '/nowhere' } });
  if (!CHANGES.has(event.request.method) || !fromElsewhere(event.request, event.url)) return resolve(event);
  // What is still being sent is let pass by, so that the refusal arrives.
  await drained(event.request);
  return new Response(
    JSON.stringify({
      error: {
        path: 'origin',
        sentence: 'This server answers its own pages and programs, not the pages of another origin.',
      },
    }),
    {
      status: 403,
      headers: { 'content-type': 'application/json' },
    },
  );
};
