import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readAnyFile } from './any-file';
import { tooLarge } from '../model';
import { demoShoot } from '../testing/demo';
import { checkFile, MOST_MB, type FileKind } from './file-limits';
import { cellText, plainCell } from './csv-text';
import { Refusal } from './refusal';
import { writeShootFile } from './shoot-file';

const LANDING = { xM: 0, yM: 0, zM: 0 };
const demo = readFileSync(new URL('../../../demo/first-flush.arc.json', import.meta.url), 'utf8');

/** Why a file is refused; nothing but a refusal may be thrown. */
function why(name: string, text: string, wanted: FileKind | null = null): string {
  try {
    return `taken as ${readAnyFile(name, text, wanted, LANDING).kind}`;
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    expect(error.message.length).toBeLessThan(420);
    return error.message;
  }
}

const gpx = (inside: string) => `<gpx version="1.1"><trk><trkseg>${inside}</trkseg></trk></gpx>`;
const PARTS = 'id,name,kind,massG,lengthMm,widthMm,heightMm\n';

describe('any file', () => {
  it('is known by its name and its beginning', () => {
    expect(why('a.arc.json', demo)).toBe('taken as shoot');
    expect(why('walk.csv', 't,x,y,z\n0,1,2,3\n')).toBe('taken as walk');
    expect(why('parts.csv', `${PARTS}a,Clamp,other,1,1,1,1\n`)).toBe('taken as parts');
    expect(
      why(
        'parts.json',
        '{"parts":[{"id":"a","name":"C","kind":"other","of":null,"massG":1,"lengthMm":1,"widthMm":1,"heightMm":1,"centreForeMm":0,"centreSideMm":0,"centreUpMm":0,"zoomShiftMm":0}]}',
      ),
    ).toBe('taken as parts');
    expect(why('excel.csv', '\uFEFFt;x;y;z\r\n0;1;2;3\r\n')).toBe('taken as walk');
  });
  it.each<[string, string, string, FileKind | null, RegExp]>([
    [
      'a picture',
      'IMG_1.JPG',
      'ÿØÿà',
      null,
      /^“IMG_1\.JPG” is a picture, not a shoot\. Pictures are measured in on the Lens screen/,
    ],
    ['nothing', 'a.json', '', null, /is empty/],
    ['too large a walk', 'w.csv', ' '.repeat(MOST_MB.walk * 1024 * 1024 + 1), 'walk', /at most 3 MB/],
    [
      'an external entity',
      'a.gpx',
      '<!DOCTYPE gpx [<!ENTITY e SYSTEM "file:///etc/passwd">]><gpx>&e;</gpx>',
      null,
      /declares a document type/,
    ],
    [
      'deep nesting',
      'a.gpx',
      `<gpx>${'<a>'.repeat(50_000)}${'</a>'.repeat(50_000)}</gpx>`,
      null,
      /no track that can be read/,
    ],
    [
      'a tag that is no name',
      'a.gpx',
      gpx('<constructor>1</constructor><__proto__/>'),
      null,
      /no track that can be read/,
    ],
    [
      'quotes without end',
      'w.csv',
      `t,x,y,z\n${'"'.repeat(500_001)}`,
      'walk',
      /quote that does not close|must be a number/,
    ],
    [
      'a header of half a megabyte',
      'w.csv',
      `${'x'.repeat(500_000)},y\n1,2\n`,
      'walk',
      /^header must be t,x,y,z; it is x+…\.$/,
    ],
    ['a cell of a megabyte', 'w.csv', `t,x,y,z\n${'9x'.repeat(500_000)},1,1,1\n`, 'walk', /^row 2, t must be a number/],
    [
      'too many points',
      'w.csv',
      `t,x,y,z\n${Array.from({ length: 20_001 }, (_, i) => `${i},0,0,0`).join('\n')}`,
      'walk',
      /20001 points; at most 20000/,
    ],
    ['no rows', 'p.csv', PARTS, 'parts', /has no parts: it needs at least one row/],
    [
      'one id twice',
      'p.csv',
      `${PARTS}a,A,other,1,1,1,1\na,B,other,1,1,1,1\n`,
      'parts',
      /^row 3, id repeats that of row 2/,
    ],
    [
      'more parts than a kit holds',
      'p.csv',
      PARTS + Array.from({ length: 301 }, (_, i) => `p${i},A,other,1,1,1,1`).join('\n'),
      'parts',
      /301 parts; a kit holds at most 300/,
    ],
    [
      'white space for a name',
      'p.csv',
      `${PARTS}a,"   ",other,1,1,1,1\n`,
      'parts',
      /row 2, name must be more than white space/,
    ],
    [
      'a day that is none',
      'a.gpx',
      gpx('<trkpt lat="1" lon="2"><time>2026-02-30T00:00:00Z</time></trkpt>'),
      null,
      /trkpt 1, time must be a date/,
    ],
    ['a document', 'notes.pdf', '%PDF-1.4', null, /^“notes\.pdf” is none of the files .*\(\.arc\.json\)/],
    ['a packed shoot', 'a.arc.json', '\u001f\ufffd\b', null, /If it is packed, unpack it/],
    ['brackets without end', 'a.json', '['.repeat(200_000), null, /is not JSON/],
    [
      'a shoot with a long unknown field',
      'a.json',
      demo.replace('"version": 16,', `"version": 16, "${'k'.repeat(100_000)}": 1,`),
      null,
      /has "k+…", which this format does not know/,
    ],
  ])('%s is refused with a short sentence', (_, name, text, wanted, sentence) => {
    expect(why(name, text, wanted)).toMatch(sentence);
  });
  it('a thousand mutated files are taken or refused, never anything else', () => {
    const seeds: [string, string, FileKind | null][] = [
      ['w.csv', 't,x,y,z\n0,1,2,3\n4,5,"6",7\n', 'walk'],
      [
        'a.gpx',
        `<?xml version="1.0"?>${gpx('<trkpt lat="45" lon="7"><ele>3</ele><time>2026-04-02T06:30:00Z</time></trkpt><trkpt lat="45.0001" lon="7"><time>2026-04-02T06:30:05Z</time></trkpt>')}`,
        'walk',
      ],
      ['p.csv', `${PARTS}a,"Clamp, ""big""",other,125,40,40,60\n`, 'parts'],
      ['p.json', '{"parts":[{"id":"a"}]}', 'parts'],
    ];
    const bits = fc.constantFrom(
      '"',
      ',',
      '<',
      '>',
      '&',
      '\0',
      '\n',
      'constructor',
      '__proto__',
      '<!--',
      ']]>',
      '-',
      '9'.repeat(400),
      '�',
      '<a ',
      '="',
      "'",
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...seeds),
        fc.array(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), bits, fc.nat(6)), { minLength: 1, maxLength: 6 }),
        ([name, text, wanted], cuts) => {
          let mutated = text;
          for (const [at, bit, gone] of cuts) {
            const i = Math.floor(at * mutated.length);
            mutated = mutated.slice(0, i) + bit + mutated.slice(i + gone);
          }
          why(name, mutated, wanted);
        },
      ),
      { numRuns: 1000 },
    );
  });
});

describe('text in a CSV', () => {
  it('is no formula for a table program, and comes back as it was', () => {
    for (const text of ['=1+2', '+49', '-5', '@x', '\t=1']) expect(plainCell(text)[0]).toBe("'");
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map((text) => `'=${text}`),
          fc.string().map((text) => `=${text}`),
        ),
        (text) => cellText(plainCell(text)) === text,
      ),
    );
  });
});

describe('a shoot as large as it may be', () => {
  const photo = `data:image/png;base64,${'A'.repeat(199_000)}`;
  /** The demo with so many takes that have a clip, some of them a photograph too. */
  const heavy = (clips: number, photos: number) => {
    const shoot = demoShoot();
    const take = shoot.log.takes.find(({ clip }) => clip);
    if (!take) throw new Error('no clip');
    const takes = Array.from({ length: clips }, (_, i) => ({
      ...take,
      id: `take-${i}`,
      photo: i < photos ? photo : null,
    }));
    return { ...shoot, log: { ...shoot.log, takes } };
  };
  it('is written so that it can be opened again, and a larger one is refused in a sentence', () => {
    const most =
      Array.from({ length: 61 }, (_, photos) => photos).findLast((n) => tooLarge(heavy(100, n)) === null) ?? 0;
    expect(most).toBeGreaterThan(20);
    const [small, large] = [heavy(20, 0), heavy(100, most)];
    for (const shoot of [small, large]) {
      const text = writeShootFile(shoot);
      checkFile('large.arc.json', new TextEncoder().encode(text).length, 'shoot');
      expect(readAnyFile('large.arc.json', text, 'shoot', LANDING)).toEqual({ kind: 'shoot', shoot });
    }
    // With spaces between where that leaves it small enough.
    expect(writeShootFile(small)).toContain('\n  "version"');
    expect(writeShootFile(large)).not.toContain('\n ');
    expect(why('beyond.arc.json', JSON.stringify(heavy(100, most + 1)), 'shoot')).toMatch(
      /The shoot would hold 16\.\d MB, of at most 16\.0: remove/,
    );
  });
});
