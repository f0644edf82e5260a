// What the app is made of, after a build: the list that the service worker keeps for when there is no network.
import { readdirSync, statSync, writeFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { root } from './prepare.mjs';

const client = join(root, 'app/build/client');
/** Larger files are kept when they are first used. */
const MOST_BYTES = 3_000_000;

function files(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? files(path) : [path];
  });
}
const names = files(client)
  .filter((path) => !/\.(br|gz|map)$|\.vite[/\\]|service-worker\.js$|precache\.json$/.test(path))
  .filter((path) => statSync(path).size <= MOST_BYTES)
  .map((path) => '/' + relative(client, path).split(sep).join('/'))
  .sort();
writeFileSync(join(client, 'precache.json'), JSON.stringify(names));
