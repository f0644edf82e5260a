// One command from a fresh clone to the running demo.
import { build, installPackages } from './prepare.mjs';

installPackages();
build();
await import('./serve.mjs');
