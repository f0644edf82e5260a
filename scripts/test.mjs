// Everything that must hold: types, lint, units, the built app in a real browser. Ends with one line of counts.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, installChromium, installPackages, root, run } from './prepare.mjs';

const counts = { passed: 0, failed: 0 };

const began = Date.now();
/** What begins or is done now, and how long all has taken until then. */
function told(name) {
  const seconds = Math.round((Date.now() - began) / 1000);
  console.log(`\n== ${name} (${Math.floor(seconds / 60)} min ${seconds % 60} s)`);
}

/** Steps that pass or fail as a whole, one after the other; what each says comes when it is done. */
async function steps(rows) {
  for (const [name, command, args] of rows) {
    const { status, said } = await run(command, args, { hear: true });
    told(name);
    console.log(said);
    counts[status === 0 ? 'passed' : 'failed'] += 1;
    if (status !== 0) console.log(`${name}: failed`);
  }
}

/** A runner that counts its own tests and leaves them in a JSON file. */
async function runner(name, minutes, args, report, count) {
  told(name);
  const file = join(root, report);
  rmSync(file, { force: true });
  const { status } = await run('npx', args, { minutes });
  let found;
  try {
    found = count(JSON.parse(readFileSync(file, 'utf8')));
  } catch (error) {
    console.log(`${name}: left no readable report (${error.message})`);
    found = { passed: 0, failed: 1 };
  }
  counts.passed += found.passed;
  counts.failed += found.failed === 0 && status !== 0 ? 1 : found.failed;
}

await installPackages();
await installChromium();
mkdirSync(join(root, 'test-results'), { recursive: true });

// What the app's routes are called is written first: types and lint both read it.
await run('npm', ['exec', '-w', 'app', '--', 'svelte-kit', 'sync']);
const units = () =>
  runner(
    'units',
    15,
    ['vitest', 'run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
    'test-results/unit.json',
    (report) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests + report.numFailedTestSuites * (report.numFailedTests === 0 ? 1 : 0),
    }),
  );
let built = false;
async function app() {
  const said = await build({ hear: true }).then(
    (said) => {
      built = true;
      return said;
    },
    (error) => {
      counts.failed += 1;
      return error.message;
    },
  );
  told('build');
  console.log(said);
}
// Most of these keep one processor busy: two lanes.
await Promise.all([
  steps([['types', 'npm', ['run', '-s', 'check']]]).then(app),
  steps([
    ['lint', 'npx', ['eslint', '.']],
    ['format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
  ]).then(units),
]);
if (built)
  await runner('interface', 35, ['playwright', 'test'], 'test-results/e2e.json', ({ stats }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
  }));

told('done');
console.log(`\ntests: ${counts.passed} passed, ${counts.failed} failed`);
process.exitCode = counts.failed ? 1 : 0;
