import { type Around, aroundOf, sameAround, type Shoot, type Shot, type Units } from '../model';
import { readShot, type Reading } from './read-shot';

/** So many readings are kept: a reading of 10 s at 60 a second is about a megabyte. */
const MOST_KEPT = 60;

/**
 * Readings kept by their plan, so that a board, a day or a finder can ask for many again and again: a shot that is the
 * same object, on the same site with the same kit, is read once.
 */
export class Readings {
  private readonly kept = new Map<Shot, { around: Around; units: Units; reading: Reading }>();

  read(shoot: Shoot, shot: Shot, units: Units = 'metric'): Reading {
    const known = this.kept.get(shot);
    if (known && known.units === units && sameAround(known.around, shoot)) return known.reading;
    const reading = readShot(shoot, shot, units);
    this.kept.delete(shot);
    this.kept.set(shot, { around: aroundOf(shoot), units, reading });
    const [oldest] = this.kept.keys();
    if (this.kept.size > MOST_KEPT && oldest) this.kept.delete(oldest);
    return reading;
  }
}
