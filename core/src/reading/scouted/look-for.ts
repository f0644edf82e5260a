import type { Units } from '../../model';
import type { Film } from '../../motion';
import { behindHead } from './behind-head';
import { layersFromHere } from './layers';
import { leadingLines } from './leading-lines';
import { roomHere } from './room-here';
import { symmetryHere } from './symmetry';
import type { Scouted } from './scouted';

/**
 * What a practitioner looks for in a place through one camera: how deep it is, what leads to the subject, what is alike
 * on both sides, what stands behind the head, and what room there is. `row`: the moment of the film it is looked at.
 */
export function lookFor(film: Film, row: number, units: Units): Scouted[] {
  return [layersFromHere, behindHead, leadingLines, symmetryHere, roomHere].flatMap((look) => look(film, row, units));
}
