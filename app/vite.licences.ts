import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import license, { type Dependency } from 'rollup-plugin-license';

/** Every package that a part of the build took something of: the pages, their workers, the server and its threads. docs/licences.md is made of it. */
const FILE = fileURLToPath(new URL('./.svelte-kit/shipped.json', import.meta.url));

/** A package that names no terms in its `package.json` is known by the words of its licence. */
function termsOf({ license: terms, licenseText }: Dependency): string {
  if (terms) return terms;
  const text = licenseText ?? '';
  if (!text.includes('Redistribution and use in source and binary forms')) return '';
  return /neither the name/i.test(text) ? 'BSD-3-Clause' : 'BSD-2-Clause';
}

function add(dependencies: Dependency[]): void {
  const known = existsSync(FILE) ? (JSON.parse(readFileSync(FILE, 'utf8')) as Record<string, string>) : {};
  for (const row of dependencies) if (row.name) known[`${row.name} ${row.version ?? ''}`] = termsOf(row);
  mkdirSync(dirname(FILE), { recursive: true });
  writeFileSync(
    FILE,
    JSON.stringify(Object.fromEntries(Object.entries(known).sort(([a], [b]) => (a < b ? -1 : 1))), null, 2),
  );
}

export const shippedLicences = () => license({ thirdParty: { includePrivate: false, output: add } });
