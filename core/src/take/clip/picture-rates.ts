import { type FollowedPlaces, FollowedPlacesCounter } from './followed-places';
import { LayerSteps } from './layers';
import { cellFlows, type Flow, wholeOfCells } from './whole-motion';

/** Motion of a picture: rates a second. */
export interface Rates {
  stepS: number;
  right: number;
  up: number;
  turnDeg: number;
  growth: number;
  near: number;
  far: number;
  followed: number;
}

const STILL = { right: 0, up: 0, turnDeg: 0, growth: 0, near: NaN, far: NaN, followed: 1 };

/** Motion of a clip picture by picture, from the places that were followed through each. */
export class PictureRates {
  private readonly pictures: (Rates | null)[] = [];
  private readonly followed: FollowedPlacesCounter;
  private readonly layers = new LayerSteps((i, layers) => {
    const rates = this.pictures[i];
    if (rates && layers)
      this.pictures[i] = { ...rates, near: layers.near / rates.stepS, far: layers.far / rates.stepS };
  });

  constructor(private readonly aspect: number) {
    this.followed = new FollowedPlacesCounter(aspect);
  }

  /** The next picture: how its places go in the time from one picture to the next; null: nothing changes at all. */
  add(flows: readonly Flow[] | null, stepS: number): void {
    if (!flows) {
      this.pictures.push({ ...STILL, stepS });
      this.layers.add(null);
      this.followed.addEverywhere();
      return;
    }
    const cells = cellFlows(flows, this.aspect);
    const whole = wholeOfCells(cells);
    this.followed.add(whole ? flows : []);
    this.layers.add({ cells, whole });
    this.pictures.push(
      whole && {
        stepS,
        right: whole.right / stepS,
        up: whole.up / stepS,
        turnDeg: whole.turnDeg / stepS,
        growth: whole.growth / stepS,
        near: NaN,
        far: NaN,
        followed: whole.cells / Math.max(1, cells.size),
      },
    );
  }

  /** All of them; null where nothing is known of one. */
  rows(): readonly (Rates | null)[] {
    this.layers.end();
    return this.pictures;
  }

  followedPlaces(): FollowedPlaces {
    return this.followed.moments();
  }
}
