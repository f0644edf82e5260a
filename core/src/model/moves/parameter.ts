import * as z from 'zod';

/** What a person is told of a number of a move: its name in a sentence, its unit, the step of an arrow key. */
export interface NumberFacts {
  label: string;
  unit: 'm' | 'deg' | 'mm' | 'share';
  step: number;
  /** What turns over when left and right change places: `side` always, `site` only when the whole site is mirrored. */
  mirror?: 'side' | 'site';
}

/** What a person is told of a choice of a move: its name, and each option in words. */
export interface ChoiceFacts {
  label: string;
  names: Record<string, string>;
}

const number = (min: number, max: number, facts: NumberFacts) =>
  z
    .number()
    .min(min)
    .max(max)
    .meta({ ...facts });

export const metres = (label: string, min: number, max: number, mirror?: NumberFacts['mirror']) =>
  number(min, max, { label, unit: 'm', step: 0.1, ...(mirror && { mirror }) });
export const degrees = (label: string, min: number, max: number, mirror?: NumberFacts['mirror']) =>
  number(min, max, { label, unit: 'deg', step: 5, ...(mirror && { mirror }) });
export const millimetres = (label: string, min: number, max: number) =>
  number(min, max, { label, unit: 'mm', step: 1 });
/** A part of the whole, 0 to 1, said in per cent. */
export const share = (label: string, min: number, max: number) =>
  number(min, max, { label, unit: 'share', step: 0.05 });

export function choice<const T extends Record<string, string>>(label: string, names: T) {
  return z.enum(Object.keys(names) as [keyof T & string, ...(keyof T & string)[]]).meta({ label, names });
}

/** A piece of the site, or null for the subject. */
export const pieceOrSubject = (label: string) => z.string().min(1).nullable().meta({ label, piece: true });

/**
 * The lens above the subject's base; a distance from the pivot; a bearing from the pivot to the camera, clockwise from
 * north; a turn.
 */
export const heightM = metres('lens height', -50, 500);
export const distance = (label: string) => metres(label, 0.1, 2000);
export const bearing = (label: string) => degrees(label, -720, 720, 'site');
export const travel = (label: string) => metres(label, -2000, 2000, 'side');

/**
 * What every move has. The pivot is the subject's place when the move starts, shifted by the two offsets; heights are
 * above the subject's base.
 */
export const around = {
  pivotEastM: metres('pivot east of the subject', -2000, 2000, 'site'),
  pivotNorthM: metres('pivot north of the subject', -2000, 2000),
  heightM,
};

/** Where the camera stands, seen from the pivot. */
export const stand = { ...around, distanceM: distance('distance'), bearingDeg: bearing('seen from bearing') };
