import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const CORE = new URL('.', import.meta.url).pathname;
const APP = new URL('../../app/src/lib/', import.meta.url).pathname;

/** The rooms of the core from the ground up: each may use those before it. See docs/architecture.md. */
const ROOMS = [
  'model',
  'optics',
  'light',
  'site',
  'scene',
  'motion',
  'image',
  'supports',
  'findings',
  'edit',
  'reading',
  'search',
  'sequence',
  'day',
  'rehearse',
  'take',
  'formats',
  'cli',
];
/** The floors of the app, from the ground up; `server` stands apart and uses none of them. */
const FLOORS = ['ui', 'workers', 'session', 'views', 'screens'];

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /\.(ts|svelte)$/.test(path) && !path.endsWith('.test.ts') ? [path] : [];
  });
}
/** Every path that a file names in an import. */
const named = (file: string): string[] =>
  [...readFileSync(file, 'utf8').matchAll(/(?:from|import\()\s*'([^']+)'/g)].map(([, path]) => path);

describe('the walls of the core', () => {
  it.each(ROOMS)('%s uses only what lies below it, and that by its face', (room) => {
    const below = ROOMS.slice(0, ROOMS.indexOf(room) + 1);
    for (const file of sources(join(CORE, room)))
      for (const path of named(file).filter((name) => name.startsWith('.'))) {
        const used = relative(CORE, resolve(dirname(file), path));
        expect(below, `${relative(CORE, file)} uses ${used}`).toContain(used.split('/')[0]);
        if (!used.startsWith(`${room}/`))
          expect(used, `${relative(CORE, file)} reaches into ${used}`).not.toContain('/');
      }
  });
  it.each(ROOMS.filter((room) => room !== 'cli'))('%s says at its face what it is, with an example', (room) => {
    expect(readFileSync(join(CORE, room, 'index.ts'), 'utf8')).toMatch(
      /^\/\*\*\n \* [A-Z].*\n \*\n \* @example\n \* \S/,
    );
  });
});

describe('the walls of the app', () => {
  const floorOf = (path: string) => relative(APP, path).split('/')[0];
  const resolved = (file: string, path: string): string | null =>
    path.startsWith('$lib/') ? join(APP, path.slice(5)) : path.startsWith('.') ? resolve(dirname(file), path) : null;

  it.each(FLOORS)('%s uses only what lies below it; no screen knows another', (floor) => {
    const below = FLOORS.slice(0, FLOORS.indexOf(floor) + 1);
    for (const file of sources(join(APP, floor)))
      for (const path of named(file)) {
        const used = resolved(file, path);
        if (used === null || !used.startsWith(APP)) continue;
        expect(below, `${relative(APP, file)} uses ${path}`).toContain(floorOf(used));
        if (floor !== 'screens') continue;
        const [, mine] = relative(APP, file).split('/');
        const [, theirs] = relative(APP, used).split('/');
        if (floorOf(used) === 'screens') expect(theirs, `${relative(APP, file)} uses ${path}`).toBe(mine);
      }
  });
  it('reaches into no room of the core', () => {
    for (const file of sources(APP))
      for (const path of named(file).filter((name) => name.startsWith('@gentle-arc/core/')))
        expect(path.slice(17), `${relative(APP, file)} uses ${path}`).not.toContain('/');
  });
});
