// Everything that must hold: types, lint, units, the built app in a real browser. Ends with one line of counts.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, heard, installChromium, installPackages, root, run } from './prepare.mjs';

const counts = { passed: 0, failed: 0 };

/** Steps that pass or fail as a whole, one after the other; what each says comes when it is done. */
async function steps(rows) {
  for (const [name, command, args] of rows) {
    const { status, said } = await heard(command, args);
    console.log(`\n== ${name}\n${said}`);
    counts[status === 0 ? 'passed' : 'failed'] += 1;
    if (status !== 0) console.log(`${name}: failed`);
  }
}

/** A runner that counts its own tests and leaves them in a JSON file. */
function runner(name, args, report, count) {
  console.log(`\n== ${name}`);
  const file = join(root, report);
  rmSync(file, { force: true });
  const status = run('npx', args);
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

installPackages();
installChromium();
mkdirSync(join(root, 'test-results'), { recursive: true });

// What the app's routes are called is written first: types and lint both read it.
run('npm', ['exec', '-w', 'app', '--', 'svelte-kit', 'sync']);
// Each of these keeps one processor busy: two lanes.
await Promise.all([
  steps([['types', 'npm', ['run', '-s', 'check']]]),
  steps([
    ['lint', 'npx', ['eslint', '.']],
    ['format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
  ]),
]);
runner(
  'units',
  ['vitest', 'run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
  'test-results/unit.json',
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numFailedTestSuites * (report.numFailedTests === 0 ? 1 : 0),
  }),
);
build();
runner('interface', ['playwright', 'test'], 'test-results/e2e.json', ({ stats }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected,
}));

console.log(`\ntests: ${counts.passed} passed, ${counts.failed} failed`);
process.exitCode = counts.failed ? 1 : 0;
