// What `npm run demo` and `npm test` share: everything they need is installed by themselves.
import { spawn } from 'node:child_process';
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

/**
 * Runs a command with all its children and gives its status; what takes longer than it may is ended, and said, so that a
 * hang is a failure with a name. `hear`: kept until it is done, for what runs beside others.
 */
export function run(command, args, { minutes = 10, env = {}, hear = false } = {}) {
  return new Promise((resolve, reject) => {
    const stdio = hear ? ['ignore', 'pipe', 'pipe'] : 'inherit';
    const child = spawn(command, args, { cwd: root, stdio, detached: true, env: { ...process.env, ...env } });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (text) => (said += text));
    const end = () => process.kill(-child.pid, 'SIGKILL');
    const tooLong = setTimeout(() => {
      const sentence = `${[command, ...args].join(' ')}: not done after ${minutes} minutes, ended.`;
      if (hear) said += sentence;
      else console.log(sentence);
      end();
    }, minutes * 60_000);
    const interrupted = () => {
      end();
      process.exit(130);
    };
    process.once('SIGINT', interrupted).once('SIGTERM', interrupted);
    const over = () => {
      clearTimeout(tooLong);
      process.off('SIGINT', interrupted).off('SIGTERM', interrupted);
    };
    child.on('error', (error) => {
      over();
      reject(error);
    });
    child.on('close', (status) => {
      over();
      resolve({ status: status ?? 1, said });
    });
  });
}

const newest = (path) => (existsSync(path) ? statSync(path).mtimeMs : 0);

/** Tries twice: a registry that does not answer now may do so in a moment. */
async function insistently(command, args, env) {
  const first = await run(command, args, { minutes: 5, env });
  return first.status === 0 ? first : run(command, args, { minutes: 5, env });
}

export async function installPackages() {
  if (newest(join(root, 'node_modules/.package-lock.json')) >= newest(join(root, 'package-lock.json'))) return;
  console.log('Installing packages…');
  const { status } = await insistently('npm', ['ci', '--no-audit', '--no-fund']);
  if (status !== 0) throw new Error('The packages could not be installed.');
}

export async function installChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log('Installing Chromium from Debian…');
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await insistently('apt-get', ['update', '-qq'], env);
  const { status } = await insistently('apt-get', ['install', '-y', '-qq', 'chromium'], env);
  if (status !== 0) throw new Error('Chromium could not be installed; install the package "chromium" by hand.');
}

function newestBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).reduce((latest, entry) => {
    const path = join(folder, entry.name);
    return Math.max(latest, entry.isDirectory() ? newestBelow(path) : newest(path));
  }, 0);
}

/** Builds the app unless the build is newer than every source. `hear`: gives what is said while building. */
export async function build({ hear = false } = {}) {
  const sources = ['app/src', 'app/static', 'core/src', 'demo'].map((folder) => newestBelow(join(root, folder)));
  const built = newest(join(root, 'app/build/index.js'));
  if (built > Math.max(...sources, newest(join(root, 'package-lock.json')))) return '';
  if (!hear) console.log('Building…');
  const { status, said } = await run('npm', ['run', '-s', 'build'], { hear });
  if (status !== 0) throw new Error(`The build failed.\n${said}`);
  return said;
}
