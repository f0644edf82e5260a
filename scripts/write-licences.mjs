// Writes docs/licences.md: the packages of which something ships, from what the build took in (app/vite.licences.ts).
// Needs a build.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format } from 'prettier';
import { root } from './prepare.mjs';

/** What the server loads from node_modules instead of its own files, and the fonts, which style sheets name. */
const BESIDE = ['piscina', '@fontsource-variable/atkinson-hyperlegible-next', '@fontsource-variable/fraunces'];

const shipped = JSON.parse(readFileSync(join(root, 'app/.svelte-kit/shipped.json'), 'utf8'));
for (const name of BESIDE) {
  const { version, license } = JSON.parse(readFileSync(join(root, 'node_modules', name, 'package.json'), 'utf8'));
  shipped[`${name} ${version}`] = license;
}
const rows = Object.entries(shipped)
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([key, license]) => `| ${key.split(' ')[0]} | ${license} |`);
const text = `# Licences of what ships

Packages of which something is in the pages, their workers, the server or its threads. Written by
\`node scripts/write-licences.mjs\` from what the build took in; a test holds the two together. Each package's own
text is in its folder of \`node_modules\`.
The component library names a chart package (apexcharts) that is not free for all; \`overrides\` in \`package.json\`
keeps it out of the install, and nothing of it is built in.

| package | licence |
| --- | --- |
${rows.join('\n')}
`;
writeFileSync(join(root, 'docs/licences.md'), await format(text, { parser: 'markdown', proseWrap: 'preserve' }));
