import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const SRC = new URL('.', import.meta.url).pathname;

/** What each folder may use besides itself: the arrows of docs/architecture.md. */
const MAY_USE: Record<string, string[]> = {
  model: [],
  optics: ['model'],
  site: ['model'],
  motion: ['model', 'optics', 'site'],
  screen: ['model', 'optics', 'site', 'motion'],
  rig: ['model', 'optics', 'site', 'motion'],
  reading: ['model', 'optics', 'site', 'motion', 'screen', 'rig'],
  search: ['model', 'optics', 'site', 'motion', 'screen', 'rig', 'reading'],
  formats: ['model', 'optics', 'site', 'motion', 'rig', 'reading', 'search'],
  cli: ['model', 'motion', 'reading', 'search', 'formats'],
};

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? sources(path) : path.endsWith('.ts') && !path.endsWith('.test.ts') ? [path] : [];
  });
}

describe('the walls of the core', () => {
  it.each(Object.keys(MAY_USE))('%s uses only what lies below it', (folder) => {
    for (const file of sources(join(SRC, folder)))
      for (const [, from] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
        const [used] = relative(SRC, resolve(dirname(file), from)).split('/');
        expect([folder, ...MAY_USE[folder]], `${relative(SRC, file)} uses ${used}`).toContain(used);
      }
  });
});
