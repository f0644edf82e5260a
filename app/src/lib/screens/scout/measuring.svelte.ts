/** A point of the site, metres. */
export interface Spot {
  xM: number;
  yM: number;
}

/** A tape between two spots of the plan: laid to measure, or along a line that is known on a picture under the plan. */
export class Measuring {
  spots: Spot[] = $state.raw([]);
  /** A press puts the next end of it. */
  asks = $state(false);
  /** The picture that it sets to scale; null: it only measures. */
  underlayId: string | null = $state(null);

  begin(underlayId: string | null): void {
    this.spots = [];
    this.underlayId = underlayId;
    this.asks = true;
  }

  put(xM: number, yM: number): void {
    this.spots = [...this.spots, { xM, yM }].slice(0, 2);
    if (this.spots.length === 2) this.asks = false;
  }

  move(index: number, spot: Spot): void {
    this.spots = this.spots.map((row, i) => (i === index ? spot : row));
  }

  end(): void {
    this.spots = [];
    this.asks = false;
    this.underlayId = null;
  }
}
