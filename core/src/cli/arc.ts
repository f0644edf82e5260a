import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { writePathCsv } from '../formats/path-csv';
import { writePathGltf } from '../formats/path-gltf';
import { movesJson } from '../formats/moves-json';
import { readingJson } from '../formats/reading-json';
import { Refusal } from '../formats/refusal';
import { readShootFile, shootJsonSchema } from '../formats/shoot-file';
import { setupOf, type Shoot } from '../model/shoot';
import type { Shot } from '../model/shot';
import { sampleShot } from '../motion/sample';
import { readShot } from '../reading/read-shot';
import { curesFor } from '../search/cures';

const USAGE = `arc, the core of Gentle Arc from a terminal

  arc read <shoot file> [--shot <number>] [--cures]   samples, subject, screen speeds and findings as JSON
  arc path <shoot file> --shot <number> --format csv|gltf   the camera path of one shot
  arc check <shoot file>                              is the file in order?
  arc moves                                           every move: name, family, parameters with units and ranges, as JSON
  arc schema                                          the JSON Schema of a shoot file

Shots are counted from 1. Formats: docs/formats.md.
`;

/** Runs one command line and gives what goes to standard output. Throws a `Refusal` for bad input. */
export async function run(args: string[]): Promise<string> {
  const { values, positionals } = readArguments(args);
  const [command, file, ...rest] = positionals;
  if (values.help || command === undefined || command === 'help') return USAGE;
  if (rest.length > 0) throw Refusal.of('arguments', `arguments: "${rest[0]}" is one too many; quote a file name that has spaces.`);
  if (command === 'moves') return print({ moves: movesJson() });
  if (command === 'schema') return print(shootJsonSchema());
  if (!['read', 'path', 'check'].includes(command)) throw Refusal.of('command', `command must be read, path, check, moves or schema; it is "${command}".`);
  if (file === undefined) throw Refusal.of('shoot file', `shoot file is missing: arc ${command} <shoot file>.`);
  const shoot = readShootFile(readText(file));
  if (command === 'check') return print({ file, valid: true, name: shoot.name, version: shoot.version, shots: shoot.shots.length, pieces: shoot.site.pieces.length });
  if (command === 'read') {
    const chosen = values.shot === undefined ? shoot.shots.map((shot, i) => ({ shot, number: i + 1 })) : [numbered(shoot, values.shot)];
    const shots = chosen.map(({ shot, number }) => {
      const reading = readShot(shoot, shot);
      const cures = values.cures ? reading.findings.flatMap((finding) => curesFor(shoot, shot, finding)) : [];
      return readingJson(number, shot, reading, cures);
    });
    return print({ shoot: shoot.name, shots });
  }
  if (values.shot === undefined) throw Refusal.of('--shot', `--shot is missing: choose a shot from 1 to ${shoot.shots.length}.`);
  const { shot } = numbered(shoot, values.shot);
  const setup = setupOf(shoot, shot);
  if (values.format === 'csv') return writePathCsv(sampleShot(setup));
  if (values.format === 'gltf') return (await writePathGltf(setup, sampleShot(setup))) + '\n';
  throw Refusal.of('--format', `--format must be csv or gltf; it is ${values.format === undefined ? 'missing' : `"${values.format}"`}.`);
}

const print = (value: unknown): string => JSON.stringify(value, null, 1) + '\n';

function readArguments(args: string[]) {
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: { shot: { type: 'string' }, format: { type: 'string' }, cures: { type: 'boolean' }, help: { type: 'boolean', short: 'h' } },
    });
  } catch (error) {
    throw Refusal.of('arguments', `arguments: ${(error as Error).message.split('\n')[0].replace(/\.?$/, '.')}`);
  }
}

function readText(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    throw Refusal.of('shoot file', `shoot file "${file}" cannot be read (${(error as NodeJS.ErrnoException).code ?? (error as Error).message}).`);
  }
}

function numbered(shoot: Shoot, text: string): { shot: Shot; number: number } {
  const number = Number(text);
  const shot = Number.isInteger(number) ? shoot.shots[number - 1] : undefined;
  if (!shot) throw Refusal.of('--shot', `--shot must be a whole number from 1 to ${shoot.shots.length}; it is "${text}".`);
  return { shot, number };
}

/** As a program: results on standard output; bad input is one line on standard error and exit status 2. */
async function main(): Promise<void> {
  try {
    process.stdout.write(await run(process.argv.slice(2)));
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    process.stderr.write(`arc: ${error.message.replaceAll('\n', ' ')}\n`);
    process.exitCode = 2;
  }
}

if (process.argv[1] && import.meta.filename === process.argv[1]) await main();
