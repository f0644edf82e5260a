// Starts the built app and prints its address. PORT chooses the port; the next free one is taken when it is in use.
import { createServer } from 'node:http';
import { createServer as probeServer } from 'node:net';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const free = (port) =>
  new Promise((resolve) => {
    const probe = probeServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

/**
 * On every answer, files and routes alike; a page's own policy (with the hashes of its scripts) takes the place of this
 * one.
 */
const HEADERS = {
  'content-security-policy':
    "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; " +
    "object-src 'none'; base-uri 'self'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'permissions-policy':
    'camera=(), microphone=(), geolocation=(self), accelerometer=(self), gyroscope=(self), payment=(), usb=()',
  'cross-origin-opener-policy': 'same-origin',
};

/**
 * What follows points in a clip is compiled in the browser and makes small functions as it starts: its own worker may, and
 * nothing else.
 */
const CLIP_WORKER = /\/workers\/clip\.worker-[^/]*\.js$/;
const CLIP_POLICY =
  "default-src 'self'; script-src 'self' 'unsafe-eval' 'wasm-unsafe-eval'; connect-src 'self' data: blob:; object-src 'none'";

const host = process.env.HOST ?? '127.0.0.1';
let port = Number(process.env.PORT ?? 4173);
while (!(await free(port))) port += 1;
process.env.ORIGIN ??= `http://localhost:${port}`;
// The routes refuse what is too large themselves, with a sentence.
process.env.BODY_SIZE_LIMIT = 'Infinity';
const build = fileURLToPath(new URL('../app/build', import.meta.url));
process.env.READING_THREAD ??= join(build, 'reading-thread.js');
const { handler } = await import(join(build, 'handler.js'));

const server = createServer((request, response) => {
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  if (CLIP_WORKER.test(request.url ?? '')) response.setHeader('content-security-policy', CLIP_POLICY);
  handler(request, response, () => {
    response.statusCode = 404;
    response.end('Not found');
  });
});
server.listen(port, host, () =>
  console.log(`\nGentle Arc with the demo shoot "First Flush": http://localhost:${port}\n`),
);

/** Takes no more, finishes what runs, and ends. */
function stop() {
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  // Connections that are kept open are closed as soon as their answer is out.
  setInterval(() => server.closeIdleConnections(), 200).unref();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
