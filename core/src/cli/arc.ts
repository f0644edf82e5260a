import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import * as z from 'zod';
import {
  boardJson,
  buildJson,
  exposureJson,
  focusJson,
  joinsJson,
  lightJson,
  lensJson,
  movesJson,
  readingJson,
  readShootFile,
  Refusal,
  shootJsonSchema,
  timeJson,
  writeCutCsv,
  writeCutOtio,
  writePathCsv,
  writePathGltf,
} from '../formats';
import { type Filter, type Shoot, type Shot, trim } from '../model';
import { sceneOf } from '../scene';
import { readShot } from '../reading';
import { curesFor } from '../search';
import { supportOf } from '../supports';
import { clipCommand } from './clip-command';
import { dayCommand } from './day-command';
import { rehearseCommand } from './rehearse-command';
import { takeCommand } from './take-command';

const USAGE = `arc, the core of Gentle Arc from a terminal

  arc read <shoot file> [--shot <number>] [--cures]   samples, subject, screen speeds and findings as JSON
  arc path <shoot file> --shot <number> --format csv|gltf   the camera path of one shot
  arc lens <shoot file> --shot <number> [--focal 16,24,50] [--by spot|framing]   focal lengths compared on one shot
  arc focus <shoot file> --shot <number>              focus over one shot: sharp band, pull, marks
  arc exposure <shoot file> --shot <number> [--ev 15] [--iso 100] [--nd 3,6,10] [--mains 50]
                                                      what light asks of shutter, stop and filters
  arc light <shoot file> [--shot <number>] [--at 2026-06-01T18:00:00Z]
                                                      sun, light of the day, and over a shot its side and brightness
  arc time <shoot file> --shot <number>               seconds of action against seconds on screen, frames, card, buffer
  arc balance <shoot file> --build <number>           a sled or motor gimbal of the kit: balance, what to slide, checklist
  arc stand <shoot file> --build <number>             a jib, slider, arm, rope, drone or wheels: what stands and what it takes
  arc board <shoot file>                              the shots in story order: sizes, direction, seconds in the cut
  arc joins <shoot file>                              how each shot meets the next, judged
  arc cut <shoot file> --format otio|csv              the cut as OpenTimelineIO JSON, or CSV with timecodes
  arc day <shoot file> [--order story|best] [--late 20] [--format json|ics|csv]
                                                      the day of shooting: the order that gets it all, and what cannot
  arc marks <shoot file> --shot <number>              the count of one shot, and its marks: rail, floor, head, ring, frame
  arc sticks <shoot file> --shot <number> [--layout 1|2|3|4]   what every hand does over one shot, and with which stick
  arc score <shoot file> --shot <number> --flown <path.csv>    a way that was flown, held against the plan: 0 to 100
  arc take <shoot file> --shot <number> --motion <log.csv|log.gpx> [--columns gyroX=wx,…] [--units gyro=degps,accel=g]
          [--mount upright|sideways|flat|asCamera]    a recording of what was done, held against the plan
  arc clip <folder of numbered PNG> [--fps 25]        motion of the picture’s content, frame by frame and in all
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
  if (rest.length > 0)
    throw Refusal.of('arguments', `arguments: "${rest[0]}" is one too many; quote a file name that has spaces.`);
  if (command === 'moves') return print({ moves: movesJson() });
  if (command === 'schema') return print(shootJsonSchema());
  if (
    ![
      'read',
      'path',
      'check',
      'lens',
      'focus',
      'exposure',
      'time',
      'light',
      'balance',
      'stand',
      'board',
      'joins',
      'cut',
      'day',
      'marks',
      'sticks',
      'score',
      'take',
      'clip',
    ].includes(command)
  )
    throw Refusal.of(
      'command',
      'command must be read, path, lens, focus, exposure, time, light, balance, stand, board, joins, cut, day, marks, sticks, score, take, clip, check, moves or schema; it ' +
        `is "${command}".`,
    );
  if (file === undefined)
    throw command === 'clip'
      ? Refusal.of('folder', 'folder is missing: arc clip <folder of numbered PNG>.')
      : Refusal.of('shoot file', `shoot file is missing: arc ${command} <shoot file>.`);
  if (command === 'clip') return print(await clipCommand(file, values.fps));
  const shoot = readShootFile(readText(file));
  if (command === 'check')
    return print({
      file,
      valid: true,
      name: shoot.name,
      version: shoot.version,
      shots: shoot.shots.length,
      pieces: shoot.site.pieces.length,
    });
  if (command === 'read') {
    const chosen =
      values.shot === undefined
        ? shoot.shots.map((shot, i) => ({ shot, number: i + 1 }))
        : [numbered(shoot, values.shot)];
    const shots = chosen.map(({ shot, number }) => {
      const reading = readShot(shoot, shot);
      const cures = values.cures ? reading.findings.flatMap((finding) => curesFor(shoot, shot, finding)) : [];
      return readingJson(number, shot, reading, cures);
    });
    return print({ shoot: shoot.name, shots });
  }
  if (command === 'day') return dayCommand(shoot, values);
  if (command === 'board') return print(boardJson(shoot));
  if (command === 'joins') return print(joinsJson(shoot));
  if (command === 'cut') {
    if (values.format === 'otio') return writeCutOtio(shoot);
    if (values.format === 'csv') return writeCutCsv(shoot);
    throw Refusal.of(
      '--format',
      `--format must be otio or csv; it is ${values.format === undefined ? 'missing' : `"${values.format}"`}.`,
    );
  }
  if (command === 'light') {
    const at = values.at === undefined ? null : new Date(values.at);
    if (values.at !== undefined && !z.iso.datetime({ offset: true }).safeParse(values.at).success)
      throw Refusal.of('--at', `--at must be a moment such as 2026-06-01T18:00:00Z; it is "${values.at}".`);
    return print(lightJson(shoot, values.shot === undefined ? null : numbered(shoot, values.shot).shot, at));
  }
  if (command === 'balance' || command === 'stand') return print(buildCommand(shoot, command, values.build));
  if (values.shot === undefined)
    throw Refusal.of('--shot', `--shot is missing: choose a shot from 1 to ${shoot.shots.length}.`);
  const { shot } = numbered(shoot, values.shot);
  if (command === 'marks' || command === 'sticks' || command === 'score')
    return print(rehearseCommand(command, shoot, shot, values, readText));
  if (command === 'take') return print(takeCommand(shoot, shot, values, readText));
  if (command === 'lens') {
    if (values.by !== undefined && values.by !== 'spot' && values.by !== 'framing')
      throw Refusal.of('--by', `--by must be spot or framing; it is "${values.by}".`);
    return print(
      lensJson(shoot, shot, numbers('--focal', values.focal ?? '16,24,35,50,70,85', 1, 3000), values.by ?? 'framing'),
    );
  }
  if (command === 'focus') return print(focusJson(shoot, shot));
  if (command === 'exposure') {
    const [ev100] = numbers('--ev', values.ev ?? `${shot.light.ev100}`, -10, 24);
    const [iso] = numbers('--iso', values.iso ?? `${shot.light.iso}`, 6, 1_000_000);
    const [mainsHz] = numbers('--mains', values.mains ?? '50', 1, 1000);
    const own = values.nd === undefined ? null : numbers('--nd', values.nd, 0.1, 24);
    const filters =
      own?.map((stops): Filter => ({
        id: `nd${stops}`,
        name: `ND ${trim(2 ** stops, 0)}`,
        kind: 'nd',
        stopsMin: stops,
        stopsMax: stops,
      })) ?? shoot.kit.filters;
    return print(exposureJson(shoot, { ...shot, light: { ...shot.light, ev100, iso } }, filters, mainsHz));
  }
  if (command === 'time') return print(timeJson(shoot, shot));
  const scene = sceneOf(shoot, shot);
  if (values.format === 'csv') return writePathCsv(scene);
  if (values.format === 'gltf') return (await writePathGltf(scene)) + '\n';
  throw Refusal.of(
    '--format',
    `--format must be csv or gltf; it is ${values.format === undefined ? 'missing' : `"${values.format}"`}.`,
  );
}

/** The build of a number, where the command is for its kind. */
function buildCommand(shoot: Shoot, command: 'balance' | 'stand', text: string | undefined) {
  const { builds } = shoot.kit;
  if (builds.length === 0)
    throw Refusal.of('--build', '--build names nothing: this kit has no builds; put one together on the Kit screen.');
  const number = Number(text);
  if (text === undefined || !Number.isInteger(number) || number < 1 || number > builds.length)
    throw Refusal.of(
      '--build',
      `--build must be a number from 1 to ${builds.length}; it is ${text === undefined ? 'missing' : `"${text}"`}.`,
    );
  const build = builds[number - 1];
  const balances = supportOf(build.support.kind).group === 'carried';
  if (balances !== (command === 'balance'))
    throw Refusal.of(
      '--build',
      `--build ${number}, ${build.name}, is for arc ${balances ? 'balance' : 'stand'}, not arc ${command}.`,
    );
  return buildJson(shoot, build, number);
}

const print = (value: unknown): string => JSON.stringify(value, null, 1) + '\n';

function readArguments(args: string[]) {
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: {
        shot: { type: 'string' },
        format: { type: 'string' },
        focal: { type: 'string' },
        by: { type: 'string' },
        ev: { type: 'string' },
        iso: { type: 'string' },
        nd: { type: 'string' },
        mains: { type: 'string' },
        at: { type: 'string' },
        order: { type: 'string' },
        late: { type: 'string' },
        layout: { type: 'string' },
        flown: { type: 'string' },
        motion: { type: 'string' },
        fps: { type: 'string' },
        columns: { type: 'string' },
        units: { type: 'string' },
        mount: { type: 'string' },
        build: { type: 'string' },
        cures: { type: 'boolean' },
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw Refusal.of('arguments', `arguments: ${(error as Error).message.split('\n')[0].replace(/\.?$/, '.')}`);
  }
}

/** Numbers with commas between them, each from `least` to `most`. */
function numbers(option: string, text: string, least: number, most: number): number[] {
  return text.split(',').map((part) => {
    const value = part.trim() === '' ? NaN : Number(part);
    if (!(value >= least && value <= most))
      throw Refusal.of(
        option,
        `${option} must be numbers from ${least} to ${most} with commas between them; "${part}" is not.`,
      );
    return value;
  });
}

function readText(file: string, what = 'shoot file'): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    throw Refusal.of(
      what,
      `${what} "${file}" cannot be read (${(error as NodeJS.ErrnoException).code ?? (error as Error).message}).`,
    );
  }
}

function numbered(shoot: Shoot, text: string): { shot: Shot; number: number } {
  const number = Number(text);
  const shot = Number.isInteger(number) ? shoot.shots[number - 1] : undefined;
  if (!shot)
    throw Refusal.of('--shot', `--shot must be a whole number from 1 to ${shoot.shots.length}; it is "${text}".`);
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
