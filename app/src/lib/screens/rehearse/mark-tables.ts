import { sayExactLength, sayLength, trim, type Units } from '@gentle-arc/core/model';
import type { Marks } from '@gentle-arc/core/rehearse';

/** Marks of one kind as rows of words: for the screen and for paper. */
export interface MarkTable {
  name: 'Rail' | 'Floor' | 'Head' | 'Ring';
  title: string;
  head: string[];
  /** Columns from here on to there are numbers. */
  numbers: [from: number, to: number];
  rows: { cells: string[]; strong: boolean }[];
}

const seconds = (atS: number) => `${trim(atS, 1)} s`;
const degrees = (deg: number, more: string, less: string) =>
  Math.abs(deg) < 0.05 ? '0°' : `${trim(Math.abs(deg), 1)}° ${deg > 0 ? more : less}`;
const isEnd = (what: string) => what === 'start' || what === 'end';

/** The tables of a shot's marks; none for what is not marked. */
export function markTables({ rail, floor, aim, ring }: Marks, units: Units): MarkTable[] {
  const fine = (m: number) => sayExactLength(Math.round(m * 1000) / 1000, units);
  const tables: MarkTable[] = [
    {
      name: 'Rail',
      title: 'On the rail',
      head: ['When', 'What', 'Pointer stands at', 'Seen from the helper'],
      numbers: [2, 3],
      rows: rail.map(({ atS, said, placeM, readM, what }) => ({
        cells: [seconds(atS), said, fine(placeM), fine(readM)],
        strong: isEnd(what),
      })),
    },
    {
      name: 'Floor',
      title: 'On the floor',
      head: ['When', 'What', 'From the start', 'Steps', 'Foot'],
      numbers: [2, 3],
      rows: floor.map(({ atS, said, goneM, steps, foot, what }) => ({
        cells: [seconds(atS), said, sayLength(goneM, units), String(steps), foot ?? ''],
        strong: isEnd(what),
      })),
    },
    {
      name: 'Head',
      title: 'On the head',
      head: ['When', 'What', 'Turned from the start', 'Tilt', 'Roll'],
      numbers: [2, 4],
      rows: aim.map(({ atS, said, panDeg, tiltDeg, rollDeg, what }) => ({
        cells: [
          seconds(atS),
          said,
          degrees(panDeg, 'right', 'left'),
          degrees(tiltDeg, 'up', 'down'),
          degrees(rollDeg, 'right', 'left'),
        ],
        strong: isEnd(what),
      })),
    },
    {
      name: 'Ring',
      title: 'On the focus ring',
      head: ['When', 'Distance', 'Ring from ∞'],
      numbers: [1, 2],
      rows: ring.map(({ atS, distanceM, ringDeg }) => ({
        cells: [seconds(atS), sayLength(distanceM, units), `${trim(ringDeg, 0)}°`],
        strong: false,
      })),
    },
  ];
  return tables.filter(({ rows }) => rows.length > 0);
}

export const EDGE_WORDS = { start: 'At the start', soon: 'Shortly before the end', end: 'At the end' } as const;
