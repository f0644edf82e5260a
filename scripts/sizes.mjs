// What a page's first visit loads, after a build: its script and its styles, as they come over the wire.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root } from './prepare.mjs';

const client = join(root, 'app/.svelte-kit/output/client');
const manifest = JSON.parse(readFileSync(join(client, '.vite/manifest.json'), 'utf8'));
const nodes = join(root, 'app/.svelte-kit/generated/client-optimized/nodes');

/** Files that an entry of the manifest brings with it, itself included. */
function files(key, seen = new Set()) {
  const { file, imports = [], css = [] } = manifest[key];
  if (seen.has(file)) return seen;
  seen.add(file);
  css.forEach((sheet) => seen.add(sheet));
  imports.forEach((name) => files(name, seen));
  return seen;
}

const compressed = (names) =>
  names.reduce((sum, name) => sum + gzipSync(readFileSync(join(client, name))).length, 0) / 1000;

/** The entries of the frame of every page, and of the layouts and the page itself. */
function page(...routes) {
  const entries = Object.keys(manifest).filter((key) => manifest[key].isEntry && !/nodes\//.test(key));
  const parts = Object.keys(manifest).filter((key) => /nodes\/\d+\.js$/.test(key) && routes.includes(routeOf(key)));
  return [...new Set([...entries, ...parts].flatMap((key) => [...files(key)]))];
}

function routeOf(key) {
  const text = readFileSync(join(nodes, key.split('/').at(-1)), 'utf8');
  return /src\/routes\/(.*?)\.svelte/.exec(text)?.[1];
}

const inShoot = ['+layout', '+error', 'shoot/[shootId]/+layout'];
const shot = 'shoot/[shootId]/shot/[shotId]';
const PAGES = {
  'the first page': ['+layout', '+error', '+page'],
  Shots: [...inShoot, 'shoot/[shootId]/+page'],
  Move: [...inShoot, `${shot}/+layout`, `${shot}/+page`],
  Lens: [...inShoot, `${shot}/+layout`, `${shot}/lens/+page`],
  Kit: [...inShoot, 'shoot/[shootId]/kit/+page'],
};
console.log('\ncompressed, of the first visit:      script     styles');
for (const [name, routes] of Object.entries(PAGES)) {
  const all = page(...routes);
  const [script, styles] = ['.js', '.css'].map((end) => compressed(all.filter((file) => file.endsWith(end))));
  console.log(`${name.padEnd(34)} ${script.toFixed(0).padStart(5)} kB   ${styles.toFixed(0).padStart(5)} kB`);
}
