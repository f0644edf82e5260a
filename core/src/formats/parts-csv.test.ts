import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT, type Part, PART_KINDS } from '../model';
import { readPartsCsv, writePartsCsv } from './parts-csv';

const mm = fc.integer({ min: 1, max: 3000 });
const offset = fc.integer({ min: -300, max: 300 });
const name = fc.constantFrom(
  'Plain',
  'With, a comma',
  'With "quotes"',
  'two\nlines',
  'Ümlaut – 24',
  '=1+2',
  '+49',
  '-5',
  '@home',
  "'=1",
  "''@",
  "'quoted'",
  ' spaced ',
);
const parts: fc.Arbitrary<Part[]> = fc.array(
  fc.record({
    id: fc.uuid(),
    name,
    kind: fc.constantFrom(...PART_KINDS),
    of: fc.constantFrom(null, 'lens-moss-35'),
    massG: fc.double({ min: 0.1, max: 5000, noNaN: true }),
    lengthMm: mm,
    widthMm: mm,
    heightMm: mm,
    centreForeMm: offset,
    centreSideMm: offset,
    centreUpMm: offset,
    carriesG: mm,
    zoomShiftMm: offset,
  }),
  { minLength: 1, maxLength: 8 },
);

describe('parts as CSV', () => {
  it('come back as they went (RFC 4180)', () => {
    fc.assert(
      fc.property(parts, (rows) => {
        expect(readPartsCsv(writePartsCsv(rows))).toEqual(rows);
      }),
    );
    expect(Papa.parse(writePartsCsv(DEFAULT_KIT.parts).trim()).errors).toEqual([]);
  });
  it('may leave away what has a usual value', () => {
    expect(readPartsCsv('id,name,kind,massG,lengthMm,widthMm,heightMm\na,Clamp,other,120,40,40,60\n')).toEqual([
      {
        id: 'a',
        name: 'Clamp',
        kind: 'other',
        of: null,
        massG: 120,
        lengthMm: 40,
        widthMm: 40,
        heightMm: 60,
        centreForeMm: 0,
        centreSideMm: 0,
        centreUpMm: 0,
        carriesG: 0,
        zoomShiftMm: 0,
      },
    ]);
  });
  it('name the row and the column that are wrong', () => {
    const file = (row: string) => `id,name,kind,massG,lengthMm,widthMm,heightMm\n${row}\n`;
    expect(() => readPartsCsv(file('a,Clamp,other,-5,40,40,60'))).toThrow(
      'row 2, massG must be at least 0.1; it is -5.',
    );
    expect(() => readPartsCsv(file('a,Clamp,clamp,5,40,40,60'))).toThrow(/row 2, kind must be "camera"/);
    expect(() => readPartsCsv(file('a,Clamp,other,,40,40,60'))).toThrow(/row 2, massG must be a number/);
    expect(() => readPartsCsv('id,name\na,b\n')).toThrow(/header lacks kind/);
    expect(() => readPartsCsv('id,name,kind,massG,lengthMm,widthMm,heightMm,colour\n')).toThrow(/"colour"/);
  });
});
