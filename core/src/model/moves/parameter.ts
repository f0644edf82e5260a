import { choice, number, pieceOrSubject, type NumberFacts } from '../facts';

export { choice, pieceOrSubject };

type Mirror = NumberFacts['mirror'];
const turning = (mirror?: Mirror) => (mirror ? { mirror } : {});

export const metres = (label: string, min: number, max: number, mirror?: Mirror) =>
  number(label, 'm', min, max, 0.1, turning(mirror));
export const degrees = (label: string, min: number, max: number, mirror?: Mirror) =>
  number(label, 'deg', min, max, 5, turning(mirror));
export const millimetres = (label: string, min: number, max: number) => number(label, 'mm', min, max, 1);
/** A part of the whole, 0 to 1, said in per cent. */
export const share = (label: string, min: number, max: number) => number(label, 'share', min, max, 0.05);

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
