import { readFileSync, writeFileSync } from 'node:fs';
import { shootJsonSchema } from '../core/src/formats';
import { LIMIT_NAMES, LIMITS, shownLimit } from '../core/src/model';

/** Writes the parts of docs/ that follow from the code. */
writeFileSync(new URL('../docs/shoot.schema.json', import.meta.url), JSON.stringify(shootJsonSchema(), null, 2) + '\n');

const checks = new URL('../docs/checks.md', import.meta.url);
const rows = LIMIT_NAMES.map((name) => {
  const { label, value, source, group } = LIMITS[name];
  const shown = shownLimit(LIMITS[name]);
  return `| \`${name}\` | ${group} | ${label} | ${Number((value * shown.times).toPrecision(6))} ${shown.unit} | ${source} |`;
});
const table = [
  '| name in a file | about | limit | ships as | source |',
  '| --- | --- | --- | --- | --- |',
  ...rows,
].join('\n');
writeFileSync(
  checks,
  readFileSync(checks, 'utf8').replace(
    /<!-- limits -->[\s\S]*<!-- \/limits -->/,
    `<!-- limits -->\n${table}\n<!-- /limits -->`,
  ),
);
