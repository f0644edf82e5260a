import { type FollowedPlaces, FollowedPlacesCounter } from './followed-places';
import { LayerSteps } from './layers';
import { cellFlows, type Flow, wholeOfCells } from './whole-motion';

/** Motion from one picture to the next: rates a second. */
export interface Step {
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

/** Motion of a clip step by step, from the places that were followed. */
export class ClipSteps {
  private readonly steps: (Step | null)[] = [];
  private readonly followed: FollowedPlacesCounter;
  private readonly layers = new LayerSteps((i, layers) => {
    const step = this.steps[i];
    if (step && layers) this.steps[i] = { ...step, near: layers.near / step.stepS, far: layers.far / step.stepS };
  });

  constructor(private readonly aspect: number) {
    this.followed = new FollowedPlacesCounter(aspect);
  }

  /** The next step, which takes so long; null: nothing has changed at all. */
  add(flows: readonly Flow[] | null, stepS: number): void {
    if (!flows) {
      this.steps.push({ ...STILL, stepS });
      this.layers.add(null);
      this.followed.addEverywhere();
      return;
    }
    const cells = cellFlows(flows, this.aspect);
    const whole = wholeOfCells(cells);
    this.followed.add(whole ? flows : []);
    this.layers.add({ cells, whole });
    this.steps.push(
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
  rows(): readonly (Step | null)[] {
    this.layers.end();
    return this.steps;
  }

  followedPlaces(): FollowedPlaces {
    return this.followed.moments();
  }
}
