import { writeFileSync } from 'node:fs';
import { shootJsonSchema } from '../core/src/formats/shoot-file';

/** Writes the parts of docs/ that follow from the code. */
writeFileSync(new URL('../docs/shoot.schema.json', import.meta.url), JSON.stringify(shootJsonSchema(), null, 2) + '\n');
