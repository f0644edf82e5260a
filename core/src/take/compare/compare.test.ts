import { describe, expect, it } from 'vitest';
import { type Film, plannedFilm, seeded } from '../../motion';
import { asFlown } from '../../rehearse';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { emptyRecord, type MotionRecord } from '../recorded/record';
import { takenFrom } from '../recorded/taken';
import { compareTake } from './compare';

const shoot = demoShoot();
const shots = ['slide', 'push', 'arc', 'lead', 'crane', 'overheadSlide', 'pushRoll', 'rackFocus'].map((kind) => {
  const shot = shoot.shots.find(({ move }) => move.kind === kind);
  if (!shot) throw new Error(`The demo has no ${kind}.`);
  return { kind, film: plannedFilm(sceneOf(shoot, shot)) };
});

/** The plan itself, recorded as places, angles and focus; and what is made of it. */
function recorded(film: Film, edit: (record: MotionRecord) => void = () => undefined): MotionRecord {
  const flown = asFlown(film.filmed);
  const record = emptyRecord('file', 'test', flown.tS.slice());
  record.placeM = [flown.xM.slice(), flown.yM.slice(), flown.zM.slice()];
  record.anglesDeg = [flown.panDeg.slice(), flown.tiltDeg.slice(), flown.rollDeg.slice()];
  record.northKnown = true;
  record.focusM = flown.focusM?.slice() ?? null;
  edit(record);
  return record;
}
const compared = (film: Film, record: MotionRecord) => compareTake(film, takenFrom(record, film));
const idsOf = ({ differences }: ReturnType<typeof compareTake>) => differences.map(({ id }) => id);
const everyColumn = (record: MotionRecord, change: (column: Float64Array) => Float64Array) => {
  record.placeM = record.placeM?.map(change) as MotionRecord['placeM'];
  record.anglesDeg = record.anglesDeg?.map(change) as MotionRecord['anglesDeg'];
  record.focusM = record.focusM && change(record.focusM);
};

describe.each(shots)('a take of a $kind', ({ film }) => {
  const plannedS = film.filmed.tS[film.filmed.count - 1];

  it('that did what is planned has nothing to be said of', () => {
    const found = compared(film, recorded(film));
    expect(found.differences).toEqual([]);
    expect(found.said).toMatch(/^As planned/);
    const [plan, take] = [found.smoothness.plan, found.smoothness.take];
    expect(take.spectralArcLength ?? 0).toBeCloseTo(plan.spectralArcLength ?? 0, 6);
    expect(take.logDimensionlessJerk ?? 0).toBeCloseTo(plan.logDimensionlessJerk ?? 0, 6);
  });

  it('that was recorded from earlier or later on is laid where it belongs, and nothing is said of that', () => {
    for (const lateS of [-0.7, 0.4, 3.1]) {
      const record = recorded(film, (row) => (row.tS = row.tS.map((s) => s + lateS)));
      const found = compared(film, record);
      expect(record.tS[0] + found.aligned.delayS).toBeCloseTo(lateS, 1);
      expect(idsOf(found)).toEqual([]);
    }
  });

  it('of which only a part was recorded is laid on that part, says so, and is not blamed for the rest', () => {
    for (const [from, to] of [
      [0.2, 0.85],
      [0.3, 1],
      [0, 0.7],
    ]) {
      const found = compared(
        film,
        recorded(film, (row) => {
          const part = (column: Float64Array) =>
            column.slice(Math.floor(from * column.length), Math.floor(to * column.length));
          row.tS = part(row.tS);
          everyColumn(row, part);
        }),
      );
      expect(idsOf(found)).toEqual([]);
      // A rack rests at both ends: what is missing there is no part of it.
      const { start, end } = found.aligned.cut;
      if (start || end)
        expect(found.untold.join(' ')).toMatch(/Only [\d.]+ to [\d.]+ s of the plan’s [\d.]+ s were recorded/);
    }
  });

  it('that was slower or faster says so, by how much, and nothing else', () => {
    for (const stretch of [0.75, 1.3]) {
      const found = compared(
        film,
        recorded(film, (row) => (row.tS = row.tS.map((s) => s * stretch + 0.5))),
      );
      expect(found.aligned.stretch / stretch).toBeCloseTo(1, 1);
      expect(idsOf(found)).toEqual(['pace']);
      expect(found.differences[0].measured / (plannedS * stretch)).toBeCloseTo(1, 1);
      expect(found.differences[0].reason).toBe(stretch < 1 ? 'tooFast' : 'tooSlow');
    }
  });

  it('that leaned says how far and to which side', () => {
    const found = compared(
      film,
      recorded(film, (row) => row.anglesDeg?.[2].forEach((v, i, roll) => (roll[i] = v - 2))),
    );
    expect(idsOf(found)).toEqual(['level']);
    expect(found.differences[0].sentence).toMatch(/leaned 2° to the left/);
  });

  it('that trembled says how much and how fast, whatever else it did', () => {
    const found = compared(
      film,
      recorded(film, (row) =>
        row.anglesDeg?.forEach((column) =>
          column.forEach((v, i) => (column[i] = v + 0.35 * Math.sin(2 * Math.PI * 7 * row.tS[i]))),
        ),
      ),
    );
    expect(idsOf(found)).toEqual(['tremor']);
    const { measured, sentence } = found.differences[0];
    expect(measured / (0.35 * Math.sqrt(1.5))).toBeCloseTo(1, 0);
    expect(Number(/mostly ([\d.]+) times/.exec(sentence)?.[1])).toBeCloseTo(7, 0);
  });

  it('with the noise of a cheap sensor is told nothing that only the noise did', () => {
    const next = seeded(11);
    const found = compared(
      film,
      recorded(film, (row) =>
        row.anglesDeg?.forEach((column) => column.forEach((v, i) => (column[i] = v + 0.1 * (next() + next() - 1)))),
      ),
    );
    expect(idsOf(found).filter((id) => id !== 'tremor')).toEqual([]);
  });

  it('that was cut off, or has another shot’s way, throws nothing', () => {
    expect(() =>
      compared(
        film,
        recorded(film, (row) => everyColumn(row, (column) => column.map(() => column[0]))),
      ),
    ).not.toThrow();
    const half = recorded(film);
    const rows = Math.max(3, half.tS.length >> 1);
    half.tS = half.tS.slice(0, rows);
    everyColumn(half, (column) => column.slice(0, rows));
    expect(() => compared(film, half)).not.toThrow();
  });
});

describe('the end of a take', () => {
  const { film } = shots[0];
  const seconds = film.filmed.tS[film.filmed.count - 1];

  /** What is planned for one moment, done at another. */
  const atOtherTimes = (record: MotionRecord, planned: (tS: number) => number) => {
    const rate = film.filmed.captureRateHz;
    everyColumn(record, (column) =>
      column.map((_, i) => {
        const at = Math.min(column.length - 1, Math.max(0, planned(i / rate) * rate));
        const k = Math.min(column.length - 2, Math.floor(at));
        return column[k] + (column[k + 1] - column[k]) * (at - k);
      }),
    );
  };

  it('that ran into its mark says that it stopped with a bump, and when', () => {
    // At an even pace to nine tenths, and there at once.
    const record = recorded(film, (row) => {
      const [x0, x1] = [0, film.filmed.count - 1];
      const part = (s: number) => Math.min(1, s / (0.9 * seconds));
      row.placeM = row.placeM?.map((column) =>
        column.map((_, i) => column[x0] + (column[x1] - column[x0]) * part(row.tS[i])),
      ) as never;
    });
    const found = compared(film, record);
    const stop = found.differences.find(({ reason }) => reason === 'stop');
    expect(stop?.sentence).toMatch(/stopped with a bump at/);
    expect(stop?.atS).toBeGreaterThan(0.7 * seconds);
  });

  it('that went past its mark and came back says by how much', () => {
    const end = film.filmed.count - 1;
    const way = Math.hypot(...(['xM', 'yM', 'zM'] as const).map((key) => film.filmed[key][end] - film.filmed[key][0]));
    const record = recorded(film, (row) => {
      const bump = (s: number) => 0.06 * Math.exp(-(((s - seconds + 0.35) / 0.18) ** 2));
      row.placeM = row.placeM?.map((column) =>
        column.map((v, i) => v + ((column[end] - column[0]) / way) * bump(row.tS[i])),
      ) as never;
    });
    const found = compared(film, record);
    const over = found.differences.find(({ id }) => id === 'travel-overshoot');
    expect(over?.measured).toBeGreaterThan(0.03);
    expect(over?.measured).toBeLessThan(0.07);
  });

  it('that waited on the way says that it was not even, and where', () => {
    const record = recorded(film, (row) =>
      atOtherTimes(row, (s) => s + 0.25 * Math.sin((2 * Math.PI * s) / 1.6) * Math.min(1, s, seconds - s)),
    );
    const found = compared(film, record);
    expect(idsOf(found).some((id) => id.endsWith('-evenness'))).toBe(true);
  });

  it('of steps says how high and how often it bobbed', () => {
    const record = recorded(film, (row) =>
      row.placeM?.[2].forEach((v, i, z) => (z[i] = v + 0.02 * Math.sin(2 * Math.PI * 1.8 * row.tS[i]))),
    );
    const [bob] = compared(film, record).differences;
    expect(bob.id).toBe('bob');
    expect(bob.measured).toBeCloseTo(40, -1);
    expect(bob.sentence).toMatch(/1\.[789]\d* (steps|times) a second/);
  });

  it('says rates at the plan’s pace where the whole was slower, so that advice does not contradict itself', () => {
    // A fifth slower in all, and its middle a quarter faster than that.
    const record = recorded(film, (row) => {
      atOtherTimes(row, (s) => s + 0.12 * Math.sin((2 * Math.PI * (s - seconds / 2)) / seconds) * seconds * 0.3);
      row.tS = row.tS.map((s) => s * 1.2);
    });
    const cut = { start: false, end: false };
    const laid = { delayS: 0, stretch: 1.2, by: 'motion', paceSure: true, alike: 1, cut } as const;
    const found = compareTake(film, takenFrom(record, film), laid);
    for (const { id, planned, measured, mend, sentence } of found.differences) {
      if (!id.endsWith('-rate') || planned === null) continue;
      expect(sentence).toContain('at the plan’s pace');
      expect(measured > planned).toBe(mend.startsWith('Hold the middle back'));
    }
    expect(found.differences.some(({ id }) => id.endsWith('-rate'))).toBe(true);
  });
});
