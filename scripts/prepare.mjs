// What `npm run demo` and `npm test` share: everything they need is installed by themselves.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
export const CHROMIUM = '/usr/bin/chromium';
/** WebGL 2 in software, and nothing that asks the network at start. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--enable-unsafe-swiftshader',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
  return status ?? 1;
}

/** Runs beside others and keeps what it says until it is done. */
export function heard(command, args) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
    child.on('error', reject);
    child.on('close', (status) => resolve({ status: status ?? 1, said }));
  });
}

const newest = (path) => (existsSync(path) ? statSync(path).mtimeMs : 0);

export function installPackages() {
  if (newest(join(root, 'node_modules/.package-lock.json')) >= newest(join(root, 'package-lock.json'))) return;
  console.log('Installing packages…');
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) throw new Error('The packages could not be installed.');
}

export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log('Installing Chromium from Debian…');
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], env);
  if (run('apt-get', ['install', '-y', '-qq', 'chromium'], env) !== 0)
    throw new Error('Chromium could not be installed; install the package "chromium" by hand.');
}

function newestBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).reduce((latest, entry) => {
    const path = join(folder, entry.name);
    return Math.max(latest, entry.isDirectory() ? newestBelow(path) : newest(path));
  }, 0);
}

/** Builds the app unless the build is newer than every source. */
export function build() {
  const sources = ['app/src', 'app/static', 'core/src', 'demo'].map((folder) => newestBelow(join(root, folder)));
  const built = newest(join(root, 'app/build/index.js'));
  if (built > Math.max(...sources, newest(join(root, 'package-lock.json')))) return;
  console.log('Building…');
  if (run('npm', ['run', '-s', 'build']) !== 0) throw new Error('The build failed.');
}
