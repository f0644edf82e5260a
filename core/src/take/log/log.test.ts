import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { writeTakesCsv } from '../../formats';
import { changeTake, countTake, removeShots } from '../../edit';
import type { Shoot } from '../../model';
import { demoShoot } from '../../testing/demo';
import { dayReport, daysOf, taught } from './day-report';
import { spoilersOf, tallyOf } from './tally';

const demo = demoShoot();
const INDIA_MIN = 330;

describe('the log of the demo', () => {
  it('is two days of takes, with recordings of all devices and a clip', () => {
    expect(daysOf(demo, INDIA_MIN)).toEqual(['2026-04-11', '2026-04-10']);
    const by = new Set(demo.log.takes.map(({ recorded }) => recorded?.by).filter(Boolean));
    expect([...by].sort()).toEqual(['drone', 'focusMotor', 'gimbal', 'recorder', 'slider']);
    expect(demo.log.takes.filter(({ clip }) => clip)).toHaveLength(1);
  });
  it('says how every shot stands', () => {
    const tally = tallyOf(demo);
    expect(tally).toHaveLength(demo.shots.length);
    expect(tally[0]).toMatchObject({ number: 1, good: 1, usable: 1, no: 2, open: false });
    expect(tally[2].open).toBe(true);
    const gone = tallyOf(removeShots(demo, ['shot-rows'])).at(-1);
    expect(gone).toMatchObject({ number: null, name: 'First light along the rows', open: false });
    expect(gone?.takes).toHaveLength(4);
  });
  it('says what spoils takes, and what to do, of each day', () => {
    const report = dayReport(demo, '2026-04-11', INDIA_MIN);
    expect(report.said[0]).toBe('12 takes of 4 shots; 3 good.');
    expect(report.said[1]).toMatch(/^Most takes were spoilt by: focus at the end \(3 times\)\. Let who is filmed/);
    expect(spoilersOf(demo.log.takes).reduce((sum, { share }) => sum + share, 0)).toBeGreaterThan(1);
    expect(dayReport(demo, '2020-01-01', INDIA_MIN).takes).toBe(0);
  });
  it('has taught how long the slider takes, and how sure', () => {
    expect(taught(demo).join('\n')).toMatch(
      /Slider 1\.2 m: 4 tries until it is good.*12 minutes to set up \(11 to 13, 75% sure, 3 logged\)/,
    );
  });
  it('goes away as CSV that a table program takes for text, and comes back', () => {
    const [take] = demo.log.takes;
    const odd: Shoot = changeTake(countTake(demo, take.shotId, 'x', '2026-04-12T01:00:00.000Z'), 'x', {
      word: '=1+1, "so"\nand on',
    });
    const parsed = Papa.parse<Record<string, string>>(writeTakesCsv(odd), { header: true, skipEmptyLines: true });
    expect(parsed.errors).toEqual([]);
    expect(parsed.data).toHaveLength(28);
    expect(parsed.data.find(({ word }) => word.includes('1+1'))?.word).toBe(`'=1+1, "so"\nand on`);
  });
});
