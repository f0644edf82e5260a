import { describe, expect, it } from 'vitest';
import { plannedFilm } from '@gentle-arc/core/motion';
import { marksOf } from '@gentle-arc/core/rehearse';
import { sceneOf } from '@gentle-arc/core/scene';
import { demoShoot } from '@gentle-arc/core/testing/demo';
import { markTables } from './mark-tables';

const shoot = demoShoot();
const tablesOf = (name: string, units: 'metric' | 'imperial' = 'metric') => {
  const shot = shoot.shots.find((row) => row.name === name);
  if (!shot) throw new RangeError(name);
  return markTables(marksOf(plannedFilm(sceneOf(shoot, shot)), shoot.practice, units), units);
};

describe('tables of marks', () => {
  it('have a cell for each word of their head, in every shot of the demo', () => {
    for (const { name } of shoot.shots)
      for (const { head, rows, numbers, name: kind } of tablesOf(name)) {
        expect(numbers[1], `${name}, ${kind}`).toBeLessThan(head.length);
        for (const { cells } of rows) {
          expect(cells.length, `${name}, ${kind}`).toBe(head.length);
          expect(cells.join(), `${name}, ${kind}`).not.toMatch(/NaN|undefined|Infinity/);
        }
      }
  });

  it('of a slide are its rail and its head, the end where it goes to, in the person’s own units', () => {
    const rail = tablesOf('First light along the rows')[0];
    expect(rail.name).toBe('Rail');
    expect(rail.rows.at(-1)).toEqual({ cells: ['7.5 s', 'End', '1.05 m', '1.064 m'], strong: true });
    expect(tablesOf('First light along the rows', 'imperial')[0].rows.at(-1)?.cells[2]).toBe('3′ 5.3″');
  });

  it('of a walk are its floor, with feet in turn', () => {
    const floor = tablesOf('Down the lane with the basket').find(({ name }) => name === 'Floor');
    expect(floor?.rows.at(-1)?.cells.slice(1)).toEqual(['End', '12 m', '19', 'right']);
  });

  it('are none for a shot that stands still', () => {
    expect(tablesOf('The house, at rest')).toEqual([]);
  });
});
