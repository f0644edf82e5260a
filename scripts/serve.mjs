// Starts the built app and prints its address. PORT chooses the port; the next free one is taken when it is in use.
import { createServer } from 'node:net';

const free = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

let port = Number(process.env.PORT ?? 4173);
while (!(await free(port))) port += 1;
process.env.PORT = String(port);
process.env.HOST ??= '127.0.0.1';
process.env.ORIGIN ??= `http://localhost:${port}`;
process.env.BODY_SIZE_LIMIT ??= '6M';
await import('../app/build/index.js');
console.log(`\nGentle Arc with the demo shoot "First Flush": http://localhost:${port}\n`);
