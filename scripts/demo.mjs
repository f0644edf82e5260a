// One command from a fresh clone to the running demo.
import { build, installPackages } from './prepare.mjs';

await installPackages();
await build();
await import('./serve.mjs');
