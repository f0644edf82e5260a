import { readFileSync } from 'node:fs';
import { readShootFile } from '../formats';
import type { Shoot } from '../model';

/** The demo shoot as it ships. */
export const demoShoot = (): Shoot =>
  readShootFile(readFileSync(new URL('../../../demo/first-flush.arc.json', import.meta.url), 'utf8'));
